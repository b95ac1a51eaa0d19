/** The field table: every column of the open snap table with its kind, limits, group and words. */
import { HASHES, SIDES } from '../field/spot';
import {
  FUMBLES,
  INCOMPLETE_CAUSES,
  KICK_ENDS,
  PLAYS,
  RESULTS,
  ROTATIONS,
  SCORES,
  TURNOVERS,
  UNITS,
  type Snap,
  type SnapFact,
  type SnapField,
} from './snap';

export const FIELD_GROUPS = [
  'identity',
  'situation',
  'at_the_line',
  'before_the_snap',
  'the_play',
  'who',
  'what_came_of_it',
  'remarks',
] as const;
export type FieldGroup = (typeof FIELD_GROUPS)[number];

export type FieldKind =
  'text' | 'integer' | 'decimal' | 'clock' | 'enum' | 'flag' | 'list' | 'penalties' | 'numbers' | 'date';

export interface FieldSpec {
  readonly label: string;
  readonly group: FieldGroup;
  readonly kind: FieldKind;
  /** Tag columns: may hold "-" (none) and "?" (not visible). */
  readonly tag: boolean;
  readonly values?: readonly string[];
  readonly min?: number;
  readonly max?: number;
  readonly pattern?: RegExp;
  readonly unit?: string;
  /** Characters at most. */
  readonly most?: number;
  /** What a text must look like, for an error's remedy. */
  readonly expected?: string;
}

const fact = (
  label: string,
  group: FieldGroup,
  kind: FieldKind,
  more: Partial<FieldSpec> = {},
): FieldSpec => ({ label, group, kind, tag: false, ...more });
const tag = (
  label: string,
  group: FieldGroup,
  kind: FieldKind,
  more: Partial<FieldSpec> = {},
): FieldSpec => ({ label, group, kind, tag: true, ...more });
const one = (values: readonly string[]): Partial<FieldSpec> => ({ values });
const span = (min: number, max: number, unit?: string): Partial<FieldSpec> =>
  unit ? { min, max, unit } : { min, max };

const JERSEY = { pattern: /^\d{1,2}$/ };

