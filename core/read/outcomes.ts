/** What a snap says to a measure: yes, no, or that it cannot be said. Worked out once for all snaps, then only counted. */
import type { RateKey } from './board-spec';
import { FIRST_VALUE, UNKNOWN, type Columns } from './columns';
import { rateOf, type Rate } from './rates';

export type { RateKey };
export const NO = 0;
export const YES = 1;
export const UNSAID = 2;
type Outcome = typeof NO | typeof YES | typeof UNSAID;

const yes = (said: boolean): Outcome => (said ? YES : NO);

/** By the word of a field; a blank says nothing, nor does a word for which `of` is null. */
const byWord =
  (field: 'play' | 'rushers' | 'style' | 'kickEnd', of: (word: string) => boolean | null) =>
  ({ text }: Columns): ((row: number) => Outcome) => {
    const { words, codes } = text[field];
    const said = words.map((word, code): Outcome => {
      const is = code < FIRST_VALUE ? null : of(word);
      return is === null ? UNSAID : yes(is);
    });
    return (row) => said[codes[row]!]!;
  };
const byYards =
  (of: (c: Columns, row: number) => boolean) =>
  (c: Columns): ((row: number) => Outcome) =>
  (row) =>
    c.yards[row] === UNKNOWN ? UNSAID : yes(of(c, row));

/** Every measure of a snap that a board counts. */
export const RATES: Readonly<
  Record<RateKey, { readonly label: string; of(c: Columns): (row: number) => Outcome }>
> = {
  run: {
    label: 'run',
    of: byWord('play', (w) => (w === 'run' ? true : w === 'pass' || w === 'rpo' ? false : null)),
  },
  success: { label: 'success', of: (c) => (row) => c.success[row] as Outcome },
  explosive: { label: 'explosive', of: byYards((c, row) => c.explosive[row] === 1) },
  negative: { label: 'lost yards', of: byYards((c, row) => c.yards[row]! < 0) },
  havoc: { label: 'havoc', of: (c) => (row) => c.havoc[row] as Outcome },
  five: { label: 'five or more rush', of: byWord('rushers', (w) => Number(w) >= 5) },
  man: { label: 'man', of: byWord('style', (w) => w === 'man') },
  returned: {
    label: 'returned',
    // A kick at the goal that was good or missed is no kick that could have been returned.
    of: byWord('kickEnd', (end) =>
      end === 'good' || end === 'missed' ? null : end === 'returned' || end === 'muffed',
    ),
  },
  good: {
    label: 'good',
    of: byWord('kickEnd', (end) => (['good', 'missed', 'blocked'].includes(end) ? end === 'good' : null)),
  },
  lostAfter: {
    label: 'tackled short of the catch',
    of: (c) => {
      const after = c.figures('afterCatch');
      return (row) => (Number.isNaN(after[row]!) ? UNSAID : yes(after[row]! < 0));
    },
  },
  blocked: { label: 'blocked', of: byWord('kickEnd', (end) => end === 'blocked') },
};
export const isRate = (key: string): key is RateKey => Object.hasOwn(RATES, key);

const known = new WeakMap<Columns, Map<RateKey, Uint8Array>>();

/** Of every snap, in the order of the columns. Cost: linear, once for each measure. */
export function outcomeOf(columns: Columns, key: RateKey): Uint8Array {
  let of = known.get(columns);
  if (!of) known.set(columns, (of = new Map()));
  let outcome = of.get(key);
  if (!outcome) {
    const said = RATES[key].of(columns);
    outcome = new Uint8Array(columns.n);
    for (let row = 0; row < outcome.length; row++) outcome[row] = said(row);
    of.set(key, outcome);
  }
  return outcome;
}

/** How often a measure says yes among some snaps, and the snaps on which it does; what it cannot say is left out. */
export function rateAmong(
  columns: Columns,
  rows: Uint32Array,
  key: RateKey,
): { readonly rate: Rate; readonly hits: Uint32Array } {
  const outcome = outcomeOf(columns, key);
  const hits = rows.filter((row) => outcome[row] === YES);
  const others = rows.filter((row) => outcome[row] === NO);
  return { rate: rateOf(columns.weight, hits, others), hits };
}
