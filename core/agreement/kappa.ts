/** Agreement of charters beyond chance. */
import { wilson } from '../read/rates';

/** Two-sided 95 % quantile of the standard normal. */
const Z95 = 1.959963984540054;

export interface Kappa {
  /** Items that both (all) judged. */
  readonly n: number;
  /** Items on which they agree. */
  readonly agree: number;
  /** Null: nothing judged, or everybody always said one and the same. */
  readonly kappa: number | null;
  readonly low: number | null;
  readonly high: number | null;
}
export interface Confusion {
  /** Words in the order of the table. */
  readonly words: readonly string[];
  /** Rows: the first charter; columns: the second. */
  readonly counts: readonly (readonly number[])[];
}

/** Counts of pairs of words; words by how often they were said, then by the alphabet. */
export function confusionOf(pairs: readonly (readonly [string, string])[]): Confusion {
  const said = new Map<string, number>();
  for (const pair of pairs) for (const word of pair) said.set(word, (said.get(word) ?? 0) + 1);
  const words = [...said].sort((a, b) => b[1] - a[1] || a[0].localeCompare(b[0])).map(([word]) => word);
  const at = new Map(words.map((word, i) => [word, i]));
  const counts = words.map(() => words.map(() => 0));
  for (const [a, b] of pairs) counts[at.get(a)!]![at.get(b)!]!++;
  return { words, counts };
}

const none = (n: number, agree: number): Kappa => ({ n, agree, kappa: null, low: null, high: null });
/**
 * Without any spread in the table the large-sample error says nothing. Where all agree, what agreement may still be
 * (Wilson's lower bound of n of n) is set against the same chance; else there is no interval.
 */
function bounded(n: number, agree: number, kappa: number, error: number, chance: number): Kappa {
  if (error >= 1e-9) return interval(n, agree, kappa, error);
  if (agree < n) return { n, agree, kappa, low: null, high: null };
  return { n, agree, kappa, low: (wilson(n, n).low! - chance) / (1 - chance), high: 1 };
}
const interval = (n: number, agree: number, kappa: number, error: number): Kappa => ({
  n,
  agree,
  kappa,
  low: Math.max(-1, kappa - Z95 * error),
  high: Math.min(1, kappa + Z95 * error),
});

/**
 * Cohen's kappa (Cohen 1960, Educational and Psychological Measurement 20:37) with the large-sample standard error of
 * Fleiss, Cohen and Everitt 1969 (Psychological Bulletin 72:323). Takes a square table of counts.
 */
export function cohen(counts: readonly (readonly number[])[]): Kappa {
  const n = counts.flat().reduce((a, b) => a + b, 0);
  const agree = counts.reduce((sum, row, i) => sum + row[i]!, 0);
  if (n === 0) return none(0, 0);
  const p = counts.map((row) => row.map((c) => c / n));
  const rows = p.map((row) => row.reduce((a, b) => a + b, 0));
  const columns = p.map((_, j) => p.reduce((sum, row) => sum + row[j]!, 0));
  const chance = rows.reduce((sum, r, i) => sum + r * columns[i]!, 0);
  if (chance >= 1) return none(n, agree);
  const kappa = (agree / n - chance) / (1 - chance);
  let variance = -((kappa - chance * (1 - kappa)) ** 2);
  for (let i = 0; i < p.length; i++)
    for (let j = 0; j < p.length; j++)
      variance +=
        i === j
          ? p[i]![i]! * (1 - (rows[i]! + columns[i]!) * (1 - kappa)) ** 2
          : (1 - kappa) ** 2 * p[i]![j]! * (columns[i]! + rows[j]!) ** 2;
  return bounded(n, agree, kappa, Math.sqrt(Math.max(0, variance)) / (Math.sqrt(n) * (1 - chance)), chance);
}

/** Agreement by chance: the sum of the squared shares of the words. */
function fleissChance(items: readonly (readonly number[])[], raters: number): number {
  const total = items.length * raters;
  const shares = items[0]!.map((_, c) => items.reduce((sum, item) => sum + item[c]!, 0) / total);
  return shares.reduce((sum, s) => sum + s * s, 0);
}

function fleissValue(items: readonly (readonly number[])[]): number | null {
  const raters = items[0]?.reduce((a, b) => a + b, 0) ?? 0;
  if (items.length === 0 || raters < 2) return null;
  const chance = fleissChance(items, raters);
  if (chance >= 1) return null;
  const observed =
    items.reduce(
      (sum, item) => sum + (item.reduce((s, c) => s + c * c, 0) - raters) / (raters * (raters - 1)),
      0,
    ) / items.length;
  return (observed - chance) / (1 - chance);
}

/**
 * Fleiss' kappa (Fleiss 1971, Psychological Bulletin 76:378). A row an item, a column a word: how many raters said it;
 * every row has the same sum. The interval is the jackknife's (each item left out once). Cost: items².
 */
export function fleiss(items: readonly (readonly number[])[]): Kappa {
  const raters = items[0]?.reduce((a, b) => a + b, 0) ?? 0;
  if (items.some((item) => item.reduce((a, b) => a + b, 0) !== raters))
    throw new RangeError('every item needs the same number of raters');
  const agree = items.filter((item) => item.includes(raters)).length;
  const kappa = fleissValue(items);
  if (kappa === null) return none(items.length, agree);
  const without = items
    .map((_, i) => fleissValue(items.filter((_item, j) => j !== i)))
    .filter((k): k is number => k !== null);
  if (without.length < 2) return { n: items.length, agree, kappa, low: null, high: null };
  const mean = without.reduce((a, b) => a + b, 0) / without.length;
  const variance =
    ((without.length - 1) / without.length) * without.reduce((sum, k) => sum + (k - mean) ** 2, 0);
  return bounded(items.length, agree, kappa, Math.sqrt(variance), fleissChance(items, raters));
}
