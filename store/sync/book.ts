/** Words of the book and plays of the list. */
import 'server-only';
import type { InferEntity } from '@mikro-orm/core';
import { randomUUID } from 'node:crypto';
import type { z } from 'zod';
import { linksSchema, newPlay, newTerm, TERM_FIELDS } from '../../core/exchange/schema';
import { normalizePhrase, type Spot } from '../../core/book/term';
import type { Definition } from '../../core/book/definition';
import type { PlayLink } from '../../core/plan/sheet';
import type { Operation, SyncRow } from '../../core/sync';
import type { Actor } from '../../core/exchange/types';
import { permit } from '../access';
import { checkedDefinition, checkedSpots, loadBook, refuseFaults, termsUsed } from '../book';
import { BookTerm, PlayRow } from '../entities-football';
import { cardOf, termOf } from '../mapping';
import type { Em } from '../orm';
import {
  patchFields,
  RefusedOperation,
  versionsOf,
  type Outcome,
  type ScopeWriter,
  type Writing,
} from './writing';

function checked<T>(schema: z.ZodType<T>, value: unknown): T {
  const read = schema.safeParse(value);
  if (!read.success) {
    const issue = read.error.issues[0]!;
    throw new RefusedOperation(
      'value',
      `${issue.path.length > 0 ? `${issue.path.join('.')}: ` : ''}${issue.message}.`,
    );
  }
  return read.data;
}

const none: Outcome = { order: null, versions: {}, conflicts: [] };

export function termWriter(writing: Writing): ScopeWriter {
  const { tx, actor } = writing;
  const find = async (key: string) =>
    (await tx.findOne(
      BookTerm,
      { program: actor.programId, key },
      { disableIdentityMap: true },
    )) as InferEntity<typeof BookTerm> | null;
  return {
    async apply(op: Operation): Promise<Outcome> {
      if (op.kind !== 'term') throw new RefusedOperation('shape', 'The book holds words only.');
      const row = await find(op.row);
      if (op.do === 'put') {
        permit(actor, 'term.add');
        if (row) return { order: row.position, versions: versionsOf(row.provenance), conflicts: [] };
        const term = checked(newTerm, op.fields);
        const book = await loadBook(actor, tx);
        refuseFaults(book, term, null);
        const position = book.terms.length;
        await tx.insert(BookTerm, {
          id: randomUUID(),
          program: actor.programId,
          key: op.row,
          kind: term.kind,
          word: normalizePhrase(term.word),
          aliases: term.aliases.map(normalizePhrase),
          value: null,
          spots: checkedSpots(term.kind, term.spots),
          definition: checkedDefinition(term.kind, term.definition as Definition | null),
          notes: term.notes,
          position,
          provenance: {},
        } as never);
        return { order: position, versions: {}, conflicts: [] };
      }
      if (op.do === 'delete') {
        permit(actor, 'term.remove');
        if (!row) return none;
        const used = await termsUsed(actor, row, tx);
        if (used > 0)
          throw new RefusedOperation(
            'in-use',
            `${row.word} stands in ${used} snaps; merge it into another word instead.`,
          );
        await tx.nativeDelete(BookTerm, { id: row.id });
        return none;
      }
      permit(actor, 'term.change');
      if (!row) throw new RefusedOperation('gone', 'The word is not in the book any more.');
      if (op.do !== 'patch') throw new RefusedOperation('shape', 'A word is added, changed or removed.');
      const term = termOf(row);
      const provenance = { ...row.provenance };
      const change: Record<string, unknown> = {};
      const book = await loadBook(actor, tx);
      const read = (field: string, value: unknown): unknown => {
        if (!Object.hasOwn(TERM_FIELDS, field))
          throw new RefusedOperation('value', `A word has no ${field.slice(0, 40)} to change.`);
        const v = checked(TERM_FIELDS[field as keyof typeof TERM_FIELDS] as z.ZodType<unknown>, value);
        if (field === 'aliases') {
          refuseFaults(book, { kind: row.kind, word: row.word, aliases: v as string[] }, op.row);
          return (v as string[]).map(normalizePhrase);
        }
        if (field === 'spots') return checkedSpots(row.kind, v as Spot[] | null);
        if (field === 'definition') return checkedDefinition(row.kind, v as Definition | null);
        return v;
      };
      const conflicts = await patchFields(
        writing,
        op,
        {
          values: {
            aliases: term.aliases,
            notes: term.notes ?? null,
            spots: term.spots ?? null,
            definition: term.definition ?? null,
          },
          provenance,
        },
        read,
        (field, value, version) => {
          change[field] = value;
          provenance[field] = { v: version, name: actor.name, at: writing.now.toISOString() };
        },
      );
      await tx.nativeUpdate(BookTerm, { id: row.id }, { ...change, provenance } as never);
      return { order: row.position, versions: versionsOf(provenance), conflicts };
    },
  };
}

