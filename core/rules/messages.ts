/** Every sentence of the rules engine, in one place: steps in words, findings, remedies. */
import { formatDownDistance, formatSpot, hashWord } from '../field/spot';
import type { GameState } from './state';
import { plural } from './plural';

export const STEP_CODES = [
  'gain',
  'loss',
  'incomplete',
  'line-to-gain',
  'down-repeated',
  'automatic-first',
  'enforced',
  'half-distance',
  'declined',
  'offset',
  'turnover-on-downs',
  'interception',
  'fumble-lost',
  'punt-caught',
  'kick-caught',
  'kick-out-of-bounds',
  'touchback',
  'blocked',
  'kept-by-kickers',
  'lost-again',
  'missed-field-goal',
  'score',
  'try-dead',
  'next-kick',
  'try-over',
  'again',
  'new-possession',
  'cannot-know',
] as const;
export type StepCode = (typeof STEP_CODES)[number];

export interface RuleStep {
  readonly code: StepCode;
  readonly facts: Readonly<Record<string, string | number>>;
}

const WHY: Readonly<Record<string, string>> = {
  no_result: 'no result was logged',
  no_gain: 'no gain was logged',
  no_start: 'the down and distance before it are not known',
  no_spot: 'the spot where the ball was dead was not logged',
  no_foul_spot: 'the spot of the foul was not logged',
  no_foul_yards: 'the yards of the foul were not logged',
  no_possession: 'who had the ball when it was dead was not logged',
  overtime: 'each overtime series starts from a spot of its own',
  try_foul_choice: 'the foul may be walked off on the try or on the kickoff',
  half_over: 'nothing is carried across half-time',
};

const UNIT_WORD: Readonly<Record<string, string>> = {
  try: 'a try',
  kickoff: 'a kickoff',
  free_kick: 'a free kick',
  scrimmage: 'a scrimmage down',
};
const SCORE_WORD: Readonly<Record<string, string>> = {
  touchdown: 'touchdown',
  field_goal: 'field goal',
  safety: 'safety',
  try_1: 'try, one point',
  try_2: 'try, two points',
  defensive_try: 'defensive try',
};
const MISSED_WORD: Readonly<Record<string, string>> = {
  previous_spot: 'the previous spot, not nearer than the 20',
  spot_of_kick: 'the spot of the kick, not nearer than the 20',
  as_punt: 'as after a punt',
};

/** One rule step as a plain clause. */
export function stepSentence(step: RuleStep): string {
  const facts = step.facts;
  switch (step.code) {
    case 'gain':
      return facts.yards === 0 ? 'no gain' : `gain of ${facts.yards}`;
    case 'loss':
      return `loss of ${facts.yards}`;
    case 'incomplete':
      return 'incomplete, ball back to the previous spot';
    case 'line-to-gain':
      return 'reaches the line to gain: first down';
    case 'down-repeated':
      return 'the down is played again';
    case 'automatic-first':
      return 'automatic first down';
    case 'enforced':
      return `${facts.name} on the ${facts.side}: ${plural(facts.yards ?? 0, 'yard')}`;
    case 'half-distance':
      return `${facts.name} on the ${facts.side}: half the distance, ${plural(facts.yards ?? 0, 'yard')}`;
    case 'declined':
      return `${facts.name} declined`;
    case 'offset':
      return `${facts.name} offsets`;
    case 'turnover-on-downs':
      return 'fourth down fails: turnover on downs';
    case 'interception':
      return `intercepted ${facts.downfield} downfield, returned ${facts.returned}`;
    case 'fumble-lost':
      return `fumble lost, returned ${facts.returned}`;
    case 'punt-caught':
      return `kick of ${facts.downfield}, returned ${facts.returned}`;
    case 'kick-caught':
      return `kick of ${facts.downfield}, returned ${facts.returned}`;
    case 'kick-out-of-bounds':
      return 'kick out of bounds';
    case 'touchback':
      return `touchback, own ${facts.own}`;
    case 'blocked':
      return 'kick blocked';
    case 'kept-by-kickers':
      return 'kicking team keeps the ball: a possession of its own';
    case 'lost-again':
      return 'lost again: the ball of the team that put it in play, first down';
    case 'missed-field-goal':
      return `missed: ball at ${MISSED_WORD[facts.rule ?? '']}`;
    case 'score':
      return `${SCORE_WORD[facts.what ?? '']} by ${facts.by}: ${plural(facts.points ?? 0, 'point')}`;
    case 'try-dead':
      return 'at this level a try is over when the defense has the ball: no points';
    case 'next-kick':
      return `${facts.by} puts the ball in play by ${UNIT_WORD[facts.unit ?? '']}`;
    case 'try-over':
      return 'try over';
    case 'again':
      return `${UNIT_WORD[facts.unit ?? '']} again`;
    case 'new-possession':
      return `new possession, ${facts.team}`;
    case 'cannot-know':
      return `cannot know: ${WHY[facts.why ?? ''] ?? facts.why}`;
  }
}

/** The rule in words: "gain of 6; reaches the line to gain: first down". */
export const explain = (steps: readonly RuleStep[]): string => steps.map(stepSentence).join('; ');

/** A situation in words: what is played, and where; "2nd & 4", then "own 41" and "left hash". */
export function situationWords(
  state: GameState,
  goal: 'goal' | 'in yards' = 'goal',
): {
  readonly what: string;
  readonly where: readonly string[];
} {
  const { unit, down, distance, toGoal } = state;
  const spot = toGoal === null ? 'spot not known' : formatSpot(toGoal);
  const where = state.hash ? [spot, hashWord(state.hash)] : [spot];
  if (unit === 'try' || unit === 'kickoff' || unit === 'free_kick')
    return {
      what: { try: 'try', kickoff: 'kickoff', free_kick: 'free kick' }[unit],
      where: toGoal === null ? [] : [spot],
    };
  if (down === null || distance === null)
    return unit === null ? { what: 'cannot know', where: [] } : { what: 'down not known', where };
  return { what: formatDownDistance(down, distance, goal === 'goal' ? toGoal : null), where };
}

/** "2nd & 4, own 41, left hash"; in yards, "& goal" is a number too. */
export function describeState(state: GameState, goal: 'goal' | 'in yards' = 'goal'): string {
  const { what, where } = situationWords(state, goal);
  return [what, ...where].join(', ');
}

/** Down and distance alone, for a finding's sentence. */
export const shortState = (state: GameState): string =>
  state.unit !== 'scrimmage' || state.down === null || state.distance === null
    ? describeState(state)
    : formatDownDistance(state.down, state.distance, state.toGoal);
