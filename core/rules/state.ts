import type { Hash } from '../field/spot';
import type { SnapFields } from '../snap/snap';

/** What may be put in play next. A scrimmage down may become a punt or a field goal try. */
export const NEXT_UNITS = ['scrimmage', 'try', 'kickoff', 'free_kick'] as const;
export type NextUnit = (typeof NEXT_UNITS)[number];

/**
 * The situation before a snap. Null in any field means "cannot know": the engine never guesses.
 * `offense` puts the ball in play; `toGoal` is to the goal line it attacks.
 */
export interface GameState {
  readonly offense: string | null;
  readonly defense: string | null;
  readonly unit: NextUnit | null;
  readonly quarter: number | null;
  readonly clock: number | null;
  readonly score: Readonly<Record<string, number>>;
  readonly down: number | null;
  readonly distance: number | null;
  readonly toGoal: number | null;
  readonly hash: Hash | null;
  /** The next scrimmage snap is the first of a possession. */
  readonly fresh: boolean;
}

/** Nothing known but the two teams' score. */
export const unknownState = (score: Readonly<Record<string, number>> = {}): GameState => ({
  offense: null,
  defense: null,
  unit: null,
  quarter: null,
  clock: null,
  score,
  down: null,
  distance: null,
  toGoal: null,
  hash: null,
  fresh: false,
});

/** The facts of a snap that the arithmetic reads. */
export type PlayFacts = SnapFields;
