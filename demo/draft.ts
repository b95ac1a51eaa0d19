/** A simulated snap on its way, and what a team has in mind. */
import type { Snap } from '../core/snap/snap';

export interface GamePlan {
  readonly key: string;
  readonly home: string;
  readonly away: string;
  readonly seed: number;
  /** False: the null league. Calls depend on the situation alone. */
  readonly tells: boolean;
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
}
