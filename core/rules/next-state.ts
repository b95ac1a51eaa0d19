/**
 * What follows a snap. `nextState` takes the situation before and the facts of the play and gives
 * the situation after, with every step named. It never throws and never guesses: what the facts do
 * not tell is null in the state and listed in `unknown`.
 * Source: handbook arithmetic; rules from memory, kept in the level profile where they differ.
 */
import { mirrorHash, type Hash } from '../field/spot';
import type { LevelProfile } from '../field/profile';
import { SCORE_POINTS, type Penalty, type Unit } from '../snap/snap';
import { unknownState, type GameState, type PlayFacts } from './state';
import type { RuleStep, StepCode } from './messages';

/** Why part of the next state cannot be known. */
export const UNKNOWN_REASONS = [
  'no_result',
  'no_gain',
  'no_start',
  'no_spot',
  'no_foul_spot',
  'no_foul_yards',
  'no_possession',
  'overtime',
  'try_foul_choice',
  'half_over',
] as const;
export type UnknownReason = (typeof UNKNOWN_REASONS)[number];

export interface NextState {
  readonly state: GameState;
  readonly steps: readonly RuleStep[];
  readonly unknown: readonly UnknownReason[];
}

/** Where and with whom the play left the ball, before fouls that are walked off afterwards. */
type Outcome =
  | {
      readonly kind: 'spot';
      readonly team: string | null;
      readonly toGoal: number | null;
      readonly hash: Hash | null;
      readonly newSeries: boolean;
      readonly newPossession: boolean;
    }
  | {
      readonly kind: 'kick_next';
      readonly unit: 'try' | 'kickoff' | 'free_kick';
      readonly team: string | null;
      readonly toGoal: number;
    }
  | { readonly kind: 'unknown'; readonly why: UnknownReason };

const isFreeKick = (unit: Unit): boolean => unit === 'kickoff' || unit === 'free_kick';

/** The unit a play belongs to, from its own facts or from what was expected. */
export function unitOf(before: GameState, play: PlayFacts): Unit {
  if (play.unit) return play.unit;
  if (before.unit === 'kickoff' || before.unit === 'free_kick' || before.unit === 'try') return before.unit;
  return 'scrimmage';
}

/**
 * Yards walked off: never more than half the distance to the offending team's goal line.
 * A half yard is spotted short, so a walk-off never reaches the goal line.
 */
export function walkOff(
  toGoal: number,
  yards: number,
  forward: boolean,
): { toGoal: number; halved: boolean } {
  const room = forward ? toGoal : 100 - toGoal;
  const halved = yards > room / 2;
  const walked = halved ? Math.floor(room / 2) : yards;
  return { toGoal: forward ? toGoal - walked : toGoal + walked, halved };
}

