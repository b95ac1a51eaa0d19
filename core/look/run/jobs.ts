/** Jobs of a run as paths on the field. */
import type { Side } from '../../field/spot';
import { gapAt, type Gap, type Man } from '../formation';
import type { Point } from '../motion';
import type { DrawnPath, PathEnd } from '../routes';

export const JOBS = [
  'reach',
  'combo',
  'scoop',
  'cutoff',
  'base',
  'down',
  'back',
  'kick',
  'wrap',
  'lead pull',
  'trap',
  'pin',
  'hinge',
  'climb',
  'arc',
  'slice',
  'fill',
  'insert',
  'lead',
  'crack',
  'stalk',
  'pass set',
  'screen',
  'roll',
  'release',
  'wedge',
  'carry',
  'give',
  'read',
  'pitch read',
  'toss',
  'keep',
  'fake',
  'pitch',
  'dive',
  'route',
] as const;

/** What a man of a run does. */
export type Job = (typeof JOBS)[number];

/** Where the quarterback goes who reads and keeps: away from the run, inside the man read, or outside him. */
export type Keeps = 'away' | 'inside' | 'outside';

/** A run job from where a man stands. `to`: where the run goes; `point`: the gap it aims at; `target`: the man it is for, when he is known; `then`: whom he goes on to. */
export function jobPath(
  man: Man,
  job: Job,
  to: Side,
  point: Gap,
  endOfLine: number,
  target: Point | null = null,
  then: Point | null = null,
  keeps: Keeps = 'away',
): DrawnPath | null {
  const sign = to === 'L' ? -1 : 1;
  const start: Point = [man.x, -man.depth];
  const end = Math.abs(endOfLine);
  const hole = sign * Math.max(gapAt(point), point === 'D' ? end + 2 : 0);
  const path = (kind: DrawnPath['kind'], tip: PathEnd, ...points: Point[]): DrawnPath => ({
    kind,
    points: [start, ...points],
    end: tip,
    by: man.letter,
  });
  const block = (usual: Point): DrawnPath =>
    then && target ? path('block', 'block', target, then) : path('block', 'block', target ?? usual);
  /** Behind the line to the man; `usual` where nobody is known. */
  const pull = (across: number, depth: number, usual: Point): DrawnPath =>
    path('pull', 'block', [across, -depth], target ?? usual);
  /** Lateral place from which a man is met: his own, a step to the inside. */
  const before = (usual: number): number => (target ? target[0] - Math.sign(target[0] - man.x) * 1.1 : usual);
  switch (job) {
    case 'reach':
    case 'scoop':
      return block([man.x + sign * 1, 0.9]);
    case 'combo':
      return target
        ? block(target)
        : path('block', 'block', [man.x + sign * 0.5, 0.8], [man.x + sign * 0.2, 2.6]);
    case 'cutoff':
      return block([man.x + sign * 1.2, 1.2]);
    case 'base':
      return block([man.x, 1]);
    case 'down':
    case 'pin':
      return block([man.x - sign * 1.2, 1]);
    case 'back':
      return block([man.x - sign * 1, 0.9]);
    case 'hinge':
      return target
        ? path('block', 'block', [man.x - sign * 0.3, -1], target)
        : path('block', 'block', [man.x - sign * 0.4, -1.2], [man.x - sign * 0.9, -0.4]);
    case 'climb':
      return block([man.x + sign * 0.3, 3.4]);
    case 'release':
      return block([man.x - sign * 0.6, 3.6]);
    case 'wedge':
      return block([man.x * 0.8, 1.1]);
    case 'pass set':
      return target
        ? path('block', 'block', [man.x * 1.05, -1.4], target)
        : path('block', 'block', [man.x * 1.05, -1.6]);
    case 'screen': {
      // Sets, counts two, then out: the nearest to the force man, the next inside, the last to the pursuit.
      const out = man.x * sign > 0.5 ? 4 : Math.abs(man.x) <= 0.5 ? 2 : 0;
      return path('pull', 'block', [man.x, -1.5], target ?? [sign * (end + out), out === 0 ? 1.5 : 3.2]);
    }
    case 'roll':
      // Outside the end man, behind him.
      return path(
        'fake',
        'arrow',
        [man.x - sign * 1.2, -man.depth - 1.2],
        [sign * (end + 1), -6.2],
        [sign * (end + 4), -4.6],
      );
    case 'kick':
      return pull(before(sign * Math.min(end * 0.7, 3)), 2.1, [sign * (end + 1.1), 0.8]);
    case 'wrap':
      return path('pull', 'block', [sign * 0.6, -2.2], [hole * 0.85, -1.7], target ?? [hole * 0.9, 3.2]);
    case 'lead pull':
      return path(
        'pull',
        'block',
        [man.x + sign * 1.2, -2.1],
        [target ? target[0] - sign * 0.8 : sign * (end + 1.4), -1.7],
        target ?? [sign * (end + 2.6), 3],
      );
    case 'trap':
      return pull(target ? (man.x + target[0]) / 2 : 0, 1.3, [sign * 2, 0.9]);
    case 'slice':
    case 'fill':
      return pull(before(-sign * 3), 2.1, [-sign * 4.6, 0.9]);
    case 'insert':
      return pull(target ? target[0] * 0.9 : sign * 1.2, 1.2, [sign * 1.4, 3]);
    case 'arc': {
      const out = target ? Math.sign(target[0] || man.x || sign) : Math.sign(man.x) || -sign;
      return pull(out * (Math.max(end, Math.abs(man.x)) + 1), 1.4, [
        out * (Math.max(end, Math.abs(man.x)) + 1.5),
        4,
      ]);
    }
    case 'lead':
      return path('pull', 'block', [hole * 0.9, target ? -0.6 : -0.8], target ?? [hole, 3.4]);
    case 'crack':
      return block([man.x - Math.sign(man.x) * Math.max(2, Math.abs(man.x) - end - 1.5), 2.8]);
    case 'stalk':
      return block([man.x, 4]);
    case 'carry':
    case 'dive':
      return path(
        'ball',
        'arrow',
        [hole * (point === 'D' ? 0.75 : 0.55), -Math.min(2.2, man.depth * 0.5)],
        [hole, point === 'D' ? 5 : 6],
      );
    case 'keep':
      return path('ball', 'arrow', [hole * 0.5, -2.6], [hole, 5]);
    case 'pitch':
      return path('ball', 'arrow', [sign * 5, -4.5], [sign * (end + 5), 4]);
    case 'fake':
      return path('fake', 'arrow', [-sign * 2.4, -2.5], [-sign * 4, 1]);
    case 'pitch read':
      return path('fake', 'arrow', [sign * 3.5, -3], [sign * (end + 1.5), -1]);
    case 'read':
      return keeps === 'away'
        ? path('fake', 'arrow', [-sign * 2.5, -3], [-sign * 6, -1])
        : keeps === 'inside'
          ? path('fake', 'arrow', [sign * 1.4, -2.6], [sign * 2.4, 3])
          : path('fake', 'arrow', [sign * 3, -2.6], [sign * (end + 1.8), 0.5]);
    case 'give':
    case 'route':
    case 'toss':
      return null;
  }
}
