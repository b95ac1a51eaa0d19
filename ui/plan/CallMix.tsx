'use client';
/** The calls of a section against their looks: the mix they could not punish beside the one that stands. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useEffect, useMemo, useState } from 'react';
import {
  against,
  filmsOf,
  mixGame,
  mixWorth,
  playCall,
  playLook,
  type SectionSpec,
  type SheetCall,
} from '@/core/plan';
import type { Columns } from '@/core/read';
import { uniform } from '@/core/stats/uniform';
import { SEED } from './useArgued';

interface CallMixProps {
  readonly section: SectionSpec;
  readonly calls: readonly SheetCall[];
  readonly columns: Columns;
  readonly team: string;
  readonly opponent: string;
  readonly opponentName: string;
  readonly solve: (payoff: readonly (readonly number[])[]) => Promise<readonly number[] | string>;
  readonly onReel: (name: string) => void;
  readonly onClose: () => void;
}

const percent = (share: number): string => `${Math.round(100 * share)} %`;
const points = (x: number): string => `${x < 0 ? '−' : ''}${Math.abs(100 * x).toFixed(1)}`;

export default function CallMix({
  section,
  calls,
  columns,
  team,
  opponent,
  opponentName,
  solve,
  onReel,
  onClose,
}: CallMixProps) {
  const game = useMemo(
    () =>
      mixGame(
        filmsOf(columns, team, opponent, section),
        calls.filter((call) => call.section === section.key).map((call) => call.play),
      ),
    [columns, team, opponent, section, calls],
  );
  const [safe, setSafe] = useState<readonly number[] | string | null>(null);
  const enough = game.calls.length > 1;
  useEffect(() => {
    if (!enough) return;
    let left = false;
    void solve(game.payoff)
      .catch(() => 'The server does not answer.')
      .then((mix) => left || setSafe(mix));
    return () => {
      left = true;
    };
  }, [solve, game, enough]);
  const mix = Array.isArray(safe) ? (safe as readonly number[]) : null;
  const worth = useMemo(() => (mix ? mixWorth(game, mix, uniform(SEED)) : null), [game, mix]);
  return (
    <Dialog open onClose={onClose} maxWidth="lg" fullWidth aria-labelledby="mix-title">
      <DialogTitle id="mix-title">Call mix: {section.label}</DialogTitle>
      <DialogContent>
        {!enough && (
          <p>
            Two plays with own film must stand in the section before there is a mix; it holds{' '}
            {game.calls.length === 0 ? 'none' : 'one'}.
          </p>
        )}
        {enough && safe === null && (
          <p role="status" aria-busy="true">
            Solving …
          </p>
        )}
        {typeof safe === 'string' && <p role="alert">{safe}</p>}
        {worth && mix && (
          <>
            <p>
              Called as it stands, each call as often as the next, {opponentName} could hold this section to{' '}
              <strong>{percent(worth.ours)}</strong> success by {game.looks[worth.worst]!.words}. The mix
              below is sure of <strong>{percent(worth.safe)}</strong> whatever they show: {points(worth.gain)}{' '}
              points of a hundred more, 95 % {points(worth.low)} to {points(worth.high)}.
            </p>
            <p className="small">
              Against what they have shown it would bring {percent(worth.safeShown)}, the calls as they stand{' '}
              {percent(worth.oursShown)}: the mix is for a defense that guesses, not for one that does what it
              did.
              {worth.low <= 0 ? ' The difference may be none: the film does not tell.' : ''}
            </p>
            <div style={{ overflowX: 'auto' }} tabIndex={0} role="region" aria-label="Calls against looks">
              <table className="rows">
                <thead>
                  <tr>
                    <th>play</th>
                    <th className="num">as it stands</th>
                    <th className="num">not to be punished</th>
                    {game.looks.map((look) => (
                      <th key={look.key} className="num">
                        <span className="small">{look.words}</span>
                      </th>
                    ))}
                  </tr>
                </thead>
                <tbody>
                  {game.calls.map(({ play, share }, i) => (
                    <tr key={play.id}>
                      <td>
                        {playLook(play)} · {playCall(play)}
                      </td>
                      <td className="num">{percent(share)}</td>
                      <td className="num">
                        <strong>{percent(mix[i]!)}</strong>
                      </td>
                      {game.looks.map((look, j) => {
                        const n = game.evidence[i]!.met[j]!.length;
                        return (
                          <td key={look.key} className="num">
                            {percent(game.payoff[i]![j]!)}{' '}
                            {n === 0 ? (
                              <span className="small quiet">never met</span>
                            ) : (
                              <button
                                type="button"
                                className="plain small"
                                onClick={() => onReel(`${play.id}|mix:${look.key}`)}
                              >
                                {game.evidence[i]!.good[j]} of {n}
                              </button>
                            )}
                          </td>
                        );
                      })}
                    </tr>
                  ))}
                  {(
                    [
                      ['as it stands', game.calls.map((c) => c.share)],
                      ['not to be punished', mix],
                    ] as const
                  ).map(([label, of]) => (
                    <tr key={label}>
                      <td colSpan={3}>
                        <strong>{label}</strong>
                      </td>
                      {against(game.payoff, of).map((s, j) => (
                        <td key={game.looks[j]!.key} className="num">
                          <strong>{percent(s)}</strong>
                        </td>
                      ))}
                    </tr>
                  ))}
                  <tr>
                    <td colSpan={3}>they show</td>
                    {game.looks.map((look) => (
                      <td key={look.key} className="num">
                        {percent(look.share)}{' '}
                        <button
                          type="button"
                          className="plain small"
                          onClick={() => onReel(`|mixtheirs:${look.key}`)}
                        >
                          n {look.theirs.length}
                        </button>
                      </td>
                    ))}
                  </tr>
                </tbody>
              </table>
            </div>
            {game.without.length > 0 && (
              <p className="small">
                Left out, without a snap of own film: {game.without.map((play) => play.name).join(', ')}.
              </p>
            )}
          </>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
