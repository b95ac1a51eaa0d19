/** What a guest is shown of some snaps: nothing that never leaves a staff, and only the words that they are drawn with. */
import { findTerm } from '../book/index-terms';
import { fieldsOfKind, TERM_KINDS, type Book, type Term } from '../book/term';
import type { Snap } from '../snap';
import { PRIVATE } from './trade';

/** Without notes, grades and judgments. */
export const guestSnap = (snap: Snap): Snap => ({
  ...snap,
  ...Object.fromEntries(PRIVATE.map((f) => [f, Array.isArray(snap[f]) ? [] : null])),
});

/** The book with the terms that stand in these snaps, without what the staff noted of them. */
export function guestBook(book: Book, snaps: readonly Snap[]): Book {
  const used = new Set<Term>();
  for (const kind of TERM_KINDS)
    for (const field of fieldsOfKind(kind))
      for (const snap of snaps) {
        const value: unknown = snap[field];
        for (const one of Array.isArray(value) ? (value as unknown[]) : [value]) {
          const term = typeof one === 'string' ? findTerm(book, kind, one) : null;
          if (term) used.add(term);
        }
      }
  return {
    ...book,
    terms: book.terms.filter((t) => used.has(t)).map(({ notes: _, ...term }) => term),
  };
}
