/** How alike two offenses line up: the distance between their structures at the snap. */

export interface Structures {
  readonly counts: Readonly<Record<string, number>>;
  readonly n: number;
}

/** Counts of words that are known; blanks are left out. */
export function countStructures(labels: Iterable<string | null>): Structures {
  const counts: Record<string, number> = {};
  let n = 0;
  for (const label of labels) {
    if (label === null || label === '') continue;
    counts[label] = (counts[label] ?? 0) + 1;
    n++;
  }
  return { counts, n };
}

/**
 * Jensen–Shannon divergence in bits, 0 (the same shares) to 1 (nothing in common), of the shares of two counts.
 * Null where either is empty. Source: Lin 1991, IEEE Transactions on Information Theory 37:145.
 */
export function divergence(a: Structures, b: Structures): number | null {
  if (a.n === 0 || b.n === 0) return null;
  let bits = 0;
  for (const label of new Set([...Object.keys(a.counts), ...Object.keys(b.counts)])) {
    const p = (a.counts[label] ?? 0) / a.n;
    const q = (b.counts[label] ?? 0) / b.n;
    const m = (p + q) / 2;
    if (p > 0) bits += (p / 2) * Math.log2(p / m);
    if (q > 0) bits += (q / 2) * Math.log2(q / m);
  }
  return Math.max(0, Math.min(1, bits));
}
