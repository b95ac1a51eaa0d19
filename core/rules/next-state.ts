/**
 * What follows a snap. `nextState` takes the situation before and the facts of the play and gives
 * the situation after, with every step named. It never throws and never guesses: what the facts do
 * not tell is null in the state and listed in `unknown`.
 * Source: handbook arithmetic; rules from memory, kept in the level profile where they differ.
 */
import type { LevelProfile } from '../field/profile';
import { gainTo, isKick, isTaken, onField, spotAfter } from './arithmetic';
import { afterDeadBall, foulsOf, playAgain, wipesOut } from './fouls';
import { freeKick, scrimmageKick, takeaway } from './kicks';
import type { GameState, PlayFacts } from './state';
import { Transition, type NextState, type Outcome } from './transition';

export { UNKNOWN_REASONS, unitOf, type NextState, type UnknownReason } from './transition';

export function nextState(before: GameState, play: PlayFacts, profile: LevelProfile): NextState {
  const transition = new Transition(before, play, profile);
  const fouls = foulsOf(transition);
  if (wipesOut(transition, fouls)) return { ...playAgain(transition, fouls), wiped: true };
  const outcome = outcomeOf(transition);
  switch (outcome.kind) {
    case 'unknown':
      return transition.giveUp(outcome.why);
    case 'spot':
      return afterDeadBall(transition, outcome, fouls.following);
    case 'kick_next': {
      const { unit, team, toGoal } = outcome;
      if (transition.overtime && unit !== 'try') return transition.giveUp('overtime');
      if (fouls.following.length > 0) {
        transition.cannotKnow('try_foul_choice');
        return transition.nextKick(unit, team, null);
      }
      transition.say('next-kick', { unit, by: team ?? '?' });
      return transition.nextKick(unit, team, toGoal);
    }
  }
}

function outcomeOf(transition: Transition): Outcome {
  const { play, unit, profile, offense } = transition;
  if (play.score) return afterScore(transition, play.score);
  if (unit === 'try') {
    transition.say('try-over');
    return { kind: 'kick_next', unit: 'kickoff', team: offense, toGoal: profile.kickoffToGoal };
  }
  if (unit === 'kickoff' || unit === 'free_kick') return freeKick(transition);
  if ((unit === 'punt' || unit === 'field_goal') && isKick(play)) return scrimmageKick(transition);
  if (!isTaken(play)) return fromScrimmage(transition);
  return play.turnover === 'interception'
    ? takeaway(transition, play.turnoverYards ?? null, 'interception')
    : takeaway(transition, play.gain ?? null, 'fumble-lost');
}

function afterScore(transition: Transition, what: NonNullable<PlayFacts['score']>): Outcome {
  const { profile, offense, defense } = transition;
  const by = transition.play.scoredBy ?? (what === 'safety' ? defense : offense);
  switch (what) {
    case 'touchdown':
      return { kind: 'kick_next', unit: 'try', team: by, toGoal: profile.tryTwoToGoal };
    case 'safety':
      return {
        kind: 'kick_next',
        unit: 'free_kick',
        team: transition.opponent(by),
        toGoal: profile.freeKickToGoal,
      };
    case 'field_goal':
      return { kind: 'kick_next', unit: 'kickoff', team: by, toGoal: profile.kickoffToGoal };
    case 'defensive_try':
    case 'try_1':
    case 'try_2':
      return { kind: 'kick_next', unit: 'kickoff', team: offense, toGoal: profile.kickoffToGoal };
  }
}

function fromScrimmage(transition: Transition): Outcome {
  const { play, start, offense, before } = transition;
  if (play.result == null) return { kind: 'unknown', why: 'no_result' };
  if (play.result === 'kick') return { kind: 'unknown', why: 'no_spot' };
  const logged = transition.loggedSpot(offense);
  const still = play.result === 'incomplete' || play.result === 'spike';
  const measured = start.toGoal !== null && logged !== null ? gainTo(start.toGoal, logged) : null;
  const gain = still ? 0 : (play.gain ?? measured);
  // A kneel without yards uses its down; where is not known.
  if (gain === null && play.result === 'kneel')
    return { kind: 'spot', team: offense, toGoal: null, hash: null, newSeries: false, newPossession: false };
  if (gain === null) return { kind: 'unknown', why: 'no_gain' };
  if (still) transition.say('incomplete');
  else transition.say(gain < 0 ? 'loss' : 'gain', { yards: Math.abs(gain), result: play.result });
  const toGoal = start.toGoal === null ? logged : spotAfter(start.toGoal, gain);
  if (toGoal !== null && !onField(toGoal)) return { kind: 'unknown', why: 'no_spot' };
  const hash = still ? before.hash : (play.deadHash ?? null);
  return { kind: 'spot', team: offense, toGoal, hash, newSeries: false, newPossession: false };
}
