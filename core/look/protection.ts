/** Protection: blockers against rushers, in total and by side. */
import { otherSide, type Side } from '../field/spot';
import { sideStructure, type Structure } from './structure';

export const NOBODY: readonly string[] = [];

export const SLIDES = ['half', 'full', 'man'] as const;

export interface ProtectionDef {
  /** Backs and tight ends who stay: 0 five-man, 1 six-man, 2 seven-man. */
  readonly kept: number;
  readonly slide: (typeof SLIDES)[number];
  /** The back scans (goes where needed) instead of taking his side. */
  readonly scan: boolean;
}

export interface ProtectionLook {
  readonly blockers: number;
  readonly rushers: number;
  readonly margin: number;
  readonly left: { readonly blockers: number; readonly rushers: number; readonly margin: number };
  readonly right: { readonly blockers: number; readonly rushers: number; readonly margin: number };
  /** The side where the rush outnumbers the protection though the total holds; null when none. */
  readonly short: Side | null;
  /** Lateral places of the rushers nobody has: the widest of a side that is short; the quarterback's. */
  readonly free: readonly number[];
}

/**
 * Blockers less rushers, in total and by side. A half slide to a side sends the center there and
 * leaves guard and tackle on the other; a full slide sends the far guard too; man leaves the center
 * to the side with more rushers. `backSide`: where the kept back stands (null: to the slide).
 */
export function protectionLook(
  def: ProtectionDef,
  slideTo: Side,
  backSide: Side | null,
  rushX: readonly number[],
  structure: Structure,
): ProtectionLook {
  const rush = { L: 0, R: 0, M: 0 };
  for (const x of rushX) rush[x < 0 ? 'L' : x > 0 ? 'R' : 'M']++;
  const blockers = { L: 2, R: 2 };
  const away = otherSide(slideTo);
  if (def.slide === 'full') {
    blockers[slideTo] += 2;
    blockers[away] -= 1;
  } else if (def.slide === 'half') blockers[slideTo] += 1;
  const heavier: Side = rush.L === rush.R ? slideTo : rush.L > rush.R ? 'L' : 'R';
  if (def.slide === 'man') blockers[heavier] += 1;
  // A man over the ball belongs to the side the center goes to.
  const middle: Side = def.slide === 'man' ? heavier : slideTo;
  rush[middle] += rush.M;
  let left = def.kept;
  if (left > 0 && structure.backfield.backs.length > 0) {
    const [l, right] = [rush.L - blockers.L, rush.R - blockers.R];
    const short = l === right ? away : l > right ? 'L' : 'R';
    blockers[def.scan ? short : (backSide ?? slideTo)] += 1;
    left--;
  }
  for (const side of [away, slideTo]) {
    if (left > 0 && sideStructure(structure, side).attached.length > 0) {
      blockers[side] += 1;
      left--;
    }
  }
  const part = (side: Side) => ({
    blockers: blockers[side],
    rushers: rush[side],
    margin: blockers[side] - rush[side],
  });
  const total = blockers.L + blockers.R;
  const [l, r] = [part('L'), part('R')];
  const free: number[] = [];
  for (const side of ['L', 'R'] as const) {
    const most = rush[side] - blockers[side];
    if (most <= 0) continue;
    const sign = side === 'L' ? -1 : 1;
    const coming = rushX
      .filter((x) => (x === 0 ? side === middle : x * sign > 0))
      .sort((a, b) => (b - a) * sign);
    free.push(...coming.slice(0, most));
  }
  return {
    blockers: total,
    rushers: rushX.length,
    margin: total - rushX.length,
    left: l,
    right: r,
    short: l.margin < 0 ? 'L' : r.margin < 0 ? 'R' : null,
    free,
  };
}
