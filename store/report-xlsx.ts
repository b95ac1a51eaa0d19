/** A report as a workbook: a sheet a table, typed cells, rates and their bounds as live formulas of the counts beside them. */
import 'server-only';
import ExcelJS from 'exceljs';
import { besideGrid, gridHeads, gridRows, leadOf, type GridPart, type UnitReport } from '../core/read';

/** Square of the two-sided 95 % quantile of the standard normal; Wilson 1927. */
const Z = '1.959963984540054';

/** Name of a column: 1 is A. */
export function columnName(n: number): string {
  const rest = Math.floor((n - 1) / 26);
  return (rest > 0 ? columnName(rest) : '') + String.fromCharCode(65 + ((n - 1) % 26));
}

/** The formula of a part of a rate from the cells of its count and its n. */
function formulaOf(part: GridPart, k: string, n: string): string | null {
  const spread = `${Z}*SQRT(${Z}^2+4*${k}*(${n}-${k})/${n})`;
  const bound = (sign: string): string => `(2*${k}+${Z}^2${sign}${spread})/(2*(${n}+${Z}^2))`;
  if (part === 'share') return `IF(${n}=0,"",${k}/${n})`;
  if (part === 'low') return `IF(${n}=0,"",IF(${k}=0,0,${bound('-')}))`;
  return part === 'high' ? `IF(${n}=0,"",IF(${k}=${n},1,${bound('+')}))` : null;
}

/** Sheet names hold 31 characters and none of these. */
const sheetName = (title: string, taken: ReadonlySet<string>): string => {
  const plain = title.replace(/[*?:\\/[\]]/g, ' ').slice(0, 28);
  if (!taken.has(plain.toLowerCase())) return plain;
  let i = 2;
  while (taken.has(`${plain} ${i}`.toLowerCase())) i++;
  return `${plain} ${i}`;
};
const harmless = (text: string): string => (/^[=+\-@\t\r]/.test(text) ? `'${text}` : text);

export interface WorkbookPart extends UnitReport {
  /** Its title, whose it is, what it rests on. */
  readonly about: readonly string[];
}

/** `weighted`: snaps count by their game, and shares do not follow from the counts; they stand as figures then. */
export async function reportWorkbook(parts: readonly WorkbookPart[], weighted: boolean): Promise<Uint8Array> {
  const book = new ExcelJS.Workbook();
  book.created = new Date(0);
  book.modified = new Date(0);
  const first = book.addWorksheet('First page');
  for (const { about, report } of parts) {
    if (first.rowCount > 0) first.addRow([]);
    for (const line of about) first.addRow([harmless(line)]);
    first.addRow([]);
    for (const line of report.own) first.addRow([harmless(line)]);
    for (const sentence of report.sentences)
      first.addRow([harmless(leadOf(sentence)), sentence.interval, `otherwise ${sentence.otherwise}`]);
  }
  first.getColumn(1).width = 60;
  const taken = new Set(['first page']);
  const sheets = parts.flatMap(({ report, beside }) => [
    ...report.tables.map((table) => ({
      title: table.title,
      heads: gridHeads(table),
      rows: gridRows(table),
      weighted,
    })),
    // Drives, pictures and men are counted whole, whatever a game counts.
    ...beside.map((table) => ({ title: table.title, ...besideGrid(table), weighted: false })),
  ]);
  for (const { title, heads, rows, weighted: sums } of sheets) {
    const name = sheetName(title, taken);
    taken.add(name.toLowerCase());
    const sheet = book.addWorksheet(name, { views: [{ state: 'frozen', ySplit: 1 }] });
    sheet.addRow(heads.map((h) => h.label)).font = { bold: true };
    rows.forEach((line, i) => {
      const row = i + 2;
      let k = '';
      sheet.addRow(
        line.map((cell, c) => {
          const { part } = heads[c]!;
          if (part === 'k') k = `${columnName(c + 1)}${row}`;
          const n = `${columnName(c + (part === 'share' ? 0 : part === 'low' ? -1 : -2))}${row}`;
          const formula = sums || !['share', 'low', 'high'].includes(part) ? null : formulaOf(part, k, n);
          if (formula !== null) return { formula, result: cell ?? '' };
          return typeof cell === 'string' ? harmless(cell) : cell;
        }),
      );
    });
    heads.forEach(({ part }, c) => {
      const column = sheet.getColumn(c + 1);
      if (part === 'share' || part === 'low' || part === 'high') column.numFmt = '0 %';
      if (part === 'mean') column.numFmt = '0.0';
      column.width = part === 'word' ? 20 : part === 'top' ? 18 : 11;
    });
  }
  return new Uint8Array(await book.xlsx.writeBuffer());
}
