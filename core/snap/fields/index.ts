/** The field table: every column of the open snap table, an entry each with its kind, limits, words and flags. */
import type { Snap, SnapFact, SnapField } from '../snap';
import { AFTER } from './after';
import { BEFORE } from './before';
import { CHARTED } from './charted';
import { PLAY } from './play';
import { SITUATION } from './situation';
import { JERSEY, type FieldGroup, type FieldSpec, type Known } from './spec';

export { FIELD_GROUPS, type FieldGroup, type FieldKind, type FieldSpec } from './spec';

const TABLE = { ...SITUATION, ...BEFORE, ...PLAY, ...AFTER, ...CHARTED } as const satisfies Readonly<
  Record<SnapField, FieldSpec>
>;
export const SNAP_FIELDS: Readonly<Record<SnapField, FieldSpec>> = TABLE;

/** Names of the fields whose entry has a flag, as a type. */
type Flagged<F extends keyof FieldSpec> = {
  [K in SnapField]: (typeof TABLE)[K] extends Readonly<Record<F, unknown>> ? K : never;
}[SnapField];
export type FilteredField = Flagged<'filter'>;
export type SplitField = Flagged<'split'>;

export const SNAP_FIELD_NAMES = Object.keys(SNAP_FIELDS) as SnapField[];
export const SNAP_FACTS = SNAP_FIELD_NAMES.filter(
  (f) => f !== 'snapId' && f !== 'game' && f !== 'order',
) as SnapFact[];

/** Fields that hold numbers of jerseys. */
export const JERSEY_FIELDS: readonly SnapFact[] = SNAP_FACTS.filter((f) => SNAP_FIELDS[f].pattern === JERSEY);
const OF_DEFENSE: ReadonlySet<SnapFact> = new Set<SnapFact>([
  'tacklers',
  'takenBy',
  'returner',
  'rushWon',
  'blockedBy',
]);
/** Whose numbers a field of jerseys holds; who rushes, returns or takes the ball away is of the defense. */
export const wornBy = (field: SnapFact): 'offense' | 'defense' =>
  OF_DEFENSE.has(field) || SNAP_FIELDS[field].about === 'defense' ? 'defense' : 'offense';
/** The numbers a snap names for a side in a field of jerseys; what is no number is none. */
export function numbersIn(snap: Snap, field: SnapFact): readonly string[] {
  const value = snap[field] as string | readonly string[] | null;
  return value === null ? [] : (typeof value === 'string' ? [value] : value).filter((n) => JERSEY.test(n));
}

/** Fields whose entry has a flag, in the order of the table. */
export const fieldsWith = (flag: keyof FieldSpec): SnapField[] =>
  SNAP_FIELD_NAMES.filter((f) => SNAP_FIELDS[f][flag] !== undefined);

/** Fields that name a team: only one that plays in the game. */
export const TEAM_FIELDS = fieldsWith('team');

const KNOWN_BY_GROUP: Readonly<Record<FieldGroup, Known>> = {
  identity: 'set',
  situation: 'set',
  at_the_line: 'set',
  before_the_snap: 'snap',
  the_play: 'after',
  who: 'after',
  what_came_of_it: 'after',
  remarks: 'after',
};
/** When a charter can know a field. */
export const knownAt = (field: SnapField): Known =>
  SNAP_FIELDS[field].known ?? KNOWN_BY_GROUP[SNAP_FIELDS[field].group];

/** Column name of a field in the open table: toGoal → to_goal. */
export const columnOf = (field: string): string => field.replace(/[A-Z]/g, (c) => `_${c.toLowerCase()}`);
/** Field name of a column: to_goal → toGoal. */
export const fieldOfColumn = (column: string): string =>
  column.replace(/_([a-z])/g, (_, c: string) => c.toUpperCase());

/** Every field as it is when nobody tagged it; made when first asked for, since fields are named above and below. */
let untagged: Snap | null = null;

/** An untagged snap. Copied whole: to add two hundred fields one by one takes twenty times as long. */
export function blankSnap(snapId: string, game: string, order: number): Snap {
  untagged ??= Object.fromEntries(
    SNAP_FIELD_NAMES.map((field) => [field, emptyValue(field)]),
  ) as unknown as Snap;
  return { ...untagged, snapId, game, order };
}

/** What "not tagged" looks like for a field: an empty list or null. */
export const emptyValue = (field: SnapField): null | readonly never[] =>
  ['list', 'penalties', 'numbers'].includes(SNAP_FIELDS[field].kind) ? [] : null;

/** Equality of two values by content; the order of an object's keys says nothing. */
export function sameValue(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (
    typeof a !== 'object' ||
    typeof b !== 'object' ||
    a === null ||
    b === null ||
    Array.isArray(a) !== Array.isArray(b)
  )
    return false;
  const [x, y] = [a as Record<string, unknown>, b as Record<string, unknown>];
  const keys = Object.keys(x);
  return (
    keys.length === Object.keys(y).length && keys.every((k) => Object.hasOwn(y, k) && sameValue(x[k], y[k]))
  );
}

/** A snap without its blanks, to send; `fullSnap` puts them back. */
export type SlimSnap = Pick<Snap, 'snapId' | 'game' | 'order'> & Partial<Snap>;
export const slimSnap = (snap: Snap): SlimSnap =>
  Object.fromEntries(
    Object.entries(snap).filter(([, v]) => v !== null && !(Array.isArray(v) && v.length === 0)),
  ) as unknown as SlimSnap;
export const fullSnap = (slim: SlimSnap): Snap => ({
  ...blankSnap(slim.snapId, slim.game, slim.order),
  ...slim,
});
