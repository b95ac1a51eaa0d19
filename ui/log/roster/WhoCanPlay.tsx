'use client';
/** Who of our own can play this week, and who says so. There is no place to say why. */
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useState } from 'react';
import {
  AVAILABILITIES,
  AVAILABILITY_SOURCES,
  type AvailabilityInfo,
  type RosterEntryInfo,
  type WeekAvailability,
} from '@/core/roster';
import { formatDay } from '../../plan/usage';
import { Choice } from '../../shared/Choice';
import type { SendChange } from './RosterRow';

interface WhoCanPlayProps {
  readonly roster: readonly RosterEntryInfo[];
  readonly availability: WeekAvailability;
  readonly say: SendChange;
}

const pairs = <T extends string>(words: readonly T[]) => words.map((w) => [w, w] as const);

export function WhoCanPlay({ roster, availability: { week, said, before }, say }: WhoCanPlayProps) {
  const [player, setPlayer] = useState('');
  const [state, setState] = useState<string>('out');
  const [source, setSource] = useState<string>('medical staff');
  // One man may wear two numbers.
  const men = [...new Map(roster.map((r) => [r.player, r])).values()];
  const nameOf = (key: string): string => {
    const man = men.find((m) => m.player === key);
    return man ? `#${man.number} ${man.name ?? ''}`.trim() : key;
  };
  const send = (of: string, to: { state: string; source: string } | null, done: string): Promise<boolean> =>
    say(
      { week, player: of, to, before: said.find((s) => s.player === of)?.state ?? null },
      `${nameOf(of)}: ${done}`,
    );
  const line = (info: AvailabilityInfo): string =>
    `${nameOf(info.player)}: ${info.state}, says ${info.source === 'the player' ? 'he' : `the ${info.source}`}`;
  return (
    <section className="card" aria-label="Who can play">
      <h2>Who can play{week === null ? '' : `, week ${week}`}</h2>
      {week === null ? (
        <p>
          The staff is in no week yet: <Link href="/staff">set its number</Link>, and who can play is said
          here.
        </p>
      ) : (
        <>
          {said.length === 0 && <p className="quiet">Nothing is said of anybody this week.</p>}
          <ul className="plainlist" aria-label="Said this week">
            {said.map((info) => (
              <li key={info.player}>
                {line(info)}{' '}
                <span className="small quiet">
                  {formatDay(info.at)}, typed by {info.by}
                </span>{' '}
                <button
                  type="button"
                  className="plain small"
                  aria-label={`clear what is said of ${nameOf(info.player)}`}
                  onClick={() => void send(info.player, null, 'cleared')}
                >
                  clear
                </button>
              </li>
            ))}
          </ul>
          {before.length > 0 && (
            <ul className="plainlist" aria-label="Said last week">
              {before.map((info) => (
                <li key={info.player} className="quiet">
                  last week {line(info)}{' '}
                  <button
                    type="button"
                    className="plain small"
                    aria-label={`${nameOf(info.player)} is still ${info.state}`}
                    onClick={() =>
                      void send(
                        info.player,
                        { state: info.state, source: info.source },
                        `still ${info.state}`,
                      )
                    }
                  >
                    still so
                  </button>
                </li>
              ))}
            </ul>
          )}
          <p className="toolbar">
            <Choice
              label="player"
              value={player}
              options={[['', 'choose'] as const, ...men.map((m) => [m.player, nameOf(m.player)] as const)]}
              onChange={setPlayer}
              width={150}
            />
            <Choice label="is" value={state} options={pairs(AVAILABILITIES)} onChange={setState} width={90} />
            <Choice
              label="says"
              value={source}
              options={pairs(AVAILABILITY_SOURCES)}
              onChange={setSource}
              width={120}
            />
            <Button
              disabled={player === ''}
              onClick={() => void send(player, { state, source }, state).then((ok) => ok && setPlayer(''))}
            >
              Say it
            </Button>
          </p>
        </>
      )}
      <p className="small quiet">
        Coordinators alone see this, and there is no place for a reason. Who plays is for your medical staff,
        by the rules of your association.
      </p>
    </section>
  );
}
