/** What a screen shows: the server's rows with everything of the queue on top that they do not show yet. */
import { orderBetween } from '../snap/order';
import type { Pulled, Scope, SyncRow } from './operation';
import { bySeq, type Queued } from './queue';

/** The server's rows of a scope as of a revision. */
export interface Base {
  readonly epoch: string;
  readonly revision: number;
  readonly rows: ReadonlyMap<string, SyncRow>;
}

export const EMPTY_BASE: Base = { epoch: '', revision: -1, rows: new Map() };

/** The base after a pull. A pull of another epoch replaces everything; an older one changes nothing. */
export function pullInto(base: Base, pulled: Pulled): Base {
  if (pulled.epoch !== base.epoch)
    return pulled.whole
      ? { epoch: pulled.epoch, revision: pulled.revision, rows: new Map(pulled.rows.map((r) => [r.row, r])) }
      : base;
  if (pulled.revision < base.revision || (pulled.revision === base.revision && !pulled.whole)) return base;
  const rows = pulled.whole ? new Map<string, SyncRow>() : new Map(base.rows);
  for (const r of pulled.rows) rows.set(r.row, r);
  return { epoch: pulled.epoch, revision: pulled.revision, rows };
}

export const byPlace = (a: { order: number; row: string }, b: { order: number; row: string }): number =>
  a.order - b.order || (a.row < b.row ? -1 : a.row > b.row ? 1 : 0);

/**
 * Live rows in their order. Waiting rows stand right after the row they were typed after, as the server will
 * place them; their `order` is a stand-in that sorts the same.
 */
export function overlay(base: Base, queue: readonly Queued[], scope: Scope): SyncRow[] {
  const mine = queue
    .filter(
      (queued) =>
        queued.scope === scope &&
        queued.state !== 'refused' &&
        (queued.state === 'waiting' ||
          (queued.epoch === base.epoch && (queued.revision ?? 0) > base.revision)),
    )
    .sort(bySeq);
  if (mine.length === 0) return [...base.rows.values()].filter((r) => !r.deleted).sort(byPlace);
  const rows = new Map(base.rows);
  let list = [...rows.values()].sort(byPlace).map((r) => r.row);
  const floating = new Set<string>();
  const place = (row: string, after: string | null): void => {
    list = list.filter((r) => r !== row);
    const at = after === null ? 0 : list.indexOf(after) + 1;
    // An anchor nobody knows: the end, as the server does.
    if (after !== null && at === 0) list.push(row);
    else list.splice(at, 0, row);
    floating.add(row);
  };
  for (const queued of mine) {
    const { op } = queued;
    const now = rows.get(op.row);
    if (op.do === 'put') {
      if (now && !now.deleted) continue;
      rows.set(op.row, {
        kind: op.kind,
        row: op.row,
        order: queued.order ?? 0,
        fields: op.fields,
        versions: {},
        deleted: false,
      });
      place(op.row, op.after);
    } else if (!now) continue;
    else if (op.do === 'patch') {
      const lost = new Map((queued.conflicts ?? []).map((c) => [c.field, c.theirs]));
      rows.set(op.row, {
        ...now,
        fields: {
          ...now.fields,
          ...Object.fromEntries(
            Object.entries(op.fields).map(([f, p]) => [f, lost.has(f) ? lost.get(f) : p.value]),
          ),
        },
      });
    } else if (op.do === 'move') {
      rows.set(op.row, { ...now, fields: { ...now.fields, ...op.fields } });
      place(op.row, op.after);
    } else rows.set(op.row, { ...now, deleted: op.do === 'delete' });
  }
  const live = list.map((r) => rows.get(r)!).filter((r) => !r.deleted);
  return floating.size > 0 ? inOrder(live, floating) : live;
}

/** Rows that stand in order, with keys that sort the same: floating rows get a key between their neighbors. */
function inOrder(rows: readonly SyncRow[], floating: ReadonlySet<string>): SyncRow[] {
  const out: SyncRow[] = [];
  for (let i = 0; i < rows.length; i++) {
    const row = rows[i]!;
    if (!floating.has(row.row)) {
      out.push(row);
      continue;
    }
    const following = rows.slice(i + 1).find((r) => !floating.has(r.row))?.order ?? null;
    const key = orderBetween(out[i - 1]?.order ?? null, following);
    // No room between two keys: positions sort as well.
    if (key === null) return rows.map((r, at) => ({ ...r, order: at + 1 }));
    out.push({ ...row, order: key });
  }
  return out;
}
