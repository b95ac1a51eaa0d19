/**
 * Snaps: loaded by charting, written as patches of fields. Two patches to different fields both
 * land; the same field twice, the first stands and the second comes back with both values and names.
 */
import { randomUUID } from 'node:crypto';
import { byOrder } from '../core/snap/order';
import { sameValue, SNAP_FIELDS } from '../core/snap/fields';
import { readFieldText, writeFieldText } from '../core/snap/text';
import type { Snap, SnapFact, SnapField } from '../core/snap/snap';
import { FOOTBALL, requireFootball, requireRole } from './access';
import { Charting, Game, SnapRow } from './entities';
import { Invalid, NotFound, Refused } from './errors';
import { officialCharting } from './games';
import { columnValue, newColumns, provenanceOf, rowToSnap, toStored, versionsOf, type SnapEntity, type Writer } from './mapping';
import { openEm, type Em } from './orm';
import type { Actor, FieldConflict, FieldProvenance, OpResult, SaveResult, SnapOp, StoredSnap } from '../core/exchange/types';

export interface LoadedGame {
  readonly revision: number;
  readonly snaps: readonly StoredSnap[];
}

/** The official charting of a game; `since`: only snaps changed after that revision, deleted ones too. */
export async function loadSnaps(actor: Actor, gameKey: string, since: number | null = null): Promise<LoadedGame> {
  requireRole(actor, 'reading a game', ...FOOTBALL);
  const em = await openEm();
  const game = await em.findOne(Game, { program: actor.programId, key: gameKey });
  if (!game) throw new NotFound('game');
  const charting = await em.findOne(Charting, { program: actor.programId, game: game.id, kind: 'official' });
  if (!charting) return { revision: 0, snaps: [] };
  const rows = await plainRows(em, { charting: charting.id, ...(since === null ? { deletedAt: null } : { revision: { $gt: since } }) });
  return { revision: charting.revision, snaps: rows.map((r) => toStored(r, gameKey)).sort((a, b) => byOrder(a.snap, b.snap)) };
}

/** Rows to read only: not hydrated into the unit of work, about four times as fast for a season. */
const plainRows = async (em: Em, where: object): Promise<SnapEntity[]> =>
  (await em.createQueryBuilder(SnapRow, 's').select('*').where(where).execute('all')) as unknown as SnapEntity[];

/** All snaps of several games, by game key: for Read. */
export async function loadGames(actor: Actor, gameKeys: readonly string[]): Promise<Map<string, Snap[]>> {
  requireRole(actor, 'reading games', ...FOOTBALL);
  const em = await openEm();
  const games = await em.find(Game, { program: actor.programId, key: { $in: [...gameKeys] } });
  const chartings = await em.find(Charting, { program: actor.programId, game: { $in: games.map((g) => g.id) }, kind: 'official' });
  const keyOf = new Map(chartings.map((c) => [c.id, games.find((g) => g.id === c.game)!.key]));
  const rows = chartings.length === 0 ? [] : await plainRows(em, { charting: { $in: chartings.map((c) => c.id) }, deletedAt: null });
  const out = new Map<string, Snap[]>(games.map((g) => [g.key, []]));
  for (const row of rows) out.get(keyOf.get(row.charting)!)!.push(rowToSnap(row, keyOf.get(row.charting)!));
  for (const list of out.values()) list.sort(byOrder);
  return out;
}

/** A value as it may be written, or a refusal that names field and remedy: the border of the API. */
function checked(field: string, value: unknown): unknown {
  if (field === 'order') {
    if (typeof value !== 'number' || !Number.isFinite(value)) throw new Invalid('order must be a number');
    return value;
  }
  if (!Object.hasOwn(SNAP_FIELDS, field) || field === 'snapId' || field === 'game') throw new Invalid(`there is no field ${field}`);
  if (value === null || value === undefined) return value ?? null;
  const spec = SNAP_FIELDS[field as SnapField];
  let text: string;
  try {
    text = writeFieldText(field as SnapField, value);
  } catch {
    throw new Invalid(`${spec.label} cannot be read`);
  }
  if (text.length > 4000) throw new Invalid(`${spec.label} is longer than 4000 characters`);
  const read = readFieldText(field as SnapField, text);
  if (!read.ok) throw new Invalid(`${spec.label} “${text.slice(0, 40)}” is not ${read.expected}`);
  return read.value;
}

