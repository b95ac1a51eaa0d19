/**
 * Snaps as columns: each text field is a dictionary of codes, so that slicing and grouping touch
 * only small integers. Blank, none and not visible are three codes of their own.
 */
import { NONE, UNSEEN } from '../snap/snap';
import { isTendency, isKick, type CountedSnap } from './counted';
import { FILTER_FIELDS, filterValue, type FilterField } from './filters';
import { isExplosive } from '../rules/walk';
import { isSuccess, SUCCESS_40_60_100, yardsOf, type SuccessRule } from './success';

export const BLANK = 0;
export const CODE_NONE = 1;
export const CODE_UNSEEN = 2;
export const FIRST_VALUE = 3;
/** No figure. */
export const UNKNOWN = -999;

/** Figures that a range may be asked of. */
export const RANGE_FIELDS = ['toGoal', 'distance', 'clock', 'margin'] as const;
export type RangeField = (typeof RANGE_FIELDS)[number];
export const RANGE_LABEL: Readonly<Record<RangeField, string>> = {
  toGoal: 'yards to their goal',
  distance: 'yards to gain',
  clock: 'clock',
  margin: 'lead',
};
export interface Range {
  readonly from: number;
  readonly to: number;
}
export type Ranges = Readonly<Partial<Record<RangeField, Range>>>;

export interface Column {
  readonly codes: Uint16Array;
  /** Words by code; codes 0, 1 and 2 are blank, none and not visible. */
  readonly words: readonly string[];
  readonly codeOf: ReadonlyMap<string, number>;
}

export interface Columns {
  readonly n: number;
  readonly ids: readonly string[];
  readonly text: Readonly<Record<FilterField, Column>>;
  /** UNKNOWN where nothing says it: yards to the goal line, yards to gain, seconds left, the offense's lead. */
  readonly toGoal: Int16Array;
  readonly distance: Int16Array;
  readonly clock: Int16Array;
  readonly margin: Int16Array;
  /** Of the attempt; UNKNOWN: not known. */
  readonly yards: Int16Array;
  /** 1: yards enough to be explosive. */
  readonly explosive: Uint8Array;
  /** 1 counts in tendencies; or as a kick. */
  readonly counts: Uint8Array;
  readonly kicks: Uint8Array;
  /** Yards and seconds of kicks; NaN: not known. */
  readonly kickYards: Float64Array;
  readonly returnYards: Float64Array;
  readonly hang: Float64Array;
  readonly operation: Float64Array;
  /** 0 no, 1 yes, 2 cannot know. */
  readonly success: Uint8Array;
  /** What each snap counts, 0 to 1; null: all of them whole. */
  readonly weight: Float64Array | null;
}

