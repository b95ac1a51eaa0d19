/** Reels that a staff keeps. Who changes one says which change of it he read: nobody's work is written over unseen. */
import 'server-only';
import { randomUUID } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import { UniqueConstraintViolationException } from '@mikro-orm/core';
import { withClips, type Clip, type KeptReel, type ReelInfo } from '../core/read/clips';
import type { Noted } from '../core/plan/findings';
import { MOST_CLIPS, type ReelFields } from '../core/read/schema';
import { may } from '../core/staff';
import type { Actor } from '../core/exchange/types';
import { permit } from './access';
import { record } from './audit';
import { Member } from './entities';
import { Reel } from './entities-read';
import { Invalid, NotFound } from './errors';
import { openEm, type Em } from './orm';

/** Kept a program, at most. */
const MOST_REELS = 300;

const taken = (name: string): Invalid =>
  new Invalid(`there is a reel “${name}” already; choose another name`);
const unlessTaken = (name: string) => (error: unknown) => {
  throw error instanceof UniqueConstraintViolationException ? taken(name) : error;
};

export async function listReels(actor: Actor): Promise<ReelInfo[]> {
  permit(actor, 'reel.save');
  const rows = (await (
    await openEm()
  ).execute(
    `select r.id, r.name, r.sentence, r.shared, r.at, m.name as by, jsonb_array_length(r.clips) as clips
     from reel r join member m on m.id = r.by_id where r.program_id = ? order by r.at desc, r.id`,
    [actor.programId],
  )) as (Omit<ReelInfo, 'at'> & { at: Date | string })[];
  return rows.map((row) => ({ ...row, clips: Number(row.clips), at: new Date(row.at).toISOString() }));
}

/** Kept last, of games that a team plays in: what was noted of it, with the snaps. */
export async function reelsAbout(actor: Actor, team: string): Promise<Noted[]> {
  permit(actor, 'reel.save');
  return (await openEm()).execute(
    `select r.id, r.name, r.sentence, r.source, r.clips, m.name as by from reel r join member m on m.id = r.by_id
     where r.program_id = ? and exists (
       select 1 from jsonb_array_elements(r.clips) c join game g on g.key = c->>'game' and g.program_id = r.program_id
       where ? in (g.home, g.away))
     order by r.at desc, r.id limit ?`,
    [actor.programId, team, MOST_NOTED],
  );
}
/** Findings beside a sheet, at most. */
const MOST_NOTED = 60;

async function find(tx: Em, actor: Actor, id: string, lock = false) {
  if (lock) await tx.execute('select pg_advisory_xact_lock(hashtext(?))', [`vobrik reel ${id}`]);
  const reel = await tx.findOne(Reel, { id, program: actor.programId });
  if (!reel) throw new NotFound('reel');
  return reel;
}

/** A guest sees what was shared; for him another reel is none. */
export async function openReel(actor: Actor, id: string): Promise<KeptReel> {
  permit(actor, 'reel.open');
  const em = await openEm();
  const reel = await find(em, actor, id);
  if (!reel.shared && !may(actor.roles, 'reel.save')) throw new NotFound('reel');
  const by = await em.findOneOrFail(Member, { id: reel.by });
  const { name, sentence, shared, clips, version, at } = reel;
  return {
    id,
    name,
    sentence,
    source: reel.source ?? null,
    shared,
    clips,
    version,
    by: by.name,
    at: at.toISOString(),
  };
}

/** A clip of a game or a snap that the program does not have is refused. */
async function checkClips(tx: Em, actor: Actor, clips: readonly Clip[]): Promise<void> {
  if (clips.length === 0) return;
  const known = (await tx.execute(
    `select count(*)::int as n from snap s join charting c on c.id = s.charting_id and c.kind = 'official' join game g on g.id = c.game_id
     where g.program_id = ? and (g.key, s.snap_key) in (${clips.map(() => '(?, ?)').join(', ')})`,
    [actor.programId, ...clips.flatMap((c) => [c.game, c.snap])],
  )) as { n: number }[];
  if (known[0]!.n !== clips.length) throw new NotFound('snap');
}

