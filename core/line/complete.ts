/**
 * Completions: plain data, ranked by the habits of this opponent in this situation after the words already said
 * (`habits.ts`), then by the alphabet. Drawing and inserting are the caller's job.
 */
import { KIND_FIELD, type Book } from '../book/term';
import { termIndex } from '../book/index-terms';
import type { SnapField, SnapFields } from '../snap/snap';
import { HEADS, RESULT_WORDS } from './grammar';
import { rankWords, SAID, saidWords, wordsHolding, type Habits, type Ranked, type Situation } from './habits';
import type { Range } from './tokenize';

export interface Completion extends Range {
  /** Text that replaces the range. */
  readonly insert: string;
  readonly label: string;
  readonly field: SnapField | null;
  /** Times seen in the nearest situation that has any, of the snaps charted there. */
  readonly count: number;
  readonly of: number;
}

export interface Completing {
  readonly text: string;
  readonly caret: number;
  readonly book: Book;
  readonly habits: Habits;
  readonly situation: Situation;
  /** What the line says so far. */
  readonly said: SnapFields;
}

/** The words said so far by column; null where the line says nothing of them. */
function wordsSoFar({ said, book }: Completing): (string | null)[] {
  const words = saidWords(said, book);
  return SAID.map((field, c) => (said[field] == null && words[c] === '' ? null : words[c]!));
}

/**
 * What may be meant at the caret. With a word begun: words that begin so. After a blank: the words most likely to
 * come next, alone or several at once.
 */
export function complete(at: Completing, most = 5): Completion[] {
  const begun = /\S$/.test(at.text.slice(0, at.caret));
  return begun ? begunWords(at, most) : nextWords(at, most);
}

/** A word never seen here, but likely elsewhere. */
const LEAST_WHOLE = 0.005;

interface Offer extends Completion {
  readonly share: number;
  readonly words: number;
}
const plainOffer = ({ start, end, insert, label, field, count, of }: Offer): Completion => ({
  start,
  end,
  insert,
  label,
  field,
  count,
  of,
});

function begunWords(at: Completing, most: number): Completion[] {
  const { text, caret, book, habits, situation, said } = at;
  const head = text.slice(0, caret);
  const soFar = wordsSoFar(at);
  const ranked = new Map<number, Ranked>();
  const rank = (column: number): Ranked => {
    const known = ranked.get(column) ?? rankWords(habits, column, situation, soFar);
    ranked.set(column, known);
    return known;
  };
  /** Share and count of the words of a column that begin with a term; sides and movers go with it. */
  const seen = (field: SnapField, word: string): { share: number; count: number; of: number } => {
    const column = SAID.indexOf(field);
    if (column < 0 || habits.n === 0) return { share: 0, count: 0, of: 0 };
    const { share, counts, of } = rank(column);
    let [sum, count] = [0, 0];
    for (const i of wordsHolding(habits, column, word)) {
      sum += share[i]!;
      count += counts[i]!;
    }
    return { share: sum, count, of };
  };
  const out: Offer[] = [];
  const words = head.split(/\s+/).filter(Boolean);
  const index = termIndex(book);
  for (let n = Math.min(3, words.length); n >= 1; n--) {
    const typed = words.slice(-n).join(' ');
    const prefix = typed.toLowerCase();
    const start = head.length - typed.length;
    if (head.slice(start).toLowerCase() !== prefix) continue;
    const whole = new Set<string>();
    // As it was said before: the mover with his motion, the formation with its side, the carrier.
    for (let c = 0; c < SAID.length && habits.n > 0; c++) {
      if (soFar[c] !== null && n === 1) continue;
      habits.words[c]!.forEach((insert, i) => {
        if (i === 0 || insert === prefix || out.some((o) => o.insert === insert)) return;
        if (!insert.startsWith(prefix) && !(prefix.length > 1 && insert.includes(` ${prefix}`))) return;
        const { share, counts, of } = rank(c);
        if (counts[i] === 0 && share[i]! < LEAST_WHOLE) return;
        for (const word of insert.split(' ')) whole.add(word);
        whole.add(insert.replace(/ [lr]$/, ''));
        out.push({
          start,
          end: caret,
          insert,
          label: SAID[c]!,
          field: SAID[c]!,
          count: counts[i]!,
          of,
          share: share[i]!,
          words: n,
        });
      });
    }
    for (const { phrase, term } of index.phrases) {
      if (!phrase.startsWith(prefix) || phrase === prefix || whole.has(phrase)) continue;
      if (out.some((o) => o.insert === phrase)) continue;
      // One offer a word: an alias only where the word itself does not begin so.
      if (phrase !== term.word && term.word.toLowerCase().startsWith(prefix)) continue;
      const { field } = KIND_FIELD[term.kind];
      if (said[field] != null && field !== 'tags' && n === 1) continue;
      const { share, count, of } = seen(field, term.word);
      out.push({ start, end: caret, insert: phrase, label: term.kind, field, count, of, share, words: n });
    }
  }
  const last = words[words.length - 1]!.toLowerCase();
  for (const word of [...HEADS, ...Object.keys(RESULT_WORDS)])
    if (word.startsWith(last) && word !== last)
      out.push({
        start: caret - last.length,
        end: caret,
        insert: word,
        label: 'result',
        field: null,
        count: 0,
        of: 0,
        share: 0,
        words: 0,
      });
  return out
    .sort((a, b) => b.words - a.words || b.share - a.share || a.insert.localeCompare(b.insert))
    .slice(0, most)
    .map(plainOffer);
}

