'use client';
/** A team's players: the roster, what they wore in a game, numbers on film that are nobody's. */
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { gameName } from '@/core/exchange/names';
import type { GameInfo, TeamInfo } from '@/core/exchange/types';
import type { RosterEntryInfo, WeekAvailability, Worn } from '@/core/roster';
import { Choice } from '../../shared/Choice';
import { useToast } from '../../shared/toasts';
import { AddPlayers } from './AddPlayers';
import { GamePeopleCard } from './GamePeopleCard';
import { MergePlayers } from './MergePlayers';
import { RosterRow } from './RosterRow';
import { WhoCanPlay } from './WhoCanPlay';

export type ChangeRoster = (change: unknown) => Promise<{ readonly ok: boolean; readonly words: string }>;
export interface PeopleOfGame {
  readonly worn: readonly { readonly unit: string; readonly number: string; readonly player: string }[];
  readonly letters: Readonly<Record<string, string>>;
}

export interface RosterScreenProps {
  readonly teams: readonly TeamInfo[];
  readonly team: string;
  readonly games: readonly GameInfo[];
  readonly game: string | null;
  readonly roster: readonly RosterEntryInfo[];
  readonly people: PeopleOfGame;
  /** Numbers of the team on the film of the game. */
  readonly worn: readonly Worn[];
  readonly nobodys: readonly Worn[];
  readonly letters: readonly string[];
  readonly mayMerge: boolean;
  readonly change: ChangeRoster;
  /** Null: another team, or this member may not. */
  readonly availability: WeekAvailability | null;
  readonly sayAvailability: ChangeRoster;
}

export function RosterScreen(props: RosterScreenProps) {
  const { teams, team, games, game, roster, worn, mayMerge, change, availability, sayAvailability } = props;
  const router = useRouter();
  const say = useToast();
  const [problem, setProblem] = useState<string | null>(null);
  const nameOf = (key: string): string => teams.find((t) => t.key === key)?.name ?? key;
  const sendBy =
    (door: ChangeRoster) =>
    async (what: unknown, done: string): Promise<boolean> => {
      const told = await door(what).catch(() => ({
        ok: false,
        words: 'The server does not answer; nothing was changed.',
      }));
      setProblem(told.ok ? null : told.words);
      if (told.ok) {
        say(told.words === '' ? done : `${done}: ${told.words}.`);
        router.refresh();
      }
      return told.ok;
    };
  const send = sendBy(change);
  const snapsOf = (number: string): number => worn.find((w) => w.number === number)?.n ?? 0;
  if (team === '')
    return <section className="card">No teams yet. Start a game, and its teams stand here.</section>;
  return (
    <div className="stack">
      <section className="card toolbar" aria-label="Team and game">
        <h1>Roster: {nameOf(team)}</h1>
        <span className="grow" />
        <Choice
          label="team"
          value={team}
          options={teams.map((t) => [t.key, t.name] as const)}
          onChange={(key) => router.push(`/log/rosters?team=${encodeURIComponent(key)}`)}
          width={190}
        />
        {game !== null && (
          <Choice
            label="game"
            value={game}
            options={games.map(
              (g) => [g.key, `${g.week === null ? '' : `week ${g.week}, `}${gameName(g, nameOf)}`] as const,
            )}
            onChange={(key) =>
              router.push(`/log/rosters?team=${encodeURIComponent(team)}&game=${encodeURIComponent(key)}`)
            }
            width={280}
          />
        )}
        <Link href="/log">games</Link>
      </section>
      {problem && (
        <div className="card flag" role="alert">
          {problem}
        </div>
      )}
      <div className="passgrid">
        <section className="card" aria-label="Players">
          {roster.length === 0 ? (
            <p>Nobody yet. Paste a roster on the right, or type the first player there.</p>
          ) : (
            <table className="rows tight roster">
              <thead>
                <tr>
                  <th>number</th>
                  <th>name</th>
                  <th>letters</th>
                  <th>depth</th>
                  <th>class</th>
                  <th>height</th>
                  <th>weight</th>
                  <th className="n">{game === null ? '' : 'snaps here'}</th>
                  <th>
                    <span className="hide">Remove</span>
                  </th>
                </tr>
              </thead>
              <tbody>
                {roster.map((entry) => (
                  <RosterRow
                    key={`${entry.id} ${JSON.stringify(entry)}`}
                    entry={entry}
                    snaps={snapsOf(entry.number)}
                    send={send}
                    onProblem={setProblem}
                  />
                ))}
              </tbody>
            </table>
          )}
        </section>
        <div className="stack">
          {availability && (
            <WhoCanPlay roster={roster} availability={availability} say={sendBy(sayAvailability)} />
          )}
          {game !== null && <GamePeopleCard {...props} game={game} send={send} />}
          <AddPlayers team={team} send={send} />
          {mayMerge && roster.length > 1 && <MergePlayers roster={roster} send={send} />}
        </div>
      </div>
    </div>
  );
}
