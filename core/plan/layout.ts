/** How a sheet falls on paper: columns filled section by section, as large as one page allows, on more pages where the least type is still too much. */
import type { PrintedSection } from './sheet';

/** Points: Letter 8.5 × 11 in, A4 210 × 297 mm. */
export const PAPERS = {
  letter: { width: 612, height: 792, label: 'Letter' },
  a4: { width: 595.28, height: 841.89, label: 'A4' },
} as const;
export type Paper = keyof typeof PAPERS;

/** What a sheet is printed on besides: turned, and 11 × 17 in or A3 (297 × 420 mm) for the box, or to be folded. */
export const SHEET_PAPERS = {
  ...PAPERS,
  'letter-wide': { width: 792, height: 612, label: 'Letter, wide' },
  'a4-wide': { width: 841.89, height: 595.28, label: 'A4, wide' },
  tabloid: { width: 792, height: 1224, label: '11 × 17' },
  a3: { width: 841.89, height: 1190.55, label: 'A3' },
  'tabloid-wide': { width: 1224, height: 792, label: '11 × 17, wide' },
  'a3-wide': { width: 1190.55, height: 841.89, label: 'A3, wide' },
} as const;
export type SheetPaper = keyof typeof SHEET_PAPERS;

export const MARGIN = 30;
export const TITLE_HEIGHT = 34;
const GUTTER = 10;
const FOOT = 12;

/** How a call sheet is set. */
export interface SheetShape {
  /** For eyes that need it, or a long arm: nothing below twelve points, on as many pages as that takes. */
  readonly large: boolean;
  /** Three panels, each with margins of its own. */
  readonly folded: boolean;
}
export const USUAL_SHAPE: SheetShape = { large: false, folded: false };

/** Type, row and column of a shape, points. */
interface Set {
  readonly largestRow: number;
  readonly smallestRow: number;
  /** Above this row a narrow column would cut a call short. */
  readonly largestInNarrow: number;
  readonly narrow: number;
  /** Widths in which a call reads. */
  readonly columnFrom: number;
  readonly columnTo: number;
}
/** Type of eight points needs a row of thirteen, of twelve one of nineteen and a half. */
const USUAL_SET: Set = {
  largestRow: 19,
  smallestRow: 13,
  largestInNarrow: 15,
  narrow: 220,
  columnFrom: 165,
  columnTo: 290,
};
const LARGE_SET: Set = {
  largestRow: 26,
  smallestRow: 19.5,
  largestInNarrow: 22,
  narrow: 330,
  columnFrom: 235,
  columnTo: 600,
};
const setOf = ({ large }: SheetShape): Set => (large ? LARGE_SET : USUAL_SET);
/** A fold needs a margin on either side. */
const gutterOf = ({ folded }: SheetShape): number => (folded ? 2 * MARGIN : GUTTER);
/** Panels of a sheet that is folded in three. */
export const PANELS = 3;

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

type Call = PrintedSection['calls'][number];
/** Rows of a call: what follows from it by "if … then" stands below it. */
export const callRows = (call: Call): number => (call.ifThen.length > 0 ? 2 : 1);
/** Rows that a head and some calls take, and a gap. */
const rowsOf = (calls: readonly Call[]): number => 1 + calls.reduce((n, c) => n + callRows(c), 0) + 0.6;
const roomOf = (paper: SheetPaper): number => SHEET_PAPERS[paper].height - 2 * MARGIN - TITLE_HEIGHT - FOOT;
const widthOf = (paper: SheetPaper, columns: number, shape: SheetShape): number =>
  (SHEET_PAPERS[paper].width - 2 * MARGIN - (columns - 1) * gutterOf(shape)) / columns;

/** Columns filled one after another to a height of `room`, and pages where they are full. */
function flow(
  sections: readonly PrintedSection[],
  paper: SheetPaper,
  columns: number,
  rowHeight: number,
  room: number,
  shape: SheetShape,
): PlacedSection[][] {
  const width = widthOf(paper, columns, shape);
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
    const { calls } = printed;
    if (used > 0 && used + rowsOf(calls) * rowHeight > room) next();
    while (from < calls.length) {
      let count = 1;
      while (
        from + count < calls.length &&
        used + rowsOf(calls.slice(from, from + count + 1)) * rowHeight <= room
      )
        count++;
      pages.at(-1)!.push({
        printed,
        x: MARGIN + column * (width + gutterOf(shape)),
        y: MARGIN + TITLE_HEIGHT + used,
        width,
        from,
        count,
      });
      used += rowsOf(calls.slice(from, from + count)) * rowHeight;
      from += count;
      if (from < calls.length) next();
    }
  }
  return pages;
}

/** The same columns with the least height that still takes all sections on one page: ends fall level. */
function even(
  sections: readonly PrintedSection[],
  paper: SheetPaper,
  columns: number,
  rowHeight: number,
  shape: SheetShape,
): PlacedSection[][] {
  const whole = (pages: readonly PlacedSection[][]): boolean =>
    pages.length === 1 && pages[0]!.every((p) => p.count === p.printed.calls.length);
  let best = flow(sections, paper, columns, rowHeight, roomOf(paper), shape);
  for (let room = roomOf(paper); room > rowHeight; room -= rowHeight) {
    const lower = flow(sections, paper, columns, rowHeight, room, shape);
    if (!whole(lower)) break;
    best = lower;
  }
  return best;
}

/** Numbers of columns that a paper takes at a height of row, the fewest first. */
function columnsFor(paper: SheetPaper, rowHeight: number, shape: SheetShape): number[] {
  if (shape.folded) return [PANELS];
  const { largestInNarrow, narrow, columnFrom, columnTo } = setOf(shape);
  const least = rowHeight > largestInNarrow ? narrow : columnFrom;
  return [1, 2, 3, 4, 5, 6].filter((columns) => {
    const width = widthOf(paper, columns, shape);
    return width >= least && width <= columnTo;
  });
}

/** The largest type at which all sections fit one page; else the least type, on as many pages as it takes. */
export function layoutSheet(
  sections: readonly PrintedSection[],
  paper: SheetPaper,
  shape: SheetShape = USUAL_SHAPE,
): SheetLayout {
  const { largestRow, smallestRow } = setOf(shape);
  for (let rowHeight = largestRow; rowHeight >= smallestRow; rowHeight -= 0.5) {
    for (const columns of columnsFor(paper, rowHeight, shape)) {
      const pages = flow(sections, paper, columns, rowHeight, roomOf(paper), shape);
      if (pages.length === 1)
        return { rowHeight, columns, pages: even(sections, paper, columns, rowHeight, shape) };
    }
  }
  const most = columnsFor(paper, smallestRow, shape).at(-1)!;
  return {
    rowHeight: smallestRow,
    columns: most,
    pages: flow(sections, paper, most, smallestRow, roomOf(paper), shape),
  };
}
