/** Rosters: who a team's players are, what number each wore, which letter stood where. */
import 'server-only';
import { LockMode } from '@mikro-orm/core';
import { randomUUID } from 'node:crypto';
import { group } from 'd3-array';
import type { RosterEntryInfo, RosterLine } from '../core/roster';
import type { Weighed } from '../core/plan/size-up-front';
import type { Actor } from '../core/exchange/types';
import { permit } from './access';
import { record } from './audit';
import {
  AvailabilityRow,
  NumberWorn,
  Player,
  Program,
  RosterEntry,
  Season,
  Team,
} from './entities';
import { Invalid, NotFound } from './errors';
import { openEm, type Em } from './orm';

async function teamAndSeason(em: Em, actor: Actor, teamKey: string) {
  const program = await em.findOneOrFail(Program, { id: actor.programId });
  const team = await em.findOne(Team, { program: actor.programId, key: teamKey });
  if (!team) throw new NotFound('team');
  const season = await em.findOneOrFail(Season, { program: actor.programId, year: program.season });
  return { team, season };
}

/** A team's roster of this season: by letters, depth, number. */
export async function rosterOf(actor: Actor, team: string): Promise<RosterEntryInfo[]> {
  permit(actor, 'roster.read');
  const em = await openEm();
  const of = await teamAndSeason(em, actor, team);
  const entries = await em.find(RosterEntry, {
    program: actor.programId,
    team: of.team.id,
    season: of.season.id,
  });
  const players = new Map(
    (await em.find(Player, { id: { $in: entries.map((e) => e.player) } })).map((p) => [p.id, p]),
  );
  return entries
    .map((e) => ({
      id: e.id,
      player: players.get(e.player)!.key,
      number: e.number,
      name: players.get(e.player)!.name ?? null,
      letters: e.letters ?? null,
      class: e.class ?? null,
      height: e.height ?? null,
      weight: e.weight ?? null,
      depth: e.depth ?? null,
    }))
    .sort(
      (a, b) =>
        (a.letters ?? '~').localeCompare(b.letters ?? '~') ||
        (a.depth ?? 99) - (b.depth ?? 99) ||
        Number(a.number) - Number(b.number) ||
        a.player.localeCompare(b.player),
    );
}

/** Those of all teams of this season, with what a weight is read by. */
export async function weighedRosters(
  actor: Actor,
): Promise<{ readonly team: string; readonly roster: readonly Weighed[] }[]> {
  permit(actor, 'roster.read');
  const rows = (await (
    await openEm()
  ).execute(
    `select t.key as team, e.number, e.letters, e.depth, e.weight from roster_entry e
     join team t on t.id = e.team_id join season s on s.id = e.season_id join program p on p.id = e.program_id
     where e.program_id = ? and s.year = p.season order by t.key, e.number, e.id`,
    [actor.programId],
  )) as ({ team: string } & Weighed)[];
  return [...group(rows, (row) => row.team)].map(([team, roster]) => ({ team, roster }));
}

