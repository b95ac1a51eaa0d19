/** The staff's book: words and aliases, added, changed and merged; a merge rewrites logged snaps. */
import 'server-only';
import type { InferEntity } from '@mikro-orm/core';
import { randomUUID } from 'node:crypto';
import { readBook } from '../core/book/book-json';
import { spotSchema } from '../core/book/schema';
import { DEFAULT_BOOK } from '../core/book/default-book';
import type { Definition } from '../core/book/definition';
import {
  bookFaultSentence,
  fieldsOfKind,
  KIND_FIELD,
  normalizePhrase,
  phraseFault,
  planMerge,
  storedValue,
  TERM_KINDS,
  type Book,
  type Spot,
  type Term,
  type TermKind,
} from '../core/book/term';
import { columnOf, sameValue, SNAP_FIELDS, type SplitField } from '../core/snap/fields';
import type { SnapField } from '../core/snap/snap';
import { permit } from './access';
import { BookChange, BookTerm, PlayRow, Program } from './entities';
import { Invalid, NotFound } from './errors';
import { termOf } from './mapping';
import { openEm, type Em } from './orm';
import { record } from './audit';
import { keptInProcess } from './process';
import { Kept } from './kept';
import { announce, touchScope } from './sync/scope';
import { BOOK_SCOPE, gameScope, PLAYS_SCOPE } from '../core/sync';
import { SPLIT_FIELDS } from '../core/exchange/schema';
import type { Actor, BookChangeInfo, BookReplacePreview, SplitPreview } from '../core/exchange/types';

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
function insertTerm(em: Em, actor: Actor, t: NewTerm, position: number): void {
  em.create(BookTerm, {
    id: randomUUID(),
    program: actor.programId,
    key: t.id,
    kind: t.kind,
    word: t.word,
    aliases: [...t.aliases],
    value: t.value ?? null,
    spots: checkedSpots(t.kind, t.spots),
    definition: checkedDefinition(t.kind, t.definition),
    notes: t.notes ?? null,
    position,
    provenance: {},
  });
}

async function findTermRow(em: Em, actor: Actor, key: string): Promise<InferEntity<typeof BookTerm>> {
  const row = await em.findOne(BookTerm, { program: actor.programId, key });
  if (!row) throw new NotFound('word');
  return row as InferEntity<typeof BookTerm>;
}

/** Fields of a word that a command changed: whoever has the word open learns that they moved. */
function moved(row: InferEntity<typeof BookTerm>, fields: readonly string[], actor: Actor, now: Date): void {
  row.provenance = {
    ...row.provenance,
    ...Object.fromEntries(
      fields.map((f) => [f, { v: (row.provenance[f]?.v ?? 1) + 1, name: actor.name, at: now.toISOString() }]),
    ),
  };
}

