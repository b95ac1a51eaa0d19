/**
 * Snaps as columns: each text field is a dictionary of codes, so that slicing and grouping touch
 * only small integers. Blank, none, not visible and not sure are codes of their own.
 */
import { NONE, UNSEEN, type Snap } from '../snap/snap';
import type { MeanKey } from './board-spec';
import { isTendency, isKick, type CountedSnap } from './counted';
import { FILTER_FIELDS, homeOf, valueIn, type FieldHome, type FilterField } from './filters';
import { isExplosive } from '../rules/walk';
import { doubtful, UNSURE, type Doubts } from './doubts';
import { presenceOf, type Presence } from './presence';
import { DEFAULT_RULES, type StaffRules } from './staff-rules';
import { isSuccess, yardsAsked, yardsOf } from './success';

export const BLANK = 0;
export const CODE_NONE = 1;
export const CODE_UNSEEN = 2;
export const CODE_UNSURE = 3;
export const FIRST_VALUE = 4;
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
  /** Words by code; codes 0 to 3 are blank, none, not visible and not sure. */
  readonly words: readonly string[];
  readonly codeOf: ReadonlyMap<string, number>;
}

/** The word of a row; null: blank, none, not visible or not sure. */
export const wordAt = ({ codes, words }: Column, row: number): string | null =>
  codes[row]! < FIRST_VALUE ? null : words[codes[row]!]!;

export interface Columns {
  readonly n: number;
  readonly ids: readonly string[];
  readonly text: Readonly<Record<FilterField, Column>>;
  /** Makes several columns of `text` in one go, which is faster than one by one. */
  readonly prepare: (fields: readonly FilterField[]) => void;
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
  /** Figures of every snap, made when they are first asked for; UNKNOWN or NaN: not known. */
  readonly figures: (of: MeanKey) => Int16Array | Float64Array;
  /** Who was in the game. */
  readonly presence: Presence;
  /** 0 no, 1 yes, 2 cannot know. */
  readonly success: Uint8Array;
  /** Yards that success took; NaN: down or distance is not known. */
  readonly asked: Float64Array;
  /** The defense made a loss, a fumble, an interception, or broke a pass up or batted it: 0 no, 1 yes, 2 cannot know. */
  readonly havoc: Uint8Array;
  /** 1: a tag that counts is in doubt. */
  readonly doubted: Uint8Array;
  /** What each snap counts, 0 to 1; null: all of them whole. */
  readonly weight: Float64Array | null;
}

/** A column as it is filled. */
interface Filling extends Column {
  readonly field: FilterField;
  readonly home: FieldHome;
  readonly words: string[];
  readonly codeOf: Map<string, number>;
  /** Codes by the value as it stands in the snap, a number or a word; a list is another value each time. */
  readonly met: Map<unknown, number>;
}

const NO_FIELDS: readonly FilterField[] = [];

/** Some fields of all snaps, codes in the order the words are met. Snap by snap: its fields lie together in memory. */
function fillColumns(
  snaps: readonly CountedSnap[],
  fields: readonly FilterField[],
  doubts: Doubts,
): Filling[] {
  const columns = fields.map((field): Filling => ({
    field,
    home: homeOf(field),
    codes: new Uint16Array(snaps.length),
    words: ['', NONE, UNSEEN, UNSURE],
    codeOf: new Map([
      [NONE, CODE_NONE],
      [UNSEEN, CODE_UNSEEN],
      [UNSURE, CODE_UNSURE],
    ]),
    met: new Map(),
  }));
  for (let i = 0; i < snaps.length; i++) {
    const unsure = doubts === 'none' ? doubtful(snaps[i]!.snap) : NO_FIELDS;
    for (let f = 0; f < columns.length; f++) {
      const column = columns[f]!;
      const value = valueIn(snaps[i]!, column.home, column.field);
      if (value === null || value === undefined) continue;
      const left = unsure.length > 0 && unsure.some((field) => field === column.field);
      column.codes[i] = left ? CODE_UNSURE : (column.met.get(value) ?? codeFor(column, value));
    }
  }
  return columns;
}

