/** The workbook's formulas, worked out by a formula library, give the report's own rates and bounds. */
import ExcelJS from 'exceljs';
import FormulaParser from 'fast-formula-parser';
import { expect, it, vi } from 'vitest';
import { DEFAULT_BOOK } from '../core/book/default-book';
import { COLLEGE, DEFAULT_ZONES } from '../core/field';
import {
  besideGrid,
  besideTables,
  boardGrid,
  buildColumns,
  buildReport,
  countGame,
  gridHeads,
  select,
} from '../core/read';
import { DEMO_SEED, simulateSeason } from '../demo/league';

vi.mock('server-only', () => ({}));

const games = simulateSeason(DEMO_SEED, { tells: true, weeks: 2 });
const counted = games.flatMap((g) => countGame(g.snaps, COLLEGE, DEFAULT_BOOK));
const team = games[0]!.home;
const reportOf = (weights: ReadonlyMap<string, number> | null = null) => {
  const columns = buildColumns(counted, undefined, weights);
  const rows = select(columns, { offense: [team] });
  return {
    report: buildReport(columns, rows, { team, side: 'offense', sections: null }, DEFAULT_ZONES),
    beside: besideTables({ snaps: counted, columns, rows, team, side: 'offense', whole: true }),
  };
};
async function read(bytes: Uint8Array): Promise<ExcelJS.Workbook> {
  const book = new ExcelJS.Workbook();
  await book.xlsx.load(
    bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength) as ArrayBuffer,
  );
  return book;
}

it('each rate, share and bound is a formula that gives what the report counted', async () => {
  const { reportWorkbook } = await import('./report-xlsx');
  const { report, beside } = reportOf();
  const book = await read(await reportWorkbook([{ report, beside, about: ['A title', '=1+1'] }], false));
  expect(book.worksheets[0]!.getCell('A2').value).toBe("'=1+1");
  expect(beside.map((t) => t.title)).toContain('Drives and series');
  expect(book.worksheets).toHaveLength(report.tables.length + beside.length + 1);
  let checked = 0;
  const sheets = [
    ...report.tables.map((table) => ({ heads: gridHeads(table), lines: boardGrid(table).slice(1) })),
    ...beside.map((table) => ({ heads: besideGrid(table).heads, lines: besideGrid(table).rows })),
  ];
  sheets.forEach(({ heads, lines }, t) => {
    const sheet = book.worksheets[t + 1]!;
    expect(sheet.views[0]).toMatchObject({ state: 'frozen', ySplit: 1 });
    const parser = new FormulaParser({
      onCell: ({ row, col }) => sheet.getRow(row).getCell(col).value as number,
    });
    expect(sheet.rowCount).toBe(lines.length + 1);
    lines.forEach((line, i) =>
      line.forEach((expected, c) => {
        const { value } = sheet.getRow(i + 2).getCell(c + 1);
        const { part } = heads[c]!;
        if (part === 'share' || part === 'low' || part === 'high') {
          const { formula } = value as ExcelJS.CellFormulaValue;
          const worked = parser.parse(formula, { sheet: 'x', row: i + 2, col: c + 1 }) as number | string;
          if (expected === null) expect(worked).toBe('');
          else expect(worked).toBeCloseTo(expected as number, 12);
          checked++;
        } else if (expected !== null) expect(value).toBe(expected);
      }),
    );
  });
  expect(checked).toBeGreaterThan(1000);
});

it('under weights the shares stand as figures: no formula of the counts would give them', async () => {
  const { reportWorkbook } = await import('./report-xlsx');
  const weights = new Map(games.map((g, i) => [g.snaps[0]!.game, i % 2 === 0 ? 1 : 0.25]));
  const { report } = reportOf(weights);
  const book = await read(await reportWorkbook([{ report, beside: [], about: [] }], true));
  let figures = 0;
  for (const sheet of book.worksheets.slice(1))
    sheet.eachRow((row) =>
      row.eachCell(({ value }) => {
        if (typeof value === 'object' && value !== null) throw new Error('a formula');
        if (typeof value === 'number') figures++;
      }),
    );
  expect(figures).toBeGreaterThan(500);
});
