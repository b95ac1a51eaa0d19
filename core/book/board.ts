/** A formation being drawn, as a reducer: men moved by mouse, keys or words, a motion tried, and the way back from each. */
import type { LevelProfile } from '../field/profile';
import type { Hash } from '../field/spot';
import { landmarks, mirrorLineUp, snapSpot, type Man, type Point } from '../look';

export interface Board {
  readonly men: readonly Man[];
  readonly past: readonly (readonly Man[])[];
  readonly future: readonly (readonly Man[])[];
  /** The men as they stood when a drag began. */
  readonly before: readonly Man[] | null;
  readonly dragged: string | null;
  /** Drags draw a motion instead of moving a man. */
  readonly moving: boolean;
  readonly trail: { readonly letter: string; readonly path: readonly Point[] } | null;
  readonly said: 'undone' | 'redone' | 'nothing to undo' | 'nothing to redo' | null;
}

export type BoardEvent =
  | { readonly type: 'grab'; readonly letter: string }
  /** Yards from the ball; depth behind the line. `free`: left where he is put. */
  | { readonly type: 'drag'; readonly x: number; readonly depth: number; readonly free: boolean }
  | { readonly type: 'drop' }
  | { readonly type: 'step'; readonly letter: string; readonly key: string; readonly far: boolean }
  | { readonly type: 'replace'; readonly men: readonly Man[] }
  | { readonly type: 'mirror' }
  | { readonly type: 'undo' }
  | { readonly type: 'redo' }
  | { readonly type: 'motion' };

export interface Ground {
  readonly profile: LevelProfile;
  readonly hash: Hash;
}

const MOST_STEPS = 200;
/** Yards between two points of a path. */
const PATH_STEP = 0.6;
const DEEPEST = 12;

export const newBoard = (men: readonly Man[]): Board => ({
  men,
  past: [],
  future: [],
  before: null,
  dragged: null,
  moving: false,
  trail: null,
  said: null,
});

const tenth = (yards: number): number => Math.round(yards * 10) / 10;

function put(
  men: readonly Man[],
  letter: string,
  at: { readonly x: number; readonly depth: number; readonly onLine: boolean },
): Man[] {
  return men.map((man) =>
    man.letter === letter
      ? { ...man, x: at.x, depth: at.onLine && man.role === 'line' ? 0.4 : at.depth, onLine: at.onLine }
      : man,
  );
}
/** Where a man stands who is left where he was put. */
const loose = (x: number, depth: number) => ({
  x: tenth(x),
  depth: tenth(Math.max(0.3, Math.min(DEEPEST, depth))),
  onLine: depth < 0.8,
});

const remember = (board: Board, men: readonly Man[], before: readonly Man[] = board.men): Board => ({
  ...board,
  men,
  past: [...board.past.slice(1 - MOST_STEPS), before],
  future: [],
  said: null,
});

const STEPS: Readonly<Record<string, readonly [x: number, depth: number]>> = {
  ArrowLeft: [-0.5, 0],
  ArrowRight: [0.5, 0],
  ArrowUp: [0, -0.5],
  ArrowDown: [0, 0.5],
};

function step(board: Board, letter: string, key: string, far: boolean, { profile, hash }: Ground): Board {
  const by = STEPS[key];
  const man = board.men.find((m) => m.letter === letter);
  if (!by || !man) return board;
  const [across, back] = by;
  if (far && across !== 0) {
    const marks = landmarks(profile, hash).map((l) => l.x);
    const next = across > 0 ? marks.find((x) => x > man.x + 0.1) : marks.findLast((x) => x < man.x - 0.1);
    if (next !== undefined)
      return remember(board, put(board.men, letter, snapSpot(next, man.depth, profile, hash)));
  }
  const depth = back === 0 ? man.depth : man.onLine && back > 0 ? 1 : man.depth + back;
  return remember(board, put(board.men, letter, loose(man.x + across, depth)));
}

function drag(board: Board, event: BoardEvent & { readonly type: 'drag' }, { profile, hash }: Ground): Board {
  const { dragged, trail } = board;
  if (dragged === null) return board;
  if (!board.moving) {
    const at = event.free ? loose(event.x, event.depth) : snapSpot(event.x, event.depth, profile, hash);
    return { ...board, men: put(board.men, dragged, at) };
  }
  const point: Point = [tenth(event.x), -Math.max(0.3, tenth(event.depth))];
  const last = trail?.path.at(-1);
  if (!trail || !last || Math.hypot(last[0] - point[0], last[1] - point[1]) < PATH_STEP) return board;
  return { ...board, trail: { ...trail, path: [...trail.path, point] } };
}

const dropped = (board: Board): Board => {
  const { before, men } = board;
  const free = { ...board, dragged: null, before: null };
  return before && before !== men ? remember(free, men, before) : free;
};

export function onBoard(now: Board, event: BoardEvent, ground: Ground): Board {
  // Anything else while a man is dragged leaves him where he is first.
  const board = event.type === 'drag' || now.before === null ? now : dropped(now);
  switch (event.type) {
    case 'grab': {
      const man = board.men.find((m) => m.letter === event.letter);
      if (!man) return board;
      const trail = board.moving ? { letter: man.letter, path: [[man.x, -man.depth] as Point] } : board.trail;
      return { ...board, dragged: event.letter, before: board.men, trail };
    }
    case 'drag':
      return drag(board, event, ground);
    case 'drop':
      return board;
    case 'step':
      return step(board, event.letter, event.key, event.far, ground);
    case 'replace':
      return remember(board, event.men);
    case 'mirror':
      return remember(board, mirrorLineUp(board.men));
    case 'motion':
      return { ...board, moving: !board.moving, trail: null };
    case 'undo': {
      const last = board.past.at(-1);
      if (!last) return { ...board, said: 'nothing to undo' };
      const future = [board.men, ...board.future];
      return { ...board, men: last, past: board.past.slice(0, -1), future, said: 'undone' };
    }
    case 'redo': {
      const [next, ...future] = board.future;
      if (!next) return { ...board, said: 'nothing to redo' };
      return { ...board, men: next, past: [...board.past, board.men], future, said: 'redone' };
    }
  }
}
