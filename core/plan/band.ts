/** Wristband inserts: calls under numbers of their own, shuffled by week, front and back; and the key for the box. */
import { MARGIN, PAPERS, type Paper } from './layout';
import { box, cellText, cutWords, line, text, type Measure, type PageMark, type SheetPages } from './marks';
import { CAUTION, headMarks, LEAST_SIZE, type SheetToPrint } from './print';
import { shuffled } from './shuffle';
import { callWords, playCall, type PrintedSection } from './sheet';

export interface BandSettings {
  /** The window of the band, inches. */
  readonly width: number;
  readonly height: number;
  readonly columns: number;
  /** Another number another order; the same again the same. */
  readonly seed: number;
}
/** A window of three inside pages is about this (common practice); a staff measures its own. */
export const USUAL_BAND: BandSettings = { width: 4.75, height: 2.5, columns: 2, seed: 1 };
export const BAND_LIMITS = {
  width: { from: 2, to: 7.5 },
  height: { from: 1, to: 5 },
  columns: { from: 1, to: 4 },
  seed: { from: 0, to: 99_999 },
} as const;

/** Nothing on a band is smaller. */
export const LEAST_BAND = 6;
const INCH = 72;
const HEAD = 9;
const PAD = 2.5;
/** Type of six points needs a row of this. */
const SMALLEST_ROW = 7.6;
const LARGEST_ROW = 15;
/** Where more than so many would stand on the front, the back takes half. */
const COMFORTABLE_ROW = 10;

type Call = PrintedSection['calls'][number];

export interface BandRow {
  readonly band: number;
  readonly call: Call;
}

/** Calls in a shuffled order, numbered from 1; `next`: uniform in [0, 1). */
export const shuffleBand = (calls: readonly Call[], next: () => number): BandRow[] =>
  shuffled(calls, next).map((call, i) => ({ band: i + 1, call }));

const sideHolds = ({ height, columns }: BandSettings, row: number): number =>
  columns * Math.max(1, Math.floor((height * INCH - HEAD - 2 * PAD) / row));
/** Rows a side of an insert holds at the least type. */
export const bandCapacity = (settings: BandSettings): number => sideHolds(settings, SMALLEST_ROW);

interface Side {
  readonly label: string;
  readonly rows: readonly BandRow[];
}

/** Sides of inserts, filled evenly: front and back of the first, then of the next. */
export function bandSides(rows: readonly BandRow[], settings: BandSettings): Side[] {
  const many =
    rows.length <= sideHolds(settings, COMFORTABLE_ROW)
      ? 1
      : Math.max(2, Math.ceil(rows.length / bandCapacity(settings)));
  const each = Math.ceil(rows.length / many);
  return Array.from({ length: many }, (_, i) => ({
    label: `${String.fromCharCode(65 + Math.floor(i / 2))} ${i % 2 === 0 ? 'front' : 'back'}`,
    rows: rows.slice(i * each, (i + 1) * each),
  }));
}

function insertMarks(
  { label, rows }: Side,
  { width, height, columns }: BandSettings,
  x: number,
  y: number,
  name: string,
  measure: Measure,
  cut: Set<number>,
): PageMark[] {
  const [wide, tall] = [width * INCH, height * INCH];
  const marks: PageMark[] = [box(x, y, wide, tall), box(x, y, wide, HEAD, true)];
  const head = cellText(x + PAD, y + HEAD * 0.76, wide - 2 * PAD, `${name} · ${label}`, measure, {
    most: 7,
    least: LEAST_BAND,
    bold: true,
  }).mark;
  marks.push({ ...head, ink: 'white' } as PageMark);
  const deep = Math.ceil(rows.length / columns);
  const rowHeight = Math.min(LARGEST_ROW, (tall - HEAD - 2 * PAD) / Math.max(1, deep));
  const column = wide / columns;
  rows.forEach(({ band, call }, i) => {
    const left = x + Math.floor(i / deep) * column;
    const top = y + HEAD + PAD + (i % deep) * rowHeight;
    const size = Math.max(LEAST_BAND, rowHeight * 0.78);
    const base = top + rowHeight * 0.78;
    const numberWide = measure('99', size, true) + 2 * PAD;
    marks.push(text(left + numberWide / 2, base, size, String(band), { bold: true, anchor: 'middle' }));
    const cell = cellText(left + numberWide, base, column - numberWide - PAD, callWords(call), measure, {
      most: size,
      least: LEAST_BAND,
    });
    marks.push(cell.mark);
    if (cell.cut) cut.add(call.number);
    if (i % deep > 0) marks.push(line(left + PAD, top, left + column - PAD, top, 0.25));
    if (i % deep === 0 && i > 0) marks.push(line(left, y + HEAD, left, y + tall, 0.5));
  });
  return marks;
}

