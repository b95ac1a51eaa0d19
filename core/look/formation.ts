/**
 * Formation geometry: where the eleven stand and what follows from it. All counts are computed
 * from the points, never typed. Lateral yards: left negative, offense's view.
 */
import { otherSide, type Side } from '../field/spot';
import type { Spot, Term } from '../book/term';

export interface Man extends Spot {
  readonly role: 'line' | 'quarterback' | 'eligible';
}

export const LINE: readonly Man[] = [
  { letter: 'LT', x: -3.2, depth: 0.4, onLine: true, role: 'line' },
  { letter: 'LG', x: -1.6, depth: 0.4, onLine: true, role: 'line' },
  { letter: 'C', x: 0, depth: 0.2, onLine: true, role: 'line' },
  { letter: 'RG', x: 1.6, depth: 0.4, onLine: true, role: 'line' },
  { letter: 'RT', x: 3.2, depth: 0.4, onLine: true, role: 'line' },
];

export const mirrorMen = <T extends Spot>(men: readonly T[]): T[] => men.map((m) => ({ ...m, x: m.x === 0 ? 0 : -m.x }));

/**
 * The offense as drawn: line, the formation's men (strong to `side`), and the backfield filled to
 * eleven. A formation that already holds a back (empty) leaves him out of the backfield. Without a
 * formation only the line and the backfield stand: nobody is placed by guess.
 */
export function lineUp(formation: Term | null, side: Side | null, backfield: Term | null): Man[] {
  const flip = <T extends Spot>(men: readonly T[]): T[] => (side === 'L' ? mirrorMen(men) : [...men]);
  const wide = flip((formation?.spots ?? []).map((s): Man => ({ ...s, role: 'eligible' })));
  const taken = new Set(wide.map((m) => m.letter));
  const room = 11 - LINE.length - wide.length;
  const behind = flip((backfield?.spots ?? DEFAULT_BACKS).map((s): Man => ({ ...s, role: s.letter === 'Q' ? 'quarterback' : 'eligible' }))).filter((m) => !taken.has(m.letter));
  const backs = behind.slice(0, Math.max(room, 1));
  if (!formation) return [...LINE, ...behind];
  const spare = [{ letter: 'F', x: 2, depth: 4.5 }, { letter: 'B', x: -2, depth: 4.5 }, { letter: 'T', x: 0, depth: 7 }];
  for (const s of spare) {
    if (backs.length >= room) break;
    if (!taken.has(s.letter) && !backs.some((b) => b.letter === s.letter)) backs.push({ ...s, onLine: false, role: 'eligible' });
  }
  return [...LINE, ...wide, ...backs];
}

const DEFAULT_BACKS: readonly Spot[] = [
  { letter: 'Q', x: 0, depth: 5, onLine: false },
  { letter: 'T', x: -1.8, depth: 5, onLine: false },
];

/** A back: eligible, off the line, deeper than two yards and within the tackles by two yards. */
const isBack = (m: Man): boolean => m.role === 'eligible' && m.depth > 3 && Math.abs(m.x) < 5.2;

export interface Receivers {
  /** Outside-in on each side: #1 first. */
  readonly left: readonly Man[];
  readonly right: readonly Man[];
}

export function receivers(men: readonly Man[]): Receivers {
  const out = men.filter((m) => m.role === 'eligible' && !isBack(m));
  return {
    left: out.filter((m) => m.x < 0).sort((a, b) => a.x - b.x),
    right: out.filter((m) => m.x > 0).sort((a, b) => b.x - a.x),
  };
}

export interface Structure {
  readonly left: number;
  readonly right: number;
  /** Larger by smaller: "3x1". */
  readonly label: string;
  /** The side with more receivers; null when even. */
  readonly side: Side | null;
}

export function structureOf(left: number, right: number): Structure {
  return { left, right, label: `${Math.max(left, right)}x${Math.min(left, right)}`, side: left === right ? null : left > right ? 'L' : 'R' };
}

/** The mover's place at the snap for a motion that crosses the ball; null when the word says too little. */
export function afterMotion(men: readonly Man[], by: string | null, side: Side | null): Man[] {
  if (by === null) return [...men];
  return men.map((m) => {
    if (m.letter !== by) return m;
    const to: Side = side ?? otherSide(m.x < 0 ? 'L' : 'R');
    return { ...m, x: to === 'L' ? -6 : 6, depth: Math.max(m.depth, 1.5), onLine: false };
  });
}

/** Strength into the short side: true, false, or null when there is no strength or no boundary. */
export function intoBoundary(strength: Side | null, fieldSide: Side | null): boolean | null {
  return strength === null || fieldSide === null ? null : strength !== fieldSide;
}
