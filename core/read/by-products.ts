/**
 * What a call leaves behind: "after the throwback the rush comes slower". The snaps of the same offense within four
 * after the call, against the rest of the same games: time to pressure of the throws, success of all. The calls
 * themselves are in neither part.
 */
import type { PASS_TYPES } from '../book/play';
import type { BesideColumn } from './beside';
import { groupBy } from './cells';
import { FIRST_VALUE, type Columns } from './columns';
import type { CountedSnap } from './counted';
import type { JudgedTable } from './judged';
import { NO, outcomeOf, YES } from './outcomes';
import { FEW_COUNT, meanOf, rateOf } from './rates';
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
const COLUMNS: readonly BesideColumn[] = [
  { key: 'concept', label: 'after', kind: 'word' },
  { key: 'n', label: 'n', kind: 'count' },
  { key: 'pressure_after', label: 'seconds to pressure, next four', kind: 'mean' },
  { key: 'pressure_else', label: 'seconds otherwise', kind: 'mean' },
  { key: 'success_after', label: 'success, next four', kind: 'rate' },
  { key: 'success_else', label: 'success otherwise', kind: 'rate' },
];

/** Screens, boots, sprints, shots and play action seen four times or more, the most used first; `rows` of one offense in the order of the games. */
export function byProductsTable(
  snaps: readonly CountedSnap[],
  columns: Columns,
  rows: Uint32Array,
): JudgedTable {
  const said = outcomeOf(columns, 'success');
  const seconds = columns.figures('pressureTime');
  const { concept, passType } = columns.text;
  const called = rows.filter(
    (row) => concept.codes[row]! >= FIRST_VALUE && KINDS.has(passType.words[passType.codes[row]!]!),
  );
  const place = new Map([...rows].map((row, i) => [row, i]));
  const gameOf = (row: number): string => snaps[row]!.snap.game;
  const found = groupBy(columns, called, ['concept'])
    .filter((g) => g.rows.length >= FEW_COUNT)
    .map(({ words: [concept], rows: calls }) => {
      const own = new Set(calls);
      const games = new Set([...calls].map(gameOf));
      const after = new Set<number>();
      for (const call of calls) {
        const at = place.get(call)!;
        for (const next of rows.subarray(at + 1, at + 1 + AFTER))
          if (gameOf(next) === gameOf(call) && !own.has(next)) after.add(next);
      }
      const otherwise = rows.filter((row) => games.has(gameOf(row)) && !own.has(row) && !after.has(row));
      const parts = [Uint32Array.from(after).sort(), otherwise] as const;
      const timed = parts.map((part) => part.filter((row) => !Number.isNaN(seconds[row]!)));
      const judged = parts.map((part) => part.filter((row) => said[row]! <= YES));
      return {
        cells: [
          concept!,
          calls.length,
          ...timed.map((part) => meanOf([...part].map((row) => seconds[row]!))),
          ...judged.map((part) =>
            rateOf(
              columns.weight,
              part.filter((row) => said[row] === YES),
              part.filter((row) => said[row] === NO),
            ),
          ),
        ],
        behind: [null, calls, ...timed, ...judged],
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
