/** Teams, games and their chartings. */
import 'server-only';
import { LockMode, type InferEntity } from '@mikro-orm/core';
import { randomUUID } from 'node:crypto';
import { SAMPLE } from '../core/exchange/names';
import { profilesFor, type LevelKey, type Profiles } from '../core/field/profile';
import type { Camera, Purpose } from '../core/table/film';
import type { Phase } from '../core/table/schema';
import { permit } from './access';
import { record } from './audit';
import {
  Charting,
  Game,
  LetterWorn,
  NumberWorn,
  Presence,
  Program,
  RosterEntry,
  Season,
  Team,
} from './entities';
import { CallSheet, SnapRow } from './entities-football';
import { Invalid, NotFound } from './errors';
import { openEm, type Em } from './orm';
import type { OfficialFigures, Actor, GameInfo, TeamInfo } from '../core/exchange/types';

export async function listTeams(actor: Actor): Promise<TeamInfo[]> {
  permit(actor, 'team.read');
  const teams = await (await openEm()).find(Team, { program: actor.programId }, { orderBy: { name: 'asc' } });
  return teams.map((row) => ({
    key: row.key,
    name: row.name,
    nickname: row.nickname ?? null,
    place: row.place ?? null,
  }));
}

export async function listGames(actor: Actor): Promise<GameInfo[]> {
  permit(actor, 'game.read');
  const em = await openEm();
  const games = await em.find(
    Game,
    { program: actor.programId },
    { orderBy: { week: 'asc', date: 'asc', key: 'asc' } },
  );
  const counts = (await em.execute(
    `select c.game_id, count(s.id)::int as n from charting c left join snap s on s.charting_id = c.id and s.deleted_at is null where c.program_id = ? and c.kind = 'official' group by c.game_id`,
    [actor.programId],
  )) as { game_id: string; n: number }[];
  const byGame = new Map(counts.map((c) => [c.game_id, c.n]));
  return games.map((g) => gameInfo(g, byGame.get(g.id) ?? 0));
}

type GameRow = InferEntity<typeof Game>;
const gameInfo = (inferEntityFromProperties: GameRow, snaps: number): GameInfo => ({
  id: inferEntityFromProperties.id,
  key: inferEntityFromProperties.key,
  date: inferEntityFromProperties.date ?? null,
  week: inferEntityFromProperties.week ?? null,
  home: inferEntityFromProperties.home,
  away: inferEntityFromProperties.away,
  level: inferEntityFromProperties.level,
  phase: inferEntityFromProperties.phase,
  closed: inferEntityFromProperties.closed,
  angle: inferEntityFromProperties.angle ?? null,
  purpose: inferEntityFromProperties.purpose ?? null,
  weight: inferEntityFromProperties.weight ?? null,
  snaps,
  sample: inferEntityFromProperties.source === SAMPLE,
});

export async function findGame(actor: Actor, key: string): Promise<GameInfo> {
  permit(actor, 'game.read');
  const em = await openEm();
  const game = await em.findOne(Game, { program: actor.programId, key });
  if (!game) throw new NotFound('game');
  const charting = await em.findOne(Charting, { program: actor.programId, game: game.id, kind: 'official' });
  return gameInfo(game, charting ? await em.count(SnapRow, { charting: charting.id, deletedAt: null }) : 0);
}

/** Every level's profile as the actor's program uses it. */
export async function profilesOf(actor: Actor): Promise<Profiles> {
  permit(actor, 'program.read');
  const program = await (await openEm()).findOneOrFail(Program, { id: actor.programId });
  return profilesFor(program.level, program.season, program.settings.profile ?? null);
}

/** A team that is there, by key, or a new one by name. */
export type TeamChoice = { readonly key: string } | { readonly name: string };

export interface NewGame {
  readonly home: TeamChoice;
  readonly away: TeamChoice;
  readonly date: string | null;
  readonly week: number | null;
  /** Null: the program's own level. */
  readonly level: LevelKey | null;
  readonly phase: Phase;
}

