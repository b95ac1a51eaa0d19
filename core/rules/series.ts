/** Downs: a new series, the next down of the same one, or the ball to the other team. */
import { mirrorHash, type Hash } from '../field/spot';
import { gainTo, otherWay } from './arithmetic';
import type { NextState, Transition } from './transition';

const DOWNS = 4;
const TO_GAIN = 10;

/** The line to gain was reached from where the down began. */
export const reachesLine = ({ start }: Transition, toGoal: number | null): boolean =>
  toGoal !== null &&
  start.toGoal !== null &&
  start.distance !== null &&
  gainTo(start.toGoal, toGoal) >= start.distance;

export function newSeries(
  t: Transition,
  team: string | null,
  toGoal: number | null,
  hash: Hash | null,
  newPossession: boolean,
): NextState {
  if (toGoal === null) t.unknown.push('no_spot');
  if (newPossession) t.say('new-possession', { team: team ?? '?' });
  return t.next({
    offense: team,
    unit: 'scrimmage',
    down: 1,
    distance: toGoal === null ? null : Math.min(TO_GAIN, toGoal),
    toGoal,
    hash,
    fresh: newPossession,
  });
}

/** The same team's next down; `counts`: this play used up a down; `wiped`: it never counted. */
export function sameSeries(
  t: Transition,
  toGoal: number | null,
  hash: Hash | null,
  how: { readonly firstDown: boolean; readonly counts: boolean; readonly wiped: boolean },
): NextState {
  const { start, offense, before } = t;
  const first = how.firstDown ? 'automatic-first' : reachesLine(t, toGoal) ? 'line-to-gain' : null;
  if (first) {
    t.say(first);
    return newSeries(t, offense, toGoal, hash, false);
  }
  const fresh = before.fresh && how.wiped;
  if (start.down === null || start.distance === null || start.toGoal === null) {
    // Distance still follows when only the gain is known? No: without a start it is a guess.
    t.cannotKnow('no_start');
    return t.next({ offense, unit: 'scrimmage', down: null, distance: null, toGoal, hash, fresh });
  }
  if (how.counts && start.down >= DOWNS) {
    t.say('turnover-on-downs');
    if (t.overtime) return t.giveUp('overtime');
    return newSeries(
      t,
      t.opponent(offense),
      toGoal === null ? null : otherWay(toGoal),
      mirrorHash(hash),
      true,
    );
  }
  if (!how.counts) t.say('down-repeated');
  const left = toGoal === null ? null : start.distance - gainTo(start.toGoal, toGoal);
  return t.next({
    offense,
    unit: 'scrimmage',
    down: how.counts ? start.down + 1 : start.down,
    distance: left === null || toGoal === null ? left : Math.min(left, toGoal),
    toGoal,
    hash,
    fresh,
  });
}