/**
 * Inserts side by side and below one another, as often as a page takes them, and behind them the key: calls as they are
 * numbered on the sheet with their number on the band.
 */
export function bandPages(
  sheet: SheetToPrint,
  paper: Paper,
  settings: BandSettings,
  next: () => number,
  measure: Measure,
): SheetPages {
  const { width, height } = PAPERS[paper];
  const calls = sheet.sections.flatMap((s) => s.calls);
  const rows = shuffleBand(calls, next);
  const sides = bandSides(rows, settings);
  const cut = new Set<number>();
  const [wide, tall] = [settings.width * INCH, settings.height * INCH];
  const gap = 14;
  const top = MARGIN + 40;
  const across = Math.max(1, Math.floor((width - 2 * MARGIN + gap) / (wide + gap)));
  const down = Math.max(1, Math.floor((height - top - MARGIN + gap) / (tall + gap)));
  const spots = across * down;
  // As many whole sets as one page takes; a set that is larger than a page goes on.
  const sets = Math.max(1, Math.floor(spots / sides.length));
  const all = Array.from({ length: sets }, () => sides).flat();
  const head = (what: string): PageMark[] => headMarks(sheet, what, width, measure);
  const pages: PageMark[][] = [];
  for (let from = 0; from < all.length; from += spots)
    pages.push([
      ...head(`wristband ${settings.width} × ${settings.height} in, order ${settings.seed}`),
      ...all
        .slice(from, from + spots)
        .flatMap((side, i) =>
          insertMarks(
            side,
            settings,
            MARGIN + (i % across) * (wide + gap),
            top + Math.floor(i / across) * (tall + gap),
            sheet.name,
            measure,
            cut,
          ),
        ),
    ]);
  const bandOf = new Map(rows.map((r) => [r.call.id, r.band]));
  pages.push(...keyPages(sheet, bandOf, width, height, head, measure));
  const shown = [...cut].sort((a, b) => a - b);
  const said = cutWords(shown, ['call', 'calls']);
  for (const marks of pages) marks.push(text(MARGIN, height - MARGIN + 10, LEAST_SIZE, `${CAUTION}${said}`));
  return { width, height, pages, cut: shown };
}

const KEY_ROW = 12;
const KEY_COLUMNS = 3;

/** The key of the box: sheet number, call, band number. */
function keyPages(
  { sections }: SheetToPrint,
  bandOf: ReadonlyMap<string, number>,
  width: number,
  height: number,
  head: (what: string) => PageMark[],
  measure: Measure,
): PageMark[][] {
  const top = MARGIN + 44;
  const deep = Math.floor((height - top - MARGIN - 14) / KEY_ROW);
  const column = (width - 2 * MARGIN) / KEY_COLUMNS;
  const lines = sections.flatMap(({ section, calls }) => [
    { words: section.label, call: null as Call | null },
    ...calls.map((call) => ({ words: playCall(call.play), call: call as Call | null })),
  ]);
  const pages: PageMark[][] = [];
  lines.forEach(({ words, call }, i) => {
    const at = i % (deep * KEY_COLUMNS);
    if (at === 0) pages.push(head('key for the box: call on the sheet, number on the band'));
    const x = MARGIN + Math.floor(at / deep) * column;
    const y = top + (at % deep) * KEY_ROW + 9;
    const marks = pages.at(-1)!;
    if (call === null) marks.push(text(x, y, 9, words.toUpperCase(), { bold: true }));
    else {
      marks.push(text(x + 16, y, 9, String(call.number), { anchor: 'middle' }));
      marks.push(
        cellText(x + 30, y, column - 66, words, measure, { most: 9, least: LEAST_SIZE }).mark,
        text(x + column - 20, y, 10, String(bandOf.get(call.id)), { bold: true, anchor: 'middle' }),
      );
    }
  });
  return pages;
}