function codeFor({ field, words, codeOf, met }: Filling, value: unknown): number {
  const word = String(value);
  let code = codeOf.get(word);
  if (code === undefined) {
    code = words.length;
    if (code > 65_000) throw new RangeError(`${field} has more than 65 000 different words`);
    words.push(word);
    codeOf.set(word, code);
  }
  if (typeof value !== 'object') met.set(value, code);
  return code;
}

/** Each column is made when it is first looked at, or with others beforehand: a board looks at a handful of a hundred. */
function textColumns(snaps: readonly CountedSnap[], doubts: Doubts): Pick<Columns, 'text' | 'prepare'> {
  const text = {} as Record<FilterField, Column>;
  const made = new Set<FilterField>();
  const prepare = (fields: readonly FilterField[]): void => {
    const missing = [...new Set(fields)].filter((field) => !made.has(field));
    for (const { field, codes, words, codeOf } of fillColumns(snaps, missing, doubts)) {
      Object.defineProperty(text, field, { enumerable: true, value: { codes, words, codeOf } });
      made.add(field);
    }
  };
  for (const field of FILTER_FIELDS)
    Object.defineProperty(text, field, {
      enumerable: true,
      configurable: true,
      get: (): Column => {
        prepare([field]);
        return text[field];
      },
    });
  return { text, prepare };
}

/** Builds the columns. Linear in snaps; a field of more than 65 000 different words throws when it is looked at. */
export function buildColumns(
  snaps: readonly CountedSnap[],
  {
    success: rule,
    explosive: far,
    doubts,
  }: Pick<StaffRules, 'success' | 'explosive' | 'doubts'> = DEFAULT_RULES,
  /** By game; null: all count whole. */
  weights: ReadonlyMap<string, number> | null = null,
): Columns {
  const n = snaps.length;
  const toGoal = new Int16Array(n);
  const [distance, clock, margin, yards] = [0, 1, 2, 3].map(() => new Int16Array(n).fill(UNKNOWN)) as [
    Int16Array,
    Int16Array,
    Int16Array,
    Int16Array,
  ];
  const explosive = new Uint8Array(n);
  const havoc = new Uint8Array(n);
  const counts = new Uint8Array(n);
  const kicks = new Uint8Array(n);
  const success = new Uint8Array(n);
  const asked = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    const counted = snaps[i]!;
    const { snap } = counted;
    toGoal[i] = snap.toGoal ?? UNKNOWN;
    distance[i] = snap.distance ?? UNKNOWN;
    clock[i] = snap.clock ?? UNKNOWN;
    if (snap.pointsFor !== null && snap.pointsAgainst !== null)
      margin[i] = snap.pointsFor - snap.pointsAgainst;
    yards[i] = yardsOf(snap) ?? UNKNOWN;
    explosive[i] = isExplosive({ gain: yardsOf(snap), result: snap.result }, far) ? 1 : 0;
    havoc[i] = havocOf(snap, yards[i]!);
    counts[i] = isTendency(counted) ? 1 : 0;
    kicks[i] = isKick(counted) ? 1 : 0;
    const { down, gain, turnover, score, scoredBy, offense } = snap;
    const good = isSuccess(
      { down, distance: snap.distance, gain, turnover, score, ownScore: scoredBy === offense },
      rule,
    );
    success[i] = good === null ? 2 : good ? 1 : 0;
    asked[i] = yardsAsked(snap, rule) ?? NaN;
  }
  const doubted = Uint8Array.from(snaps, ({ snap }) => Number(doubtful(snap).length > 0));
  const halved = doubts === 'half' && doubted.includes(1);
  const weight =
    weights || halved
      ? Float64Array.from(
          snaps,
          ({ snap }, i) => (weights?.get(snap.game) ?? 1) * (halved && doubted[i] === 1 ? 0.5 : 1),
        )
      : null;
  return {
    n,
    ids: snaps.map((s) => s.snap.snapId),
    ...textColumns(snaps, doubts),
    toGoal,
    distance,
    clock,
    margin,
    yards,
    explosive,
    counts,
    kicks,
    figures: figuresOf(snaps, yards),
    presence: presenceOf(snaps),
    success,
    asked,
    havoc,
    doubted,
    weight,
  };
}

