/**
 * Snaps by column, as they travel and are kept in a browser: a quarter of what they take snap by snap. Each field has its
 * different values once, and a code a snap.
 */
import { blankSnap, type SlimSnap } from './fields';
import type { Snap } from './snap';

/** `each`: one value a snap, in order. `all`: one value for all of them. Else a code a snap, 0: blank. */
export interface PackedColumn {
  readonly field: string;
  readonly values: readonly unknown[];
  readonly codes: 'each' | 'all' | ArrayLike<number>;
  /** Of a field that few snaps have: which snaps the codes are of, as steps from the one before. */
  readonly steps?: ArrayLike<number>;
}
export interface PackedSnaps {
  readonly n: number;
  readonly columns: readonly PackedColumn[];
}

/** A field that fewer than one snap in so many has is kept by its snaps. */
const RARE = 3;

/** Linear in the fields that are not blank. */
export function packSnaps(snaps: readonly SlimSnap[]): PackedSnaps {
  const columns = new Map<
    string,
    { values: unknown[]; known: Map<unknown, number>; codes: number[]; at: number[] }
  >();
  snaps.forEach((snap, row) => {
    for (const [field, value] of Object.entries(snap)) {
      if (value === undefined) continue;
      let column = columns.get(field);
      if (!column) columns.set(field, (column = { values: [], known: new Map(), codes: [], at: [] }));
      // Lists are the same when they say the same; a number is not the word of its digits.
      const key = typeof value === 'object' ? JSON.stringify(value) : value;
      let code = column.known.get(key);
      if (code === undefined) {
        code = column.values.push(value);
        column.known.set(key, code);
      }
      column.codes.push(code);
      column.at.push(row);
    }
  });
  return {
    n: snaps.length,
    columns: [...columns].map(([field, { values, codes, at }]): PackedColumn => {
      if (codes.length === snaps.length) {
        if (values.length === snaps.length) return { field, values, codes: 'each' };
        return { field, values, codes: values.length === 1 ? 'all' : codes };
      }
      if (codes.length * RARE < snaps.length)
        return { field, values, codes, steps: at.map((row, i) => row - (at[i - 1] ?? 0)) };
      const dense = new Array<number>(snaps.length).fill(0);
      at.forEach((row, i) => (dense[row] = codes[i]!));
      return { field, values, codes: dense };
    }),
  };
}

/** The snaps again, with their blanks; lists that say the same are one. */
export function unpackSnaps({ n, columns }: PackedSnaps): Snap[] {
  const snaps = Array.from({ length: n }, () => blankSnap('', '', 0) as unknown as Record<string, unknown>);
  for (const { field, values, codes, steps } of columns) {
    if (codes === 'each') for (let i = 0; i < n; i++) snaps[i]![field] = values[i];
    else if (codes === 'all') for (let i = 0; i < n; i++) snaps[i]![field] = values[0];
    else if (steps) {
      let row = 0;
      for (let i = 0; i < codes.length; i++) snaps[(row += steps[i]!)]![field] = values[codes[i]! - 1];
    } else for (let i = 0; i < n; i++) if (codes[i]! > 0) snaps[i]![field] = values[codes[i]! - 1];
  }
  return snaps as unknown as Snap[];
}
