/** Cells whose words are terms of the book: matched with their sides, or named as words nobody knows. */
import { editDistance, findTerm, normalizePhrase, termIndex, type Book, type TermKind } from '../book';
import type { Side } from '../field/spot';
import type { SnapField } from '../snap';
import { readPlay } from './outcomes';
import { yes, type Cell, type CellContext, type Reading, type Unknown } from './reading';

export const SIDE_WORDS: Readonly<Record<string, Side>> = {
  l: 'L',
  lt: 'L',
  left: 'L',
  lft: 'L',
  r: 'R',
  rt: 'R',
  right: 'R',
  rgt: 'R',
  rite: 'R',
};

/** Words of the book in a cell, longest first, with sides; what is left over is a term nobody knows. */
export function readWords(text: string, kinds: readonly TermKind[], c: CellContext): Cell {
  const plain = normalizePhrase(text.replace(/[_.]+/g, ' '));
  if (plain === '-' || /^(none|n\/a|na)$/.test(plain)) {
    const { field } = TARGETS_OF_KIND[kinds[0]!]!;
    return yes({ [field]: '-' });
  }
  if (plain === '?') return yes({ [TARGETS_OF_KIND[kinds[0]!]!.field]: '?' });
  const value: Record<string, unknown> = {};
  const words = plain.split(' ');
  const index = termIndex(c.book);
  const left: string[] = [];
  for (let i = 0; i < words.length;) {
    let took = 0;
    for (let n = Math.min(words.length - i, index.mostWords); n > 0 && took === 0; n--) {
      const phrase = words.slice(i, i + n).join(' ');
      for (const kind of kinds) {
        const { field, side } = TARGETS_OF_KIND[kind]!;
        if (value[field] !== undefined) continue;
        const whole = findTerm(c.book, kind, phrase);
        const glued = whole ? null : /^(.{3,}?)(left|right|lt|rt|l|r)$/.exec(phrase);
        const term = whole ?? (glued && n === 1 ? findTerm(c.book, kind, glued[1]!) : null);
        if (!term || SIDE_WORDS[phrase]) continue;
        value[field] = term.value ?? term.word;
        if (!whole && side) value[side] = SIDE_WORDS[glued![2]!];
        took = n;
        break;
      }
    }
    if (took === 0) {
      const side = SIDE_WORDS[words[i]!];
      const at = kinds.map((kind) => TARGETS_OF_KIND[kind]!.side).find(Boolean);
      if (side && at && value[at] === undefined) value[at] = side;
      else left.push(words[i]!);
      took = 1;
    }
    i += took;
  }
  if (left.length === 0) return yes(value as Reading);
  // Part of it is known: the whole is one word of theirs all the same, but its side stays.
  const kind = kinds[0]!;
  const { field, side } = TARGETS_OF_KIND[kind]!;
  const term = words.filter((word) => !side || SIDE_WORDS[word] === undefined).join(' ') || plain;
  return yes({
    ...(side && value[side] !== undefined ? { [side]: value[side] } : {}),
    [field]: term,
    unknown: [{ kind, term }],
  } as Reading);
}

const TARGETS_OF_KIND: Readonly<
  Partial<Record<TermKind, { readonly field: SnapField; readonly side?: SnapField }>>
> = {
  formation: { field: 'formation', side: 'formationSide' },
  backfield: { field: 'backfield' },
  motion: { field: 'motion', side: 'motionSide' },
  run: { field: 'concept', side: 'direction' },
  pass: { field: 'concept', side: 'direction' },
  protection: { field: 'protection', side: 'protectionSide' },
  front: { field: 'front' },
  coverage: { field: 'coverage' },
  pressure: { field: 'pressure' },
  tempo: { field: 'tempo' },
};

/** The kind of call a known concept is. */
export function readConcept(text: string, c: CellContext): Cell {
  // A kick or a kneel in the column of calls is no concept.
  const kick = readPlay(text);
  if (kick.ok && (kick.value.unit !== 'scrimmage' || kick.value.result) && text.length > 2) return kick;
  const read = readWords(text, ['run', 'pass'], c);
  if (!read.ok) return read;
  const { concept } = read.value;
  const run = typeof concept === 'string' && findTerm(c.book, 'run', concept);
  const pass = typeof concept === 'string' && findTerm(c.book, 'pass', concept);
  return run || pass ? yes({ ...read.value, play: run ? 'run' : 'pass' }) : read;
}

/** Known terms nearest to a word nobody knows, at most three. */
export function nearestTerms(book: Book, { kind, term }: Unknown): string[] {
  const kinds: readonly TermKind[] = kind === 'run' || kind === 'pass' ? ['run', 'pass'] : [kind];
  const seen = new Map<string, number>();
  for (const { phrase, term: known } of termIndex(book).phrases) {
    if (!kinds.includes(known.kind)) continue;
    const initials = phrase
      .split(' ')
      .map((word) => word[0])
      .join('');
    const distance =
      initials === term && term.length > 1
        ? 0.5
        : phrase.split(' ').includes(term)
          ? 0.6
          : phrase.startsWith(term)
            ? 0.7
            : editDistance(term, phrase, 3);
    if (distance <= Math.max(1, Math.floor(term.length / 3)) && distance < (seen.get(known.word) ?? 9))
      seen.set(known.word, distance);
  }
  return [...seen]
    .sort((a, b) => a[1] - b[1] || a[0].localeCompare(b[0]))
    .slice(0, 3)
    .map(([word]) => word);
}
