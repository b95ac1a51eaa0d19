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
  isLostAgain,
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
): 'carrier' | 'target' | 'tacklers' | 'returner' {
  if (isKick(play) || play.turnover === 'interception' || (isTaken(play) && targetSaid)) return 'returner';
  if (play.play !== 'pass' || play.result === 'scramble') return 'carrier';
  return play.result === 'sack' ? 'tacklers' : 'target';
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
function wipeOut(draft: Draft, { said }: Played, free: Free, clashes: Clash[]): void {
  const fouls = draft.penalties ?? [];
  const wiped = fouls.some((p) => p.outcome === 'accepted' && p.from === 'prev') && !draft.score;
  const only =
    fouls.length > 0 &&
    free('result') &&
    draft.gain == null &&
    draft.deadToGoal == null &&
    !isTaken(draft) &&
    !draft.score;
  if (!wiped && !only) return;
  if (wiped && said.has('gain') && draft.gain != null) clashes.push({ code: 'gain-wiped-out' });
  if (wiped || !said.has('result')) draft.result = 'no_play';
  draft.gain = null;
}

function settleResult(draft: Draft, free: Free): void {
  const still = (draft.result === 'incomplete' || draft.result === 'spike') && !isTaken(draft);
  const passing =
    draft.play === 'pass' || (draft.play === 'rpo' && (named(draft.target) || named(draft.passer)));
  const ended =
    draft.gain != null ||
    draft.deadToGoal != null ||
    draft.score === 'touchdown' ||
    draft.score === 'safety' ||
    draft.fumble != null;
  if (free('result') && !isKick(draft) && (ended || (passing && named(draft.target))))
    draft.result = passing ? 'complete' : 'gain';
  if (still && free('gain')) draft.gain = 0;
}

/** From scrimmage: gain and dead spot give each other, a score gives the gain. */
function settleGain(draft: Draft, { toGoal }: Played, free: Free, clashes: Clash[]): void {
  if (isKick(draft) || isTaken(draft) || draft.unit === 'try' || toGoal === null) return;
  if (draft.deadToGoal != null) {
    if (free('gain')) draft.gain = gainTo(toGoal, draft.deadToGoal);
    else if (draft.gain != null && spotAfter(toGoal, draft.gain) !== draft.deadToGoal)
      clashes.push({
        code: 'gain-and-spot',
        toGoal,
        gain: draft.gain,
        follows: spotAfter(toGoal, draft.gain),
        dead: draft.deadToGoal,
      });
  }
  if (draft.score === 'touchdown' && free('gain')) draft.gain = gainTo(toGoal, 0);
  if (draft.score === 'safety' && free('gain')) draft.gain = -otherWay(toGoal);
  if (!draft.score && draft.gain != null && !onField(spotAfter(toGoal, draft.gain)))
    clashes.push({ code: 'past-goal', toGoal, gain: draft.gain });
}

/** Kicks and turnovers: two of length, return and dead spot give the third. */
function settleReturn(draft: Draft, played: Played, free: Free, clashes: Clash[]): void {
  const { toGoal, offense, defense } = played;
  const handed = isKick(draft) || isTaken(draft);
  const length = lengthOf(draft);
  if (handed && draft.deadToGoal != null && toGoal !== null && length !== null && !isLostAgain(draft)) {
    if (free('returnYards') && draft.kickEnd !== 'blocked' && draft.kickEnd !== 'kept_by_kickers')
      draft.returnYards = returnTo(toGoal, length, draft.deadToGoal);
    else if (draft.returnYards != null) {
      const follows = handedSpot(toGoal, length, draft.returnYards);
      if (follows !== draft.deadToGoal)
        clashes.push({
          code: 'return-and-spot',
          toGoal,
          length,
          returned: draft.returnYards,
          follows,
          dead: draft.deadToGoal,
        });
    }
  }
  if (draft.deadToGoal != null && free('deadPossession'))
    draft.deadPossession =
      handed && draft.kickEnd !== 'kept_by_kickers' && !isLostAgain(draft) ? defense : offense;
}

function settleKick(draft: Draft, { toGoal }: Played, free: Free, clashes: Clash[]): void {
  if (draft.unit === 'field_goal' && isKick(draft) && toGoal !== null) {
    if (free('kickYards')) draft.kickYards = toGoal + FIELD_GOAL.usual;
    else if (
      draft.kickYards != null &&
      draft.kickEnd !== 'blocked' &&
      !fieldGoalFits(toGoal, draft.kickYards)
    )
      clashes.push({ code: 'kick-length', toGoal, length: draft.kickYards });
  }
  const returnable = draft.unit === 'punt' || draft.unit === 'kickoff' || draft.unit === 'free_kick';
  if (returnable && free('kickEnd') && (draft.returnYards != null || draft.deadToGoal != null))
    draft.kickEnd = 'returned';
}

function settleScore(draft: Draft, { offense, defense }: Played, free: Free): void {
  if (!draft.score || !free('scoredBy')) return;
  const handed = (isTaken(draft) || isKick(draft)) && !isLostAgain(draft);
  const theirs =
    draft.score === 'safety' ||
    draft.score === 'defensive_try' ||
    (draft.score === 'touchdown' && handed && draft.kickEnd !== 'kept_by_kickers');
  draft.scoredBy = theirs ? defense : offense;
}
