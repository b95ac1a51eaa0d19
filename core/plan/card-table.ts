/** A table on a card: one page where it fits, read from arm's length. */
import { MARGIN, SHEET_PAPERS, type SheetPaper } from './layout';
import { box, cellText, cutWords, line, text, type Measure, type PageMark, type SheetPages } from './marks';
import { CAUTION, headMarks, LEAST_SIZE, type SheetToPrint } from './print';

const LARGEST_ROW = 34;
const SMALLEST_ROW = 14;
const LARGEST_TYPE = 13;
const PAD = 4;
const HEAD = 16;

export interface CardTable {
  readonly about: Omit<SheetToPrint, 'sections'>;
  readonly below: string;
  /** With their share of the width; one that is empty in all rows takes none if it has no label. */
  readonly columns: readonly (readonly [label: string, share: number])[];
  readonly rows: readonly (readonly (readonly [words: string, bold: boolean])[])[];
  /** Said in place of the first row where there is none. */
  readonly empty: string;
}

/** Rows as tall as one page allows, on more pages where the least is still too much. Cells cut short are named by their row. */
export function cardPages(
  { about, below, columns, rows, empty }: CardTable,
  paper: SheetPaper,
  measure: Measure,
): SheetPages {
  const { width, height } = SHEET_PAPERS[paper];
  const inner = width - 2 * MARGIN;
  const top = MARGIN + 36 + HEAD;
  const room = height - top - MARGIN - 14;
  const rowHeight = Math.max(
    SMALLEST_ROW,
    Math.min(LARGEST_ROW, Math.floor(room / Math.max(1, rows.length))),
  );
  const aPage = Math.max(1, Math.floor(room / rowHeight));
  const pages: PageMark[][] = [];
  const cut: number[] = [];
  const many = Math.max(1, Math.ceil(rows.length / aPage));
  const shares = columns.map(([label, share], i) =>
    label === '' && rows.every((row) => row[i]![0] === '') ? 0 : share,
  );
  const whole = shares.reduce((a, b) => a + b, 0);
  const widths = shares.map((s) => (s / whole) * inner);
  for (let p = 0; p < many; p++) {
    const marks = headMarks(
      about,
      `${below}${many > 1 ? ` · page ${p + 1} of ${many}` : ''}`,
      width,
      measure,
    );
    let x = MARGIN;
    columns.forEach(([label], i) => {
      if (widths[i]! > 0) marks.push(text(x + PAD, top - 5, LEAST_SIZE, label));
      x += widths[i]!;
    });
    // What a first cell leaves to the row above is said again where that stands on the page before.
    const above = rows.slice(0, p * aPage).findLast(([first]) => first![0] !== '');
    rows.slice(p * aPage, (p + 1) * aPage).forEach((row, i) => {
      const y = top + i * rowHeight;
      marks.push(box(MARGIN, y, inner, rowHeight));
      let x = MARGIN;
      row.forEach(([said, bold], c) => {
        const words = said === '' && i === 0 && c === 0 && above ? above[0]![0] : said;
        const wide = widths[c]!;
        if (wide === 0) return;
        if (c > 0) marks.push(line(x, y, x, y + rowHeight));
        if (words !== '') {
          const size = Math.min(LARGEST_TYPE, rowHeight * 0.5);
          const cell = cellText(x + PAD, y + rowHeight / 2 + size * 0.35, wide - 2 * PAD, words, measure, {
            most: Math.max(LEAST_SIZE, size),
            least: LEAST_SIZE,
            bold,
          });
          marks.push(cell.mark);
          const at = p * aPage + i + 1;
          if (cell.cut && !cut.includes(at)) cut.push(at);
        }
        x += wide;
      });
    });
    if (rows.length === 0) marks.push(text(MARGIN, top + 14, 11, empty));
    pages.push(marks);
  }
  const said = cutWords(cut, ['row', 'rows']);
  for (const marks of pages) marks.push(text(MARGIN, height - MARGIN + 10, LEAST_SIZE, `${CAUTION}${said}`));
  return { width, height, pages, cut };
}
