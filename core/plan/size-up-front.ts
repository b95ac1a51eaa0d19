/**
 * How heavy both lines are, and what our runs came to against fronts as heavy as this week's and against lighter ones:
 * a bad day in a game in which size always cost so much is no alarm about the scheme.
 */
import { mean } from 'd3-array';
import type { RosterEntryInfo } from '../roster';
import { countText, differenceOf, intervalText, type Rate } from '../read/rates';
import { rateAmong, UNSAID } from '../read/outcomes';
import { select, wordAt, type Columns } from '../read/columns';

export type Weighed = Pick<RosterEntryInfo, 'number' | 'letters' | 'depth' | 'weight'>;
/** The men that were taken for a line or a front; pounds. */
export interface Heft {
  readonly mean: number;
  readonly numbers: readonly string[];
}
export interface TeamHeft {
  readonly team: string;
  /** Null: too few of them are on the roster with a weight. */
  readonly line: Heft | null;
  readonly front: Heft | null;
}

interface Unit {
  readonly sure: RegExp;
  readonly maybe: readonly (readonly [letters: RegExp, most: number])[];
  readonly men: number;
  /** Of fewer nothing is said. */
  readonly least: number;
}
/**
 * Letters that say it alone, by starters; then one after the other, the heaviest first, letters that on some rosters are
 * another man's: a C may be a corner, a T a back, an N a nickel, an E a receiver, and none is as heavy (common practice).
 */
const LINE: Unit = {
  sure: /^(LT|LG|RG|RT|OL|OT|OG)$/,
  maybe: [
    [/^C$/, 1],
    [/^G$/, 2],
    [/^T$/, 2],
  ],
  men: 5,
  least: 4,
};
const FRONT: Unit = { sure: /^(DE|DT|NT|NG|DL)$/, maybe: [[/^[ENT]$/, 4]], men: 4, least: 3 };
function heftOf(roster: readonly Weighed[], { sure, maybe, men, least }: Unit): Heft | null {
  const has = (e: Weighed, letters: RegExp): boolean =>
    (e.letters ?? '').split(/[/,-]/).some((l) => letters.test(l.trim().toUpperCase()));
  const known = roster.filter((e) => e.weight !== null);
  const heaviest = (a: Weighed, b: Weighed): number => b.weight! - a.weight!;
  const first = known
    .filter((e) => has(e, sure))
    .sort((a, b) => (a.depth ?? 1) - (b.depth ?? 1) || heaviest(a, b));
  const then = maybe.flatMap(([letters, most]) =>
    known
      .filter((e) => !first.includes(e) && has(e, letters))
      .sort(heaviest)
      .slice(0, most),
  );
  const taken = [...first, ...then].slice(0, men);
  return taken.length < least
    ? null
    : { mean: mean(taken, (e) => e.weight!)!, numbers: taken.map((e) => e.number) };
}

/** Whoever stands in the line is not in the front: letters like T are both. */
export function heftsOf(team: string, roster: readonly Weighed[]): TeamHeft {
  const line = heftOf(roster, LINE);
  const rest = roster.filter((e) => !line?.numbers.includes(e.number));
  return { team, line, front: heftOf(rest, FRONT) };
}

/** Our runs whose success is known, in games against these teams. */
export const runsAgainst = (columns: Columns, team: string, teams: readonly string[]): Uint32Array =>
  teams.length === 0
    ? new Uint32Array(0)
    : select(columns, { offense: [team], play: ['run'], defense: teams }).filter(
        (row) => columns.success[row] !== UNSAID,
      );

interface Against {
  readonly teams: readonly string[];
  readonly rate: Rate;
}
export interface SizeUpFront {
  readonly line: Heft;
  readonly front: Heft;
  /** Their front less our line, pounds a man. */
  readonly gap: number;
  /** Our runs in games against fronts at least so heavy, and against lighter ones. */
  readonly asHeavy: Against;
  readonly lighter: Against;
  /** Our runs against teams whose front nobody has weighed. */
  readonly unknown: number;
}

/** Null: one of the two is not known. */
export function sizeUpFront(
  columns: Columns,
  team: string,
  opponent: string,
  hefts: readonly TeamHeft[],
): SizeUpFront | null {
  const line = hefts.find((h) => h.team === team)?.line;
  const front = hefts.find((h) => h.team === opponent)?.front;
  if (!line || !front) return null;
  const weighed = hefts.flatMap((h) =>
    h.front && h.team !== team ? [{ team: h.team, mean: h.front.mean }] : [],
  );
  const among = (these: typeof weighed): Against => {
    const teams = these.map((h) => h.team);
    return { teams, rate: rateAmong(columns, runsAgainst(columns, team, teams), 'success').rate };
  };
  const known = new Set(weighed.map((h) => h.team));
  return {
    line,
    front,
    gap: front.mean - line.mean,
    asHeavy: among(weighed.filter((h) => h.mean >= front.mean)),
    lighter: among(weighed.filter((h) => h.mean < front.mean)),
    unknown: select(columns, { offense: [team], play: ['run'] }).filter(
      (row) => !known.has(wordAt(columns.text.defense, row) ?? ''),
    ).length,
  };
}

const pounds = (heft: Heft): string =>
  `${Math.round(heft.mean)} lb (${heft.numbers.map((n) => `#${n}`).join(', ')})`;

/** What is to be made of it: a difference that the intervals carry, or none. */
export function sizeVerdict({ asHeavy, lighter }: SizeUpFront): string {
  const apart = differenceOf(asHeavy.rate, lighter.rate);
  if (apart === null) return 'Only one kind of front has been played: nothing to compare.';
  const points = (x: number): string => `${x < 0 ? '−' : '+'}${Math.abs(Math.round(100 * x))}`;
  const between = `${points(apart.low)} to ${points(apart.high)} points apart`;
  return apart.high < 0
    ? `Size has cost us (${between}): a day inside the first interval is no alarm about the scheme.`
    : `No cost of size can be told (${between}): a bad day is not explained by weight.`;
}
export const sizeWords = ({ line, front, gap }: SizeUpFront): string =>
  `Our line ${pounds(line)}, their front ${pounds(front)}: theirs is ${Math.abs(Math.round(gap))} lb a man ${gap < 0 ? 'lighter' : 'heavier'}. Who is meant by the letters of a roster is a guess; look at the numbers.`;
export const sizeRate = ({ rate }: Against): string =>
  `${countText(rate)} runs successful (${intervalText(rate)})`;
