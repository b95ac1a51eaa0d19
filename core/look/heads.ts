/** The head of an arrow. */
import type { DrawMark, Ink } from './marks';
import type { Point } from './motion';

/** `at`: the way it points, radians in the drawing's frame. */
export function head([x, y]: Point, at: number, size: number, ink: Ink): DrawMark {
  const p = (forward: number, across: number): Point => [
    x + Math.cos(at) * forward - Math.sin(at) * across,
    y + Math.sin(at) * forward + Math.cos(at) * across,
  ];
  return {
    mark: 'shape',
    points: [p(size * 0.5, 0), p(-size * 0.55, size * 0.45), p(-size * 0.55, -size * 0.45)],
    fill: ink,
  };
}