export async function createReel(actor: Actor, fields: ReelFields, now: Date): Promise<string> {
  permit(actor, 'reel.save');
  return (await openEm())
    .transactional(async (tx) => {
      // Sent again after a lost answer: it is there already.
      const same = await tx.findOne(Reel, {
        program: actor.programId,
        nameKey: fields.name.toLowerCase(),
        by: actor.memberId,
        version: 1,
      });
      if (same && isDeepStrictEqual(same.clips, fields.clips)) return same.id;
      if ((await tx.count(Reel, { program: actor.programId })) >= MOST_REELS)
        throw new Invalid(`a staff keeps up to ${MOST_REELS} reels; remove one first`);
      await checkClips(tx, actor, fields.clips);
      const id = randomUUID();
      await tx.insert(Reel, {
        ...fields,
        id,
        program: actor.programId,
        nameKey: fields.name.toLowerCase(),
        version: 1,
        by: actor.memberId,
        at: now,
      });
      await record(tx, actor, 'reel.save', `reel “${fields.name}” of ${fields.clips.length} snaps`, now);
      return id;
    })
    .catch(unlessTaken(fields.name));
}

/** Behind what is there; how many it then holds. Needs no version: it takes nothing away. */
export async function addToReel(
  actor: Actor,
  id: string,
  clips: readonly Clip[],
  now: Date,
): Promise<number> {
  permit(actor, 'reel.save');
  return (await openEm()).transactional(async (tx) => {
    const reel = await find(tx, actor, id, true);
    await checkClips(tx, actor, clips);
    const all = withClips(reel.clips, clips);
    if (all.length > MOST_CLIPS)
      throw new Invalid(`a reel holds up to ${MOST_CLIPS} snaps; “${reel.name}” would hold ${all.length}`);
    Object.assign(reel, { clips: all, version: reel.version + 1, at: now });
    await tx.flush();
    return all.length;
  });
}

/** The version it has then. Clips whose snaps are gone may stay; new ones must be there. */
export async function changeReel(
  actor: Actor,
  change: Omit<ReelFields, 'source'> & { readonly id: string; readonly version: number },
  now: Date,
): Promise<number> {
  permit(actor, 'reel.save');
  const { id, version, name, sentence, shared, clips } = change;
  return (await openEm())
    .transactional(async (tx) => {
      const reel = await find(tx, actor, id, true);
      // Sent again after a lost answer: it stands already.
      const { name: n, sentence: made, shared: open, clips: stands } = reel;
      const done = isDeepStrictEqual([n, made, open, stands], [name, sentence, shared, clips]);
      if (done && reel.version === version + 1) return reel.version;
      if (reel.version !== version) throw new Invalid('somebody changed this reel meanwhile');
      const had = new Set(reel.clips.map((c) => `${c.game} ${c.snap}`));
      await checkClips(
        tx,
        actor,
        clips.filter((c) => !had.has(`${c.game} ${c.snap}`)),
      );
      if (reel.shared !== shared)
        await record(
          tx,
          actor,
          'reel.save',
          `reel “${name}” ${shared ? 'shared with' : 'kept from'} guests`,
          now,
        );
      Object.assign(reel, {
        name,
        nameKey: name.toLowerCase(),
        sentence,
        shared,
        clips,
        version: version + 1,
        at: now,
      });
      await tx.flush();
      return version + 1;
    })
    .catch(unlessTaken(name));
}

export async function removeReel(actor: Actor, id: string, now: Date): Promise<void> {
  permit(actor, 'reel.save');
  await (
    await openEm()
  ).transactional(async (tx) => {
    const reel = await find(tx, actor, id, true);
    await tx.nativeDelete(Reel, { id, program: actor.programId });
    await record(tx, actor, 'reel.save', `reel “${reel.name}” removed`, now);
  });
}
