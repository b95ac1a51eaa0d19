/** Downs: a new series, the next down of the same one, or the ball to the other team. */
import { mirrorHash, type Hash } from '../field/spot';
import { gainTo, otherWay } from './arithmetic';
import type { NextState, Transition } from './transition';

const DOWNS = 4;
export const TO_GAIN = 10;

/** The line to gain was reached from where the down began. */
const reachesLine = ({ start }: Transition, toGoal: number | null): boolean =>
  toGoal !== null &&
  start.toGoal !== null &&
  start.distance !== null &&
  gainTo(start.toGoal, toGoal) >= start.distance;

export function newSeries(
  transition: Transition,
  team: string | null,
  toGoal: number | null,
  hash: Hash | null,
  newPossession: boolean,
): NextState {
  if (toGoal === null) transition.unknown.push('no_spot');
  if (newPossession) transition.say('new-possession', { team: team ?? '?' });
  return transition.next({
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
  transition: Transition,
  toGoal: number | null,
  hash: Hash | null,
  how: { readonly firstDown: boolean; readonly counts: boolean; readonly wiped: boolean },
): NextState {
  const { start, offense, before } = transition;
  const first = how.firstDown ? 'automatic-first' : reachesLine(transition, toGoal) ? 'line-to-gain' : null;
  if (first) {
    transition.say(first);
    return newSeries(transition, offense, toGoal, hash, false);
  }
  const fresh = before.fresh && how.wiped;
  if (start.down === null || start.distance === null || start.toGoal === null) {
    // Distance still follows when only the gain is known? No: without a start it is a guess.
    transition.cannotKnow('no_start');
    return transition.next({ offense, unit: 'scrimmage', down: null, distance: null, toGoal, hash, fresh });
  }
  if (how.counts && start.down >= DOWNS) {
    transition.say('turnover-on-downs');
    if (transition.overtime) return transition.giveUp('overtime');
    return newSeries(
      transition,
      transition.opponent(offense),
      toGoal === null ? null : otherWay(toGoal),
      mirrorHash(hash),
      true,
    );
  }
  if (!how.counts) transition.say('down-repeated');
  const left = toGoal === null ? null : start.distance - gainTo(start.toGoal, toGoal);
  return transition.next({
    offense,
    unit: 'scrimmage',
    down: how.counts ? start.down + 1 : start.down,
    distance: left === null || toGoal === null ? left : Math.min(left, toGoal),
    toGoal,
    hash,
    fresh,
  });
}
