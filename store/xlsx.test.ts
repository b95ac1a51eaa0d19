/** Workbooks: what the tables hold comes back, bounded, with cells that cannot become formulas. */
import ExcelJS from 'exceljs';
import { expect, it } from 'vitest';
import { DEMO_SEED, simulateSeason } from '../demo/league';
import { emptyTables, LIMITS, readPackage, snapToRow, type Tables } from '../core/table';
import { isWorkbook, readWorkbook, writeWorkbook } from './xlsx';

const [game] = simulateSeason(DEMO_SEED, { tells: true, weeks: 1 });
const nothing = { teams: new Set<string>(), games: new Set<string>(), plays: new Set<string>() };
const tables: Tables = {
  ...emptyTables(),
  teams: [
    { team: game!.home, name: '=Home()', nickname: "'tis", place: null },
    { team: game!.away, name: 'Away', nickname: '-', place: '+44' },
  ],
  games: [
    {
      game: game!.key,
      date: game!.date,
      home: game!.home,
      away: game!.away,
      level: 'college',
      phase: 'regular',
      week: 1,
      season: 2026,
      closed: true,
      angle: 'sideline',
      weight: 0.5,
      purpose: 'own',
      surface: null,
      weather: null,
      wind: null,
      source: null,
    },
  ],
  snaps: game!.snaps.map(snapToRow),
};
const rowsOf = async (n: number): Promise<Uint8Array> => {
  const book = new ExcelJS.Workbook();
  const sheet = book.addWorksheet('snaps');
  sheet.addRow(['snap_id', 'game', 'order', 'offense', 'defense', 'down']);
  for (let i = 0; i < n; i++) sheet.addRow([`s${i}`, 'g', i + 1, 'AAA', 'BBB', (i % 4) + 1]);
  return new Uint8Array(await book.xlsx.writeBuffer());
};

it('brings every table back through a workbook', async () => {
  const bytes = await writeWorkbook(tables);
  expect(isWorkbook(bytes)).toBe(true);
  const read = await readWorkbook('week.xlsx', bytes, LIMITS.unpackedBytes);
  if (!read.ok) throw new Error(read.remedy);
  const back = readPackage(read.files, nothing);
  expect(back.faults).toEqual([]);
  expect(back.tables).toEqual(tables);
});

it('holds no formula, whatever the texts begin with', async () => {
  const book = new ExcelJS.Workbook();
  await book.xlsx.load((await writeWorkbook(tables)).buffer as ArrayBuffer);
  let cells = 0;
  for (const sheet of book.worksheets)
    sheet.eachRow((row) =>
      row.eachCell((cell) => {
        cells++;
        expect(cell.type).not.toBe(ExcelJS.ValueType.Formula);
        if (typeof cell.value === 'string') expect(/^[=@]/.test(cell.value)).toBe(false);
      }),
    );
  expect(cells).toBeGreaterThan(1000);
});

it('takes the rows the limits promise, refuses one above, and what is no workbook', async () => {
  const promised = await readWorkbook('many.xlsx', await rowsOf(LIMITS.xlsxRows), LIMITS.unpackedBytes);
  if (!promised.ok) throw new Error(promised.remedy);
  expect(readPackage(promised.files, nothing).tables.snaps).toHaveLength(LIMITS.xlsxRows);
  expect(await readWorkbook('more.xlsx', await rowsOf(LIMITS.xlsxRows + 1), LIMITS.unpackedBytes)).toEqual({
    ok: false,
    remedy: `more.xlsx has more than ${LIMITS.xlsxRows} rows in a sheet; split it`,
  });
  expect(await readWorkbook('room.xlsx', await rowsOf(2000), 1000)).toMatchObject({ ok: false });
  const whole = await rowsOf(50);
  expect((await readWorkbook('cut.xlsx', whole.subarray(0, 900), LIMITS.unpackedBytes)).ok).toBe(false);
});
