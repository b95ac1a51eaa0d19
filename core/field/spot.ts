import type { LevelProfile } from './profile';

/** Hash marks in the view of the team that puts the ball in play. */
export const HASHES = ['L', 'M', 'R'] as const;
export type Hash = (typeof HASHES)[number];

/** A side of the field, offense's view. */
export const SIDES = ['L', 'R'] as const;
export type Side = (typeof SIDES)[number];

/** A side as a word. */
export const sideWord = (side: Side): 'left' | 'right' => (side === 'L' ? 'left' : 'right');

export const otherSide = (side: Side): Side => (side === 'L' ? 'R' : 'L');

/** The same hash seen by the other team (possession changed). */
export function mirrorHash(hash: Hash): Hash;
export function mirrorHash(hash: Hash | null): Hash | null;
export function mirrorHash(hash: Hash | null): Hash | null {
  if (hash === 'L') return 'R';
  return hash === 'R' ? 'L' : hash;
}

/** Yards to goal as coaches say it: 65 → "own 35", 50 → "50", 12 → "their 12". */
export function formatSpot(toGoal: number): string {
  if (toGoal === 50) return '50';
  return toGoal > 50 ? `own ${100 - toGoal}` : `their ${toGoal}`;
}

/** The hash as a word. */
export const hashWord = (hash: Hash): string => ({ L: 'left hash', M: 'middle', R: 'right hash' })[hash];

/** The typed spot of the snap line: 65,"L" → "o35l". */
export function encodeSpot(toGoal: number, hash: Hash | null): string {
  const spot = toGoal === 50 ? '50' : toGoal > 50 ? `o${100 - toGoal}` : `t${toGoal}`;
  return spot + (hash ? hash.toLowerCase() : '');
}

/** Reads "o35l", "t12", "50m". Yards to goal 1–99 in the view of the team named by the frame, else null. */
export function decodeSpot(text: string): { toGoal: number; hash: Hash | null } | null {
  const match = /^([ot]?)(\d{1,2})([lmr]?)$/.exec(text.toLowerCase());
  if (!match) return null;
  const [, half, digits, mark] = match;
  const yard = Number(digits);
  if (yard < 1 || yard > 50 || (half === '' && yard !== 50)) return null;
  const hash = mark ? (mark.toUpperCase() as Hash) : null;
  return { toGoal: half === 'o' ? 100 - yard : yard, hash };
}

export interface FieldSides {
  /** The wide side, null on the middle hash. */
  readonly field: Side | null;
  readonly fieldYards: number;
  readonly boundaryYards: number;
}

/** Field and boundary for a hash: which side is wide and how many yards each has. */
export function fieldSides(profile: LevelProfile, hash: Hash | null): FieldSides {
  // A hash in the middle of the field has no short side.
  if ((hash === 'L' || hash === 'R') && profile.hashToSideline < profile.fieldWidth / 2) {
    return {
      field: otherSide(hash),
      fieldYards: profile.fieldWidth - profile.hashToSideline,
      boundaryYards: profile.hashToSideline,
    };
  }
  return { field: null, fieldYards: profile.fieldWidth / 2, boundaryYards: profile.fieldWidth / 2 };
}

/** Lateral place of the ball from the middle of the field. */
export function ballAt(profile: LevelProfile, hash: Hash | null): number {
  const off = profile.fieldWidth / 2 - profile.hashToSideline;
  return hash === 'L' ? -off : hash === 'R' ? off : 0;
}

/** Seconds left as "8:41". */
export const formatClock = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;

/** "8:41" as seconds, null when it is not a clock. */
export function parseClock(text: string): number | null {
  const match = /^(\d{1,2}):([0-5]\d)$/.exec(text);
  return match ? Number(match[1]) * 60 + Number(match[2]) : null;
}

const ORDINALS = ['', '1st', '2nd', '3rd', '4th'];
export const downWord = (down: number): string => ORDINALS[down] ?? `${down}th`;

/** "2nd & 7", "1st & goal". */
export function formatDownDistance(down: number, distance: number, toGoal: number | null): string {
  return `${downWord(down)} & ${toGoal !== null && distance >= toGoal ? 'goal' : distance}`;
}
