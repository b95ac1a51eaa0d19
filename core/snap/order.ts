/**
 * An order key between two neighbors, as short a decimal as fits. Null for an open end.
 * Throws when the keys are not ascending. Halving a gap 25 times still leaves distinct keys.
 */
export function orderBetween(before: number | null, after: number | null): number {
  if (before === null && after === null) return 1;
  if (before === null) return after! > 1 ? Math.ceil(after!) - 1 : after! - 1;
  if (after === null) return Math.floor(before) + 1;
  if (!(before < after)) throw new RangeError(`order keys must ascend: ${before}, ${after}`);
  for (let digits = 0; digits <= 12; digits++) {
    const unit = 10 ** digits;
    const candidate = Math.round(((before + after) / 2) * unit) / unit;
    if (candidate > before && candidate < after) return candidate;
  }
  throw new RangeError(`no room between ${before} and ${after}`);
}

/** Ascending by order key, then by id, so that equal keys still have one order everywhere. */
export const byOrder = (a: { order: number; snapId: string }, b: { order: number; snapId: string }): number =>
  a.order - b.order || (a.snapId < b.snapId ? -1 : a.snapId > b.snapId ? 1 : 0);
