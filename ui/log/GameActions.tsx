'use client';
/** Closing, reopening and taking out a game, with what came of it. */
import { useState, useTransition } from 'react';
import type { GameInfo } from '@/core/exchange/types';
import { useToast, useWorking } from '../shared/toasts';

/** Null when it was done, else why not. */
export type GameAct = (change: {
  readonly op: string;
  readonly game: string;
  readonly reason?: string;
}) => Promise<string | null>;

interface GameActionsProps {
  readonly game: Pick<GameInfo, 'key' | 'closed' | 'snaps' | 'sample'>;
  readonly name: string;
  readonly act: GameAct;
}

export function GameActions({ game, name, act }: GameActionsProps) {
  const say = useToast();
  const [asked, setAsked] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, begin] = useTransition();
  useWorking(busy, 'Changing the game');
  const [reason, setReason] = useState<string | null>(null);
  const run = (op: string, words: string): void =>
    begin(async () => {
      const why = await act({ op, game: game.key, ...(reason ? { reason } : {}) }).catch(
        () => 'The server does not answer; nothing was changed.',
      );
      setProblem(why);
      setAsked(false);
      // Findings that stand: a reason closes it all the same.
      setReason(op === 'close' && why !== null ? (reason ?? '') : null);
      if (why === null) say(words);
    });
  const button = (label: string, onClick: () => void, spoken = label) => (
    <button
      type="button"
      className="plain small"
      disabled={busy}
      onClick={onClick}
      aria-label={`${spoken} ${game.key}`}
    >
      {label}
    </button>
  );
  return (
    <span className="gameacts">
      {asked ? (
        <>
          <span className="small">
            {game.snaps > 0 ? `With its ${game.snaps} snaps, yours too?` : 'Take it out?'}
          </span>
          {button('remove it', () => run('remove', `${name} is removed.`), 'remove')}
          {button('keep it', () => setAsked(false), 'keep')}
        </>
      ) : (
        <>
          {game.closed
            ? button('reopen', () => run('reopen', `${name} is reopened.`), 'open')
            : button(reason === null ? 'close' : 'close all the same', () =>
                run('close', `${name} is closed: only a coordinator changes it now.`),
              )}
          {(game.sample || game.snaps === 0) && button('remove', () => setAsked(true), 'ask to remove')}
        </>
      )}
      {reason !== null && (
        <input
          aria-label={`why ${game.key} is closed all the same`}
          placeholder="why"
          value={reason}
          onChange={(e) => setReason(e.target.value)}
        />
      )}
      {problem && (
        <span className="small flagtext" role="alert">
          {problem}
        </span>
      )}
    </span>
  );
}
