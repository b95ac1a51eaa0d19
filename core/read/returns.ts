/** What a call returned, and what a repetition of it in practice: reps are the snaps of a team's own practice film. */
import type { Snap } from '../snap/snap';
import { isTagged } from '../snap/snap';
import type { BesideColumn } from './beside';
import { groupBy } from './cells';
import { FIRST_VALUE, UNKNOWN, type Columns } from './columns';
import type { JudgedTable } from './judged';
import { outcomeOf, NO, YES } from './outcomes';
import { meanOf, rateOf } from './rates';
import { partTitle } from './sections';

/** Phases of a game that is practice. */
export const PRACTICE: ReadonlySet<string> = new Set(['practice_11', 'practice_no_line']);

/** Snaps by concept on a team's practice film; a concept that was not practiced is not there. */
export function repsOf(
  games: readonly { readonly info: { readonly phase: string }; readonly snaps: readonly Snap[] }[],
  team: string,
): ReadonlyMap<string, number> {
  const reps = new Map<string, number>();
  for (const { info, snaps } of games)
    if (PRACTICE.has(info.phase))
      for (const { concept, offense } of snaps)
        if (offense === team && isTagged(concept))
          reps.set(String(concept), (reps.get(String(concept)) ?? 0) + 1);
  return reps;
}

const COLUMNS: readonly BesideColumn[] = [
  { key: 'concept', label: 'play', kind: 'word' },
  { key: 'n', label: 'n', kind: 'count' },
  { key: 'success', label: 'success', kind: 'rate' },
  { key: 'yards', label: 'yards a call', kind: 'mean' },
  { key: 'reps', label: 'practice reps', kind: 'count' },
  { key: 'yards_a_rep', label: 'yards a rep', kind: 'count' },
];

/** Plays by calls, most first; no rows where no practice film is logged. Yards a rep: all its yards over all its reps. */
export function returnsTable(
  columns: Columns,
  rows: Uint32Array,
  reps: ReadonlyMap<string, number>,
): JudgedTable {
  const said = outcomeOf(columns, 'success');
  const called = rows.filter((row) => columns.text.concept.codes[row]! >= FIRST_VALUE);
  const plays = reps.size === 0 ? [] : groupBy(columns, called, ['concept']);
  return {
    id: 'returns',
    title: partTitle('returns'),
    note: 'practice reps: snaps of our practice film; yards so far for a rep so far, not what the next rep would bring',
    columns: COLUMNS,
    rows: plays.map(({ words: [concept], rows: calls }) => {
      const known = [...calls]
        .filter((row) => columns.yards[row] !== UNKNOWN)
        .map((row) => columns.yards[row]!);
      const n = reps.get(concept!) ?? 0;
      const sum = known.reduce((a, b) => a + b, 0);
      return [
        concept!,
        calls.length,
        rateOf(
          columns.weight,
          calls.filter((row) => said[row] === YES),
          calls.filter((row) => said[row] === NO),
        ),
        meanOf(known),
        n,
        n === 0 ? null : Math.round((10 * sum) / n) / 10,
      ];
    }),
    behind: plays.map(({ rows: calls }) => [null, calls, calls, calls, null, null]),
  };
}