export async function createGame(actor: Actor, input: NewGame): Promise<string> {
  permit(actor, 'game.create');
  const em = await openEm();
  return em.transactional(async (tx) => {
    // One at a time a program: two games of the same day and teams get two keys.
    const program = await tx.findOneOrFail(
      Program,
      { id: actor.programId },
      { lockMode: LockMode.PESSIMISTIC_WRITE },
    );
    const home = await teamKey(tx, actor, input.home);
    const away = await teamKey(tx, actor, input.away);
    if (home === away) throw new Invalid('home and away are the same team; choose two');
    const season = await tx.findOneOrFail(Season, { program: actor.programId, year: program.season });
    const base = `${input.date ?? program.season}-${away}-${home}`.toLowerCase();
    let key = base;
    for (let n = 2; await tx.findOne(Game, { program: actor.programId, key }); n++) key = `${base}-${n}`;
    tx.create(Game, {
      id: randomUUID(),
      program: actor.programId,
      season: season.id,
      key,
      date: input.date,
      week: input.week,
      home,
      away,
      level: input.level ?? program.level,
      phase: input.phase,
      surface: null,
      weather: null,
      wind: null,
      source: null,
      closed: false,
      angle: null,
      purpose: null,
      weight: null,
      official: null,
    });
    await tx.flush();
    return key;
  });
}

async function teamKey(tx: Em, actor: Actor, choice: TeamChoice): Promise<string> {
  if ('key' in choice) {
    if (!(await tx.findOne(Team, { program: actor.programId, key: choice.key })))
      throw new NotFound(`team ${choice.key.slice(0, 12)}`);
    return choice.key;
  }
  permit(actor, 'team.create');
  const name = choice.name.trim();
  if (name === '') throw new Invalid('name the new team');
  if (/[\p{Cc}\p{Cs}]/u.test(name))
    throw new Invalid('the name of a team holds a control character; type it again');
  const base =
    name
      .normalize('NFKD')
      .replace(/[^A-Za-z0-9]/g, '')
      .slice(0, 8)
      .toUpperCase() || 'TEAM';
  let key = base;
  for (let n = 2; await tx.findOne(Team, { program: actor.programId, key }); n++) key = `${base}${n}`;
  tx.create(Team, { id: randomUUID(), program: actor.programId, key, name, nickname: null, place: null });
  await tx.flush();
  return key;
}

/** `reason`: why it is closed although findings stand. */
export async function closeGame(
  actor: Actor,
  key: string,
  closed: boolean,
  now: Date,
  reason = '',
): Promise<void> {
  permit(actor, 'game.close');
  const em = await openEm();
  await em.transactional(async (tx) => {
    const game = await tx.findOne(Game, { program: actor.programId, key });
    if (!game) throw new NotFound('game');
    game.closed = closed;
    await record(
      tx,
      actor,
      'game.close',
      `${key} ${closed ? 'closed' : 'reopened'}${reason === '' ? '' : `: ${reason}`}`,
      now,
    );
    await tx.flush();
  });
}

/** Where the camera stood, for whom the film is charted, what the game counts in reports; null: not said. */
export async function describeGame(
  actor: Actor,
  key: string,
  change:
    | { readonly angle: Camera | null }
    | { readonly purpose: Purpose | null }
    | { readonly weight: number | null },
): Promise<void> {
  permit(actor, 'snap.log');
  const em = await openEm();
  const done = await em.nativeUpdate(Game, { program: actor.programId, key }, change);
  if (done === 0) throw new NotFound('game');
}

export async function officialOf(actor: Actor, key: string): Promise<OfficialFigures> {
  permit(actor, 'game.read');
  const game = await (await openEm()).findOne(Game, { program: actor.programId, key });
  if (!game) throw new NotFound('game');
  return game.official ?? {};
}