/** A next word this team never said here, but likely elsewhere. */
const LEAST_NEXT = 0.02;
/** Offers of several words must be right at least this often. */
const LEAST_TOGETHER = 0.2;
const MOST_TOGETHER = 6;
/** Words looked ahead over columns that may stay blank. */
const LOOK_AHEAD = 3;
/** Said less often than one time in twenty: it takes no place in the look ahead. */
const MOSTLY_SILENT = 0.95;

function nextWords(at: Completing, most: number): Completion[] {
  const { caret, habits, situation } = at;
  if (habits.n === 0) return [];
  const soFar = wordsSoFar(at);
  const open = SAID.map((_, c) => c).filter((c) => soFar[c] === null);
  const offers: Offer[] = [];
  const add = (insert: string, c: number, share: number, count: number, of: number, words: number): void => {
    if (!offers.some((o) => o.insert === insert))
      offers.push({
        start: caret,
        end: caret,
        insert,
        label: SAID[c]!,
        field: SAID[c]!,
        count,
        of,
        share,
        words,
      });
  };
  // The chance that nothing is said of the columns before.
  let silent = 1;
  let ahead = 0;
  for (const c of open) {
    if (ahead === LOOK_AHEAD) break;
    const { share, counts, of } = rankWords(habits, c, situation, soFar);
    for (let i = 1; i < share.length; i++)
      if (counts[i]! > 0 || share[i]! >= LEAST_NEXT)
        add(habits.words[c]![i]!, c, silent * share[i]!, counts[i]!, of, 1);
    silent *= share[0] ?? 1;
    if ((share[0] ?? 1) < MOSTLY_SILENT) ahead++;
    if (silent < 0.05) break;
  }
  together(at, open, soFar, add);
  return offers
    .sort((a, b) => keysSaved(b) - keysSaved(a) || a.insert.localeCompare(b.insert))
    .slice(0, most)
    .map(plainOffer);
}
const keysSaved = ({ share, insert }: Offer): number => share * insert.length;

/** The likeliest words one after the other, as long as all of them together are likely enough. */
function together(
  { habits, situation }: Completing,
  open: readonly number[],
  soFar: readonly (string | null)[],
  add: (insert: string, c: number, share: number, count: number, of: number, words: number) => void,
): void {
  const said = [...soFar];
  const chain: string[] = [];
  let chance = 1;
  let first = -1;
  for (const c of open) {
    const { share, counts, of } = rankWords(habits, c, situation, said);
    let best = 0;
    for (let i = 1; i < share.length; i++) if (share[i]! > share[best]!) best = i;
    chance *= share[best] ?? 0;
    if (chance < LEAST_TOGETHER || chain.length === MOST_TOGETHER) break;
    const word = habits.words[c]![best]!;
    said[c] = word;
    if (word === '') continue;
    if (first < 0) first = c;
    chain.push(word);
    if (chain.length > 1) add(chain.join(' '), first, chance, counts[best]!, of, chain.length);
  }
}
