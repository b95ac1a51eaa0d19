/** The staff's book: words and aliases, added, changed and merged; a merge rewrites logged snaps. */
import type { InferEntity } from '@mikro-orm/core';
import { randomUUID } from 'node:crypto';
import { phraseFault, planMerge, storedValue, type Book, type BookFault, type Term, type TermKind } from '../core/book/term';
import { requireFootball, requireRole } from './access';
import { BookTerm, Charting, PlayRow, Program, SnapRow } from './entities';
import { Invalid, NotFound } from './errors';
import { provenanceOf, rowToSnap, type SnapEntity } from './mapping';
import { openEm, type Em } from './orm';
import type { Actor } from '../core/exchange/types';

const termOf = (row: InferEntity<typeof BookTerm>): Term => ({
  id: row.key, kind: row.kind, word: row.word, aliases: row.aliases, ...(row.value ? { value: row.value } : {}), ...(row.spots ? { spots: row.spots } : {}), ...(row.notes ? { notes: row.notes } : {}),
});

export async function loadBook(actor: Actor, em?: Em): Promise<Book> {
  const on = em ?? (await openEm());
  const program = await on.findOneOrFail(Program, { id: actor.programId });
  const rows = await on.find(BookTerm, { program: actor.programId }, { orderBy: { position: 'asc', word: 'asc' } });
  return { name: program.bookName, letters: program.bookLetters, terms: rows.map(termOf) };
}

export function bookFaultSentence(f: BookFault): string {
  if (f.code === 'empty') return 'The word is empty; type one.';
  if (f.code === 'reserved') return `“${f.phrase}” holds a sign that the snap line uses for itself (" ~ / = ? ! @ > #, .., or l r m alone); choose another.`;
  return `“${f.phrase}” stands for ${f.other} already; choose another, or merge the two.`;
}

export interface TermInput { readonly kind: TermKind; readonly word: string; readonly aliases: readonly string[]; readonly notes: string | null }

function refuseFaults(book: Book, input: TermInput, exceptId: string | null): void {
  for (const phrase of [input.word, ...input.aliases]) {
    const fault = phraseFault(book, input.kind, phrase, exceptId);
    if (fault) throw new Invalid(bookFaultSentence(fault));
  }
}

export async function addTerm(actor: Actor, input: TermInput): Promise<void> {
  requireFootball(actor, 'adding a word');
  const em = await openEm();
  const book = await loadBook(actor, em);
  refuseFaults(book, input, null);
  const word = input.word.trim().toLowerCase();
  em.create(BookTerm, { id: randomUUID(), program: actor.programId, key: `${input.kind}-${randomUUID()}`, kind: input.kind, word, aliases: input.aliases.map((a) => a.trim().toLowerCase()), value: null, spots: null, notes: input.notes, position: book.terms.length });
  await em.flush();
}

export async function setAliases(actor: Actor, key: string, aliases: readonly string[]): Promise<void> {
  requireFootball(actor, 'changing a word');
  const em = await openEm();
  const book = await loadBook(actor, em);
  const row = await em.findOne(BookTerm, { program: actor.programId, key });
  if (!row) throw new NotFound('word');
  refuseFaults(book, { kind: row.kind, word: row.word, aliases, notes: null }, key);
  row.aliases = aliases.map((a) => a.trim().toLowerCase());
  await em.flush();
}

/** Removes a word that no snap uses; one in use can only be merged. */
export async function removeTerm(actor: Actor, key: string): Promise<void> {
  requireFootball(actor, 'removing a word');
  const em = await openEm();
  const row = await em.findOne(BookTerm, { program: actor.programId, key });
  if (!row) throw new NotFound('word');
  const used = (await termUse(actor)).get(`${row.kind}|${storedValue(termOf(row))}`) ?? 0;
  if (used > 0) throw new Invalid(`${row.word} stands in ${used} snaps; merge it into another word instead`);
  em.remove(row);
  await em.flush();
}

