/** Paper: every call once, nothing over another, nothing outside the margins, nothing too small to read. */
import { describe, expect, it } from 'vitest';
import {
  layoutSheet,
  MARGIN,
  PANELS,
  PAPERS,
  SHEET_PAPERS,
  USUAL_SHAPE,
  type SheetPaper,
  type SheetShape,
} from './layout';
import type { Measure, PageMark } from './marks';
import { LEAST_LARGE, LEAST_SIZE, sheetPages } from './print';
import { aPlay } from './plays.fixture';
import { SECTIONS } from './sections';
import { NO_NOTES, numberSheet, type SheetCall } from './sheet';

/** A narrow face, roughly. */
const measure: Measure = (text, size, bold) => text.length * size * (bold ? 0.46 : 0.42);
const sheetOf = (n: number, note: string | null = null) =>
  numberSheet(
    SECTIONS.flatMap((s) =>
      Array.from({ length: n }, (_, i): SheetCall => ({
        id: `${s.key}${i}`,
        section: s.key,
        order: i,
        play: aPlay('power', 'power'),
        ...NO_NOTES,
        hash: i % 3 === 0 ? 'L' : null,
        note,
      })),
    ),
  );
const print = (n: number, paper: SheetPaper, note: string | null = null, shape: SheetShape = USUAL_SHAPE) =>
  sheetPages(
    {
      name: 'Week 9',
      title: 'Herons offense',
      against: 'Stags',
      stamp: '2026-10-31 20:00',
      sections: sheetOf(n, note),
    },
    paper,
    measure,
    shape,
  );
const texts = (page: readonly PageMark[]) => page.filter((m) => m.mark === 'text');
const calls = (page: readonly PageMark[]) => page.filter((m) => m.mark === 'rect' && !m.filled);

describe.each(['letter', 'a4'] as const)('on %s', (paper) => {
  it.each([0, 1, 3, 5, 7, 12, 40, 90])('%i calls a section', (n) => {
    const { pages, cut } = print(n, paper);
    const { width, height } = PAPERS[paper];
    expect(pages.reduce((sum, p) => sum + calls(p).length, 0)).toBe(n * SECTIONS.length);
    expect(cut).toEqual([]);
    const numbers = pages.flatMap((p) =>
      texts(p)
        .filter((t) => t.bold && /^\d+$/.test(t.text))
        .map((t) => Number(t.text)),
    );
    expect(numbers.sort((a, b) => a - b)).toEqual(
      Array.from({ length: n * SECTIONS.length }, (_, i) => i + 1),
    );
    for (const page of pages) {
      expect(Math.min(...texts(page).map((t) => t.size))).toBeGreaterThanOrEqual(LEAST_SIZE);
      const boxes = page.filter((m) => m.mark === 'rect');
      for (const b of boxes) {
        expect(b.x >= MARGIN && b.x + b.width <= width - MARGIN + 0.01).toBe(true);
        expect(b.y >= MARGIN && b.y + b.height <= height - MARGIN).toBe(true);
      }
      const columns = new Map<number, (typeof boxes)[number][]>();
      for (const b of boxes) columns.set(b.x, [...(columns.get(b.x) ?? []), b]);
      for (const column of columns.values()) {
        column.sort((a, b) => a.y - b.y);
        column.forEach(
          (b, i) =>
            i > 0 && expect(b.y).toBeGreaterThanOrEqual(column[i - 1]!.y + column[i - 1]!.height - 0.01),
        );
      }
    }
  });
});

it('a usual sheet is one page in large type, ends level; a long one takes more and says which page it is', () => {
  const { pages, rowHeight } = layoutSheet(sheetOf(3), 'letter');
  expect(pages).toHaveLength(1);
  expect(rowHeight).toBeGreaterThan(13);
  const ends = [...new Set(pages[0]!.map((p) => p.x))].map((x) =>
    Math.max(...pages[0]!.filter((p) => p.x === x).map((p) => p.y + (1 + p.count) * rowHeight)),
  );
  expect(Math.max(...ends) - Math.min(...ends)).toBeLessThan(rowHeight * 6);
  const long = print(12, 'letter');
  expect(long.pages.length).toBeGreaterThan(1);
  expect(texts(long.pages[1]!).some((t) => t.text.includes(`page 2 of ${long.pages.length}`))).toBe(true);
});

it('a section taller than a column goes on in the next, and says so', () => {
  const marks = print(90, 'letter').pages.flatMap((p) => texts(p));
  expect(marks.some((t) => t.text === `${SECTIONS[0]!.label.toUpperCase()}, CONTINUED`)).toBe(true);
});

it('a note prints with its call; words that do not fit are cut, marked and named at the foot', () => {
  const short = print(1, 'letter', 'if they walk up').pages.flatMap(texts);
  expect(short.filter((t) => t.text.includes('(if they walk up)'))).toHaveLength(SECTIONS.length);
  const long = print(3, 'letter', 'if the boundary corner presses and the safety rolls down late '.repeat(3));
  expect(long.cut).toHaveLength(3 * SECTIONS.length);
  for (const page of long.pages) {
    const words = texts(page);
    expect(words.filter((t) => t.text.endsWith('…')).length).toBeGreaterThan(0);
    expect(words.at(-1)!.text).toMatch(/Cut short: calls 1, 2, 3/);
    for (const t of words.slice(0, -1))
      if (t.anchor === 'start')
        expect(t.x + measure(t.text, t.size, t.bold)).toBeLessThanOrEqual(PAPERS.letter.width - MARGIN + 0.5);
  }
});

describe.each(Object.keys(SHEET_PAPERS) as SheetPaper[])('on %s', (paper) => {
  const { width, height } = SHEET_PAPERS[paper];
  it('large print has no call below twelve points, and every call', () => {
    for (const n of [1, 4, 12]) {
      const { pages } = print(n, paper, null, { ...USUAL_SHAPE, large: true });
      expect(pages.reduce((sum, p) => sum + calls(p).length, 0)).toBe(n * SECTIONS.length);
      for (const page of pages) {
        // Between the head and the foot.
        const body = texts(page).filter((t) => t.y > MARGIN + 27 && t.y < height - MARGIN);
        for (const t of body) expect(t.size).toBeGreaterThanOrEqual(LEAST_LARGE);
      }
    }
  });
  it('folded in three nothing but the line of the head and the foot lies on a fold', () => {
    const at = [width / PANELS, (2 * width) / PANELS];
    for (const large of [false, true]) {
      const { pages } = print(5, paper, null, { large, folded: true });
      expect(pages.reduce((sum, p) => sum + calls(p).length, 0)).toBe(5 * SECTIONS.length);
      for (const page of pages) {
        for (const fold of at) {
          for (const m of page)
            if (m.mark === 'rect') expect(m.x + m.width < fold - 10 || m.x > fold + 10).toBe(true);
            else if (m.mark === 'text' && m.y < height - MARGIN)
              expect(m.x + measure(m.text, m.size, m.bold) <= fold || m.x >= fold).toBe(true);
          const ticks = page.filter((m) => m.mark === 'line' && m.x1 === fold && m.x2 === fold);
          expect(ticks).toHaveLength(2);
        }
      }
    }
  });
});