/** Applies operations in order, in one transaction. What conflicts is given back, the rest lands. */
export async function saveSnaps(actor: Actor, gameKey: string, ops: readonly SnapOp[], now: Date): Promise<SaveResult> {
  requireFootball(actor, 'logging a game');
  const writer: Writer = { id: actor.memberId, name: actor.name, at: now };
  const em = await openEm();
  return em.transactional(async (tx) => {
    const game = await tx.findOne(Game, { program: actor.programId, key: gameKey });
    if (!game) throw new NotFound('game');
    if (game.closed && !actor.roles.includes('coordinator')) throw new Refused('changing a closed game', ['coordinator']);
    const charting = await officialCharting(tx, actor, game.id, now);
    // One writer at a time a charting: revisions stay in order and no version is read twice.
    const [locked] = (await tx.execute('select revision from charting where id = ? for update', [charting.id])) as { revision: number }[];
    const revision = locked!.revision + 1;
    const results: OpResult[] = [];
    for (const op of ops) results.push(await apply(tx, op, { chartingId: charting.id, programId: actor.programId, revision, writer }));
    await tx.flush();
    await tx.nativeUpdate(Charting, { id: charting.id }, { revision });
    return { revision, results };
  });
}

interface Target { readonly chartingId: string; readonly programId: string; readonly revision: number; readonly writer: Writer }

async function apply(tx: Em, op: SnapOp, target: Target): Promise<OpResult> {
  const row = (await tx.findOne(SnapRow, { charting: target.chartingId, snapKey: op.snapId })) as unknown as unknown as SnapEntity | null;
  const saved = (r: SnapEntity | null): OpResult => ({ snapId: op.snapId, status: 'saved', versions: r ? versionsOf(r.provenance) : {}, conflicts: [] });
  if (op.op === 'put') {
    const fields = Object.fromEntries(Object.entries(op.fields).map(([f, v]) => [f, checked(f, v)])) as Partial<Snap>;
    // Sent again after a lost answer: it is here already.
    if (row) return saved(row);
    if (!/^[A-Za-z0-9._-]{1,80}$/.test(op.snapId)) throw new Invalid('a snap id is up to 80 letters, digits, dots and dashes');
    const { columns, provenance } = newColumns(fields, target.writer);
    const made = tx.create(SnapRow, { id: randomUUID(), program: target.programId, charting: target.chartingId, snapKey: op.snapId, order: checked('order', op.order) as number, ...columns, provenance, createdBy: target.writer.id, createdAt: target.writer.at, deletedAt: null, revision: target.revision } as never) as unknown as SnapEntity;
    await tx.flush();
    return saved(made);
  }
  if (!row) return { snapId: op.snapId, status: 'missing', versions: {}, conflicts: [] };
  if (op.op === 'patch') {
    const conflicts = patchRow(row, op.fields, target.writer);
    row.revision = target.revision;
    return { snapId: op.snapId, status: conflicts.length > 0 ? 'conflict' : 'saved', versions: versionsOf(row.provenance), conflicts };
  }
  row.deletedAt = op.op === 'delete' ? target.writer.at : null;
  row.revision = target.revision;
  return saved(row);
}

function patchRow(row: SnapEntity, fields: Readonly<Record<string, { readonly value: unknown; readonly version: number }>>, writer: Writer): FieldConflict[] {
  const conflicts: FieldConflict[] = [];
  const provenance: Record<string, FieldProvenance> = { ...row.provenance };
  const current = rowToSnap(row, '');
  for (const [field, patch] of Object.entries(fields)) {
    const value = checked(field, patch.value) ?? (field === 'tags' || field === 'tacklers' || field === 'penalties' || field === 'notSure' ? [] : null);
    const standing = current[field as SnapField];
    if (sameValue(standing, value)) continue;
    const version = provenance[field]?.v ?? 1;
    if (version !== patch.version) {
      conflicts.push({ field, theirs: standing, yours: value, by: provenance[field]?.name ?? '', at: provenance[field]?.at ?? '', version });
      continue;
    }
    if (field === 'notSure') {
      markSure(provenance, current, value as string[], writer);
      provenance.notSure = provenanceOf(value, writer, version + 1, 'sure');
      continue;
    }
    if (field === 'order') row.order = value as number;
    else row[field] = columnValue(field as SnapFact, value);
    provenance[field] = provenanceOf(value, writer, version + 1, provenance[field]?.sure ?? 'sure');
  }
  row.provenance = provenance;
  return conflicts;
}

/** `notSure` lists fields; the doubt itself is kept with each field. Versions of the fields do not move. */
function markSure(provenance: Record<string, FieldProvenance>, current: Snap, list: readonly string[], writer: Writer): void {
  const doubted = new Set(list);
  for (const field of new Set([...Object.keys(provenance), ...list])) {
    if (field === 'notSure' || !Object.hasOwn(SNAP_FIELDS, field)) continue;
    const sure = doubted.has(field) ? 'think_so' : 'sure';
    const before = provenance[field];
    if (before?.sure === sure || (!before && sure === 'sure')) continue;
    provenance[field] = { ...(before ?? provenanceOf(current[field as SnapField], writer, 1, sure)), sure };
  }
}
