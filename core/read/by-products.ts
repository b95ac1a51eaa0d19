/**
 * What a call leaves behind: "after the throwback the rush comes slower". The snaps of the same offense within four
 * after the call, against the rest of the same games: time to pressure of the throws, success of all. The calls
 * themselves are in neither part.
 */
import type { PASS_TYPES } from '../book/play';
import { mean, N, rate, word } from './beside-table';
import { groupBy } from './cells';
import { FIRST_VALUE, type Columns } from './columns';
import type { CountedSnap } from './counted';
import type { JudgedTable } from './judged';
import { rateAmong } from './outcomes';
import { FEW_COUNT, meanOf } from './rates';
import { partTitle } from './sections';

/** Snaps that a call is thought to work on (common practice). */
export const AFTER = 4;
const MOST = 12;
/** Kinds of pass that are said to work on the snaps after them. */
const KINDS: ReadonlySet<string> = new Set<(typeof PASS_TYPES)[number]>([
  'screen',
  'boot',
  'sprint',
  'shot',
  'play action',
]);
const COLUMNS = [
  word('concept', 'after'),
  N,
  mean('pressure_after', 'seconds to pressure, next four'),
  mean('pressure_else', 'seconds otherwise'),
  rate('success_after', 'success, next four'),
  rate('success_else', 'success otherwise'),
];

/** The next snaps of the same offense in the game that count, filtered away or not: the fourth after is the fourth. */
function nextOf(snaps: readonly CountedSnap[], columns: Columns, call: number): number[] {
  const { game, offense } = snaps[call]!.snap;
  const out: number[] = [];
  for (let row = call + 1; row < snaps.length && out.length < AFTER && snaps[row]!.snap.game === game; row++)
    if (columns.counts[row] === 1 && snaps[row]!.snap.offense === offense) out.push(row);
  return out;
}

/**
 * Screens, boots, sprints, shots and play action seen four times or more, the most used first; `rows` in the order of
 * the games. A filter says which calls are looked at and which snaps are measured, not which follow.
 */
export function byProductsTable(
  snaps: readonly CountedSnap[],
  columns: Columns,
  rows: Uint32Array,
): JudgedTable {
  const seconds = columns.figures('pressureTime');
  const { concept, passType } = columns.text;
  const called = rows.filter(
    (row) => concept.codes[row]! >= FIRST_VALUE && KINDS.has(passType.words[passType.codes[row]!]!),
  );
  const gameOf = (row: number): string => snaps[row]!.snap.game;
  const found = groupBy(columns, called, ['concept'])
    .filter((g) => g.rows.length >= FEW_COUNT)
    .map(({ words: [concept], rows: calls }) => {
      const own = new Set(calls);
      const games = new Set([...calls].map(gameOf));
      const follow = new Set([...calls].flatMap((call) => nextOf(snaps, columns, call)));
      const parts = [true, false].map((after) =>
        rows.filter((row) => !own.has(row) && games.has(gameOf(row)) && follow.has(row) === after),
      );
      const timed = parts.map((part) => part.filter((row) => !Number.isNaN(seconds[row]!)));
      const judged = parts.map((part) => rateAmong(columns, part, 'success'));
      return {
        cells: [
          concept!,
          calls.length,
          ...timed.map((part) => meanOf([...part].map((row) => seconds[row]!))),
          ...judged.map((part) => part.rate),
        ],
        behind: [null, calls, ...timed, ...judged.map((part) => part.hits)],
      };
    })
    .slice(0, MOST);
  return {
    id: 'by_products',
    title: partTitle('by_products'),
    note: `the same offense’s next ${AFTER} snaps, against the rest of those games; many are looked at, so some differ by luck`,
    columns: COLUMNS,
    rows: found.map((f) => f.cells),
    behind: found.map((f) => f.behind),
  };
}
