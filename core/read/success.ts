/** Success: share of the distance gained, by down. Schools are a staff setting. */
export interface SuccessRule {
  readonly name: string;
  /** Percent of the distance on 1st, 2nd, and 3rd or 4th down. */
  readonly percent: readonly [number, number, number];
}

/** Carroll, Palmer & Thorn, The Hidden Game of Football, 1988. */
export const SUCCESS_40_60_100: SuccessRule = { name: '40/60/100', percent: [40, 60, 100] };
/** Common practice. */
export const SUCCESS_50_70_100: SuccessRule = { name: '50/70/100', percent: [50, 70, 100] };

/** Yards of an attempt: an incompletion and an interception are 0, a sack its loss; null: not known (numbers handbook, section 2). */
export const yardsOf = ({
  gain,
  result,
  turnover,
}: {
  readonly gain: number | null;
  readonly result: string | null;
  readonly turnover: string | null;
}): number | null => (result === 'incomplete' || turnover === 'interception' ? 0 : gain);

/** Yards that success takes; null when down or distance is unknown. */
export function yardsAsked(
  { down, distance }: { readonly down: number | null; readonly distance: number | null },
  rule: SuccessRule = SUCCESS_40_60_100,
): number | null {
  if (down === null || distance === null) return null;
  return (rule.percent[down === 1 ? 0 : down === 2 ? 1 : 2] * distance) / 100;
}

/** True, false, or null when down, distance or gain is unknown. In whole percent, so that 4 of 10 is 40. */
export function isSuccess(
  snap: {
    readonly down: number | null;
    readonly distance: number | null;
    readonly gain: number | null;
    readonly turnover: string | null;
    readonly score: string | null;
    readonly ownScore: boolean;
  },
  rule: SuccessRule = SUCCESS_40_60_100,
): boolean | null {
  if (snap.turnover !== null) return false;
  if (snap.score === 'touchdown') return snap.ownScore;
  const asked = yardsAsked(snap, rule);
  return asked === null || snap.gain === null ? null : snap.gain >= asked;
}
