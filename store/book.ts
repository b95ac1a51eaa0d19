/** The staff's book: words and aliases, added, changed and merged; a merge rewrites logged snaps. */
import 'server-only';
import type { InferEntity } from '@mikro-orm/core';
import { randomUUID } from 'node:crypto';
import { spotSchema } from '../core/book/schema';
import type { Definition } from '../core/book/definition';
import {
  bookFaultSentence,
  fieldsOfKind,
  phraseFault,
  storedValue,
  TERM_KINDS,
  type Book,
  type Spot,
  type TermKind,
} from '../core/book/term';
import { columnOf, SNAP_FIELDS } from '../core/snap/fields';
import { permit } from './access';
import { BookTerm } from './entities-football';
import { Program } from './entities';
import { Invalid, NotFound } from './errors';
import { termOf } from './mapping';
import { openEm, type Em } from './orm';
import { keptInProcess } from './process';
import { Kept } from './kept';
import { BOOK_SCOPE } from '../core/sync';
import type { Actor } from '../core/exchange/types';

export async function loadBook(actor: Actor, em?: Em): Promise<Book> {
  const on = em ?? (await openEm());
  const program = await on.findOneOrFail(Program, { id: actor.programId });
  const rows = await on.find(
    BookTerm,
    { program: actor.programId },
    { orderBy: { position: 'asc', word: 'asc' }, disableIdentityMap: true },
  );
  return { name: program.bookName, letters: program.bookLetters, terms: rows.map(termOf) };
}

/** The book for a member who may read football. */
export async function bookFor(actor: Actor): Promise<Book> {
  permit(actor, 'book.read');
  // Asked with nearly every page: made once a revision and restore epoch.
  const [{ stamp }] = (await (
    await openEm()
  ).execute(
    'select (select epoch from installation) || coalesce((select revision from sync_scope where program_id = ? and scope = ?), 0) as stamp',
    [actor.programId, BOOK_SCOPE],
  )) as [{ stamp: string }];
  return caches().books.get(`${actor.programId} ${stamp}`, () => loadBook(actor));
}

const caches = (): { readonly books: Kept<Book>; readonly texts: WeakMap<Book, string> } =>
  keptInProcess('books', () => ({ books: new Kept(8), texts: new WeakMap() }));

/** The book as JSON: pages send it as one text, written once a revision. */
export async function bookTextFor(actor: Actor): Promise<string> {
  const book = await bookFor(actor);
  const texts = caches().texts;
  const text = texts.get(book) ?? JSON.stringify(book);
  texts.set(book, text);
  return text;
}

export interface TermInput {
  readonly kind: TermKind;
  readonly word: string;
  readonly aliases: readonly string[];
  readonly notes: string | null;
  readonly spots?: readonly Spot[] | null;
  readonly definition?: Definition | null;
}

export function refuseFaults(
  book: Book,
  input: Pick<TermInput, 'kind' | 'word' | 'aliases'>,
  exceptId: string | null,
): void {
  for (const phrase of [input.word, ...input.aliases]) {
    const fault = phraseFault(book, input.kind, phrase, exceptId);
    if (fault) throw new Invalid(bookFaultSentence(fault));
  }
}

/** Spots as they may be kept: each letter once, inside the field, at most eleven. */
export function checkedSpots(kind: TermKind, spots: readonly Spot[] | null | undefined): Spot[] | null {
  if (spots === null || spots === undefined) return null;
  if (kind !== 'formation' && kind !== 'backfield') throw new Invalid(`a ${kind} is not drawn by points`);
  const read = spotSchema.array().max(11).safeParse(spots);
  if (!read.success)
    throw new Invalid(
      `a point cannot be read: ${read.error.issues[0]!.path.join('.')} ${read.error.issues[0]!.message}`,
    );
  if (new Set(read.data.map((s) => s.letter)).size !== read.data.length)
    throw new Invalid('a letter stands twice; give each man his own');
  if (read.data.length === 0) throw new Invalid('nobody is placed; put at least one man on the field');
  return read.data;
}

export function checkedDefinition(
  kind: TermKind,
  definition: Definition | null | undefined,
): Definition | null {
  if (!definition) return null;
  if (definition.kind !== kind) throw new Invalid(`a ${definition.kind} cannot define a ${kind}`);
  return definition;
}

type NewTerm = Omit<TermInput, 'notes'> & {
  readonly id: string;
  readonly notes?: string | null;
  readonly value?: string;
};

/** A term as its columns, checked. */
export const termColumns = (newTerm: NewTerm, position: number) => ({
  kind: newTerm.kind,
  word: newTerm.word,
  aliases: [...newTerm.aliases],
  value: newTerm.value ?? null,
  spots: checkedSpots(newTerm.kind, newTerm.spots),
  definition: checkedDefinition(newTerm.kind, newTerm.definition),
  notes: newTerm.notes ?? null,
  position,
});

export function insertTerm(em: Em, actor: Actor, newTerm: NewTerm, position: number): void {
  em.create(BookTerm, {
    id: randomUUID(),
    program: actor.programId,
    key: newTerm.id,
    ...termColumns(newTerm, position),
    provenance: {},
  });
}

export async function findTermRow(em: Em, actor: Actor, key: string): Promise<InferEntity<typeof BookTerm>> {
  const row = await em.findOne(BookTerm, { program: actor.programId, key });
  if (!row) throw new NotFound('word');
  return row as InferEntity<typeof BookTerm>;
}

/** Snaps that use each word, by "kind|value". */
export async function termUse(actor: Actor, on?: Em): Promise<Map<string, number>> {
  permit(actor, 'book.read');
  const em = on ?? (await openEm());
  const out = new Map<string, number>();
  // Of lists of words (tags) no use is counted.
  const columnsOf = (kind: TermKind): string[] =>
    fieldsOfKind(kind)
      .filter((f) => SNAP_FIELDS[f].kind !== 'list')
      .map(columnOf);
  const columns = [...new Set(TERM_KINDS.flatMap(columnsOf))];
  const parts = columns.map(
    (column) =>
      `select '${column}' as c, ${column} as v, count(*)::int as n from snap where program_id = ? and deleted_at is null and ${column} is not null group by 2`,
  );
  const rows = (await em.execute(
    parts.join(' union all '),
    columns.map(() => actor.programId),
  )) as { c: string; v: string; n: number }[];
  for (const kind of TERM_KINDS)
    for (const row of rows)
      if (columnsOf(kind).includes(row.c))
        out.set(`${kind}|${row.v}`, (out.get(`${kind}|${row.v}`) ?? 0) + row.n);
  return out;
}

/** Snaps that use one word. */
export const termsUsed = async (actor: Actor, row: InferEntity<typeof BookTerm>, em: Em): Promise<number> =>
  (await termUse(actor, em)).get(`${row.kind}|${storedValue(termOf(row))}`) ?? 0;
