/**
 * Yards of a play. A spot is yards to the goal line that the offense attacks: 1 to 99 on the field, 0 and less
 * beyond that goal line, 100 and more beyond its own. `length` and `returned` are yards along the field.
 * Source: handbook arithmetic.
 */
import type { PlayFacts } from './state';

export const onField = (toGoal: number): boolean => toGoal > 0 && toGoal < 100;

/** The nearest spot on the field. */
export const spotOnField = (toGoal: number): number => Math.max(1, Math.min(99, toGoal));

export const spotAfter = (toGoal: number, gain: number): number => toGoal - gain;
export const gainTo = (toGoal: number, dead: number): number => toGoal - dead;

/** The same place in the other team's view. */
export const otherWay = (toGoal: number): number => 100 - toGoal;

/** Where the takers have the ball, in their view: kicked or thrown `length` from the spot, then returned. */
export const handedSpot = (toGoal: number, length: number, returned: number): number =>
  otherWay(toGoal) + length - returned;
/** The return that ends at a dead spot in the takers' view. */
export const returnTo = (toGoal: number, length: number, dead: number): number =>
  handedSpot(toGoal, length, 0) - dead;

/** Yards from the spot to the goal posts: end zone and hold; holders stand seven or eight back, six or nine at most. */
export const FIELD_GOAL = { least: 16, usual: 17, most: 19, hold: 7 } as const;
export const fieldGoalFits = (toGoal: number, length: number): boolean =>
  !(length < toGoal + FIELD_GOAL.least || length > toGoal + FIELD_GOAL.most);

/** Kicked away: not run or thrown from scrimmage, nor from a kick's formation. */
export const isKick = ({ unit, result, fake }: PlayFacts): boolean =>
  unit === 'kickoff' ||
  unit === 'free_kick' ||
  ((unit === 'punt' || unit === 'field_goal') &&
    !fake &&
    (result == null || result === 'kick' || result === 'no_play')) ||
  (unit === 'try' && result === 'kick');

/** The defense took the ball. */
export const isTaken = (play: PlayFacts): boolean =>
  play.turnover === 'interception' || (play.turnover === 'fumble' && play.fumble !== 'kept' && !isKick(play));

/** Who took it, or caught the kick, lost it again: it is back with the team that put it in play. */
export const isLostAgain = (play: PlayFacts): boolean =>
  play.fumble === 'lost' && (isKick(play) || play.turnover === 'interception');

/** Yards downfield at which the ball changed hands, whichever field they are logged in. */
export const lengthOf = (play: PlayFacts): number | null =>
  (play.turnover === 'interception'
    ? play.turnoverYards
    : play.turnover === 'fumble'
      ? play.gain
      : play.kickYards) ?? null;

/**
 * Yards walked off: never more than half the distance to the offending team's goal line.
 * A half yard is spotted short, so a walk-off never reaches the goal line.
 */
export function walkOff(
  toGoal: number,
  yards: number,
  forward: boolean,
  unhalved = false,
): { toGoal: number; halved: boolean } {
  const room = forward ? toGoal : otherWay(toGoal);
  if (unhalved) {
    const walked = Math.min(yards, room - 1);
    return { toGoal: forward ? toGoal - walked : toGoal + walked, halved: false };
  }
  const halved = yards > room / 2;
  const walked = halved ? Math.floor(room / 2) : yards;
  return { toGoal: forward ? toGoal - walked : toGoal + walked, halved };
}
