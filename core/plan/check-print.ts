/** The check table as a card: one page where it fits, read from arm's length. */
import { MARGIN, SHEET_PAPERS, type SheetPaper } from './layout';
import { box, cellText, cutWords, line, text, type Measure, type PageMark, type SheetPages } from './marks';
import { findSituation, pictureOf } from './pictures';
import { CAUTION, headMarks, LEAST_SIZE, type SheetToPrint } from './print';
import type { Check } from './rows';

export interface CheckToPrint extends Check {
  /** Their snaps it answers, of all of theirs; null: no film. */
  readonly k: number | null;
  readonly n: number | null;
  /** Who has the third receiver; null: nobody, undefined: there is none, or nobody can say. */
  readonly third: string | null | undefined;
}

export type ChecksToPrint = Omit<SheetToPrint, 'sections'> & { readonly checks: readonly CheckToPrint[] };

const LARGEST_ROW = 34;
const SMALLEST_ROW = 14;
const PAD = 4;
const HEAD = 16;

/** Columns with their share of the width. */
const COLUMNS = [
  ['they line up in', 0.2],
  ['when', 0.13],
  ['front', 0.13],
  ['coverage', 0.16],
  ['pressure', 0.17],
  ['#3', 0.05],
  ['theirs', 0.08],
  ['', 0.08],
] as const;

const cellsOf = (c: CheckToPrint): readonly (readonly [words: string, bold: boolean])[] => [
  [pictureOf(c.picture)?.label ?? c.picture, true],
  [[c.personnel, findSituation(c.situation)?.label].filter(Boolean).join(', '), false],
  [c.front ?? '', true],
  [c.coverage ?? (c.front === null && c.pressure === null ? 'NO ANSWER' : ''), true],
  [c.pressure ?? '', true],
  [c.third ?? (c.third === null ? 'nobody' : ''), false],
  [c.k === null ? '' : `${c.k} of ${c.n}`, false],
  [c.note ?? '', false],
];

/** Rows as tall as one page allows, on more pages where the least is still too much. Cells cut short are named by their row. */
export function checkPages(sheet: ChecksToPrint, paper: SheetPaper, measure: Measure): SheetPages {
  const { width, height } = SHEET_PAPERS[paper];
  const inner = width - 2 * MARGIN;
  const top = MARGIN + 36 + HEAD;
  const room = height - top - MARGIN - 14;
  const rowHeight = Math.max(
    SMALLEST_ROW,
    Math.min(LARGEST_ROW, Math.floor(room / Math.max(1, sheet.checks.length))),
  );
  const aPage = Math.max(1, Math.floor(room / rowHeight));
  const pages: PageMark[][] = [];
  const cut: number[] = [];
  const many = Math.max(1, Math.ceil(sheet.checks.length / aPage));
  // A note of any row wants its column.
  const noted = sheet.checks.some((c) => c.note !== null);
  const shares: readonly number[] = COLUMNS.map(([, share], i) =>
    i === COLUMNS.length - 1 && !noted ? 0 : share,
  );
  const whole = shares.reduce((a, b) => a + b, 0);
  const widths = shares.map((s) => (s / whole) * inner);
  for (let p = 0; p < many; p++) {
    const marks = headMarks(
      sheet,
      `checks, the longer side at the snap${many > 1 ? ` · page ${p + 1} of ${many}` : ''}`,
      width,
      measure,
    );
    let x = MARGIN;
    COLUMNS.forEach(([label], i) => {
      if (widths[i]! > 0) marks.push(text(x + PAD, top - 5, LEAST_SIZE, label));
      x += widths[i]!;
    });
    sheet.checks.slice(p * aPage, (p + 1) * aPage).forEach((check, i) => {
      const y = top + i * rowHeight;
      marks.push(box(MARGIN, y, inner, rowHeight));
      let x = MARGIN;
      cellsOf(check).forEach(([words, bold], c) => {
        const wide = widths[c]!;
        if (wide === 0) return;
        if (c > 0) marks.push(line(x, y, x, y + rowHeight));
        if (words !== '') {
          const size = Math.min(13, rowHeight * 0.5);
          const cell = cellText(x + PAD, y + rowHeight / 2 + size * 0.35, wide - 2 * PAD, words, measure, {
            most: Math.max(LEAST_SIZE, size),
            least: LEAST_SIZE,
            bold,
          });
          marks.push(cell.mark);
          const row = p * aPage + i + 1;
          if (cell.cut && !cut.includes(row)) cut.push(row);
        }
        x += wide;
      });
    });
    if (sheet.checks.length === 0) marks.push(text(MARGIN, top + 14, 11, 'No checks on this sheet yet.'));
    pages.push(marks);
  }
  const said = cutWords(cut, ['row', 'rows']);
  for (const marks of pages) marks.push(text(MARGIN, height - MARGIN + 10, LEAST_SIZE, `${CAUTION}${said}`));
  return { width, height, pages, cut };
}
