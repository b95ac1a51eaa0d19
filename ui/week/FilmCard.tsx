import Link from 'next/link';
import type { GameInfo } from '@/core/exchange/types';
import { gameName } from '@/core/exchange/names';
import { downWord, formatClock } from '@/core/field';
import { gameScope } from '@/core/sync';
import { Waiting } from '../sync/Waiting';

/** A game and how far its log goes. */
export interface FilmLog {
  readonly game: GameInfo;
  readonly snaps: number;
  readonly state: 'empty' | 'partial' | 'whole';
  /** Where the last logged snap was. */
  readonly stops: { readonly quarter: number; readonly clock: number | null } | null;
  readonly toFix: { readonly count: number; readonly first: string | null };
}

interface FilmCardProps {
  readonly title: string;
  readonly games: readonly FilmLog[];
  readonly name: (team: string) => string;
}

const stateWords = ({ state, stops }: FilmLog): string =>
  state === 'empty'
    ? 'not begun'
    : state === 'whole' || stops === null
      ? 'to the end'
      : `stops in the ${downWord(stops.quarter)} quarter${stops.clock === null ? '' : `, ${formatClock(stops.clock)}`}`;

/** Games with how far each is logged and what is to fix. */
export function FilmCard({ title, games, name }: FilmCardProps) {
  return (
    <section className="card">
      <header>
        <h2>{title}</h2>
        <span className="small">
          {games.length} {games.length === 1 ? 'game' : 'games'}, {games.reduce((n, g) => n + g.snaps, 0)}{' '}
          snaps
        </span>
      </header>
      {games.length === 0 ? (
        <p className="quiet">
          None yet. <Link href="/log">Start a game</Link> or <Link href="/log/import">import a file</Link>.
        </p>
      ) : (
        <table className="rows">
          <thead>
            <tr>
              <th>Week</th>
              <th>Game</th>
              <th className="n">Snaps</th>
              <th>Log</th>
              <th className="n">To fix</th>
            </tr>
          </thead>
          <tbody>
            {games.map((log) => (
              <tr key={log.game.key}>
                <td>{log.game.week ?? ''}</td>
                <td>
                  <Link href={`/log/${log.game.key}`}>{gameName(log.game, name)}</Link>
                </td>
                <td className="n">
                  {log.snaps}
                  <Waiting scope={gameScope(log.game.key)} />
                </td>
                <td>{stateWords(log)}</td>
                <td className="n">
                  {log.toFix.first !== null && (
                    <Link href={`/log/${log.game.key}?snap=${log.toFix.first}`}>{log.toFix.count}</Link>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}
