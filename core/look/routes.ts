/** Routes and run jobs: their names, and how each is drawn from where a man stands. Points are lateral yards, then yards forward of the line. */
import type { Side } from '../field/spot';
import type { Man } from './formation';
import type { Point } from './motion';

export const ROUTES = [
  'flat',
  'arrow',
  'quick out',
  'out',
  'hitch',
  'curl',
  'comeback',
  'dig',
  'quick in',
  'slant',
  'post',
  'bend',
  'corner',
  'go',
  'seam',
  'fade',
  'wheel',
  'over',
  'drag',
  'stick',
  'snag',
  'option',
  'swing',
  'angle',
  'check down',
  'bubble',
  'now',
  'tunnel',
  'slip',
  'whip',
  'slant and go',
  'hitch and go',
  'out and up',
  'post corner',
  'corner post',
  'leak',
  'delay',
  'settle',
  'clear',
  'block',
  'stalk',
] as const;

export type Route = (typeof ROUTES)[number];

/** Steps of a route: yards toward the ball (negative: away from it), yards forward, both from where the man stands. */
const ROUTE_STEPS: Readonly<Record<Route, readonly (readonly [inward: number, forward: number])[]>> = {
  flat: [
    [0, 1],
    [-2.5, 2.5],
    [-6, 3.2],
  ],
  arrow: [[-4.5, 4.5]],
  'quick out': [
    [0, 5],
    [-4.5, 5],
  ],
  out: [
    [0, 11],
    [-5.5, 11],
  ],
  hitch: [
    [0, 6],
    [0.6, 5.2],
  ],
  curl: [
    [0, 12],
    [1.8, 10.4],
  ],
  comeback: [
    [0, 15],
    [-2.2, 12.6],
  ],
  dig: [
    [0, 12],
    [9, 12],
  ],
  'quick in': [
    [0, 6],
    [5.5, 6],
  ],
  slant: [
    [0, 2],
    [5, 6.5],
  ],
  post: [
    [0, 10],
    [4.5, 17],
  ],
  bend: [
    [0, 7],
    [3.5, 14],
  ],
  corner: [
    [0, 10],
    [-4.5, 16],
  ],
  go: [[0, 18]],
  seam: [[0, 18]],
  fade: [
    [-1.5, 6],
    [-1.8, 18],
  ],
  wheel: [
    [-3.5, 1.5],
    [-5, 6],
    [-5, 16],
  ],
  over: [
    [1.5, 6],
    [16, 14],
  ],
  drag: [
    [1.5, 3.5],
    [13, 5],
  ],
  stick: [
    [0, 5.5],
    [-1.5, 5.5],
  ],
  snag: [
    [2.6, 5],
    [3.2, 4.4],
  ],
  option: [
    [0, 6],
    [-2.4, 7],
  ],
  swing: [
    [-3.5, -1.5],
    [-7.5, 0.5],
  ],
  angle: [
    [-2.5, 2],
    [2.5, 6],
  ],
  'check down': [
    [0, 3],
    [0.6, 3.6],
  ],
  bubble: [
    [-2.5, -1.6],
    [-5.5, -0.6],
  ],
  now: [[0.8, -0.7]],
  tunnel: [
    [0, 1.6],
    [3.5, -0.8],
  ],
  slip: [
    [-1, -0.4],
    [-4, -0.9],
  ],
  whip: [
    [2.4, 5],
    [-2.5, 5.6],
  ],
  'slant and go': [
    [0, 2],
    [2.6, 5],
    [2.6, 17],
  ],
  'hitch and go': [
    [0, 5],
    [0.7, 4.6],
    [0, 17],
  ],
  'out and up': [
    [0, 5],
    [-2.6, 5.4],
    [-2.8, 17],
  ],
  'post corner': [
    [0, 9],
    [2.4, 12],
    [-3, 17],
  ],
  'corner post': [
    [0, 9],
    [-2.4, 12],
    [3, 17],
  ],
  leak: [
    [1.5, 1.2],
    [9, 6],
    [13, 15],
  ],
  delay: [
    [0, 0.6],
    [2.4, 5],
  ],
  settle: [
    [0, 5],
    [0, 5.4],
  ],
  clear: [
    [0, 8],
    [1.5, 18],
  ],
  block: [[0, 0.9]],
  stalk: [[0, 4]],
};

export type PathEnd = 'arrow' | 'block' | 'none';

export interface DrawnPath {
  readonly kind: 'route' | 'block' | 'pull' | 'ball' | 'motion' | 'rush' | 'drop' | 'fake';
  readonly points: readonly Point[];
  readonly end: PathEnd;
  readonly by: string;
}

/** A route from where a man stands. Men over the ball break to `to`. Forward yards are kept inside the drawing by the drawing. */
export function routePath(man: Man, route: Route, to: Side = 'R'): DrawnPath {
  const outward = man.x === 0 ? (to === 'L' ? -1 : 1) : man.x < 0 ? -1 : 1;
  const start: Point = [man.x, -man.depth];
  // Stems start at the line: a back's flat is measured from there too.
  const lift =
    route === 'swing' ||
    route === 'bubble' ||
    route === 'now' ||
    route === 'tunnel' ||
    route === 'slip' ||
    route === 'block'
      ? -man.depth
      : Math.min(0, -man.depth + 1);
  const points = ROUTE_STEPS[route].map(([inward, forward]): Point => [
    man.x - outward * inward,
    forward + lift,
  ]);
  return {
    kind: route === 'block' || route === 'stalk' ? 'block' : 'route',
    points: [start, ...points],
    end: route === 'block' || route === 'stalk' ? 'block' : 'arrow',
    by: man.letter,
  };
}
