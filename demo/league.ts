/** The season: twelve weeks of eight clubs, rosters, and what the demo's own staff has logged of it. */
import type { Snap } from '../core/snap/snap';
import { CLUBS, invent } from './clubs';
import { chartGame, withoutTheirMan } from './charting';
import { simulateGame } from './game';
import type { CallRecord, World } from './draft';
import { seededRandom, seedOf } from './random';

export const DEMO_SEED = 20260905;
export const PROGRAM = 'HER';
export const NEXT_OPPONENT = 'STG';
export const THIS_WEEK = 9;
export const SEASON = 2026;

export interface LeagueGame {
  readonly key: string;
  readonly week: number;
  readonly date: string;
  readonly home: string;
  readonly away: string;
  readonly snaps: readonly Snap[];
  readonly calls: readonly CallRecord[];
  readonly score: Readonly<Record<string, number>>;
}

/** Circle method: round r of eight clubs; weeks 8 to 12 repeat rounds 1 to 5 with the sides changed. */
export function fixtures(week: number): readonly (readonly [string, string])[] {
  const keys = CLUBS.map((c) => c.key);
  const round = (week - 1) % 7;
  const [fixed, ...ring] = keys as [string, ...string[]];
  const turned = ring.map((_, i) => ring[(i + round) % 7]!);
  const pairs: [string, string][] = [
    [fixed, turned[0]!],
    ...[1, 2, 3].map((i): [string, string] => [turned[i]!, turned[7 - i]!]),
  ];
  return week > 7 ? pairs.map(([a, b]) => [b, a]) : pairs;
}

const dateOf = (week: number): string =>
  new Date(Date.UTC(SEASON, 8, 5 + (week - 1) * 7)).toISOString().slice(0, 10);

export function simulateSeason(
  seed: number,
  options: { readonly tells: boolean; readonly weeks?: number; readonly world?: World } = { tells: true },
): LeagueGame[] {
  const games: LeagueGame[] = [];
  for (let week = 1; week <= (options.weeks ?? 12); week++) {
    for (const [home, away] of fixtures(week)) {
      const key = `${SEASON}-w${String(week).padStart(2, '0')}-${away}-${home}`.toLowerCase();
      games.push({
        key,
        week,
        date: dateOf(week),
        home,
        away,
        ...simulateGame({ key, home, away, seed, tells: options.tells, world: options.world }),
      });
    }
  }
  return games;
}

export interface DemoPlayer {
  readonly player: string;
  readonly name: string;
  readonly team: string;
  readonly number: string;
  readonly letters: string;
  readonly class: string;
  readonly height: number;
  readonly weight: number;
}

const POSITIONS: readonly (readonly [number: string, letters: string, height: number, weight: number])[] = [
  ['7', 'Q', 74, 205],
  ['12', 'Q', 73, 198],
  ['22', 'T', 70, 205],
  ['28', 'T', 69, 196],
  ['44', 'F', 72, 232],
  ['81', 'Z', 73, 188],
  ['11', 'X', 72, 184],
  ['84', 'H', 70, 180],
  ['88', 'Y', 77, 244],
  ['86', 'Y', 76, 240],
  ['72', 'LT', 78, 301],
  ['66', 'LG', 76, 296],
  ['55', 'C', 75, 292],
  ['64', 'RG', 76, 299],
  ['77', 'RT', 78, 305],
  ['3', 'K', 70, 172],
  ['9', 'P', 72, 180],
  ['90', 'E', 76, 252],
  ['95', 'E', 76, 248],
  ['97', 'N', 74, 300],
  ['92', 'T', 75, 290],
  ['54', 'M', 74, 231],
  ['41', 'W', 73, 222],
  ['33', 'S', 74, 214],
  ['21', 'C', 71, 182],
  ['24', 'C', 70, 178],
  ['5', 'N', 71, 186],
  ['6', 'F', 72, 195],
  ['26', 'S', 72, 202],
  // One number worn by two men: an offense and a defense player.
  ['11', 'B', 72, 208],
];

export function rosterOf(team: string): DemoPlayer[] {
  const random = seededRandom(seedOf('roster', team));
  return POSITIONS.map(([number, letters, height, weight], i) => ({
    player: `${team.toLowerCase()}-${String(i + 1).padStart(2, '0')}`,
    name: invent(random.int(0, 400), random.int(0, 400)),
    team,
    number,
    letters,
    class: random.pick(['Fr', 'So', 'Jr', 'Sr']),
    height: height + random.int(-1, 1),
    weight: weight + random.int(-6, 6),
  }));
}

export interface LoggedGame extends LeagueGame {
  /** Snaps logged so far; the rest of the film waits. */
  readonly logged: readonly Snap[];
}

/**
 * What the staff has logged by this week: all own games, and the next opponent's last games, the
 * newest of them only half; the whole ones went through a second pass. With the game against us the opponent has four whole games.
 */
export function loggedGames(season: readonly LeagueGame[]): LoggedGame[] {
  return season
    .filter(
      (leagueGame) =>
        leagueGame.week < THIS_WEEK &&
        (plays(leagueGame, PROGRAM) ||
          (plays(leagueGame, NEXT_OPPONENT) && leagueGame.week >= THIS_WEEK - 4)),
    )
    .map((leagueGame): LoggedGame => {
      if (!plays(leagueGame, NEXT_OPPONENT)) return { ...leagueGame, logged: leagueGame.snaps };
      if (leagueGame.week === THIS_WEEK - 1)
        return { ...leagueGame, logged: leagueGame.snaps.slice(0, halfWay(leagueGame.snaps)) };
      const charted = chartGame(leagueGame.snaps, DEMO_SEED);
      const hurt = HURT[THIS_WEEK - leagueGame.week];
      const snaps = hurt ? withoutTheirMan(charted, NEXT_OPPONENT, hurt) : charted;
      return { ...leagueGame, snaps, logged: snaps };
    });
}

/** Weeks ago in which the opponent lost a man at half-time, by the side he plays on. */
const HURT: Readonly<Record<number, 'offense' | 'defense'>> = { 2: 'offense', 3: 'defense', 4: 'offense' };

const plays = (g: LeagueGame, team: string): boolean => g.home === team || g.away === team;

/** The half-logged game stops at a first down of a possession late in the second quarter. */
function halfWay(snaps: readonly Snap[]): number {
  const at = snaps.findIndex(
    (snap, i) =>
      i >= 60 &&
      snap.offense === NEXT_OPPONENT &&
      snap.unit === 'scrimmage' &&
      snap.down === 1 &&
      snap.distance === 10 &&
      (snap.quarter ?? 0) === 2,
  );
  return at < 0 ? Math.floor(snaps.length / 2) : at;
}
