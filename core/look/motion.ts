/** Motion and shift: one man's path, what kind it is, and what it changes. */
import { otherSide, sideWord, type Side } from '../field/spot';
import { isBack, receivers, type Man } from './formation';
import { structureOf } from './structure';

/** Kinds by path (common practice); the staff's words are aliases of these. */
export const MOTION_KINDS = [
  'fast across',
  'across wide',
  'behind and on',
  'behind and back',
  'in and out',
  'short',
  'out',
  'to empty',
  'back out',
  'trade',
  'shift',
] as const;
export type MotionKind = (typeof MOTION_KINDS)[number];

/** Lateral yards, then yards forward of the line (behind it is negative). */
export type Point = readonly [lateral: number, forward: number];

const sideAt = (x: number): Side => (x < 0 ? 'L' : 'R');
const signOf = (side: Side): 1 | -1 => (side === 'L' ? -1 : 1);
const round = (n: number): number => Math.round(n * 10) / 10;

/**
 * The path of a mover of a kind, from where he stands to where he is at the snap. `side` is where
 * he ends; without one it follows from the kind. Ends are landmarks: a slot is 6 yards from the ball.
 */
export function motionPath(
  men: readonly Man[],
  letter: string | null,
  kind: MotionKind | null,
  side: Side | null,
): Point[] | null {
  const man = letter === null ? undefined : men.find((m) => m.letter === letter);
  if (!man) return null;
  const from = sideAt(man.x);
  const start: Point = [man.x, -man.depth];
  const quarterback = men.find((m) => m.role === 'quarterback');
  const behind = -((quarterback?.depth ?? 5) + 1.6);
  const front = -Math.max(1.5, Math.min(man.depth, 2.4));
  const back = isBack(man);
  // A back who shifts changes sides; a receiver who goes out or comes back ends where he was.
  const stays =
    kind === 'behind and back' ||
    kind === 'in and out' ||
    kind === 'short' ||
    kind === 'out' ||
    kind === 'back out' ||
    kind === 'to empty' ||
    (kind === 'shift' && !back);
  const to = side ?? (stays ? from : otherSide(from));
  const sign = signOf(to);
  switch (kind) {
    case 'fast across':
      return [start, [man.x * 0.4, front - 0.6], [sign * 6, front]];
    case 'across wide':
      return [start, [man.x * 0.3, front - 0.6], [sign * wideOf(men, to), front]];
    case 'behind and on':
      return [start, [man.x * 0.35, behind], [-man.x * 0.2, behind], [sign * 7, -4]];
    case 'behind and back':
      return [start, [man.x * 0.2, behind], [0, behind], [signOf(from) * 6, -3]];
    case 'in and out':
      return [
        start,
        [man.x - signOf(from) * Math.min(4, Math.abs(man.x) - 4), front],
        [man.x + signOf(from) * 0.5, front],
      ];
    case 'short':
      return [start, [signOf(from) * Math.max(5.6, Math.min(Math.abs(man.x) - 3, 7)), front]];
    case 'out':
      return [start, [signOf(from) * (Math.abs(man.x) + 5), front]];
    case 'to empty':
    case 'back out':
      return [start, [sign * (kind === 'to empty' ? 9 : 7), -2]];
    case 'trade':
      return [start, [man.x * 0.5, -2.2], [-man.x * 0.5, -2.2], [sign * 4.8, man.onLine ? -0.3 : -1.4]];
    case 'shift':
      return [start, [back ? sign * 2 : sign * 6, back ? -man.depth : front]];
    default:
      return to === from
        ? [start, [man.x * 0.5, front - 0.6], [sign * 6, front]]
        : [start, [man.x * 0.4, front - 0.6], [sign * 6, front]];
  }
}

const wideOf = (men: readonly Man[], side: Side): number => {
  const list = receivers(men)[sideWord(side)];
  return Math.min(22, Math.abs(list[0]?.x ?? 12) + 2.5);
};

