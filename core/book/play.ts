/**
 * Plays as jobs by role, and presentations that put bodies on the roles. The same jobs from another
 * picture are one play with a new presentation; what it costs is the jobs that change.
 */
import type { Blocking, Job, PointOfAttack, Route, RunAim } from '../look';

export const RUN_ROLES = [
  'PT',
  'PG',
  'C',
  'BG',
  'BT',
  'PY',
  'PW',
  'BY',
  'BW',
  'LEAD',
  'BALL',
  'Q',
  'P1',
  'P2',
  'P3',
  'B1',
  'B2',
  'B3',
] as const;

/**
 * Places of a run by where it goes: play-side and back-side tackle, guard, attached tight end (Y) and
 * wing (W), lead back, ball carrier, quarterback, and detached receivers outside-in on each side.
 */
export type RunRole = (typeof RUN_ROLES)[number];

export const CARRIERS = ['back', 'fullback', 'quarterback', 'mover', 'receiver'] as const;

export interface RunDef {
  readonly blocking: Blocking;
  readonly point: PointOfAttack;
  readonly read: RunAim['read'];
  readonly carrier: (typeof CARRIERS)[number];
  readonly jobs: Readonly<Partial<Record<RunRole, Job>>>;
  /** A job that whoever stands first in the list takes; a play whose list nobody fills cannot be shown from that picture. */
  readonly flex: readonly { readonly job: Job; readonly by: readonly RunRole[] }[];
}

export const BASE_JOBS: Readonly<Record<Blocking, Readonly<Partial<Record<RunRole, Job>>>>> = {
  zone: {
    PT: 'combo',
    PG: 'combo',
    C: 'combo',
    BG: 'scoop',
    BT: 'cutoff',
    PY: 'reach',
    PW: 'reach',
    BY: 'cutoff',
    BW: 'cutoff',
  },
  gap: {
    PT: 'down',
    PG: 'down',
    C: 'back',
    BG: 'hinge',
    BT: 'hinge',
    PY: 'down',
    PW: 'down',
    BY: 'hinge',
    BW: 'hinge',
  },
  man: {
    PT: 'base',
    PG: 'base',
    C: 'base',
    BG: 'base',
    BT: 'base',
    PY: 'base',
    PW: 'base',
    BY: 'base',
    BW: 'base',
  },
};

export const BASE_REST: Readonly<Partial<Record<RunRole, Job>>> = {
  BALL: 'carry',
  Q: 'give',
  LEAD: 'lead',
  P1: 'stalk',
  P2: 'stalk',
  P3: 'stalk',
  B1: 'stalk',
  B2: 'stalk',
  B3: 'stalk',
};

export const isBlocking = (word: string): word is Blocking => Object.hasOwn(BASE_JOBS, word);

export const PASS_TYPES = ['quick', 'drop-back', 'play action', 'boot', 'sprint', 'screen', 'shot'] as const;

/** Routes by number, outside-in, of one side; `back`: his route in this picture, null: as the play says. */
export interface PassPicture {
  readonly routes: readonly Route[];
  readonly back: Route | null;
}

export interface PassDef {
  readonly type: (typeof PASS_TYPES)[number];
  /** Steps of the drop. */
  readonly drop: number;
  /** Routes by number, outside-in, on the strong side and on the weak side. */
  readonly strong: readonly Route[];
  readonly weak: readonly Route[];
  readonly back: Route;
  /** What the sides run with another number of receivers, where the base does not say it. */
  readonly others?: { readonly strong: readonly PassPicture[]; readonly weak: readonly PassPicture[] };
}

/** The picture of a side for so many receivers: one made for the number, else the longest that they fill, else the shortest. */
export function pictureFor(def: PassDef, side: 'strong' | 'weak', receivers: number): PassPicture {
  const base: PassPicture = { routes: def[side], back: null };
  const all = [base, ...(def.others?.[side] ?? [])];
  const exact = all.find((picture) => picture.routes.length === receivers);
  if (exact) return exact;
  const filled = all
    .filter((picture) => picture.routes.length < receivers)
    .sort((a, b) => b.routes.length - a.routes.length)[0];
  return filled ?? [...all].sort((a, b) => a.routes.length - b.routes.length)[0]!;
}

export type PlayDef =
  { readonly kind: 'run'; readonly run: RunDef } | { readonly kind: 'pass'; readonly pass: PassDef };
