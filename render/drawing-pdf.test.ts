/** Cards on paper: pages, size, text, and that a long line stays in its column. */
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { describe, expect, it } from 'vitest';
import { drawTerm } from '@/core/book';
import { DEFAULT_BOOK } from '@/core/book/default-book';
import { COLLEGE } from '@/core/field';
import { cardsPdf, type Card } from './drawing-pdf';

const cards: Card[] = DEFAULT_BOOK.terms
  .filter((t) => t.kind === 'formation')
  .map((t) => ({ title: t.word, lines: ['3x1'], drawing: drawTerm(DEFAULT_BOOK, t, 'R', COLLEGE).drawing }));
async function read(bytes: Uint8Array) {
  const doc = await getDocument({ data: bytes, useSystemFonts: false, verbosity: 0 }).promise;
  const pages = await Promise.all(Array.from({ length: doc.numPages }, (_, i) => doc.getPage(i + 1)));
  const items = await Promise.all(
    pages.map(async (p) =>
      (await p.getTextContent()).items.flatMap((i) =>
        'str' in i && i.str.trim() ? [{ text: i.str, x: i.transform[4] as number, width: i.width }] : [],
      ),
    ),
  );
  return { pages: doc.numPages, size: pages[0]!.view.slice(2), items };
}

describe('a sheet of cards', () => {
  it('holds ten a page, each once, numbered pages, Letter and A4', async () => {
    for (const [paper, size] of [
      ['letter', [612, 792]],
      ['a4', [595, 842]],
    ] as const) {
      const pdf = await read(await cardsPdf(cards, paper, 'Formations', 'note'));
      expect([pdf.pages, pdf.size.map(Math.round)]).toEqual([Math.ceil(cards.length / 10), size]);
      const words = pdf.items.flat().map((i) => i.text);
      for (const c of cards)
        expect(
          words.filter((w) => w === c.title),
          c.title,
        ).toHaveLength(1);
      expect(words).toContain(`page 1 of ${pdf.pages}`);
    }
  });
  it('prints one card large on one page, and says so when there is nothing', async () => {
    expect((await read(await cardsPdf(cards.slice(0, 1), 'letter', 'One', 'note'))).pages).toBe(1);
    const empty = await read(await cardsPdf([], 'letter', 'None', 'note'));
    expect(empty.items.flat().map((i) => i.text)).toContain('Nothing to draw yet.');
  });
  it('cuts a line that would leave its column', async () => {
    const long = { ...cards[0]!, lines: ['a structure with very many words '.repeat(9)] };
    const pdf = await read(await cardsPdf([long, ...cards.slice(1, 4)], 'letter', 'Long', 'note'));
    const line = pdf.items.flat().find((i) => i.text.startsWith('a structure'))!;
    expect(line.text.endsWith('…')).toBe(true);
    expect(line.x + line.width).toBeLessThan(306);
  });
});