/** Builds the columns. Linear in snaps; throws when a field has more than 65 000 different words. */
export function buildColumns(
  snaps: readonly CountedSnap[],
  rule: SuccessRule = SUCCESS_40_60_100,
  /** By game; null: all count whole. */
  weights: ReadonlyMap<string, number> | null = null,
): Columns {
  const n = snaps.length;
  const text = {} as Record<FilterField, Column>;
  for (const field of FILTER_FIELDS) {
    const codes = new Uint16Array(n);
    const words = ['', NONE, UNSEEN];
    const codeOf = new Map<string, number>([
      [NONE, CODE_NONE],
      [UNSEEN, CODE_UNSEEN],
    ]);
    for (let i = 0; i < n; i++) {
      const value = filterValue(snaps[i]!, field);
      if (value === null) continue;
      let code = codeOf.get(value);
      if (code === undefined) {
        code = words.length;
        if (code > 65_000) throw new RangeError(`${field} has more than 65 000 different words`);
        words.push(value);
        codeOf.set(value, code);
      }
      codes[i] = code;
    }
    text[field] = { codes, words, codeOf };
  }
  const toGoal = new Int16Array(n);
  const [distance, clock, margin, yards] = [0, 1, 2, 3].map(() => new Int16Array(n).fill(UNKNOWN)) as [
    Int16Array,
    Int16Array,
    Int16Array,
    Int16Array,
  ];
  const explosive = new Uint8Array(n);
  const counts = new Uint8Array(n);
  const kicks = new Uint8Array(n);
  const figures = (of: 'kickYards' | 'returnYards' | 'hang' | 'operation'): Float64Array =>
    Float64Array.from(snaps, ({ snap }) => (typeof snap[of] === 'number' ? snap[of] : NaN));
  const success = new Uint8Array(n);
  for (let i = 0; i < n; i++) {
    const counted = snaps[i]!;
    const { snap } = counted;
    toGoal[i] = snap.toGoal ?? UNKNOWN;
    distance[i] = snap.distance ?? UNKNOWN;
    clock[i] = snap.clock ?? UNKNOWN;
    if (snap.pointsFor !== null && snap.pointsAgainst !== null)
      margin[i] = snap.pointsFor - snap.pointsAgainst;
    yards[i] = yardsOf(snap) ?? UNKNOWN;
    explosive[i] = isExplosive({ gain: yardsOf(snap), result: snap.result }) ? 1 : 0;
    counts[i] = isTendency(counted) ? 1 : 0;
    kicks[i] = isKick(counted) ? 1 : 0;
    const good = isSuccess({ ...snap, ownScore: snap.scoredBy === snap.offense }, rule);
    success[i] = good === null ? 2 : good ? 1 : 0;
  }
  const weight = weights && Float64Array.from(snaps, (s) => weights.get(s.snap.game) ?? 1);
  return {
    n,
    ids: snaps.map((s) => s.snap.snapId),
    text,
    toGoal,
    distance,
    clock,
    margin,
    yards,
    explosive,
    counts,
    kicks,
    kickYards: figures('kickYards'),
    returnYards: figures('returnYards'),
    hang: figures('hang'),
    operation: figures('operation'),
    success,
    weight,
  };
}

/** Field → wanted words. Words of one field are alternatives, fields must all hold. */
export type Filter = Readonly<Partial<Record<FilterField, readonly string[]>>>;

/** Row numbers that fit a slice and count in tendencies (or as kicks), ascending; of all snaps, or of some that count. */
export function select(
  columns: Columns,
  slice: Filter,
  ranges: Ranges = {},
  among: Uint32Array | null = null,
  which: 'counts' | 'kicks' = 'counts',
): Uint32Array {
  const counted = columns[which];
  const tests = Object.entries(slice)
    .filter(([, words]) => words && words.length > 0)
    .map(([field, words]) => {
      const { codes, codeOf, words: all } = columns.text[field as FilterField];
      const wanted = new Uint8Array(all.length);
      for (const word of words!) {
        const code = codeOf.get(word);
        if (code !== undefined) wanted[code] = 1;
      }
      return { codes, wanted };
    });
  const within = RANGE_FIELDS.flatMap((f) => {
    const range = ranges[f];
    return range ? [{ figures: columns[f], ...range }] : [];
  });
  const n = among === null ? columns.n : among.length;
  const out = new Uint32Array(n);
  let kept = 0;
  rows: for (let at = 0; at < n; at++) {
    const i = among === null ? at : among[at]!;
    if (among === null && counted[i] === 0) continue;
    for (let r = 0; r < within.length; r++) {
      const { figures, from, to } = within[r]!;
      // No figure lies in no range, however far down it reaches.
      if (figures[i]! < from || figures[i]! > to || figures[i] === UNKNOWN) continue rows;
    }
    for (let term = 0; term < tests.length; term++) {
      const test = tests[term]!;
      if (test.wanted[test.codes[i]!] === 0) continue rows;
    }
    out[kept++] = i;
  }
  return out.subarray(0, kept);
}

export interface Coverage {
  readonly tagged: number;
  readonly of: number;
}

/** How many of the selected snaps carry a value in a field ("tagged on 91 of 128"). */
export function coverageOf(columns: Columns, rows: Uint32Array, field: FilterField): Coverage {
  const { codes } = columns.text[field];
  let tagged = 0;
  for (const i of rows) if (codes[i]! >= FIRST_VALUE) tagged++;
  return { tagged, of: rows.length };
}
