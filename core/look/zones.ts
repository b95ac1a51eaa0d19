/** Zones of a coverage: which there are for so many men, and where each lies on the field (common practice). */
import type { LevelProfile } from '../field/profile';
import { ballAt, type Hash, type Side } from '../field/spot';
import type { Man } from './formation';
import { sideStructure, type Structure } from './structure';

export const ZONES = [
  'third',
  'half',
  'quarter',
  'middle',
  'pole',
  'bracket',
  'flat',
  'curl-flat',
  'seam-curl-flat',
  'hook-curl',
  'hook',
  'middle hook',
  'hole',
  'robber',
  'trap',
  'spy',
] as const;
export type Zone = (typeof ZONES)[number];
/** Zones of the flat side: every zone family has one of them on each side. */
export const WIDE_ZONES: ReadonlySet<Zone> = new Set(['flat', 'curl-flat', 'seam-curl-flat', 'trap']);

/** Lateral yards from the middle of the field to a third's and a half's landmark, a corner's and a safety's quarter. */
export const THIRD_AT = 17.8;
export const HALF_AT = 13.3;
export const CORNER_QUARTER_AT = 20;
export const SAFETY_QUARTER_AT = 6.7;
export const DEEP_AT: Readonly<Partial<Record<Zone, number>>> = {
  third: 16,
  half: 16,
  middle: 16,
  pole: 16,
  quarter: 14,
  bracket: 11,
};
export const PREVENT_DEEP = 18;
export const PREVENT_UNDER = 10;
const UNDER_AT: Readonly<Partial<Record<Zone, number>>> = {
  flat: 5,
  trap: 5,
  'curl-flat': 8,
  'seam-curl-flat': 8,
  'hook-curl': 10,
  hook: 9,
  'middle hook': 9,
  hole: 8,
  robber: 10,
  spy: 4,
};

/** The ground that a defense divides: the ball's place across it and its sidelines, yards from the ball. */
export interface Ground {
  /** Lateral place of the ball from the middle of the field, right positive. */
  readonly ball: number;
  readonly left: number;
  readonly right: number;
}

export function groundOf(profile: LevelProfile, hash: Hash | null): Ground {
  const ball = ballAt(profile, hash);
  return { ball, left: -profile.fieldWidth / 2 - ball, right: profile.fieldWidth / 2 - ball };
}

/** A yard inside the sidelines at least. */
export const inBounds = (x: number, ground: Ground): number =>
  Math.min(ground.right - 1, Math.max(ground.left + 1, x));

const WIDE: Readonly<Record<number, readonly [zone: Zone, inner: Zone]>> = {
  2: ['flat', 'hook-curl'],
  3: ['curl-flat', 'hook'],
  4: ['curl-flat', 'hook'],
};

/** Zones left to right of so many men under a number of deep men; more than six stand in hooks. */
export function underZones(deep: number, men: number): readonly Zone[] {
  if (men <= 0) return [];
  const [wide, inner] = WIDE[Math.min(4, Math.max(2, deep))]!;
  const outer: Zone = deep === 3 && men <= 3 ? 'seam-curl-flat' : wide;
  if (men === 1) return ['middle hook'];
  if (men === 2) return [outer, outer];
  if (men === 3) return [outer, 'middle hook', outer];
  if (men === 4) return [outer, inner, inner, outer];
  if (men === 5) return [outer, inner, 'middle hook', inner, outer];
  if (deep === 2 && men === 6) return [outer, inner, 'hook', 'hook', inner, outer];
  return [outer, inner, ...Array.from({ length: men - 4 }, (): Zone => 'hook'), inner, outer];
}

/** Quarter, quarter, half: from the quarters' side to the half's. */
export function sixZones(men: number): readonly Zone[] {
  if (men <= 1) return underZones(4, men);
  if (men === 2) return ['curl-flat', 'flat'];
  if (men === 3) return ['curl-flat', 'middle hook', 'flat'];
  if (men === 4) return ['curl-flat', 'hook', 'hook-curl', 'flat'];
  return [
    'curl-flat',
    'hook',
    ...Array.from({ length: men - 4 }, (): Zone => 'middle hook'),
    'hook-curl',
    'flat',
  ];
}

/** A corner who is down on the rotated side: from his side to the other. */
export function cloudZones(men: number): readonly Zone[] {
  if (men <= 1) return men === 1 ? ['flat'] : [];
  if (men === 2) return ['flat', 'seam-curl-flat'];
  if (men === 3) return ['flat', 'middle hook', 'seam-curl-flat'];
  if (men === 4) return ['flat', 'hook', 'hook', 'curl-flat'];
  return ['flat', 'hook', ...Array.from({ length: men - 4 }, (): Zone => 'middle hook'), 'hook', 'curl-flat'];
}

export const detached = (structure: Structure, side: Side): readonly Man[] =>
  sideStructure(structure, side).detached;

/** Where an under zone lies on a side, lateral and deep; side null: over the ball. */
export function underSpot(
  zone: Zone,
  side: Side | null,
  structure: Structure,
  ground: Ground,
): readonly [x: number, depth: number] {
  const depth = UNDER_AT[zone] ?? 8;
  if (side === null) return [0, depth];
  const sign = side === 'L' ? -1 : 1;
  const half = sideStructure(structure, side);
  const end = half.endOfLine * sign;
  const one = Math.max(end, (half.receivers[0]?.x ?? half.endOfLine) * sign);
  let at: number;
  switch (zone) {
    case 'flat':
    case 'trap':
      at = Math.max(one - 3, end + 6);
      break;
    case 'curl-flat':
    case 'seam-curl-flat':
      at = Math.max((one + end) / 2, end + 4);
      break;
    case 'hook-curl':
      at = Math.max(end + (one - end) / 3, end + 3);
      break;
    case 'hook': {
      const three = half.receivers[2];
      at = three && !half.attached.includes(three) ? three.x * sign : 4;
      break;
    }
    default:
      at = 0;
  }
  return [inBounds(at * sign, ground), depth];
}
