/** Logged snaps and plays that say another word from now on, in sets, with the versions of their fields. */
import 'server-only';
import type { InferEntity } from '@mikro-orm/core';
import { fieldsOfKind, type TermKind } from '../core/book/term';
import { columnOf } from '../core/snap/fields';
import type { SnapField } from '../core/snap/snap';
import { type BookTerm, PlayRow } from './entities-football';
import type { Em } from './orm';
import { announce } from './sync/scope';
import { gameScope } from '../core/sync';
import type { Actor } from '../core/exchange/types';
import type { SplitCondition } from './book-split';

/** Fields of a word that a command changed: whoever has the word open learns that they moved. */
export function moved(
  row: InferEntity<typeof BookTerm>,
  fields: readonly string[],
  actor: Actor,
  now: Date,
): void {
  row.provenance = {
    ...row.provenance,
    ...Object.fromEntries(
      fields.map((f) => [f, { v: (row.provenance[f]?.v ?? 1) + 1, name: actor.name, at: now.toISOString() }]),
    ),
  };
}

/** Tells the readers of each game whose snaps a change rewrote. */
export async function announceGames(tx: Em, actor: Actor, changeId: string): Promise<void> {
  const games = (await tx.execute(
    'select distinct g.key, c.revision from game g join charting c on c.game_id = g.id join snap s on s.charting_id = c.id join book_change_snap b on b.snap_id = s.id where b.change_id = ?',
    [changeId],
  )) as { key: string; revision: number }[];
  for (const game of games)
    await announce(tx, { program: actor.programId, scope: gameScope(game.key), revision: game.revision });
}

/** SQL: the snap `s` says the word (one parameter) in this field. */
export const holdsIn = (kind: TermKind, field: SnapField): string =>
  kind === 'tag' ? 's.tags @> array[?]::text[]' : `s.${columnOf(field)} = ?`;

/** SQL and parameters: the snap says the word in any field of its kind. */
export const holdsAny = (
  kind: TermKind,
  value: string,
): { readonly sql: string; readonly values: readonly string[] } => ({
  sql: `(${fieldsOfKind(kind)
    .map((f) => holdsIn(kind, f))
    .join(' or ')})`,
  values: fieldsOfKind(kind).map(() => value),
});

/** SQL and parameters of a split's conditions. */
export const fits = (
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
export async function retagSnaps(
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
export const PROVENANCE_SQL =
  "s.provenance || jsonb_build_object(?::text, jsonb_build_object('state', 'tagged', 'sure', coalesce(s.provenance -> ?::text ->> 'sure', 'sure'), 'v', coalesce((s.provenance -> ?::text ->> 'v')::int, 1) + 1, 'by', ?::text, 'name', ?::text, 'at', ?::text))";

export async function retagPlays(
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