/** The men at the snap: the mover where his path ends, everybody else as he stood. */
export function atSnap(men: readonly Man[], letter: string | null, path: readonly Point[] | null): Man[] {
  const end = path?.[path.length - 1];
  if (!end || letter === null) return [...men];
  return men.map((man) =>
    man.letter === letter ? { ...man, x: round(end[0]), depth: round(-end[1]), onLine: -end[1] <= 0.5 } : man,
  );
}

/** The kind of a path, from its shape alone; null when nobody moved a yard. `moved`: how many men moved before the snap. */
export function recognizeMotion(
  men: readonly Man[],
  letter: string,
  path: readonly Point[],
  moved = 1,
): MotionKind | null {
  if (moved > 1) return 'shift';
  const man = men.find((m) => m.letter === letter);
  const start = path[0];
  const end = path[path.length - 1];
  if (!man || !start || !end) return null;
  const quarterback = men.find((m) => m.role === 'quarterback');
  const deep = Math.max(...path.map((p) => -p[1]));
  const length = path
    .slice(1)
    .reduce((sum, p, i) => sum + Math.hypot(p[0] - path[i]![0], p[1] - path[i]![1]), 0);
  if (length < 1) return null;
  const after = atSnap(men, letter, path);
  if (isBack(man)) {
    if (Math.abs(end[0]) < 5.2) return 'shift';
    return after.some(isBack) ? 'back out' : 'to empty';
  }
  // Under center a man in front of the backs still passes behind the quarterback's heels.
  const behind = deep > Math.max(quarterback?.depth ?? 5, 3);
  const crossed = Math.sign(start[0]) !== Math.sign(end[0]);
  const attached = (x: number, depth: number) => Math.abs(x) >= 4.2 && Math.abs(x) <= 6.8 && depth <= 1.6;
  if (crossed) {
    if (behind) return 'behind and on';
    if (attached(start[0], -start[1]) && attached(end[0], -end[1]) && Math.abs(end[0]) <= 5.2 && man.onLine)
      return 'trade';
    return Math.abs(end[0]) > 9 ? 'across wide' : 'fast across';
  }
  if (behind) return 'behind and back';
  const inmost = Math.min(...path.map((p) => Math.abs(p[0])));
  if (inmost < Math.abs(start[0]) - 1 && Math.abs(end[0]) > inmost + 1) return 'in and out';
  return Math.abs(end[0]) < Math.abs(start[0]) ? 'short' : 'out';
}

export interface NumberChange {
  readonly letter: string;
  /** "left #2"; null: not a receiver. */
  readonly before: string | null;
  readonly after: string | null;
}

export interface MotionChange {
  readonly before: string;
  readonly after: string;
  readonly strengthBefore: Side | null;
  readonly strengthAfter: Side | null;
  /** Receivers whose number or side is another after the motion. */
  readonly numbers: readonly NumberChange[];
}

const numberIn = (list: readonly Man[], letter: string): number => {
  for (let i = 0; i < list.length; i++) if (list[i]!.letter === letter) return i + 1;
  return 0;
};
const numberWords = (left: number, right: number): string | null =>
  left > 0 ? `left #${left}` : right > 0 ? `right #${right}` : null;

/** What a motion changes for those who count receivers: labels, strength, and who is #1, #2, #3 now. */
export function motionChange(before: readonly Man[], after: readonly Man[]): MotionChange {
  const [a, b] = [receivers(before), receivers(after)];
  const [x, y] = [structureOf(a.left.length, a.right.length), structureOf(b.left.length, b.right.length)];
  const numbers: NumberChange[] = [];
  for (const man of after) {
    if (man.role !== 'eligible') continue;
    const [l1, r1, l2, r2] = [
      numberIn(a.left, man.letter),
      numberIn(a.right, man.letter),
      numberIn(b.left, man.letter),
      numberIn(b.right, man.letter),
    ];
    if (l1 !== l2 || r1 !== r2)
      numbers.push({ letter: man.letter, before: numberWords(l1, r1), after: numberWords(l2, r2) });
  }
  return {
    before: x.label,
    after: y.label,
    strengthBefore: x.side,
    strengthAfter: y.side,
    numbers: numbers.sort((p, q) => (p.letter < q.letter ? -1 : 1)),
  };
}
