/** Data packages out: the whole program as tables that import to the same state. */
import 'server-only';
import { writeBook } from '../core/book/term';
import type { Book } from '../core/book/term';
import { writeProgram } from '../core/exchange/program-json';
import { effectiveSnap, walkGame } from '../core/rules/walk';
import { profilesFor } from '../core/field/profile';
import { columnOf, SNAP_FACTS } from '../core/snap/fields';
import { byOrder } from '../core/snap/order';
import type { Snap } from '../core/snap/snap';
import { emptyTables, snapToRow, writePackage, type NamedFile, type Row, type Tables } from '../core/table';
import { permit } from './access';
import { record } from './audit';
import { loadBook } from './book';
import { CallRow, CallSheet, PlayRow } from './entities-football';
import { Charting, Game, Member, NumberWorn, Player, Program, RosterEntry, Season, Team } from './entities';
import { rowToSnap as entityToSnap, type SnapEntity } from './mapping';
import { openEm } from './orm';
import { plainRows } from './sync/snaps';
import { writeWorkbook } from './xlsx';
import type { Actor, FieldProvenance } from '../core/exchange/types';

export interface Exported {
  readonly tables: Tables;
  readonly book: Book;
  readonly level: string;
  readonly name: string;
  readonly program: string;
}

const order = (a: unknown, b: unknown): number =>
  String(a) < String(b) ? -1 : String(a) > String(b) ? 1 : 0;

export async function exportTables(actor: Actor): Promise<Exported> {
  permit(actor, 'program.export');
  const em = await openEm();
  const program = await em.findOneOrFail(Program, { id: actor.programId });
  const where = { program: actor.programId };
  const profiles = profilesFor(program.level, program.season, program.settings.profile ?? null);
  const tables = emptyTables();
  const teams = await em.find(Team, where, { orderBy: { key: 'asc' } });
  tables.teams = teams.map((t) => ({ team: t.key, name: t.name, nickname: t.nickname, place: t.place }));
  const seasons = new Map((await em.find(Season, where)).map((s) => [s.id, s.year]));
  const games = await em.find(Game, where, { orderBy: { key: 'asc' } });
  tables.games = games.map((g) => ({
    game: g.key,
    date: g.date,
    home: g.home,
    away: g.away,
    level: g.level,
    phase: g.phase,
    week: g.week,
    season: seasons.get(g.season)!,
    closed: g.closed,
    surface: g.surface,
    weather: g.weather,
    wind: g.wind,
    source: g.source,
  }));
  const players = new Map((await em.find(Player, where)).map((p) => [p.id, p]));
  const teamKey = new Map(teams.map((t) => [t.id, t.key]));
  tables.roster = (await em.find(RosterEntry, where))
    .map((r): Row => ({
      player: players.get(r.player)!.key,
      name: players.get(r.player)!.name ?? null,
      team: teamKey.get(r.team)!,
      season: seasons.get(r.season)!,
      number: r.number,
      letters: r.letters ?? null,
      class: r.class ?? null,
      height: r.height ?? null,
      weight: r.weight ?? null,
    }))
    .sort(
      (a, b) =>
        order(a.player, b.player) ||
        order(a.team, b.team) ||
        order(a.season, b.season) ||
        order(a.number, b.number),
    );
  const gameKey = new Map(games.map((g) => [g.id, g.key]));
  tables.numbers = (await em.find(NumberWorn, where))
    .map((n): Row => ({
      game: gameKey.get(n.game)!,
      team: n.team,
      unit: n.unit,
      number: n.number,
      player: players.get(n.player)!.key,
    }))
    .sort(
      (a, b) =>
        order(a.game, b.game) || order(a.team, b.team) || order(a.unit, b.unit) || order(a.number, b.number),
    );
  const chartings = await em.find(Charting, { ...where, kind: 'official' });
  const names = new Map((await em.find(Member, where)).map((m) => [m.id, m.name]));
  for (const game of games) {
    const charting = chartings.find((c) => c.game === game.id);
    if (!charting) continue;
    const rows = await plainRows(em, { charting: charting.id, deletedAt: null });
    const stored = new Map(rows.map((r) => [r.snapKey, r]));
    const snaps = rows.map((r) => entityToSnap(r, game.key)).sort(byOrder);
    // The table says what each snap was played in, typed or carried; tags.csv says which of it was carried.
    for (const row of walkGame(snaps, profiles[game.level])) {
      const shown = effectiveSnap(row);
      tables.snaps.push(snapToRow(shown));
      tables.tags.push(...tagRows(game.key, row.snap, shown, stored.get(row.snap.snapId)!, names));
    }
  }
  const plays = await em.find(PlayRow, where, { orderBy: { key: 'asc' } });
  tables.plays = plays.map((p) => ({
    play: p.key,
    name: p.name,
    kind: p.kind,
    personnel: p.personnel,
    formation: p.formation,
    formation_side: p.formationSide,
    backfield: p.backfield ?? null,
    motion: p.motion,
    motion_by: p.motionBy,
    concept: p.concept,
    concept_weak: p.conceptWeak,
    direction: p.direction,
    links: p.links.map((l) => [l.kind, l.play, l.least, l.trigger].filter((x) => x !== null).join(':')),
  }));
  const sheets = await em.find(CallSheet, where, { orderBy: { key: 'asc' } });
  tables.sheets = sheets.map((s) => ({
    sheet: s.key,
    name: s.name,
    opponent: s.opponent,
    locked_by: s.lockedBy ? (names.get(s.lockedBy) ?? null) : null,
  }));
  const playKey = new Map(plays.map((p) => [p.id, p.key]));
  const sheetKey = new Map(sheets.map((s) => [s.id, s.key]));
  tables.calls = (await em.find(CallRow, where, { orderBy: { key: 'asc' } })).map((c) => ({
    call: c.key,
    sheet: sheetKey.get(c.sheet)!,
    section: c.section,
    order: c.order,
    play: playKey.get(c.play)!,
    hash: c.hash,
    note: c.note,
  }));
  return {
    tables,
    book: await loadBook(actor, em),
    level: `${program.level} ${program.season}`,
    name: program.name,
    program: writeProgram(program),
  };
}

