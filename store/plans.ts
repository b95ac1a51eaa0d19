/** The play list and call sheets, to read and to copy. Written they are as operations (store/sync). */
import 'server-only';
import type { InferEntity } from '@mikro-orm/core';
import { randomUUID } from 'node:crypto';
import type { PlayCard, SheetCall } from '../core/plan/sheet';
import { permit } from './access';
import { CallRow, CallSheet, PlayRow } from './entities-football';
import { Member } from './entities';
import { NotFound } from './errors';
import { cardOf } from './mapping';
import { openEm, type Em } from './orm';
import type { Actor, SheetDetail, SheetInfo } from '../core/exchange/types';

export async function listPlays(actor: Actor): Promise<PlayCard[]> {
  permit(actor, 'play.read');
  return (
    await (
      await openEm()
    ).find(PlayRow, { program: actor.programId }, { orderBy: { name: 'asc', key: 'asc' } })
  ).map(cardOf);
}

export async function listSheets(actor: Actor): Promise<SheetInfo[]> {
  permit(actor, 'sheet.read');
  const em = await openEm();
  const sheets = await em.find(CallSheet, { program: actor.programId }, { orderBy: { createdAt: 'asc' } });
  return Promise.all(sheets.map((s) => infoOf(em, s)));
}

async function infoOf(em: Em, sheet: InferEntity<typeof CallSheet>): Promise<SheetInfo> {
  const locker = sheet.lockedBy ? await em.findOne(Member, { id: sheet.lockedBy }) : null;
  return {
    key: sheet.key,
    name: sheet.name,
    opponent: sheet.opponent,
    lockedBy: locker?.name ?? null,
    lockedById: sheet.lockedBy ?? null,
    calls: await em.count(CallRow, { sheet: sheet.id }),
  };
}

async function findSheet(em: Em, actor: Actor, key: string): Promise<InferEntity<typeof CallSheet>> {
  const sheet = await em.findOne(CallSheet, { program: actor.programId, key });
  if (!sheet) throw new NotFound('call sheet');
  return sheet as InferEntity<typeof CallSheet>;
}

export async function loadSheet(actor: Actor, key: string): Promise<SheetDetail> {
  permit(actor, 'sheet.read');
  const em = await openEm();
  const sheet = await findSheet(em, actor, key);
  const calls = await em.find(CallRow, { sheet: sheet.id }, { orderBy: { order: 'asc', key: 'asc' } });
  const plays = new Map((await em.find(PlayRow, { program: actor.programId })).map((p) => [p.id, cardOf(p)]));
  return {
    ...(await infoOf(em, sheet)),
    list: calls.map((call): SheetCall => ({
      id: call.key,
      section: call.section,
      order: call.order,
      play: plays.get(call.play)!,
      hash: call.hash === 'L' || call.hash === 'M' || call.hash === 'R' ? call.hash : null,
      note: call.note ?? null,
    })),
  };
}

/** A draft of one's own from any sheet, locked or not. */
export async function copySheet(actor: Actor, sheetKey: string, now: Date): Promise<string> {
  permit(actor, 'sheet.copy');
  const em = await openEm();
  return em.transactional(async (tx) => {
    const from = await findSheet(tx, actor, sheetKey);
    const [id, key] = [randomUUID(), randomUUID()];
    tx.create(CallSheet, {
      id,
      program: actor.programId,
      key,
      name: `${from.name}, copy of ${actor.name}`.slice(0, 200),
      opponent: from.opponent,
      lockedBy: null,
      createdAt: now,
      provenance: {},
    });
    await tx.flush();
    for (const call of await tx.find(CallRow, { sheet: from.id }))
      tx.create(CallRow, {
        id: randomUUID(),
        program: actor.programId,
        sheet: id,
        key: randomUUID(),
        section: call.section,
        order: call.order,
        play: call.play,
        hash: call.hash ?? null,
        note: call.note ?? null,
        provenance: {},
      });
    await tx.flush();
    return key;
  });
}
