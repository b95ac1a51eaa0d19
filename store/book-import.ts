/** A book from outside: brought, adopted, or put in the place of the one that is there. */
import 'server-only';
import type { InferEntity } from '@mikro-orm/core';
import { randomUUID } from 'node:crypto';
import { readBook } from '../core/book/book-json';
import { DEFAULT_BOOK } from '../core/book/default-book';
import {
  bookFaultSentence,
  normalizePhrase,
  phraseFault,
  storedValue,
  type Book,
  type Term,
} from '../core/book/term';
import { sameValue } from '../core/snap/fields';
import { permit } from './access';
import { BookChange, BookTerm } from './entities-football';
import { Program } from './entities';
import { Invalid } from './errors';
import { termOf } from './mapping';
import { openEm, type Em } from './orm';
import { record } from './audit';
import { touchScope } from './sync/scope';
import { BOOK_SCOPE } from '../core/sync';
import type { Actor, BookReplacePreview } from '../core/exchange/types';
import { moved } from './retag';
import { checkedDefinition, checkedSpots, insertTerm, loadBook, termColumns, termUse } from './book';

/** Takes a book.json in: words of the file are added or changed, words it does not hold stay. Whole or not at all. */
export async function importBook(
  actor: Actor,
  text: string,
  now: Date,
): Promise<{ readonly added: number; readonly changed: number }> {
  permit(actor, 'book.import');
  const read = readBook(text);
  if (!read.ok) throw new Invalid(read.remedy);
  const em = await openEm();
  return em.transactional(async (tx) => {
    await touchScope(tx, actor.programId, BOOK_SCOPE);
    const book = await loadBook(actor, tx);
    const rows = new Map((await tx.find(BookTerm, { program: actor.programId })).map((r) => [r.key, r]));
    let added = 0;
    let changed = 0;
    let merged = book;
    for (const term of read.book.terms) {
      const here =
        book.terms.find((x) => x.id === term.id) ??
        book.terms.find(
          (x) => x.kind === term.kind && normalizePhrase(x.word) === normalizePhrase(term.word),
        );
      for (const phrase of [term.word, ...term.aliases]) {
        const fault = phraseFault(merged, term.kind, phrase, here?.id ?? null);
        if (fault) throw new Invalid(`“${term.word}”: ${bookFaultSentence(fault)}`);
      }
      const next: Term = { ...term, id: here?.id ?? term.id };
      merged = { ...merged, terms: [...merged.terms.filter((x) => x.id !== next.id), next] };
      if (!here) {
        insertTerm(tx, actor, { ...term, notes: term.notes ?? null }, book.terms.length + added);
        added++;
        continue;
      }
      if (JSON.stringify({ ...here }) === JSON.stringify(next)) continue;
      // A word in use keeps its name: snaps are written with it.
      const row = rows.get(here.id)!;
      Object.assign(row, {
        aliases: [
          ...new Set([...term.aliases, ...(term.word === here.word ? [] : [term.word])].map(normalizePhrase)),
        ].filter((a) => a !== here.word),
        spots: checkedSpots(term.kind, term.spots) ?? row.spots ?? null,
        definition: checkedDefinition(term.kind, term.definition) ?? row.definition ?? null,
        notes: term.notes ?? row.notes ?? null,
      });
      moved(row as InferEntity<typeof BookTerm>, ['aliases', 'spots', 'definition', 'notes'], actor, now);
      changed++;
    }
    await record(tx, actor, 'book.import', `book.json: ${added} added, ${changed} changed`, now);
    await tx.flush();
    return { added, changed };
  });
}

/** Adds the general terms that the book has no word for; what the staff has stays as it is. */
export async function adoptGeneralTerms(actor: Actor): Promise<number> {
  permit(actor, 'book.adopt');
  const em = await openEm();
  return em.transactional(async (tx) => {
    await touchScope(tx, actor.programId, BOOK_SCOPE);
    let book = await loadBook(actor, tx);
    let added = 0;
    for (const imported of DEFAULT_BOOK.terms) {
      if (
        book.terms.some((x) => x.id === imported.id) ||
        phraseFault(book, imported.kind, imported.word, null)
      )
        continue;
      const term: Term = {
        ...imported,
        aliases: imported.aliases.filter((a) => phraseFault(book, imported.kind, a, null) === null),
      };
      insertTerm(tx, actor, { ...term, notes: null }, book.terms.length);
      book = { ...book, terms: [...book.terms, term] };
      added++;
    }
    await tx.flush();
    return added;
  });
}

