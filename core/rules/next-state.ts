/**
 * What follows a snap. `nextState` takes the situation before and the facts of the play and gives
 * the situation after, with every step named. It never throws and never guesses: what the facts do
 * not tell is null in the state and listed in `unknown`.
 * Source: handbook arithmetic; rules from memory, kept in the level profile where they differ.
 */
import type { LevelProfile } from '../field/profile';
import { gainTo, isTaken, onField, spotAfter } from './arithmetic';
import { afterDeadBall, foulsOf, playAgain, wipesOut } from './fouls';
import { freeKick, scrimmageKick, takeaway } from './kicks';
import type { GameState, PlayFacts } from './state';
import { Transition, type NextState, type Outcome } from './transition';

export { UNKNOWN_REASONS, unitOf, type NextState, type UnknownReason } from './transition';

export function nextState(before: GameState, play: PlayFacts, profile: LevelProfile): NextState {
  const t = new Transition(before, play, profile);
  const fouls = foulsOf(t);
  if (wipesOut(t, fouls)) return playAgain(t, fouls);
  const outcome = outcomeOf(t);
  switch (outcome.kind) {
    case 'unknown':
      return t.giveUp(outcome.why);
    case 'spot':
      return afterDeadBall(t, outcome, fouls.following);
    case 'kick_next': {
      const { unit, team, toGoal } = outcome;
      if (t.overtime && unit !== 'try') return t.giveUp('overtime');
      if (fouls.following.length > 0) {
        t.cannotKnow('try_foul_choice');
        return t.nextKick(unit, team, null);
      }
      t.say('next-kick', { unit, by: team ?? '?' });
      return t.nextKick(unit, team, toGoal);
    }
  }
}

function outcomeOf(t: Transition): Outcome {
  const { play, unit, profile, offense } = t;
  if (play.score) return afterScore(t, play.score);
  if (unit === 'try') {
    t.say('try-over');
    return { kind: 'kick_next', unit: 'kickoff', team: offense, toGoal: profile.kickoffToGoal };
  }
  if (unit === 'kickoff' || unit === 'free_kick') return freeKick(t);
  if (unit === 'punt' || (unit === 'field_goal' && play.result === 'kick')) return scrimmageKick(t);
  if (!isTaken(play)) return fromScrimmage(t);
  return play.turnover === 'interception'
    ? takeaway(t, play.turnoverYards ?? null, 'interception')
    : takeaway(t, play.gain ?? null, 'fumble-lost');
}

function afterScore(t: Transition, what: NonNullable<PlayFacts['score']>): Outcome {
  const { profile, offense, defense } = t;
  const by = t.play.scoredBy ?? (what === 'safety' ? defense : offense);
  switch (what) {
    case 'touchdown':
      return { kind: 'kick_next', unit: 'try', team: by, toGoal: profile.tryTwoToGoal };
    case 'safety':
      return { kind: 'kick_next', unit: 'free_kick', team: t.opponent(by), toGoal: profile.freeKickToGoal };
    case 'field_goal':
      return { kind: 'kick_next', unit: 'kickoff', team: by, toGoal: profile.kickoffToGoal };
    case 'defensive_try':
    case 'try_1':
    case 'try_2':
      return { kind: 'kick_next', unit: 'kickoff', team: offense, toGoal: profile.kickoffToGoal };
  }
}

function fromScrimmage(t: Transition): Outcome {
  const { play, start, offense, before } = t;
  if (play.result == null) return { kind: 'unknown', why: 'no_result' };
  if (play.result === 'kick') return { kind: 'unknown', why: 'no_spot' };
  const logged = t.loggedSpot(offense);
  const still = play.result === 'incomplete' || play.result === 'spike';
  const measured = start.toGoal !== null && logged !== null ? gainTo(start.toGoal, logged) : null;
  const gain = still ? 0 : (play.gain ?? measured);
  if (gain === null) return { kind: 'unknown', why: 'no_gain' };
  if (still) t.say('incomplete');
  else t.say(gain < 0 ? 'loss' : 'gain', { yards: Math.abs(gain), result: play.result });
  const toGoal = start.toGoal === null ? logged : spotAfter(start.toGoal, gain);
  if (toGoal !== null && !onField(toGoal)) return { kind: 'unknown', why: 'no_spot' };
  const hash = still ? before.hash : (play.deadHash ?? null);
  return { kind: 'spot', team: offense, toGoal, hash, newSeries: false, newPossession: false };
}
