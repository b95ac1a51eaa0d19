/**
 * Third down and very long: a throw forced to the line to gain, or a check-down and a punt. What the one gains in
 * conversions, and where the other team begins when it fails. The trade is shown; the coach decides.
 */
import type { CountedSnap } from '../read/counted';
import { select, type Columns } from '../read/columns';
import { wilson, type Rate } from '../read/rates';
import type { DecisionSettings } from './decisions';

/** A touchback: yards from the other team's own goal line. */
const TOUCHBACK = 20;
/** Where they begin when the ball comes down at so many yards from our goal line. */
const theirs = (at: number): number => (at >= 100 ? TOUCHBACK : 100 - at);

export interface LongThird {
  /** Where they begin on average when it fails, yards from their own goal line: forced, and after a check-down. */
  readonly forced: number;
  readonly checked: number;
}
/** Failures of a forced throw are interceptions and punts; `own`: yards from our goal line, before both are past midfield. */
export function longThird(own: number, settings: DecisionSettings): LongThird {
  const { forcedConverts, intercepted, interceptedAt, checkDown, punt } = settings;
  const incomplete = Math.max(0, 100 - forcedConverts - intercepted);
  const fails = intercepted + incomplete;
  const forced =
    fails === 0
      ? theirs(own + punt)
      : (intercepted * theirs(own + interceptedAt) + incomplete * theirs(own + punt)) / fails;
  return { forced, checked: theirs(Math.max(1, Math.min(99, own + checkDown)) + punt) };
}

/** Third downs that are very long, yards (the usual edge of a sheet's section). */
export const VERY_LONG = 15;

/** Our own throws then: to the line to gain or past it, and short of it; those whose depth is typed. */
export interface LongThrows {
  readonly forced: Rate;
  readonly intercepted: Rate;
  readonly short: Rate;
}
export function longThrows(snaps: readonly CountedSnap[], columns: Columns, team: string): LongThrows {
  const rows = [...select(columns, { offense: [team], down: ['3'], play: ['pass'] })].filter((row) => {
    const { distance, targetDepth } = snaps[row]!.snap;
    return distance !== null && distance >= VERY_LONG && typeof targetDepth === 'number';
  });
  const far = rows.filter((row) => {
    const { distance, targetDepth } = snaps[row]!.snap;
    return Number(targetDepth) >= distance!;
  });
  const short = rows.filter((row) => !far.includes(row));
  const converted = (some: readonly number[]): Rate => {
    const known = some.filter((row) => columns.success[row] !== 2);
    return wilson(known.filter((row) => columns.success[row] === 1).length, known.length);
  };
  return {
    forced: converted(far),
    intercepted: wilson(far.filter((row) => snaps[row]!.snap.turnover === 'interception').length, far.length),
    short: converted(short),
  };
}
