/** What the line could not take. "Not understood", "ambiguous" and "against the rules" are three things. */
import type { Range } from './tokenize';

export const PROBLEM_CODES = [
  'unknown-word',
  'ambiguous',
  'twice',
  'no-side',
  'side-not-told',
  'no-letter',
  'no-motion',
  'no-number',
  'gain-and-spot',
  'return-and-spot',
  'gain-wiped-out',
  'past-goal',
  'nothing-to-carry',
  'bad-value',
  'unknown-field',
  'open-note',
  'too-long',
  'lonely',
  'no-foul-name',
  'foul-side',
  'kick-length',
] as const;
export type ProblemCode = (typeof PROBLEM_CODES)[number];

/** A way out: the words that replace the problem's range. */
export interface Candidate {
  readonly text: string;
  readonly label: string;
}

export interface Problem extends Range {
  readonly code: ProblemCode;
  readonly text: string;
  readonly facts: Readonly<Record<string, string>>;
  readonly candidates: readonly Candidate[];
}

/** A problem as a sentence fit to read aloud. */
export function problemSentence(problem: Problem): string {
  const facts = problem.facts;
  switch (problem.code) {
    case 'unknown-word':
      return problem.candidates[0]
        ? `“${problem.text}” is not in the book; nearest is “${problem.candidates[0].text}”.`
        : `“${problem.text}” is not in the book.`;
    case 'ambiguous':
      return `“${problem.text}” could be ${problem.candidates.map((c) => c.label).join(' or ')}.`;
    case 'twice':
      return `${facts.field} was given already as ${facts.first}; “${problem.text}” gives it again.`;
    case 'no-side':
      return `A side has no meaning after “${facts.word}”.`;
    case 'side-not-told':
      return `Nothing in the line tells which side “${problem.text}” is: say left or right.`;
    case 'no-letter':
      return `“${problem.text}” is not a letter of this book.`;
    case 'no-motion':
      return `Letter “${problem.text}” stands beside no motion.`;
    case 'no-number':
      return `Nobody is named for ${facts.letter} in this game; say who under Rosters, or type his number.`;
    case 'gain-and-spot':
      return `From ${facts.from} a gain of ${facts.gain} ends at ${facts.follows}, not ${facts.spot}.`;
    case 'return-and-spot':
      return `From ${facts.from} a length of ${facts.length} and a return of ${facts.returned} end at ${facts.follows}, not ${facts.spot}.`;
    case 'gain-wiped-out':
      return 'The foul wipes the play out, so it has no gain; write end, foul or succ if the gain stands.';
    case 'past-goal':
      return `A gain of ${facts.gain} from ${facts.from} passes the goal line: write td or safety.`;
    case 'nothing-to-carry':
      return 'There is no earlier scrimmage snap of this offense to carry the look from.';
    case 'bad-value':
      return `“${facts.value}” cannot be ${facts.field}: ${facts.expected}.`;
    case 'unknown-field':
      return `There is no field “${facts.field}”.`;
    case 'open-note':
      return 'The note has no closing quote.';
    case 'too-long':
      return `A line is read up to ${facts.most} characters.`;
    case 'lonely':
      return `“${problem.text}” needs a word ${facts.needs}.`;
    case 'no-foul-name':
      return 'The penalty has no name.';
    case 'foul-side':
      return 'The penalty has no side: o or d (on kicks k or r).';
    case 'kick-length':
      return `From ${facts.from} an attempt is ${facts.least} to ${facts.most} yards, not ${facts.value}.`;
  }
}
