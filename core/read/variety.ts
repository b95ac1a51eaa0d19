/** How many pictures an offense shows, and what they cost whoever prepares for it. */
import { groupBy } from './cells';
import { FIRST_VALUE, type Columns } from './columns';
import type { FilterField } from './filters';

/** A look by its words; to the left and to the right it is one. */
const LOOK: readonly FilterField[] = ['formation', 'backfield', 'motion'];

export interface Variety {
  /** Snaps whose formation is tagged. */
  readonly rows: Uint32Array;
  readonly looks: number;
  /** Snaps of looks that were shown once. */
  readonly once: Uint32Array;
  readonly structures: number;
  readonly games: number;
}

export function varietyOf(columns: Columns, selection: Uint32Array): Variety {
  const { formation, game } = columns.text;
  const rows = selection.filter((row) => formation.codes[row]! >= FIRST_VALUE);
  const looks = groupBy(columns, rows, LOOK, true);
  return {
    rows,
    looks: looks.length,
    once: Uint32Array.from(looks.filter((l) => l.rows.length === 1).flatMap((l) => [...l.rows])).sort(),
    structures: groupBy(columns, rows, ['structureSnap']).length,
    games: new Set(Array.from(rows, (row) => game.codes[row])).size,
  };
}

/** Minutes of preparation: a usual week's, spread over the looks of a usual opponent. */
export const preparation = (looks: number, minutes: number, usual: number): number =>
  usual > 0 ? (looks * minutes) / usual : 0;

/** "y/once": the looks shown once; "y/all": every snap with a look. */
export function varietyReel(
  name: string,
  columns: Columns,
  rows: Uint32Array,
): { readonly title: string; readonly rows: Uint32Array } {
  const { once, rows: all } = varietyOf(columns, rows);
  return name === 'y/once'
    ? { title: 'Looks shown once', rows: once }
    : { title: 'Snaps with a formation', rows: all };
}
