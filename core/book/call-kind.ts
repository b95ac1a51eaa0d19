/** What a call is by what its word means in the book: the kind of pass, and where on the field it attacks. */
import type { RunDef } from '../look';
import type { Snap } from '../snap/snap';
import { findTerm } from './index-terms';
import type { PASS_TYPES, PassDef } from './play';
import type { Book } from './term';

export type PassType = (typeof PASS_TYPES)[number];
/** From the middle of the line outward, then by depth. */
export const ATTACKS = [
  'inside run',
  'off tackle',
  'perimeter',
  'quick pass',
  'underneath',
  'screen',
  'vertical',
] as const;
export type Attack = (typeof ATTACKS)[number];

export interface CallKind {
  readonly passType: PassType | null;
  readonly attack: Attack | null;
}
const UNKNOWN: CallKind = { passType: null, attack: null };

/** Routes that go over a defense: go, seam, fade, post, corner, and doubles of them. */
const DEEP = /\b(go|seam|fade|post|corner|up)$/;
/** Thrown outside behind the line. */
const WIDE = /^(bubble|now|swing)$/;

/** A pitch goes outside whatever its first point is (common practice). */
const runAttack = ({ point, pitch }: RunDef): Attack =>
  pitch || point === 'D' ? 'perimeter' : point === 'C' ? 'off tackle' : 'inside run';

/** The quarterback on the move and throws to the flat stretch a defense sideways; two deep routes, or a shot, go over it. */
function passAttack({ type, strong, weak, back }: PassDef): Attack {
  const routes = [...strong, ...weak, back];
  if (type === 'sprint' || type === 'boot') return 'perimeter';
  if (type === 'screen') return routes.some((r) => WIDE.test(r)) ? 'perimeter' : 'screen';
  if (type === 'quick') return 'quick pass';
  return type === 'shot' || routes.filter((r) => DEEP.test(r)).length >= 2 ? 'vertical' : 'underneath';
}

/** Null where the concept is not tagged or the book does not say what it means. */
export function callKind(book: Book, { concept, play }: Pick<Snap, 'concept' | 'play'>): CallKind {
  // A word may name a run and a pass: the call says which.
  const pass = play === 'run' ? null : findTerm(book, 'pass', concept)?.definition;
  if (pass?.kind === 'pass') return { passType: pass.pass.type, attack: passAttack(pass.pass) };
  const run = play === 'pass' ? null : findTerm(book, 'run', concept)?.definition;
  return run?.kind === 'run' ? { passType: null, attack: runAttack(run.run) } : UNKNOWN;
}
