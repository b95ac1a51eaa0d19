/** Tags that a charter was not sure of: counted like the others, at half, or not at all, as the staff chose. */
import { fieldsWith, SNAP_FIELDS, type FilteredField } from '../snap/fields';
import type { Snap } from '../snap/snap';

export const DOUBTS = ['whole', 'half', 'none'] as const;
export type Doubts = (typeof DOUBTS)[number];
export const DOUBT_WORDS: Readonly<Record<Doubts, string>> = {
  whole: 'count like the others',
  half: 'the snap counts half',
  none: 'count as “not sure”',
};

/** Stands where a tag in doubt is left out: a word of its own, beside none and not visible. Not one that keys are joined by. */
export const UNSURE = '!';

/** What a charter judges, that a count may group by. */
const JUDGED: ReadonlySet<string> = new Set(
  fieldsWith('filter').filter((f) => 'tag' in SNAP_FIELDS[f] && SNAP_FIELDS[f].tag === true),
);

/** Fields of a snap that somebody was not sure of, a guess among them. */
export const doubtful = ({ notSure }: Pick<Snap, 'notSure'>): readonly FilteredField[] =>
  notSure.filter((f): f is FilteredField => JUDGED.has(f));

/** The snap a look is drawn from: a word in doubt is none. */
export function lookedAt(snap: Snap): Snap {
  const fields = doubtful(snap);
  return fields.length === 0 ? snap : { ...snap, ...Object.fromEntries(fields.map((f) => [f, null])) };
}