export function nextState(before: GameState, play: PlayFacts, profile: LevelProfile): NextState {
  const steps: RuleStep[] = [];
  const unknown: UnknownReason[] = [];
  const say = (code: StepCode, facts: RuleStep['facts'] = {}) => void steps.push({ code, facts });

  const offense = play.offense ?? before.offense;
  const defense = play.defense ?? before.defense;
  const unit = unitOf(before, play);
  const quarter = play.quarter ?? before.quarter;
  const overtime = quarter !== null && quarter >= 5;
  const opponent = (team: string | null): string | null =>
    team === null ? null : team === offense ? defense : offense;
  const start = { ...before, offense, defense };

  // Score first: it stands whatever else is unknown.
  const score: Record<string, number> = { ...before.score };
  if (play.score) {
    const by =
      play.scoredBy ?? (play.score === 'safety' || play.score === 'defensive_try' ? defense : offense);
    // A score that was not known before stays unknown.
    if (by !== null && score[by] !== undefined) score[by] += SCORE_POINTS[play.score];
    say('score', { by: by ?? '?', what: play.score, points: SCORE_POINTS[play.score] });
  }
  const base = { quarter, clock: play.clock ?? before.clock, score };

  const done = (state: Omit<GameState, 'quarter' | 'clock' | 'score'>): NextState => ({
    state: { ...state, ...base },
    steps,
    unknown,
  });
  const giveUp = (why: UnknownReason): NextState => {
    unknown.push(why);
    say('cannot-know', { why });
    return { state: { ...unknownState(score), quarter, clock: base.clock }, steps, unknown };
  };

  const penalties = play.penalties ?? [];
  for (const p of penalties)
    if (p.outcome !== 'accepted') say(p.outcome === 'declined' ? 'declined' : 'offset', { name: p.name });
  const accepted = penalties.filter((p) => p.outcome === 'accepted');
  const replaces = accepted.filter((p) => p.from === 'prev' || p.from === 'foul');
  const after = accepted.filter((p) => p.from === 'end' || p.from === 'succ');
  const byOffense = (p: Penalty) => p.side === 'o' || p.side === 'k';

  // Fouls that wipe the play out: the down is played again from a spot before the play's end.
  if (play.result === 'no_play' || (replaces.length > 0 && !play.score)) {
    let toGoal = start.toGoal;
    let lossOfDown = false;
    let firstDown = false;
    for (const p of replaces) {
      if (p.from === 'foul') {
        if (toGoal === null || play.gain == null) return giveUp('no_foul_spot');
        toGoal -= play.gain;
        if (toGoal <= 0 || toGoal >= 100) return giveUp('no_foul_spot');
      }
      if (p.yards === null) return giveUp('no_foul_yards');
      if (toGoal !== null) {
        const walked = walkOff(toGoal, p.yards, !byOffense(p));
        say(walked.halved ? 'half-distance' : 'enforced', {
          name: p.name,
          yards: Math.abs(walked.toGoal - toGoal),
          from: p.from,
          side: byOffense(p) ? 'offense' : 'defense',
        });
        toGoal = walked.toGoal;
      }
      lossOfDown ||= p.extra === 'lod';
      firstDown ||= p.extra === '1st';
    }
    for (const p of after) {
      if (p.yards === null) return giveUp('no_foul_yards');
      if (toGoal !== null) toGoal = walkOff(toGoal, p.yards, !byOffense(p)).toGoal;
      firstDown ||= p.extra === '1st';
    }
    const kicking =
      before.unit === 'try' ||
      before.unit === 'kickoff' ||
      before.unit === 'free_kick' ||
      unit === 'try' ||
      isFreeKick(unit);
    if (kicking) {
      const again = unit === 'try' ? 'try' : unit === 'free_kick' ? 'free_kick' : 'kickoff';
      say('again', { unit: again });
      return done({
        offense,
        defense,
        unit: again,
        down: null,
        distance: null,
        toGoal,
        hash: before.hash,
        fresh: false,
      });
    }
    return sameSeries(toGoal, before.hash, { firstDown, counts: lossOfDown, wiped: true });
  }

  const outcome = playOutcome();
  if (outcome.kind === 'unknown') return giveUp(outcome.why);
  if (outcome.kind === 'kick_next') {
    if (overtime && outcome.unit !== 'try') return giveUp('overtime');
    if (after.length > 0) {
      unknown.push('try_foul_choice');
      say('cannot-know', { why: 'try_foul_choice' });
      return done({
        offense: outcome.team,
        defense: opponent(outcome.team),
        unit: outcome.unit,
        down: null,
        distance: null,
        toGoal: null,
        hash: null,
        fresh: false,
      });
    }
    say('next-kick', { unit: outcome.unit, by: outcome.team ?? '?' });
    return done({
      offense: outcome.team,
      defense: opponent(outcome.team),
      unit: outcome.unit,
      down: null,
      distance: null,
      toGoal: outcome.toGoal,
      hash: null,
      fresh: false,
    });
  }

  // A ball dead on the field (or brought out): series arithmetic, then fouls walked off from there.
  const { team } = outcome;
  if (team === null && outcome.newSeries) return giveUp('no_possession');
  let { toGoal } = outcome;
  let firstDown = false;
  let repeat = false;
  const walk = (p: Penalty) => {
    if (toGoal === null || p.yards === null) return;
    const forward = (byOffense(p) ? offense : defense) !== team;
    const walked = walkOff(toGoal, p.yards, forward);
    say(walked.halved ? 'half-distance' : 'enforced', {
      name: p.name,
      yards: Math.abs(walked.toGoal - toGoal),
      from: p.from,
      side: byOffense(p) ? 'offense' : 'defense',
    });
    toGoal = walked.toGoal;
    firstDown ||= p.extra === '1st' && forward;
  };
  if (after.some((p) => p.yards === null)) return giveUp('no_foul_yards');
  for (const p of after.filter((x) => x.from === 'end')) {
    repeat = true;
    walk(p);
  }
  const dead = after.filter((x) => x.from === 'succ');
  if (outcome.newSeries) {
    dead.forEach(walk);
    if (overtime && outcome.newPossession) return giveUp('overtime');
    return newSeries(team, toGoal, outcome.hash, outcome.newPossession);
  }
  // Same team, same series so far: a dead-ball foul is walked off after the down is counted.
  const spotBeforeDeadFouls = toGoal;
  const made = reached(spotBeforeDeadFouls);
  dead.forEach(walk);
  if (made && !repeat) {
    say('line-to-gain');
    return newSeries(team, toGoal, outcome.hash, false);
  }
  return sameSeries(toGoal, outcome.hash, { firstDown, counts: !repeat, wiped: false });

  // --- the parts -----------------------------------------------------------------------------

  function reached(toGoal: number | null): boolean {
    return (
      toGoal !== null &&
      start.toGoal !== null &&
      start.distance !== null &&
      start.toGoal - toGoal >= start.distance
    );
  }

  function newSeries(
    team: string | null,
    toGoal: number | null,
    hash: Hash | null,
    newPossession: boolean,
  ): NextState {
    if (toGoal === null) unknown.push('no_spot');
    if (newPossession) say('new-possession', { team: team ?? '?' });
    return done({
      offense: team,
      defense: opponent(team),
      unit: 'scrimmage',
      down: 1,
      distance: toGoal === null ? null : Math.min(10, toGoal),
      toGoal,
      hash,
      fresh: newPossession,
    });
  }

  /** The same team's next down; `counts`: this play used up a down; `wiped`: it never counted. */
  function sameSeries(
    toGoal: number | null,
    hash: Hash | null,
    how: { firstDown: boolean; counts: boolean; wiped: boolean },
  ): NextState {
    if (how.firstDown) {
      say('automatic-first');
      return newSeries(offense, toGoal, hash, false);
    }
    if (reached(toGoal)) {
      say('line-to-gain');
      return newSeries(offense, toGoal, hash, false);
    }
    if (start.down === null || start.distance === null || start.toGoal === null) {
      // Distance still follows when only the gain is known? No: without a start it is a guess.
      unknown.push('no_start');
      say('cannot-know', { why: 'no_start' });
      return done({
        offense,
        defense,
        unit: 'scrimmage',
        down: null,
        distance: null,
        toGoal,
        hash,
        fresh: before.fresh && how.wiped,
      });
    }
    if (how.counts && start.down >= 4) {
      say('turnover-on-downs');
      if (overtime) return giveUp('overtime');
      return newSeries(opponent(offense), toGoal === null ? null : 100 - toGoal, mirrorHash(hash), true);
    }
    if (!how.counts) say('down-repeated');
    const distance = toGoal === null ? null : start.distance - (start.toGoal - toGoal);
    return done({
      offense,
      defense,
      unit: 'scrimmage',
      down: how.counts ? start.down + 1 : start.down,
      distance: distance === null || toGoal === null ? distance : Math.min(distance, toGoal),
      toGoal,
      hash,
      fresh: before.fresh && how.wiped,
    });
  }

  function playOutcome(): Outcome {
    if (play.score) return afterScore(play.score);
    if (unit === 'try') {
      say('try-over');
      return { kind: 'kick_next', unit: 'kickoff', team: offense, toGoal: profile.kickoffToGoal };
    }
    if (isFreeKick(unit)) return freeKick();
    if (unit === 'punt' || (unit === 'field_goal' && play.result === 'kick')) return scrimmageKick();
    if (play.turnover === 'interception') return takeaway(play.turnoverYards ?? null, 'interception');
    if (play.turnover === 'fumble' && play.fumble !== 'kept')
      return takeaway(play.gain ?? null, 'fumble-lost');
    return fromScrimmage();
  }

  function afterScore(what: NonNullable<PlayFacts['score']>): Outcome {
    const by = play.scoredBy ?? (what === 'safety' ? defense : offense);
    switch (what) {
      case 'touchdown':
        return { kind: 'kick_next', unit: 'try', team: by, toGoal: profile.tryTwoToGoal };
      case 'safety':
        return { kind: 'kick_next', unit: 'free_kick', team: opponent(by), toGoal: profile.freeKickToGoal };
      case 'defensive_try':
      case 'try_1':
      case 'try_2':
      case 'field_goal':
        return {
          kind: 'kick_next',
          unit: 'kickoff',
          team: what === 'field_goal' ? by : offense,
          toGoal: profile.kickoffToGoal,
        };
    }
  }

  /** The dead spot as logged, in the view of `team`, when it was logged for that team. */
  function loggedSpot(team: string | null): number | null {
    return play.deadToGoal != null && (play.deadPossession ?? team) === team ? play.deadToGoal : null;
  }

  function fromScrimmage(): Outcome {
    if (play.result == null) return { kind: 'unknown', why: 'no_result' };
    if (play.result === 'kick') return { kind: 'unknown', why: 'no_spot' };
    const still = play.result === 'incomplete' || play.result === 'spike';
    const gain = still
      ? 0
      : (play.gain ??
        (start.toGoal !== null && loggedSpot(offense) !== null ? start.toGoal - loggedSpot(offense)! : null));
    if (gain === null) return { kind: 'unknown', why: 'no_gain' };
    if (still) say('incomplete');
    else say(gain < 0 ? 'loss' : 'gain', { yards: Math.abs(gain), result: play.result });
    const toGoal = start.toGoal === null ? loggedSpot(offense) : start.toGoal - gain;
    if (toGoal !== null && (toGoal <= 0 || toGoal >= 100)) return { kind: 'unknown', why: 'no_spot' };
    return {
      kind: 'spot',
      team: offense,
      toGoal,
      hash: still ? before.hash : (play.deadHash ?? null),
      newSeries: false,
      newPossession: false,
    };
  }

  /** A change of possession: `downfield` yards from the previous spot, then the return. */
  function takeaway(
    downfield: number | null,
    code: 'interception' | 'fumble-lost' | 'punt-caught' | 'kick-caught',
  ): Outcome {
    say(code, { downfield: downfield ?? '?', returned: play.returnYards ?? 0 });
    const endZone = start.toGoal !== null && downfield !== null && downfield >= start.toGoal;
    if (play.kickEnd === 'touchback' || (endZone && !play.returnYards && loggedSpot(defense) === null))
      return touchback(profile.touchbackToGoal);
    const computed =
      start.toGoal !== null && downfield !== null
        ? 100 - start.toGoal + downfield - (play.returnYards ?? 0)
        : null;
    const toGoal = computed ?? loggedSpot(defense);
    if (toGoal !== null && (toGoal <= 0 || toGoal >= 100)) return { kind: 'unknown', why: 'no_spot' };
    return {
      kind: 'spot',
      team: defense,
      toGoal,
      hash: play.deadHash ?? null,
      newSeries: true,
      newPossession: true,
    };
  }

  function touchback(toGoal: number): Outcome {
    say('touchback', { own: 100 - toGoal });
    return { kind: 'spot', team: defense, toGoal, hash: null, newSeries: true, newPossession: true };
  }

  /** The kickers have the ball beyond the line or the restraining line: a possession of their own. */
  function keptByKickers(): Outcome {
    say('kept-by-kickers');
    const toGoal =
      loggedSpot(offense) ??
      (start.toGoal !== null && play.kickYards != null ? start.toGoal - play.kickYards : null);
    return {
      kind: 'spot',
      team: offense,
      toGoal,
      hash: play.deadHash ?? null,
      newSeries: true,
      newPossession: true,
    };
  }

  function freeKick(): Outcome {
    switch (play.kickEnd) {
      case 'touchback':
        return touchback(unit === 'kickoff' ? profile.touchbackKickoffToGoal : profile.touchbackToGoal);
      case 'out_of_bounds':
        say('kick-out-of-bounds');
        return {
          kind: 'spot',
          team: defense,
          toGoal: profile.kickoffOutOfBoundsToGoal,
          hash: null,
          newSeries: true,
          newPossession: true,
        };
      case 'kept_by_kickers':
        return keptByKickers();
      case 'fair_catch': {
        const caught =
          start.toGoal !== null && play.kickYards != null ? 100 - start.toGoal + play.kickYards : null;
        if (profile.kickoffFairCatchIsTouchback && caught !== null && caught > profile.touchbackKickoffToGoal)
          return touchback(profile.touchbackKickoffToGoal);
        return takeaway(play.kickYards ?? null, 'kick-caught');
      }
      default:
        if (play.kickYards == null && loggedSpot(defense) === null)
          return {
            kind: 'spot',
            team: play.deadPossession ?? play.nextOffense ?? defense,
            toGoal: play.deadToGoal ?? null,
            hash: play.deadHash ?? null,
            newSeries: true,
            newPossession: true,
          };
        return takeaway(play.kickYards ?? null, 'kick-caught');
    }
  }

  function scrimmageKick(): Outcome {
    switch (play.kickEnd) {
      case 'touchback':
        return touchback(profile.touchbackToGoal);
      case 'kept_by_kickers':
        return keptByKickers();
      case 'blocked': {
        say('blocked');
        const team = play.deadPossession ?? play.nextOffense ?? null;
        const toGoal = play.deadToGoal ?? null;
        if (team === null) return { kind: 'unknown', why: 'no_possession' };
        // Recovered by the kickers behind the line: an ordinary down that lost ground.
        return {
          kind: 'spot',
          team,
          toGoal,
          hash: play.deadHash ?? null,
          newSeries: team !== offense,
          newPossession: team !== offense,
        };
      }
      case 'missed': {
        if (unit !== 'field_goal') break;
        say('missed-field-goal', { rule: profile.missedFieldGoal });
        if (play.returnYards != null && play.kickYards != null)
          return takeaway(play.kickYards, 'kick-caught');
        if (start.toGoal === null)
          return {
            kind: 'spot',
            team: defense,
            toGoal: null,
            hash: null,
            newSeries: true,
            newPossession: true,
          };
        const own = profile.missedFieldGoal === 'spot_of_kick' ? start.toGoal + 7 : start.toGoal;
        if (profile.missedFieldGoal === 'as_punt') {
          const spot = loggedSpot(defense);
          return spot === null
            ? touchback(profile.touchbackToGoal)
            : {
                kind: 'spot',
                team: defense,
                toGoal: spot,
                hash: play.deadHash ?? null,
                newSeries: true,
                newPossession: true,
              };
        }
        return {
          kind: 'spot',
          team: defense,
          toGoal: 100 - Math.max(own, 20),
          hash: null,
          newSeries: true,
          newPossession: true,
        };
      }
      case 'good':
        return { kind: 'kick_next', unit: 'kickoff', team: offense, toGoal: profile.kickoffToGoal };
    }
    if (play.kickYards == null && loggedSpot(defense) === null)
      return { kind: 'spot', team: defense, toGoal: null, hash: null, newSeries: true, newPossession: true };
    return takeaway(play.kickYards ?? null, 'punt-caught');
  }
}