/** What replacing the book by another would do: words added, changed, dropped; and how often a dropped one stands in logged snaps. */
export async function previewReplace(actor: Actor, book: Book, on?: Em): Promise<BookReplacePreview> {
  permit(actor, 'book.replace');
  const em = on ?? (await openEm());
  const here = await loadBook(actor, em);
  const use = await termUse(actor, em);
  const next = new Map(book.terms.map((t) => [t.id, t]));
  const before = new Map(here.terms.map((t) => [t.id, t]));
  const dropped = here.terms.filter((t) => !next.has(t.id));
  return {
    added: book.terms.filter((t) => !before.has(t.id)).map((t) => t.word),
    changed: book.terms.filter((t) => before.has(t.id) && !sameTerm(before.get(t.id)!, t)).map((t) => t.word),
    dropped: dropped.map((t) => t.word),
    snaps: dropped.reduce((n, t) => n + (use.get(`${t.kind}|${storedValue(t)}`) ?? 0), 0),
  };
}

const plainTerm = (term: Term) => [
  term.id,
  term.kind,
  term.word,
  term.aliases,
  term.value ?? null,
  term.spots ?? null,
  term.definition ?? null,
  term.notes ?? null,
];

const sameTerm = (a: Term, b: Term): boolean => sameValue(plainTerm(a), plainTerm(b));

export const sameBook = (book: Book, wanted: Book): boolean =>
  book.name === wanted.name &&
  book.letters.join() === wanted.letters.join() &&
  book.terms.length === wanted.terms.length &&
  book.terms.every((t, i) => sameTerm(t, wanted.terms[i]!));

/** Puts another book in the place of this one, whole; what stood there is kept so that it can be undone. */
export async function replaceBook(tx: Em, actor: Actor, book: Book, now: Date): Promise<void> {
  permit(actor, 'book.replace');
  if (book.terms.length === 0)
    throw new Invalid(
      'the book of the file is empty; an empty book would leave every logged word without a meaning',
    );
  await touchScope(tx, actor.programId, BOOK_SCOPE);
  const before = await loadBook(actor, tx);
  if (sameBook(before, book)) return;
  await replaceTerms(tx, actor, book, now);
  const words = `the book replaced by ${book.name}: ${book.terms.length} words for ${before.terms.length}`;
  tx.create(BookChange, {
    id: randomUUID(),
    program: actor.programId,
    at: now,
    by: actor.memberId,
    words,
    field: 'book',
    from: before.name,
    to: book.name,
    detail: {
      kind: 'replace',
      before,
      keptKey: '',
      keptAliases: [],
      dropped: null,
      droppedPosition: 0,
      added: null,
      plays: [],
    },
    undoneAt: null,
  });
  await record(tx, actor, 'book.replace', words, now);
  await tx.flush();
}

export async function replaceTerms(tx: Em, actor: Actor, book: Book, now: Date): Promise<void> {
  const program = await tx.findOneOrFail(Program, { id: actor.programId });
  program.bookName = book.name;
  program.bookLetters = [...book.letters];
  const here = new Map(
    (await tx.find(BookTerm, { program: actor.programId })).map((row) => [
      row.key,
      row as InferEntity<typeof BookTerm>,
    ]),
  );
  book.terms.forEach((term, position) => {
    const found = here.get(term.id);
    here.delete(term.id);
    if (!found) return insertTerm(tx, actor, term, position);
    if (!sameTerm(termOf(found), term)) moved(found, ['aliases', 'spots', 'definition', 'notes'], actor, now);
    Object.assign(found, termColumns(term, position));
  });
  for (const gone of here.values()) tx.remove(gone);
  await tx.flush();
}
