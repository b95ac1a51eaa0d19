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
import { CallRow, CallSheet, PlayRow, SheetRow } from './entities-football';
import { writeCell } from './sheet-columns';
import {
  Charting,
  Game,
  LetterWorn,
  Member,
  NumberWorn,
  Player,
  Program,
  RosterEntry,
  Season,
  Team,
} from './entities';
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
  tables.games = games.map((row) => ({
    game: row.key,
    date: row.date,
    home: row.home,
    away: row.away,
    level: row.level,
    phase: row.phase,
    week: row.week,
    season: seasons.get(row.season)!,
    closed: row.closed,
    angle: row.angle ?? null,
    purpose: row.purpose ?? null,
    weight: row.weight ?? null,
    surface: row.surface,
    weather: row.weather,
    wind: row.wind,
    source: row.source,
  }));
  const players = new Map((await em.find(Player, where)).map((p) => [p.id, p]));
  const teamKey = new Map(teams.map((t) => [t.id, t.key]));
  tables.roster = (await em.find(RosterEntry, where))
    .map((row): Row => ({
      player: players.get(row.player)!.key,
      name: players.get(row.player)!.name ?? null,
      team: teamKey.get(row.team)!,
      season: seasons.get(row.season)!,
      number: row.number,
      letters: row.letters ?? null,
      class: row.class ?? null,
      height: row.height ?? null,
      weight: row.weight ?? null,
      depth: row.depth ?? null,
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
  tables.letters = (await em.find(LetterWorn, where))
    .map((l): Row => ({ game: gameKey.get(l.game)!, team: l.team, letter: l.letter, number: l.number }))
    .sort((a, b) => order(a.game, b.game) || order(a.team, b.team) || order(a.letter, b.letter));
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
  tables.plays = plays.map((row) => ({
    play: row.key,
    name: row.name,
    kind: row.kind,
    personnel: row.personnel,
    formation: row.formation,
    formation_side: row.formationSide,
    backfield: row.backfield ?? null,
    motion: row.motion,
    motion_by: row.motionBy,
    concept: row.concept,
    concept_weak: row.conceptWeak,
    direction: row.direction,
    links: row.links.map((l) => [l.kind, l.play, l.least, l.trigger].filter((x) => x !== null).join(':')),
  }));
  const sheets = await em.find(CallSheet, where, { orderBy: { key: 'asc' } });
  tables.sheets = sheets.map((row) => ({
    sheet: row.key,
    name: row.name,
    opponent: row.opponent,
    side: row.side,
    sections: writeCell(row.sections ?? null),
    locked_by: row.lockedBy ? (names.get(row.lockedBy) ?? null) : null,
  }));
  const playKey = new Map(plays.map((p) => [p.id, p.key]));
  const sheetKey = new Map(sheets.map((s) => [s.id, s.key]));
  tables.calls = (await em.find(CallRow, where, { orderBy: { key: 'asc' } })).map((row) => ({
    call: row.key,
    sheet: sheetKey.get(row.sheet)!,
    section: row.section,
    order: row.order,
    play: playKey.get(row.play)!,
    hash: row.hash,
    note: row.note,
    tags: row.tags,
    if_then: row.ifThen.length > 0 ? writeCell(row.ifThen) : null,
    needs: row.needs,
    shown_first: row.shownFirst ?? null,
  }));
  tables.sheet_rows = (await em.find(SheetRow, where, { orderBy: { key: 'asc' } })).map((row) => ({
    row: row.key,
    sheet: sheetKey.get(row.sheet)!,
    kind: row.kind,
    order: row.order,
    fields: writeCell(row.fields),
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
  for (const [, group] of [...groups].sort(([a], [b]) => order(a, b)))
    out.push(row(group.columns, 'set', group.from));
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