export function playWriter(writing: Writing): ScopeWriter {
  const { tx, actor } = writing;
  return {
    async apply(op: Operation): Promise<Outcome> {
      if (op.kind !== 'play') throw new RefusedOperation('shape', 'The play list holds plays only.');
      const row = (await tx.findOne(
        PlayRow,
        { program: actor.programId, key: op.row },
        { disableIdentityMap: true },
      )) as InferEntity<typeof PlayRow> | null;
      if (op.do === 'put') {
        permit(actor, 'play.add');
        if (row) return { ...none, versions: versionsOf(row.provenance) };
        const play = checked(newPlay, op.fields);
        await checkLinks(tx, actor, op.row, play.links);
        await tx.insert(PlayRow, {
          ...play,
          id: randomUUID(),
          program: actor.programId,
          key: op.row,
          provenance: {},
        } as never);
        return none;
      }
      permit(actor, 'play.link');
      if (!row) throw new RefusedOperation('gone', 'The play is not on the play list any more.');
      if (op.do !== 'patch') throw new RefusedOperation('shape', 'A play is added or linked.');
      const provenance = { ...row.provenance };
      const change: Record<string, unknown> = {};
      for (const [field, patch] of Object.entries(op.fields)) {
        if (field !== 'links')
          throw new RefusedOperation('value', `A play has no ${field.slice(0, 40)} to change.`);
        await checkLinks(tx, actor, op.row, checked(linksSchema, patch.value));
      }
      const conflicts = await patchFields(
        writing,
        op,
        { values: { links: row.links }, provenance },
        (_, value) => checked(linksSchema, value),
        (field, value, version) => {
          change[field] = value;
          provenance[field] = { v: version, name: actor.name, at: writing.now.toISOString() };
        },
      );
      await tx.nativeUpdate(PlayRow, { id: row.id }, { ...change, provenance } as never);
      return { order: null, versions: versionsOf(provenance), conflicts };
    },
  };
}

/** Links lead to other plays of the list. */
async function checkLinks(tx: Em, actor: Actor, key: string, links: readonly PlayLink[]): Promise<void> {
  const there = new Set(
    (
      await tx.find(
        PlayRow,
        { program: actor.programId, key: { $in: links.map((l) => l.play) } },
        { disableIdentityMap: true },
      )
    ).map((r) => r.key),
  );
  for (const playLink of links) {
    if (playLink.play === key) throw new RefusedOperation('value', 'A play cannot set itself up.');
    if (!there.has(playLink.play)) throw new RefusedOperation('gone', 'There is no such play on the list.');
  }
}

export async function termRows(em: Em, actor: Actor): Promise<SyncRow[]> {
  permit(actor, 'book.read');
  const rows = (await em.find(
    BookTerm,
    { program: actor.programId },
    { disableIdentityMap: true },
  )) as InferEntity<typeof BookTerm>[];
  rows.sort((a, b) => a.position - b.position || (a.word < b.word ? -1 : 1));
  return rows.map((inferEntityFromProperties, i): SyncRow => {
    const { id, ...fields } = termOf(inferEntityFromProperties);
    return {
      kind: 'term',
      row: id,
      order: i,
      fields: {
        ...fields,
        notes: fields.notes ?? null,
        spots: fields.spots ?? null,
        definition: fields.definition ?? null,
      },
      versions: versionsOf(inferEntityFromProperties.provenance),
      deleted: false,
    };
  });
}

export async function playRows(em: Em, actor: Actor): Promise<SyncRow[]> {
  permit(actor, 'play.read');
  const rows = (await em.find(
    PlayRow,
    { program: actor.programId },
    { orderBy: { name: 'asc', key: 'asc' }, disableIdentityMap: true },
  )) as InferEntity<typeof PlayRow>[];
  return rows.map((inferEntityFromProperties, i): SyncRow => {
    const { id, ...fields } = cardOf(inferEntityFromProperties);
    return {
      kind: 'play',
      row: id,
      order: i,
      fields,
      versions: versionsOf(inferEntityFromProperties.provenance),
      deleted: false,
    };
  });
}