/** Tells the readers of each game whose snaps a change rewrote. */
async function announceGames(tx: Em, actor: Actor, changeId: string): Promise<void> {
  const games = (await tx.execute(
    'select distinct g.key, c.revision from game g join charting c on c.game_id = g.id join snap s on s.charting_id = c.id join book_change_snap b on b.snap_id = s.id where b.change_id = ?',
    [changeId],
  )) as { key: string; revision: number }[];
  for (const g of games)
    await announce(tx, { program: actor.programId, scope: gameScope(g.key), revision: g.revision });
}

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
    for (const t of read.book.terms) {
      const here =
        book.terms.find((x) => x.id === t.id) ??
        book.terms.find((x) => x.kind === t.kind && normalizePhrase(x.word) === normalizePhrase(t.word));
      for (const phrase of [t.word, ...t.aliases]) {
        const fault = phraseFault(merged, t.kind, phrase, here?.id ?? null);
        if (fault) throw new Invalid(`“${t.word}”: ${bookFaultSentence(fault)}`);
      }
      const next: Term = { ...t, id: here?.id ?? t.id };
      merged = { ...merged, terms: [...merged.terms.filter((x) => x.id !== next.id), next] };
      if (!here) {
        insertTerm(tx, actor, { ...t, notes: t.notes ?? null }, book.terms.length + added);
        added++;
        continue;
      }
      if (JSON.stringify({ ...here }) === JSON.stringify(next)) continue;
      // A word in use keeps its name: snaps are written with it.
      const row = rows.get(here.id)!;
      Object.assign(row, {
        aliases: [
          ...new Set([...t.aliases, ...(t.word === here.word ? [] : [t.word])].map(normalizePhrase)),
        ].filter((a) => a !== here.word),
        spots: checkedSpots(t.kind, t.spots) ?? row.spots ?? null,
        definition: checkedDefinition(t.kind, t.definition) ?? row.definition ?? null,
        notes: t.notes ?? row.notes ?? null,
      });
      moved(row as InferEntity<typeof BookTerm>, ['aliases', 'spots', 'definition', 'notes'], actor, now);
      changed++;
    }
    await record(tx, actor, 'book.import', `book.json: ${added} added, ${changed} changed`, now);
    await tx.flush();
    return { added, changed };
  });
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
    (c) =>
      `select '${c}' as c, ${c} as v, count(*)::int as n from snap where program_id = ? and deleted_at is null and ${c} is not null group by 2`,
  );
  const rows = (await em.execute(
    parts.join(' union all '),
    columns.map(() => actor.programId),
  )) as { c: string; v: string; n: number }[];
  for (const kind of TERM_KINDS)
    for (const r of rows)
      if (columnsOf(kind).includes(r.c)) out.set(`${kind}|${r.v}`, (out.get(`${kind}|${r.v}`) ?? 0) + r.n);
  return out;
}

/** Snaps that use one word. */
export const termsUsed = async (actor: Actor, row: InferEntity<typeof BookTerm>, em: Em): Promise<number> =>
  (await termUse(actor, em)).get(`${row.kind}|${storedValue(termOf(row))}`) ?? 0;

export interface MergeDone {
  readonly snaps: number;
  readonly plays: number;
  readonly change: string;
}

/** SQL: the snap `s` says the word (one parameter) in this field. */
const holdsIn = (kind: TermKind, field: SnapField): string =>
  kind === 'tag' ? 's.tags @> array[?]::text[]' : `s.${columnOf(field)} = ?`;
/** SQL and parameters: the snap says the word in any field of its kind. */
const holdsAny = (
  kind: TermKind,
  value: string,
): { readonly sql: string; readonly values: readonly string[] } => ({
  sql: `(${fieldsOfKind(kind)
    .map((f) => holdsIn(kind, f))
    .join(' or ')})`,
  values: fieldsOfKind(kind).map(() => value),
});
/** SQL and parameters of a split's conditions. */
const fits = (
  where: readonly SplitCondition[],
): { readonly sql: string; readonly values: readonly string[] } => ({
  sql: where.map((w) => ` and s.${columnOf(w.field)} in (${w.values.map(() => '?').join(', ')})`).join(''),
  values: where.flatMap((w) => w.values),
});
/** What a word stands in of a play card. */
const PLAY_FIELDS: ReadonlySet<string> = new Set([
  'formation',
  'backfield',
  'motion',
  'concept',
  'conceptWeak',
]);

interface Retag {
  readonly change: string;
  readonly kind: TermKind;
  readonly from: string;
  readonly to: string;
  readonly where: readonly SplitCondition[];
}

/**
 * Rewrites a word in all logged snaps of the program in a few statements, whatever their number; keeps
 * what stood there. One writer at a time: chartings are locked first, as when snaps are saved.
 */
