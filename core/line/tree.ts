/**
 * Tokens → items. Syntax only: which stretch is a head word with its operands, a term of the book
 * (leftmost, longest), a shape, a side, a letter. Meaning is given in resolve.ts.
 */
import { normalizePhrase, type Book, type Term } from '../book/term';
import { termIndex } from '../book/index-terms';
import { findPenalty, type LevelProfile } from '../field/profile';
import { decodeSpot } from '../field/spot';
import {
  FIELD_WORDS,
  HEADS,
  KICK_WORDS,
  RESULT_WORDS,
  SIDE_WORDS,
  WORDS,
  type Head,
  type RelativeSide,
} from './grammar';
import { bestTerm, longestTerm, relativeSide } from './phrases';
import { readShape, type Shape } from './shapes';
import type { Range, Token, Unsure } from './tokenize';

export type Item = Range &
  (
    | { readonly kind: 'head'; readonly head: Head; readonly operands: readonly Token[] }
    | { readonly kind: 'term'; readonly terms: readonly Term[]; readonly unsure: Unsure }
    | { readonly kind: 'shape'; readonly value: Shape; readonly unsure: Unsure }
    | { readonly kind: 'result'; readonly word: string; readonly unsure: Unsure }
    | { readonly kind: 'side'; readonly side: 'L' | 'R' }
    | { readonly kind: 'relative'; readonly to: RelativeSide }
    | { readonly kind: 'letter'; readonly letter: string }
    | { readonly kind: 'field'; readonly name: string; readonly value: string; readonly unsure: Unsure }
    | { readonly kind: 'carry' | 'keep' | 'slash' | 'tilde' }
    | { readonly kind: 'note'; readonly note: string; readonly open: boolean }
    | { readonly kind: 'unknown'; readonly word: string }
  );

const ROTATED: ReadonlySet<string> = new Set(['weak', 'strong']);

const PENALTY_WORDS = new Set<string>([
  'o',
  'd',
  'k',
  'r',
  'prev',
  'end',
  'foul',
  'succ',
  WORDS.declined,
  WORDS.offset,
  WORDS.first,
  WORDS.lossOfDown,
  WORDS.noFirst,
  WORDS.unseen,
]);
const isYards = (word: string): boolean => /^[+-]?\d{1,3}$/.test(word);

/** How many tokens from `at` are operands of a head word (0: none). */
function operandLength(head: Head, tokens: readonly Token[], at: number, profile: LevelProfile): number {
  const token = tokens[at];
  if (!token || token.kind !== 'word') return 0;
  const { word } = token;
  const shape = word.startsWith('>') ? decodeSpot(word.slice(1)) !== null : false;
  switch (head) {
    case 'pen': {
      if (word.startsWith('@') && decodeSpot(word.slice(1))) return 1;
      for (let n = 4; n >= 1; n--) {
        const phrase = tokens.slice(at, at + n);
        if (
          phrase.length === n &&
          phrase.every((t) => t.kind === 'word') &&
          findPenalty(profile, normalizePhrase(phrase.map((t) => t.word).join(' ')))
        )
          return n;
      }
      return PENALTY_WORDS.has(word) || /^\d{1,2}$/.test(word) ? 1 : 0;
    }
    case 'sack':
      return /^[+-]?\d{1,2}$/.test(word) || shape ? 1 : 0;
    case 'fum':
    case 'int':
    case 'punt':
    case 'kickoff':
    case 'freekick':
    case 'fg':
      if (word === WORDS.ret) return tokens[at + 1] && isYards(tokens[at + 1]!.word) ? 2 : 0;
      if (head === 'fum')
        return word === WORDS.lost ||
          word === WORDS.keptBall ||
          word === 'tb' ||
          shape ||
          /^#\d{1,2}$/.test(word)
          ? 1
          : 0;
      if (head === 'fg' && (word === WORDS.good || (WORDS.failed as readonly string[]).includes(word)))
        return 1;
      if (word === WORDS.fake) return head === 'punt' || head === 'fg' ? 1 : 0;
      if (head === 'int')
        return /^-?\d{1,3}$/.test(word) || word === 'tb' || shape || /^#\d{1,2}$/.test(word) ? 1 : 0;
      return /^-?\d{1,3}$/.test(word) || word in KICK_WORDS || shape || /^#\d{1,2}$/.test(word) ? 1 : 0;
    case 'try':
      return (
        [WORDS.kick, WORDS.twoPoint, WORDS.good, WORDS.returned, 'blocked', ...WORDS.failed] as string[]
      ).includes(word)
        ? 1
        : 0;
    case 'drop':
    case 'box':
    case 'shell':
    case 'rush':
      return tokens[at - 1]?.word === head && /^\d{1,2}$/.test(word) ? 1 : 0;
  }
}

