/** Rates with their doubt. */
import { kish } from './weights';

export interface Rate {
  readonly k: number;
  readonly n: number;
  /** Weighted; k / n where every snap counts whole. Null when n is 0. */
  readonly share: number | null;
  /** Snaps that n is worth: n itself, or Kish's effective size under weights. */
  readonly worth: number;
  /** 95 % Wilson bounds in 0…1; null when n is 0: no data is not a rate of zero. */
  readonly low: number | null;
  readonly high: number | null;
}

/** Standard normal quantile for a two-sided 95 % interval. */
const Z95 = 1.959963984540054;

/**
 * Rate k of n with its 95 % Wilson score interval, (2np + z² ± z√(z² + 4npq)) / 2(n + z²).
 * Zero successes keep an upper bound. Throws on k outside 0…n.
 * Source: Wilson 1927; checked against Newcombe 1998, Statistics in Medicine 17:857.
 */
export function wilson(k: number, n: number): Rate {
  if (!Number.isInteger(k) || !Number.isInteger(n) || k < 0 || k > n)
    throw new RangeError(`rate ${k} of ${n} is not 0 ≤ k ≤ n in whole numbers`);
  return n === 0
    ? { k, n, share: null, worth: 0, low: null, high: null }
    : { k, n, share: k / n, worth: n, ...score(k, n) };
}

/** The bounds, for whole numbers and for effective ones. */
function score(k: number, n: number): { readonly low: number; readonly high: number } {
  const z2 = Z95 * Z95;
  const spread = Z95 * Math.sqrt(z2 + (4 * k * (n - k)) / n);
  return {
    low: k === 0 ? 0 : (2 * k + z2 - spread) / (2 * (n + z2)),
    high: k === n ? 1 : (2 * k + z2 + spread) / (2 * (n + z2)),
  };
}

/**
 * A rate among weighted rows: `weights` by row, null where all count whole. The count stays a count; share and
 * interval follow the weights, with Kish's effective n in place of n (numbers handbook, section 1).
 */
export function rateOf(
  weights: Float64Array | null,
  hits: ArrayLike<number>,
  others: ArrayLike<number>,
): Rate {
  const k = hits.length;
  const n = k + others.length;
  if (weights === null || n === 0) return wilson(k, n);
  let [sum, squares, hit] = [0, 0, 0];
  for (const [rows, counts] of [
    [hits, 1],
    [others, 0],
  ] as const)
    for (let i = 0; i < rows.length; i++) {
      const w = weights[rows[i]!]!;
      sum += w;
      squares += w * w;
      hit += w * counts;
    }
  return rateOfSums([k, n, hit, sum, squares]);
}

/** The same of sums counted elsewhere: hits, all, weight of hits, of all, squares of all. */
export function rateOfSums([k, n, hit, sum, squares]: ArrayLike<number> & Iterable<number>): Rate {
  const worth = kish(sum!, squares!);
  if (worth === 0) return wilson(0, 0);
  if (worth === n && hit === k) return wilson(k!, n!);
  const share = k === n ? 1 : hit! / sum!;
  return { k: k!, n: n!, share, worth, ...score(k === n ? worth : share * worth, worth) };
}

/**
 * 95 % interval of the difference of two rates a − b, Newcombe's hybrid score (his method 10); null where either has
 * no snaps. Source: Newcombe 1998, Statistics in Medicine 17:873.
 */
export function differenceOf(a: Rate, b: Rate): { readonly low: number; readonly high: number } | null {
  if (a.share === null || b.share === null) return null;
  const d = a.share - b.share;
  return {
    low: d - Math.hypot(a.share - a.low!, b.high! - b.share),
    high: d + Math.hypot(a.high! - a.share, b.share - b.low!),
  };
}

/** Below this many snaps no point percentage is shown; below FEW_COUNT only "2 of 3". */
export const FEW = 8;
export const FEW_COUNT = 4;

/** "17 of 29". */
export const countText = (r: Pick<Rate, 'k' | 'n'>): string => `${r.k} of ${r.n}`;

/** "41–74 %", "few" under four, "no snaps" without any. */
export function intervalText(rate: Rate): string {
  if (rate.low === null || rate.high === null) return 'no snaps';
  if (rate.worth < FEW_COUNT) return 'few';
  return `${Math.round(rate.low * 100)}–${Math.round(rate.high * 100)} %`;
}

/** One decimal; a minus is a minus. */
export const tenths = (x: number): string => x.toFixed(1).replace('-', '−').replace('−0.0', '0.0');

export interface Mean {
  readonly mean: number;
  readonly n: number;
  readonly low: number | null;
  readonly high: number | null;
}

/** Two-sided 95 % Student quantiles for 1…30 degrees of freedom (any table of the t distribution). */
const T95 = [
  12.706, 4.303, 3.182, 2.776, 2.571, 2.447, 2.365, 2.306, 2.262, 2.228, 2.201, 2.179, 2.16, 2.145, 2.131,
  2.12, 2.11, 2.101, 2.093, 2.086, 2.08, 2.074, 2.069, 2.064, 2.06, 2.056, 2.052, 2.048, 2.045, 2.042,
];

/** Degrees of freedom may be broken: the quantile of the next lower whole number, which is the wider. At least one. */
export const t95 = (freedom: number): number => T95[Math.max(1, Math.floor(freedom)) - 1] ?? 1.96;

/** Mean with a 95 % t interval; null without data, no bounds for one figure. */
export function meanOf(figures: readonly number[]): Mean | null {
  const n = figures.length;
  if (n === 0) return null;
  const mean = figures.reduce((a, b) => a + b, 0) / n;
  if (n === 1) return { mean, n, low: null, high: null };
  const variance = figures.reduce((a, c) => a + (c - mean) ** 2, 0) / (n - 1);
  const half = t95(n - 1) * Math.sqrt(variance / n);
  return { mean, n, low: mean - half, high: mean + half };
}

/** Mean of counts a game: none is less than 0. */
export function meanPerGame(counts: readonly number[]): Mean | null {
  const mean = meanOf(counts);
  return mean && { ...mean, low: mean.low === null ? null : Math.max(0, mean.low) };
}
