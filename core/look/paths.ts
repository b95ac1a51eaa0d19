/** Paths of a chalk drawing in yards: lateral, then forward of the line. */
import { otherSide, type Side } from '../field/spot';
import { afterMotion, receivers, type Man } from './formation';

export type Point = readonly [lateral: number, forward: number];

const sign = (side: Side): number => (side === 'L' ? -1 : 1);

/** The carrier's path to a side: from the deepest back (or the quarterback) through the edge of the tackle. */
export function runPath(men: readonly Man[], side: Side): Point[] {
  const backs = men.filter((m) => m.role === 'eligible' && m.depth > 3 && Math.abs(m.x) < 5.2);
  const carrier = backs.sort((a, b) => b.depth - a.depth)[0] ?? men.find((m) => m.role === 'quarterback');
  if (!carrier) return [];
  return [[carrier.x, -carrier.depth], [sign(side) * 1.6, -2], [sign(side) * 3.4, 4.2]];
}

/** A throw's path: from the widest receiver of the side, up and in. */
export function passPath(men: readonly Man[], side: Side): Point[] {
  const { left, right } = receivers(men);
  const list = side === 'L' ? left : right;
  const target = list[Math.min(1, list.length - 1)];
  if (!target) return [[0, -3], [sign(side) * 7, 2.5]];
  return [[target.x, -target.depth + 0.8], [target.x, 2.6], [target.x - sign(side) * 4, 3.8]];
}

/** A mover's path from where he stood to where he is at the snap; null when nobody by that letter stands there. */
export function motionPath(men: readonly Man[], by: string | null, side: Side | null): Point[] | null {
  const from = men.find((m) => m.letter === by);
  if (!from || by === null) return null;
  const to = afterMotion(men, by, side).find((m) => m.letter === by)!;
  const crosses = (side ?? otherSide(from.x < 0 ? 'L' : 'R')) !== (from.x < 0 ? 'L' : 'R');
  return crosses ? [[from.x, -from.depth], [from.x * 0.4, -2.4], [to.x, -2.4]] : [[from.x, -from.depth], [from.x * 0.5, -2.4], [to.x, -1.6]];
}
