/** How many other calls hide what a cue says. */

/**
 * Calls of the other kind that bring x of n to `threshold` percent: k = max(0, ⌈(100x − Tn)/T⌉), in integers, because
 * ⌈21/0.7 − 30⌉ is 1 in floating point (numbers handbook, section 6).
 */
export function dilution(x: number, n: number, threshold: number): number {
  const over = 100 * x - threshold * n;
  return over <= 0 ? 0 : Math.floor((over + threshold - 1) / threshold);
}

/** A cue says what comes from this share on (common practice). */
export const TELL_PERCENT = 75;
/** What it is to be hidden to. */
export const HIDE_PERCENT = 70;
