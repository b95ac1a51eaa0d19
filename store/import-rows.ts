/** Rows of every table into the database, in the order in which they lean on each other. */
import 'server-only';
import { randomUUID } from 'node:crypto';
import { playOfTableRow } from '../core/plan/play-list';
import type { LevelKey } from '../core/field/profile';
import { rowToSnap, type Tables } from '../core/table';
import { PLAYS_SCOPE } from '../core/sync';
import { CallRow, CallSheet, PlayRow, SheetRow } from './entities-football';
import { fieldsOfRow, ifThenOfCell, sectionsOfCell } from './sheet-columns';
import { Game, LetterWorn, Member, NumberWorn, Player, RosterEntry, Season, Team } from './entities';
import type { Em } from './orm';
import { touchScope } from './sync/scope';
import type { Actor } from '../core/exchange/types';
import { insertSnaps, text, type ImportStep } from './import-snaps';

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
  for (const row of tables.teams) {
    const here = teams.get(String(row.team));
    if (here)
      Object.assign(here, {
        name: String(row.name),
        nickname: text(row.nickname) ?? here.nickname,
        place: text(row.place) ?? here.place,
      });
    else
      teams.set(
        String(row.team),
        tx.create(Team, {
          id: randomUUID(),
          program,
          key: String(row.team),
          name: String(row.name),
          nickname: text(row.nickname),
          place: text(row.place),
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
  for (const row of tables.roster) {
    const key = String(row.player);
    if (!players.has(key))
      players.set(key, tx.create(Player, { id: randomUUID(), program, key, name: text(row.name) }));
  }
  await tx.flush();
  const entries = new Set(
    (await tx.find(RosterEntry, { program })).map((r) => `${r.player}|${r.team}|${r.season}|${r.number}`),
  );
  for (const row of tables.roster) {
    const player = players.get(String(row.player))!.id;
    const team = teams.get(String(row.team))!.id;
    const of = season(row.season as number).id;
    if (entries.has(`${player}|${team}|${of}|${String(row.number)}`)) continue;
    tx.create(RosterEntry, {
      id: randomUUID(),
      program,
      player,
      team,
      season: of,
      number: String(row.number),
      letters: text(row.letters),
      class: text(row.class),
      height: (row.height as number | null) ?? null,
      weight: (row.weight as number | null) ?? null,
      depth: (row.depth as number | null) ?? null,
    });
  }
  const games = new Map((await tx.find(Game, { program })).map((g) => [g.key, g]));
  for (const row of tables.games) {
    const key = String(row.game);
    if (games.has(key)) continue;
    const dated = row.date ? Number(String(row.date).slice(0, 4)) : year;
    const of = (row.season as number | null) ?? (seasons.has(dated) ? dated : year);
    games.set(
      key,
      tx.create(Game, {
        id: randomUUID(),
        program,
        season: season(of).id,
        key,
        date: text(row.date),
        week: (row.week as number | null) ?? null,
        home: String(row.home),
        away: String(row.away),
        level: (row.level as LevelKey | null) ?? level,
        phase: row.phase as 'regular',
        surface: text(row.surface),
        weather: text(row.weather),
        wind: text(row.wind),
        source: text(row.source),
        closed: row.closed === true,
        angle: text(row.angle),
        purpose: text(row.purpose),
        weight: (row.weight as number | null) ?? null,
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
  const lettered = new Set(
    (await tx.find(LetterWorn, { program })).map((l) => `${l.game}|${l.team}|${l.letter}`),
  );
  for (const l of tables.letters) {
    const game = games.get(String(l.game))!.id;
    if (lettered.has(`${game}|${String(l.team)}|${String(l.letter)}`)) continue;
    tx.create(LetterWorn, {
      id: randomUUID(),
      program,
      game,
      team: String(l.team),
      letter: String(l.letter),
      number: String(l.number),
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
  for (const row of tables.plays) {
    const id = randomUUID();
    const { id: key, ...play } = playOfTableRow(row);
    plays.set(key, id);
    tx.create(PlayRow, {
      id,
      program,
      key,
      ...play,
      provenance: {},
    });
  }
  if (tables.plays.length > 0) await touchScope(tx, program, PLAYS_SCOPE);
  const byName = new Map((await tx.find(Member, { program })).map((m) => [m.name, m.id]));
  const sheets = new Map<string, string>();
  for (const row of tables.sheets) {
    const id = randomUUID();
    sheets.set(String(row.sheet), id);
    // A locker who is no member here: the one who imports holds the lock.
    tx.create(CallSheet, {
      id,
      program,
      key: String(row.sheet),
      name: String(row.name),
      opponent: String(row.opponent),
      side: row.side === 'defense' ? 'defense' : 'offense',
      sections: sectionsOfCell(row.sections ?? null) ?? null,
      lockedBy: row.locked_by === null ? null : (byName.get(String(row.locked_by)) ?? actor.memberId),
      createdAt: now,
      provenance: {},
    });
  }
  await tx.flush();
  for (const row of tables.calls)
    tx.create(CallRow, {
      id: randomUUID(),
      program,
      sheet: sheets.get(String(row.sheet))!,
      key: String(row.call),
      section: String(row.section),
      order: row.order as number,
      play: plays.get(String(row.play))!,
      hash: text(row.hash),
      note: text(row.note),
      tags: (row.tags as readonly string[] | null) ?? [],
      ifThen: ifThenOfCell(row.if_then ?? null) ?? [],
      needs: (row.needs as readonly string[] | null) ?? [],
      shownFirst: text(row.shown_first ?? null),
      provenance: {},
    });
  for (const row of tables.sheet_rows)
    tx.create(SheetRow, {
      id: randomUUID(),
      program,
      sheet: sheets.get(String(row.sheet))!,
      key: String(row.row),
      kind: row.kind as 'check' | 'remark',
      order: row.order as number,
      fields: fieldsOfRow(row)!,
      provenance: {},
    });
  await tx.flush();
}
