/** Merging and splitting words, and the way back from each. */
import 'server-only';
import type { InferEntity } from '@mikro-orm/core';
import { randomUUID } from 'node:crypto';
import {
  fieldsOfKind,
  KIND_FIELD,
  normalizePhrase,
  planMerge,
  storedValue,
  type TermKind,
} from '../core/book/term';
import { columnOf } from '../core/snap/fields';
import { permit } from './access';
import { BookChange, BookTerm, PlayRow } from './entities-football';
import { Invalid, NotFound } from './errors';
import { termOf } from './mapping';
import { openEm } from './orm';
import { record } from './audit';
import { touchScope } from './sync/scope';
import { BOOK_SCOPE, PLAYS_SCOPE } from '../core/sync';
import type { Actor, BookChangeInfo } from '../core/exchange/types';
import { PROVENANCE_SQL, announceGames, holdsAny, holdsIn, moved, retagPlays, retagSnaps } from './retag';
import { replaceTerms } from './book-import';
import { findTermRow, insertTerm, loadBook, refuseFaults } from './book';

export interface MergeDone {
  readonly snaps: number;
  readonly plays: number;
  readonly change: string;
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
      (term) =>
        term.id !== dropKey &&
        term.kind !== drop.kind &&
        KIND_FIELD[term.kind].field === KIND_FIELD[drop.kind].field &&
        storedValue(term) === plan.from,
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

export async function listChanges(actor: Actor): Promise<BookChangeInfo[]> {
  permit(actor, 'book.read');
  const em = await openEm();
  const rows = (await em.execute(
    'select c.id, c.at, m.name as by, c.words, c.undone_at, (select count(distinct b.snap_id)::int from book_change_snap b where b.change_id = c.id) as snaps from book_change c join member m on m.id = c.by_id where c.program_id = ? order by c.at desc limit 30',
    [actor.programId],
  )) as { id: string; at: Date; by: string; words: string; undone_at: Date | null; snaps: number }[];
  return rows.map((row) => ({
    id: row.id,
    at: new Date(row.at).toISOString(),
    by: row.by,
    words: row.words,
    snaps: row.snaps,
    undone: row.undone_at !== null,
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
    for (const place of detail.plays) {
      const play = await tx.findOne(PlayRow, { program: actor.programId, key: place.key });
      if (play && (play as unknown as Record<string, unknown>)[place.field] === change.to)
        (play as unknown as Record<string, unknown>)[place.field] = change.from;
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
