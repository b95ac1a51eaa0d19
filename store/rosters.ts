/** Rosters: who a team's players are, what number each wore, which letter stood where. */
import 'server-only';
import { LockMode } from '@mikro-orm/core';
import { randomUUID } from 'node:crypto';
import type { RosterEntryInfo, RosterLine, WearingUnit } from '../core/roster';
import type { Actor } from '../core/exchange/types';
import { permit } from './access';
import { record } from './audit';
import { AvailabilityRow, Game, LetterWorn, NumberWorn, Player, Program, RosterEntry, Season, Team } from './entities';
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

export interface WornInfo {
  readonly unit: string;
  readonly number: string;
  readonly player: string;
}
export interface GamePeople {
  readonly worn: readonly WornInfo[];
  /** Number by letter. */
  readonly letters: Readonly<Record<string, string>>;
}

async function gameOf(em: Em, actor: Actor, key: string, team: string) {
  const game = await em.findOne(Game, { program: actor.programId, key });
  if (!game) throw new NotFound('game');
  if (team !== game.home && team !== game.away) throw new Invalid('that team does not play in this game');
  return game;
}

/** What a team's players wore in a game, where it is not as the roster says, and who stood at which letter. */
export async function peopleOfGame(actor: Actor, gameKey: string, team: string): Promise<GamePeople> {
  permit(actor, 'roster.read');
  const em = await openEm();
  const game = await gameOf(em, actor, gameKey, team);
  const [worn, letters] = await Promise.all([
    em.find(NumberWorn, { game: game.id, team }),
    em.find(LetterWorn, { game: game.id, team }),
  ]);
  const players = new Map(
    (await em.find(Player, { id: { $in: worn.map((w) => w.player) } })).map((p) => [p.id, p.key]),
  );
  return {
    worn: worn
      .map((w) => ({ unit: w.unit, number: w.number, player: players.get(w.player)! }))
      .sort((a, b) => a.unit.localeCompare(b.unit) || Number(a.number) - Number(b.number)),
    letters: Object.fromEntries(
      letters.map((l) => [l.letter, l.number] as const).sort((a, b) => a[0].localeCompare(b[0])),
    ),
  };
}

/** Says whose number it was in a game and unit; null takes it away. */
export async function setWorn(
  actor: Actor,
  at: { readonly game: string; readonly team: string; readonly unit: WearingUnit; readonly number: string },
  player: string | null,
): Promise<void> {
  permit(actor, 'roster.change');
  await (
    await openEm()
  ).transactional(async (tx) => {
    const game = await gameOf(tx, actor, at.game, at.team);
    const where = { game: game.id, team: at.team, unit: at.unit, number: at.number };
    await tx.nativeDelete(NumberWorn, where);
    if (player === null) return;
    const who = await tx.findOne(Player, { program: actor.programId, key: player });
    if (!who) throw new NotFound('player');
    await tx.insert(NumberWorn, { id: randomUUID(), program: actor.programId, ...where, player: who.id });
  });
}

/** The whole map of a team's letters in a game, anew. */
export async function setLetters(
  actor: Actor,
  gameKey: string,
  team: string,
  letters: Readonly<Record<string, string>>,
): Promise<void> {
  permit(actor, 'roster.change');
  await (
    await openEm()
  ).transactional(async (tx) => {
    const game = await gameOf(tx, actor, gameKey, team);
    await tx.lock(game, LockMode.PESSIMISTIC_WRITE);
    await tx.nativeDelete(LetterWorn, { game: game.id, team });
    for (const [letter, number] of Object.entries(letters))
      await tx.insert(LetterWorn, {
        id: randomUUID(),
        program: actor.programId,
        game: game.id,
        team,
        letter,
        number,
      });
  });
}
