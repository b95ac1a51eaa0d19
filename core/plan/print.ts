/** A call sheet as pages of plain marks. */
import {
  callRows,
  layoutSheet,
  MARGIN,
  PANELS,
  SHEET_PAPERS,
  USUAL_SHAPE,
  type PlacedSection,
  type SheetPaper,
  type SheetShape,
} from './layout';
import {
  box,
  cellText,
  cutTo,
  cutWords,
  fitted,
  line,
  text,
  type Measure,
  type PageMark,
  type SheetPages,
} from './marks';
import { callExtras, ifThenWords, playCall, playLook, type PrintedSection, type SheetCall } from './sheet';

export interface SheetToPrint {
  readonly name: string;
  readonly title: string;
  readonly against: string;
  /** When it was printed, of which version: "2026-10-31 20:00, version 3", and which copy it is. */
  readonly stamp: string;
  readonly sections: readonly PrintedSection[];
}

/** Nothing on paper is smaller: it could not be read on a sideline. */
export const LEAST_SIZE = 8;
/** Of large print. */
export const LEAST_LARGE = 12;
const SHARE_OF_ROW = 0.62;
const BASELINE = 0.72;
const PAD = 4;

/** What a rulebook and a league may forbid. */
export const CAUTION = 'Check what your rules allow on the sideline and in the box this season.';

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
  numbers: ReadonlyMap<string, number>,
  least: number,
): Row {
  const size = Math.max(least, height * SHARE_OF_ROW);
  const base = top + height * BASELINE;
  const numberWidth = height * 1.4;
  const hashWidth = call.hash ? height : 0;
  const left = x + numberWidth + PAD;
  const room = width - numberWidth - hashWidth - 2 * PAD;
  const look = `${playLook(call.play)} · `;
  const extras = callExtras(call);
  const name = `${playCall(call.play)}${extras ? `  (${extras})` : ''}`;
  const fit = fitted((s) => measure(look, s, false) + measure(name, s, true), room, size, least);
  const at = fit ?? least;
  // What the call is goes before how it looks: the look is cut first.
  const nameRoom = room - measure('…', at, false);
  const shownName =
    fit === null && measure(name, at, true) > nameRoom
      ? cutTo(name, nameRoom, (t) => measure(t, at, true))
      : name;
  const lookRoom = room - measure(shownName, at, true);
  const shownLook = fit === null ? cutTo(look, lookRoom, (t) => measure(t, at, false)) : look;
  const tall = height * callRows(call);
  const then =
    call.ifThen.length > 0
      ? cellText(left, base + height, room, ifThenWords(call.ifThen, numbers), measure, {
          most: Math.max(least, size * 0.92),
          least,
        })
      : null;
  return {
    cut: fit === null || then?.cut === true,
    marks: [
      box(x, top, width, tall),
      line(x + numberWidth, top, x + numberWidth, top + tall),
      text(x + numberWidth / 2, base, size, String(call.number), { bold: true, anchor: 'middle' }),
      text(left, base, at, shownLook),
      text(left + measure(shownLook, at, false), base, at, shownName, { bold: true }),
      ...(call.hash
        ? [text(x + width - height / 2, base, size, call.hash, { bold: true, anchor: 'middle' })]
        : []),
      ...(then ? [then.mark] : []),
    ],
  };
}

function sectionMarks(
  { printed, x, y, width, from, count }: PlacedSection,
  height: number,
  measure: Measure,
  numbers: ReadonlyMap<string, number>,
  cut: number[],
  least: number,
): PageMark[] {
  const most = Math.max(least, height * SHARE_OF_ROW);
  const label = `${printed.section.label.toUpperCase()}${from > 0 ? ', CONTINUED' : ''}`;
  const size = fitted((s) => measure(label, s, true), width - 2 * PAD, most, least) ?? least;
  const marks: PageMark[] = [
    box(x, y, width, height, true),
    text(x + PAD, y + height * BASELINE, size, label, { bold: true, ink: 'white' }),
  ];
  let top = y + height;
  for (const call of printed.calls.slice(from, from + count)) {
    const row = callRow(call, x, top, width, height, measure, numbers, least);
    marks.push(...row.marks);
    if (row.cut) cut.push(call.number);
    top += height * callRows(call);
  }
  return marks;
}

/** "2026-10-31 20:00, version 3, changed since": of a sheet that nobody saved as a version, the time alone. */
export const stampWords = (
  printed: string,
  version: { readonly number: number; readonly changed: boolean } | null,
): string =>
  `${printed}${version ? `, version ${version.number}${version.changed ? ', changed since' : ''}` : ''}`;

/** The head of a page: what it is, against whom, and in the corner when it was printed; `corner`: where the page ends. */
export function headMarks(
  { title, against, name, stamp }: Pick<SheetToPrint, 'title' | 'against' | 'name' | 'stamp'>,
  below: string,
  width: number,
  measure: Measure,
  corner = width,
): PageMark[] {
  const room = width - 2 * MARGIN;
  const stampAt = corner - MARGIN - measure(stamp, 9, false);
  const above = cellText(MARGIN, MARGIN + 9, room, `${title} against ${against}`, measure, {
    most: 15,
    least: LEAST_SIZE,
    bold: true,
  });
  return [
    above.mark,
    cellText(MARGIN, MARGIN + 22, Math.min(room, stampAt - 8 - MARGIN), `${name} · ${below}`, measure, {
      most: 9,
      least: LEAST_SIZE,
    }).mark,
    text(stampAt, MARGIN + 22, 9, stamp),
    line(MARGIN, MARGIN + 27, width - MARGIN, MARGIN + 27, 1.2),
  ];
}

/** Where a sheet is folded: a tick above and below. */
const folds = (width: number, height: number): PageMark[] =>
  Array.from({ length: PANELS - 1 }, (_, i) => ((i + 1) * width) / PANELS).flatMap((x) => [
    line(x, 6, x, 18),
    line(x, height - 18, x, height - 6),
  ]);

/** Lays a sheet out on as many pages as it takes; every call stands once. */
export function sheetPages(
  sheet: SheetToPrint,
  paper: SheetPaper,
  measure: Measure,
  shape: SheetShape = USUAL_SHAPE,
): SheetPages {
  const { width, height } = SHEET_PAPERS[paper];
  const { rowHeight, pages } = layoutSheet(sheet.sections, paper, shape);
  const numbers = new Map(sheet.sections.flatMap((s) => s.calls.map((c) => [c.id, c.number])));
  const cut: number[] = [];
  const least = shape.large ? LEAST_LARGE : LEAST_SIZE;
  const bodies = pages.map((placed) =>
    placed.flatMap((s) => sectionMarks(s, rowHeight, measure, numbers, cut, least)),
  );
  const said = cutWords(cut, ['call', 'calls']);
  return {
    width,
    height,
    cut,
    pages: bodies.map((body, i) => [
      ...headMarks(
        sheet,
        `hash L M R, blank = any${bodies.length > 1 ? ` · page ${i + 1} of ${bodies.length}` : ''}`,
        shape.folded ? width / PANELS : width,
        measure,
        width,
      ),
      ...(body.length > 0 ? body : [text(MARGIN, MARGIN + 50, 11, 'No calls on this sheet yet.')]),
      text(MARGIN, height - MARGIN + 10, LEAST_SIZE, `${CAUTION}${said}`),
      ...(shape.folded ? folds(width, height) : []),
    ]),
  };
}