async function retagSnaps(
  tx: Em,
  actor: Actor,
  { change, kind, from, to, where }: Retag,
  now: Date,
): Promise<number> {
  await tx.execute('select 1 from charting where program_id = ? order by id for update', [actor.programId]);
  const at = now.toISOString();
  // Removed snaps are rewritten too, so that one brought back says the word; they are not counted.
  const live = new Set<string>();
  const only = fits(where);
  for (const field of fieldsOfKind(kind)) {
    const column = columnOf(field);
    await tx.execute(
      `insert into book_change_snap (change_id, snap_id, field, before) select ?, s.id, ?, ${kind === 'tag' ? "array_to_string(s.tags, ';')" : `s.${column}`} from snap s where s.program_id = ? and ${holdsIn(kind, field)}${only.sql}`,
      [change, field, actor.programId, from, ...only.values],
    );
    const set =
      kind === 'tag'
        ? 'tags = case when s.tags @> array[?]::text[] then array_remove(s.tags, ?) else array_replace(s.tags, ?, ?) end'
        : `${column} = ?`;
    const result = (await tx.execute(
      `update snap s set ${set}, revision = c.revision + 1, provenance = ${PROVENANCE_SQL} from charting c, book_change_snap b where c.id = s.charting_id and b.change_id = ? and b.snap_id = s.id and b.field = ? returning s.id, s.deleted_at is null as live`,
      [
        ...(kind === 'tag' ? [to, from, from, to] : [to]),
        field,
        field,
        field,
        actor.memberId,
        actor.name,
        at,
        change,
        field,
      ],
    )) as { id: string; live: boolean }[];
    for (const r of result) if (r.live) live.add(r.id);
    // A program without snaps of the word moves no revision.
    await tx.execute(
      'update charting set revision = revision + 1 where id in (select distinct s.charting_id from snap s join book_change_snap b on b.snap_id = s.id where b.change_id = ? and b.field = ?)',
      [change, field],
    );
  }
  return live.size;
}

/** The field's provenance with its version moved on; what was sure stays as sure as it was. */
const PROVENANCE_SQL =
  "s.provenance || jsonb_build_object(?::text, jsonb_build_object('state', 'tagged', 'sure', coalesce(s.provenance -> ?::text ->> 'sure', 'sure'), 'v', coalesce((s.provenance -> ?::text ->> 'v')::int, 1) + 1, 'by', ?::text, 'name', ?::text, 'at', ?::text))";

async function retagPlays(
  tx: Em,
  actor: Actor,
  kind: TermKind,
  from: string,
  to: string,
): Promise<{ key: string; field: string }[]> {
  const out: { key: string; field: string }[] = [];
  for (const field of fieldsOfKind(kind)) {
    if (!PLAY_FIELDS.has(field)) continue;
    for (const row of await tx.find(PlayRow, { program: actor.programId, [field]: from })) {
      (row as unknown as Record<string, unknown>)[field] = to;
      out.push({ key: row.key, field });
    }
  }
  return out;
}

/** Merges two words for one thing: words, logged snaps and the play list change in one transaction, or not at all. Can be undone. */
export async function mergeTerms(
  actor: Actor,
  keepKey: string,
  dropKey: string,
  now: Date,
): Promise<MergeDone> {
  permit(actor, 'term.merge');
  const em = await openEm();
  return em.transactional(async (tx) => {
    await touchScope(tx, actor.programId, BOOK_SCOPE);
    const book = await loadBook(actor, tx);
    const plan = planMerge(book, keepKey, dropKey);
    if (!plan) throw new Invalid('choose two different words of one kind');
    const keep = await findTermRow(tx, actor, keepKey);
    const drop = await findTermRow(tx, actor, dropKey);
    // Snaps say the word, not its kind: a word that is a run and a pass would take both with it.
    const twin = book.terms.find(
      (t) =>
        t.id !== dropKey &&
        t.kind !== drop.kind &&
        KIND_FIELD[t.kind].field === KIND_FIELD[drop.kind].field &&
        storedValue(t) === plan.from,
    );
    if (twin)
      throw new Invalid(
        `“${drop.word}” is a ${drop.kind} and a ${twin.kind}; split one of them off by its play first`,
      );
    const dropped = termOf(drop);
    const detail = {
      kind: 'merge' as const,
      keptKey: keepKey,
      keptAliases: [...keep.aliases],
      dropped,
      droppedPosition: drop.position,
      added: null,
      plays: await retagPlays(tx, actor, keep.kind, plan.from, plan.to),
    };
    const change = randomUUID();
    keep.aliases = [...plan.book.terms.find((t) => t.id === keepKey)!.aliases];
    moved(keep, ['aliases'], actor, now);
    tx.remove(drop);
    tx.create(BookChange, {
      id: change,
      program: actor.programId,
      at: now,
      by: actor.memberId,
      words: `${drop.word} merged into ${keep.word}`,
      field: keep.kind,
      from: plan.from,
      to: plan.to,
      detail,
      undoneAt: null,
    });
    await tx.flush();
    const snaps = await retagSnaps(
      tx,
      actor,
      { change, kind: keep.kind, from: plan.from, to: plan.to, where: [] },
      now,
    );
    await announceGames(tx, actor, change);
    if (detail.plays.length > 0) await touchScope(tx, actor.programId, PLAYS_SCOPE);
    await record(
      tx,
      actor,
      'term.merge',
      `${drop.word} into ${keep.word}: ${snaps} snaps, ${detail.plays.length} plays`,
      now,
    );
    return { snaps, plays: detail.plays.length, change };
  });
}

