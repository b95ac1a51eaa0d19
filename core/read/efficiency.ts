/**
 * What drives and series came to: points, yards, first downs made, touchdowns from inside the twenty, and points
 * against what such first downs were worth. Of whole games: kicks and tries are needed to know the score after a drive.
 */
import type { CountedSnap } from './counted';
import { expectedPoints } from './expected-points';
import { drivesOf } from './drives';
import { FEW_COUNT, meanOf, tenths, wilson, type Mean, type Rate } from './rates';
import { sideField, type BoardSide } from './sides';
import { yardsOf } from './success';

/** A drive reached the red zone with a play from here on. */
export const RED_FROM = 20;

export interface EfficiencyFigure {
  readonly key: string;
  readonly label: string;
  readonly value: Rate | Mean;
  /** What stands behind it: plays of the drives or series counted, or that hit. */
  readonly rows: Uint32Array;
}

interface Whole {
  readonly snaps: readonly CountedSnap[];
  /** Plays of the side that count, unfiltered. */
  readonly rows: Uint32Array;
  readonly team: string;
  readonly side: Extract<BoardSide, 'offense' | 'defense'>;
}

/** The team's lead before a snap; null: the score is not known there. */
function leadAt({ snap: { offense, pointsFor, pointsAgainst } }: CountedSnap, team: string): number | null {
  if (pointsFor === null || pointsAgainst === null || offense === null) return null;
  return offense === team ? pointsFor - pointsAgainst : pointsAgainst - pointsFor;
}
function pointsAt({ snap: { offense, pointsFor, pointsAgainst } }: CountedSnap, team: string): number | null {
  return offense === null ? null : offense === team ? pointsFor : pointsAgainst;
}

/** The first snap of the game after these that is no try; null: the film ends. */
function after(snaps: readonly CountedSnap[], last: number): number | null {
  const { game } = snaps[last]!.snap;
  for (let i = last + 1; i < snaps.length && snaps[i]!.snap.game === game; i++)
    if (snaps[i]!.snap.unit !== 'try') return i;
  return null;
}

interface Series {
  readonly rows: readonly number[];
  readonly offense: string;
  /** A first down or a touchdown; null: the film does not say. */
  readonly made: boolean | null;
  /** Points gained by the offense less what the series was worth; null outside the table. */
  readonly added: number | null;
}

const half = (quarter: number | null): number | null =>
  quarter === null ? null : quarter <= 2 ? 1 : quarter <= 4 ? 2 : quarter;

/** A first and ten, or first and goal, from scrimmage: what the table is of. */
const isFirst = ({ snap: { down, distance, unit, toGoal } }: CountedSnap): boolean =>
  down === 1 && unit === 'scrimmage' && toGoal !== null && (distance === 10 || distance === toGoal);

/** From first down to first down: points scored meanwhile, what the next is worth to whom, less what this was worth. */
function addedBy(snaps: readonly CountedSnap[], from: number, to: number, offense: string): number | null {
  const start = snaps[from]!;
  if (!isFirst(start)) return null;
  const worth = expectedPoints(start.snap.toGoal!);
  const before = leadAt(start, offense);
  if (worth === null || before === null) return null;
  const { game, quarter } = start.snap;
  let next = to + 1;
  while (next < snaps.length && snaps[next]!.snap.game === game && !isFirst(snaps[next]!)) next++;
  const then = snaps[next];
  if (!then || then.snap.game !== game) return null;
  const lead = leadAt(then, offense);
  if (lead === null) return null;
  const points = lead - before;
  // The half ended: nothing was left to be gained.
  if (half(then.snap.quarter) !== half(quarter)) return points - worth;
  const left = expectedPoints(then.snap.toGoal!);
  return left === null ? null : points + (then.snap.offense === offense ? left : -left) - worth;
}

/** The first play from scrimmage after a series; undefined: the film of the game ends. */
function nextSeries(snaps: readonly CountedSnap[], to: number): CountedSnap | undefined {
  const { snap, series } = snaps[to]!;
  for (let i = to + 1; i < snaps.length && snaps[i]!.snap.game === snap.game; i++)
    if (snaps[i]!.series !== series && snaps[i]!.snap.unit === 'scrimmage') return snaps[i];
  return undefined;
}

