/**
 * The values most likely in a field of a snap: counts of this opponent, backed off from the nearest situation to all
 * of its snaps (each level's shares are the prior of the next, Dirichlet weight 4), then the order of the book.
 */
import { lookFacts, storedValue, type Book } from '../book';
import type { LevelProfile } from '../field/profile';
import { bucketLabel } from '../field/situation';
import type { WalkedSnap } from '../rules';
import { valueWords } from './words';
import { isTagged, SNAP_FIELDS, type Snap, type SnapFact, type SnapFields } from '../snap';

export interface Offer {
  readonly value: string | number | boolean;
  readonly words: string;
  /** Times seen in the nearest situation that has any, of the times the field was tagged there. */
  readonly k: number;
  readonly n: number;
  readonly share: number;
}
export interface Offers {
  readonly list: readonly Offer[];
  /** The situation the counts are of, in words. */
  readonly situation: string;
  readonly n: number;
}

/** Snaps that the shares of the wider situation count as. */
const PRIOR = 4;

/** Backs and tight ends, no more than five together; the usual ones first (common practice). */
const PERSONNEL: string[] = [
  ...new Set([
    ...['11', '12', '10', '21', '20', '22', '13', '23'],
    ...[0, 1, 2, 3, 4, 5].flatMap((backs) =>
      [0, 1, 2, 3, 4, 5].filter((ends) => backs + ends <= 5).map((ends) => `${backs}${ends}`),
    ),
  ]),
];

/** Every value a field may take, in the order of the book or the table; null where it is free. */
export function choicesOf(field: SnapFact, book: Book): (string | boolean)[] | null {
  const { kind, values, terms } = SNAP_FIELDS[field];
  if (values) return [...values];
  if (kind === 'flag') return [true, false];
  if (field === 'personnel') return PERSONNEL;
  if (!terms) return null;
  const out: string[] = [];
  for (const term of book.terms) if (terms.includes(term.kind)) out.push(storedValue(term));
  return [...new Set(out)];
}

/** Structure at the snap of every row, for the back-off. */
export type Labels = ReadonlyMap<string, string | null>;
export function labelsOf(rows: readonly WalkedSnap[], book: Book, profile: LevelProfile): Labels {
  return new Map(rows.map(({ snap }) => [snap.snapId, lookFacts(book, snap, profile).structureSnap]));
}

/** A charted snap of another game, as far as it ranks offers. */
export interface EarlierSnap {
  readonly offense: string | null;
  readonly defense: string | null;
  readonly bucket: string | null;
  /** Structure at the snap. */
  readonly label: string | null;
  readonly fields: SnapFields;
}

/** Snaps of other games with the fields that are asked; those without any are left out. */
export function earlierSnaps(
  rows: readonly WalkedSnap[],
  fields: readonly SnapFact[],
  book: Book,
  profile: LevelProfile,
): EarlierSnap[] {
  return rows.flatMap((row): EarlierSnap[] => {
    const some = Object.fromEntries(
      fields.flatMap((f) => (isTagged(row.snap[f] as string | null) ? [[f, row.snap[f]]] : [])),
    ) as SnapFields;
    if (Object.keys(some).length === 0) return [];
    const { offense, defense } = row.before;
    const label = lookFacts(book, row.snap, profile).structureSnap;
    return [{ offense, defense, bucket: row.bucket, label, fields: some }];
  });
}

/** The levels of the back-off for a snap, nearest first. */
function levels(
  { before, bucket }: WalkedSnap,
  label: string | null,
  field: SnapFact,
): { readonly words: string; readonly same: (other: Omit<EarlierSnap, 'fields'>) => boolean }[] {
  const team = SNAP_FIELDS[field].about === 'defense' ? 'defense' : 'offense';
  const mine = (other: Omit<EarlierSnap, 'fields'>): boolean => other[team] === before[team];
  return [
    ...(label !== null && bucket !== null
      ? [
          {
            words: `${label} on ${bucketLabel(bucket)}`,
            same: (o: Omit<EarlierSnap, 'fields'>) => mine(o) && o.bucket === bucket && o.label === label,
          },
        ]
      : []),
    ...(label !== null
      ? [{ words: label, same: (o: Omit<EarlierSnap, 'fields'>) => mine(o) && o.label === label }]
      : []),
    { words: 'all snaps', same: mine },
  ];
}

/** Ranks the values of a field for a snap over the rows that are charted, and the snaps of other games. */
export function offersFor(
  row: WalkedSnap,
  field: SnapFact,
  rows: readonly WalkedSnap[],
  book: Book,
  labels: Labels,
  earlier: readonly EarlierSnap[] = [],
): Offers {
  const choices = choicesOf(field, book);
  const labelOf = (one: WalkedSnap): string | null => labels.get(one.snap.snapId) ?? null;
  const seen = [
    ...earlier,
    ...rows
      .filter((other) => other.snap.snapId !== row.snap.snapId)
      .map((other) => ({
        offense: other.before.offense,
        defense: other.before.defense,
        bucket: other.bucket,
        label: labelOf(other),
        fields: other.snap as SnapFields,
      })),
  ];
  const steps = levels(row, labelOf(row), field).map(({ words, same }) => {
    const counts = new Map<string | number | boolean, number>();
    let n = 0;
    for (const other of seen) {
      const value = (other.fields[field] ?? null) as unknown;
      if (!isTagged(value as string | number | null) || Array.isArray(value) || !same(other)) continue;
      counts.set(value as string, (counts.get(value as string) ?? 0) + 1);
      n++;
    }
    return { words, counts, n };
  });
  const values = new Map<string | number | boolean, number>();
  (choices ?? []).forEach((value, i) => values.set(value, i));
  for (const { counts } of steps)
    for (const value of counts.keys()) if (!values.has(value)) values.set(value, values.size);
  let shares = new Map([...values.keys()].map((value) => [value, 1 / Math.max(1, values.size)]));
  for (const { counts, n } of [...steps].reverse())
    shares = new Map(
      [...shares].map(([value, prior]) => [value, ((counts.get(value) ?? 0) + PRIOR * prior) / (n + PRIOR)]),
    );
  const nearest = steps.find((level) => level.n > 0) ?? steps[steps.length - 1]!;
  const list = [...shares]
    .map(([value, share]): Offer => ({
      value,
      words: valueWords(value),
      k: nearest.counts.get(value) ?? 0,
      n: nearest.n,
      share,
    }))
    .sort((a, b) => b.share - a.share || values.get(a.value)! - values.get(b.value)!);
  return { list, situation: nearest.words, n: nearest.n };
}

export const lastOfSeries = (row: WalkedSnap, rows: readonly WalkedSnap[]): Snap | null => {
  const at = rows.findIndex((r) => r.snap.snapId === row.snap.snapId);
  const before = rows[at - 1];
  return before && before.possession === row.possession ? before.snap : null;
};
