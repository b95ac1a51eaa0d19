/** Chartings of one game side by side: agreement a field, and every snap on which they differ. */
import { isTagged, NONE, SNAP_FIELDS, writeFieldText, type Snap, type SnapFact } from '../snap';
import { cohen, confusionOf, fleiss, type Confusion, type Kappa } from './kappa';

export interface Charted {
  readonly id: string;
  readonly name: string;
  readonly snaps: readonly Snap[];
}
export interface Dispute {
  readonly snapId: string;
  readonly number: number;
  readonly field: SnapFact;
  /** What each said, in the order of the chartings. */
  readonly values: readonly unknown[];
}
export interface FieldAgreement {
  readonly field: SnapFact;
  readonly label: string;
  /** Snaps that all charted, of those that any did. */
  readonly kappa: Kappa;
  readonly of: number;
  /** Of two chartings. */
  readonly confusion: Confusion | null;
  readonly disputes: readonly Dispute[];
}

const isBlank = (value: unknown): boolean => value === null || (Array.isArray(value) && value.length === 0);
/** A value as one word of the table; none and not visible are words like any other. */
export const agreedWord = (field: SnapFact, value: unknown): string =>
  typeof value === 'string' && !isTagged(value)
    ? value === NONE
      ? 'none'
      : 'not visible'
    : writeFieldText(field, value);

/** Fields in which somebody has charted something, as asked. Cost: fields × snaps. */
export function compareChartings(
  chartings: readonly Charted[],
  fields: readonly SnapFact[],
): FieldAgreement[] {
  const [first] = chartings;
  if (!first || chartings.length < 2) return [];
  const others = chartings.map((c) => new Map(c.snaps.map((s) => [s.snapId, s])));
  const out: FieldAgreement[] = [];
  for (const field of fields) {
    const judged: { readonly words: string[]; readonly dispute: Dispute }[] = [];
    let of = 0;
    first.snaps.forEach((snap, i) => {
      const values = others.map((map) => (map.get(snap.snapId)?.[field] ?? null) as unknown);
      if (values.every(isBlank)) return;
      of++;
      if (values.some(isBlank)) return;
      const words = values.map((v) => agreedWord(field, v));
      judged.push({ words, dispute: { snapId: snap.snapId, number: i + 1, field, values } });
    });
    if (of === 0) continue;
    const pairs = judged.map(({ words }) => words as unknown as readonly [string, string]);
    const two = chartings.length === 2;
    const confusion = two ? confusionOf(pairs) : null;
    out.push({
      field,
      label: SNAP_FIELDS[field].label,
      kappa: confusion ? cohen(confusion.counts) : fleiss(tallies(judged.map((j) => j.words))),
      of,
      confusion,
      disputes: judged.filter(({ words }) => new Set(words).size > 1).map((j) => j.dispute),
    });
  }
  return out;
}

function tallies(items: readonly (readonly string[])[]): number[][] {
  const words = [...new Set(items.flat())];
  return items.map((item) => words.map((word) => item.filter((w) => w === word).length));
}
