/** Games given to another staff, and snaps as files: what leaves, what stays, what comes back. */
import ExcelJS from 'exceljs';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { simulateSeason } from '../demo/league';
import { DEFAULT_BOOK } from '../core/book/default-book';
import { snapOfRow } from '../core/exchange/from-rows';
import type { Actor } from '../core/exchange/types';
import { SNAP_FACTS, SNAP_FIELDS, type Snap, type SnapFields } from '../core/snap';
import { gameScope } from '../core/sync';
import { readCsv, snapToRow, unpack } from '../core/table';
import { loadBook } from './book';
import { BookTerm } from './entities-football';
import { importFiles } from './imports';
import { openEm } from './orm';
import { NOW, saveSnaps } from './rows.testing';
import { loadGames } from './snaps';
import { snapFile } from './snap-files';
import { pull } from './sync';
import { openTestDatabase, testGame, testProgram, type TestDatabase } from './testing';
import { tradePackage } from './trades';

let database: TestDatabase;
let ours: Actor;
let theirs: Actor;
let game: string;
let logged: Snap[];

beforeAll(async () => {
  database = await openTestDatabase('trades');
  ours = await testProgram('Ours', 'AAA', NOW);
  theirs = await testProgram('Theirs', 'ZZZ', NOW);
  game = await testGame(ours, 'AAA');
  const film = simulateSeason(3, { tells: true, weeks: 1 })[0]!;
  const [home, away] = [film.home, film.away];
  const renamed = (key: unknown): unknown => (key === home ? 'AAA' : key === away ? 'BIRCH' : key);
  const snaps = film.snaps.slice(0, 30);
  await saveSnaps(
    ours,
    game,
    snaps.map((s, i) => ({
      op: 'put',
      snapId: s.snapId,
      fields: {
        ...(Object.fromEntries(
          SNAP_FACTS.filter(
            (f) => s[f] !== null && !(Array.isArray(s[f]) && (s[f] as unknown[]).length === 0),
          ).map((f) => [f, SNAP_FIELDS[f].team ? renamed(s[f]) : s[f]]),
        ) as SnapFields),
        ...(i === 2 ? { note: 'late again', process: 'bad' as const } : {}),
      },
      after: i === 0 ? null : snaps[i - 1]!.snapId,
    })),
  );
  logged = (await loadGames(ours, [game])).get(game)!;
});
afterAll(() => database.close());

describe('a traded game', () => {
  it('comes in the other staff’s words, without what was ours alone', async () => {
    const term = (await loadBook(theirs)).terms.find((t) => t.kind === 'formation' && t.word === 'trips')!;
    // The other staff calls the same drawing something else.
    await (
      await openEm()
    ).nativeUpdate(BookTerm, { program: theirs.programId, key: term.id }, { word: 'rodeo', aliases: [] });
    const read = unpack('games.zip', await tradePackage(ours, [game], NOW));
    if (!read.ok) throw new Error(read.remedy);
    const trade = JSON.parse(read.files.find((f) => f.name === 'trade.json')!.text) as {
      leftOut: { what: string; n: number }[];
    };
    expect(trade.leftOut).toEqual(
      expect.arrayContaining([
        { what: 'note', n: 1 },
        { what: 'process', n: 1 },
      ]),
    );
    expect(read.files.map((f) => f.text).join('')).not.toContain('late again');
    const outcome = await importFiles(theirs, read.files, NOW);
    expect(outcome.faults).toEqual([]);
    expect(outcome.terms!.find((t) => t.from === 'trips')).toMatchObject({ to: 'rodeo', why: 'meaning' });
    const { rows } = await pull(theirs, gameScope(game), null, null);
    const landed = rows.map((r) => snapOfRow(r, game));
    expect(landed).toHaveLength(logged.length);
    const trips = logged.filter((s) => s.formation === 'trips').length;
    expect(trips).toBeGreaterThan(0);
    expect(landed.filter((s) => s.formation === 'rodeo')).toHaveLength(trips);
    expect(landed.every((s) => s.formation !== 'trips' && s.note === null && s.process === null)).toBe(true);
    expect(landed.map((s) => s.gain)).toEqual(logged.map((s) => s.gain));
    // Nothing of the book was replaced, nothing came twice.
    expect((await loadBook(theirs)).terms).toHaveLength(DEFAULT_BOOK.terms.length);
    expect((await importFiles(theirs, read.files, NOW)).imported).toBe(false);
  });
  it('is only of one’s own program', async () =>
    await expect(tradePackage(theirs, ['2026-nobody'], NOW)).rejects.toThrow('game'));
});

describe('snaps as a file', () => {
  it('CSV reads back as it was', async () => {
    const { bytes } = await snapFile(ours, 'csv', logged);
    const read = readCsv('snaps', new TextDecoder().decode(bytes), 'snaps.csv');
    expect(read.faults).toEqual([]);
    expect(read.rows).toEqual(logged.map(snapToRow));
  });
  it('JSON Lines has a line a snap, typed, without blanks', async () => {
    const { bytes } = await snapFile(ours, 'jsonl', logged);
    const lines = new TextDecoder().decode(bytes).trimEnd().split('\n');
    expect(lines).toHaveLength(logged.length);
    const third = JSON.parse(lines[2]!) as Record<string, unknown>;
    expect(third).toMatchObject({ snap_id: logged[2]!.snapId, note: 'late again' });
    expect(Object.values(third)).not.toContain(null);
    expect(lines.map((l) => (JSON.parse(l) as { gain?: number }).gain ?? null)).toEqual(
      logged.map((s) => s.gain),
    );
  });
  it('a workbook has numbers as numbers, frozen headings and no formula', async () => {
    const armed = logged.map((s, i) =>
      i === 0 ? { ...s, note: '=1+1', motionToSnap: 1.25, kept: true } : s,
    );
    const book = new ExcelJS.Workbook();
    await book.xlsx.load((await snapFile(ours, 'xlsx', armed)).bytes.slice().buffer as ArrayBuffer);
    const sheet = book.getWorksheet('snaps')!;
    expect(sheet.views[0]).toMatchObject({ state: 'frozen', ySplit: 1 });
    const head = (sheet.getRow(1).values as string[]).slice(1);
    const cell = (row: number, name: string) => sheet.getRow(row).getCell(head.indexOf(name) + 1).value;
    expect(cell(2, 'note')).toBe("'=1+1");
    expect([cell(2, 'motion_to_snap'), cell(2, 'kept')]).toEqual([1.25, true]);
    logged.forEach((s, i) => expect(cell(i + 2, 'gain')).toBe(s.gain));
    expect(book.getWorksheet('games')!.rowCount).toBe(2);
  });
  it('a package is read by another program', async () => {
    const third = await testProgram('Third', 'YYY', NOW);
    const read = unpack('snaps.zip', (await snapFile(ours, 'zip', logged)).bytes);
    if (!read.ok) throw new Error(read.remedy);
    expect(await importFiles(third, read.files, NOW, { book: 'leave' })).toMatchObject({
      imported: true,
      faults: [],
    });
  });
});
