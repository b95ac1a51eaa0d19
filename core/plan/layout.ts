/** How a sheet falls on one page: columns filled section by section, type shrunk until all fits. */
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
const LARGEST_ROW = 19;
const SMALLEST_ROW = 7.5;

export interface PlacedSection {
  readonly printed: PrintedSection;
  readonly x: number;
  readonly y: number;
  readonly width: number;
}

export interface SheetLayout {
  readonly rowHeight: number;
  readonly columns: number;
  readonly placed: readonly PlacedSection[];
  /** False: even the smallest type does not fit one page; the rest is left out and must be said. */
  readonly fits: boolean;
}

/** Rows a section takes: its head, its calls, a gap. */
const rowsOf = (s: PrintedSection): number => 1 + s.calls.length + 0.6;

function place(
  sections: readonly PrintedSection[],
  paper: Paper,
  columns: number,
  rowHeight: number,
  most = Infinity,
): PlacedSection[] | null {
  const { width, height } = PAPERS[paper];
  const column = (width - 2 * MARGIN - (columns - 1) * GUTTER) / columns;
  const top = MARGIN + TITLE_HEIGHT;
  const room = Math.min(height - MARGIN - top - 12, most);
  const placed: PlacedSection[] = [];
  let at = 0;
  let used = 0;
  for (const printed of sections) {
    const tall = rowsOf(printed) * rowHeight;
    if (used > 0 && used + tall > room) {
      at++;
      used = 0;
    }
    if (at >= columns || tall > room) return null;
    placed.push({ printed, x: MARGIN + at * (column + GUTTER), y: top + used, width: column });
    used += tall;
  }
  return placed;
}

/** The same columns with the least height that still takes all sections: ends fall level. */
function even(
  sections: readonly PrintedSection[],
  paper: Paper,
  columns: number,
  rowHeight: number,
  placed: PlacedSection[],
): PlacedSection[] {
  let best = placed;
  for (let most = PAPERS[paper].height; most > rowHeight; most -= rowHeight) {
    const lower = place(sections, paper, columns, rowHeight, most);
    if (!lower) break;
    best = lower;
  }
  return best;
}

/** The largest type at which all sections fit one page in two or three columns. Sections never break. */
export function layoutSheet(sections: readonly PrintedSection[], paper: Paper): SheetLayout {
  for (let rowHeight = LARGEST_ROW; rowHeight >= SMALLEST_ROW; rowHeight -= 0.5) {
    for (const columns of rowHeight > 12 ? [2] : [2, 3]) {
      const placed = place(sections, paper, columns, rowHeight);
      if (placed)
        return { rowHeight, columns, placed: even(sections, paper, columns, rowHeight, placed), fits: true };
    }
  }
  for (let n = sections.length - 1; n > 0; n--) {
    const placed = place(sections.slice(0, n), paper, 3, SMALLEST_ROW);
    if (placed) return { rowHeight: SMALLEST_ROW, columns: 3, placed, fits: false };
  }
  return { rowHeight: SMALLEST_ROW, columns: 3, placed: [], fits: sections.length === 0 };
}