export function buildTree(tokens: readonly Token[], book: Book, profile: LevelProfile): Item[] {
  const index = termIndex(book);
  const items: Item[] = [];
  for (let at = 0; at < tokens.length;) {
    const token = tokens[at]!;
    const range = { start: token.start, end: token.end };
    if (token.kind === 'note') {
      items.push({
        ...range,
        kind: 'note',
        note: token.text.slice(1, token.open ? undefined : -1),
        open: token.open,
      });
      at++;
      continue;
    }
    if (token.kind === 'slash' || token.kind === 'tilde') {
      items.push({ ...range, kind: token.kind });
      at++;
      continue;
    }
    const equals = token.word.indexOf('=');
    if (equals > 0) {
      const raw = token.text.slice(equals + 1, token.text.length - token.unsure.length);
      items.push({
        ...range,
        kind: 'field',
        name: token.word.slice(0, equals),
        value: raw.replace(/^"|"$/g, ''),
        unsure: token.unsure,
      });
      at++;
      continue;
    }
    if (
      (HEADS as readonly string[]).includes(token.word) &&
      !(
        ((longestTerm(tokens, at, index)?.words ?? 0) > 1 || index.byPhrase.has(token.word)) &&
        operandLength(token.word as Head, tokens, at + 1, profile) === 0
      )
    ) {
      let end = at + 1;
      for (
        let n = operandLength(token.word as Head, tokens, end, profile);
        n > 0;
        n = operandLength(token.word as Head, tokens, end, profile)
      )
        end += n;
      items.push({
        start: token.start,
        end: tokens[end - 1]!.end,
        kind: 'head',
        head: token.word as Head,
        operands: tokens.slice(at + 1, end),
      });
      at = end;
      continue;
    }
    // "3 weak" is cover 3 and a rotation.
    const called = /^\d$/.test(token.word) ? index.byPhrase.get(`cover ${token.word}`) : undefined;
    if (called && ROTATED.has(tokens[at + 1]?.word ?? '')) {
      items.push({ ...range, kind: 'term', terms: called, unsure: token.unsure });
      at++;
      continue;
    }
    const relative = relativeSide(tokens, at, items.at(-1));
    if (relative) {
      items.push({
        start: token.start,
        end: tokens[at + relative.words - 1]!.end,
        kind: 'relative',
        to: relative.to,
      });
      at += relative.words;
      continue;
    }
    // "no motion", "coverage unseen", unless the book has the words
    const next = tokens[at + 1];
    const found = bestTerm(tokens, at, index);
    if (
      (found?.words ?? 0) < 2 &&
      next?.kind === 'word' &&
      ((token.word === WORDS.no && next.word in FIELD_WORDS) ||
        (token.word in FIELD_WORDS && next.word === WORDS.unseenWord))
    ) {
      const none = token.word === WORDS.no;
      items.push({
        start: token.start,
        end: next.end,
        kind: 'field',
        name: none ? next.word : token.word,
        value: none ? WORDS.none : WORDS.unseen,
        unsure: '',
      });
      at += 2;
      continue;
    }
    if (found) {
      items.push({
        start: token.start,
        end: tokens[at + found.words - 1]!.end,
        kind: 'term',
        terms: found.terms,
        unsure: tokens[at + found.words - 1]!.unsure,
      });
      at += found.words;
      continue;
    }
    at++;
    const shape = readShape(token.word);
    if (shape) items.push({ ...range, kind: 'shape', value: shape, unsure: token.unsure });
    else if (token.word === WORDS.carry) items.push({ ...range, kind: 'carry' });
    else if (token.word === WORDS.keep) items.push({ ...range, kind: 'keep' });
    else if (token.word in RESULT_WORDS)
      items.push({ ...range, kind: 'result', word: token.word, unsure: token.unsure });
    else if (token.word in SIDE_WORDS) items.push({ ...range, kind: 'side', side: SIDE_WORDS[token.word]! });
    else if (index.letters.has(token.word))
      items.push({ ...range, kind: 'letter', letter: token.word.toUpperCase() });
    else items.push({ ...range, kind: 'unknown', word: token.word });
  }
  return items;
}
