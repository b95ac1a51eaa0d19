/** The PDF holds what the marks say, page by page; the marks are what the preview draws. */
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { expect, it, vi } from 'vitest';
import {
  NO_NOTES,
  numberSheet,
  SECTIONS,
  USUAL_BAND,
  USUAL_DECISIONS,
  EVERY_MAN,
  USUAL_SCOUT,
  USUAL_SHAPE,
  type PlayCard,
  type SheetCall,
} from '@/core/plan';
import { COLLEGE } from '@/core/field';
import { aPlay } from '@/core/plan/plays.fixture';

vi.mock('server-only', () => ({}));

const play = (i: number): PlayCard => aPlay(`p${i}`, `concept ${i}`, { name: `Play ${i}`, direction: 'L' });
const calls: SheetCall[] = SECTIONS.flatMap((s, n) =>
  Array.from({ length: 16 }, (_, i): SheetCall => ({
    id: `${s.key}${i}`,
    section: s.key,
    order: i,
    play: play(n * 16 + i),
    ...NO_NOTES,
    hash: i === 0 ? 'L' : null,
    note: i === 1 ? 'if they walk the safety down before the snap and the corner presses outside' : null,
  })),
);

it.each(['letter', 'a4'] as const)('on %s', async (paper) => {
  const { pagesOf, sheetPdf } = await import('./sheet-pdf');
  const about = { name: 'Week 9', title: 'Herons offense', against: 'Stags', stamp: '2026-10-31 20:00' };
  const source = {
    side: 'offense' as const,
    sheet: { ...about, sections: numberSheet(calls) },
    checks: { ...about, checks: [] },
    looks: [],
    cards: [],
    script: [],
    questions: [],
    decisions: { ...about, profile: COLLEGE, converted: [], long: null },
  };
  const choice = {
    kind: 'sheet' as const,
    paper,
    band: USUAL_BAND,
    scout: USUAL_SCOUT,
    man: EVERY_MAN,
    shape: USUAL_SHAPE,
    decisions: USUAL_DECISIONS,
    copies: 1,
  };
  const { pages, cut } = pagesOf(source, choice);
  expect(pages.length).toBeGreaterThan(1);
  expect(cut.length).toBeGreaterThan(0);
  const doc = await getDocument({ data: await sheetPdf(source, choice), useSystemFonts: false, verbosity: 0 })
    .promise;
  expect(doc.numPages).toBe(pages.length);
  // Two sides are turned on the short edge.
  expect(await doc.getViewerPreferences()).toMatchObject({ Duplex: 'DuplexFlipShortEdge' });
  const squeezed = (words: string): string => words.replace(/\s+/g, '');
  for (const [i, marks] of pages.entries()) {
    const { items } = await (await doc.getPage(i + 1)).getTextContent();
    const printed = squeezed(items.map((item) => ('str' in item ? item.str : '')).join(''));
    const texts = marks.filter((m) => m.mark === 'text');
    expect(printed).toBe(squeezed(texts.map((t) => t.text).join('')));
    for (const t of texts) expect(t.size).toBeGreaterThanOrEqual(8);
  }
  // Numbered copies are the same pages, each with its number in the corner.
  const three = { ...choice, copies: 3 };
  const copies = await getDocument({
    data: await sheetPdf(source, three),
    useSystemFonts: false,
    verbosity: 0,
  }).promise;
  expect(copies.numPages).toBe(3 * pages.length);
  for (let n = 1; n <= copies.numPages; n++) {
    const { items } = await (await copies.getPage(n)).getTextContent();
    const printed = squeezed(items.map((item) => ('str' in item ? item.str : '')).join(''));
    expect(printed).toContain(squeezed(`${about.stamp} · copy ${Math.ceil(n / pages.length)} of 3`));
  }
  expect(pagesOf(source, three, 2).pages[0]!.length).toBe(pages[0]!.length);
});
