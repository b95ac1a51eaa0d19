/** Jobs of a run as paths on the field. */
import type { Side } from '../field/spot';
import { gapAt, type Gap, type Man } from './formation';
import type { Point } from './motion';
import type { DrawnPath, PathEnd } from './routes';

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
  'insert',
  'lead',
  'crack',
  'stalk',
  'pass set',
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
] as const;

/** What a man of a run does. */
export type Job = (typeof JOBS)[number];

/** A run job from where a man stands. `to`: where the run goes; `point`: the gap it aims at; `target`: the man it is for, when he is known. */
export function jobPath(
  man: Man,
  job: Job,
  to: Side,
  point: Gap,
  endOfLine: number,
  target: Point | null = null,
): DrawnPath | null {
  const sign = to === 'L' ? -1 : 1;
  const start: Point = [man.x, -man.depth];
  const hole = sign * Math.max(gapAt(point), point === 'D' ? Math.abs(endOfLine) + 2 : 0);
  const path = (kind: DrawnPath['kind'], end: PathEnd, ...points: Point[]): DrawnPath => ({
    kind,
    points: [start, ...points],
    end,
    by: man.letter,
  });
  switch (job) {
    case 'reach':
    case 'scoop':
      return path('block', 'block', target ?? [man.x + sign * 1, 0.9]);
    case 'combo':
      return path('block', 'block', [man.x + sign * 0.5, 0.8], [man.x + sign * 0.2, 2.6]);
    case 'cutoff':
      return path('block', 'block', [man.x + sign * 1.2, 1.2]);
    case 'base':
      return path('block', 'block', target ?? [man.x, 1]);
    case 'down':
    case 'pin':
      return path('block', 'block', target ?? [man.x - sign * 1.2, 1]);
    case 'back':
      return path('block', 'block', target ?? [man.x - sign * 1, 0.9]);
    case 'hinge':
      return path('block', 'block', [man.x - sign * 0.4, -1.2], [man.x - sign * 0.9, -0.4]);
    case 'climb':
      return path('block', 'block', target ?? [man.x + sign * 0.3, 3.4]);
    case 'release':
      return path('block', 'block', target ?? [man.x - sign * 0.6, 3.6]);
    case 'wedge':
      return path('block', 'block', [man.x * 0.8, 1.1]);
    case 'pass set':
      return path('block', 'block', [man.x * 1.05, -1.6]);
    case 'kick':
      return path(
        'pull',
        'block',
        [sign * Math.min(Math.abs(endOfLine) * 0.7, 3), -1.5],
        target ?? [sign * (Math.abs(endOfLine) + 1.1), 0.8],
      );
    case 'wrap':
      return path('pull', 'block', [sign * 1, -2], [hole * 0.85, -1.2], target ?? [hole * 0.9, 3.2]);
    case 'lead pull':
      return path(
        'pull',
        'block',
        [man.x + sign * 1.6, -1.8],
        [sign * (Math.abs(endOfLine) + 1.4), -1],
        [sign * (Math.abs(endOfLine) + 2.6), 3],
      );
    case 'trap':
      return path('pull', 'block', [0, -1.3], target ?? [sign * 2, 0.9]);
    case 'slice':
      return path('pull', 'block', [-sign * 1, -1.7], target ?? [-sign * 4.6, 0.9]);
    case 'insert':
      return path('pull', 'block', [sign * 1.2, -1.6], [sign * 1.4, 3]);
    case 'arc':
      return path('pull', 'block', [man.x - sign * 2, -1.6], [man.x - sign * 3, 4]);
    case 'lead':
      return path('pull', 'block', target ? [hole * 0.9, -0.6] : [hole * 0.9, -0.8], target ?? [hole, 3.4]);
    case 'crack':
      return path('block', 'block', [
        man.x - Math.sign(man.x) * Math.max(2, Math.abs(man.x) - Math.abs(endOfLine) - 1.5),
        2.8,
      ]);
    case 'stalk':
      return path('block', 'block', target ?? [man.x, 4]);
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
      return path('ball', 'arrow', [sign * 5, -4.5], [sign * (Math.abs(endOfLine) + 5), 4]);
    case 'fake':
      return path('fake', 'arrow', [-sign * 2.4, -2.5], [-sign * 4, 1]);
    case 'read':
    case 'pitch read':
      return path(
        'fake',
        'arrow',
        [job === 'pitch read' ? sign * 3.5 : -sign * 2.5, -3],
        [job === 'pitch read' ? sign * (Math.abs(endOfLine) + 1.5) : -sign * 6, -1],
      );
    case 'give':
    case 'toss':
      return null;
  }
}
