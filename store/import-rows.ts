/** Rows of every table into the database, in the order in which they lean on each other. */
import 'server-only';
import { randomUUID } from 'node:crypto';
import type { PlayLink } from '../core/plan/sheet';
import type { LevelKey } from '../core/field/profile';
import { rowToSnap, type Tables } from '../core/table';
import { PLAYS_SCOPE } from '../core/sync';
import { CallRow, CallSheet, PlayRow } from './entities-football';
import { Game, Member, NumberWorn, Player, RosterEntry, Season, Team } from './entities';
import type { Em } from './orm';
import { touchScope } from './sync/scope';
import type { Actor } from '../core/exchange/types';
import { insertSnaps, text, type ImportStep } from './import-snaps';

/** "set-up:play-flat:2" → a link. The table has checked the shape. */
const linksOf = (v: unknown): PlayLink[] =>
  ((v as readonly string[] | null) ?? []).map((part) => {
    const [kind, play, least, trigger] = part.split(':');
    return { kind: kind as PlayLink['kind'], play: play!, least: Number(least), trigger: trigger ?? null };
  });

export async function insertTables(
  tx: Em,
  actor: Actor,
  level: LevelKey,
  year: number,
  tables: Tables,
  now: Date,
  progress: (s: ImportStep) => void,
): Promise<void> {
  const program = actor.programId;
  const teams = new Map((await tx.find(Team, { program })).map((t) => [t.key, t]));
  for (const t of tables.teams) {
    const here = teams.get(String(t.team));
    if (here)
      Object.assign(here, {
        name: String(t.name),
        nickname: text(t.nickname) ?? here.nickname,
        place: text(t.place) ?? here.place,
      });
    else
      teams.set(
        String(t.team),
        tx.create(Team, {
          id: randomUUID(),
          program,
          key: String(t.team),
          name: String(t.name),
          nickname: text(t.nickname),
          place: text(t.place),
        }),
      );
  }
  const seasons = new Map((await tx.find(Season, { program })).map((s) => [s.year, s]));
  const season = (wanted: number) => {
    const found = seasons.get(wanted) ?? tx.create(Season, { id: randomUUID(), program, year: wanted });
    seasons.set(wanted, found);
    return found;
  };
  season(year);
  for (const r of tables.roster) season(r.season as number);
  for (const g of tables.games) if (g.season !== null && g.season !== undefined) season(g.season as number);
  await tx.flush();
  const players = new Map((await tx.find(Player, { program })).map((x) => [x.key, x]));
  for (const r of tables.roster) {
    const key = String(r.player);
    if (!players.has(key))
      players.set(key, tx.create(Player, { id: randomUUID(), program, key, name: text(r.name) }));
  }
  await tx.flush();
  const entries = new Set(
    (await tx.find(RosterEntry, { program })).map((r) => `${r.player}|${r.team}|${r.season}|${r.number}`),
  );
  for (const r of tables.roster) {
    const player = players.get(String(r.player))!.id;
    const team = teams.get(String(r.team))!.id;
    const of = season(r.season as number).id;
    if (entries.has(`${player}|${team}|${of}|${String(r.number)}`)) continue;
    tx.create(RosterEntry, {
      id: randomUUID(),
      program,
      player,
      team,
      season: of,
      number: String(r.number),
      letters: text(r.letters),
      class: text(r.class),
      height: (r.height as number | null) ?? null,
      weight: (r.weight as number | null) ?? null,
    });
  }
  const games = new Map((await tx.find(Game, { program })).map((g) => [g.key, g]));
  for (const g of tables.games) {
    const key = String(g.game);
    if (games.has(key)) continue;
    const dated = g.date ? Number(String(g.date).slice(0, 4)) : year;
    const of = (g.season as number | null) ?? (seasons.has(dated) ? dated : year);
    games.set(
      key,
      tx.create(Game, {
        id: randomUUID(),
        program,
        season: season(of).id,
        key,
        date: text(g.date),
        week: (g.week as number | null) ?? null,
        home: String(g.home),
        away: String(g.away),
        level: (g.level as LevelKey | null) ?? level,
        phase: g.phase as 'regular',
        surface: text(g.surface),
        weather: text(g.weather),
        wind: text(g.wind),
        source: text(g.source),
        closed: g.closed === true,
      }),
    );
  }
  await tx.flush();
  const worn = new Set(
    (await tx.find(NumberWorn, { program })).map((n) => `${n.game}|${n.team}|${n.unit}|${n.number}`),
  );
  for (const n of tables.numbers) {
    const game = games.get(String(n.game))!.id;
    if (worn.has(`${game}|${String(n.team)}|${String(n.unit)}|${String(n.number)}`)) continue;
    tx.create(NumberWorn, {
      id: randomUUID(),
      program,
      game,
      team: String(n.team),
      unit: String(n.unit),
      number: String(n.number),
      player: players.get(String(n.player))!.id,
    });
  }
  await tx.flush();
  await insertSnaps(
    tx,
    actor,
    new Map([...games].map(([k, g]) => [k, g.id])),
    tables.snaps.map(rowToSnap),
    now,
    { tags: tables.tags, progress },
  );
  const plays = new Map((await tx.find(PlayRow, { program })).map((x) => [x.key, x.id]));
  for (const p of tables.plays) {
    const id = randomUUID();
    plays.set(String(p.play), id);
    tx.create(PlayRow, {
      id,
      program,
      key: String(p.play),
      name: String(p.name),
      kind: String(p.kind),
      personnel: text(p.personnel),
      formation: text(p.formation),
      formationSide: text(p.formation_side),
      backfield: text(p.backfield),
      links: linksOf(p.links),
      motion: text(p.motion),
      motionBy: text(p.motion_by),
      concept: String(p.concept),
      conceptWeak: text(p.concept_weak),
      direction: text(p.direction),
      provenance: {},
    });
  }
  if (tables.plays.length > 0) await touchScope(tx, program, PLAYS_SCOPE);
  const byName = new Map((await tx.find(Member, { program })).map((m) => [m.name, m.id]));
  const sheets = new Map<string, string>();
  for (const s of tables.sheets) {
    const id = randomUUID();
    sheets.set(String(s.sheet), id);
    // A locker who is no member here: the one who imports holds the lock.
    tx.create(CallSheet, {
      id,
      program,
      key: String(s.sheet),
      name: String(s.name),
      opponent: String(s.opponent),
      lockedBy: s.locked_by === null ? null : (byName.get(String(s.locked_by)) ?? actor.memberId),
      createdAt: now,
      provenance: {},
    });
  }
  await tx.flush();
  for (const c of tables.calls)
    tx.create(CallRow, {
      id: randomUUID(),
      program,
      sheet: sheets.get(String(c.sheet))!,
      key: String(c.call),
      section: String(c.section),
      order: c.order as number,
      play: plays.get(String(c.play))!,
      hash: text(c.hash),
      note: text(c.note),
      provenance: {},
    });
  await tx.flush();
}