/** Common practice; a fumble counts whoever kept it. An incompletion whose cause is blank may have been broken up. */
function havocOf({ turnover, fumble, result, incompleteCause }: Snap, yards: number): 0 | 1 | 2 {
  if (turnover !== null || fumble !== null || (yards !== UNKNOWN && yards < 0)) return 1;
  if (result === 'incomplete')
    return incompleteCause === null
      ? 2
      : incompleteCause === 'batted' || incompleteCause === 'defended'
        ? 1
        : 0;
  return yards === UNKNOWN ? 2 : 0;
}

/** Yards from the catch to where the ball was dead; NaN: not caught, or its depth is not charted. */
const afterCatch = ({ result, gain, targetDepth }: Snap): number =>
  result === 'complete' && gain !== null && typeof targetDepth === 'number' ? gain - targetDepth : NaN;

function figuresOf(snaps: readonly CountedSnap[], yards: Int16Array): Columns['figures'] {
  const made = new Map<MeanKey, Int16Array | Float64Array>([['yards', yards]]);
  return (of) => {
    let figures = made.get(of);
    if (!figures) {
      figures = Float64Array.from(snaps, ({ snap }) => {
        if (of === 'afterCatch') return afterCatch(snap);
        const value: unknown = snap[of as Exclude<MeanKey, 'yards' | 'afterCatch'>];
        return typeof value === 'number' ? value : NaN;
      });
      made.set(of, figures);
    }
    return figures;
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
  const all = among ?? ofWhat(columns[which]);
  let rows = all;
  // One condition after the other, each a plain loop over what is left.
  for (const [field, words] of Object.entries(slice)) {
    if (!words || words.length === 0) continue;
    const { codes, codeOf, words: known } = columns.text[field as FilterField];
    const wanted = new Uint8Array(known.length);
    for (const word of words) {
      const code = codeOf.get(word);
      if (code !== undefined) wanted[code] = 1;
    }
    rows = withWords(rows, codes, wanted);
  }
  for (const field of RANGE_FIELDS) {
    const range = ranges[field];
    if (range) rows = within(rows, columns[field], range);
  }
  return rows === all ? rows.slice() : rows;
}

const whole = new WeakMap<Uint8Array, Uint32Array>();
/** Rows that count at all: the same for every slice. */
function ofWhat(counted: Uint8Array): Uint32Array {
  const before = whole.get(counted);
  if (before) return before;
  const out = new Uint32Array(counted.length);
  let kept = 0;
  for (let i = 0; i < counted.length; i++) {
    out[kept] = i;
    kept += counted[i]!;
  }
  const rows = out.subarray(0, kept);
  whole.set(counted, rows);
  return rows;
}
function withWords(rows: Uint32Array, codes: Uint16Array, wanted: Uint8Array): Uint32Array {
  const out = new Uint32Array(rows.length);
  let kept = 0;
  for (let i = 0; i < rows.length; i++) {
    const row = rows[i]!;
    out[kept] = row;
    kept += wanted[codes[row]!]!;
  }
  return out.subarray(0, kept);
}
/** No figure lies in no range, however far down it reaches. */
function within(rows: Uint32Array, figures: Int16Array, { from, to }: Range): Uint32Array {
  const out = new Uint32Array(rows.length);
  let kept = 0;
  for (let i = 0; i < rows.length; i++) {
    const row = rows[i]!;
    const figure = figures[row]!;
    if (figure < from || figure > to || figure === UNKNOWN) continue;
    out[kept++] = row;
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
