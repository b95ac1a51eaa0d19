/** A plain table as a file that spreadsheets open: CSV, or a workbook of one sheet. */
import 'server-only';
import ExcelJS from 'exceljs';
import Papa from 'papaparse';
import type { PlainTable } from '../core/plan';
import { armCell } from '../core/table';

export const PLAIN_FORMS = ['csv', 'xlsx'] as const;
export type PlainForm = (typeof PLAIN_FORMS)[number];

/** A text that a spreadsheet would run as a formula is marked as text. */
const safe = (cell: PlainTable['rows'][number][number]) =>
  typeof cell === 'string' ? armCell('text', cell) : cell;

export async function plainFile(
  { title, columns, rows }: PlainTable,
  form: PlainForm,
): Promise<{ readonly bytes: Uint8Array; readonly type: string }> {
  const cells = rows.map((row) => row.map(safe));
  if (form === 'csv')
    return {
      bytes: new TextEncoder().encode(
        `${Papa.unparse({ fields: [...columns], data: cells }, { newline: '\n' })}\n`,
      ),
      type: 'text/csv; charset=utf-8',
    };
  const book = new ExcelJS.Workbook();
  book.created = new Date(0);
  book.modified = new Date(0);
  const sheet = book.addWorksheet(title, { views: [{ state: 'frozen', ySplit: 1 }] });
  sheet.addRow([...columns]);
  for (const row of cells) sheet.addRow(row);
  return {
    bytes: new Uint8Array(await book.xlsx.writeBuffer()),
    type: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
  };
}
