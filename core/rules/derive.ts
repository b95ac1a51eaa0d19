/**
 * What follows from the facts of a play that were said: kind of play, result, gain and spot, length and return,
 * who scored. What was said is never changed, only filled in; where two things said cannot both hold, it is a clash.
 */
import { isTagged, type Snap, type SnapField, type SnapFields } from '../snap/snap';
import {
  FIELD_GOAL,
  fieldGoalFits,
  gainTo,
  handedSpot,
  isKick,
  isTaken,
  lengthOf,
  onField,
  otherWay,
  returnTo,
  spotAfter,
} from './arithmetic';
import type { PlayFacts } from './state';

export interface Played {
  readonly offense: string | null;
  readonly defense: string | null;
  readonly toGoal: number | null;
  /** Fields that somebody gave, a blank too: nothing is filled in there. */
  readonly said: ReadonlySet<SnapField>;
}

/** Yards and spots that cannot both hold; `follows` is the spot that the other yards give. */
export type Clash =
  | { readonly code: 'gain-wiped-out' }
  | {
      readonly code: 'gain-and-spot';
      readonly toGoal: number;
      readonly gain: number;
      readonly follows: number;
      readonly dead: number;
    }
  | {
      readonly code: 'return-and-spot';
      readonly toGoal: number;
      readonly length: number;
      readonly returned: number;
      readonly follows: number;
      readonly dead: number;
    }
  | { readonly code: 'past-goal'; readonly toGoal: number; readonly gain: number }
  | { readonly code: 'kick-length'; readonly toGoal: number; readonly length: number };

type Draft = { -readonly [K in SnapField]?: Snap[K] };

const named = (value: SnapFields['target']): boolean => isTagged(value ?? null);

/** Pass or neither, where no play was named. */
export function playFollows(play: PlayFacts): 'pass' | 'other' | null {
  if (isKick(play)) return null;
  const { result, turnover } = play;
  if (result === 'kneel' || result === 'spike') return 'other';
  const thrown =
    result === 'incomplete' ||
    result === 'complete' ||
    result === 'sack' ||
    result === 'scramble' ||
    turnover === 'interception' ||
    named(play.target) ||
    named(play.passer);
  return thrown ? 'pass' : null;
}

/** Whose number it is when one is said and nothing else: "#22". */
export function numberBelongsTo(
  play: PlayFacts,
  targetSaid: boolean,
): 'carrier' | 'target' | 'passer' | 'returner' {
  if (isKick(play) || (isTaken(play) && targetSaid)) return 'returner';
  if (play.play !== 'pass' || play.result === 'scramble') return 'carrier';
  return play.result === 'sack' ? 'passer' : 'target';
}

/** The facts with what follows from them, and the clashes in them. Never throws. */
export function derivePlay(
  play: SnapFields,
  played: Played,
): { readonly fields: SnapFields; readonly clashes: readonly Clash[] } {
  const fields: Draft = { ...play };
  const clashes: Clash[] = [];
  const free = (field: SnapField): boolean => fields[field] == null && !played.said.has(field);
  if (free('play')) {
    const follows = playFollows(fields);
    if (follows) fields.play = follows;
  }
  wipeOut(fields, played, free, clashes);
  if (fields.result !== 'no_play') {
    settleResult(fields, free);
    settleGain(fields, played, free, clashes);
    settleReturn(fields, played, free, clashes);
    settleKick(fields, played, free, clashes);
    settleScore(fields, played, free);
  }
  return { fields, clashes };
}

type Free = (field: SnapField) => boolean;

/** A foul enforced from the previous spot wipes the play out; so does a foul with nothing beside it. */
function wipeOut(f: Draft, { said }: Played, free: Free, clashes: Clash[]): void {
  const fouls = f.penalties ?? [];
  const wiped = fouls.some((p) => p.outcome === 'accepted' && p.from === 'prev') && !f.score;
  const only =
    fouls.length > 0 && free('result') && f.gain == null && f.deadToGoal == null && !isTaken(f) && !f.score;
  if (!wiped && !only) return;
  if (wiped && said.has('gain') && f.gain != null) clashes.push({ code: 'gain-wiped-out' });
  if (wiped || !said.has('result')) f.result = 'no_play';
  f.gain = null;
}

