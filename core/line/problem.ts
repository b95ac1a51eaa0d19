/** What the line could not take. "Not understood", "ambiguous" and "against the rules" are three things. */
import type { Range } from './tokenize';

export const PROBLEM_CODES = [
  'unknown-word',
  'ambiguous',
  'twice',
  'no-side',
  'no-letter',
  'no-motion',
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
export function problemSentence(p: Problem): string {
  const f = p.facts;
  switch (p.code) {
    case 'unknown-word':
      return p.candidates[0]
        ? `“${p.text}” is not in the book; nearest is “${p.candidates[0].text}”.`
        : `“${p.text}” is not in the book.`;
    case 'ambiguous':
      return `“${p.text}” could be ${p.candidates.map((c) => c.label).join(' or ')}.`;
    case 'twice':
      return `${f.field} was given already as ${f.first}; “${p.text}” gives it again.`;
    case 'no-side':
      return `A side has no meaning after “${f.word}”.`;
    case 'no-letter':
      return `“${p.text}” is not a letter of this book.`;
    case 'no-motion':
      return `Letter “${p.text}” stands beside no motion.`;
    case 'gain-and-spot':
      return `From ${f.from} a gain of ${f.gain} ends at ${f.follows}, not ${f.spot}.`;
    case 'return-and-spot':
      return `From ${f.from} a length of ${f.length} and a return of ${f.returned} end at ${f.follows}, not ${f.spot}.`;
    case 'gain-wiped-out':
      return 'The foul wipes the play out, so it has no gain; write end, foul or succ if the gain stands.';
    case 'past-goal':
      return `A gain of ${f.gain} from ${f.from} passes the goal line: write td or safety.`;
    case 'nothing-to-carry':
      return 'There is no earlier scrimmage snap of this offense to carry the look from.';
    case 'bad-value':
      return `“${f.value}” cannot be ${f.field}: ${f.expected}.`;
    case 'unknown-field':
      return `There is no field “${f.field}”.`;
    case 'open-note':
      return 'The note has no closing quote.';
    case 'too-long':
      return `A line is read up to ${f.most} characters.`;
    case 'lonely':
      return `“${p.text}” needs a word ${f.needs}.`;
    case 'no-foul-name':
      return 'The penalty has no name.';
    case 'foul-side':
      return 'The penalty has no side: o or d (on kicks k or r).';
    case 'kick-length':
      return `From ${f.from} an attempt is ${f.least} to ${f.most} yards, not ${f.value}.`;
  }
}
