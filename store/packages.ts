/** Data packages in and out: the whole program as tables, and tables into the program, whole or not at all. */
import { randomUUID } from 'node:crypto';
import { readBook, writeBook } from '../core/book/book-json';
import type { Book } from '../core/book/term';
import type { PlayLink } from '../core/plan/sheet';
import { effectiveSnap, walkGame } from '../core/rules/walk';
import { profilesFor, type LevelKey } from '../core/field/profile';
import { byOrder } from '../core/snap/order';
import type { Snap } from '../core/snap/snap';
import { emptyTables, faultSentence, readPackage, rowToSnap, snapToRow, writePackage, type NamedFile, type Row, type TableFault, type Tables } from '../core/table';
import { requireRole } from './access';
import { loadBook } from './book';
import { BookTerm, CallRow, CallSheet, Charting, Game, Player, PlayRow, Program, RosterEntry, Season, SnapRow, Team } from './entities';
import { Invalid } from './errors';
import { officialCharting } from './games';
import { newColumns, rowToSnap as entityToSnap, type SnapEntity } from './mapping';
import { openEm, type Em } from './orm';
import type { Actor, ImportOutcome } from '../core/exchange/types';

export async function exportTables(actor: Actor): Promise<{ tables: Tables; book: Book; level: string; name: string }> {
  requireRole(actor, 'exporting the program', 'keeper', 'coordinator');
  const em = await openEm();
  const program = await em.findOneOrFail(Program, { id: actor.programId });
  const where = { program: actor.programId };
  const profiles = profilesFor(program.level, program.season, program.settings.profile ?? null);
  const tables = emptyTables();
  const teams = await em.find(Team, where, { orderBy: { key: 'asc' } });
  tables.teams = teams.map((t) => ({ team: t.key, name: t.name, nickname: t.nickname, place: t.place }));
  const games = await em.find(Game, where, { orderBy: { key: 'asc' } });
  tables.games = games.map((g) => ({ game: g.key, date: g.date, home: g.home, away: g.away, level: g.level, phase: g.phase, week: g.week, surface: g.surface, weather: g.weather, wind: g.wind, source: g.source }));
  const players = new Map((await em.find(Player, where)).map((p) => [p.id, p]));
  const seasons = new Map((await em.find(Season, where)).map((s) => [s.id, s.year]));
  const teamKey = new Map(teams.map((t) => [t.id, t.key]));
  tables.roster = (await em.find(RosterEntry, where)).map((r): Row => ({
    player: players.get(r.player)!.key, name: players.get(r.player)!.name ?? null, team: teamKey.get(r.team)!, season: seasons.get(r.season)!, number: r.number, letters: r.letters ?? null, class: r.class ?? null, height: r.height ?? null, weight: r.weight ?? null,
  })).sort((a, b) => String(a.player).localeCompare(String(b.player)) || String(a.number).localeCompare(String(b.number)));
  const chartings = await em.find(Charting, { ...where, kind: 'official' });
  for (const game of games) {
    const charting = chartings.find((c) => c.game === game.id);
    if (!charting) continue;
    const rows = (await em.find(SnapRow, { charting: charting.id, deletedAt: null })) as unknown as SnapEntity[];
    const snaps = rows.map((r) => entityToSnap(r, game.key)).sort(byOrder);
    // The table says what each snap was played in, typed or carried.
    for (const row of walkGame(snaps, profiles[game.level])) tables.snaps.push(snapToRow(effectiveSnap(row)));
  }
  const plays = await em.find(PlayRow, where, { orderBy: { key: 'asc' } });
  tables.plays = plays.map((p) => ({ play: p.key, name: p.name, kind: p.kind, personnel: p.personnel, formation: p.formation, formation_side: p.formationSide, backfield: p.backfield ?? null, motion: p.motion, motion_by: p.motionBy, concept: p.concept, concept_weak: p.conceptWeak, direction: p.direction, links: p.links.map((l) => [l.kind, l.play, l.least, l.trigger].filter((x) => x !== null).join(':')) }));
  const sheets = await em.find(CallSheet, where, { orderBy: { key: 'asc' } });
  tables.sheets = sheets.map((s) => ({ sheet: s.key, name: s.name, opponent: s.opponent }));
  const playKey = new Map(plays.map((p) => [p.id, p.key]));
  const sheetKey = new Map(sheets.map((s) => [s.id, s.key]));
  tables.calls = (await em.find(CallRow, where, { orderBy: { key: 'asc' } })).map((c) => ({ call: c.key, sheet: sheetKey.get(c.sheet)!, section: c.section, order: c.order, play: playKey.get(c.play)!, hash: c.hash, note: c.note }));
  return { tables, book: await loadBook(actor, em), level: `${program.level} ${program.season}`, name: program.name };
}

export async function exportFiles(actor: Actor): Promise<NamedFile[]> {
  const { tables, book, level, name } = await exportTables(actor);
  return writePackage(tables, writeBook(book), { name, title: name, level });
}