const slug = (text: string): string =>
  text
    .normalize('NFKD')
    .replace(/[^A-Za-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .toLowerCase();

async function newPlayer(tx: Em, actor: Actor, team: string, line: RosterLine): Promise<string> {
  const base = slug(`${team}-${line.name ?? line.number}`).slice(0, 60) || 'player';
  let key = base;
  for (let n = 2; await tx.findOne(Player, { program: actor.programId, key }); n++) key = `${base}-${n}`;
  const id = randomUUID();
  tx.create(Player, { id, program: actor.programId, key, name: line.name });
  await tx.flush();
  return id;
}

/**
 * Puts lines into a roster: one of the same name (or, nameless, of the same number) is changed, any other is added.
 * Nobody is taken away. All or nothing.
 */
export async function addToRoster(
  actor: Actor,
  team: string,
  lines: readonly RosterLine[],
): Promise<{ readonly added: number; readonly changed: number }> {
  permit(actor, 'roster.change');
  return (await openEm()).transactional(async (tx) => {
    const of = await teamAndSeason(tx, actor, team);
    await tx.lock(of.team, LockMode.PESSIMISTIC_WRITE);
    const entries = await tx.find(RosterEntry, {
      program: actor.programId,
      team: of.team.id,
      season: of.season.id,
    });
    const players = new Map(
      (await tx.find(Player, { id: { $in: entries.map((e) => e.player) } })).map((p) => [p.id, p]),
    );
    let [added, changed] = [0, 0];
    for (const line of lines) {
      const same = entries.find((e) => {
        const name = players.get(e.player)?.name ?? null;
        return line.name !== null && name !== null
          ? name.toLowerCase() === line.name.toLowerCase()
          : e.number === line.number;
      });
      const fields = {
        number: line.number,
        letters: line.letters,
        class: line.class,
        height: line.height,
        weight: line.weight,
        depth: line.depth,
      };
      if (same) {
        const player = players.get(same.player);
        if (player && player.name === null) player.name = line.name;
        // A blank of the list takes nothing away.
        for (const [key, value] of Object.entries(fields))
          if (value !== null) (same as unknown as Record<string, unknown>)[key] = value;
        changed++;
        continue;
      }
      const player = await newPlayer(tx, actor, team, line);
      const entry = tx.create(RosterEntry, {
        id: randomUUID(),
        program: actor.programId,
        player,
        team: of.team.id,
        season: of.season.id,
        ...fields,
      });
      entries.push(entry);
      players.set(player, (await tx.findOne(Player, { id: player }))!);
      added++;
    }
    await tx.flush();
    return { added, changed };
  });
}

/** Changes one entry whole: blanks are blanks. */
export async function changeEntry(actor: Actor, id: string, line: RosterLine): Promise<void> {
  permit(actor, 'roster.change');
  await (
    await openEm()
  ).transactional(async (tx) => {
    const entry = await tx.findOne(RosterEntry, { program: actor.programId, id });
    if (!entry) throw new NotFound('player of the roster');
    const { name, ...fields } = line;
    const twice = await tx.findOne(RosterEntry, {
      player: entry.player,
      team: entry.team,
      season: entry.season,
      number: line.number,
      id: { $ne: id },
    });
    if (twice) throw new Invalid('he stands in this roster with that number already');
    Object.assign(entry, fields);
    const player = await tx.findOneOrFail(Player, { id: entry.player });
    player.name = name;
    await tx.flush();
  });
}

/** Takes an entry out of the roster; the player stays where a game or another roster names him. */
export async function removeEntry(actor: Actor, id: string): Promise<void> {
  permit(actor, 'roster.change');
  await (
    await openEm()
  ).transactional(async (tx) => {
    const entry = await tx.findOne(RosterEntry, { program: actor.programId, id });
    if (!entry) throw new NotFound('player of the roster');
    await tx.nativeDelete(RosterEntry, { id });
    if ((await tx.count(RosterEntry, { player: entry.player })) === 0)
      await tx.nativeDelete(AvailabilityRow, { player: entry.player });
    const named =
      (await tx.count(RosterEntry, { player: entry.player })) +
      (await tx.count(NumberWorn, { player: entry.player }));
    if (named === 0) await tx.nativeDelete(Player, { id: entry.player });
  });
}

/** Two entries are one man: the first is kept, with every roster and number of the second. */
export async function mergePlayers(actor: Actor, keep: string, drop: string, now: Date): Promise<void> {
  permit(actor, 'player.merge');
  await (
    await openEm()
  ).transactional(async (tx) => {
    const where = { program: actor.programId };
    const [kept, dropped] = await Promise.all(
      [keep, drop].map((key) => tx.findOne(Player, { ...where, key })),
    );
    if (!kept || !dropped) throw new NotFound('player');
    if (kept === dropped) throw new Invalid('choose two players');
    const mine = await tx.find(RosterEntry, { ...where, player: kept.id });
    for (const entry of await tx.find(RosterEntry, { ...where, player: dropped.id })) {
      // Another number stays his too: film shows it.
      const same = mine.find(
        (m) => m.team === entry.team && m.season === entry.season && m.number === entry.number,
      );
      if (same) {
        // What the kept one leaves blank comes from the other.
        for (const f of ['letters', 'class', 'height', 'weight', 'depth'] as const)
          if (same[f] === null) (same as unknown as Record<string, unknown>)[f] = entry[f];
        tx.remove(entry);
      } else entry.player = kept.id;
    }
    kept.name ??= dropped.name;
    await tx.flush();
    await tx.nativeUpdate(NumberWorn, { ...where, player: dropped.id }, { player: kept.id });
    // Of a week in which both are named the kept one's word stands; the other's goes with him.
    const weeks = await tx.find(AvailabilityRow, { ...where, player: { $in: [kept.id, dropped.id] } });
    for (const said of weeks)
      if (
        said.player === dropped.id &&
        !weeks.some((w) => w.player === kept.id && w.season === said.season && w.week === said.week)
      )
        said.player = kept.id;
    await tx.flush();
    await tx.nativeDelete(Player, { id: dropped.id });
    await record(
      tx,
      actor,
      'player.merge',
      `${dropped.name ?? dropped.key} is ${kept.name ?? kept.key}`,
      now,
    );
    await tx.flush();
  });
}