function seriesOf(snaps: readonly CountedSnap[], rows: Uint32Array): Series[] {
  const lists = new Map<string, number[]>();
  for (const row of rows) {
    const { snap, series, possession } = snaps[row]!;
    if (possession === 0 || snap.unit === 'try' || snap.offense === null) continue;
    const key = `${snap.game}~${series}`;
    const list = lists.get(key);
    if (list) list.push(row);
    else lists.set(key, [row]);
  }
  return [...lists.values()].map((list): Series => {
    const from = list[0]!;
    const to = list[list.length - 1]!;
    const last = snaps[to]!;
    const offense = last.snap.offense!;
    const next = nextSeries(snaps, to);
    const scored = last.snap.score === 'touchdown' && last.snap.scoredBy === offense;
    const made =
      scored || (next !== undefined && next.possession === last.possession)
        ? true
        : next === undefined && last.driveEnd === null
          ? null
          : false;
    return { rows: list, offense, made, added: addedBy(snaps, from, to, offense) };
  });
}

/** Cost: linear in the snaps. */
export function efficiencyOf({ snaps, rows, team, side }: Whole): EfficiencyFigure[] {
  const mine = rows.filter((row) => snaps[row]!.snap[sideField(side)] === team);
  const drives = drivesOf(snaps, mine).map((drive) => {
    const first = snaps[drive.rows[0]!]!;
    const offense = first.snap.offense!;
    const next = after(snaps, drive.rows[drive.rows.length - 1]!);
    const [before, then] = [pointsAt(first, offense), next === null ? null : pointsAt(snaps[next]!, offense)];
    const yards = [...drive.rows].map((row) => yardsOf(snaps[row]!.snap) ?? 0).reduce((a, b) => a + b, 0);
    const red = [...drive.rows].some((row) => {
      const { toGoal } = snaps[row]!.snap;
      return toGoal !== null && toGoal <= RED_FROM;
    });
    return { ...drive, points: before === null || then === null ? null : then - before, yards, red };
  });
  const ended = drives.filter((d) => d.end !== null && d.end !== 'end of half');
  const pointed = drives.filter((d) => d.points !== null);
  const red = drives.filter((d) => d.red && d.end !== null);
  const series = seriesOf(snaps, mine);
  const said = series.filter((s) => s.made !== null);
  const valued = series.filter((s) => s.added !== null);
  const made = said.filter((s) => s.made);
  const touchdowns = red.filter((d) => d.end === 'touchdown');
  const scored = ended.filter((d) => d.end === 'touchdown' || d.end === 'field goal');
  return [
    meanFigure('points', 'points a drive', pointed, (d) => d.points!),
    meanFigure('yards', 'yards a drive', drives, (d) => d.yards),
    rateFigure('scored', 'drives that scored, ends of halves left out', scored, ended),
    rateFigure('red', `touchdowns of drives inside the ${RED_FROM}`, touchdowns, red),
    rateFigure('series', 'series with a first down or a touchdown', made, said),
    meanFigure('added', 'points added a series, 1971 professional values', valued, (s) => s.added!),
  ];
}

/** A drive, or a series. */
interface Stretch {
  readonly rows: Iterable<number>;
}
const rowsIn = (stretches: readonly Stretch[]): Uint32Array =>
  Uint32Array.from(stretches.flatMap((s) => [...s.rows])).sort();

const rateFigure = (
  key: string,
  label: string,
  hits: readonly Stretch[],
  all: readonly Stretch[],
): EfficiencyFigure => ({ key, label, value: wilson(hits.length, all.length), rows: rowsIn(hits) });

const meanFigure = <S extends Stretch>(
  key: string,
  label: string,
  all: readonly S[],
  of: (stretch: S) => number,
): EfficiencyFigure => ({
  key,
  label,
  value: meanOf(all.map(of)) ?? { mean: NaN, n: 0, low: null, high: null },
  rows: rowsIn(all),
});

/** The snaps of a figure by name, "e/<key>". */
export function efficiencyReel(
  name: string,
  whole: Whole,
): { readonly title: string; readonly rows: Uint32Array } {
  const figure = efficiencyOf(whole).find((f) => f.key === name.slice(2));
  return figure ? { title: figure.label, rows: figure.rows } : { title: '', rows: new Uint32Array(0) };
}

/** "n 12", "n 3, few". */
export const figureN = ({ n }: Mean): string => `n ${n}${n < FEW_COUNT ? ', few' : ''}`;

/** "2.1 (1.4 to 2.8)"; of few figures the mean alone: bounds of two or three drives would be absurd. */
export const figureText = ({ mean, n, low, high }: Mean): string =>
  low === null || high === null || n < FEW_COUNT
    ? tenths(mean)
    : `${tenths(mean)} (${tenths(low)} to ${tenths(high)})`;
