/** A call sheet as pages of plain marks, in points: the preview and the PDF draw the same list. Black and white. */
import { PAPERS, MARGIN, layoutSheet, type Paper, type PlacedSection } from './layout';
import { playCall, playLook, type PrintedSection, type SheetCall } from './sheet';

export type PageInk = 'black' | 'white';
export type PageMark =
  | {
      readonly mark: 'text';
      readonly x: number;
      /** The baseline. */
      readonly y: number;
      readonly size: number;
      readonly bold: boolean;
      readonly ink: PageInk;
      readonly anchor: 'start' | 'middle';
      readonly text: string;
    }
  | {
      readonly mark: 'rect';
      readonly x: number;
      readonly y: number;
      readonly width: number;
      readonly height: number;
      /** Filled black; none: a thin line around. */
      readonly filled: boolean;
    }
  | {
      readonly mark: 'line';
      readonly x1: number;
      readonly y1: number;
      readonly x2: number;
      readonly y2: number;
      readonly width: number;
    };

/** Width of a text in points, by the font it is printed in. */
export type Measure = (text: string, size: number, bold: boolean) => number;

export interface SheetPages {
  readonly paper: Paper;
  readonly pages: readonly (readonly PageMark[])[];
  /** Numbers of calls whose words do not fit their row at the least size: they end in “…”. */
  readonly cut: readonly number[];
}

export interface SheetToPrint {
  readonly name: string;
  readonly title: string;
  readonly against: string;
  readonly sections: readonly PrintedSection[];
}

/** Nothing on paper is smaller: it could not be read on a sideline. */
export const LEAST_SIZE = 8;
const SHARE_OF_ROW = 0.62;
const BASELINE = 0.72;
const PAD = 4;

const text = (
  x: number,
  y: number,
  size: number,
  words: string,
  more: Partial<PageMark & { mark: 'text' }> = {},
): PageMark => ({
  mark: 'text',
  x,
  y,
  size,
  bold: false,
  ink: 'black',
  anchor: 'start',
  ...more,
  text: words,
});

/** The largest size from `most` down to the least at which the words fit; null: not even the least does. */
function fitted(width: (size: number) => number, room: number, most: number): number | null {
  const natural = width(most);
  if (natural <= room) return most;
  const size = Math.floor(most * (room / natural) * 10) / 10;
  return size >= LEAST_SIZE ? size : width(LEAST_SIZE) <= room ? LEAST_SIZE : null;
}

/** As many characters as fit, then “…”. */
function cutTo(words: string, room: number, width: (words: string) => number): string {
  let least = 0;
  let most = words.length;
  while (least < most) {
    const middle = Math.ceil((least + most) / 2);
    if (width(`${words.slice(0, middle).trimEnd()}…`) <= room) least = middle;
    else most = middle - 1;
  }
  return `${words.slice(0, least).trimEnd()}…`;
}

interface Row {
  readonly marks: readonly PageMark[];
  readonly cut: boolean;
}

function callRow(
  call: SheetCall & { number: number },
  x: number,
  top: number,
  width: number,
  height: number,
  measure: Measure,
): Row {
  const size = Math.max(LEAST_SIZE, height * SHARE_OF_ROW);
  const base = top + height * BASELINE;
  const numberWidth = height * 1.4;
  const hashWidth = call.hash ? height : 0;
  const left = x + numberWidth + PAD;
  const room = width - numberWidth - hashWidth - 2 * PAD;
  const look = `${playLook(call.play)} · `;
  const name = `${playCall(call.play)}${call.note ? `  (${call.note})` : ''}`;
  const fit = fitted((s) => measure(look, s, false) + measure(name, s, true), room, size);
  const at = fit ?? LEAST_SIZE;
  // What the call is goes before how it looks: the look is cut first.
  const nameRoom = room - measure('…', at, false);
  const shownName =
    fit === null && measure(name, at, true) > nameRoom
      ? cutTo(name, nameRoom, (t) => measure(t, at, true))
      : name;
  const lookRoom = room - measure(shownName, at, true);
  const shownLook = fit === null ? cutTo(look, lookRoom, (t) => measure(t, at, false)) : look;
  return {
    cut: fit === null,
    marks: [
      { mark: 'rect', x, y: top, width: width, height: height, filled: false },
      { mark: 'line', x1: x + numberWidth, y1: top, x2: x + numberWidth, y2: top + height, width: 0.5 },
      text(x + numberWidth / 2, base, size, String(call.number), { bold: true, anchor: 'middle' }),
      text(left, base, at, shownLook),
      text(left + measure(shownLook, at, false), base, at, shownName, { bold: true }),
      ...(call.hash
        ? [text(x + width - height / 2, base, size, call.hash, { bold: true, anchor: 'middle' })]
        : []),
    ],
  };
}

function sectionMarks(
  { printed, x, y, width, from, count }: PlacedSection,
  height: number,
  measure: Measure,
  cut: number[],
): PageMark[] {
  const most = Math.max(LEAST_SIZE, height * SHARE_OF_ROW);
  const label = `${printed.section.label.toUpperCase()}${from > 0 ? ', CONTINUED' : ''}`;
  const size = fitted((s) => measure(label, s, true), width - 2 * PAD, most) ?? LEAST_SIZE;
  const marks: PageMark[] = [
    { mark: 'rect', x, y, width, height: height, filled: true },
    text(x + PAD, y + height * BASELINE, size, label, { bold: true, ink: 'white' }),
  ];
  printed.calls.slice(from, from + count).forEach((call, i) => {
    const row = callRow(call, x, y + height * (i + 1), width, height, measure);
    marks.push(...row.marks);
    if (row.cut) cut.push(call.number);
  });
  return marks;
}

/** Lays a sheet out on as many pages as it takes; every call stands once. */
export function sheetPages(
  { name, title, against, sections }: SheetToPrint,
  paper: Paper,
  measure: Measure,
): SheetPages {
  const { width, height } = PAPERS[paper];
  const { rowHeight, pages } = layoutSheet(sections, paper);
  const cut: number[] = [];
  const bodies = pages.map((placed) => placed.flatMap((s) => sectionMarks(s, rowHeight, measure, cut)));
  const caution = 'Check what your rules allow on the sideline and in the box this season.';
  const shown = cut.slice(0, 8).join(', ');
  const more = cut.length > 8 ? ` and ${cut.length - 8} more` : '';
  const said = cut.length > 0 ? ` Cut short: ${cut.length === 1 ? 'call' : 'calls'} ${shown}${more}.` : '';
  return {
    paper,
    cut,
    pages: bodies.map((body, i) => [
      text(MARGIN, MARGIN + 9, 15, `${title} against ${against}`, { bold: true }),
      text(
        MARGIN,
        MARGIN + 22,
        9,
        `${name} · hash L M R, blank = any${bodies.length > 1 ? ` · page ${i + 1} of ${bodies.length}` : ''}`,
      ),
      { mark: 'line', x1: MARGIN, y1: MARGIN + 27, x2: width - MARGIN, y2: MARGIN + 27, width: 1.2 },
      ...(body.length > 0 ? body : [text(MARGIN, MARGIN + 50, 11, 'No calls on this sheet yet.')]),
      text(MARGIN, height - MARGIN + 10, LEAST_SIZE, `${caution}${said}`),
    ]),
  };
}