/** Keeps one figure of the official scorer; null takes it away. Two at once never lose each other's. */
export async function saveOfficial(
  actor: Actor,
  key: string,
  change: { readonly team: string; readonly stat: string; readonly figure: number | null },
): Promise<void> {
  permit(actor, 'snap.log');
  await (
    await openEm()
  ).transactional(async (tx) => {
    const game = await tx.findOne(
      Game,
      { program: actor.programId, key },
      { lockMode: LockMode.PESSIMISTIC_WRITE },
    );
    if (!game) throw new NotFound('game');
    if (change.team !== game.home && change.team !== game.away)
      throw new Invalid('that team does not play in this game');
    const { [change.stat]: _, ...others } = game.official?.[change.team] ?? {};
    game.official = {
      ...game.official,
      [change.team]: change.figure === null ? others : { ...others, [change.stat]: change.figure },
    };
    await tx.flush();
  });
}

/**
 * Takes a game out of the program: one that was started by mistake, or the sample game with its snaps and,
 * unless something else names them, its teams. A game with snaps of its own is never removed, only closed.
 */
export async function removeGame(actor: Actor, key: string, now: Date): Promise<void> {
  permit(actor, 'game.remove');
  const em = await openEm();
  await em.transactional(async (tx) => {
    const where = { program: actor.programId };
    const game = await tx.findOne(Game, { ...where, key }, { lockMode: LockMode.PESSIMISTIC_WRITE });
    if (!game) throw new NotFound('game');
    const chartings = (
      await tx.find(Charting, { game: game.id }, { lockMode: LockMode.PESSIMISTIC_WRITE })
    ).map((c) => c.id);
    const snaps = await tx.count(SnapRow, { charting: { $in: chartings } });
    if (snaps > 0 && game.source !== SAMPLE)
      throw new Invalid('snaps were logged in this game, so it is not removed; close it instead');
    await tx.execute(
      'delete from book_change_snap where snap_id in (select id from snap where charting_id = any(?::uuid[]))',
      [`{${chartings.join()}}`],
    );
    await tx.nativeDelete(SnapRow, { charting: { $in: chartings } });
    await tx.nativeDelete(Charting, { game: game.id });
    await tx.nativeDelete(NumberWorn, { game: game.id });
    await tx.nativeDelete(LetterWorn, { game: game.id });
    await tx.nativeDelete(Presence, { game: game.id });
    await tx.nativeDelete(Game, { id: game.id });
    if (game.source === SAMPLE)
      for (const team of [game.home, game.away])
        if (!(await named(tx, actor, team))) await tx.nativeDelete(Team, { ...where, key: team });
    await record(tx, actor, 'game.remove', `${key} removed, ${snaps} snaps`, now);
    await tx.flush();
  });
}

/** True when a game, a roster, a sheet, a play or the week names the team. */
async function named(tx: Em, actor: Actor, team: string): Promise<boolean> {
  const where = { program: actor.programId };
  const program = await tx.findOneOrFail(Program, { id: actor.programId });
  return (
    program.team === team ||
    program.settings.opponent === team ||
    (await tx.count(Game, { ...where, $or: [{ home: team }, { away: team }] })) > 0 ||
    (await tx.count(CallSheet, { ...where, opponent: team })) > 0 ||
    (await tx.count(RosterEntry, {
      ...where,
      team: (await tx.findOneOrFail(Team, { ...where, key: team })).id,
    })) > 0
  );
}

/** The official charting of a game, made on first use. One charting a game is official. */
export async function officialCharting(
  tx: Em,
  actor: Actor,
  gameId: string,
  now: Date,
): Promise<{ id: string; revision: number }> {
  const found = await tx.findOne(Charting, { program: actor.programId, game: gameId, kind: 'official' });
  if (found) return found;
  await tx.execute('select 1 from game where id = ? for update', [gameId]);
  const again = await tx.findOne(Charting, { program: actor.programId, game: gameId, kind: 'official' });
  if (again) return again;
  const made = tx.create(Charting, {
    id: randomUUID(),
    program: actor.programId,
    game: gameId,
    charter: actor.memberId,
    kind: 'official',
    revision: 0,
    createdAt: now,
    handedInAt: null,
  });
  await tx.flush();
  return made;
}
