/** Every sentence of a finding and of its remedies. */
import { formatClock, formatDownDistance, formatSpot, hashWord } from '../field/spot';
import { FIELD_GOAL, onField } from './arithmetic';
import type { Differing, Finding, FindingBody, Remedy, StateCode } from './finding';
import { describeState, explain, shortState, stepSentence } from './messages';
import type { GameState } from './state';

export interface FindingWords {
  readonly logged: string;
  readonly follows: string;
  readonly sentence: string;
}

/** A situation by what is wrong with it. */
function stateWords(code: StateCode, state: GameState): string {
  if (code === 'possession') return `${state.offense} with the ball`;
  if (code !== 'spot') return shortState(state);
  return state.toGoal === null ? 'spot not known' : formatSpot(state.toGoal);
}
/** The same, told apart from another that would read alike ("& goal"). */
const apart = (code: StateCode, state: GameState, from: GameState): string =>
  stateWords(code, state) === stateWords(code, from)
    ? describeState(state, 'in yards')
    : stateWords(code, state);

function differingWords(code: StateCode, facts: Differing): FindingWords {
  const { logged, follows, previous, steps, rounding } = facts;
  // "gain of 6 on 1st & 10, reaches …": the first step is what was done on the down.
  const [done = '', ...more] = steps.map(stepSentence);
  const because = `${[`${done} on ${shortState(previous)}`, ...more].join(', ')}${more.length > 0 ? ', which' : ''}`;
  return {
    logged: stateWords(code, logged),
    follows: stateWords(code, follows),
    sentence: `${apart(code, logged, follows)} was logged; ${because} leaves ${apart(code, follows, logged)}${rounding ? ': one yard, rounding' : ''}.`,
  };
}

const spotOr = (toGoal: number, beyond: string): string => (onField(toGoal) ? formatSpot(toGoal) : beyond);

