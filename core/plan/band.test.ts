/** Wristbands and the check card: every call once a set, its number on the key, nothing outside its insert, nothing too small. */
import { describe, expect, it } from 'vitest';
import { uniform } from '../stats/uniform';
import {
  bandCapacity,
  bandPages,
  bandSides,
  LEAST_BAND,
  shuffleBand,
  USUAL_BAND,
  type BandSettings,
} from './band';
import { callWords } from './sheet';
import { checkPages, type CheckToPrint } from './check-print';
import { MARGIN, PAPERS, SHEET_PAPERS, type SheetPaper } from './layout';
import type { Measure, PageMark } from './marks';
import { aPlay } from './plays.fixture';
import { LEAST_SIZE, sheetPages } from './print';
import { SECTIONS } from './sections';
import { ifThenWords, NO_NOTES, numberSheet, playCall, type SheetCall } from './sheet';

const measure: Measure = (text, size, bold) => text.length * size * (bold ? 0.46 : 0.42);
const about = { name: 'Week 9', title: 'Herons offense', against: 'Stags', stamp: '2026-10-31 20:00' };
const sheetOf = (n: number, more: Partial<SheetCall> = {}) => ({
  ...about,
  sections: numberSheet(
    Array.from({ length: n }, (_, i): SheetCall => ({
      id: `c${i}`,
      section: SECTIONS[i % SECTIONS.length]!.key,
      order: i,
      play: aPlay(`p${i}`, `concept ${i}`),
      ...NO_NOTES,
      ...more,
    })),
  ),
});
const texts = (page: readonly PageMark[]) => page.filter((m) => m.mark === 'text');
const print = (n: number, band: BandSettings = USUAL_BAND, more: Partial<SheetCall> = {}) =>
  bandPages(sheetOf(n, more), 'letter', band, uniform(band.seed), measure);

describe('a wristband', () => {
  it.each([1, 20, 48, 90, 200])('holds %i calls, each once a set, and the key says its number', (n) => {
    const { sections } = sheetOf(n);
    const calls = sections.flatMap((s) => s.calls);
    const rows = shuffleBand(calls, uniform(7));
    expect(rows.map((r) => r.band)).toEqual(Array.from({ length: n }, (_, i) => i + 1));
    expect(new Set(rows.map((r) => r.call.id)).size).toBe(n);
    const sides = bandSides(rows, USUAL_BAND);
    expect(sides.flatMap((s) => s.rows)).toEqual(rows);
    for (const side of sides) expect(side.rows.length).toBeLessThanOrEqual(bandCapacity(USUAL_BAND));
    const { pages } = print(n, { ...USUAL_BAND, seed: 7 });
    const said = pages.flatMap((p) => texts(p).map((t) => t.text));
    // On a band as often as there are sets, at least once; in full where nothing is cut.
    for (const { call } of rows) expect(said.filter((t) => t === callWords(call)).length).toBeGreaterThan(0);
    const key = pages.filter((p) => texts(p).some((t) => t.text.includes('key for the box')));
    for (const { call, band } of rows) {
      const found = key.flatMap((page) => {
        const list = texts(page);
        const at = list.find((t) => t.text === playCall(call.play))!;
        return at ? [list.filter((t) => t.y === at.y && t.x > at.x).sort((a, b) => a.x - b.x)[0]!.text] : [];
      });
      expect(found).toEqual([String(band)]);
    }
  });
  it('is shuffled by its seed: the same again, another week another', () => {
    const calls = sheetOf(40).sections.flatMap((s) => s.calls);
    const order = (seed: number) => shuffleBand(calls, uniform(seed)).map((r) => r.call.id);
    expect(order(3)).toEqual(order(3));
    expect(order(3)).not.toEqual(order(4));
    expect(order(3)).not.toEqual(calls.map((c) => c.id));
  });
  it('stays within its insert and above six points at every size, and names what it had to cut', () => {
    for (const [width, height, columns] of [
      [2, 1, 1],
      [4.75, 2.5, 2],
      [4.75, 2.5, 3],
      [7.5, 5, 4],
    ] as const) {
      const band = { width, height, columns, seed: 1 };
      const { pages, cut } = print(60, band);
      const { width: wide, height: tall } = PAPERS.letter;
      for (const page of pages)
        for (const m of page) {
          if (m.mark === 'text') {
            expect(m.size).toBeGreaterThanOrEqual(LEAST_BAND);
            expect(m.y).toBeLessThanOrEqual(tall - MARGIN + 12);
            expect(m.x + (m.anchor === 'start' ? measure(m.text, m.size, m.bold) : 0)).toBeLessThanOrEqual(
              wide,
            );
          }
          if (m.mark === 'rect') expect(m.x + m.width).toBeLessThanOrEqual(wide - MARGIN + 0.01);
        }
      if (columns === 2) expect(cut).toEqual([]);
    }
    const long = print(3, USUAL_BAND, {
      tags: ['a very long word that is said with it', 'and another one of them'],
    });
    expect(long.cut).toEqual([1, 2, 3]);
  });
});

describe('“if … then” on paper', () => {
  const calls: SheetCall[] = ['a', 'b'].map((id, i) => ({
    id,
    section: 'first',
    order: i,
    play: aPlay(id, `concept ${id}`),
    ...NO_NOTES,
    ...(id === 'a' ? { ifThen: [{ when: 'the end squeezes', call: 'b', words: null }] } : {}),
  }));
  it('stands below its call and names the other by its number', () => {
    const sheet = { ...about, sections: numberSheet(calls) };
    for (const paper of Object.keys(SHEET_PAPERS) as SheetPaper[]) {
      const { pages } = sheetPages(sheet, paper, measure);
      expect(texts(pages[0]!).map((t) => t.text)).toContain('if the end squeezes: 2');
    }
    expect(ifThenWords([{ when: 'x', call: 'gone', words: null }], new Map())).toBe('if x: ?');
  });
});

describe('the check card', () => {
  const check = (i: number, more: Partial<CheckToPrint> = {}): CheckToPrint => ({
    id: `k${i}`,
    order: i,
    picture: '3x1.boundary',
    personnel: '11',
    situation: 'third-long',
    front: '4-2 over',
    coverage: 'quarters',
    pressure: 'weak edge pressure',
    note: null,
    k: 16,
    n: 296,
    third: 'SS',
    ...more,
  });
  it.each([0, 1, 10, 60])('prints %i checks, each cell of each row, on every paper', (n) => {
    const checks = Array.from({ length: n }, (_, i) =>
      check(i, i === 0 ? { front: null, coverage: null, pressure: null } : {}),
    );
    for (const paper of Object.keys(SHEET_PAPERS) as SheetPaper[]) {
      const { pages, cut, width, height } = checkPages({ ...about, checks }, paper, measure);
      const said = pages.flatMap((p) => texts(p));
      for (const t of said) {
        expect(t.size).toBeGreaterThanOrEqual(LEAST_SIZE);
        expect(t.x + measure(t.text, t.size, t.bold)).toBeLessThanOrEqual(width - MARGIN + 1);
        expect(t.y).toBeLessThanOrEqual(height - MARGIN + 11);
      }
      const count = (words: string): number => said.filter((t) => t.text === words).length;
      if (cut.length === 0) {
        expect(count('3x1 into the boundary')).toBe(n);
        expect(count('11, 3rd & 4 or more')).toBe(n);
        expect(count('weak edge pressure')).toBe(Math.max(0, n - 1));
      }
      expect(count('16 of 296')).toBe(n);
      expect(count('NO ANSWER')).toBe(Math.min(1, n));
    }
  });
});
