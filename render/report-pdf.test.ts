/** The report on paper: every count of its tables is text on some page, numbered, bookmarked, on both papers. */
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { describe, expect, it, vi } from 'vitest';
import { DEFAULT_BOOK } from '@/core/book/default-book';
import { COLLEGE, DEFAULT_ZONES } from '@/core/field';
import {
  besideTables,
  buildColumns,
  buildReport,
  countGame,
  countText,
  DEFAULT_RULES,
  figureText,
  glossaryOf,
  select,
  leadOf,
  sentenceText,
  type BoardSide,
  type Rate,
} from '@/core/read';
import { DEMO_SEED, simulateSeason } from '../demo/league';

vi.mock('server-only', () => ({}));

const games = simulateSeason(DEMO_SEED, { tells: true, weeks: 5 });
/** Somebody charted who tackled and who missed. */
const snaps = games
  .flatMap((g) => countGame(g.snaps, COLLEGE, DEFAULT_BOOK))
  .map((c, i) => ({
    ...c,
    snap: {
      ...c.snap,
      tacklers: [String(50 + (i % 7))],
      missedTackles: i % 9 === 0 ? [String(20 + (i % 5))] : [],
    },
  }));
const columns = buildColumns(snaps);
const team = games[0]!.home;
const squeezed = (words: string): string => words.replace(/\s+/g, '');

async function given(
  side: BoardSide,
  rows = select(columns, { [side]: [team] }),
  sections: readonly string[] | null = null,
) {
  const { lookCards } = await import('./report-print');
  return {
    title: `${team} ${side}`,
    of: 'Week 9',
    rests: 'Film: five games. College.',
    printed: 'Sunday',
    report: buildReport(columns, rows, { team, side, sections }, DEFAULT_ZONES),
    zones: DEFAULT_ZONES,
    looks: lookCards(columns, rows, side, DEFAULT_BOOK, COLLEGE, DEFAULT_RULES.look),
    since: null,
    beside: besideTables({
      snaps,
      columns,
      rows,
      team,
      side,
      whole: true,
      drawn: { book: DEFAULT_BOOK, profile: COLLEGE, settings: DEFAULT_RULES.look },
    }),
    words: glossaryOf(columns, rows, DEFAULT_BOOK, COLLEGE),
  };
}
async function read(bytes: Uint8Array) {
  const doc = await getDocument({ data: bytes, useSystemFonts: false, verbosity: 0 }).promise;
  const pages: string[] = [];
  for (let i = 1; i <= doc.numPages; i++) {
    const { items } = await (await doc.getPage(i)).getTextContent();
    pages.push(squeezed(items.map((item) => ('str' in item ? item.str : '')).join('')));
  }
  return { doc, pages, outline: (await doc.getOutline()) as { title: string }[] | null };
}

describe.each(['offense', 'defense'] as const)('of an %s', (side) => {
  it.each(['letter', 'a4'] as const)(
    'on %s: sentences, every row and count, page numbers, bookmarks',
    async (paper) => {
      const { reportPdf } = await import('./report-pdf');
      const printed = await given(side);
      const { doc, pages, outline } = await read(await reportPdf([printed], { paper, breaks: false }));
      const all = pages.join('');
      for (const sentence of printed.report.sentences)
        expect(pages[0]).toContain(squeezed(sentenceText(sentence)));
      for (const table of printed.report.tables) {
        expect(all).toContain(squeezed(table.title));
        for (const row of [...table.rows, table.all])
          for (const cell of Object.values(row.cells))
            if (cell && 'low' in cell && cell.n > 0) expect(all).toContain(squeezed(countText(cell as Rate)));
      }
      // A table that goes on has a row besides its sum.
      for (const { title, rows, all: sum } of printed.report.tables)
        for (const page of pages.filter((p) => p.includes(squeezed(`${title}, continued`)))) {
          const last = rows.at(-1)!;
          if (page.includes(squeezed([...sum.words, String(sum.rows.length)].join(''))))
            expect(page).toContain(squeezed([last.words.at(-1), String(last.rows.length)].join('')));
        }
      // Every heading of every column is printed whole.
      for (const { columns: heads } of printed.report.tables)
        for (const { label } of heads) expect(all).toContain(squeezed(label));
      pages.forEach((page, i) => expect(page).toContain(squeezed(`page ${i + 1} of ${doc.numPages}`)));
      for (const page of pages) expect(page).toContain(squeezed(printed.rests));
      expect(outline?.map((o) => o.title)).toEqual([
        'First page',
        ...(printed.looks.length > 0
          ? [side === 'offense' ? 'Formations, drawn' : 'Coverages by structure, drawn']
          : []),
        ...printed.report.tables.map((t) => t.title),
        ...printed.beside.map((t) => t.title),
        'Words of this report',
      ]);
      expect(printed.beside.map((t) => t.id)).toEqual(
        side === 'offense'
          ? ['drives_and_series', 'looks', 'adjust', 'by_products']
          : ['drives_and_series', 'players'],
      );
      for (const table of printed.beside)
        for (const row of table.rows.slice(0, 14)) {
          expect(all).toContain(squeezed(String(row[0])));
          for (const cell of row)
            if (typeof cell === 'object' && cell !== null && cell.n > 0)
              expect(all).toContain(squeezed('share' in cell ? countText(cell) : figureText(cell)));
        }
      for (const { word } of printed.words) expect(all).toContain(squeezed(word));
    },
  );
});

