/** A simulated snap on its way, and what a team has in mind. */
import type { PlayCard } from '../core/plan/sheet';
import type { GameState } from '../core/rules/state';
import type { Snap } from '../core/snap/snap';
import type { Club } from './clubs';
import type { Random } from './random';

/**
 * A league in which calls differ, for checks of what the planner drafts. Without one, what becomes of a call depends on
 * run or pass, the box and the rush alone.
 */
export interface World {
  /** Chance that what was called succeeds against what is shown. */
  readonly chance: (snap: Draft) => number;
  /** A defense as it plays this game. */
  readonly defense?: (club: Club) => Club;
  /** What an offense calls from its sheet; null: as its coordinator does. */
  readonly call?: (offense: string, state: GameState, random: Random) => PlayCard | null;
}

export interface GamePlan {
  readonly key: string;
  readonly home: string;
  readonly away: string;
  readonly seed: number;
  /** False: the null league. Calls depend on the situation alone. */
  readonly tells: boolean;
  readonly world?: World | undefined;
}

/** What the model knew when it called a snap: for checks of the ground truth, never for the product. */
export interface CallRecord {
  readonly snapId: string;
  readonly situation: number;
  readonly called: number;
  readonly tells: readonly string[];
}

export type Draft = { -readonly [K in keyof Snap]: Snap[K] };

export const logistic = (x: number): number => 1 / (1 + Math.exp(-x));

export const clamp = (p: number): number => Math.min(0.985, Math.max(0.015, p));

export interface Mood {
  readonly mode: string;
  readonly after: string;
  readonly tells: boolean;
  readonly world?: World | undefined;
}
