/** The report's first page: each sentence counted again from the snaps, chosen by its rule, weighted or not. */
import { describe, expect, it } from 'vitest';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE, DEFAULT_ZONES } from '../field';
import {
  BOARDS,
  BOARD_SIDES,
  boardReel,
  boardsOf,
  buildColumns,
  buildReport,
  countGame,
  differenceOf,
  ofKicks,
  reportJson,
  orderOf,
  REPORT_PARTS,
  sectionsOf,
  select,
  sentenceText,
  sideField,
  USUAL_SECTIONS,
  type BoardSide,
  type Columns,
} from './index';

const games = simulateSeason(DEMO_SEED, { tells: true, weeks: 6 });
const team = games[0]!.home;
const theirs = games.filter((g) => g.home === team || g.away === team);
const counted = theirs.flatMap((g) => countGame(g.snaps, COLLEGE, DEFAULT_BOOK));
const plain = buildColumns(counted);
const fading = buildColumns(
  counted,
  undefined,
  new Map(theirs.map((g, i) => [g.snaps[0]!.game, 0.5 ** (5 - i)])),
);
const rowsOf = (columns: Columns, side: BoardSide): Uint32Array =>
  select(columns, { [sideField(side)]: [team] }, {}, null, ofKicks(side) ? 'kicks' : 'counts');
const made = (columns: Columns, side: BoardSide, sections: readonly string[] | null = null) =>
  buildReport(columns, rowsOf(columns, side), { team, side, sections }, DEFAULT_ZONES);

describe.each(BOARD_SIDES)('of the %s', (side) => {
  it.each([
    ['whole', plain],
    ['fading', fading],
  ] as const)('counting %s: a sentence is its snaps, and the rest is all the others', (_, columns) => {
    const report = made(columns, side);
    const rows = rowsOf(columns, side);
    expect(report.snaps).toBe(rows.length);
    expect(report.sentences.length).toBeLessThanOrEqual(10);
    for (const sentence of report.sentences) {
      const [, board, key, column] = sentence.reel.split('/');
      expect(board).toBe(sentence.board);
      const { rate, rest } = sentence;
      expect(boardReel(sentence.reel, columns, rows, DEFAULT_ZONES).rows.length).toBe(rate.k);
      const all = boardReel(`b/${board}/all/${column}`, columns, rows, DEFAULT_ZONES).rows.length;
      expect(rest.k).toBe(all - rate.k);
      expect(rate.worth).toBeGreaterThanOrEqual(8);
      const { low, high } = differenceOf(rate, rest)!;
      expect(low > 0 || high < 0).toBe(true);
      expect(sentenceText(sentence)).toMatch(/^.+: .+ \d+ of \d+ \(\d+–\d+ %\); otherwise \d+ of \d+\.$/);
      expect(key).not.toBe('all');
    }
    const each = new Map<string, number>();
    for (const { board } of report.sentences) each.set(board, (each.get(board) ?? 0) + 1);
    for (const n of each.values()) expect(n).toBeLessThanOrEqual(2);
  });

  it('prints the usual sections, or those asked for in their order', () => {
    expect(USUAL_SECTIONS[side].every((id) => boardsOf(side).some((b) => b.id === id))).toBe(true);
    const [first, second] = boardsOf(side);
    expect(sectionsOf(side, [second!.id, 'wind', first!.id]).map((b) => b.id)).toEqual([
      second!.id,
      first!.id,
    ]);
    const report = made(plain, side);
    expect(report.tables.length + report.empty.length).toBe(USUAL_SECTIONS[side].length);
  });

  it('has its parts before and after the boards, unless a list names them', () => {
    const parts = REPORT_PARTS.filter((part) => part.sides.includes(side)).map((part) => part.id);
    const boards = boardsOf(side).map((b) => b.id);
    expect(parts.filter((id) => boards.includes(id))).toEqual([]);
    const [first, second] = boards as [string, string];
    // As it was saved before parts could be chosen.
    for (const ids of [null, [second, first]]) {
      const order = orderOf(side, ids);
      expect(order.filter((id) => parts.includes(id))).toEqual(parts);
      expect(order.filter((id) => !parts.includes(id))).toEqual(ids ?? USUAL_SECTIONS[side]);
      expect(order.at(-1)).toBe('words');
    }
    expect(orderOf(side, ['cover', 'words', second, 'wind', second])).toEqual(['words', second]);
    expect(orderOf(side, ['cover'])).toEqual([]);
    const report = made(plain, side, ['cover', 'words', second]);
    expect(report.tables.length + report.empty.length).toBe(1);
  });

  it('goes out with every key of its columns in every row', () => {
    const json = reportJson([{ report: made(plain, side), beside: [] }], ['g']) as {
      tables: { columns: { key: string }[]; rows: Record<string, unknown>[] }[];
    };
    for (const { columns, rows } of json.tables) {
      const keys = columns.map((c) => c.key);
      expect(new Set(keys).size).toBe(keys.length);
      for (const row of rows) expect(Object.keys(row)).toEqual(keys);
    }
  });
});

it('what follows from the situation alone, or by definition, is no news', () => {
  const words = made(plain, 'offense', ['situation', 'zone', 'quarter', 'clock']).sentences.map(
    (s) => s.reel,
  );
  expect(words.some((w) => /\/(success|explosive|negative)$/.test(w))).toBe(false);
  const named = made(plain, 'defense', ['d-pressure']).sentences.map((s) => s.reel);
  expect(named.some((w) => w.endsWith('/five'))).toBe(false);
  // Cover 1 is man, inside zone is a run: no board of theirs says so on a first page.
  const meant = BOARDS.filter((b) =>
    ['coverage', 'concept', 'passKind'].some((f) => b.by.includes(f as never)),
  );
  expect(meant.length).toBeGreaterThan(8);
  for (const { id, side, by } of meant) {
    if (ofKicks(side)) continue;
    const said = made(plain, side, [id]).sentences.map((s) => s.reel);
    expect(said.filter((w) => w.endsWith(by.includes('coverage') ? '/man' : '/run'))).toEqual([]);
  }
});

it('nothing is said of eight snaps, and none of nothing', () => {
  const rows = rowsOf(plain, 'offense');
  for (const n of [0, 8]) {
    const about = { team, side: 'offense', sections: null } as const;
    expect(buildReport(plain, rows.slice(0, n), about, DEFAULT_ZONES).sentences).toEqual([]);
  }
});
