/** A board as a sheet of cells, for spreadsheets and files. */
import { gridCsv } from '../table/write';
import type { BoardColumn, BoardTable, BoardTableRow } from './boards';

/** What a heading of the grid stands for: a word, or one part of a figure. */
export type GridPart =
  | 'word'
  | 'count'
  | 'k'
  | 'n'
  | 'share'
  | 'low'
  | 'high'
  | 'mean'
  | 'known'
  | 'least'
  | 'most'
  | 'top'
  | 'times';
export interface GridHead {
  readonly label: string;
  readonly part: GridPart;
}
export type GridCell = string | number | null;

/** What a column of a kind becomes: its parts, and what their headings add. */
export const GRID_PARTS: Readonly<Record<BoardColumn['kind'], readonly (readonly [GridPart, string])[]>> = {
  word: [['word', '']],
  count: [['count', '']],
  rate: [
    ['k', ''],
    ['n', ', of'],
    ['share', ', share'],
    ['low', ', low'],
    ['high', ', high'],
  ],
  mean: [
    ['mean', ''],
    ['known', ', of'],
    ['least', ', least'],
    ['most', ', most'],
  ],
  top: [
    ['top', ''],
    ['times', ', times'],
  ],
};

/** Headings of a table's grid: a rate is five cells, its count, its n, its share and its bounds. */
export const gridHeads = ({ columns }: BoardTable): GridHead[] =>
  columns.flatMap(({ label, kind }) =>
    GRID_PARTS[kind].map(([part, more]) => ({ label: label + more, part })),
  );

const lineOf = ({ columns }: BoardTable, row: BoardTableRow): GridCell[] => [
  ...row.words,
  row.rows.length,
  ...columns.slice(row.words.length + 1).flatMap(({ key, kind }): GridCell[] => {
    const cell = row.cells[key] ?? null;
    if (cell === null) return GRID_PARTS[kind].map(() => null);
    if ('low' in cell) return [cell.k, cell.n, cell.share, cell.low, cell.high];
    return 'word' in cell ? [cell.word, cell.k] : [cell.mean, cell.n, cell.least, cell.most];
  }),
];

/** The rows of a table, the row of all of them last. Null where nothing stands. */
export const gridRows = (table: BoardTable): GridCell[][] =>
  [...table.rows, table.all].map((row) => lineOf(table, row));

/** Headings and rows as text. */
export const boardGrid = (table: BoardTable): GridCell[][] => [
  gridHeads(table).map((h) => h.label),
  ...gridRows(table),
];

/** A table as CSV; a word that begins like a formula is made harmless. */
export const boardCsv = (table: BoardTable): string => gridCsv(boardGrid(table));
