/**
 * A board of two fields drawn as a grid: a bar a cell, as long as its snaps; solid is what the rate counts, hatched
 * what is known to be the other, a thin line what is not known. The same marks on screen and paper, read off the table.
 */
import { plural } from '../rules/plural';
import type { Point } from '../look/motion';
import type { Drawing, DrawMark } from '../look/marks';
import type { Zone } from '../field/situation';
import { BOARDS } from './board-specs';
import { REST, type BoardTable, type BoardTableRow } from './boards';
import { fieldWord, ORDERS } from './field-words';
import { inLines, KEY_LINE, keyMarks, line, rect, words } from './picture-marks';
import { filterLabel, type FilterField } from './filters';
import { countText, FEW, intervalText, type Rate } from './rates';

export interface PictureCell {
  /** Of the table's row. */
  readonly key: string;
  readonly row: BoardTableRow;
  /** Null: the board measures none. */
  readonly rate: Rate | null;
  /** "left, 81 to 90: 12 snaps, run 7 of 12, 32–81 %". */
  readonly label: string;
  /** In the drawing's units. */
  readonly box: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
}
export interface BoardDrawing {
  readonly drawing: Drawing;
  readonly cells: readonly PictureCell[];
  /** Snaps of the table that have no place in it. */
  readonly left: number;
}

const [WIDE, TALL, HEAD, SIDE, BAR] = [10, 5.6, 3, 15, 1.9];
const HATCH = 0.55;
/** Slanted strokes from edge to edge. */
function hatched(x: number, y: number, width: number, height: number): DrawMark[] {
  const marks: DrawMark[] = [];
  for (let at = HATCH; at < width + height; at += HATCH) {
    const from: Point = [x + Math.min(at, width), y + Math.max(0, at - width)];
    const to: Point = [x + Math.max(0, at - height), y + Math.min(at, height)];
    marks.push(line([from, to], 0.12));
  }
  return [...marks, line([...rect(x, y, width, height), [x, y]], 0.14)];
}

/** One bar: its parts add up to its snaps. */
function bar(x: number, y: number, length: number, rate: Rate, all: number): DrawMark[] {
  const hit = (length * rate.k) / all;
  const other = (length * (rate.n - rate.k)) / all;
  return [
    ...(rate.k > 0 ? [{ mark: 'shape', points: rect(x, y, hit, BAR), fill: 'ink' } as const] : []),
    ...(rate.n > rate.k ? hatched(x + hit, y, other, BAR) : []),
    ...(rate.n < all
      ? [
          line(
            [
              [x + hit + other, y + BAR / 2],
              [x + length, y + BAR / 2],
            ],
            0.14,
          ),
        ]
      : []),
  ];
}

/** The stored words that a row groups; none of the row of all the others, or of all. */
const groupWords = (row: BoardTableRow): readonly string[] =>
  row.key === REST || row.key === 'all' ? [] : row.key.split('~').map(decodeURIComponent);

/** The words of one axis in their order: from the first that is used to the last, three abreast always. */
function axis(field: FilterField, table: BoardTable, at: number): readonly string[] {
  const order = ORDERS[field] ?? [];
  if (order.length <= 3) return order;
  const used = new Set(table.rows.map((r) => groupWords(r)[at]));
  const is = (w: string): boolean => used.has(w);
  return order.slice(order.findIndex(is), order.findLastIndex(is) + 1);
}

/** The picture of a table; null where its board has none, or nothing has a place in it. */
export function gridPicture(table: BoardTable, zones: readonly Zone[]): BoardDrawing | null {
  const spec = BOARDS.find((b) => b.id === table.id);
  if (!spec?.picture) return null;
  const { picture } = spec;
  const [overAt, downAt] = [spec.by.indexOf(picture.across), spec.by.indexOf(picture.down)];
  const across = axis(picture.across, table, overAt);
  // The deepest throw stands on top, as the field is seen from behind the passer.
  const rows = axis(picture.down, table, downAt);
  const down = picture.down === 'depthBand' ? [...rows].reverse() : rows;
  const placed = table.rows.flatMap((row) => {
    const at = groupWords(row);
    const [column, line] = [across.indexOf(at[overAt]!), down.indexOf(at[downAt]!)];
    const rate = row.cells[picture.rate];
    return column < 0 || line < 0 || !rate || !('low' in rate) ? [] : [{ row, column, line, rate }];
  });
  if (placed.length === 0) return null;
  const most = Math.max(...placed.map((p) => p.row.rows.length));
  const [width, height] = [across.length * WIDE, down.length * TALL];
  const marks: DrawMark[] = [
    ...[`across: ${filterLabel(picture.across)}`, `down: ${filterLabel(picture.down)}`].map((w, i) =>
      words(w, SIDE - 0.8, HEAD - 1.9 + i * 1.5, 1.3, 'end', false, 'ink2'),
    ),
    ...across.map((w, i) =>
      words(fieldWord(picture.across, w, zones), SIDE + (i + 0.5) * WIDE, HEAD - 1, 1.5, 'middle', true),
    ),
    ...down.map((w, i) =>
      words(fieldWord(picture.down, w, zones), SIDE - 0.8, HEAD + (i + 0.6) * TALL, 1.5, 'end', true),
    ),
    ...Array.from({ length: across.length + 1 }, (_, i) =>
      line(
        [
          [SIDE + i * WIDE, HEAD],
          [SIDE + i * WIDE, HEAD + height],
        ],
        0.1,
        'faint',
      ),
    ),
    ...Array.from({ length: down.length + 1 }, (_, i) =>
      line(
        [
          [SIDE, HEAD + i * TALL],
          [SIDE + width, HEAD + i * TALL],
        ],
        0.1,
        'faint',
      ),
    ),
  ];
  const cells = placed.map(({ row, column, line: at, rate }): PictureCell => {
    const box = { x: SIDE + column * WIDE, y: HEAD + at * TALL, width: WIDE, height: TALL };
    const n = row.rows.length;
    marks.push(
      words(
        countText(rate),
        box.x + 0.6,
        box.y + 2.2,
        1.5,
        'start',
        rate.worth >= FEW,
        rate.worth >= FEW ? 'ink' : 'ink2',
      ),
      ...bar(box.x + 0.6, box.y + TALL - BAR - 0.8, Math.max(0.3, ((WIDE - 1.2) * n) / most), rate, n),
    );
    return {
      key: row.key,
      row,
      rate,
      label: `${row.words.join(', ')}: ${plural(n, 'snap')}, ${picture.words[0]} ${countText(rate)}, ${intervalText(rate)}`,
      box,
    };
  });
  const left = table.all.rows.length - placed.reduce((n, p) => n + p.row.rows.length, 0);
  const view = SIDE + width + 0.5;
  const key = inLines(
    [
      `length: snaps, the longest ${most}`,
      `solid: ${picture.words[0]}`,
      `hatched: ${picture.words[1]}`,
      'thin line: not known',
      ...(left > 0 ? [`${left} of ${table.all.rows.length} have no place here`] : []),
    ],
    view,
  );
  const foot = HEAD + height + 0.6;
  marks.push(...keyMarks(key, foot));
  return { drawing: { view: [0, 0, view, foot + KEY_LINE * key.length + 0.9], marks }, cells, left };
}
