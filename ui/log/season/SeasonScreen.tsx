'use client';
/** The season's film: which games there are, how far each is charted, who lines up like us, and games to trade. */
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useOptimistic, useState, useTransition } from 'react';
import { gameName } from '@/core/exchange/names';
import type { GameInfo, TeamInfo } from '@/core/exchange/types';
import { GAME_WEIGHTS } from '@/core/read/weights';
import { CAMERAS, PURPOSES } from '@/core/table/film';
import { Choice } from '../../shared/Choice';
import { SharpestCard, type Sharpest } from './SharpestCard';

interface ChartedGame {
  readonly game: GameInfo;
  readonly toFix: number;
  readonly passes: readonly { readonly name: string; readonly done: number; readonly of: number }[];
}
interface SeasonScreenProps {
  readonly team: string;
  /** The team whose film is shown; none: all. */
  readonly wanted: string;
  readonly sharpest: Sharpest | null;
  readonly teams: readonly TeamInfo[];
  readonly games: readonly ChartedGame[];
  /** Offenses by how far their structures are from ours, bits. */
  readonly like: readonly { readonly team: string; readonly bits: number; readonly n: number }[];
  readonly n: number;
  readonly privateFields: readonly string[];
  readonly mayTrade: boolean;
  readonly describe: (change: FilmChange) => Promise<string | null>;
}
type FilmChange = { readonly game: string } & Partial<Pick<GameInfo, 'angle' | 'purpose' | 'weight'>>;
const CAMERA_WORDS = {
  sideline: 'sideline',
  end_zone_offense: 'end zone, behind the offense',
  end_zone_defense: 'end zone, behind the defense',
  broadcast: 'broadcast',
  drone: 'drone',
} as const;
const PURPOSE_WORDS = { opponent: 'opponent', own: 'our own', neutral: 'study' } as const;
const MOST_TRADED = 20;

/** Whole, half, left out; and what a file said, if that is none of them. */
function weightChoices(weight: number | null): readonly (readonly [string, string])[] {
  const words = (w: number): string =>
    w === 1 ? 'whole' : w === 0.5 ? 'half' : w === 0 ? 'left out' : `${w}`;
  const all = [...new Set([...GAME_WEIGHTS, weight ?? 1])].sort((a, b) => b - a);
  return all.map((w) => [String(w), words(w)]);
}

