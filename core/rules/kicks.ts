/** How kicks and turnovers end: who has the ball where. Rules from memory, kept in the level profile where they differ. */
import { FIELD_GOAL, handedSpot, onField, otherWay, spotAfter } from './arithmetic';
import type { Outcome, Transition } from './transition';

/** Nearer to its own goal line than this a missed field goal does not bring the ball. */
const MISSED_NO_NEARER = 20;

/** A change of possession: `downfield` yards from the previous spot, then the return. */
export function takeaway(
  t: Transition,
  downfield: number | null,
  code: 'interception' | 'fumble-lost' | 'punt-caught' | 'kick-caught',
): Outcome {
  const { play, start, defense, profile } = t;
  t.say(code, { downfield: downfield ?? '?', returned: play.returnYards ?? 0 });
  const endZone = start.toGoal !== null && downfield !== null && downfield >= start.toGoal;
  if (play.kickEnd === 'touchback' || (endZone && !play.returnYards && t.loggedSpot(defense) === null))
    return touchback(t, profile.touchbackToGoal);
  const computed =
    start.toGoal !== null && downfield !== null
      ? handedSpot(start.toGoal, downfield, play.returnYards ?? 0)
      : null;
  const toGoal = computed ?? t.loggedSpot(defense);
  if (toGoal !== null && !onField(toGoal)) return { kind: 'unknown', why: 'no_spot' };
  return t.taken(defense, toGoal, play.deadHash ?? null);
}

function touchback(t: Transition, toGoal: number): Outcome {
  t.say('touchback', { own: otherWay(toGoal) });
  return t.taken(t.defense, toGoal);
}

/** The kickers have the ball beyond the line or the restraining line: a possession of their own. */
function keptByKickers(t: Transition): Outcome {
  const { play, start, offense } = t;
  t.say('kept-by-kickers');
  const kicked =
    start.toGoal !== null && play.kickYards != null ? spotAfter(start.toGoal, play.kickYards) : null;
  return t.taken(offense, t.loggedSpot(offense) ?? kicked, play.deadHash ?? null);
}

/** A kickoff or a kick after a safety. */
export function freeKick(t: Transition): Outcome {
  const { play, start, defense, profile } = t;
  switch (play.kickEnd) {
    case 'touchback':
      return touchback(t, t.unit === 'kickoff' ? profile.touchbackKickoffToGoal : profile.touchbackToGoal);
    case 'out_of_bounds':
      t.say('kick-out-of-bounds');
      return t.taken(defense, profile.kickoffOutOfBoundsToGoal);
    case 'kept_by_kickers':
      return keptByKickers(t);
    case 'fair_catch': {
      const caught =
        start.toGoal !== null && play.kickYards != null ? handedSpot(start.toGoal, play.kickYards, 0) : null;
      if (profile.kickoffFairCatchIsTouchback && caught !== null && caught > profile.touchbackKickoffToGoal)
        return touchback(t, profile.touchbackKickoffToGoal);
      return takeaway(t, play.kickYards ?? null, 'kick-caught');
    }
    default:
      if (play.kickYards == null && t.loggedSpot(defense) === null)
        return t.taken(
          play.deadPossession ?? play.nextOffense ?? defense,
          play.deadToGoal ?? null,
          play.deadHash ?? null,
        );
      return takeaway(t, play.kickYards ?? null, 'kick-caught');
  }
}

/** A punt or a field goal that was tried. */
export function scrimmageKick(t: Transition): Outcome {
  const { play, offense, defense, profile } = t;
  switch (play.kickEnd) {
    case 'touchback':
      return touchback(t, profile.touchbackToGoal);
    case 'kept_by_kickers':
      return keptByKickers(t);
    case 'blocked': {
      t.say('blocked');
      const team = play.deadPossession ?? play.nextOffense ?? null;
      if (team === null) return { kind: 'unknown', why: 'no_possession' };
      // Recovered by the kickers behind the line: an ordinary down that lost ground.
      const changed = team !== offense;
      return {
        ...t.taken(team, play.deadToGoal ?? null, play.deadHash ?? null),
        newSeries: changed,
        newPossession: changed,
      };
    }
    case 'missed':
      if (t.unit === 'field_goal') return missedFieldGoal(t);
      break;
    case 'good':
      return { kind: 'kick_next', unit: 'kickoff', team: offense, toGoal: profile.kickoffToGoal };
  }
  if (play.kickYards == null && t.loggedSpot(defense) === null) return t.taken(defense, null);
  return takeaway(t, play.kickYards ?? null, 'punt-caught');
}

function missedFieldGoal(t: Transition): Outcome {
  const { play, start, defense, profile } = t;
  t.say('missed-field-goal', { rule: profile.missedFieldGoal });
  if (play.returnYards != null && play.kickYards != null) return takeaway(t, play.kickYards, 'kick-caught');
  if (start.toGoal === null) return t.taken(defense, null);
  if (profile.missedFieldGoal === 'as_punt') {
    const spot = t.loggedSpot(defense);
    return spot === null
      ? touchback(t, profile.touchbackToGoal)
      : t.taken(defense, spot, play.deadHash ?? null);
  }
  const own = profile.missedFieldGoal === 'spot_of_kick' ? start.toGoal + FIELD_GOAL.hold : start.toGoal;
  return t.taken(defense, otherWay(Math.max(own, MISSED_NO_NEARER)));
}
