/** The first page of a report as the staff left it: its numbers are counted anew each time, its words may be the staff's. */
import type { BoardSide } from './sides';
import type { Rate } from './rates';

export interface Sentence {
  /** What it is of: "Return motion by H: run"; the staff's words where it wrote some. */
  readonly says: string;
  /** "23 of 28", "64–92 %"; and the count of all the other snaps of the board. */
  readonly count: string;
  readonly interval: string;
  readonly otherwise: string;
  /** The board it is of, and the name of its snaps there. */
  readonly board: string;
  readonly reel: string;
  readonly rate: Rate;
  readonly rest: Rate;
  /** What the rule called it, where the staff says it in other words. */
  readonly was: string | null;
}

export interface SentenceEdits {
  /** The staff's words for a sentence, by the name of its snaps. */
  readonly words: Readonly<Record<string, string>>;
  /** Names of sentences left out; the next of the rule takes the place. */
  readonly hidden: readonly string[];
  /** Lines of the staff's own, without a count; they stand first. */
  readonly own: readonly string[];
}
export const NO_EDITS: SentenceEdits = { words: {}, hidden: [], own: [] };

/** The edits of a team's report, and how often they were changed: who saves says what he read. */
export interface KeptWords {
  readonly edits: SentenceEdits;
  readonly version: number;
}
export interface WordsOf {
  readonly team: string;
  readonly side: BoardSide;
}

/** "Return motion by H: run 23 of 28". */
export const leadOf = ({ says, count }: Pick<Sentence, 'says' | 'count'>): string => `${says} ${count}`;

/** The whole sentence, as it is read. */
export const sentenceText = (sentence: Sentence): string =>
  `${leadOf(sentence)} (${sentence.interval}); otherwise ${sentence.otherwise}.`;

/** In the staff's words, where it has some. */
export function inWords(sentence: Sentence, { words }: SentenceEdits): Sentence {
  const own = words[sentence.reel];
  return own === undefined || own === sentence.says
    ? sentence
    : { ...sentence, says: own, was: sentence.says };
}

/** Other words for a sentence; its own again with null. */
export function withWordsFor(edits: SentenceEdits, reel: string, words: string | null): SentenceEdits {
  const { [reel]: _, ...others } = edits.words;
  return { ...edits, words: words === null ? others : { ...others, [reel]: words } };
}
export const withHidden = (edits: SentenceEdits, reel: string, hidden: boolean): SentenceEdits => ({
  ...edits,
  hidden: hidden ? [...new Set([...edits.hidden, reel])] : edits.hidden.filter((h) => h !== reel),
});
