/** A workbook's sheets as texts. Apart from the rest: only who reads a workbook loads the package. */
import type { CellValue } from 'exceljs';
import { cleanCell, type ForeignSheet } from './sheet';

/** Cells of a sheet that are looked at, at most. */
const MOST_ROWS = 40_000;
const MOST_COLUMNS = 250;

const two = (n: number): string => String(n).padStart(2, '0');

/** A day as 2026-10-04; what a spreadsheet made of 8:41 as 8:41. */
function dateText(date: Date): string {
  if (Number.isNaN(date.getTime())) return '';
  const seconds = date.getUTCSeconds() >= 30 ? 60 - date.getUTCSeconds() : -date.getUTCSeconds();
  const near = new Date(date.getTime() + (Math.abs(seconds) <= 1 ? seconds * 1000 : 0));
  const clock = `${near.getUTCHours()}:${two(near.getUTCMinutes())}`;
  if (near.getUTCFullYear() < 1901) return clock;
  return near.toISOString().slice(0, 10);
}

function valueText(value: CellValue): string {
  if (value === null || value === undefined) return '';
  if (value instanceof Date) return dateText(value);
  if (typeof value === 'number')
    return Number.isInteger(value) ? String(value) : String(Number(value.toPrecision(15)));
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value !== 'object') return value;
  if ('richText' in value) return value.richText.map((part) => part.text).join('');
  if ('result' in value) return valueText(value.result as CellValue);
  if ('text' in value) return valueText(value.text as CellValue);
  // A broken formula is refused where a figure is wanted, not taken for a blank.
  if ('error' in value) return value.error;
  return '';
}

export type ReadSheets =
  | { readonly ok: true; readonly sheets: readonly ForeignSheet[] }
  | { readonly ok: false; readonly remedy: string };

/** Reads an .xlsx. A merged cell is said once across, and on every row it stands beside. */
export async function readSheets(name: string, bytes: Uint8Array): Promise<ReadSheets> {
  const { default: ExcelJS } = await import('exceljs');
  const book = new ExcelJS.Workbook();
  try {
    await book.xlsx.load(bytes.slice().buffer as ArrayBuffer);
  } catch {
    return { ok: false, remedy: `${name} is not a whole workbook; save it again as .xlsx or .csv` };
  }
  const sheets: ForeignSheet[] = [];
  for (const sheet of book.worksheets) {
    if (sheet.actualRowCount === 0) continue;
    if (sheet.rowCount > MOST_ROWS || sheet.columnCount > MOST_COLUMNS)
      return {
        ok: false,
        remedy: `${name}, sheet ${sheet.name}, has more than ${MOST_ROWS} rows or ${MOST_COLUMNS} columns; split it`,
      };
    const cells: string[][] = [];
    for (let r = 1; r <= sheet.rowCount; r++) {
      const row: string[] = [];
      for (let c = 1; c <= sheet.columnCount; c++) {
        const cell = sheet.getCell(r, c);
        const across = cell.isMerged && Number(cell.master.col) !== c;
        row.push(across ? '' : cleanCell(valueText(cell.isMerged ? cell.master.value : cell.value)));
      }
      cells.push(row);
    }
    sheets.push({ name: sheet.name, cells });
  }
  return sheets.length === 0
    ? { ok: false, remedy: `${name} has no rows in any sheet` }
    : { ok: true, sheets };
}

/** A zip: the bytes every workbook begins with. */
const ZIP = [0x50, 0x4b];
/** The old binary format. */
const OLD = [0xd0, 0xcf];

/** Any file a staff may have: a workbook or a delimited text. */
export async function readForeignFile(name: string, bytes: Uint8Array): Promise<ReadSheets> {
  if (bytes.length === 0) return { ok: false, remedy: `${name} is empty` };
  if (ZIP.every((byte, i) => bytes[i] === byte)) return readSheets(name, bytes);
  if (OLD.every((byte, i) => bytes[i] === byte))
    return { ok: false, remedy: `${name} is an old workbook (.xls); save it as .xlsx or .csv` };
  const { decodeText, readDelimited } = await import('./sheet');
  return { ok: true, sheets: [readDelimited(name.replace(/\.[^.]*$/, ''), decodeText(bytes))] };
}
