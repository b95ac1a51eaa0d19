/**
 * Completions: plain data, ranked by how often this opponent did it in this situation (same bucket),
 * then over all its snaps, then by the alphabet. Drawing and inserting are the caller's job.
 */
import { KIND_FIELD, storedValue, type Book, type Term } from '../book/term';
import { termIndex } from '../book/index-terms';
import { fieldsWith, SNAP_FIELDS } from '../snap/fields';
import { isTagged, type Snap, type SnapField } from '../snap/snap';
import { HEADS, RESULT_WORDS } from './grammar';
import type { Range } from './tokenize';

/** Fields in the order they are usually said, with the side that is said with them. */
const SAID: readonly (readonly [SnapField, SnapField | null])[] = fieldsWith('said')
  .sort((a, b) => SNAP_FIELDS[a].said! - SNAP_FIELDS[b].said!)
  .map((field) => [field, SNAP_FIELDS[field].side ?? null]);

/** Counts by field and bucket over earlier snaps. */
export interface Frequencies {
  readonly byField: ReadonlyMap<SnapField, ReadonlyMap<string, ReadonlyMap<string, number>>>;
}

const ALL = '*';
const keyOf = (snap: Snap, field: SnapField, side: SnapField | null): string | null => {
  const value = snap[field];
  if (typeof value !== 'string' || !isTagged(value)) return null;
  const s = side === null ? null : snap[side];
  return s === 'L' || s === 'R' ? `${value} ${s.toLowerCase()}` : value;
};

/** Builds the counts; `bucket` is each snap's bucket or null. Linear in snaps. */
export function countFrequencies(
  snaps: readonly { readonly snap: Snap; readonly bucket: string | null }[],
): Frequencies {
  const byField = new Map<SnapField, Map<string, Map<string, number>>>();
  for (const [field, side] of SAID) {
    const byBucket = new Map<string, Map<string, number>>();
    byField.set(field, byBucket);
    for (const { snap, bucket } of snaps) {
      const key = keyOf(snap, field, side);
      if (key === null) continue;
      for (const b of bucket === null ? [ALL] : [ALL, bucket]) {
        const counts = byBucket.get(b) ?? new Map<string, number>();
        counts.set(key, (counts.get(key) ?? 0) + 1);
        byBucket.set(b, counts);
      }
    }
  }
  return { byField };
}

export interface Completion extends Range {
  /** Text that replaces the range. */
  readonly insert: string;
  readonly label: string;
  readonly field: SnapField | null;
  /** Times seen in this situation, of the times the field was tagged there. */
  readonly count: number;
  readonly of: number;
}

function seen(
  frequencies: Frequencies,
  field: SnapField,
  bucket: string | null,
  value: string,
  exact: boolean,
): { here: number; of: number; all: number } {
  const byBucket = frequencies.byField.get(field);
  const sum = (b: string): [number, number] => {
    let hit = 0;
    let total = 0;
    for (const [key, n] of byBucket?.get(b) ?? []) {
      total += n;
      if (key === value || (!exact && key.startsWith(`${value} `))) hit += n;
    }
    return [hit, total];
  };
  const [here, of] = sum(bucket ?? ALL);
  return { here, of, all: sum(ALL)[0] };
}

/**
 * What may be meant at the caret. With a word begun: words that begin so. After a blank: the most
 * frequent values of the next field not yet said.
 */
export function complete(
  text: string,
  caret: number,
  book: Book,
  frequencies: Frequencies,
  bucket: string | null,
  said: ReadonlySet<SnapField>,
  most = 5,
): Completion[] {
  const head = text.slice(0, caret);
  const begun = /(\S+)$/.exec(head);
  if (!begun) return nextField(caret, frequencies, bucket, said, most);
  const out: (Completion & { all: number; rank: number })[] = [];
  const words = head.split(/\s+/).filter(Boolean);
  const index = termIndex(book);
  for (let n = Math.min(3, words.length); n >= 1; n--) {
    const prefix = words.slice(-n).join(' ').toLowerCase();
    const start = head.length - words.slice(-n).join(' ').length;
    if (head.slice(start).toLowerCase() !== prefix) continue;
    for (const { phrase, term } of index.phrases) {
      if (!phrase.startsWith(prefix) || phrase === prefix || out.some((o) => o.insert === phrase)) continue;
      // One offer a word: an alias only where the word itself does not begin so.
      if (phrase !== term.word && term.word.toLowerCase().startsWith(prefix)) continue;
      const field = KIND_FIELD[term.kind].field;
      if (said.has(field) && field !== 'tags' && n === 1) continue;
      const count = seen(frequencies, field, bucket, storedValue(term), false);
      out.push({
        start,
        end: caret,
        insert: phrase,
        label: labelOf(term),
        field,
        count: count.here,
        of: count.of,
        all: count.all,
        rank: n,
      });
    }
  }
  const last = begun[1]!.toLowerCase();
  for (const word of [...HEADS, ...Object.keys(RESULT_WORDS)]) {
    if (word.startsWith(last) && word !== last)
      out.push({
        start: caret - last.length,
        end: caret,
        insert: word,
        label: 'result',
        field: null,
        count: 0,
        of: 0,
        all: 0,
        rank: 0,
      });
  }
  return out
    .sort((a, b) => b.rank - a.rank || b.count - a.count || b.all - a.all || a.insert.localeCompare(b.insert))
    .slice(0, most)
    .map((completion): Completion => ({
      start: completion.start,
      end: completion.end,
      insert: completion.insert,
      label: completion.label,
      field: completion.field,
      count: completion.count,
      of: completion.of,
    }));
}

const labelOf = (term: Term): string => term.kind;

function nextField(
  caret: number,
  frequencies: Frequencies,
  bucket: string | null,
  said: ReadonlySet<SnapField>,
  most: number,
): Completion[] {
  for (const [field] of SAID) {
    if (said.has(field)) continue;
    const byBucket = frequencies.byField.get(field);
    const counts = (bucket !== null && byBucket?.get(bucket)) || byBucket?.get(ALL);
    if (!counts || counts.size === 0) continue;
    let of = 0;
    for (const n of counts.values()) of += n;
    return [...counts.entries()]
      .sort((a, b) => b[1] - a[1] || a[0].localeCompare(b[0]))
      .slice(0, most)
      .map(([insert, count]) => ({ start: caret, end: caret, insert, label: field, field, count, of }));
  }
  return [];
}

/** The counts as plain rows, to send to the browser: field, bucket, value, count. */
export type FrequencyRow = readonly [field: SnapField, bucket: string, value: string, count: number];

export const frequencyRows = (frequencies: Frequencies): FrequencyRow[] =>
  [...frequencies.byField].flatMap(([field, buckets]) =>
    [...buckets].flatMap(([bucket, values]) =>
      [...values].map(([value, n]): FrequencyRow => [field, bucket, value, n]),
    ),
  );

export function frequenciesOf(rows: readonly FrequencyRow[]): Frequencies {
  const byField = new Map<SnapField, Map<string, Map<string, number>>>();
  for (const [field, bucket, value, n] of rows) {
    const buckets = byField.get(field) ?? new Map<string, Map<string, number>>();
    byField.set(field, buckets);
    const values = buckets.get(bucket) ?? new Map<string, number>();
    buckets.set(bucket, values);
    values.set(value, n);
  }
  return { byField };
}