/** Who set the cells of a snap, in as few rows as there are different settings; and what is blank in the program itself. */
function tagRows(
  game: string,
  snap: Snap,
  shown: Snap,
  stored: SnapEntity,
  names: ReadonlyMap<string, string>,
): Row[] {
  const row = (
    columns: readonly string[],
    kind: 'set' | 'carried' | 'blank',
    from: Pick<FieldProvenance, 'name' | 'at' | 'sure' | 'v'> | null,
  ): Row => ({
    game,
    snap_id: snap.snapId,
    columns,
    kind,
    by: from?.name || null,
    at: from?.at || null,
    sure: from?.sure ?? null,
    version: from?.v ?? null,
  });
  const own = stored.provenance.snapId;
  const made = stored as unknown as { createdBy: string; createdAt: Date };
  const out = [
    row(
      ['snap_id'],
      'set',
      own ?? {
        name: names.get(made.createdBy) ?? '',
        at: new Date(made.createdAt).toISOString(),
        sure: 'sure',
        v: 1,
      },
    ),
  ];
  const carried = SNAP_FACTS.filter((f) => (snap[f] === null) !== (shown[f] === null));
  if (carried.length > 0) out.push(row(carried.map(columnOf), 'carried', null));
  const blank = (['offense', 'defense'] as const).filter((f) => shown[f] === null);
  if (blank.length > 0) out.push(row(blank, 'blank', null));
  const groups = new Map<string, { from: FieldProvenance; columns: string[] }>();
  for (const field of SNAP_FACTS) {
    const from = stored.provenance[field];
    if (!from) continue;
    const key = [from.name, from.at, from.sure, from.v].join('|');
    const group = groups.get(key);
    if (group) group.columns.push(columnOf(field));
    else groups.set(key, { from, columns: [columnOf(field)] });
  }
  for (const [, g] of [...groups].sort(([a], [b]) => order(a, b))) out.push(row(g.columns, 'set', g.from));
  return out;
}

/** The tables as a workbook; the book and the settings travel in the package only. */
export async function exportWorkbook(actor: Actor, now: Date): Promise<Uint8Array> {
  const { tables } = await exportTables(actor);
  await record(
    await openEm(),
    actor,
    'program.export',
    `workbook: ${tables.snaps.length} snaps, ${tables.games.length} games`,
    now,
  );
  return writeWorkbook(tables);
}

export async function exportFiles(actor: Actor, now: Date): Promise<NamedFile[]> {
  const { tables, book, level, name, program } = await exportTables(actor);
  await record(
    await openEm(),
    actor,
    'program.export',
    `${tables.snaps.length} snaps, ${tables.games.length} games`,
    now,
  );
  return writePackage(tables, writeBook(book), { name, title: name, level }, program);
}
