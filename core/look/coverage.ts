/** Coverage: what a family is (middle, style, deep and under counts), who stands where before the snap, who goes where after it. */
import { otherSide, type Side } from '../field/spot';
import type { Defender, FrontDef } from './front';
import { placeFront } from './front';
import type { Man } from './formation';
import type { Structure } from './structure';
import { sideStructure } from './structure';

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
  /** Eleven less the rushers less the deep men. */
  readonly under: number;
  /** Side the safeties turn to, in the offense's left and right; null: none, or cannot say. */
  readonly rotationSide: Side | null;
  /** The same as a defense says it. */
  readonly rotationWords: string;
}

/** The side a rotation word means here; null where strength, field or motion is missing. */
export function rotationSide(rotation: Rotated, structure: Structure, motionTo: Side | null): Side | null {
  const other = (side: Side | null): Side | null => side && otherSide(side);
  switch (rotation) {
    case 'strong':
      return structure.strength;
    case 'weak':
      return other(structure.strength);
    case 'field':
      return structure.fieldSide;
    case 'boundary':
      return other(structure.fieldSide);
    case 'motion':
      return motionTo;
    default:
      return null;
  }
}

export function coverageLook(
  def: CoverageDef,
  rushers: number,
  rotation: Rotated,
  structure: Structure,
  motionTo: Side | null,
  men = 11,
): CoverageLook {
  const side = rotationSide(rotation, structure, motionTo);
  const facts: string[] = [];
  if (side !== null) {
    if (structure.strength !== null)
      facts.push(side === structure.strength ? 'to strength' : 'away from strength');
    if (structure.fieldSide !== null)
      facts.push(side === structure.fieldSide ? 'to the field' : 'to the boundary');
    if (motionTo !== null) facts.push(side === motionTo ? 'to the motion' : 'away from the motion');
  }
  // Whoever rushes is not deep, whatever the coverage asks for.
  const deep = Math.min(def.deep.length, Math.max(0, men - rushers));
  return {
    middle: def.middle,
    style: def.style,
    deep,
    under: men - rushers - deep,
    rotationSide: side,
    rotationWords: facts.join(', '),
  };
}

/** Roles of the secondary by how many are left beside the front. */
const ROLES_BY_COUNT: readonly (readonly CoverRole[])[] = [
  [],
  ['fs'],
  ['cs', 'cw'],
  ['cs', 'cw', 'fs'],
  ['cs', 'cw', 'fs', 'ss'],
  ['cs', 'cw', 'fs', 'ss', 'n'],
  ['cs', 'cw', 'fs', 'ss', 'n', 'd'],
  ['cs', 'cw', 'fs', 'ss', 'n', 'd', 'm'],
];
const ROLE_LETTER: Readonly<Record<CoverRole, string>> = {
  cs: 'C',
  cw: 'C',
  fs: 'F',
  ss: 'S',
  n: '$',
  d: 'D',
  m: 'M',
};
const ROLE_LEVEL: Readonly<Record<CoverRole, Defender['level']>> = {
  cs: 'corner',
  cw: 'corner',
  fs: 'safety',
  ss: 'safety',
  n: 'nickel',
  d: 'nickel',
  m: 'backer',
};

export interface PlacedDefender extends Defender {
  /** Role in the coverage; men of the front have none. */
  readonly role?: CoverRole;
}

/** What is seen from the coverage when none was tagged: two high, corners seven off. */
const UNKNOWN: CoverageDef = {
  style: 'zone',
  middle: 'open',
  deep: [],
  under: [],
  shell: 2,
  corner: { depth: 7, leverage: 'outside', press: false },
};

/**
 * The eleven of the defense as they stand before the snap: the front, corners over #1, nickels over
 * #2, safeties by the shell. `shell` overrides what the coverage usually shows. A safety of a
 * one-high or no-high shell stands down over the strong edge.
 */
export function placeDefense(
  structure: Structure,
  front: FrontDef | null,
  coverage: CoverageDef | null,
  shell: number | null = null,
  rotated: Side | null = null,
  count = 11,
): PlacedDefender[] {
  const strong = structure.strength === 'L' ? -1 : 1;
  const strongSide: Side = strong === 1 ? 'R' : 'L';
  const weakSide: Side = strong === 1 ? 'L' : 'R';
  const out: PlacedDefender[] = [];
  if (front) for (const d of placeFront(front, structure.strength)) if (out.length < count) out.push(d);
  const rest = ROLES_BY_COUNT[Math.min(7, Math.max(0, count - (front ? out.length : 6)))]!;
  const def = coverage ?? UNKNOWN;
  const high = shell ?? def.shell;
  const lever = def.corner.leverage === 'outside' ? 1 : def.corner.leverage === 'inside' ? -1 : 0;
  const put = (role: CoverRole, x: number, depth: number) =>
    out.push({ letter: ROLE_LETTER[role], x: Math.round(x * 10) / 10, depth, level: ROLE_LEVEL[role], role });
  const first = (side: Side): Man | undefined => sideStructure(structure, side).receivers[0];
  // The safety who is down: to the rotation when it is known, else to strength.
  const downTo = rotated ?? strongSide;
  for (const role of rest) {
    const side = role === 'cw' || role === 'd' ? weakSide : strongSide;
    const sign = side === 'L' ? -1 : 1;
    const half = sideStructure(structure, side);
    switch (role) {
      case 'cs':
      case 'cw': {
        const one = first(side);
        const wide = one && !half.attached.includes(one);
        put(
          role,
          wide ? one.x + sign * lever : half.endOfLine + sign * 3.5,
          wide ? def.corner.depth : Math.max(4, Math.min(def.corner.depth, 6)),
        );
        break;
      }
      case 'n':
      case 'd': {
        const two = half.receivers[half.receivers.length >= 2 ? 1 : 0];
        const over =
          two && half.receivers.length >= 2 && !half.attached.includes(two)
            ? two.x - sign * 0.8
            : half.endOfLine + sign * 3;
        put(role, over, 5);
        break;
      }
      case 'fs':
        if (high >= 2) put(role, -strong * 7, high >= 4 ? 9 : 12);
        else if (high === 1) put(role, 0, 13);
        else put(role, -strong * 5, 7);
        break;
      case 'ss':
        if (high >= 2) put(role, strong * 7, high >= 4 ? 9 : 12);
        else {
          const down = downTo === 'L' ? -1 : 1;
          put(role, sideStructure(structure, downTo).endOfLine + down * 1.8, high === 1 ? 5.5 : 7);
        }
        break;
      case 'm':
        put(role, 0, 5);
        break;
    }
  }
  return out;
}

