/** The play list and call sheets. A locked sheet is read-only to all but its locker and coordinators. */
import type { InferEntity } from '@mikro-orm/core';
import { randomUUID } from 'node:crypto';
import { SECTION_KEYS, type PlayCard, type PlayLink, type SheetCall } from '../core/plan/sheet';
import { orderBetween } from '../core/snap/order';
import { FOOTBALL, requireRole } from './access';
import { CallRow, CallSheet, Member, PlayRow, Team } from './entities';
import { Invalid, NotFound, Refused } from './errors';
import { openEm, type Em } from './orm';
import type { Actor, SheetDetail, SheetInfo } from '../core/exchange/types';

const sideOf = (side: string | null | undefined): 'L' | 'R' | null => (side === 'L' || side === 'R' ? side : null);

export function cardOf(row: InferEntity<typeof PlayRow>): PlayCard {
  return {
    id: row.key, name: row.name, kind: row.kind as PlayCard['kind'], personnel: row.personnel ?? null, formation: row.formation ?? null, formationSide: sideOf(row.formationSide),
    motion: row.motion ?? null, motionBy: row.motionBy ?? null, concept: row.concept, conceptWeak: row.conceptWeak ?? null, direction: sideOf(row.direction), backfield: row.backfield ?? null, links: row.links,
  };
}

export async function listPlays(actor: Actor): Promise<PlayCard[]> {
  requireRole(actor, 'reading the play list', ...FOOTBALL);
  return (await (await openEm()).find(PlayRow, { program: actor.programId }, { orderBy: { name: 'asc', key: 'asc' } })).map(cardOf);
}

export async function addPlay(actor: Actor, play: Omit<PlayCard, 'id'>): Promise<string> {
  requireRole(actor, 'adding a play', 'coordinator', 'coach');
  if (play.name.trim() === '' || play.concept.trim() === '') throw new Invalid('a play needs a name and a concept');
  const em = await openEm();
  const key = randomUUID();
  em.create(PlayRow, { ...play, id: randomUUID(), program: actor.programId, key, name: play.name.trim() });
  await em.flush();
  return key;
}

/** Set-ups and complements of a play. Links to plays that are not on the list are refused. */
export async function setLinks(actor: Actor, playKey: string, links: readonly PlayLink[]): Promise<void> {
  requireRole(actor, 'linking plays', 'coordinator', 'coach');
  const em = await openEm();
  const play = await em.findOne(PlayRow, { program: actor.programId, key: playKey });
  if (!play) throw new NotFound('play');
  const there = new Set((await em.find(PlayRow, { program: actor.programId, key: { $in: links.map((l) => l.play) } })).map((r) => r.key));
  for (const l of links) {
    if (l.play === playKey) throw new Invalid('a play cannot set itself up');
    if (!there.has(l.play)) throw new NotFound('play');
  }
  play.links = links.map((l) => ({ kind: l.kind, play: l.play, least: l.least, trigger: l.trigger }));
  await em.flush();
}

export async function listSheets(actor: Actor): Promise<SheetInfo[]> {
  requireRole(actor, 'reading call sheets', ...FOOTBALL);
  const em = await openEm();
  const sheets = await em.find(CallSheet, { program: actor.programId }, { orderBy: { createdAt: 'asc' } });
  return Promise.all(sheets.map((s) => infoOf(em, s)));
}

async function infoOf(em: Em, sheet: InferEntity<typeof CallSheet>): Promise<SheetInfo> {
  const locker = sheet.lockedBy ? await em.findOne(Member, { id: sheet.lockedBy }) : null;
  return { key: sheet.key, name: sheet.name, opponent: sheet.opponent, lockedBy: locker?.name ?? null, lockedById: sheet.lockedBy ?? null, calls: await em.count(CallRow, { sheet: sheet.id }) };
}

export async function createSheet(actor: Actor, input: { readonly name: string; readonly opponent: string }, now: Date): Promise<string> {
  requireRole(actor, 'starting a call sheet', 'coordinator', 'coach');
  const em = await openEm();
  if (!(await em.findOne(Team, { program: actor.programId, key: input.opponent }))) throw new NotFound('team');
  const key = randomUUID();
  em.create(CallSheet, { id: randomUUID(), program: actor.programId, key, name: input.name.trim() || `At ${input.opponent}`, opponent: input.opponent, lockedBy: null, createdAt: now });
  await em.flush();
  return key;
}

async function findSheet(em: Em, actor: Actor, key: string): Promise<InferEntity<typeof CallSheet>> {
  const sheet = await em.findOne(CallSheet, { program: actor.programId, key });
  if (!sheet) throw new NotFound('call sheet');
  return sheet as InferEntity<typeof CallSheet>;
}

export async function loadSheet(actor: Actor, key: string): Promise<SheetDetail> {
  requireRole(actor, 'reading call sheets', ...FOOTBALL);
  const em = await openEm();
  const sheet = await findSheet(em, actor, key);
  const calls = await em.find(CallRow, { sheet: sheet.id }, { orderBy: { order: 'asc', key: 'asc' } });
  const plays = new Map((await em.find(PlayRow, { program: actor.programId })).map((p) => [p.id, cardOf(p)]));
  return {
    ...(await infoOf(em, sheet)),
    list: calls.map((c): SheetCall => ({ id: c.key, section: c.section, order: c.order, play: plays.get(c.play)!, hash: c.hash === 'L' || c.hash === 'M' || c.hash === 'R' ? c.hash : null, note: c.note ?? null })),
  };
}