it('prints the sections that were asked for, in their order, and no other', async () => {
  const { reportPdf } = await import('./report-pdf');
  const sections = ['cover', 'words', 'third', 'drawn', 'since', 'looks', 'personnel'];
  const printed = await given('offense', undefined, sections);
  const outline = async (breaks: boolean) =>
    (await read(await reportPdf([printed], { paper: 'letter', breaks }))).outline?.map((o) => o.title);
  const titleOf = (id: string): string => printed.report.tables.find((t) => t.id === id)!.title;
  const expected = [
    'First page',
    'Words of this report',
    titleOf('third'),
    'Formations, drawn',
    'Looks to prepare for',
    titleOf('personnel'),
  ];
  expect([await outline(false), await outline(true)]).toEqual([expected, expected]);
});

it('with a page a section, each section begins its own', async () => {
  const { reportPdf } = await import('./report-pdf');
  const printed = await given('offense');
  const { pages } = await read(await reportPdf([printed], { paper: 'letter', breaks: true }));
  const first = printed.report.tables.map((t) => pages.findIndex((p) => p.includes(squeezed(t.title))));
  expect(new Set(first).size).toBe(first.length);
});

it('of eight snaps and of none it says so and breaks nothing; nobody waits, nothing is made', async () => {
  const { reportPdf, playersPdf } = await import('./report-pdf');
  for (const n of [8, 0]) {
    const rows = select(columns, { offense: [team] }).slice(0, n);
    const printed = await given('offense', rows);
    const { pages } = await read(await reportPdf([printed], { paper: 'letter', breaks: false }));
    expect(pages[0]).toContain(squeezed(`${n} snaps`));
    expect(pages[0]).toContain(squeezed('No row of these tables stands apart'));
    expect((await read(await playersPdf([printed], 'a4'))).pages).toHaveLength(1);
  }
  const stopped = AbortSignal.abort();
  const printed = await given('offense');
  await expect(reportPdf([printed], { paper: 'letter', breaks: false, signal: stopped })).rejects.toThrow();
});

it('the players’ copy is one page in large print, without intervals', async () => {
  const { playersPdf } = await import('./report-pdf');
  const printed = await given('offense');
  const { pages } = await read(await playersPdf([printed], 'letter'));
  expect(pages).toHaveLength(1);
  expect(pages[0]).toContain(squeezed(leadOf(printed.report.sentences[0]!)));
  expect(pages[0]).not.toContain('%');
});

it('several units are one print: each with its own first page and foot, its bookmarks below its name', async () => {
  const { reportPdf, playersPdf } = await import('./report-pdf');
  const both = await Promise.all((['offense', 'defense'] as const).map((side) => given(side)));
  const parts = both.map((part, i) => ({ ...part, rests: `Film: five games. Unit ${i + 1}.` }));
  const told: (readonly [number, number])[] = [];
  const onSection = (done: number, of: number): void => void told.push([done, of]);
  const { doc, pages, outline } = await read(
    await reportPdf(parts, { paper: 'letter', breaks: false, onSection }),
  );
  expect(outline?.map((o) => o.title)).toEqual(parts.map((p) => p.title));
  const below = (outline as unknown as { items: { title: string }[] }[]).map((o) =>
    o.items.map((i) => i.title),
  );
  for (const [i, part] of parts.entries()) {
    expect(below[i]![0]).toBe('First page');
    expect(below[i]).toEqual(expect.arrayContaining(part.report.tables.map((t) => t.title)));
  }
  const second = pages.findIndex((page) => page.includes(squeezed(`${parts[1]!.report.snaps} snaps`)));
  expect(second).toBeGreaterThan(0);
  pages.forEach((page, i) => {
    expect(page).toContain(squeezed(`page ${i + 1} of ${doc.numPages}`));
    expect(page).toContain(squeezed(parts[i < second ? 0 : 1]!.rests));
  });
  expect(told.map(([done]) => done)).toEqual(told.map((_, i) => i));
  expect(new Set(told.map(([, of]) => of)).size).toBe(1);
  expect((await read(await playersPdf(parts, 'letter'))).pages).toHaveLength(2);
});
