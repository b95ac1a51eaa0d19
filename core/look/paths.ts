/** Paths of a chalk drawing in yards: lateral, then forward of the line. */
import type { Side } from '../field/spot';
import { isBack, receivers, type Man } from './formation';
import type { Point } from './motion';

const sign = (side: Side): number => (side === 'L' ? -1 : 1);

/** The carrier's path to a side: from the deepest back (or the quarterback) through the edge of the tackle. */
export function runPath(men: readonly Man[], side: Side): Point[] {
  const backs = men.filter(isBack);
  const carrier = backs.sort((a, b) => b.depth - a.depth)[0] ?? men.find((m) => m.role === 'quarterback');
  if (!carrier) return [];
  return [
    [carrier.x, -carrier.depth],
    [sign(side) * 1.6, -2],
    [sign(side) * 3.4, 4.2],
  ];
}

/** A throw's path: from the widest receiver of the side, up and in. */
export function passPath(men: readonly Man[], side: Side): Point[] {
  const { left, right } = receivers(men);
  const list = side === 'L' ? left : right;
  const target = list[Math.min(1, list.length - 1)];
  if (!target)
    return [
      [0, -3],
      [sign(side) * 7, 2.5],
    ];
  return [
    [target.x, -target.depth + 0.8],
    [target.x, 2.6],
    [target.x - sign(side) * 4, 3.8],
  ];
}
