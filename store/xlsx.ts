/** Workbooks in and out: a sheet a table, cells as the texts of the open format. */
import 'server-only';
import ExcelJS from 'exceljs';
import { Readable } from 'node:stream';
import Papa from 'papaparse';
import {
  armCell,
  LIMITS,
  RESOURCE_NAMES,
  resourceSpec,
  type NamedFile,
  type Tables,
  type Unpacked,
} from '../core/table';
import type { FieldKind } from '../core/snap/fields';
import { writeText } from '../core/snap/text';

/** A zip that holds a workbook. The name of a part stands in clear in its local header. */
export const isWorkbook = (bytes: Uint8Array): boolean =>
  bytes[0] === 0x50 &&
  bytes[1] === 0x4b &&
  Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength).includes('xl/workbook.xml');

/** A cell as text: dates as days, formulas as what they gave, numbers without a rounding tail. */
function cellText(value: ExcelJS.CellValue): string {
  if (value === null || value === undefined) return '';
  if (value instanceof Date) return value.toISOString().slice(0, 10);
  if (typeof value === 'number')
    return Number.isInteger(value) ? String(value) : String(Number(value.toPrecision(15)));
  if (typeof value !== 'object') return String(value);
  if ('richText' in value) return value.richText.map((t) => t.text).join('');
  if ('result' in value) return cellText(value.result as ExcelJS.CellValue);
  if ('text' in value) return cellText(value.text as ExcelJS.CellValue);
  return '';
}

/** The sheets of a workbook as CSV, read row by row and bounded: by rows, by cells, by characters. */
export async function readWorkbook(name: string, bytes: Uint8Array, room: number): Promise<Unpacked> {
  const tooMuch = (what: string) => ({ ok: false as const, remedy: `${name} ${what}; split it` });
  const files: NamedFile[] = [];
  let left = room;
  try {
    const reader = new ExcelJS.stream.xlsx.WorkbookReader(Readable.from(chunks(bytes)), {
      sharedStrings: 'cache',
      hyperlinks: 'ignore',
      styles: 'cache',
      worksheets: 'emit',
      entries: 'ignore',
    });
    for await (const sheet of reader) {
      const rows: string[][] = [];
      for await (const row of sheet) {
        if (rows.length > LIMITS.xlsxRows) return tooMuch(`has more than ${LIMITS.xlsxRows} rows in a sheet`);
        const cells: string[] = [];
        for (let column = 1; column <= Math.min(row.cellCount, LIMITS.columns + 1); column++) {
          const text = cellText(row.getCell(column).value);
          left -= text.length + 1;
          cells.push(text);
        }
        if (left < 0) return tooMuch('unpacks to too much');
        rows.push(cells);
      }
      if (rows.length === 0) continue;
      const title = String((sheet as unknown as { name?: string }).name ?? `sheet${files.length + 1}`);
      files.push({ name: `${title}.csv`, text: Papa.unparse(rows) });
    }
  } catch {
    return { ok: false, remedy: `${name} is not a whole workbook; save it again as .xlsx` };
  }
  return files.length === 0 ? { ok: false, remedy: `${name} has no rows in any sheet` } : { ok: true, files };
}

function* chunks(bytes: Uint8Array): Generator<Buffer> {
  for (let at = 0; at < bytes.length; at += 64 * 1024) yield Buffer.from(bytes.subarray(at, at + 64 * 1024));
}

/** Whole numbers and decimals as numbers, yes and no as such; clocks, days and lists are the texts of the CSV, which no spreadsheet mangles. */
const typedCell = (kind: FieldKind, text: string): string | number | boolean => {
  if (kind === 'flag') return text === 'true';
  // None and not visible stay texts in a column of numbers.
  return (kind === 'integer' || kind === 'decimal') && /^-?\d+(\.\d+)?$/.test(text) ? Number(text) : text;
};

/** The tables as one workbook, a sheet each that has rows, its headings frozen. */
export async function writeWorkbook(tables: Tables): Promise<Uint8Array> {
  const book = new ExcelJS.Workbook();
  book.created = new Date(0);
  book.modified = new Date(0);
  for (const name of RESOURCE_NAMES) {
    if (tables[name].length === 0) continue;
    const columns = Object.entries(resourceSpec(name).columns);
    const sheet = book.addWorksheet(name, { views: [{ state: 'frozen', ySplit: 1 }] });
    sheet.addRow(columns.map(([c]) => c));
    for (const row of tables[name])
      sheet.addRow(
        columns.map(([cell, spec]) => {
          const text = armCell(spec.kind, writeText(spec, row[cell]));
          return text === '' ? null : typedCell(spec.kind, text);
        }),
      );
  }
  return new Uint8Array(await book.xlsx.writeBuffer());
}
