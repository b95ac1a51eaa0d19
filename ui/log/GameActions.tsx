'use client';
/** Closing, reopening and taking out a game, with what came of it. */
import { useState, useTransition } from 'react';
import type { GameInfo } from '@/core/exchange/types';
import { useToast, useWorking } from '../shared/toasts';

/** Null when it was done, else why not. */
export type GameAct = (change: { readonly op: string; readonly game: string }) => Promise<string | null>;

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
  const run = (op: string, words: string): void =>
    begin(async () => {
      const why = await act({ op, game: game.key }).catch(
        () => 'The server does not answer; nothing was changed.',
      );
      setProblem(why);
      setAsked(false);
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
            : button('close', () => run('close', `${name} is closed: only a coordinator changes it now.`))}
          {(game.sample || game.snaps === 0) && button('remove', () => setAsked(true), 'ask to remove')}
        </>
      )}
      {problem && (
        <span className="small flagtext" role="alert">
          {problem}
        </span>
      )}
    </span>
  );
}
