'use client';
/** Who was who in one game: letters and numbers, numbers two men wore, numbers that are nobody's. */
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useState } from 'react';
import { swapLetters, WEARING_UNITS, type RosterEntryInfo, type Worn } from '@/core/roster';
import { Choice } from '../../shared/Choice';
import type { PeopleOfGame } from './RosterScreen';
import type { SendChange } from './RosterRow';

interface GamePeopleProps {
  readonly team: string;
  readonly game: string;
  readonly roster: readonly RosterEntryInfo[];
  readonly people: PeopleOfGame;
  readonly nobodys: readonly Worn[];
  readonly letters: readonly string[];
  readonly send: SendChange;
}
const BLANK = { unit: 'offense', number: '', player: '', letter: '', swap: '' };

export function GamePeopleCard({ team, game, roster, people, nobodys, letters, send }: GamePeopleProps) {
  const [draft, setDraft] = useState(BLANK);
  const set = (more: Partial<typeof BLANK>): void => setDraft({ ...draft, ...more });
  const nameOf = (player: string): string => roster.find((r) => r.player === player)?.name ?? player;
  const keepLetters = (map: Readonly<Record<string, string>>, done: string): void =>
    void send({ op: 'letters', game, team, letters: map }, done).then(
      (ok) => ok && set({ letter: '', number: '', swap: '' }),
    );
  const set_ = Object.entries(people.letters);
  const filled = set_.map(([letter]) => [letter, letter] as const);
  return (
    <section className="card" aria-label="In this game">
      <h2>In this game</h2>
      <h3>Letters</h3>
      {set_.length === 0 ? (
        <p className="small quiet">
          Say who stands at a letter today, and <span className="mono">#h</span> in the snap line is his
          number.
        </p>
      ) : (
        <ul className="chips" aria-label="Letters of this game">
          {set_.map(([letter, number]) => (
            <li key={letter}>
              <strong>{letter}</strong> #{number}
              <button
                type="button"
                className="plain"
                aria-label={`clear ${letter}`}
                onClick={() => {
                  const { [letter]: _, ...rest } = people.letters;
                  keepLetters(rest, `${letter} is cleared`);
                }}
              >
                ×
              </button>
            </li>
          ))}
        </ul>
      )}
      <p className="toolbar">
        <Choice
          label="letter"
          value={draft.letter}
          options={[['', 'choose'] as const, ...letters.map((l) => [l, l] as const)]}
          onChange={(letter) => set({ letter })}
          width={90}
        />
        <span className="choice">
          <label htmlFor="letter-number">number</label>
          <input
            id="letter-number"
            size={3}
            inputMode="numeric"
            value={draft.number}
            onChange={(e) => set({ number: e.target.value.trim() })}
          />
        </span>
        <Button
          disabled={draft.letter === '' || !/^\d{1,2}$/.test(draft.number)}
          onClick={() =>
            keepLetters(
              { ...people.letters, [draft.letter]: draft.number },
              `${draft.letter} is #${draft.number}`,
            )
          }
        >
          Save letter
        </Button>
        {filled.length > 1 && (
          <>
            <Choice
              label="swap it with"
              value={draft.swap}
              options={[['', 'choose'] as const, ...filled]}
              onChange={(swap) => set({ swap })}
              width={90}
            />
            <Button
              disabled={draft.letter === '' || draft.swap === '' || draft.letter === draft.swap}
              onClick={() =>
                keepLetters(
                  swapLetters(people.letters, draft.letter, draft.swap),
                  `${draft.letter} and ${draft.swap} are swapped`,
                )
              }
            >
              Swap
            </Button>
          </>
        )}
      </p>
      <h3>Numbers two men wear</h3>
      {people.worn.length > 0 && (
        <ul className="plainlist small">
          {people.worn.map((w) => (
            <li key={`${w.unit} ${w.number}`}>
              #{w.number} on {w.unit}: {nameOf(w.player)}{' '}
              <button
                type="button"
                className="plain"
                aria-label={`clear number ${w.number} on ${w.unit}`}
                onClick={() =>
                  void send(
                    { op: 'worn', game, team, unit: w.unit, number: w.number, player: null },
                    `#${w.number} is cleared`,
                  )
                }
              >
                clear
              </button>
            </li>
          ))}
        </ul>
      )}
      <p className="toolbar">
        <Choice
          label="on"
          value={draft.unit}
          options={WEARING_UNITS.map((u) => [u, u === 'special' ? 'special teams' : u] as const)}
          onChange={(unit) => set({ unit })}
          width={110}
        />
        <Choice
          label="number above is"
          value={draft.player}
          options={[
            ['', 'choose'] as const,
            ...roster.map((r) => [r.player, `${r.name ?? r.player} (#${r.number})`] as const),
          ]}
          onChange={(player) => set({ player })}
          width={150}
        />
        <Button
          disabled={draft.player === '' || !/^\d{1,2}$/.test(draft.number)}
          onClick={() =>
            void send(
              { op: 'worn', game, team, unit: draft.unit, number: draft.number, player: draft.player },
              `#${draft.number} is ${nameOf(draft.player)}`,
            ).then((ok) => ok && set({ number: '', player: '' }))
          }
        >
          Save number
        </Button>
      </p>
      <h3>Numbers nobody has</h3>
      {nobodys.length === 0 ? (
        <p className="small quiet">Every number on this film is on the roster.</p>
      ) : (
        <ul className="plainlist small" aria-label="Numbers nobody has">
          {nobodys.map((w) => (
            <li key={w.number}>
              <strong>#{w.number}</strong> on {w.n} {w.n === 1 ? 'snap' : 'snaps'},{' '}
              <Link href={`/log/${encodeURIComponent(game)}?snap=${encodeURIComponent(w.snaps[0]!)}`}>
                the first
              </Link>
              <button
                type="button"
                className="plain"
                onClick={() =>
                  void send(
                    {
                      op: 'add',
                      team,
                      lines: [
                        {
                          number: w.number,
                          name: null,
                          letters: null,
                          class: null,
                          height: null,
                          weight: null,
                          depth: null,
                        },
                      ],
                    },
                    `#${w.number} is on the roster`,
                  )
                }
              >
                add him
              </button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
