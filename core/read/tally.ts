/** What is counted in cells: outcomes, figures, words. One pass over the rows for each, whatever the number of cells. */
import type { Cells } from './cells';
import { FIRST_VALUE, UNKNOWN, type Column, type Columns } from './columns';
import { outcomeOf, UNSAID, YES, type RateKey } from './outcomes';
import { meanPerGame, rateOfSums, wilson, type Mean, type Rate } from './rates';

/** Hits and all by cell; under weights also the sums of their weights and of the squares. */
export interface RateTally {
  readonly k: Uint32Array;
  readonly n: Uint32Array;
  readonly weighted: {
    readonly hit: Float64Array;
    readonly sum: Float64Array;
    readonly squares: Float64Array;
  } | null;
}

export const rateAt = ({ k, n, weighted }: RateTally, cell: number): Rate =>
  weighted === null
    ? wilson(k[cell]!, n[cell]!)
    : rateOfSums([k[cell]!, n[cell]!, weighted.hit[cell]!, weighted.sum[cell]!, weighted.squares[cell]!]);

/** Outcomes that one byte of a snap holds: three to the power of five. */
const TOGETHER = 5;
/** Counters that the 53 bits of a float hold, and the rows after which one could run over. */
const BITS = 17;
const FULL = 2 ** BITS - 1;

/** Outcomes of several measures as one byte a snap, made once. */
const bytes = new WeakMap<Columns, Map<string, Uint8Array>>();
function together(columns: Columns, keys: readonly RateKey[]): Uint8Array {
  let of = bytes.get(columns);
  if (!of) bytes.set(columns, (of = new Map()));
  const name = keys.join();
  let packed = of.get(name);
  if (!packed) {
    packed = new Uint8Array(columns.n);
    for (const key of keys) {
      const outcome = outcomeOf(columns, key);
      for (let i = 0; i < packed.length; i++) packed[i] = packed[i]! * 3 + outcome[i]!;
    }
    of.set(name, packed);
  }
  return packed;
}

/** Every rate of every cell. Whole snaps: three counters are added at once, in the bits of one float. */
export function tallyRates(
  columns: Columns,
  cells: Cells,
  keys: readonly RateKey[],
): Map<RateKey, RateTally> {
  const out = new Map<RateKey, RateTally>();
  const weight = columns.weight;
  if (weight !== null) {
    for (const key of keys) out.set(key, weighed(columns, cells, key, weight));
    return out;
  }
  const counters = (): Uint32Array => new Uint32Array(cells.size + 1);
  for (let from = 0; from < keys.length; from += TOGETHER) {
    const some = keys.slice(from, from + TOGETHER);
    const packed = together(columns, some);
    // What a byte adds: each measure has a counter of its hits and one of its snaps.
    const into = some.flatMap((key): readonly [Uint32Array, (outcome: number) => boolean][] => {
      const tally = { k: counters(), n: counters(), weighted: null };
      out.set(key, tally);
      return [
        [tally.k, (o) => o === YES],
        [tally.n, (o) => o !== UNSAID],
      ];
    });
    for (let first = 0; first < into.length; first += 3) {
      const three = into.slice(first, first + 3);
      const adds = Float64Array.from({ length: 3 ** some.length }, (_, byte) =>
        three.reduce((sum, [, says], i) => {
          const digit = Math.floor(byte / 3 ** (some.length - 1 - Math.floor((first + i) / 2))) % 3;
          return sum + (says(digit) ? 2 ** (BITS * i) : 0);
        }, 0),
      );
      addThree(
        cells,
        packed,
        adds,
        three.map(([counter]) => counter),
      );
    }
  }
  return out;
}

function addThree(
  { rows, at }: Cells,
  packed: Uint8Array,
  adds: Float64Array,
  into: readonly Uint32Array[],
): void {
  const sums = new Float64Array(into[0]!.length);
  for (let begin = 0; begin < rows.length; begin += FULL) {
    const end = Math.min(rows.length, begin + FULL);
    for (let i = begin; i < end; i++) sums[at[i]!]! += adds[packed[rows[i]!]!]!;
    for (let cell = 0; cell < sums.length; cell++) {
      let rest = sums[cell]!;
      if (rest === 0) continue;
      sums[cell] = 0;
      for (const counter of into) {
        const high = Math.floor(rest / 2 ** BITS);
        counter[cell]! += rest - high * 2 ** BITS;
        rest = high;
      }
    }
  }
}

