/** Blind chartings: one member's own tags of a game, begun from what anybody reads off the film, compared when handed in. */
import 'server-only';
import { randomUUID } from 'node:crypto';
import { SNAP_FACTS, SNAP_FIELDS } from '../core/snap/fields';
import { byOrder } from '../core/snap/order';
import type { Snap, SnapFact } from '../core/snap/snap';
import type { Actor } from '../core/exchange/types';
import { permit } from './access';
import { Charting, Game, Member } from './entities';
import { SnapRow } from './entities-football';
import { Invalid, NotFound } from './errors';
import { newColumns, rowToSnap } from './mapping';
import { openEm, type Em } from './orm';
import { plainRows } from './sync/snaps';

export interface ChartingInfo {
  readonly id: string;
  readonly name: string;
  readonly kind: 'official' | 'blind';
  readonly mine: boolean;
  readonly handedIn: boolean;
}

/** Read off the board and the field, not judged: a blind charting begins with it. */
const GIVEN: ReadonlySet<SnapFact> = new Set<SnapFact>([
  ...SNAP_FACTS.filter((f) => ['identity', 'situation'].includes(SNAP_FIELDS[f].group)),
  'result',
  'gain',
]);
const BATCH = 100;

async function gameOf(em: Em, actor: Actor, key: string) {
  const game = await em.findOne(Game, { program: actor.programId, key });
  if (!game) throw new NotFound('game');
  return game;
}

/** Chartings of a game that the member may know of. */
export async function chartingsOf(actor: Actor, key: string): Promise<ChartingInfo[]> {
  permit(actor, 'game.read');
  const em = await openEm();
  const game = await gameOf(em, actor, key);
  const rows = await em.find(Charting, { game: game.id }, { orderBy: { createdAt: 'asc' } });
  const names = new Map(
    (await em.find(Member, { id: { $in: rows.map((c) => c.charter) } })).map((m) => [m.id, m.name]),
  );
  return rows.map((c) => ({
    id: c.id,
    name: names.get(c.charter) ?? '',
    kind: c.kind,
    mine: c.kind === 'blind' && c.charter === actor.memberId,
    handedIn: c.handedInAt !== null,
  }));
}

/** Begins the member's own charting of a game; begun already, nothing happens. */
export async function beginBlind(actor: Actor, key: string, now: Date): Promise<void> {
  permit(actor, 'snap.log');
  await (
    await openEm()
  ).transactional(async (tx) => {
    const game = await gameOf(tx, actor, key);
    await tx.execute('select 1 from game where id = ? for update', [game.id]);
    const where = { game: game.id, charter: actor.memberId, kind: 'blind' as const };
    if (await tx.findOne(Charting, where)) return;
    const official = await tx.findOne(Charting, { game: game.id, kind: 'official' });
    const snaps = official
      ? (await plainRows(tx, { charting: official.id, deletedAt: null }))
          .map((r) => rowToSnap(r, key))
          .sort(byOrder)
      : [];
    if (snaps.length === 0)
      throw new Invalid(
        'nobody has logged this game yet; its situations are logged first, then charted blind',
      );
    const id = randomUUID();
    tx.create(Charting, {
      id,
      program: actor.programId,
      ...where,
      revision: 1,
      createdAt: now,
      handedInAt: null,
    });
    await tx.flush();
    const writer = { id: actor.memberId, name: actor.name, at: now };
    const rows = snaps.map((snap, i) => ({
      id: randomUUID(),
      program: actor.programId,
      charting: id,
      snapKey: snap.snapId,
      order: i + 1,
      ...newColumns(given(snap), writer).columns,
      provenance: {},
      createdBy: writer.id,
      createdAt: now,
      deletedAt: null,
      revision: 1,
    }));
    for (let i = 0; i < rows.length; i += BATCH)
      await tx.insertMany(SnapRow, rows.slice(i, i + BATCH) as never);
  });
}
const given = (snap: Snap): Partial<Snap> =>
  Object.fromEntries([...GIVEN].map((f) => [f, snap[f]])) as Partial<Snap>;

/** Ends the member's own charting: he changes it no more, and may see the others'. */
export async function handIn(actor: Actor, key: string, now: Date): Promise<void> {
  permit(actor, 'snap.log');
  await (
    await openEm()
  ).transactional(async (tx) => {
    const game = await gameOf(tx, actor, key);
    const mine = await tx.findOne(Charting, { game: game.id, charter: actor.memberId, kind: 'blind' });
    if (!mine) throw new NotFound('charting of yours');
    mine.handedInAt ??= now;
    await tx.flush();
  });
}

/**
 * Chartings with their snaps, to compare: those handed in, and the official one where it is asked for.
 * Whoever charts the game himself sees them when his own is handed in.
 */
export async function chartingsToCompare(
  actor: Actor,
  key: string,
  withOfficial: boolean,
): Promise<
  {
    readonly id: string;
    readonly name: string;
    readonly kind: 'official' | 'blind';
    readonly snaps: Snap[];
  }[]
> {
  permit(actor, 'game.read');
  const em = await openEm();
  const all = await chartingsOf(actor, key);
  if (all.some((c) => c.mine && !c.handedIn))
    throw new Invalid('you chart this game blind; the others’ are shown when you hand yours in');
  const wanted = all.filter((c) => (c.kind === 'official' ? withOfficial : c.handedIn));
  return Promise.all(
    wanted.map(async (c) => ({
      id: c.id,
      name: c.kind === 'official' ? 'as logged' : c.name,
      kind: c.kind,
      snaps: (await plainRows(em, { charting: c.id, deletedAt: null }))
        .map((r) => rowToSnap(r, key))
        .sort(byOrder),
    })),
  );
}
