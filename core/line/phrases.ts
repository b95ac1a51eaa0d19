/** Which words of a line are one phrase of the book, and which say a side. */
import type { Term } from '../book/term';
import type { termIndex } from '../book/index-terms';
import {
  HEADS,
  RELATIVE_SIDES,
  RELATIVE_WORDS,
  RESULT_WORDS,
  SIDE_WORDS,
  WORDS,
  type RelativeSide,
} from './grammar';
import { readShape } from './shapes';
import type { Token } from './tokenize';

/** Said right after a run, a pass or a formation: a direction, though the word alone may be another. */
export function relativeSide(
  tokens: readonly Token[],
  at: number,
  before: { readonly kind: string; readonly terms?: readonly Term[] } | undefined,
): { readonly to: RelativeSide; readonly words: number } | null {
  if (before?.kind !== 'term' || !before.terms) return null;
  const played = before.terms.every((t) => t.kind === 'run' || t.kind === 'pass');
  const lined = before.terms.every((t) => t.kind === 'formation');
  if (!played && !lined) return null;
  for (let n = Math.min(RELATIVE_WORDS, tokens.length - at); n >= 1; n--) {
    const part = tokens.slice(at, at + n);
    if (part.some((t) => t.kind !== 'word' || t.unsure)) continue;
    const to = RELATIVE_SIDES[part.map((t) => t.word).join(' ')];
    if (to && (played || to === 'field' || to === 'boundary')) return { to, words: n };
  }
  return null;
}

/** A longest match that leaves a word nobody knows gives way to a shorter one after which all is known. */
export function bestTerm(
  tokens: readonly Token[],
  at: number,
  index: ReturnType<typeof termIndex>,
): { terms: readonly Term[]; words: number } | null {
  const longest = longestTerm(tokens, at, index);
  if (!longest || longest.words === 1) return longest;
  const known = (from: number): boolean => {
    const next = tokens[from];
    if (next?.kind !== 'word') return true;
    const { word } = next;
    return (
      longestTerm(tokens, from, index) !== null ||
      (HEADS as readonly string[]).includes(word) ||
      word in RESULT_WORDS ||
      word in SIDE_WORDS ||
      word.includes('=') ||
      word === WORDS.no ||
      word === WORDS.carry ||
      word === WORDS.keep ||
      (word.length > 1 && RELATIVE_SIDES[word] !== undefined) ||
      (word !== 'a' && word !== 'b' && index.letters.has(word)) ||
      readShape(word) !== null
    );
  };
  if (known(at + longest.words)) return longest;
  for (let n = longest.words - 1; n >= 1; n--) {
    const terms = index.byPhrase.get(
      tokens
        .slice(at, at + n)
        .map((t) => t.word)
        .join(' '),
    );
    const rest = terms ? longestTerm(tokens, at + n, index) : null;
    if (terms && rest && rest.words > longest.words - n) return { terms, words: n };
  }
  return longest;
}

export function longestTerm(
  tokens: readonly Token[],
  at: number,
  index: ReturnType<typeof termIndex>,
): { terms: readonly Term[]; words: number } | null {
  for (let n = Math.min(index.mostWords, tokens.length - at); n >= 1; n--) {
    const part = tokens.slice(at, at + n);
    // A question mark ends a term, so it may stand on the last word only.
    if (part.some((t, i) => t.kind !== 'word' || (t.unsure && i < n - 1))) continue;
    const terms = index.byPhrase.get(part.map((t) => t.word).join(' '));
    if (terms) return { terms, words: n };
  }
  return null;
}
