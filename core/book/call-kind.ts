/** What a call is by what its word means in the book: the kind of pass, and where on the field it attacks. */
import type { PointOfAttack, RunDef } from '../look';
import type { Snap } from '../snap/snap';
import { findTerm } from './index-terms';
import type { PASS_TYPES, PassDef } from './play';
import type { Book } from './term';

export type PassType = (typeof PASS_TYPES)[number];
/** From the middle of the line outward, then how it is thrown; "vertical" only where four go deep, or one shot is all of it. */
export const ATTACKS = [
  'inside run',
  'off tackle',
  'perimeter',
  'quick pass',
  'drop-back pass',
  'screen',
  'vertical',
] as const;
export type Attack = (typeof ATTACKS)[number];

export interface CallKind {
  readonly passType: PassType | null;
  readonly attack: Attack | null;
  /** The gap a run aims at. */
  readonly gap: PointOfAttack | null;
}
const UNKNOWN: CallKind = { passType: null, attack: null, gap: null };

/** Routes that go over a defense. */
const DEEP = /\b(go|seam|fade|post|corner|up|wheel|bend)$/;
/** A pitch goes outside whatever its first point is (common practice). */
const runAttack = ({ point, pitch }: RunDef): Attack =>
  pitch || point === 'D' ? 'perimeter' : point === 'C' ? 'off tackle' : 'inside run';

/**
 * The quarterback on the move and a screen thrown at once stretch a defense sideways. Counting deep routes alone says
 * nothing: most concepts send somebody deep to clear. Four do where the two outermost of both sides go.
 */
function passAttack({ type, drop, strong, weak }: PassDef): Attack {
  if (type === 'sprint' || type === 'boot') return 'perimeter';
  if (type === 'screen') return drop <= 1 ? 'perimeter' : 'screen';
  if (type === 'quick') return 'quick pass';
  const four = [strong, weak].every(
    (side) => side.length >= 2 && side.slice(0, 2).every((r) => DEEP.test(r)),
  );
  return type === 'shot' || four ? 'vertical' : 'drop-back pass';
}

/** Null where the concept is not tagged or the book does not say what it means. */
export function callKind(book: Book, { concept, play }: Pick<Snap, 'concept' | 'play'>): CallKind {
  // A word may name a run and a pass: the call says which.
  const pass = play === 'run' ? null : findTerm(book, 'pass', concept)?.definition;
  if (pass?.kind === 'pass') return { passType: pass.pass.type, attack: passAttack(pass.pass), gap: null };
  const run = play === 'pass' ? null : findTerm(book, 'run', concept)?.definition;
  return run?.kind === 'run' ? { passType: null, attack: runAttack(run.run), gap: run.run.point } : UNKNOWN;
}
