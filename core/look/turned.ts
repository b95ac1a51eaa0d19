/** A drawing seen from the other side of the ball. */
import type { DrawMark, Drawing } from './marks';
import type { Point } from './motion';

const turn = ([x, y]: Point): Point => [-x, -y];

/** Half a turn: what stood above stands below, left is right, and words stay upright on their places. */
export function turned({ view: [left, top, width, height], marks }: Drawing): Drawing {
  return {
    view: [-left - width, -top - height, width, height],
    marks: marks.map((mark): DrawMark => {
      switch (mark.mark) {
        case 'path':
          return { ...mark, d: mark.d.map(turn) };
        case 'shape':
          return { ...mark, points: mark.points.map(turn) };
        case 'text':
          return {
            ...mark,
            x: -mark.x,
            // The baseline, not the middle, is what is placed.
            y: -mark.y + mark.size * CAP_HEIGHT,
            anchor: mark.anchor === 'start' ? 'end' : mark.anchor === 'end' ? 'start' : 'middle',
          };
        default:
          return { ...mark, x: -mark.x, y: -mark.y };
      }
    }),
  };
}

/** Of a capital, in the size of its type. */
const CAP_HEIGHT = 0.7;
