/**
 * Any board drawn, a line a row of its table: a bar as long as its snaps, then each rate as a dot on its 95 % interval,
 * the rate of all rows an upright behind. The table beside it says the same in words.
 */
import { plural } from '../rules/plural';
import type { DrawMark } from '../look/marks';
import type { BoardTable, BoardTableRow } from './boards';
import type { BoardDrawing, PictureCell } from './picture';
import { fitted, inLines, KEY_LINE, keyMarks, line, rect, widthOf, words } from './picture-marks';
import { countText, FEW, FEW_COUNT, intervalText, type Rate } from './rates';

/** Widths of the longest words of a row, of the longest bar, of its count, of a rate; heights of the head and a row. */
const [MOST_LABEL, LONGEST, COUNT, RATE, HEAD, ROW] = [27, 15, 6, 15, 4, 2.6];
const [SIZE, SMALL, GAP, BAR] = [1.5, 1.3, 1.4, 1.3];
/** Rates that have a place beside the bars. */
const MOST_RATES = 6;

const rateOf = (row: BoardTableRow, key: string): Rate | null => {
  const cell = row.cells[key] ?? null;
  return cell !== null && 'low' in cell ? cell : null;
};

/** The dot on its interval; under four snaps the count alone. `x`: where 0 % stands, `wide`: to 100 %. */
function doubtOf(rate: Rate | null, x: number, y: number, wide: number): DrawMark[] {
  if (rate === null || rate.share === null || rate.low === null || rate.high === null) return [];
  if (rate.worth < FEW_COUNT) {
    const count = countText(rate);
    const half = widthOf(count, SMALL) / 2;
    return [
      // Over the upright of all rows.
      { mark: 'shape', points: rect(x + wide / 2 - half, y - ROW / 2, 2 * half, ROW), fill: 'card' },
      words(count, x + wide / 2, y + 0.5, SMALL, 'middle', false, 'ink2'),
    ];
  }
  const few = rate.worth < FEW;
  return [
    line(
      [
        [x + wide * rate.low, y],
        [x + wide * rate.high, y],
      ],
      0.2,
      few ? 'ink2' : 'ink',
    ),
    {
      mark: 'circle',
      x: x + wide * rate.share,
      y,
      r: 0.5,
      fill: few ? 'card' : 'ink',
      ink: few ? 'ink2' : 'ink',
      width: 0.15,
    },
  ];
}

/** Null where the table has no row. Every row is drawn, so none of its snaps are left. */
export function rowsPicture(table: BoardTable): BoardDrawing | null {
  if (table.rows.length === 0) return null;
  const rates = table.columns.filter((c) => c.kind === 'rate').slice(0, MOST_RATES);
  const most = Math.max(...table.rows.map((r) => r.rows.length));
  const wordsOf = (row: BoardTableRow): string => row.words.filter(Boolean).join(', ');
  const longest = Math.max(...table.rows.map((r) => widthOf(wordsOf(r), SIZE)));
  const label = Math.min(MOST_LABEL, longest);
  const first = label + GAP + LONGEST + COUNT;
  const wide = RATE - 2 * GAP;
  const at = (i: number): number => first + i * RATE + GAP;
  const view = first + rates.length * RATE + 0.5;
  const foot = HEAD + table.rows.length * ROW;
  const marks: DrawMark[] = [
    words('snaps', label + GAP, HEAD - 1, SIZE, 'start', true),
    ...rates.flatMap((c, i): DrawMark[] => [
      words(fitted(c.label, SIZE, RATE - 0.5), at(i) + wide / 2, HEAD - 2.4, SIZE, 'middle', true),
      ...[0, 50, 100].map((share) =>
        words(`${share}`, at(i) + (wide * share) / 100, HEAD - 0.7, SMALL, 'middle', false, 'ink2'),
      ),
      ...[0, 0.5, 1].map((share) =>
        line(
          [
            [at(i) + wide * share, HEAD - 0.4],
            [at(i) + wide * share, foot],
          ],
          0.08,
          'faint',
        ),
      ),
      ...allOf(rateOf(table.all, c.key), at(i), wide, foot),
    ]),
  ];
  const cells = table.rows.map((row, i): PictureCell => {
    const y = HEAD + i * ROW;
    const n = row.rows.length;
    const said = wordsOf(row);
    const length = Math.max(0.2, (LONGEST * n) / most);
    marks.push(
      words(fitted(said, SIZE, label), label, y + ROW / 2 + 0.5, SIZE, 'end', n >= FEW),
      { mark: 'shape', points: rect(label + GAP, y + (ROW - BAR) / 2, length, BAR), fill: 'ink' },
      words(String(n), label + GAP + length + 0.6, y + ROW / 2 + 0.5, SIZE, 'start', n >= FEW),
      ...rates.flatMap((c, r) => doubtOf(rateOf(row, c.key), at(r), y + ROW / 2, wide)),
    );
    const measured = rates.flatMap((c) => {
      const rate = rateOf(row, c.key);
      return rate && rate.n > 0 ? [`${c.label} ${countText(rate)}, ${intervalText(rate)}`] : [];
    });
    return {
      key: row.key,
      row,
      rate: rates[0] ? rateOf(row, rates[0].key) : null,
      label: [`${said}: ${plural(n, 'snap')}`, ...measured].join('; '),
      box: { x: 0, y, width: view, height: ROW },
    };
  });
  const left = table.columns.filter((c) => c.kind === 'rate').length - rates.length;
  const key = inLines(
    [
      'bar: snaps',
      ...(rates.length > 0
        ? [
            'dot: share in percent',
            'line: its 95 % interval',
            'hollow: fewer than eight',
            'upright: all rows',
          ]
        : []),
      ...(left > 0 ? [`${plural(left, 'column')} more in the table`] : []),
    ],
    view,
  );
  marks.push(...keyMarks(key, foot + 0.6));
  return { drawing: { view: [0, 0, view, foot + 0.6 + KEY_LINE * key.length + 0.9], marks }, cells, left: 0 };
}

/** The rate of all rows, behind those of each. */
function allOf(rate: Rate | null, x: number, wide: number, foot: number): DrawMark[] {
  return rate === null || rate.share === null || rate.worth < FEW_COUNT
    ? []
    : [
        line(
          [
            [x + wide * rate.share, HEAD - 0.4],
            [x + wide * rate.share, foot],
          ],
          0.18,
          'ink2',
        ),
      ];
}
