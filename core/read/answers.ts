/** What a defense answered with: fronts and coverages among some snaps. */
import { groupBy } from './cells';
import { FIRST_VALUE, type Columns } from './columns';
import { rateOf, type Rate } from './rates';

export interface Answered {
  readonly front: string | null;
  readonly coverage: string | null;
  readonly rate: Rate;
  readonly rows: Uint32Array;
}

/** Fronts with their coverages among some snaps, most used first. Snaps without a tagged front are left out of n. */
export function answersIn(columns: Columns, rows: Uint32Array, most = 4): Answered[] {
  const tagged = rows.filter((i) => columns.text.front.codes[i]! >= FIRST_VALUE);
  return groupBy(columns, tagged, ['front', 'coverage'], true)
    .slice(0, most)
    .map((group): Answered => ({
      front: group.words[0] ?? null,
      coverage:
        group.words[1] === '' || group.words[1] === '-' || group.words[1] === '?'
          ? null
          : (group.words[1] ?? null),
      rate: rateOf(columns.weight, group.rows, without(tagged, group.rows)),
      rows: group.rows,
    }));
}

/** Rows of one ascending list that are not in the other. */
function without(rows: Uint32Array, taken: Uint32Array): Uint32Array {
  const gone = new Set(taken);
  return rows.filter((i) => !gone.has(i));
}