/** What was logged, what follows instead, and the two in a sentence. */
export function findingWords(finding: Finding | FindingBody): FindingWords {
  const words = (logged: string, follows: string, sentence: string): FindingWords => ({
    logged,
    follows,
    sentence,
  });
  switch (finding.code) {
    case 'possession':
    case 'unit':
    case 'down':
    case 'distance':
    case 'spot':
      return differingWords(finding.code, finding.facts);
    case 'missing-kick': {
      const { logged, follows, steps } = finding.facts;
      const what = follows.unit === 'try' ? 'try' : 'kickoff';
      return words(
        describeState(logged),
        describeState(follows),
        `A ${what} should come first (${explain(steps)}); it was not logged, so what follows it cannot be known.`,
      );
    }
    case 'missing-film': {
      const { steps, noDown, noSpot } = finding.facts;
      const why = steps ? ` (${explain(steps) || 'nothing is carried'})` : ': it is the first';
      const type = [noDown && 'down and distance', noSpot && 'spot'].filter(Boolean).join(' and ');
      return words(
        'nothing',
        'cannot know',
        `The situation of this snap cannot be known${why}; type ${type}.`,
      );
    }
    case 'teams':
      return words(finding.facts.team, 'two teams', 'Offense and defense are the same team.');
    case 'touchdown-gain': {
      const { toGoal, gain } = finding.facts;
      return words(
        `gain ${gain}`,
        `gain ${toGoal}`,
        `A touchdown from ${formatSpot(toGoal)} is a gain of ${toGoal}, not ${gain}.`,
      );
    }
    case 'goal-line': {
      const { toGoal, gain, own } = finding.facts;
      const score = own ? 'safety' : 'touchdown';
      return words(
        `gain ${gain}`,
        score,
        `A gain of ${gain} from ${formatSpot(toGoal)} reaches the goal line, but no ${score} was logged.`,
      );
    }
    case 'gain-and-spot': {
      const { toGoal, gain, follows, dead } = finding.facts;
      return words(
        `dead at ${formatSpot(dead)}`,
        spotOr(follows, 'past the goal line'),
        `A gain of ${gain} from ${formatSpot(toGoal)} ends at ${spotOr(follows, 'the goal line')}, but the ball was logged dead at ${formatSpot(dead)}.`,
      );
    }
    case 'return-and-spot': {
      const { toGoal, length, returned, follows, dead } = finding.facts;
      return words(
        `dead at ${formatSpot(dead)}`,
        `${follows} yards to goal`,
        `From ${formatSpot(toGoal)}, ${length} yards and a return of ${returned} leave ${spotOr(follows, `${follows} yards to goal`)}, but the ball was logged dead at ${formatSpot(dead)}.`,
      );
    }
    case 'no-distance': {
      const { down, distance, toGoal } = finding.facts;
      return words(
        `${distance} to go`,
        `goal to go from ${formatSpot(toGoal)}`,
        `${formatDownDistance(down, distance, null)} was logged at ${formatSpot(toGoal)}; the goal line is ${toGoal} away.`,
      );
    }
    case 'kick-length': {
      const { toGoal, length } = finding.facts;
      const { least, usual, most } = FIELD_GOAL;
      return words(
        `${length} yards`,
        `${toGoal + usual} yards`,
        `A try from ${formatSpot(toGoal)} is ${toGoal + least} to ${toGoal + most} yards long, not ${length}.`,
      );
    }
    case 'try-returned':
      return words(
        'returned',
        'no points',
        'At this level a try is over when the defense has the ball; it cannot score on it.',
      );
    case 'people': {
      const { personnel, people } = finding.facts;
      return words(
        personnel,
        'five at most',
        `${personnel} personnel is ${people} backs and tight ends; there are five.`,
      );
    }
    case 'next-offense': {
      const { logged, follows, steps } = finding.facts;
      return words(
        `${logged} next`,
        `${follows} next`,
        `${logged} was logged to put the ball in play next; ${explain(steps)} leaves it to ${follows}.`,
      );
    }
    case 'half-kickoff': {
      const { logged, follows } = finding.facts;
      return words(
        `${logged} kicks off`,
        `${follows} kicks off`,
        `${follows} received the opening kickoff and normally kicks off the second half; ${logged} was logged.`,
      );
    }
    case 'quarter': {
      const { logged, before } = finding.facts;
      return words(
        `quarter ${logged}`,
        `quarter ${before}`,
        `Quarter ${logged} was logged after quarter ${before}.`,
      );
    }
    case 'clock': {
      const [now, before] = [formatClock(finding.facts.logged), formatClock(finding.facts.before)];
      return words(now, `at most ${before}`, `The clock reads ${now} after ${before} in the same quarter.`);
    }
    case 'score': {
      const { team, logged, follows } = finding.facts;
      return words(
        `${team} ${logged}`,
        `${team} ${follows}`,
        `${team} was logged with ${logged} points; what came before gives ${follows}.`,
      );
    }
    case 'hash': {
      const [now, dead] = [hashWord(finding.facts.logged), hashWord(finding.facts.follows)];
      return words(now, dead, `The ball was dead on the ${dead}, but this snap was logged from the ${now}.`);
    }
  }
}

/** What the key does. */
export function remedyLabel(remedy: Remedy): string {
  switch (remedy.code) {
    case 'situation':
      return `this is ${apart(remedy.facts.finding, remedy.facts.follows, remedy.facts.logged)}`;
    case 'gain-before':
      return `the gain before was ${remedy.facts.n}`;
    case 'gain':
      return `the gain was ${remedy.facts.n}`;
    case 'attempt':
      return `the attempt was ${remedy.facts.n}`;
    case 'goal-to-go':
      return `goal to go, ${remedy.facts.n}`;
    case 'quarter':
      return `quarter ${remedy.facts.n}`;
    case 'snap-spot':
      return `the snap was from ${formatSpot(remedy.facts.toGoal)}`;
    case 'kick-spot':
      return `the spot was ${formatSpot(remedy.facts.toGoal)}`;
    case 'dead-spot':
      return `dead at ${formatSpot(remedy.facts.toGoal)}`;
    case 'touchdown':
      return 'it was a touchdown';
    case 'safety':
      return 'it was a safety';
    case 'try-failed':
      return 'The try failed';
    case 'clear-clock':
      return 'clear the clock here';
    case 'clear-clock-before':
      return 'clear the clock before';
    case 'mark-missing':
      return 'a snap before it is not on the film';
    case 'missing-snap':
      return 'a snap is missing before it';
    case 'next-offense':
      return `${remedy.facts.team} is next`;
    case 'points':
      return `${remedy.facts.team} has ${remedy.facts.points}`;
    case 'hash':
      return hashWord(remedy.facts.hash);
  }
}
