/** A run as a ledger: what each of the twenty-two does or is. */
import type { Side } from '../field/spot';
import type { Man } from './formation';
import type { Defender } from './front';

export const BLOCKING = ['zone', 'gap', 'man'] as const;

export type Blocking = (typeof BLOCKING)[number];

export const POINTS = ['A', 'B', 'C', 'D'] as const;

/** Gap the ball aims at; D is outside the end man. */
export type PointOfAttack = (typeof POINTS)[number];

export interface RunAim {
  readonly blocking: Blocking;
  readonly to: Side;
  readonly point: PointOfAttack;
  /** Who is left to the quarterback's read: the back-side end, the play-side end man, or nobody. */
  readonly read: 'back-side end' | 'end man' | null;
  /** Side of a pass option attached to the run; null without one. */
  readonly option: Side | null;
  /** Letters that pull to kick out the end man, and to wrap for the play-side backer. */
  readonly kick: string | null;
  readonly wrap: readonly string[];
  /** Who carries; null: the deepest back. */
  readonly carrier: string | null;
  /** Jobs of the play that nobody of this picture can take. */
  readonly missing?: readonly string[];
}

export type Duty =
  | 'blocks'
  | 'pulls to kick'
  | 'wraps to'
  | 'leads on'
  | 'carries'
  | 'hands off, reads'
  | 'hands off'
  | 'holds'
  | 'option route'
  | 'climbs, nobody there'
  | 'stalks';

export interface OffenseEntry {
  readonly man: Man;
  readonly duty: Duty;
  readonly on: Defender | null;
  /** Second man he and his partner own together. */
  readonly then: Defender | null;
  readonly partner: string | null;
}

export interface DefenseEntry {
  readonly man: Defender;
  readonly by: 'blocked' | 'read' | 'option' | 'held by a receiver' | 'deep, far' | 'free';
  readonly who: readonly string[];
  /** Can be at the point of attack. */
  readonly there: boolean;
}

export interface Ledger {
  readonly to: Side;
  readonly offense: readonly OffenseEntry[];
  readonly defense: readonly DefenseEntry[];
  /** Blockers at the point of attack. */
  readonly hats: number;
  readonly there: number;
  readonly heldByRead: 0 | 1;
  readonly heldByOption: 0 | 1;
  /** hats + held − there: 0 and above is sound, −1 names the free man, below that it is not there. */
  readonly margin: number;
  readonly free: readonly Defender[];
  /** `unblocked`: the count is enough, but the rules of the blocking leave a man at the point. */
  readonly verdict: 'sound' | 'unblocked' | 'one free' | 'not there';
  readonly missing: readonly string[];
  /** The force defender counted because the point is outside the end man. */
  readonly force: Defender | null;
  readonly pairs: readonly (readonly [string, string])[];
}