export const SNAP_FIELDS: Readonly<Record<SnapField, FieldSpec>> = {
  snapId: fact('snap id', 'identity', 'text', { most: 120 }),
  game: fact('game', 'identity', 'text', { most: 120 }),
  order: fact('order', 'identity', 'decimal'),
  film: fact('film', 'identity', 'text'),
  filmIn: fact('film in', 'identity', 'decimal', span(0, 86400, 'seconds')),
  filmOut: fact('film out', 'identity', 'decimal', span(0, 86400, 'seconds')),
  offense: fact('offense', 'situation', 'text'),
  defense: fact('defense', 'situation', 'text'),
  unit: fact('unit', 'situation', 'enum', one(UNITS)),
  quarter: fact('quarter', 'situation', 'integer', span(1, 12)),
  clock: fact('clock', 'situation', 'clock', span(0, 900, 'seconds')),
  pointsFor: fact('points for', 'situation', 'integer', span(0, 200)),
  pointsAgainst: fact('points against', 'situation', 'integer', span(0, 200)),
  timeoutsFor: fact('time-outs for', 'situation', 'integer', span(0, 3)),
  timeoutsAgainst: fact('time-outs against', 'situation', 'integer', span(0, 3)),
  toGoal: fact('yards to goal', 'situation', 'integer', span(1, 99, 'yards')),
  hash: fact('hash', 'situation', 'enum', one(HASHES)),
  down: fact('down', 'situation', 'integer', span(1, 4)),
  distance: fact('distance', 'situation', 'integer', span(1, 99, 'yards')),
  personnel: tag('people', 'at_the_line', 'text', {
    pattern: /^[0-5][0-5]$/,
    expected: 'two digits, backs then tight ends, such as 11',
  }),
  extraLinemen: tag('extra linemen', 'at_the_line', 'integer', span(0, 5)),
  quarterbackOut: fact('quarterback out', 'at_the_line', 'flag'),
  men: fact('men', 'at_the_line', 'integer', span(5, 13)),
  formation: tag('formation', 'at_the_line', 'text'),
  formationSide: tag('formation side', 'at_the_line', 'enum', one(SIDES)),
  backfield: tag('backfield', 'at_the_line', 'text'),
  receiversLeftSet: tag('receivers left, set', 'at_the_line', 'integer', span(0, 5)),
  receiversRightSet: tag('receivers right, set', 'at_the_line', 'integer', span(0, 5)),
  tempo: tag('tempo', 'at_the_line', 'text'),
  motion: tag('motion', 'before_the_snap', 'text'),
  motionBy: tag('motion by', 'before_the_snap', 'text'),
  motionSide: tag('motion side', 'before_the_snap', 'enum', one(SIDES)),
  motionSpeed: tag('motion speed', 'before_the_snap', 'text'),
  receiversLeftSnap: tag('receivers left, snap', 'before_the_snap', 'integer', span(0, 5)),
  receiversRightSnap: tag('receivers right, snap', 'before_the_snap', 'integer', span(0, 5)),
  front: tag('front', 'before_the_snap', 'text'),
  box: tag('box', 'before_the_snap', 'integer', span(0, 11)),
  shell: tag('shell', 'before_the_snap', 'integer', span(0, 4)),
  cornerLeftDepth: tag('left corner depth', 'before_the_snap', 'integer', span(0, 40, 'yards')),
  cornerRightDepth: tag('right corner depth', 'before_the_snap', 'integer', span(0, 40, 'yards')),
  play: tag('play', 'the_play', 'enum', one(PLAYS)),
  concept: tag('concept', 'the_play', 'text'),
  conceptWeak: tag('concept, weak side', 'the_play', 'text'),
  direction: tag('direction', 'the_play', 'enum', one(SIDES)),
  protection: tag('protection', 'the_play', 'text'),
  drop: tag('drop', 'the_play', 'integer', span(0, 9, 'steps')),
  pressure: tag('pressure', 'the_play', 'text'),
  rushers: tag('rushers', 'the_play', 'integer', span(0, 11)),
  coverage: tag('coverage', 'the_play', 'text'),
  rotation: tag('rotation', 'the_play', 'enum', one(ROTATIONS)),
  readKey: tag('read key', 'the_play', 'text'),
  keyAction: tag('key action', 'the_play', 'text'),
  carrier: fact('carrier', 'who', 'text', JERSEY),
  passer: fact('passer', 'who', 'text', JERSEY),
  target: fact('target', 'who', 'text', JERSEY),
  kicker: fact('kicker', 'who', 'text', JERSEY),
  returner: fact('returner', 'who', 'text', JERSEY),
  takenBy: fact('taken by', 'who', 'text', JERSEY),
  tacklers: fact('tacklers', 'who', 'numbers', JERSEY),
  result: fact('result', 'what_came_of_it', 'enum', one(RESULTS)),
  incompleteCause: tag('why incomplete', 'what_came_of_it', 'enum', one(INCOMPLETE_CAUSES)),
  gain: fact('gain', 'what_came_of_it', 'integer', span(-99, 99, 'yards')),
  outOfBounds: fact('out of bounds', 'what_came_of_it', 'flag'),
  turnover: fact('turnover', 'what_came_of_it', 'enum', one(TURNOVERS)),
  fumble: fact('fumble', 'what_came_of_it', 'enum', one(FUMBLES)),
  kickEnd: fact('kick end', 'what_came_of_it', 'enum', one(KICK_ENDS)),
  kickYards: fact('kick yards', 'what_came_of_it', 'integer', span(-30, 109, 'yards')),
  turnoverYards: fact('turnover yards', 'what_came_of_it', 'integer', span(-30, 109, 'yards')),
  returnYards: fact('return yards', 'what_came_of_it', 'integer', span(-30, 109, 'yards')),
  score: fact('score', 'what_came_of_it', 'enum', one(SCORES)),
  scoredBy: fact('scored by', 'what_came_of_it', 'text'),
  deadPossession: fact('possession when dead', 'what_came_of_it', 'text'),
  deadToGoal: fact('dead at, yards to goal', 'what_came_of_it', 'integer', span(1, 99, 'yards')),
  deadHash: fact('dead hash', 'what_came_of_it', 'enum', one(HASHES)),
  nextOffense: fact('next offense', 'what_came_of_it', 'text'),
  penalties: fact('penalties', 'what_came_of_it', 'penalties'),
  tags: fact('tags', 'remarks', 'list'),
  notSure: fact('not sure', 'remarks', 'list'),
  kept: fact('kept', 'remarks', 'flag'),
  note: fact('note', 'remarks', 'text'),
};

export const SNAP_FIELD_NAMES = Object.keys(SNAP_FIELDS) as SnapField[];
export const SNAP_FACTS = SNAP_FIELD_NAMES.filter(
  (f) => f !== 'snapId' && f !== 'game' && f !== 'order',
) as SnapFact[];

/** Column name of a field in the open table: toGoal → to_goal. */
export const columnOf = (field: string): string => field.replace(/[A-Z]/g, (c) => `_${c.toLowerCase()}`);
/** Field name of a column: to_goal → toGoal. */
export const fieldOfColumn = (column: string): string =>
  column.replace(/_([a-z])/g, (_, c: string) => c.toUpperCase());

/** An untagged snap. */
export function blankSnap(snapId: string, game: string, order: number): Snap {
  const blank: Record<string, unknown> = {};
  for (const field of SNAP_FIELD_NAMES) blank[field] = emptyValue(field);
  return { ...(blank as unknown as Snap), snapId, game, order };
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
