'use client';
/** Our base plays from pictures in which they have not seen them: much that is new for them, little that is new for us. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useMemo, useState, useTransition } from 'react';
import type { LevelProfile } from '@/core/field/profile';
import { playLook, type PlayCard } from '@/core/plan';
import { basePlays, type Wrinkle } from '@/core/plan/wrinkles';
import { wilson } from '@/core/read';
import { plural } from '@/core/rules/plural';
import { RateBar } from '../charts/RateBar';
import { Choice } from '../shared/Choice';
import { useAddPlay } from './useAddPlay';
import { useWrinkles } from './useWrinkles';
import type { PlanFilm } from './usePlanFilm';

interface WrinklesProps {
  readonly film: PlanFilm;
  readonly plays: readonly PlayCard[];
  readonly profile: LevelProfile;
  readonly team: string;
  readonly opponent: string;
  readonly opponentName: string;
  readonly mayEdit: boolean;
  readonly onReel: (name: string) => void;
  readonly onClose: () => void;
}

const nameOf = (card: Omit<PlayCard, 'id'>): string => playLook({ ...card, id: '' });

export default function Wrinkles(props: WrinklesProps) {
  const { film, plays, profile, team, opponent, opponentName, mayEdit, onReel, onClose } = props;
  const { columns } = film;
  const bases = useMemo(() => basePlays(plays, columns, team), [plays, columns, team]);
  const [wanted, setWanted] = useState<string | null>(null);
  const base = bases.find((b) => b.play.id === wanted) ?? bases[0] ?? null;
  const wrinkles = useWrinkles({ film, team, opponent, profile }, base);
  const add = useAddPlay();
  const [said, setSaid] = useState<{ readonly ok: boolean; readonly words: string } | null>(null);
  const [taken, setTaken] = useState<ReadonlySet<Wrinkle['card']>>(new Set());
  const [busy, begin] = useTransition();
  const take = ({ card }: Wrinkle): void =>
    begin(async () => {
      const answer = await add(card);
      setSaid(answer);
      // Not offered again while the store is silent: pressed twice it would stand twice.
      if (answer.ok) setTaken((before) => new Set([...before, card]));
    });
  const stands = ({ card }: Wrinkle): boolean =>
    taken.has(card) ||
    plays.some(
      (p) =>
        p.kind === card.kind &&
        p.concept === card.concept &&
        p.direction === card.direction &&
        nameOf(p) === nameOf(card),
    );
  return (
    <Dialog open onClose={onClose} maxWidth="lg" fullWidth aria-labelledby="wrinkles-title">
      <DialogTitle id="wrinkles-title">Wrinkles</DialogTitle>
      <DialogContent>
        {base === null ? (
          <p>No play of the list has five snaps on your film yet: what they have not seen, nothing hides.</p>
        ) : (
          <>
            <div className="toolbar" style={{ paddingTop: 8 }}>
              <Choice
                label="base play"
                value={base.play.id}
                width={260}
                options={bases.map(({ play, rows }) => [
                  play.id,
                  `${play.name}, ${plural(rows.length, 'snap')}`,
                ])}
                onChange={setWanted}
              />
              <span className="small quiet">
                from pictures in which your film does not hold it; line-ups of your film first, then what is
                most different for fewest new jobs
              </span>
            </div>
            {said && (
              <p role={said.ok ? 'status' : 'alert'} className={said.ok ? 'small' : 'flagtext'}>
                {said.words}
              </p>
            )}
            {wrinkles === null ? (
              <p role="status">Pictures for {base.play.name} are drawn …</p>
            ) : wrinkles.length === 0 ? (
              <p>The book draws no other picture for {base.play.name}.</p>
            ) : (
              <table className="rows tight" aria-label={`Wrinkles of ${base.play.name}`}>
                <thead>
                  <tr>
                    <th>picture</th>
                    <th className="n">looks new</th>
                    <th>new for us</th>
                    <th>from it they saw</th>
                    <th>{opponentName} faced the structure</th>
                    {mayEdit && <th>play list</th>}
                  </tr>
                </thead>
                <tbody>
                  {wrinkles.map((w) => {
                    const { card, lined, passes } = w;
                    return (
                      <tr key={nameOf(card)}>
                        <td>{nameOf(card)}</td>
                        <td className="n">{w.newForThem.toFixed(1)}</td>
                        <td>
                          {w.newForUs.length === 0
                            ? 'no job'
                            : `${w.newForUs.length} of ${w.men}: ${w.newForUs.join(', ')}`}
                        </td>
                        <td>
                          {lined.length === 0 ? (
                            'nothing: the line-up is new for us too'
                          ) : (
                            <RateBar
                              label="passes"
                              rate={wilson(passes, lined.length)}
                              onOpen={() => onReel(`|lined:${card.formation}:${card.motion ?? ''}`)}
                            />
                          )}
                        </td>
                        <td>
                          <RateBar
                            label={w.structure}
                            rate={wilson(w.faced.length, w.known)}
                            onOpen={w.faced.length > 0 ? () => onReel(`|faced:${w.structure}`) : undefined}
                          />
                        </td>
                        {mayEdit && (
                          <td>
                            {stands(w) ? (
                              <span className="quiet">stands on it</span>
                            ) : (
                              <button
                                type="button"
                                className="plain"
                                disabled={busy}
                                aria-label={`add ${card.name} to the play list`}
                                onClick={() => take(w)}
                              >
                                add
                              </button>
                            )}
                          </td>
                        )}
                      </tr>
                    );
                  })}
                </tbody>
              </table>
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