export interface SplitCondition {
  readonly field: SplitField;
  readonly values: readonly string[];
}
export interface SplitInput {
  readonly from: string;
  /** A word of the same kind that is there, or a new one. */
  readonly to: { readonly key: string } | { readonly word: string };
  readonly where: readonly SplitCondition[];
}
function checkWhere(where: readonly SplitCondition[]): void {
  if (where.length === 0 || where.some((w) => w.values.length === 0))
    throw new Invalid('say which snaps: choose at least one value');
  for (const w of where)
    if (!SPLIT_FIELDS.includes(w.field)) throw new Invalid(`${w.field} cannot be asked for`);
}

/** What a split would change, before it does. */
export async function previewSplit(
  actor: Actor,
  fromKey: string,
  where: readonly SplitCondition[],
): Promise<SplitPreview> {
  permit(actor, 'book.read');
  const em = await openEm();
  const row = await findTermRow(em, actor, fromKey);
  const holds = holdsAny(row.kind, storedValue(termOf(row)));
  const base = [actor.programId, ...holds.values];
  const choices: Record<string, [string, number][]> = {};
  for (const f of SPLIT_FIELDS) {
    if (fieldsOfKind(row.kind).includes(f)) continue;
    const rows = (await em.execute(
      `select s.${columnOf(f)} as v, count(*)::int as n from snap s where s.program_id = ? and s.deleted_at is null and ${holds.sql} and s.${columnOf(f)} is not null group by 1 order by 2 desc, 1 limit 40`,
      base,
    )) as { v: string; n: number }[];
    if (rows.length > 0) choices[f] = rows.map((r) => [r.v, r.n]);
  }
  const [{ n: of }] = (await em.execute(
    `select count(*)::int as n from snap s where s.program_id = ? and s.deleted_at is null and ${holds.sql}`,
    base,
  )) as [{ n: number }];
  if (where.length === 0 || where.some((w) => w.values.length === 0))
    return { snaps: 0, of, choices, sample: [] };
  checkWhere(where);
  const only = fits(where);
  const [{ n: snaps }] = (await em.execute(
    `select count(*)::int as n from snap s where s.program_id = ? and s.deleted_at is null and ${holds.sql}${only.sql}`,
    [...base, ...only.values],
  )) as [{ n: number }];
  const sample = (await em.execute(
    `select g.key as game, s.snap_key as snap, concat_ws(' ', s.personnel, s.formation, lower(s.formation_side), s.backfield, s.concept) as words from snap s join charting c on c.id = s.charting_id join game g on g.id = c.game_id where s.program_id = ? and s.deleted_at is null and ${holds.sql}${only.sql} order by g.week desc nulls last, s.order_key limit 8`,
    [...base, ...only.values],
  )) as { game: string; snap: string; words: string }[];
  return { snaps, of, choices, sample };
}

