/**
 * Two strengths, never none: a defense always declares. Run strength turns fronts and the names of the
 * backers; passing strength turns coverages, rotation, the nickel, and pressures said strong or weak
 * (common practice).
 */
import type { LevelKey } from '../field/profile';
import type { Side } from '../field/spot';

export const STRENGTH_RULES = ['receivers', 'tight_end', 'field', 'back'] as const;
export type StrengthRule = (typeof STRENGTH_RULES)[number];

/** More receivers, then the wide side of the field, then the tight end. */
export const DEFAULT_STRENGTH: readonly StrengthRule[] = ['receivers', 'field', 'tight_end'];
/** Hashes near the middle make the wide side matter less: the tight end before it. */
export const PROFESSIONAL_STRENGTH: readonly StrengthRule[] = ['receivers', 'tight_end', 'field'];

/** The order a staff set, or its level's where it left the usual one. */
export const strengthOrder = (order: readonly StrengthRule[], level: LevelKey): readonly StrengthRule[] =>
  level === 'professional' && order.join() === DEFAULT_STRENGTH.join() ? PROFESSIONAL_STRENGTH : order;

/** What motion does to the passing strength when the sides become even; a clear majority always moves it. */
export const EVEN_AFTER_MOTION = ['stays', 'moves', 'declared again'] as const;
export type EvenAfterMotion = (typeof EVEN_AFTER_MOTION)[number];

/** Which side each rule names; null where it names none. */
export interface Strengths {
  readonly receivers: Side | null;
  readonly tight_end: Side | null;
  readonly field: Side | null;
  readonly back: Side | null;
}

/** The first rule of the order that names a side; then the side written with the formation, then right. */
export function passingStrength(
  strengths: Strengths,
  order: readonly StrengthRule[],
  written: Side | null,
): Side {
  for (const rule of order) if (strengths[rule] !== null) return strengths[rule];
  return written ?? 'R';
}

/** The longer surface, an extra lineman counted; level, the passing strength. */
export const runningStrength = (left: number, right: number, passing: Side): Side =>
  left === right ? passing : left > right ? 'L' : 'R';