/** Imports files whole or not at all. Games already in the program are refused by name. */
export async function importFiles(actor: Actor, files: readonly NamedFile[], now: Date): Promise<ImportOutcome> {
  requireRole(actor, 'importing', 'keeper', 'coordinator', 'charter');
  const em = await openEm();
  const program = await em.findOneOrFail(Program, { id: actor.programId });
  const where = { program: actor.programId };
  const known = {
    teams: new Set((await em.find(Team, where)).map((t) => t.key)),
    games: new Set((await em.find(Game, where)).map((g) => g.key)),
    plays: new Set((await em.find(PlayRow, where)).map((x) => x.key)),
  };
  const read = readPackage(files, known);
  const details = [...read.faults];
  let book: Book | null = null;
  if (read.bookText !== null) {
    const readIt = readBook(read.bookText);
    if (readIt.ok) book = readIt.book;
    else details.push({ file: 'book.json', row: null, column: null, value: '', code: 'value', remedy: readIt.remedy });
  }
  details.push(...(await clashes(em, actor, read.tables)));
  const counts = Object.fromEntries(Object.entries(read.tables).filter(([, rows]) => rows.length > 0).map(([name, rows]) => [name, rows.length]));
  if (details.length === 0 && Object.keys(counts).length === 0 && !book) details.push({ file: files[0]?.name ?? 'file', row: null, column: null, value: '', code: 'no-rows', remedy: 'holds nothing to import' });
  if (details.length > 0) return { imported: false, faults: details.map(faultSentence), details, counts };
  await em.transactional((tx) => insertTables(tx, actor, program.level, program.season, read.tables, book, now));
  return { imported: true, faults: [], details: [], counts };
}

/** Rows that are here already under the same key: importing them twice would double every count. */
async function clashes(em: Em, actor: Actor, tables: Tables): Promise<TableFault[]> {
  const out: TableFault[] = [];
  const where = { program: actor.programId };
  const charted = new Set<string>();
  for (const g of await em.find(Game, { ...where, key: { $in: [...new Set(tables.snaps.map((s) => String(s.game)))] } })) {
    const charting = await em.findOne(Charting, { game: g.id, kind: 'official' });
    if (charting && (await em.count(SnapRow, { charting: charting.id, deletedAt: null })) > 0) charted.add(g.key);
  }
  for (const key of charted) out.push({ file: 'snaps.csv', row: null, column: 'game', value: key, code: 'key-twice', remedy: 'is logged here already; remove its rows from the file' });
  const there = async (name: 'plays' | 'sheets' | 'calls', column: string, entity: typeof PlayRow | typeof CallSheet | typeof CallRow) => {
    const keys = tables[name].map((r) => String(r[column]));
    if (keys.length === 0) return;
    for (const row of (await em.find(entity as typeof PlayRow, { ...where, key: { $in: keys } })) as { key: string }[]) out.push({ file: `${name}.csv`, row: null, column, value: row.key, code: 'key-twice', remedy: 'is in this program already; remove the row from the file' });
  };
  await there('plays', 'play', PlayRow);
  await there('sheets', 'sheet', CallSheet);
  await there('calls', 'call', CallRow);
  return out;
}

/** "set-up:play-flat:2" → a link. The table has checked the shape. */
const linksOf = (v: unknown): PlayLink[] => ((v as readonly string[] | null) ?? []).map((part) => {
  const [kind, play, least, trigger] = part.split(':');
  return { kind: kind as PlayLink['kind'], play: play!, least: Number(least), trigger: trigger ?? null };
});

const text = (v: unknown): string | null => (v === null || v === undefined ? null : String(v));