/** Splits a word: the snaps that fit the condition say the other word. One transaction; can be undone. */
export async function splitTerm(actor: Actor, input: SplitInput, now: Date): Promise<MergeDone> {
  permit(actor, 'term.split');
  checkWhere(input.where);
  const em = await openEm();
  return em.transactional(async (tx) => {
    await touchScope(tx, actor.programId, BOOK_SCOPE);
    const book = await loadBook(actor, tx);
    const from = await findTermRow(tx, actor, input.from);
    let to: Term;
    let added: string | null = null;
    if ('key' in input.to) {
      const row = await findTermRow(tx, actor, input.to.key);
      if (row.kind !== from.kind || row.key === from.key)
        throw new Invalid('choose another word of the same kind');
      to = termOf(row);
    } else {
      refuseFaults(book, { kind: from.kind, word: input.to.word, aliases: [] }, null);
      added = `${from.kind}-${randomUUID()}`;
      const source = termOf(from);
      to = {
        id: added,
        kind: from.kind,
        word: normalizePhrase(input.to.word),
        aliases: [],
        ...(source.spots ? { spots: source.spots } : {}),
        ...(source.definition ? { definition: source.definition } : {}),
      };
      insertTerm(tx, actor, { ...to, notes: null }, book.terms.length);
    }
    const change = randomUUID();
    const value = storedValue(termOf(from));
    tx.create(BookChange, {
      id: change,
      program: actor.programId,
      at: now,
      by: actor.memberId,
      words: `${to.word} split from ${from.word}`,
      field: from.kind,
      from: value,
      to: storedValue(to),
      detail: {
        kind: 'split',
        keptKey: from.key,
        keptAliases: [...from.aliases],
        dropped: null,
        droppedPosition: 0,
        added,
        plays: [],
      },
      undoneAt: null,
    });
    await tx.flush();
    const snaps = await retagSnaps(
      tx,
      actor,
      { change, kind: from.kind, from: value, to: storedValue(to), where: input.where },
      now,
    );
    await announceGames(tx, actor, change);
    await record(tx, actor, 'term.split', `${to.word} from ${from.word}: ${snaps} snaps`, now);
    return { snaps, plays: 0, change };
  });
}

export async function listChanges(actor: Actor): Promise<BookChangeInfo[]> {
  permit(actor, 'book.read');
  const em = await openEm();
  const rows = (await em.execute(
    'select c.id, c.at, m.name as by, c.words, c.undone_at, (select count(distinct b.snap_id)::int from book_change_snap b where b.change_id = c.id) as snaps from book_change c join member m on m.id = c.by_id where c.program_id = ? order by c.at desc limit 30',
    [actor.programId],
  )) as { id: string; at: Date; by: string; words: string; undone_at: Date | null; snaps: number }[];
  return rows.map((r) => ({
    id: r.id,
    at: new Date(r.at).toISOString(),
    by: r.by,
    words: r.words,
    snaps: r.snaps,
    undone: r.undone_at !== null,
  }));
}

