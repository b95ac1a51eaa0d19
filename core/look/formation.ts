/**
 * Formation geometry: where the men stand. All counts are computed from the points, never typed.
 * Frame: lateral yards from the ball (left negative, offense's view), depth in yards behind the line.
 */
import type { Side } from '../field/spot';

export interface Spot {
  readonly letter: string;
  readonly x: number;
  readonly depth: number;
  readonly onLine: boolean;
}

export interface Man extends Spot {
  readonly role: 'line' | 'quarterback' | 'eligible';
}

/** Yards between neighbors of an even line. */
export const SPLIT = 1.6;

/** Gaps outward: A between center and guard. */
export const GAPS = ['A', 'B', 'C', 'D'] as const;
export type Gap = (typeof GAPS)[number];
/** Lateral yards from the ball to the middle of a gap. */
export const gapAt = (gap: Gap): number => (GAPS.indexOf(gap) + 0.5) * SPLIT;

export const LINE: readonly Man[] = [
  { letter: 'LT', x: -2 * SPLIT, depth: 0.4, onLine: true, role: 'line' },
  { letter: 'LG', x: -SPLIT, depth: 0.4, onLine: true, role: 'line' },
  { letter: 'C', x: 0, depth: 0.2, onLine: true, role: 'line' },
  { letter: 'RG', x: SPLIT, depth: 0.4, onLine: true, role: 'line' },
  { letter: 'RT', x: 2 * SPLIT, depth: 0.4, onLine: true, role: 'line' },
];
export const LINE_LETTERS: readonly string[] = LINE.map((m) => m.letter);

/** Which men a game puts on the field: eleven with a line, seven with a snapper, five with an eligible center. */
export interface TeamShape {
  readonly men: number;
  readonly line: readonly Man[];
}
export const ELEVEN: TeamShape = { men: 11, line: LINE };
const SNAPPER: Man = { letter: 'C', x: 0, depth: 0.2, onLine: true, role: 'line' };
/** Seven-on-seven: the snapper stands aside after the snap, five may catch. */
export const SEVEN: TeamShape = { men: 7, line: [SNAPPER] };
/** Five-a-side flag: the center may catch. */
export const FIVE: TeamShape = { men: 5, line: [{ ...SNAPPER, role: 'eligible' }] };
export const shapeOf = (players: number): TeamShape =>
  players === 7 ? SEVEN : players === 5 ? FIVE : ELEVEN;

export const mirrorMen = <T extends { readonly x: number }>(men: readonly T[]): T[] =>
  men.map((m) => ({ ...m, x: m.x === 0 ? 0 : -m.x }));
const SWAP: Readonly<Record<string, string>> = { LT: 'RT', LG: 'RG', RG: 'LG', RT: 'LT' };
/** A whole line-up mirrored: linemen take the letters of the other side. */
export const mirrorLineUp = (men: readonly Man[]): Man[] =>
  mirrorMen(men)
    .map((m) => (m.role === 'line' ? { ...m, letter: SWAP[m.letter] ?? m.letter } : m))
    .sort((a, b) => (a.role === 'line' && b.role === 'line' ? a.x - b.x : 0));

const DEFAULT_BACKS: readonly Spot[] = [
  { letter: 'Q', x: 0, depth: 5, onLine: false },
  { letter: 'T', x: -1.8, depth: 5, onLine: false },
];
const SPARE: readonly Spot[] = [
  { letter: 'F', x: 2, depth: 4.5, onLine: false },
  { letter: 'B', x: -2, depth: 4.5, onLine: false },
  { letter: 'T', x: 0, depth: 7, onLine: false },
];

/**
 * The offense as it stands: line, the formation's men (strong to `side`), and the backfield filled
 * to the number of men. A formation that already holds a back (empty) leaves him out of the
 * backfield; one that places linemen (an unbalanced line) or the quarterback overrides the rest.
 * Without a formation only the line and the backfield stand: nobody is placed by guess.
 */
