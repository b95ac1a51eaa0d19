/** Teams, games and their chartings. */
import type { InferEntity } from '@mikro-orm/core';
import { randomUUID } from 'node:crypto';
import { profilesFor, type LevelKey, type Profiles } from '../core/field/profile';
import type { Phase } from '../core/table/schema';
import { requireFootball, requireRole } from './access';
import { Charting, Game, Program, Season, SnapRow, Team } from './entities';
import { Invalid, NotFound } from './errors';
import { openEm, type Em } from './orm';
import type { Actor, GameInfo, TeamInfo } from '../core/exchange/types';

export async function listTeams(actor: Actor): Promise<TeamInfo[]> {
  const teams = await (await openEm()).find(Team, { program: actor.programId }, { orderBy: { name: 'asc' } });
  return teams.map((t) => ({ key: t.key, name: t.name, nickname: t.nickname ?? null, place: t.place ?? null }));
}

export async function listGames(actor: Actor): Promise<GameInfo[]> {
  requireFootball(actor, 'reading the games');
  const em = await openEm();
  const games = await em.find(Game, { program: actor.programId }, { orderBy: { week: 'asc', date: 'asc', key: 'asc' } });
  const counts = (await em.execute(
    `select c.game_id, count(s.id)::int as n from charting c left join snap s on s.charting_id = c.id and s.deleted_at is null where c.program_id = ? and c.kind = 'official' group by c.game_id`, [actor.programId],
  )) as { game_id: string; n: number }[];
  const byGame = new Map(counts.map((c) => [c.game_id, c.n]));
  return games.map((g) => gameInfo(g, byGame.get(g.id) ?? 0));
}

type GameRow = InferEntity<typeof Game>;
const gameInfo = (g: GameRow, snaps: number): GameInfo => ({ id: g.id, key: g.key, date: g.date ?? null, week: g.week ?? null, home: g.home, away: g.away, level: g.level, phase: g.phase, closed: g.closed, snaps });

export async function findGame(actor: Actor, key: string): Promise<GameInfo> {
  requireFootball(actor, 'reading a game');
  const em = await openEm();
  const game = await em.findOne(Game, { program: actor.programId, key });
  if (!game) throw new NotFound('game');
  const charting = await em.findOne(Charting, { program: actor.programId, game: game.id, kind: 'official' });
  return gameInfo(game, charting ? await em.count(SnapRow, { charting: charting.id, deletedAt: null }) : 0);
}

/** Every level's profile as the actor's program uses it. */
export async function profilesOf(actor: Actor): Promise<Profiles> {
  const program = await (await openEm()).findOneOrFail(Program, { id: actor.programId });
  return profilesFor(program.level, program.season, program.settings.profile ?? null);
}

export interface NewGame {
  readonly home: string;
  readonly away: string;
  readonly date: string | null;
  readonly week: number | null;
  /** Null: the program's own level. */
  readonly level: LevelKey | null;
  readonly phase: Phase;
}

export async function createGame(actor: Actor, input: NewGame): Promise<string> {
  requireFootball(actor, 'opening a game');
  if (input.home === input.away) throw new Invalid('home and away are the same team; choose two');
  const em = await openEm();
  return em.transactional(async (tx) => {
    const program = await tx.findOneOrFail(Program, { id: actor.programId });
    for (const key of [input.home, input.away]) if (!(await tx.findOne(Team, { program: actor.programId, key }))) throw new NotFound(`team ${key}`);
    const season = await tx.findOneOrFail(Season, { program: actor.programId, year: program.season });
    const base = `${input.date ?? program.season}-${input.away}-${input.home}`.toLowerCase();
    let key = base;
    for (let n = 2; await tx.findOne(Game, { program: actor.programId, key }); n++) key = `${base}-${n}`;
    tx.create(Game, { id: randomUUID(), program: actor.programId, season: season.id, key, date: input.date, week: input.week, home: input.home, away: input.away, level: input.level ?? program.level, phase: input.phase, surface: null, weather: null, wind: null, source: null, closed: false });
    await tx.flush();
    return key;
  });
}

export async function createTeam(actor: Actor, input: { readonly key: string; readonly name: string }): Promise<void> {
  requireFootball(actor, 'adding a team');
  if (!/^[A-Za-z0-9_]{1,12}$/.test(input.key)) throw new Invalid('a team key is one to twelve letters or digits');
  const em = await openEm();
  if (await em.findOne(Team, { program: actor.programId, key: input.key })) throw new Invalid(`the key ${input.key} is taken; choose another`);
  em.create(Team, { id: randomUUID(), program: actor.programId, key: input.key, name: input.name.trim(), nickname: null, place: null });
  await em.flush();
}

export async function closeGame(actor: Actor, key: string, closed: boolean): Promise<void> {
  requireRole(actor, closed ? 'closing a game' : 'opening a closed game', 'coordinator');
  const em = await openEm();
  const game = await em.findOne(Game, { program: actor.programId, key });
  if (!game) throw new NotFound('game');
  game.closed = closed;
  await em.flush();
}

/** The official charting of a game, made on first use. One charting a game is official. */
export async function officialCharting(tx: Em, actor: Actor, gameId: string, now: Date): Promise<{ id: string; revision: number }> {
  const found = await tx.findOne(Charting, { program: actor.programId, game: gameId, kind: 'official' });
  if (found) return found;
  await tx.execute('select 1 from game where id = ? for update', [gameId]);
  const again = await tx.findOne(Charting, { program: actor.programId, game: gameId, kind: 'official' });
  if (again) return again;
  const made = tx.create(Charting, { id: randomUUID(), program: actor.programId, game: gameId, charter: actor.memberId, kind: 'official', revision: 0, createdAt: now });
  await tx.flush();
  return made;
}