/** Takes a merge or split back: words, plays and snaps say again what they said. Snaps changed since keep what was typed since. */
export async function undoChange(
  actor: Actor,
  changeId: string,
  now: Date,
): Promise<{ readonly snaps: number; readonly left: number }> {
  permit(actor, 'book.undo');
  const em = await openEm();
  return em.transactional(async (tx) => {
    await touchScope(tx, actor.programId, BOOK_SCOPE);
    const change = await tx.findOne(BookChange, { id: changeId, program: actor.programId });
    if (!change) throw new NotFound('change');
    if (change.undoneAt) throw new Invalid('this was undone already');
    const { detail } = change;
    if (detail.kind === 'replace') {
      await replaceTerms(tx, actor, detail.before!, now);
      change.undoneAt = now;
      await record(tx, actor, 'book.undo', change.words, now);
      await tx.flush();
      return { snaps: 0, left: 0 };
    }
    await tx.execute('select 1 from charting where program_id = ? order by id for update', [actor.programId]);
    const kind = change.field as TermKind;
    const at = now.toISOString();
    let snaps = 0;
    for (const field of fieldsOfKind(kind)) {
      const column = columnOf(field);
      const set = kind === 'tag' ? "tags = string_to_array(b.before, ';')" : `${column} = b.before`;
      const rows = (await tx.execute(
        `update snap s set ${set}, revision = c.revision + 1, provenance = ${PROVENANCE_SQL} from charting c, book_change_snap b where c.id = s.charting_id and b.change_id = ? and b.snap_id = s.id and b.field = ? and ${holdsIn(kind, field)} returning s.id`,
        [field, field, field, actor.memberId, actor.name, at, changeId, field, change.to],
      )) as unknown[];
      snaps += rows.length;
    }
    await tx.execute(
      'update charting set revision = revision + 1 where id in (select distinct s.charting_id from snap s join book_change_snap b on b.snap_id = s.id where b.change_id = ?)',
      [changeId],
    );
    const [{ n }] = (await tx.execute('select count(*)::int as n from book_change_snap where change_id = ?', [
      changeId,
    ])) as [{ n: number }];
    for (const p of detail.plays) {
      const play = await tx.findOne(PlayRow, { program: actor.programId, key: p.key });
      if (play && (play as unknown as Record<string, unknown>)[p.field] === change.to)
        (play as unknown as Record<string, unknown>)[p.field] = change.from;
    }
    if (detail.dropped) {
      const kept = await tx.findOne(BookTerm, { program: actor.programId, key: detail.keptKey });
      const back = new Set([detail.dropped.word, ...detail.dropped.aliases].map(normalizePhrase));
      if (kept)
        kept.aliases = kept.aliases.filter(
          (x) => !back.has(normalizePhrase(x)) || detail.keptAliases.includes(x),
        );
      if (kept) moved(kept as InferEntity<typeof BookTerm>, ['aliases'], actor, now);
      await tx.flush();
      refuseFaults(await loadBook(actor, tx), detail.dropped, null);
      insertTerm(
        tx,
        actor,
        { ...detail.dropped, notes: detail.dropped.notes ?? null },
        detail.droppedPosition,
      );
    }
    if (detail.added) {
      // The word the split added goes, unless somebody has used it since.
      const row = await tx.findOne(BookTerm, { program: actor.programId, key: detail.added });
      const holds = holdsAny(kind, change.to);
      const [used] = row
        ? ((await tx.execute(
            `select count(*)::int as n from snap s where s.program_id = ? and ${holds.sql}`,
            [actor.programId, ...holds.values],
          )) as [{ n: number }])
        : [{ n: 1 }];
      if (row && used.n === 0) tx.remove(row);
    }
    change.undoneAt = now;
    await announceGames(tx, actor, changeId);
    if (detail.plays.length > 0) await touchScope(tx, actor.programId, PLAYS_SCOPE);
    await record(tx, actor, 'book.undo', change.words, now);
    await tx.flush();
    return { snaps, left: n - snaps };
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
    for (const t of DEFAULT_BOOK.terms) {
      if (book.terms.some((x) => x.id === t.id) || phraseFault(book, t.kind, t.word, null)) continue;
      const term: Term = {
        ...t,
        aliases: t.aliases.filter((a) => phraseFault(book, t.kind, a, null) === null),
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

const plainTerm = (t: Term) => [
  t.id,
  t.kind,
  t.word,
  t.aliases,
  t.value ?? null,
  t.spots ?? null,
  t.definition ?? null,
  t.notes ?? null,
];
const sameTerm = (a: Term, b: Term): boolean => sameValue(plainTerm(a), plainTerm(b));
export const sameBook = (a: Book, b: Book): boolean =>
  a.name === b.name &&
  a.letters.join() === b.letters.join() &&
  a.terms.length === b.terms.length &&
  a.terms.every((t, i) => sameTerm(t, b.terms[i]!));

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

async function replaceTerms(tx: Em, actor: Actor, book: Book, now: Date): Promise<void> {
  const program = await tx.findOneOrFail(Program, { id: actor.programId });
  program.bookName = book.name;
  program.bookLetters = [...book.letters];
  const here = new Map(
    (await tx.find(BookTerm, { program: actor.programId })).map((t) => [
      t.key,
      t as InferEntity<typeof BookTerm>,
    ]),
  );
  book.terms.forEach((t, position) => {
    const values = {
      kind: t.kind,
      word: t.word,
      aliases: [...t.aliases],
      value: t.value ?? null,
      spots: checkedSpots(t.kind, t.spots),
      definition: checkedDefinition(t.kind, t.definition),
      notes: t.notes ?? null,
      position,
    };
    const found = here.get(t.id);
    here.delete(t.id);
    if (!found)
      return void tx.create(BookTerm, {
        id: randomUUID(),
        program: actor.programId,
        key: t.id,
        ...values,
        provenance: {},
      });
    if (!sameTerm(termOf(found), t)) moved(found, ['aliases', 'spots', 'definition', 'notes'], actor, now);
    Object.assign(found, values);
  });
  for (const gone of here.values()) tx.remove(gone);
  await tx.flush();
}
