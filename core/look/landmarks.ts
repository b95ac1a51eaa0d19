/** Landmarks a man lines up by, and how a drawn point snaps to them. */
import type { LevelProfile } from '../field/profile';
import type { Hash } from '../field/spot';
import { SPLIT } from './formation';

export interface Landmark {
  readonly name: string;
  /** Lateral yards from the ball. */
  readonly x: number;
}

/** Tops of the numbers to the sideline, yards: 9 in high school and college; a professional field's numbers end at 12. */
const numbersAt = (profile: LevelProfile): number => (profile.key === 'professional' ? 12 : 9);

/** Lateral landmarks seen from a ball on a hash: tight and wing beside the tackle, slot, hash, numbers, sideline. Left to right. */
export function landmarks(profile: LevelProfile, hash: Hash | null): Landmark[] {
  const center = profile.fieldWidth / 2;
  const hashAt = center - profile.hashToSideline;
  const shift = hash === 'L' ? hashAt : hash === 'R' ? -hashAt : 0;
  const out: Landmark[] = [];
  for (const sign of [-1, 1] as const) {
    if (profile.players === 11)
      out.push({ name: 'tight', x: sign * 3 * SPLIT }, { name: 'wing', x: sign * 4 * SPLIT });
    out.push({ name: 'slot', x: sign * 8 });
    if (hashAt > 0.5) out.push({ name: 'hash', x: sign * hashAt + shift });
    out.push(
      { name: 'numbers', x: sign * (center - numbersAt(profile)) + shift },
      { name: 'sideline', x: sign * (center - 1) + shift },
    );
  }
  return out.filter((l) => Math.abs(l.x) > 1).sort((a, b) => a.x - b.x);
}

export interface Snapped {
  readonly x: number;
  readonly depth: number;
  readonly onLine: boolean;
  readonly landmark: string | null;
}

/** A point drawn by hand, on the nearest landmark within 0.7 yards and on the line within 0.8 of it. Inside the field. */
export function snapSpot(x: number, depth: number, profile: LevelProfile, hash: Hash | null): Snapped {
  const near =
    landmarks(profile, hash)
      .filter((l) => Math.abs(l.x - x) <= 0.7)
      .sort((a, b) => Math.abs(a.x - x) - Math.abs(b.x - x))[0] ?? null;
  const onLine = depth < 0.8;
  const center = profile.fieldWidth / 2;
  const at = near ? near.x : Math.max(-center, Math.min(center, x));
  const off = near?.name === 'wing' ? 1.4 : 1;
  return {
    x: Math.round(at * 10) / 10,
    depth: onLine ? 0.3 : Math.abs(depth - off) <= 0.45 ? off : Math.round(Math.min(12, depth) * 10) / 10,
    onLine,
    landmark: near?.name ?? null,
  };
}
