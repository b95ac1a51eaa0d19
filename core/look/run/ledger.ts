/** A run as a ledger: what each of the twenty-two does or is. */
import type { Side } from '../../field/spot';
import type { Man } from '../formation';
import type { Defender } from '../front';
import type { Job } from './jobs';
import type { PassOption } from './option';
import type { RunDef, RunRole } from './run-def';

/** A run as called: its jobs, its side, the letter of the man in motion, and the throw that goes with it. */
export interface RunCall {
  readonly def: RunDef;
  readonly to: Side;
  readonly mover: string | null;
  readonly option: OptionCall | null;
}

export const OPTION_KINDS = ['bubble', 'glance', 'stick', 'pop'] as const;
/** The throw of an option by what it attacks: the overhang, the man inside the single receiver, the backer over #3, a backer. */
export type OptionKind = (typeof OPTION_KINDS)[number];
export interface OptionCall {
  readonly kind: OptionKind;
  /** The side written with it; null: by its rule. */
  readonly side: Side | null;
}

export interface OffenseEntry {
  readonly man: Man;
  readonly role: RunRole | null;
  /** His job by the rule of the play, the same against every defense. */
  readonly job: Job;
  /** What the rule makes of it against this one: a pin without a man to pin pulls. */
  readonly does: Job;
  readonly on: Defender | null;
  /** Second man he and his partner own together. */
  readonly then: Defender | null;
  readonly partner: string | null;
}

export interface DefenseEntry {
  readonly man: Defender;
  readonly by:
    | 'blocked'
    | 'read'
    | 'pitch read'
    | 'option'
    | 'held by the keep'
    | 'held by a receiver'
    | 'deep, far'
    | 'free';
  readonly who: readonly string[];
  /** Can be at the point of attack. */
  readonly there: boolean;
}

export interface Ledger {
  readonly to: Side;
  readonly offense: readonly OffenseEntry[];
  readonly defense: readonly DefenseEntry[];
  /** Blockers at the point of attack: those whose man can be there. A hat that finds nobody counts nothing. */
  readonly hats: number;
  readonly there: number;
  /** Men read who can be there: two at most, as in the triple option. */
  readonly heldByRead: number;
  readonly heldByOption: 0 | 1;
  /** hats + held − there: 0 and above is sound, −1 names the free man, below that it is not there. */
  readonly margin: number;
  readonly free: readonly Defender[];
  /** `unblocked`: the count is enough, but the rules of the blocking leave a man at the point. */
  readonly verdict: 'sound' | 'unblocked' | 'one free' | 'not there';
  readonly missing: readonly Job[];
  /** The force defender counted because the point is outside the end man. */
  readonly force: Defender | null;
  readonly option: PassOption | null;
  readonly pairs: readonly (readonly [string, string])[];
}
