/** How sure a charter is of a field: fields in doubt are listed, those that are only a guess in a second list. */
import type { Snap, SnapField, Sureness } from './snap';

type Doubts = Partial<Pick<Snap, 'notSure' | 'guessed'>>;

/** The two lists; what they say is kept with each field, not as columns. */
export const DOUBT_FIELDS = ['notSure', 'guessed'] as const;
export const isDoubtField = (field: string): field is (typeof DOUBT_FIELDS)[number] =>
  (DOUBT_FIELDS as readonly string[]).includes(field);

export const SURENESS_WORDS: Readonly<Record<Sureness, string>> = {
  sure: 'sure',
  think_so: 'think so',
  guess: 'a guess',
};
/** Typed right after a word. */
export const SURENESS_MARK: Readonly<Record<Sureness, '' | '?' | '??'>> = {
  sure: '',
  think_so: '?',
  guess: '??',
};

export function sureOf(doubts: Doubts, field: SnapField): Sureness {
  if (doubts.guessed?.includes(field)) return 'guess';
  return doubts.notSure?.includes(field) ? 'think_so' : 'sure';
}

/** Both lists with one field as sure as said; a guess stands in both. */
export function withSureness(
  doubts: Doubts,
  field: SnapField,
  sure: Sureness,
): Required<Pick<Snap, 'notSure' | 'guessed'>> {
  const set = (list: readonly string[] | undefined, has: boolean): string[] =>
    [...(list ?? []).filter((f) => f !== field), ...(has ? [field] : [])].sort();
  return { notSure: set(doubts.notSure, sure !== 'sure'), guessed: set(doubts.guessed, sure === 'guess') };
}
