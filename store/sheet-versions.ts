/** Versions of a sheet: saved under a name, listed, compared on the page, and restored as a whole. */
import 'server-only';
import type { InferEntity } from '@mikro-orm/core';
import { randomUUID } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import type { SheetContent } from '../core/plan/versions';
import { may } from '../core/staff';
import { sheetScope } from '../core/sync';
import type { Actor, SheetVersionInfo } from '../core/exchange/types';
import { permit } from './access';
import { record } from './audit';
import { Member } from './entities';
import { CallRow, CallSheet, PlayRow, SheetRow, SheetVersion } from './entities-football';
import { Invalid, NotFound, Refused } from './errors';
import { openEm, type Em } from './orm';
import { loadSheet } from './plans';
import { nextRevision, touchScope } from './sync/scope';

/** A sheet has so many; the oldest go when more are saved. */
const MOST_VERSIONS = 50;

async function sheetOf(em: Em, actor: Actor, key: string): Promise<InferEntity<typeof CallSheet>> {
  const sheet = await em.findOne(CallSheet, { program: actor.programId, key }, { disableIdentityMap: true });
  if (!sheet) throw new NotFound('call sheet');
  return sheet as InferEntity<typeof CallSheet>;
}

async function contentOf(actor: Actor, key: string): Promise<SheetContent> {
  const { name, sections, list, checks, remarks } = await loadSheet(actor, key);
  return {
    name,
    sections,
    calls: list.map(({ play, ...call }) => ({ ...call, play: play.id })),
    checks,
    remarks,
  };
}

/** Under the sheet's lock: what stands becomes a version. */
async function keep(
  tx: Em,
  actor: Actor,
  sheet: InferEntity<typeof CallSheet>,
  name: string,
  now: Date,
): Promise<number> {
  const [last] = await tx.find(SheetVersion, { sheet: sheet.id }, { orderBy: { number: 'desc' }, limit: 1 });
  const number = (last?.number ?? 0) + 1;
  tx.create(SheetVersion, {
    id: randomUUID(),
    program: actor.programId,
    sheet: sheet.id,
    number,
    name: name === '' ? `Version ${number}` : name,
    content: await contentOf(actor, sheet.key),
    by: actor.memberId,
    at: now,
  });
  await tx.flush();
  await tx.nativeDelete(SheetVersion, { sheet: sheet.id, number: { $lte: number - MOST_VERSIONS } });
  return number;
}

/** Saves the sheet as it stands; the number it has then. */
export async function saveVersion(actor: Actor, key: string, name: string, now: Date): Promise<number> {
  permit(actor, 'sheet.draft');
  const words = name.trim();
  if (words.length > 80) throw new Invalid('a name has up to 80 characters');
  return (await openEm()).transactional(async (tx) => {
    const sheet = await sheetOf(tx, actor, key);
    // Waits for who is writing to the sheet, so that the version is one moment of it.
    await nextRevision(tx, actor.programId, sheetScope(key));
    return keep(tx, actor, sheet, words, now);
  });
}

/** The version that the sheet is, the latest of those alike; where it is none, the latest, and changed. Null: none was saved. */
export async function versionNow(
  actor: Actor,
  key: string,
): Promise<{ readonly number: number; readonly changed: boolean } | null> {
  permit(actor, 'sheet.read');
  const em = await openEm();
  const sheet = await sheetOf(em, actor, key);
  const saved = await em.find(SheetVersion, { sheet: sheet.id }, { orderBy: { number: 'desc' } });
  if (saved.length === 0) return null;
  const stands: unknown = JSON.parse(JSON.stringify(await contentOf(actor, key)));
  const same = saved.find(({ content }) => isDeepStrictEqual(content, stands));
  return { number: (same ?? saved[0]!).number, changed: !same };
}

/** The latest first. */
export async function listVersions(actor: Actor, key: string): Promise<SheetVersionInfo[]> {
  permit(actor, 'sheet.read');
  const em = await openEm();
  const sheet = await sheetOf(em, actor, key);
  const versions = await em.find(SheetVersion, { sheet: sheet.id }, { orderBy: { number: 'desc' } });
  const names = new Map((await em.find(Member, { program: actor.programId })).map((m) => [m.id, m.name]));
  return versions.map((v) => ({
    number: v.number,
    name: v.name,
    by: names.get(v.by as string) ?? '',
    at: new Date(v.at).toISOString(),
    content: v.content,
  }));
}

/**
 * The sheet as a version has it: calls whose play left the list stay away. What stood is saved as a version of its own
 * before; both numbers are given. Browsers with edits under way send them afterwards, each to the row it was made for.
 */
export async function restoreVersion(
  actor: Actor,
  key: string,
  number: number,
  now: Date,
): Promise<{ readonly kept: number; readonly left: number }> {
  permit(actor, 'sheet.draft');
  return (await openEm()).transactional(async (tx) => {
    await sheetOf(tx, actor, key);
    // Read again under the lock: nobody locks the sheet or writes to it from here on.
    await touchScope(tx, actor.programId, sheetScope(key));
    const sheet = await sheetOf(tx, actor, key);
    if (sheet.lockedBy && !may(actor.roles, 'sheet.draft-locked'))
      throw new Refused('changing a locked sheet', ['coordinator']);
    const version = await tx.findOne(SheetVersion, { sheet: sheet.id, number });
    if (!version) throw new NotFound('version');
    const kept = await keep(tx, actor, sheet, `Before version ${number} was restored`, now);
    const { content } = version;
    const plays = new Map((await tx.find(PlayRow, { program: actor.programId })).map((p) => [p.key, p.id]));
    await tx.nativeDelete(CallRow, { sheet: sheet.id });
    await tx.nativeDelete(SheetRow, { sheet: sheet.id });
    const calls = content.calls.filter((c) => plays.has(c.play));
    for (const { id, play, ...call } of calls)
      await tx.insert(CallRow, {
        id: randomUUID(),
        program: actor.programId,
        sheet: sheet.id,
        key: id,
        ...call,
        play: plays.get(play)!,
        provenance: {},
      } as never);
    for (const [kind, list] of [
      ['check', content.checks],
      ['remark', content.remarks],
    ] as const)
      for (const { id, order, ...fields } of list)
        await tx.insert(SheetRow, {
          id: randomUUID(),
          program: actor.programId,
          sheet: sheet.id,
          key: id,
          kind,
          order,
          fields,
          provenance: {},
        } as never);
    await tx.nativeUpdate(CallSheet, { id: sheet.id }, { sections: content.sections } as never);
    await record(tx, actor, 'sheet.draft', `${sheet.name}: version ${number} restored`, now);
    return { kept, left: content.calls.length - calls.length };
  });
}