function weighed(columns: Columns, { rows, at, size }: Cells, key: RateKey, weight: Float64Array): RateTally {
  const outcome = outcomeOf(columns, key);
  const [k, n] = [new Uint32Array(size + 1), new Uint32Array(size + 1)];
  const [hit, sum, squares] = [0, 1, 2].map(() => new Float64Array(size + 1)) as [
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  for (let i = 0; i < rows.length; i++) {
    const row = rows[i]!;
    const said = outcome[row]!;
    if (said === UNSAID) continue;
    const cell = at[i]!;
    const w = weight[row]!;
    n[cell]!++;
    sum[cell]! += w;
    squares[cell]! += w * w;
    if (said !== YES) continue;
    k[cell]!++;
    hit[cell]! += w;
  }
  return { k, n, weighted: { hit, sum, squares } };
}

export interface MeanTally {
  readonly sum: Float64Array;
  /** Of the snaps whose figure is known. */
  readonly weight: Float64Array;
  readonly n: Uint32Array;
  readonly least: Float64Array;
  readonly most: Float64Array;
}
/** A mean of figures, how many they are and the bounds they lie in; null where none is known. */
export interface MeanCell {
  readonly mean: number | null;
  readonly n: number;
  readonly least: number | null;
  readonly most: number | null;
}
export const meanAt = ({ sum, weight, n, least, most }: MeanTally, cell: number): MeanCell => ({
  mean: weight[cell] === 0 ? null : sum[cell]! / weight[cell]!,
  n: n[cell]!,
  least: n[cell] === 0 ? null : least[cell]!,
  most: n[cell] === 0 ? null : most[cell]!,
});

const signed = (x: number): string => String(x).replace('-', '−');
/** "of 34, 0.8 to 1.1"; where all are one figure only how many. */
export const meanText = ({ n, least, most }: MeanCell): string =>
  `of ${n}${least === null || least === most ? '' : `, ${signed(least)} to ${signed(most!)}`}`;

/** Sums of figures by cell; UNKNOWN and NaN are no figure. */
export function tallyMeans(
  columns: Columns,
  { rows, at, size }: Cells,
  figures: Int16Array | Float64Array,
): MeanTally {
  const [sum, weight] = [new Float64Array(size + 1), new Float64Array(size + 1)];
  const n = new Uint32Array(size + 1);
  const least = new Float64Array(size + 1).fill(Infinity);
  const most = new Float64Array(size + 1).fill(-Infinity);
  const weights = columns.weight;
  for (let i = 0; i < rows.length; i++) {
    const row = rows[i]!;
    const figure = figures[row]!;
    if (figure === UNKNOWN || figure !== figure) continue;
    const cell = at[i]!;
    const w = weights === null ? 1 : weights[row]!;
    sum[cell]! += w * figure;
    weight[cell]! += w;
    n[cell]!++;
    if (figure < least[cell]!) least[cell] = figure;
    if (figure > most[cell]!) most[cell] = figure;
  }
  return { sum, weight, n, least, most };
}

/** Snaps by cell and word of a field: `counts[cell * words + code]`. */
export interface WordTally {
  readonly column: Column;
  readonly counts: Uint32Array;
}
export function tallyWords({ rows, at, size }: Cells, column: Column): WordTally {
  const { codes, words } = column;
  const across = words.length;
  const counts = new Uint32Array((size + 1) * across);
  for (let i = 0; i < rows.length; i++) counts[at[i]! * across + codes[rows[i]!]!]!++;
  return { column, counts };
}

export interface WordCount {
  readonly word: string;
  readonly k: number;
}
/** The most used words of a cell, ties by the alphabet. */
export function topAt({ column: { words }, counts }: WordTally, cell: number, most: number): WordCount[] {
  const from = cell * words.length;
  const best: number[] = [];
  for (let code = FIRST_VALUE; code < words.length; code++) {
    const k = counts[from + code]!;
    if (k === 0) continue;
    let place = best.length;
    while (place > 0) {
      const other = best[place - 1]!;
      const theirs = counts[from + other]!;
      if (theirs > k || (theirs === k && words[other]! < words[code]!)) break;
      place--;
    }
    if (place >= most) continue;
    best.splice(place, 0, code);
    if (best.length > most) best.pop();
  }
  return best.map((code) => ({ word: words[code]!, k: counts[from + code]! }));
}

/** The share of each word of a field among the snaps of a cell that have one. */
export function tallyShares(
  columns: Columns,
  cells: Cells,
  column: Column,
): (cell: number, code: number) => Rate {
  const across = column.words.length;
  const { counts } = tallyWords(cells, column);
  const weight = columns.weight;
  const tagged = new Uint32Array(cells.size + 1);
  for (let cell = 0; cell <= cells.size; cell++)
    for (let code = FIRST_VALUE; code < across; code++) tagged[cell]! += counts[cell * across + code]!;
  if (weight === null) return (cell, code) => wilson(counts[cell * across + code]!, tagged[cell]!);
  const hit = new Float64Array(counts.length);
  const [sum, squares] = [new Float64Array(tagged.length), new Float64Array(tagged.length)];
  cells.rows.forEach((row, i) => {
    const code = column.codes[row]!;
    if (code < FIRST_VALUE) return;
    const cell = cells.at[i]!;
    const w = weight[row]!;
    hit[cell * across + code]! += w;
    sum[cell]! += w;
    squares[cell]! += w * w;
  });
  return (cell, code) => {
    const place = cell * across + code;
    return rateOfSums([counts[place]!, tagged[cell]!, hit[place]!, sum[cell]!, squares[cell]!]);
  };
}

/** The fourth quarter: film that reaches it is a game's. */
const LAST_QUARTER = '4';

/**
 * Of some of these rows, how many in a game: a game of the rows without any counts as none. A game whose film does not
 * reach the fourth quarter is half charted, and no measure of a game; where none does (no quarters, five men) all are.
 */
export function perGameIn(columns: Columns, among: Uint32Array): (some: Uint32Array) => Mean | null {
  const { codes, words } = columns.text.game;
  const tally = (rows: Uint32Array): Uint32Array => {
    const counts = new Uint32Array(words.length);
    for (let i = 0; i < rows.length; i++) counts[codes[rows[i]!]!]!++;
    return counts;
  };
  const played = tally(among);
  const { quarter } = columns.text;
  const last = quarter.codeOf.get(LAST_QUARTER);
  const late = tally(among.filter((row) => quarter.codes[row] === last));
  const measure = late.some((n) => n > 0) ? late : played;
  return (some) => meanPerGame([...tally(some)].filter((_, game) => measure[game]! > 0));
}

/** "2.8 a game (1.1 to 4.5)"; of a single game nothing: it is the count. */
export const perGameText = (mean: Mean | null): string =>
  mean === null || mean.low === null
    ? ''
    : `${mean.mean.toFixed(1)} a game (${mean.low.toFixed(1)} to ${mean.high!.toFixed(1)})`;