export function lineUp(
  formation: readonly Spot[] | null,
  side: Side | null,
  backfield: readonly Spot[] | null,
  shape: TeamShape = ELEVEN,
): Man[] {
  const turn = side === 'L' ? -1 : 1;
  const taken = new Set<string>();
  const line: Man[] = [];
  const moved = new Map<string, Spot>();
  const wide: Man[] = [];
  let quarterback: Man | null = null;
  for (const spot of formation ?? []) {
    const x = spot.x === 0 ? 0 : spot.x * turn;
    if (LINE_LETTERS.includes(spot.letter))
      moved.set(turn === 1 ? spot.letter : (SWAP[spot.letter] ?? spot.letter), { ...spot, x });
    else if (spot.letter === 'Q')
      quarterback = { letter: 'Q', x, depth: spot.depth, onLine: spot.onLine, role: 'quarterback' };
    else wide.push({ letter: spot.letter, x, depth: spot.depth, onLine: spot.onLine, role: 'eligible' });
    taken.add(spot.letter);
  }
  for (const man of shape.line) {
    const at = moved.get(man.letter);
    line.push(at ? { ...man, x: at.x, depth: at.depth, onLine: at.onLine } : man);
  }
  const behind: Man[] = [];
  for (const spot of backfield ?? DEFAULT_BACKS) {
    if (taken.has(spot.letter)) continue;
    behind.push({
      letter: spot.letter,
      x: spot.x === 0 ? 0 : spot.x * turn,
      depth: spot.depth,
      onLine: spot.onLine,
      role: spot.letter === 'Q' ? 'quarterback' : 'eligible',
    });
  }
  if (quarterback) behind.unshift(quarterback);
  if (!formation) return [...line, ...behind.slice(0, shape.men - line.length)];
  // Fewer men than the formation names (five-a-side): the widest stay.
  const places = shape.men - line.length - 1;
  const kept =
    wide.length > places ? [...wide].sort((a, b) => Math.abs(b.x) - Math.abs(a.x)).slice(0, places) : wide;
  const room = shape.men - line.length - kept.length;
  const backs = behind.slice(0, Math.max(room, 1));
  for (const spot of SPARE) {
    if (backs.length >= room) break;
    if (!taken.has(spot.letter) && !backs.some((b) => b.letter === spot.letter))
      backs.push({
        letter: spot.letter,
        x: spot.x * turn,
        depth: spot.depth,
        onLine: false,
        role: 'eligible',
      });
  }
  return [...line, ...kept, ...backs];
}

/** A back: eligible, off the line, deeper than three yards and within the tackles by two yards. */
/** A back is deeper than this and nearer to the ball than that; yards. */
export const BACK_DEEPER = 3;
export const BACK_WITHIN = 5.2;
export const isBack = (man: Man): boolean =>
  man.role === 'eligible' && man.depth > BACK_DEEPER && Math.abs(man.x) < BACK_WITHIN;

export interface Receivers {
  /** Outside-in on each side: #1 first. */
  readonly left: readonly Man[];
  readonly right: readonly Man[];
}

/** Eligible men outside the ball who are not backs, outside-in. An eligible center counts on neither side. */
export function receivers(men: readonly Man[]): Receivers {
  const left: Man[] = [];
  const right: Man[] = [];
  for (const man of men) {
    if (man.role !== 'eligible' || isBack(man)) continue;
    if (man.x < 0) left.push(man);
    else if (man.x > 0) right.push(man);
  }
  left.sort((a, b) => a.x - b.x);
  right.sort((a, b) => b.x - a.x);
  return { left, right };
}

/** Strength into the short side: true, false, or null when there is no strength or no boundary. */
export function intoBoundary(strength: Side | null, fieldSide: Side | null): boolean | null {
  return strength === null || fieldSide === null ? null : strength !== fieldSide;
}

/** A place across the line as its gap and side: "BL"; null over the ball. */
export function gapName(x: number): string | null {
  if (Math.abs(x) < 0.1) return null;
  let best: (typeof GAPS)[number] = 'A';
  for (const gap of GAPS)
    if (Math.abs(gapAt(gap) - Math.abs(x)) < Math.abs(gapAt(best) - Math.abs(x))) best = gap;
  return `${best}${x < 0 ? 'L' : 'R'}`;
}
