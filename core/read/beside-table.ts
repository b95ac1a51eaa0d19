/** Tables of plain cells: the same for a card, a file, a sheet and a page. */
import type { Mean, Rate } from './rates';

export interface BesideColumn {
  /** As in report.json. */
  readonly key: string;
  readonly label: string;
  readonly kind: 'word' | 'count' | 'rate' | 'mean';
}
export type BesideCell = string | number | Rate | Mean | null;
export interface BesideTable {
  readonly id: string;
  readonly title: string;
  readonly note: string;
  readonly columns: readonly BesideColumn[];
  /** By n, most first; each with a cell a column. */
  readonly rows: readonly (readonly BesideCell[])[];
}

const column =
  (kind: BesideColumn['kind']) =>
  (key: string, label: string): BesideColumn => ({ key, label, kind });
export const word = column('word');
export const count = column('count');
export const rate = column('rate');
export const mean = column('mean');
export const N = count('n', 'n');
