/** The play list and call sheets, to read and to copy. Written they are as operations (store/sync). */
import 'server-only';
import type { InferEntity } from '@mikro-orm/core';
import { randomUUID } from 'node:crypto';
import { CALL_NOTES, NO_NOTES, type CallNotes, type PlayCard, type SheetCall } from '../core/plan/sheet';
import { permit } from './access';
import { CallRow, CallSheet, PlayRow, SheetRow } from './entities-football';
import { checkOfRow, remarkOfRow } from '../core/exchange/from-rows';
import { Member } from './entities';
import { NotFound } from './errors';
import { cardOf } from './mapping';
import { openEm, type Em } from './orm';
import { sheetRows } from './sync/sheets';
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
    side: sheet.side,
    lockedBy: locker?.name ?? null,
    lockedById: sheet.lockedBy ?? null,
    // Checks of a defense, calls of an offense.
    calls:
      sheet.side === 'defense'
        ? await em.count(SheetRow, { sheet: sheet.id, kind: 'check' })
        : await em.count(CallRow, { sheet: sheet.id }),
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
  const rows = (await sheetRows(em, actor, key)).filter((r) => r.kind === 'check' || r.kind === 'remark');
  return {
    ...(await infoOf(em, sheet)),
    list: calls.map((call): SheetCall => ({
      id: call.key,
      section: call.section,
      order: call.order,
      play: plays.get(call.play)!,
      ...notesOf(call as InferEntity<typeof CallRow>),
    })),
    sections: sheet.sections ?? null,
    checks: rows.flatMap((r) => checkOfRow(r) ?? []).sort(byPlace),
    remarks: rows.flatMap((r) => remarkOfRow(r) ?? []).sort(byPlace),
  };
}

const byPlace = (a: { order: number; id: string }, b: { order: number; id: string }): number =>
  a.order - b.order || (a.id < b.id ? -1 : 1);

/** What is noted of a call. */
const notesOf = (call: InferEntity<typeof CallRow>): CallNotes =>
  Object.fromEntries(
    CALL_NOTES.map((field) => [field, call[field] ?? NO_NOTES[field]]),
  ) as unknown as CallNotes;

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
      side: from.side,
      sections: from.sections ?? null,
      lockedBy: null,
      createdAt: now,
      provenance: {},
    });
    await tx.flush();
    const calls = await tx.find(CallRow, { sheet: from.id });
    const keys = new Map(calls.map((call) => [call.key, randomUUID() as string]));
    for (const call of calls) {
      const notes = notesOf(call as InferEntity<typeof CallRow>);
      tx.create(CallRow, {
        id: randomUUID(),
        program: actor.programId,
        sheet: id,
        key: keys.get(call.key)!,
        section: call.section,
        order: call.order,
        play: call.play,
        ...notes,
        // "If … then" leads to the copy's own call.
        ifThen: notes.ifThen.map((one) => ({ ...one, call: one.call && (keys.get(one.call) ?? null) })),
        provenance: {},
      });
    }
    for (const row of await tx.find(SheetRow, { sheet: from.id, kind: 'check' }))
      tx.create(SheetRow, {
        id: randomUUID(),
        program: actor.programId,
        sheet: id,
        key: randomUUID(),
        kind: row.kind,
        order: row.order,
        fields: row.fields,
        provenance: {},
      });
    await tx.flush();
    return key;
  });
}
