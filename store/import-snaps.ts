/** Snaps into the database, with what is carried left out. */
import 'server-only';
import { randomUUID } from 'node:crypto';
import { fieldOfColumn, SNAP_FIELDS } from '../core/snap/fields';
import type { Snap, SnapFact, Sureness } from '../core/snap/snap';
import type { Row } from '../core/table';
import { gameScope } from '../core/sync';
import { SnapRow } from './entities-football';
import { Invalid } from './errors';
import { officialCharting } from './games';
import { newColumns, provenanceOf } from './mapping';
import type { Em } from './orm';
import { announce } from './sync/scope';
import type { Actor, FieldProvenance } from '../core/exchange/types';

/** Where an import stands, for the one who waits. */
export interface ImportStep {
  readonly step: 'reading' | 'checking' | 'writing';
  readonly what: string;
  readonly done?: number;
  readonly of?: number;
}

/** A cell as text; blank is none. */
export const text = (v: unknown): string | null => (v === null || v === undefined ? null : String(v));

interface SnapExtras {
  readonly tags?: readonly Row[];
  readonly progress?: (s: ImportStep) => void;
}

/** Snaps of several games into their official chartings, in batches. */
export async function insertSnaps(
  tx: Em,
  actor: Actor,
  gameIds: ReadonlyMap<string, string>,
  snaps: readonly Snap[],
  now: Date,
  extras: SnapExtras = {},
): Promise<void> {
  const writer = { id: actor.memberId, name: actor.name, at: now };
  const tagsOf = new Map<string, Row[]>();
  for (const row of extras.tags ?? []) {
    const key = `${String(row.game)}\u0000${String(row.snap_id)}`;
    const list = tagsOf.get(key);
    if (list) list.push(row);
    else tagsOf.set(key, [row]);
  }
  const chartings = new Map<string, { id: string; revision: number }>();
  for (const game of new Set(snaps.map((s) => s.game))) {
    const id = gameIds.get(game);
    if (!id) throw new Invalid(`there is no game ${game}`);
    const charting = await officialCharting(tx, actor, id, now);
    const [{ revision }] = (await tx.execute(
      'update charting set revision = revision + 1 where id = ? returning revision',
      [charting.id],
    )) as [{ revision: number }];
    // Snaps removed earlier give way: their order keys go below all others, their ids to the file's.
    await tx.execute(
      `update snap s set order_key = -2e9 - n.rn, snap_key = 'removed-' || s.id from (select id, row_number() over (order by order_key) as rn from snap where charting_id = ? and deleted_at is not null) n where n.id = s.id`,
      [charting.id],
    );
    chartings.set(game, { id: charting.id, revision });
    await announce(tx, { program: actor.programId, scope: gameScope(game), revision });
  }
  const BATCH = 500;
  for (let i = 0; i < snaps.length; i += BATCH) {
    extras.progress?.({ step: 'writing', what: 'snaps', done: i, of: snaps.length });
    const rows = snaps.slice(i, i + BATCH).map((snap) => {
      const charting = chartings.get(snap.game)!;
      const tags = tagsOf.get(`${snap.game}\u0000${snap.snapId}`) ?? [];
      const own = withoutCarried(snap, tags);
      const { columns, provenance } = newColumns(own, writer);
      return {
        id: randomUUID(),
        program: actor.programId,
        charting: charting.id,
        snapKey: snap.snapId,
        order: snap.order,
        ...columns,
        provenance: { ...provenance, ...tagged(own, tags) },
        createdBy: actor.memberId,
        createdAt: now,
        deletedAt: null,
        revision: charting.revision,
      };
    });
    await tx.insertMany(SnapRow, rows as never);
  }
}

/** Cells that only followed from the snap before are blank again, so that they go on following. */
function withoutCarried(snap: Snap, tags: readonly Row[]): Snap {
  const carried = tags
    .filter((t) => t.kind === 'carried')
    .flatMap((t) => (t.columns as string[]).map(fieldOfColumn))
    .filter((f) => Object.hasOwn(SNAP_FIELDS, f) && !['snapId', 'game', 'order'].includes(f));
  return carried.length === 0 ? snap : { ...snap, ...Object.fromEntries(carried.map((f) => [f, null])) };
}

/** Who set which field, as the package says; members of another database keep their name. */
function tagged(snap: Snap, tags: readonly Row[]): Record<string, FieldProvenance> {
  const out: Record<string, FieldProvenance> = {};
  for (const row of tags) {
    if (row.kind !== 'set') continue;
    for (const column of row.columns as string[]) {
      const field = fieldOfColumn(column);
      if (field !== 'snapId' && !Object.hasOwn(SNAP_FIELDS, field)) continue;
      const by = { id: '', name: text(row.by) ?? '', at: new Date(String(row.at ?? 0)) };
      out[field] = {
        ...provenanceOf(
          snap[field as SnapFact],
          by,
          (row.version as number | null) ?? 1,
          (row.sure as Sureness | null) ?? 'sure',
        ),
        at: text(row.at) ?? '',
      };
    }
  }
  return out;
}
