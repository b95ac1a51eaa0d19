/** A board as a sheet of cells, for spreadsheets and files. */
import type { BoardTable, BoardTableRow } from './boards';

/** A table for a spreadsheet: headings, then rows; a rate is its count, its n and its bounds. Null where nothing stands. */
export function boardGrid(table: BoardTable): (string | number | null)[][] {
  const head = table.columns.flatMap(({ label, kind }) =>
    kind === 'rate'
      ? [label, `${label}, of`, `${label}, low`, `${label}, high`]
      : kind === 'mean'
        ? [label, `${label}, of`]
        : kind === 'top'
          ? [label, `${label}, times`]
          : [label],
  );
  const line = (row: BoardTableRow): (string | number | null)[] => [
    ...row.words,
    row.rows.length,
    ...table.columns.slice(row.words.length + 1).flatMap(({ key, kind }): (string | number | null)[] => {
      const cell = row.cells[key] ?? null;
      if (cell !== null && 'low' in cell) return [cell.k, cell.n, cell.low, cell.high];
      if (cell !== null && 'word' in cell) return [cell.word, cell.k];
      return kind === 'mean' && cell !== null ? [cell.mean, cell.n] : [null, null];
    }),
  ];
  return [head, ...table.rows.map(line), line(table.all)];
}
