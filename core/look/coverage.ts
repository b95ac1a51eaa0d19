/** Coverage: what a family is, and what is really there: middle, style, deep and under counts. */
import { otherSide, type Side } from '../field/spot';
import type { Defended } from './defend';
import type { Structure } from './structure';

export const COVERAGE_STYLES = ['man', 'zone', 'match', 'mixed'] as const;
export const MIDDLES = ['open', 'closed', 'none'] as const;
export const DEEP_ZONES = ['pole', 'middle', 'third', 'half', 'quarter', 'bracket'] as const;
export type DeepZone = (typeof DEEP_ZONES)[number];
/** Roles of the second level and the secondary, by strength. */
export const COVER_ROLES = ['cs', 'cw', 'fs', 'ss', 'n', 'd', 'm'] as const;
export type CoverRole = (typeof COVER_ROLES)[number];
export const UNDER_ZONES = ['flat', 'curl', 'hook', 'robber', 'trap', 'cloud', 'man', 'wall', 'spy'] as const;
export type UnderZone = (typeof UNDER_ZONES)[number];

export interface DeepMan {
  readonly role: CoverRole;
  readonly zone: DeepZone;
  /** Share of the half field, strong positive: 0 the middle, 1 the numbers of the strong side. */
  readonly at: number;
}
export interface UnderMan {
  readonly role: CoverRole | 'lb';
  readonly zone: UnderZone;
  /** Strong, weak or the middle. */
  readonly side: 's' | 'w' | 'm';
}

export interface CoverageDef {
  readonly style: (typeof COVERAGE_STYLES)[number];
  readonly middle: (typeof MIDDLES)[number];
  readonly deep: readonly DeepMan[];
  /** Named duties below the deep men; whoever is left takes the hooks and curls (or his man). */
  readonly under: readonly UnderMan[];
  /** Deep men shown before the snap. */
  readonly shell: 0 | 1 | 2 | 3 | 4;
  readonly corner: {
    readonly depth: number;
    readonly leverage: 'inside' | 'outside' | 'head-up';
    readonly press: boolean;
  };
}

export type Rotated = 'strong' | 'weak' | 'field' | 'boundary' | 'motion' | null;

export interface CoverageLook {
  readonly middle: CoverageDef['middle'];
  readonly style: CoverageDef['style'];
  readonly deep: number;
  /** Men under it, in zones or on receivers. */
  readonly under: number;
  /** Of them on a receiver. */
  readonly man: number;
  /** Side the safeties turn to, in the offense's left and right; null: none, or cannot say. */
  readonly rotationSide: Side | null;
  /** The same as a defense says it. */
  readonly rotationWords: string;
}

/** What a coverage is with the men there are. */
export function coverageLook(
  def: CoverageDef,
  defended: Defended,
  structure: Structure,
  motionTo: Side | null,
): CoverageLook {
  let deep = 0;
  let under = 0;
  let man = 0;
  let closed = false;
  for (const duty of defended.duties) {
    if (duty.does === 'deep') {
      deep++;
      if (duty.zone === 'middle') closed = true;
    } else if (duty.does !== 'rush') {
      under++;
      if (duty.does === 'man') man++;
    }
  }
  const side = defended.rotated;
  let rotationWords = '';
  if (side !== null) {
    rotationWords = side === structure.passing ? 'to strength' : 'away from strength';
    if (structure.fieldSide !== null)
      rotationWords += side === structure.fieldSide ? ', to the field' : ', to the boundary';
    if (motionTo !== null) rotationWords += side === motionTo ? ', to the motion' : ', away from the motion';
  }
  return {
    middle: deep === 0 ? 'none' : closed ? 'closed' : 'open',
    style: def.style,
    deep,
    under,
    man,
    rotationSide: side,
    rotationWords,
  };
}

/** The side a rotation word means here; null where field or motion is missing. */
export function rotationSide(rotation: Rotated, structure: Structure, motionTo: Side | null): Side | null {
  switch (rotation) {
    case 'strong':
      return structure.passing;
    case 'weak':
      return otherSide(structure.passing);
    case 'field':
      return structure.fieldSide;
    case 'boundary':
      return structure.fieldSide && otherSide(structure.fieldSide);
    case 'motion':
      return motionTo;
    default:
      return null;
  }
}
