/** Scout cards as pages: one, two, four or six a page, cut apart along their frames. */
import type { Drawing } from '../look';
import { MARGIN, SHEET_PAPERS, type SheetPaper } from './layout';
import { box, cellText, cutWords, text, type Measure, type PageMark, type SheetPages } from './marks';
import { CAUTION, headMarks, LEAST_SIZE, type SheetToPrint } from './print';
import type { ScoutCard, ScoutSettings } from './scout';

export type ScoutToPrint = Omit<SheetToPrint, 'sections'>;

const PAD = 8;
const GAP = 10;
const TOP = 40;

/** Columns and rows of a page: as near to the drawing's shape, wider than tall, as they come. */
export function gridOf(
  aPage: ScoutSettings['aPage'],
  paper: SheetPaper,
): readonly [columns: number, rows: number] {
  const { width, height } = SHEET_PAPERS[paper];
  if (aPage === 1) return [1, 1];
  if (aPage === 2) return width > height ? [2, 1] : [1, 2];
  if (aPage === 4) return [2, 2];
  return width > height ? [3, 2] : [2, 3];
}

/** What stands in a frame of its own, to be cut apart. */
export interface ToFrame {
  readonly number: number;
  readonly title: string;
  readonly lines: readonly string[];
  readonly drawing: Drawing;
}

/** The frames of one page: number, title, lines, drawing. `cut`: numbers whose words are cut are added. */
export function framed(
  here: readonly ToFrame[],
  aPage: ScoutSettings['aPage'],
  paper: SheetPaper,
  measure: Measure,
  cut: number[],
): PageMark[] {
  const { width, height } = SHEET_PAPERS[paper];
  const [columns, rows] = gridOf(aPage, paper);
  const w = (width - 2 * MARGIN - (columns - 1) * GAP) / columns;
  const h = (height - TOP - 2 * MARGIN - (rows - 1) * GAP) / rows;
  const largest = aPage === 1 ? 22 : aPage === 2 ? 17 : 13;
  const small = Math.max(LEAST_SIZE, largest * 0.66);
  return here.flatMap(({ number, title, lines, drawing }, i): PageMark[] => {
    const x = MARGIN + (i % columns) * (w + GAP);
    const y = MARGIN + TOP + Math.floor(i / columns) * (h + GAP);
    const numbered = measure(`${number}`, largest, true) + PAD;
    const cells = [
      cellText(x + PAD + numbered, y + PAD + largest * 0.8, w - 2 * PAD - numbered, title, measure, {
        most: largest,
        least: LEAST_SIZE,
        bold: true,
      }),
      ...lines.map((words, l) =>
        cellText(x + PAD, y + PAD + largest + (l + 1) * (small + 3), w - 2 * PAD, words, measure, {
          most: small,
          least: LEAST_SIZE,
        }),
      ),
    ];
    if (cells.some((cell) => cell.cut)) cut.push(number);
    const top = PAD + largest + lines.length * (small + 3) + PAD;
    return [
      box(x, y, w, h),
      text(x + PAD, y + PAD + largest * 0.8, largest, `${number}`, { bold: true }),
      ...cells.map((cell) => cell.mark),
      {
        mark: 'drawing',
        x: x + PAD,
        y: y + top,
        width: w - 2 * PAD,
        height: h - top - PAD,
        drawing,
      },
    ];
  });
}

/** Cards whose words and hats differ are named and left out: nobody runs a card that is wrong. */
export function scoutPages(
  about: ScoutToPrint,
  cards: readonly ScoutCard[],
  { aPage, turn, flip }: ScoutSettings,
  paper: SheetPaper,
  measure: Measure,
): SheetPages {
  const { width, height } = SHEET_PAPERS[paper];
  const printed = cards.map((card, i) => ({ card, number: i + 1 })).filter(({ card }) => card.fault === null);
  const refused = cards.flatMap((card, i) => (card.fault === null ? [] : [i + 1]));
  const many = Math.max(1, Math.ceil(printed.length / aPage));
  const cut: number[] = [];
  const pages = Array.from({ length: many }, (_, p): PageMark[] => {
    const marks = headMarks(
      about,
      `scout cards${flip ? ', left for right' : ''}${turn ? ', who shows it below' : ''}${many > 1 ? ` · page ${p + 1} of ${many}` : ''}`,
      width,
      measure,
    );
    if (printed.length === 0)
      marks.push(text(MARGIN, MARGIN + TOP + 14, 11, 'No film is tagged far enough to draw a card of it.'));
    const here = printed
      .slice(p * aPage, (p + 1) * aPage)
      .map(({ card: { title, lines, drawing }, number }): ToFrame => ({ number, title, lines, drawing }));
    marks.push(...framed(here, aPage, paper, measure, cut));
    return marks;
  });
  const left =
    refused.length === 0
      ? ''
      : ` Not printed, words and drawing differ: ${refused.length === 1 ? 'card' : 'cards'} ${refused.join(', ')}.`;
  for (const marks of pages)
    marks.push(
      text(MARGIN, height - MARGIN + 10, LEAST_SIZE, `${CAUTION}${cutWords(cut, ['card', 'cards'])}${left}`),
    );
  return { width, height, pages, cut };
}
