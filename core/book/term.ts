/** The staff's vocabulary. Words are data: nothing in the parser knows a football word. */
import type { Spot } from '../look/formation';
import { fieldsWith, SNAP_FIELDS } from '../snap/fields';
import type { SnapField } from '../snap/snap';
import type { Definition } from './definition';

export type { Spot };

export const TERM_KINDS = [
  'formation',
  'backfield',
  'motion',
  'front',
  'bodies',
  'coverage',
  'rotation',
  'pressure',
  'run',
  'pass',
  'protection',
  'tempo',
  'tag',
] as const;
export type TermKind = (typeof TERM_KINDS)[number];

export const TERM_KIND_LABEL: Readonly<Record<TermKind, string>> = {
  formation: 'formations',
  backfield: 'backfields',
  motion: 'motions',
  front: 'fronts',
  bodies: 'defensive bodies',
  coverage: 'coverages',
  rotation: 'rotations',
  pressure: 'pressures',
  run: 'runs',
  pass: 'passes',
  protection: 'protections',
  tempo: 'tempo',
  tag: 'tags',
};

/** The fields that words of a kind stand in, the one that a typed word fills first. */
export const fieldsOfKind = (kind: TermKind): readonly SnapField[] =>
  fieldsWith('terms').filter((f) => SNAP_FIELDS[f].terms!.includes(kind));

/** The field a word of a kind fills, and the field a side right after it fills. */
export const KIND_FIELD = Object.fromEntries(
  TERM_KINDS.map((kind) => {
    const field = fieldsOfKind(kind)[0]!;
    return [kind, { field, side: SNAP_FIELDS[field].side ?? null }];
  }),
) as Readonly<Record<TermKind, { readonly field: SnapField; readonly side: SnapField | null }>>;

export interface Term {
  readonly id: string;
  readonly kind: TermKind;
  /** The word as written in reports and stored in snaps. */
  readonly word: string;
  readonly aliases: readonly string[];
  /** What is stored when it is not the word itself (closed lists such as rotation). */
  readonly value?: string;
  /** Formations: five eligible men besides the quarterback; backfields: quarterback and backs. */
  readonly spots?: readonly Spot[];
  /** What the word means to the software, by its kind; none: only a word. */
  readonly definition?: Definition;
  readonly notes?: string;
}

export interface Book {
  readonly name: string;
  /** Letters that may move; l, r and m are sides and the middle and cannot be players. */
  readonly letters: readonly string[];
  readonly terms: readonly Term[];
}

export const storedValue = (term: Term): string => term.value ?? term.word;
export const phrasesOf = (term: Term): string[] => [term.word, ...term.aliases].map(normalizePhrase);
/** Lower case, single blanks: the form in which phrases are compared. */
export const normalizePhrase = (phrase: string): string => phrase.trim().toLowerCase().replace(/\s+/g, ' ');

export type BookFault =
  | { readonly code: 'empty'; readonly termId: string }
  | { readonly code: 'reserved'; readonly termId: string; readonly phrase: string }
  | { readonly code: 'twice'; readonly termId: string; readonly phrase: string; readonly other: string };

/**
 * What stops a phrase from being a book word: empty, a character the line uses for itself, or the
 * same phrase twice within one kind. (One phrase in two kinds is allowed; the line calls it ambiguous.)
 */
export function phraseFault(
  book: Book,
  kind: TermKind,
  phrase: string,
  exceptId: string | null,
): BookFault | null {
  const wanted = normalizePhrase(phrase);
  const termId = exceptId ?? '';
  if (wanted === '') return { code: 'empty', termId };
  if (/["~/=?!@>#]|^\.\.$|^[lrm]$/.test(wanted)) return { code: 'reserved', termId, phrase: wanted };
  const clash = book.terms.find((t) => t.id !== exceptId && t.kind === kind && phrasesOf(t).includes(wanted));
  return clash ? { code: 'twice', termId, phrase: wanted, other: clash.word } : null;
}

export interface MergePlan {
  readonly book: Book;
  readonly field: SnapField;
  readonly from: string;
  readonly to: string;
}

/** Merging two words for one thing: the kept word takes the other's phrases; snaps of `from` become `to`. */
export function planMerge(book: Book, keepId: string, dropId: string): MergePlan | null {
  const keep = book.terms.find((t) => t.id === keepId);
  const drop = book.terms.find((t) => t.id === dropId);
  if (!keep || !drop || keep === drop || keep.kind !== drop.kind) return null;
  const aliases = [...new Set([...keep.aliases, drop.word, ...drop.aliases].map(normalizePhrase))].filter(
    (a) => a !== normalizePhrase(keep.word),
  );
  return {
    book: {
      ...book,
      terms: book.terms.filter((t) => t !== drop).map((t) => (t === keep ? { ...keep, aliases } : t)),
    },
    field: KIND_FIELD[keep.kind].field,
    from: storedValue(drop),
    to: storedValue(keep),
  };
}

/** A fault of a word as a sentence. */
export function bookFaultSentence(bookFault: BookFault): string {
  if (bookFault.code === 'empty') return 'The word is empty; type one.';
  if (bookFault.code === 'reserved')
    return `“${bookFault.phrase}” holds a sign that the snap line uses for itself (" ~ / = ? ! @ > #, .., or l r m alone); choose another.`;
  return `“${bookFault.phrase}” stands for ${bookFault.other} already; choose another, or merge the two.`;
}

/** `book.json`, as it travels. */
export const writeBook = (book: Book): string => `${JSON.stringify(book, null, 2)}\n`;