function mayDraft(actor: Actor, sheet: InferEntity<typeof CallSheet>): void {
  requireRole(actor, 'drafting a call sheet', 'coordinator', 'coach');
  if (sheet.lockedBy && sheet.lockedBy !== actor.memberId && !actor.roles.includes('coordinator')) throw new Refused('changing a locked sheet', ['coordinator']);
}

/** Adds a play to a section, after `after` (null: at the end). Gives the call's key; the same key twice is one call. */
export async function addCall(actor: Actor, sheetKey: string, input: { readonly key: string; readonly section: string; readonly play: string; readonly before: string | null }): Promise<string> {
  if (!SECTION_KEYS.includes(input.section)) throw new Invalid('there is no such section');
  const em = await openEm();
  return em.transactional(async (tx) => {
    const sheet = await findSheet(tx, actor, sheetKey);
    mayDraft(actor, sheet);
    await tx.execute('select 1 from call_sheet where id = ? for update', [sheet.id]);
    if (await tx.findOne(CallRow, { program: actor.programId, key: input.key })) return input.key;
    const play = await tx.findOne(PlayRow, { program: actor.programId, key: input.play });
    if (!play) throw new NotFound('play');
    tx.create(CallRow, { id: randomUUID(), program: actor.programId, sheet: sheet.id, key: input.key, section: input.section, order: await placeBefore(tx, sheet.id, input.section, input.before), play: play.id, hash: null, note: null });
    await tx.flush();
    return input.key;
  });
}

async function placeBefore(tx: Em, sheetId: string, section: string, before: string | null, except?: string): Promise<number> {
  const calls = (await tx.find(CallRow, { sheet: sheetId, section }, { orderBy: { order: 'asc', key: 'asc' } })).filter((c) => c.key !== except);
  const at = before === null ? -1 : calls.findIndex((c) => c.key === before);
  if (at < 0) return orderBetween(calls[calls.length - 1]?.order ?? null, null);
  return orderBetween(calls[at - 1]?.order ?? null, calls[at]!.order);
}

export async function moveCall(actor: Actor, sheetKey: string, callKey: string, to: { readonly section: string; readonly before: string | null }): Promise<void> {
  if (!SECTION_KEYS.includes(to.section)) throw new Invalid('there is no such section');
  const em = await openEm();
  await em.transactional(async (tx) => {
    const sheet = await findSheet(tx, actor, sheetKey);
    mayDraft(actor, sheet);
    await tx.execute('select 1 from call_sheet where id = ? for update', [sheet.id]);
    const call = await tx.findOne(CallRow, { sheet: sheet.id, key: callKey });
    if (!call) throw new NotFound('call');
    call.order = await placeBefore(tx, sheet.id, to.section, to.before, callKey);
    call.section = to.section;
  });
}

export async function changeCall(actor: Actor, sheetKey: string, callKey: string, change: { readonly hash?: 'L' | 'M' | 'R' | null; readonly note?: string | null }): Promise<void> {
  const em = await openEm();
  const sheet = await findSheet(em, actor, sheetKey);
  mayDraft(actor, sheet);
  const call = await em.findOne(CallRow, { sheet: sheet.id, key: callKey });
  if (!call) throw new NotFound('call');
  if (change.hash !== undefined) call.hash = change.hash;
  if (change.note !== undefined) call.note = change.note?.slice(0, 200) ?? null;
  await em.flush();
}

export async function removeCall(actor: Actor, sheetKey: string, callKey: string): Promise<void> {
  const em = await openEm();
  const sheet = await findSheet(em, actor, sheetKey);
  mayDraft(actor, sheet);
  await em.nativeDelete(CallRow, { sheet: sheet.id, key: callKey });
}

export async function lockSheet(actor: Actor, sheetKey: string, locked: boolean): Promise<void> {
  requireRole(actor, locked ? 'locking a sheet' : 'unlocking a sheet', 'coordinator');
  const em = await openEm();
  const sheet = await findSheet(em, actor, sheetKey);
  (sheet as { lockedBy: string | null }).lockedBy = locked ? actor.memberId : null;
  await em.flush();
}

/** A draft of one's own from any sheet, locked or not. */
export async function copySheet(actor: Actor, sheetKey: string, now: Date): Promise<string> {
  requireRole(actor, 'copying a sheet', 'coordinator', 'coach');
  const em = await openEm();
  return em.transactional(async (tx) => {
    const from = await findSheet(tx, actor, sheetKey);
    const [id, key] = [randomUUID(), randomUUID()];
    tx.create(CallSheet, { id, program: actor.programId, key, name: `${from.name}, copy of ${actor.name}`.slice(0, 200), opponent: from.opponent, lockedBy: null, createdAt: now });
    await tx.flush();
    for (const c of await tx.find(CallRow, { sheet: from.id })) tx.create(CallRow, { id: randomUUID(), program: actor.programId, sheet: id, key: randomUUID(), section: c.section, order: c.order, play: c.play, hash: c.hash ?? null, note: c.note ?? null });
    await tx.flush();
    return key;
  });
}