function settleResult(f: Draft, free: Free): void {
  const still = (f.result === 'incomplete' || f.result === 'spike') && !isTaken(f);
  const passing = f.play === 'pass' || (f.play === 'rpo' && (named(f.target) || named(f.passer)));
  const ended =
    f.gain != null ||
    f.deadToGoal != null ||
    f.score === 'touchdown' ||
    f.score === 'safety' ||
    f.fumble != null;
  if (free('result') && !isKick(f) && (ended || (passing && named(f.target))))
    f.result = passing ? 'complete' : 'gain';
  if (still && free('gain')) f.gain = 0;
}

/** From scrimmage: gain and dead spot give each other, a score gives the gain. */
function settleGain(f: Draft, { toGoal }: Played, free: Free, clashes: Clash[]): void {
  if (isKick(f) || isTaken(f) || f.unit === 'try' || toGoal === null) return;
  if (f.deadToGoal != null) {
    if (free('gain')) f.gain = gainTo(toGoal, f.deadToGoal);
    else if (f.gain != null && spotAfter(toGoal, f.gain) !== f.deadToGoal)
      clashes.push({
        code: 'gain-and-spot',
        toGoal,
        gain: f.gain,
        follows: spotAfter(toGoal, f.gain),
        dead: f.deadToGoal,
      });
  }
  if (f.score === 'touchdown' && free('gain')) f.gain = gainTo(toGoal, 0);
  if (f.score === 'safety' && free('gain')) f.gain = -otherWay(toGoal);
  if (!f.score && f.gain != null && !onField(spotAfter(toGoal, f.gain)))
    clashes.push({ code: 'past-goal', toGoal, gain: f.gain });
}

/** Kicks and turnovers: two of length, return and dead spot give the third. */
function settleReturn(f: Draft, played: Played, free: Free, clashes: Clash[]): void {
  const { toGoal, offense, defense } = played;
  const handed = isKick(f) || isTaken(f);
  const length = lengthOf(f);
  if (handed && f.deadToGoal != null && toGoal !== null && length !== null) {
    if (free('returnYards') && f.kickEnd !== 'blocked' && f.kickEnd !== 'kept_by_kickers')
      f.returnYards = returnTo(toGoal, length, f.deadToGoal);
    else if (f.returnYards != null) {
      const follows = handedSpot(toGoal, length, f.returnYards);
      if (follows !== f.deadToGoal)
        clashes.push({
          code: 'return-and-spot',
          toGoal,
          length,
          returned: f.returnYards,
          follows,
          dead: f.deadToGoal,
        });
    }
  }
  if (f.deadToGoal != null && free('deadPossession'))
    f.deadPossession = handed && f.kickEnd !== 'kept_by_kickers' ? defense : offense;
}

function settleKick(f: Draft, { toGoal }: Played, free: Free, clashes: Clash[]): void {
  if (f.unit === 'field_goal' && toGoal !== null) {
    if (free('kickYards')) f.kickYards = toGoal + FIELD_GOAL.usual;
    else if (f.kickYards != null && f.kickEnd !== 'blocked' && !fieldGoalFits(toGoal, f.kickYards))
      clashes.push({ code: 'kick-length', toGoal, length: f.kickYards });
  }
  const returnable = f.unit === 'punt' || f.unit === 'kickoff' || f.unit === 'free_kick';
  if (returnable && free('kickEnd') && (f.returnYards != null || f.deadToGoal != null))
    f.kickEnd = 'returned';
}

function settleScore(f: Draft, { offense, defense }: Played, free: Free): void {
  if (!f.score || !free('scoredBy')) return;
  const handed = isTaken(f) || f.unit === 'kickoff' || f.unit === 'free_kick' || f.unit === 'punt';
  const theirs =
    f.score === 'safety' ||
    f.score === 'defensive_try' ||
    (f.score === 'touchdown' && handed && f.kickEnd !== 'kept_by_kickers');
  f.scoredBy = theirs ? defense : offense;
}