export interface CoverDrop {
  readonly from: Defender;
  readonly to: readonly [lateral: number, depth: number];
  readonly zone: DeepZone | UnderZone;
  /** Deep zones are drawn as areas; man duties as lines to the man. */
  readonly deep: boolean;
}

const DEEP_AT: Readonly<Record<DeepZone, number>> = {
  pole: 16,
  middle: 17,
  third: 16,
  half: 16,
  quarter: 14,
  bracket: 11,
};
const HALF_FIELD = 17;

/** Where each man who does not rush goes: deep men to their zones, named men to their duty, the rest to hooks and curls or to their man. */
export function coverDrops(
  def: CoverageDef,
  defenders: readonly PlacedDefender[],
  structure: Structure,
  rushing: ReadonlySet<Defender>,
): CoverDrop[] {
  const strong = structure.strength === 'L' ? -1 : 1;
  const out: CoverDrop[] = [];
  const used = new Set<Defender>();
  const free = (role: CoverRole | 'lb', side: 's' | 'w' | 'm'): PlacedDefender | undefined => {
    const match = (defender: PlacedDefender) =>
      !used.has(defender) &&
      !rushing.has(defender) &&
      (role === 'lb'
        ? defender.role === undefined && defender.level !== 'down'
        : defender.role === role ||
          (role === 'm' && defender.role === undefined && defender.level === 'backer'));
    const list = defenders.filter(match);
    const want = side === 'm' ? 0 : side === 's' ? strong * 6 : -strong * 6;
    return list.sort((a, b) => Math.abs(a.x - want) - Math.abs(b.x - want))[0];
  };
  for (const deepMan of def.deep) {
    const man =
      free(deepMan.role, deepMan.at > 0.2 ? 's' : deepMan.at < -0.2 ? 'w' : 'm') ??
      defenders
        .filter((x) => !used.has(x) && !rushing.has(x) && x.level !== 'down')
        .sort((a, b) => b.depth - a.depth)[0];
    if (!man) continue;
    used.add(man);
    const x = deepMan.at * strong * HALF_FIELD;
    out.push({ from: man, to: [x === 0 ? 0 : x, DEEP_AT[deepMan.zone]], zone: deepMan.zone, deep: true });
  }
  for (const underMan of def.under) {
    const man = free(underMan.role, underMan.side);
    if (!man) continue;
    used.add(man);
    const sign = underMan.side === 'm' ? 0 : underMan.side === 's' ? strong : -strong;
    const at: readonly [number, number] =
      underMan.zone === 'flat' || underMan.zone === 'cloud' || underMan.zone === 'trap'
        ? [sign * 15, 5]
        : underMan.zone === 'curl'
          ? [sign * 10, 9]
          : underMan.zone === 'robber'
            ? [sign * 2, 10]
            : underMan.zone === 'spy'
              ? [0, 4]
              : underMan.zone === 'wall'
                ? [sign * 6, 8]
                : [sign * 4, 9];
    out.push({ from: man, to: at, zone: underMan.zone, deep: false });
  }
  const left = defenders
    .filter((d) => !used.has(d) && !rushing.has(d) && d.level !== 'down')
    .sort((a, b) => a.x - b.x);
  if (def.style === 'man' || def.style === 'mixed') {
    const targets = [...structure.left.receivers, ...structure.right.receivers, ...structure.backfield.backs];
    for (const defender of left) {
      const best = [...targets].sort((a, b) => Math.abs(a.x - defender.x) - Math.abs(b.x - defender.x))[0];
      // More men than there are to cover: he helps in the hole.
      if (!best) {
        out.push({ from: defender, to: [defender.x * 0.4, 8], zone: 'hook', deep: false });
        continue;
      }
      targets.splice(targets.indexOf(best), 1);
      out.push({ from: defender, to: [best.x, 1.4], zone: 'man', deep: false });
    }
    return out;
  }
  const spots =
    left.length >= 4 ? [-12, -4, 4, 12] : left.length === 3 ? [-9, 0, 9] : left.length === 2 ? [-6, 6] : [0];
  left.forEach((defender, i) => {
    const x = spots[Math.min(i, spots.length - 1)]!;
    out.push({
      from: defender,
      to: [x, Math.abs(x) > 8 ? 7 : 9],
      zone: Math.abs(x) > 8 ? 'curl' : 'hook',
      deep: false,
    });
  });
  return out;
}