const KIND_COLUMNS: Readonly<Record<TermKind, readonly string[]>> = {
  formation: ['formation'], backfield: ['backfield'], motion: ['motion'], front: ['front'], coverage: ['coverage'], rotation: ['rotation'], pressure: ['pressure'], run: ['concept', 'concept_weak'], pass: ['concept', 'concept_weak'],
  protection: ['protection'], tempo: ['tempo'], tag: [],
};

/** Snaps that use each word, by "kind|value". */
export async function termUse(actor: Actor): Promise<Map<string, number>> {
  const em = await openEm();
  const out = new Map<string, number>();
  const columns = [...new Set(Object.values(KIND_COLUMNS).flat())];
  const parts = columns.map((c) => `select '${c}' as c, ${c} as v, count(*)::int as n from snap where program_id = ? and deleted_at is null and ${c} is not null group by 2`);
  const rows = (await em.execute(parts.join(' union all '), columns.map(() => actor.programId))) as { c: string; v: string; n: number }[];
  for (const [kind, cols] of Object.entries(KIND_COLUMNS)) for (const r of rows) if (cols.includes(r.c)) out.set(`${kind}|${r.v}`, (out.get(`${kind}|${r.v}`) ?? 0) + r.n);
  return out;
}

export interface MergeDone { readonly snaps: number; readonly plays: number }

/** Merges two words for one thing: words, logged snaps and the play list change in one transaction, or not at all. */
export async function mergeTerms(actor: Actor, keepKey: string, dropKey: string, now: Date): Promise<MergeDone> {
  requireRole(actor, 'merging words', 'coordinator');
  const em = await openEm();
  return em.transactional(async (tx) => {
    const book = await loadBook(actor, tx);
    const plan = planMerge(book, keepKey, dropKey);
    if (!plan) throw new Invalid('choose two different words of one kind');
    const keep = await tx.findOneOrFail(BookTerm, { program: actor.programId, key: keepKey });
    const drop = await tx.findOneOrFail(BookTerm, { program: actor.programId, key: dropKey });
    keep.aliases = [...plan.book.terms.find((t) => t.id === keepKey)!.aliases];
    tx.remove(drop);
    const fields = plan.field === 'concept' ? (['concept', 'conceptWeak'] as const) : ([plan.field] as const);
    let snaps = 0;
    const chartings = await tx.find(Charting, { program: actor.programId });
    for (const charting of chartings) {
      const [locked] = (await tx.execute('select revision from charting where id = ? for update', [charting.id])) as { revision: number }[];
      const where = plan.field === 'tags' ? { tags: { $contains: [plan.from] } } : { $or: fields.map((f) => ({ [f]: plan.from })) };
      const rows = (await tx.find(SnapRow, { charting: charting.id, ...(where as object) })) as unknown as SnapEntity[];
      if (rows.length === 0) continue;
      for (const row of rows) {
        const provenance = { ...row.provenance };
        const snap = rowToSnap(row, '');
        for (const field of plan.field === 'tags' ? (['tags'] as const) : fields) {
          const value = field === 'tags' ? [...new Set(snap.tags.map((t) => (t === plan.from ? plan.to : t)))] : snap[field as 'concept'] === plan.from ? plan.to : null;
          if (value === null) continue;
          (row as Record<string, unknown>)[field] = value;
          provenance[field] = provenanceOf(value, { id: actor.memberId, name: actor.name, at: now }, (provenance[field]?.v ?? 1) + 1, provenance[field]?.sure ?? 'sure');
        }
        row.provenance = provenance;
        row.revision = locked!.revision + 1;
        snaps++;
      }
      charting.revision = locked!.revision + 1;
    }
    let plays = 0;
    for (const field of ['formation', 'motion', 'concept', 'conceptWeak'] as const) {
      if (field !== plan.field && !(plan.field === 'concept' && field === 'conceptWeak')) continue;
      plays += await tx.nativeUpdate(PlayRow, { program: actor.programId, [field]: plan.from }, { [field]: plan.to });
    }
    await tx.flush();
    return { snaps, plays };
  });
}

