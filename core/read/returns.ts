/** What a call returned, and what a repetition of it in practice: reps are the snaps of a team's own practice film. */
import { isTagged, type Snap } from '../snap/snap';
import { count, mean, N, rate, word } from './beside-table';
import { groupBy } from './cells';
import { FIRST_VALUE, UNKNOWN, type Columns } from './columns';
import type { JudgedTable } from './judged';
import { rateAmong } from './outcomes';
import { meanOf } from './rates';
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

const COLUMNS = [
  word('concept', 'play'),
  N,
  rate('success', 'success'),
  mean('yards', 'yards a call'),
  count('reps', 'practice reps'),
  count('yards_a_rep', 'yards a rep'),
];

/** Plays by calls, most first; no rows where no practice film is logged. Yards a rep: all its yards over all its reps. */
export function returnsTable(
  columns: Columns,
  rows: Uint32Array,
  reps: ReadonlyMap<string, number>,
): JudgedTable {
  const called = rows.filter((row) => columns.text.concept.codes[row]! >= FIRST_VALUE);
  const plays = (reps.size === 0 ? [] : groupBy(columns, called, ['concept'])).map(
    ({ words: [concept], rows: calls }) => {
      const known = calls.filter((row) => columns.yards[row] !== UNKNOWN);
      const yards = [...known].map((row) => columns.yards[row]!);
      const { rate, hits } = rateAmong(columns, calls, 'success');
      const n = reps.get(concept!) ?? 0;
      const each = n === 0 ? null : Math.round((10 * yards.reduce((a, b) => a + b, 0)) / n) / 10;
      return {
        cells: [concept!, calls.length, rate, meanOf(yards), n, each],
        behind: [null, calls, hits, known, null, null],
      };
    },
  );
  return {
    id: 'returns',
    title: partTitle('returns'),
    note: 'practice reps: snaps of our practice film; yards so far for a rep so far, not what the next rep would bring',
    columns: COLUMNS,
    rows: plays.map((p) => p.cells),
    behind: plays.map((p) => p.behind),
  };
}
