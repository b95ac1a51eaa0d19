/** How often a section comes up in a game, by what we do and by what is done against them; and how many calls that takes. */
import { select, type Columns } from '../read/columns';
import { meanPerGame, t95, type Mean } from '../read/rates';
import { sectionRows, type SectionSpec } from './sections';

/** Calls are enough for a section when none comes more often than this in a game (common practice). */
export const TIMES_A_CALL = 2;

export interface Sizing {
  /** Snaps a game with the 95 % interval of the mean; `n`: games of both films. Of both, halfway between them. */
  readonly expected: Mean;
  readonly ours: Mean | null;
  readonly theirs: Mean | null;
  /** Where one game of 20 falls outside; null: too few games to say. */
  readonly oneGame: { readonly low: number; readonly high: number } | null;
  /** Calls that are enough. */
  readonly suggested: number;
}

/** Snaps of the section in each game of a team, games without one too. */
function perGame(
  columns: Columns,
  section: SectionSpec,
  side: 'offense' | 'defense',
  team: string,
): number[] {
  const games = new Map<number, number>();
  const { game } = columns.text;
  for (const i of select(columns, { [side]: [team] })) games.set(game.codes[i]!, 0);
  for (const i of sectionRows(columns, section, { [side]: [team] }))
    games.set(game.codes[i]!, games.get(game.codes[i]!)! + 1);
  return [...games.values()];
}

const varianceOf = (counts: readonly number[]): number => {
  const mean = counts.reduce((a, b) => a + b, 0) / counts.length;
  return counts.reduce((a, c) => a + (c - mean) ** 2, 0) / (counts.length - 1);
};

/**
 * Halfway between the means of both films. Degrees of freedom by Satterthwaite (An approximate distribution of
 * estimates of variance components, 1946). Film of one side alone stands for itself; null: there is none.
 */
export function sizeOf(ours: readonly number[], theirs: readonly number[]): Sizing | null {
  const films = [ours, theirs].filter((counts) => counts.length > 0);
  if (films.length === 0) return null;
  const means = films.map((counts) => meanPerGame(counts)!);
  const mean = means.reduce((sum, m) => sum + m.mean, 0) / films.length;
  const n = films.reduce((sum, counts) => sum + counts.length, 0);
  const about = { ours: meanPerGame(ours), theirs: meanPerGame(theirs), suggested: callsFor(mean) };
  if (films.some((counts) => counts.length < 2))
    return { ...about, expected: { mean, n, low: null, high: null }, oneGame: null };
  const parts = films.map((counts) => varianceOf(counts) / counts.length / films.length ** 2);
  const error = parts.reduce((a, b) => a + b, 0);
  const freedom =
    error === 0
      ? n - films.length
      : error ** 2 / films.reduce((sum, counts, i) => sum + parts[i]! ** 2 / (counts.length - 1), 0);
  const t = t95(freedom);
  const between = films.reduce((sum, counts) => sum + varianceOf(counts), 0) / films.length;
  const around = (half: number): { low: number; high: number } => ({
    low: Math.max(0, mean - half),
    high: mean + half,
  });
  return {
    ...about,
    expected: { mean, n, ...around(t * Math.sqrt(error)) },
    oneGame: around(t * Math.sqrt(error + between)),
  };
}

const callsFor = (mean: number): number => Math.max(1, Math.ceil(mean / TIMES_A_CALL));

/** Of our offense in its games, and of offenses against their defense in theirs. */
export const sizeSection = (
  columns: Columns,
  team: string,
  opponent: string,
  section: SectionSpec,
): Sizing | null =>
  section.filter === null
    ? null
    : sizeOf(perGame(columns, section, 'offense', team), perGame(columns, section, 'defense', opponent));
