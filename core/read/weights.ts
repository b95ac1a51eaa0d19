/** How much each game counts: as the staff said for it, and by how long ago it was. */

/** A whole game, half of one, none of it. */
export const GAME_WEIGHTS = [1, 0.5, 0] as const;

export interface Weighed {
  readonly key: string;
  /** 0 to 1; null or absent: whole. */
  readonly weight?: number | null;
}

/**
 * Weight of each game, the earliest first: its own times ½ to the power of games since over `halfLife` (games;
 * null: none fades). Null where every game counts whole.
 */
export function weightsOf(
  games: readonly Weighed[],
  halfLife: number | null,
): ReadonlyMap<string, number> | null {
  const weights = games.map(({ key, weight }, i): [string, number] => [
    key,
    (weight ?? 1) * (halfLife === null ? 1 : 0.5 ** ((games.length - 1 - i) / halfLife)),
  ]);
  return weights.every(([, w]) => w === 1) ? null : new Map(weights);
}

/**
 * What weighted snaps are worth: (Σw)² / Σw². Source: Kish 1965, Survey Sampling, section 11.7 (from memory).
 * Equal weights are worth their number; none are worth 0.
 */
export const kish = (sum: number, squares: number): number => (squares === 0 ? 0 : (sum * sum) / squares);
