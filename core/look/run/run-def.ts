/**
 * A run as jobs by place: its blocking, where the ball aims, who is read, who carries. What every picture of the
 * play, its blocking list and its count follow from.
 */
import type { Job, Keeps } from './jobs';

export const BLOCKING = ['zone', 'gap', 'man'] as const;
/** Rule of the line: zone; gap (down on the play side, center back, hinge); man (the man on him, else double). */
export type Blocking = (typeof BLOCKING)[number];

export const POINTS = ['A', 'B', 'C', 'D'] as const;
/** Gap the ball aims at; D is outside the end man. */
export type PointOfAttack = (typeof POINTS)[number];

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

/**
 * Who is left to the quarterback: the end man of the play side, the back-side end, the first down man on or outside
 * the play-side tackle (dive key), or the first on or outside the play-side guard (inside man).
 */
export const RUN_READS = ['end man', 'back-side end', 'dive key', 'inside man'] as const;
export type RunRead = (typeof RUN_READS)[number];
/** Who is left to the pitch: the end man, the next man outside the one read, or the force defender. */
export const PITCH_READS = ['end man', 'next man', 'force'] as const;
export type PitchRead = (typeof PITCH_READS)[number];

/** A job that whoever stands first in the list takes. */
export interface FlexJob {
  readonly job: Job;
  readonly by: readonly RunRole[];
  /** Another job for some of the list: a tight end who base blocks where nobody off the line kicks. */
  readonly as?: Readonly<Partial<Record<RunRole, Job>>>;
  /** The play can be shown without it. */
  readonly optional?: boolean;
}

export interface RunDef {
  readonly blocking: Blocking;
  readonly point: PointOfAttack;
  readonly read: RunRead | null;
  readonly pitch?: PitchRead;
  readonly carrier: (typeof CARRIERS)[number];
  readonly jobs: Readonly<Partial<Record<RunRole, Job>>>;
  /** A play whose list nobody fills cannot be shown from that picture, unless the job is optional. */
  readonly flex: readonly FlexJob[];
}

const BASE_JOBS: Readonly<Record<Blocking, Readonly<Partial<Record<RunRole, Job>>>>> = {
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

const BASE_REST: Readonly<Partial<Record<RunRole, Job>>> = {
  BALL: 'carry',
  Q: 'give',
  LEAD: 'lead',
};

/** The job of a place when nobody takes a job of a list. */
export const jobOf = (def: RunDef, role: RunRole): Job =>
  def.jobs[role] ?? BASE_JOBS[def.blocking][role] ?? BASE_REST[role] ?? 'stalk';

export const isBlocking = (word: string): word is Blocking => Object.hasOwn(BASE_JOBS, word);

/** Where the quarterback keeps: away from a back-side end; inside an end man whom the back outflanks; else outside. */
export const keepsOf = (def: RunDef): Keeps =>
  def.read === 'end man' || def.read === 'dive key' || def.read === 'inside man'
    ? def.point === 'D'
      ? 'inside'
      : 'outside'
    : 'away';
