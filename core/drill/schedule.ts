/**
 * When a look is asked again: the rule SM-2 (P. A. Wozniak, Optimization of repetition spacing in the practice of
 * learning, 1990; constants from memory). Answers are graded 0 to 5; below 3 the look begins anew.
 */
export interface Learned {
  readonly repetitions: number;
  readonly ease: number;
  /** Days to the next time. */
  readonly days: number;
}
export const NEW_CARD: Learned = { repetitions: 0, ease: 2.5, days: 0 };
export const LEAST_EASE = 1.3;

/** The schedule after an answer of a grade 0…5. Throws on any other grade. */
export function learn({ repetitions, ease, days }: Learned, grade: number): Learned {
  if (!Number.isInteger(grade) || grade < 0 || grade > 5)
    throw new RangeError(`grade ${grade} is not 0 to 5`);
  const miss = 5 - grade;
  const next = Math.max(LEAST_EASE, ease + 0.1 - miss * (0.08 + miss * 0.02));
  if (grade < 3) return { repetitions: 0, ease: next, days: 1 };
  return {
    repetitions: repetitions + 1,
    ease: next,
    days: repetitions === 0 ? 1 : repetitions === 1 ? 6 : Math.round(days * next),
  };
}

/** Seconds within which an answer that is all right is a ready one (common practice: the time between two snaps). */
const READY = 12;
/** All right and ready 5, all right 4, three quarters 3, half 2, something 1, nothing 0. */
export function gradeOf(right: number, of: number, seconds: number): number {
  const share = of === 0 ? 0 : right / of;
  if (share === 1) return seconds <= READY ? 5 : 4;
  return share >= 0.75 ? 3 : share >= 0.5 ? 2 : share > 0 ? 1 : 0;
}
