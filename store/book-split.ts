/** One word into two by a condition on its snaps. */
import 'server-only';
import { randomUUID } from 'node:crypto';
import { fieldsOfKind, normalizePhrase, storedValue, type Term } from '../core/book/term';
import { columnOf, type SplitField } from '../core/snap/fields';
import { permit } from './access';
import { BookChange } from './entities-football';
import { Invalid } from './errors';
import { termOf } from './mapping';
import { openEm } from './orm';
import { record } from './audit';
import { touchScope } from './sync/scope';
import { BOOK_SCOPE } from '../core/sync';
import { SPLIT_FIELDS } from '../core/exchange/schema';
import type { Actor, SplitPreview } from '../core/exchange/types';
import { announceGames, fits, holdsAny, retagSnaps } from './retag';
import { findTermRow, insertTerm, loadBook, refuseFaults } from './book';
import type { MergeDone } from './book-changes';

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
  for (const splitCondition of where)
    if (!SPLIT_FIELDS.includes(splitCondition.field))
      throw new Invalid(`${splitCondition.field} cannot be asked for`);
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
  for (const splitField of SPLIT_FIELDS) {
    if (fieldsOfKind(row.kind).includes(splitField)) continue;
    const rows = (await em.execute(
      `select s.${columnOf(splitField)} as v, count(*)::int as n from snap s where s.program_id = ? and s.deleted_at is null and ${holds.sql} and s.${columnOf(splitField)} is not null group by 1 order by 2 desc, 1 limit 40`,
      base,
    )) as { v: string; n: number }[];
    if (rows.length > 0) choices[splitField] = rows.map((r) => [r.v, r.n]);
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
