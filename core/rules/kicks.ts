/** How kicks and turnovers end: who has the ball where. Rules from memory, kept in the level profile where they differ. */
import type { LevelProfile } from '../field/profile';
import { FIELD_GOAL, handedSpot, isLostAgain, onField, otherWay, spotAfter } from './arithmetic';
import type { PlayFacts } from './state';
import type { Outcome, Transition } from './transition';

/** Nearer to its own goal line than this a missed field goal does not bring the ball. */
const MISSED_NO_NEARER = 20;

/** A change of possession: `downfield` yards from the previous spot, then the return. */
export function takeaway(
  transition: Transition,
  downfield: number | null,
  code: 'interception' | 'fumble-lost' | 'punt-caught' | 'kick-caught',
): Outcome {
  const { play, start, offense, defense, profile } = transition;
  transition.say(code, { downfield: downfield ?? '?', returned: play.returnYards ?? 0 });
  const endZone = start.toGoal !== null && downfield !== null && downfield >= start.toGoal;
  if (
    play.kickEnd === 'touchback' ||
    (endZone && !play.returnYards && !isLostAgain(play) && transition.loggedSpot(defense) === null)
  )
    return touchback(transition, profile.touchbackToGoal);
  const computed =
    start.toGoal !== null && downfield !== null
      ? handedSpot(start.toGoal, downfield, play.returnYards ?? 0)
      : null;
  const toGoal = computed ?? transition.loggedSpot(defense);
  if (isLostAgain(play) || (play.kickEnd === 'muffed' && keeper(play) === offense && offense !== null)) {
    // A lost return or muff is the kickers' ball, first down; a muff is not advanced.
    const back = transition.loggedSpot(offense) ?? (toGoal === null ? null : otherWay(toGoal));
    transition.say('lost-again');
    if (back !== null && !onField(back)) return { kind: 'unknown', why: 'no_spot' };
    return transition.taken(offense, back, play.deadHash ?? null);
  }
  if (toGoal !== null && !onField(toGoal)) return { kind: 'unknown', why: 'no_spot' };
  return transition.taken(defense, toGoal, play.deadHash ?? null);
}

/** Who is said to have it in the end. */
const keeper = (play: PlayFacts): string | null => play.deadPossession ?? play.nextOffense ?? null;

function touchback(transition: Transition, toGoal: number): Outcome {
  transition.say('touchback', { own: otherWay(toGoal) });
  return transition.taken(transition.defense, toGoal);
}

/** The kickers have the ball beyond the line or the restraining line: a possession of their own. */
function keptByKickers(transition: Transition): Outcome {
  const { play, start, offense } = transition;
  transition.say('kept-by-kickers');
  const kicked =
    start.toGoal !== null && play.kickYards != null ? spotAfter(start.toGoal, play.kickYards) : null;
  return transition.taken(offense, transition.loggedSpot(offense) ?? kicked, play.deadHash ?? null);
}

/** A free kick out of bounds: as far beyond the kick as the level gives for a kickoff from its usual spot. */
const beyondKick = (toGoal: number, profile: LevelProfile): number =>
  Math.min(99, otherWay(toGoal) + profile.kickoffOutOfBoundsToGoal - otherWay(profile.kickoffToGoal));

/** A kickoff or a kick after a safety. */
export function freeKick(transition: Transition): Outcome {
  const { play, start, defense, profile } = transition;
  switch (play.kickEnd) {
    case 'touchback':
      return touchback(
        transition,
        transition.unit === 'kickoff' ? profile.touchbackKickoffToGoal : profile.touchbackToGoal,
      );
    case 'out_of_bounds':
      transition.say('kick-out-of-bounds');
      return transition.taken(
        defense,
        transition.loggedSpot(defense) ?? beyondKick(start.toGoal ?? profile.kickoffToGoal, profile),
      );
    case 'kept_by_kickers':
      return keptByKickers(transition);
    case 'fair_catch': {
      const caught =
        start.toGoal !== null && play.kickYards != null ? handedSpot(start.toGoal, play.kickYards, 0) : null;
      if (profile.kickoffFairCatchIsTouchback && caught !== null && caught > profile.touchbackKickoffToGoal)
        return touchback(transition, profile.touchbackKickoffToGoal);
      return takeaway(transition, play.kickYards ?? null, 'kick-caught');
    }
    default:
      if (play.kickYards == null && transition.loggedSpot(defense) === null)
        return transition.taken(
          play.deadPossession ?? play.nextOffense ?? defense,
          play.deadToGoal ?? null,
          play.deadHash ?? null,
        );
      return takeaway(transition, play.kickYards ?? null, 'kick-caught');
  }
}

/** A punt or a field goal that was tried. */
export function scrimmageKick(transition: Transition): Outcome {
  const { play, offense, defense, profile } = transition;
  switch (play.kickEnd) {
    case 'touchback':
      return touchback(transition, profile.touchbackToGoal);
    case 'kept_by_kickers':
      return keptByKickers(transition);
    case 'blocked': {
      transition.say('blocked');
      const team = play.deadPossession ?? play.nextOffense ?? null;
      if (team === null) return { kind: 'unknown', why: 'no_possession' };
      // Recovered by the kickers behind the line: an ordinary down that lost ground.
      const changed = team !== offense;
      return {
        ...transition.taken(team, play.deadToGoal ?? null, play.deadHash ?? null),
        newSeries: changed,
        newPossession: changed,
      };
    }
    case 'missed':
      if (transition.unit === 'field_goal') return missedFieldGoal(transition);
      break;
    case 'good':
      return { kind: 'kick_next', unit: 'kickoff', team: offense, toGoal: profile.kickoffToGoal };
  }
  if (play.kickYards == null && transition.loggedSpot(defense) === null)
    return transition.taken(defense, null);
  return takeaway(transition, play.kickYards ?? null, 'punt-caught');
}

function missedFieldGoal(transition: Transition): Outcome {
  const { play, start, defense, profile } = transition;
  transition.say('missed-field-goal', { rule: profile.missedFieldGoal });
  if (play.returnYards != null && play.kickYards != null)
    return takeaway(transition, play.kickYards, 'kick-caught');
  if (start.toGoal === null) return transition.taken(defense, null);
  if (profile.missedFieldGoal === 'as_punt') {
    const spot = transition.loggedSpot(defense);
    return spot === null
      ? touchback(transition, profile.touchbackToGoal)
      : transition.taken(defense, spot, play.deadHash ?? null);
  }
  const own = profile.missedFieldGoal === 'spot_of_kick' ? start.toGoal + FIELD_GOAL.hold : start.toGoal;
  return transition.taken(defense, otherWay(Math.max(own, MISSED_NO_NEARER)));
}