async function insertTables(tx: Em, actor: Actor, level: LevelKey, year: number, tables: Tables, book: Book | null, now: Date): Promise<void> {
  const program = actor.programId;
  const teams = new Map((await tx.find(Team, { program })).map((t) => [t.key, t]));
  for (const t of tables.teams) {
    const here = teams.get(String(t.team));
    if (here) Object.assign(here, { name: String(t.name), nickname: text(t.nickname) ?? here.nickname, place: text(t.place) ?? here.place });
    else teams.set(String(t.team), tx.create(Team, { id: randomUUID(), program, key: String(t.team), name: String(t.name), nickname: text(t.nickname), place: text(t.place) }));
  }
  const seasons = new Map((await tx.find(Season, { program })).map((s) => [s.year, s]));
  const season = (wanted: number) => {
    const found = seasons.get(wanted) ?? tx.create(Season, { id: randomUUID(), program, year: wanted });
    seasons.set(wanted, found);
    return found;
  };
  season(year);
  for (const r of tables.roster) season(r.season as number);
  await tx.flush();
  const players = new Map((await tx.find(Player, { program })).map((x) => [x.key, x]));
  for (const r of tables.roster) {
    const key = String(r.player);
    if (!players.has(key)) players.set(key, tx.create(Player, { id: randomUUID(), program, key, name: text(r.name) }));
  }
  await tx.flush();
  const entries = new Set((await tx.find(RosterEntry, { program })).map((r) => `${r.player}|${r.team}|${r.season}|${r.number}`));
  for (const r of tables.roster) {
    const player = players.get(String(r.player))!.id;
    const team = teams.get(String(r.team))!.id;
    const of = season(r.season as number).id;
    if (entries.has(`${player}|${team}|${of}|${String(r.number)}`)) continue;
    tx.create(RosterEntry, { id: randomUUID(), program, player, team, season: of, number: String(r.number), letters: text(r.letters), class: text(r.class), height: (r.height as number | null) ?? null, weight: (r.weight as number | null) ?? null });
  }
  const games = new Map((await tx.find(Game, { program })).map((g) => [g.key, g]));
  for (const g of tables.games) {
    const key = String(g.game);
    if (games.has(key)) continue;
    const gameYear = g.date ? Number(String(g.date).slice(0, 4)) : year;
    games.set(key, tx.create(Game, {
      id: randomUUID(), program, season: season(seasons.has(gameYear) ? gameYear : year).id, key, date: text(g.date), week: (g.week as number | null) ?? null, home: String(g.home), away: String(g.away), level: (g.level as LevelKey | null) ?? level, phase: g.phase as 'regular',
      surface: text(g.surface), weather: text(g.weather), wind: text(g.wind), source: text(g.source), closed: false,
    }));
  }
  await tx.flush();
  await insertSnaps(tx, actor, new Map([...games].map(([k, g]) => [k, g.id])), tables.snaps.map(rowToSnap), now);
  if (book) await replaceBook(tx, actor, book);
  const plays = new Map((await tx.find(PlayRow, { program })).map((x) => [x.key, x.id]));
  for (const p of tables.plays) {
    const id = randomUUID();
    plays.set(String(p.play), id);
    tx.create(PlayRow, { id, program, key: String(p.play), name: String(p.name), kind: String(p.kind), personnel: text(p.personnel), formation: text(p.formation), formationSide: text(p.formation_side), backfield: text(p.backfield), links: linksOf(p.links), motion: text(p.motion), motionBy: text(p.motion_by), concept: String(p.concept), conceptWeak: text(p.concept_weak), direction: text(p.direction) });
  }
  const sheets = new Map<string, string>();
  for (const s of tables.sheets) {
    const id = randomUUID();
    sheets.set(String(s.sheet), id);
    tx.create(CallSheet, { id, program, key: String(s.sheet), name: String(s.name), opponent: String(s.opponent), lockedBy: null, createdAt: now });
  }
  await tx.flush();
  for (const c of tables.calls) tx.create(CallRow, { id: randomUUID(), program, sheet: sheets.get(String(c.sheet))!, key: String(c.call), section: String(c.section), order: c.order as number, play: plays.get(String(c.play))!, hash: text(c.hash), note: text(c.note) });
  await tx.flush();
}

/** Snaps of several games into their official chartings, in batches. */
export async function insertSnaps(tx: Em, actor: Actor, gameIds: ReadonlyMap<string, string>, snaps: readonly Snap[], now: Date): Promise<void> {
  const writer = { id: actor.memberId, name: actor.name, at: now };
  const chartings = new Map<string, { id: string; revision: number }>();
  for (const game of new Set(snaps.map((s) => s.game))) {
    const id = gameIds.get(game);
    if (!id) throw new Invalid(`there is no game ${game}`);
    const charting = await officialCharting(tx, actor, id, now);
    const revision = charting.revision + 1;
    await tx.nativeUpdate(Charting, { id: charting.id }, { revision });
    chartings.set(game, { id: charting.id, revision });
  }
  const rows = snaps.map((snap) => {
    const charting = chartings.get(snap.game)!;
    const { columns, provenance } = newColumns(snap, writer);
    return { id: randomUUID(), program: actor.programId, charting: charting.id, snapKey: snap.snapId, order: snap.order, ...columns, provenance, createdBy: actor.memberId, createdAt: now, deletedAt: null, revision: charting.revision };
  });
  for (let i = 0; i < rows.length; i += 500) await tx.insertMany(SnapRow, rows.slice(i, i + 500) as never);
}

export async function replaceBook(tx: Em, actor: Actor, book: Book): Promise<void> {
  const program = await tx.findOneOrFail(Program, { id: actor.programId });
  program.bookName = book.name;
  program.bookLetters = [...book.letters];
  const here = new Map((await tx.find(BookTerm, { program: actor.programId })).map((t) => [t.key, t]));
  book.terms.forEach((t, position) => {
    const values = { kind: t.kind, word: t.word, aliases: [...t.aliases], value: t.value ?? null, spots: t.spots ?? null, definition: t.definition ?? null, notes: t.notes ?? null, position };
    const found = here.get(t.id);
    here.delete(t.id);
    if (found) Object.assign(found, values);
    else tx.create(BookTerm, { id: randomUUID(), program: actor.programId, key: t.id, ...values });
  });
  for (const gone of here.values()) tx.remove(gone);
  await tx.flush();
}
