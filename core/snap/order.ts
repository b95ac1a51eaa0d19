/**
 * An order key between two neighbors, as short a decimal as fits; null for an open end. Gives null when
 * there is no room between them (or they do not ascend): the rows are numbered anew then.
 */
export function orderBetween(before: number | null, after: number | null): number | null {
  if (before === null && after === null) return 1;
  if (before === null) return Math.ceil(after!) - 1;
  if (after === null) return Math.floor(before) + 1;
  if (!(before < after)) return null;
  for (let digits = 0; digits <= 12; digits++) {
    const unit = 10 ** digits;
    const candidate = Math.round(((before + after) / 2) * unit) / unit;
    if (candidate > before && candidate < after) return candidate;
  }
  return null;
}

/** Ascending by order key, then by id, so that equal keys still have one order everywhere. */
export const byOrder = (a: { order: number; snapId: string }, b: { order: number; snapId: string }): number =>
  a.order - b.order || (a.snapId < b.snapId ? -1 : a.snapId > b.snapId ? 1 : 0);
