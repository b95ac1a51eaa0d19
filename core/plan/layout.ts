/** How a sheet falls on paper: columns filled section by section, as large as one page allows, on more pages where the least type is still too much. */
import type { PrintedSection } from './sheet';

/** Points: Letter 8.5 × 11 in, A4 210 × 297 mm. */
export const PAPERS = {
  letter: { width: 612, height: 792, label: 'Letter' },
  a4: { width: 595.28, height: 841.89, label: 'A4' },
} as const;
export type Paper = keyof typeof PAPERS;

export const MARGIN = 30;
export const TITLE_HEIGHT = 34;
const GUTTER = 10;
const FOOT = 12;
const LARGEST_ROW = 19;
/** Type of eight points needs a row of thirteen. */
const SMALLEST_ROW = 13;
/** Above it three columns would be too narrow for a call. */
const LARGEST_IN_THREE = 15;

export interface PlacedSection {
  readonly printed: PrintedSection;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  /** The calls of the section that stand here: a section taller than a column goes on in the next. */
  readonly from: number;
  readonly count: number;
}

export interface SheetLayout {
  readonly rowHeight: number;
  readonly columns: number;
  readonly pages: readonly (readonly PlacedSection[])[];
}

/** Rows that a head and so many calls take, and a gap. */
const rowsOf = (calls: number): number => 1 + calls + 0.6;
const roomOf = (paper: Paper): number => PAPERS[paper].height - 2 * MARGIN - TITLE_HEIGHT - FOOT;

/** Columns filled one after another to a height of `room`, and pages where they are full. */
function flow(
  sections: readonly PrintedSection[],
  paper: Paper,
  columns: number,
  rowHeight: number,
  room: number,
): PlacedSection[][] {
  const width = (PAPERS[paper].width - 2 * MARGIN - (columns - 1) * GUTTER) / columns;
  const pages: PlacedSection[][] = [[]];
  let column = 0;
  let used = 0;
  const next = (): void => {
    used = 0;
    column = (column + 1) % columns;
    if (column === 0) pages.push([]);
  };
  for (const printed of sections) {
    let from = 0;
    const all = printed.calls.length;
    if (used > 0 && used + rowsOf(all) * rowHeight > room) next();
    while (from < all) {
      const fits = Math.max(1, Math.floor((room - used) / rowHeight - 1.6));
      const count = Math.min(all - from, fits);
      pages.at(-1)!.push({
        printed,
        x: MARGIN + column * (width + GUTTER),
        y: MARGIN + TITLE_HEIGHT + used,
        width,
        from,
        count,
      });
      used += rowsOf(count) * rowHeight;
      from += count;
      if (from < all) next();
    }
  }
  return pages;
}

/** The same columns with the least height that still takes all sections on one page: ends fall level. */
function even(
  sections: readonly PrintedSection[],
  paper: Paper,
  columns: number,
  rowHeight: number,
): PlacedSection[][] {
  const whole = (pages: readonly PlacedSection[][]): boolean =>
    pages.length === 1 && pages[0]!.every((p) => p.count === p.printed.calls.length);
  let best = flow(sections, paper, columns, rowHeight, roomOf(paper));
  for (let room = roomOf(paper); room > rowHeight; room -= rowHeight) {
    const lower = flow(sections, paper, columns, rowHeight, room);
    if (!whole(lower)) break;
    best = lower;
  }
  return best;
}

/** The largest type at which all sections fit one page in two or three columns; else the least type, on as many pages as it takes. */
export function layoutSheet(sections: readonly PrintedSection[], paper: Paper): SheetLayout {
  for (let rowHeight = LARGEST_ROW; rowHeight >= SMALLEST_ROW; rowHeight -= 0.5) {
    for (const columns of rowHeight > LARGEST_IN_THREE ? [2] : [2, 3]) {
      const pages = flow(sections, paper, columns, rowHeight, roomOf(paper));
      if (pages.length === 1) return { rowHeight, columns, pages: even(sections, paper, columns, rowHeight) };
    }
  }
  return {
    rowHeight: SMALLEST_ROW,
    columns: 3,
    pages: flow(sections, paper, 3, SMALLEST_ROW, roomOf(paper)),
  };
}