export function SeasonScreen({
  team,
  wanted,
  sharpest,
  teams,
  games: known,
  like,
  n,
  privateFields,
  mayTrade,
  describe,
}: SeasonScreenProps) {
  const router = useRouter();
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [problem, setProblem] = useState<string | null>(null);
  const [saved, setSaved] = useState(false);
  const [saving, start] = useTransition();
  // What is chosen stands at once; what the server says stands after.
  const [games, expect] = useOptimistic(known, (list, { game: key, ...change }: FilmChange) =>
    list.map((g) => (g.game.key === key ? { ...g, game: { ...g.game, ...change } } : g)),
  );
  const nameOf = (key: string): string => teams.find((t) => t.key === key)?.name ?? key;
  const shown = games.filter(({ game }) => wanted === '' || game.home === wanted || game.away === wanted);
  const say = (change: FilmChange): void =>
    start(async () => {
      expect(change);
      const why = await describe(change).catch(() => 'The server does not answer; nothing was changed.');
      setProblem(why);
      setSaved(why === null);
      if (why === null) router.refresh();
    });
  const toggle = (key: string): void => {
    const next = new Set(chosen);
    if (!next.delete(key)) next.add(key);
    setChosen(next);
  };
  const address = `/api/export/trade?${[...chosen].map((key) => `game=${encodeURIComponent(key)}`).join('&')}`;
  return (
    <div className="stack">
      <section className="card toolbar" aria-label="Season">
        <h1>Season film</h1>
        <Choice
          label="team"
          value={wanted}
          options={[['', 'all teams'] as const, ...teams.map((t) => [t.key, t.name] as const)]}
          onChange={(to) => router.push(`/log/season${to === '' ? '' : `?team=${encodeURIComponent(to)}`}`)}
          width={200}
        />
        <span className="grow" />
        <span className="small quiet" role="status">
          {saving ? 'saving…' : saved ? 'saved' : ''}
        </span>
        <span className="small quiet">
          {shown.length} {shown.length === 1 ? 'game' : 'games'}
        </span>
        <Link href="/log">games</Link>
      </section>
      {problem && (
        <div className="card flag" role="alert">
          {problem}
        </div>
      )}
      <div className="passgrid season">
        <section className="card" aria-label="Games of the season">
          <table className="rows tight">
            <thead>
              <tr>
                {mayTrade && (
                  <th>
                    <span className="hide">Trade</span>
                  </th>
                )}
                <th>week</th>
                <th>game</th>
                <th>camera</th>
                <th>charted for</th>
                <th>counts</th>
                <th className="n">snaps</th>
                <th>passes charted</th>
              </tr>
            </thead>
            <tbody>
              {shown.map(({ game, toFix, passes }) => {
                const name = gameName(game, nameOf);
                return (
                  <tr key={game.key}>
                    {mayTrade && (
                      <td>
                        <input
                          type="checkbox"
                          aria-label={`trade ${name}`}
                          checked={chosen.has(game.key)}
                          disabled={!chosen.has(game.key) && chosen.size >= MOST_TRADED}
                          onChange={() => toggle(game.key)}
                        />
                      </td>
                    )}
                    <td>{game.week ?? ''}</td>
                    <td>
                      <Link href={`/log/${encodeURIComponent(game.key)}`}>{name}</Link>
                      <span className="small quiet">
                        {game.phase === 'regular' ? '' : ` · ${game.phase.replace(/_/g, ' ')}`}
                        {game.closed ? ' · closed' : ''}
                        {toFix > 0 ? ` · ${toFix} to fix` : ''}
                      </span>
                    </td>
                    <td>
                      <select
                        aria-label={`camera of ${name}`}
                        value={game.angle ?? ''}
                        onChange={(e) => say({ game: game.key, angle: e.target.value || null })}
                      >
                        <option value="">not said</option>
                        {CAMERAS.map((c) => (
                          <option key={c} value={c}>
                            {CAMERA_WORDS[c]}
                          </option>
                        ))}
                      </select>
                    </td>
                    <td>
                      <select
                        aria-label={`purpose of ${name}`}
                        value={game.purpose ?? ''}
                        onChange={(e) => say({ game: game.key, purpose: e.target.value || null })}
                      >
                        <option value="">not said</option>
                        {PURPOSES.map((c) => (
                          <option key={c} value={c}>
                            {PURPOSE_WORDS[c]}
                          </option>
                        ))}
                      </select>
                    </td>
                    <td>
                      <select
                        aria-label={`what ${name} counts in reports`}
                        value={String(game.weight ?? 1)}
                        onChange={(e) =>
                          say({
                            game: game.key,
                            weight: e.target.value === '1' ? null : Number(e.target.value),
                          })
                        }
                      >
                        {weightChoices(game.weight).map(([value, words]) => (
                          <option key={value} value={value}>
                            {words}
                          </option>
                        ))}
                      </select>
                    </td>
                    <td className="n">{game.snaps}</td>
                    <td className="small">
                      {passes.filter((p) => p.done > 0).length === 0
                        ? 'none yet'
                        : passes
                            .filter((p) => p.done > 0)
                            .map((p) => `${p.name} ${p.done} of ${p.of}`)
                            .join(' · ')}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </section>
        <div className="stack">
          {sharpest && (
            <SharpestCard team={nameOf(wanted)} sharpest={sharpest} nameOf={nameOf} games={known} />
          )}
          <section className="card" aria-label="Who lines up like us">
            <h2>Who lines up like us</h2>
            {like.length === 0 ? (
              <p className="small quiet">
                {n === 0
                  ? `No offense of ${nameOf(team)} is charted yet.`
                  : 'No other offense is charted yet.'}
              </p>
            ) : (
              <table className="rows tight">
                <thead>
                  <tr>
                    <th>offense</th>
                    <th className="n">distance</th>
                    <th className="n">snaps</th>
                  </tr>
                </thead>
                <tbody>
                  {like.map((l) => (
                    <tr key={l.team}>
                      <td>{nameOf(l.team)}</td>
                      <td className="n">{l.bits.toFixed(3)}</td>
                      <td className="n">{l.n}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            )}
            <p className="small quiet">
              Jensen–Shannon distance in bits of the structures at the snap (2x2, 3x1 …) from our {n} snaps: 0
              is the same shares, 1 nothing in common.
            </p>
          </section>
          {mayTrade && (
            <section className="card" aria-label="Trade games">
              <h2>Trade with another staff</h2>
              <p className="small">
                {chosen.size === 0
                  ? 'Tick the games to give away.'
                  : `${chosen.size} ${chosen.size === 1 ? 'game' : 'games'} chosen.`}{' '}
                {chosen.size > 0 && (
                  <a className="door" href={address}>
                    download the package
                  </a>
                )}
              </p>
              <p className="small quiet">
                Left out, with a list in the package: who set which tag, players, and{' '}
                {privateFields.join(', ')}. Only the terms these games use go along; whoever imports it reads
                them in his own words.
              </p>
            </section>
          )}
        </div>
      </div>
    </div>
  );
}
