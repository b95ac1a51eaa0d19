/** Data packages in: everything is read first, then written whole or not at all. */
import 'server-only';
import { randomUUID } from 'node:crypto';
import { readBook } from '../core/book/book-json';
import type { Book } from '../core/book/term';
import { readProgram } from '../core/exchange/program-json';
import type { ProgramJson } from '../core/exchange/schema';
import type { PlayLink } from '../core/plan/sheet';
import { adaptProfile, LEVEL_PROFILES, type LevelKey, type ProfileChanges } from '../core/field/profile';
import { readRules } from '../core/read/read-rules';
import { fieldOfColumn, sameValue, SNAP_FIELDS } from '../core/snap/fields';
import type { Snap, SnapFact, Sureness } from '../core/snap/snap';
import {
  faultSentence,
  readPackage,
  rowToSnap,
  type NamedFile,
  type Row,
  type TableFault,
  type Tables,
} from '../core/table';
import { gameScope, PLAYS_SCOPE } from '../core/sync';
import { may, PERMISSIONS, rolesWords, type Action } from '../core/staff';
import { permit } from './access';
import { record } from './audit';
import { loadBook, previewReplace, replaceBook, sameBook } from './book';
import {
  CallRow,
  CallSheet,
  Charting,
  Game,
  Member,
  NumberWorn,
  Player,
  PlayRow,
  Program,
  RosterEntry,
  Season,
  SnapRow,
  Team,
} from './entities';
import { Invalid } from './errors';
import { officialCharting } from './games';
import { newColumns, provenanceOf } from './mapping';
import { openEm, type Em } from './orm';
import { announce, touchScope } from './sync/scope';
import type {
  Actor,
  BookChoice,
  FieldProvenance,
  ImportOutcome,
  ProgramSettings,
} from '../core/exchange/types';

/** Where an import stands, for the one who waits. */
export interface ImportStep {
  readonly step: 'reading' | 'checking' | 'writing';
  readonly what: string;
  readonly done?: number;
  readonly of?: number;
}
export interface ImportOptions {
  readonly book?: BookChoice;
  readonly progress?: (step: ImportStep) => void;
}

/** Imports files whole or not at all. Games already in the program are refused by name. One import a program at a time. */
export async function importFiles(
  actor: Actor,
  files: readonly NamedFile[],
  now: Date,
  options: ImportOptions = {},
): Promise<ImportOutcome> {
  permit(actor, 'program.import');
  const progress = options.progress ?? (() => undefined);
  const em = await openEm();
  return em.transactional(async (tx): Promise<ImportOutcome> => {
    // A lock of imports only: the program's row is not held, so members go on saving meanwhile.
    await tx.execute('select pg_advisory_xact_lock(hashtext(?))', [`vobrik import ${actor.programId}`]);
    const program = await tx.findOneOrFail(Program, { id: actor.programId });
    const where = { program: actor.programId };
    const teams = await tx.find(Team, where);
    const known = {
      teams: new Set(teams.map((t) => t.key)),
      games: new Set((await tx.find(Game, where)).map((g) => g.key)),
      plays: new Set((await tx.find(PlayRow, where)).map((x) => x.key)),
    };
    const read = readPackage(files, known, (what) => progress({ step: 'reading', what }));
    progress({ step: 'checking', what: 'references and roles' });
    const details = [...read.faults];
    const fault = (
      file: string,
      remedy: string,
      code: TableFault['code'] = 'value',
      column: string | null = null,
      value = '',
    ) => details.push({ file, row: null, column, value, code, remedy });
    let book: Book | null = null;
    if (read.bookText !== null) {
      const readIt = readBook(read.bookText);
      if (!readIt.ok) fault('book.json', readIt.remedy.replace(/^book\.json,? ?/, ''));
      else if (!sameBook(await loadBook(actor, tx), readIt.book)) book = readIt.book;
    }
    let settings: ProgramSettings | null = null;
    if (read.programText !== null) {
      const readIt = readProgram(read.programText);
      const wanted = readIt.ok ? settingsOf(readIt.program, program.level, program.season) : readIt.remedy;
      if (typeof wanted === 'string') fault('program.json', wanted);
      else if (!sameValue(plainSettings(wanted), plainSettings(program.settings))) settings = wanted;
    }
    details.push(...roleFaults(actor, read.tables, teams, settings !== null, program.settings, settings));
    if (book && options.book !== 'leave') {
      if (book.terms.length === 0)
        fault('book.json', 'is empty; an empty book would leave every logged word without a meaning');
      else if (!may(actor.roles, 'book.replace'))
        fault(
          'book.json',
          `differs from the program’s book, and ${PERMISSIONS['book.replace'].what} is for ${rolesWords(PERMISSIONS['book.replace'].roles)}; leave it out`,
          'role',
        );
    }
    if (
      settings?.opponent &&
      !known.teams.has(settings.opponent) &&
      !read.tables.teams.some((t) => t.team === settings.opponent)
    )
      fault(
        'program.json',
        'the opponent is no team of the package',
        'unknown-ref',
        'opponent',
        settings.opponent,
      );
    details.push(
      ...(await clashes(tx, actor, read.tables)),
      ...playerFaults(read.tables, new Set((await tx.find(Player, where)).map((p) => p.key))),
    );
    const counts = Object.fromEntries(
      Object.entries(read.tables)
        .filter(([, rows]) => rows.length > 0)
        .map(([name, rows]) => [name, rows.length]),
    );
    if (
      details.length === 0 &&
      Object.keys(counts).length === 0 &&
      read.bookText === null &&
      read.programText === null
    )
      fault(files[0]?.name ?? 'file', 'holds nothing to import', 'no-rows');
    if (details.length > 0)
      return { imported: false, faults: details.map(faultSentence), details, counts, book: null };
    if (book && (options.book ?? 'ask') === 'ask')
      return {
        imported: false,
        faults: [],
        details: [],
        counts,
        book: await previewReplace(actor, book, tx),
      };
    if (options.book === 'leave') book = null;
    await insertTables(tx, actor, program.level, program.season, read.tables, now, progress);
    if (book) await replaceBook(tx, actor, book, now);
    if (settings) {
      program.settings = { ...program.settings, ...settings };
      await tx.flush();
    }
    await record(
      tx,
      actor,
      'program.import',
      Object.entries(counts)
        .map(([n, c]) => `${c} ${n}`)
        .join(', ') + (book ? ', the book replaced' : '') || 'book.json',
      now,
    );
    return { imported: true, faults: [], details: [], counts, book: null };
  });
}

const plainSettings = (s: ProgramSettings) => [s.week, s.opponent, s.rules ?? null, s.profile ?? null];

/** The settings of a program.json, checked, or what is wrong with them. */
function settingsOf(p: ProgramJson, level: LevelKey, season: number): ProgramSettings | string {
  const rules = p.rules === null || p.rules === undefined ? null : readRules(p.rules);
  if (rules && !rules.ok) return `rules: ${rules.remedy}`;
  const profile = (p.profile ?? null) as ProfileChanges | null;
  try {
    adaptProfile(LEVEL_PROFILES[level], season, profile);
  } catch (error) {
    return `profile: ${(error as Error).message}`;
  }
  return { week: p.week, opponent: p.opponent, rules: rules?.ok ? rules.rules : null, profile };
}

/** What the member's roles do not allow of the files, each by its file. */
function roleFaults(
  actor: Actor,
  tables: Tables,
  teams: readonly { key: string; name: string; nickname?: string | null; place?: string | null }[],
  hasSettings: boolean,
  before: ProgramSettings,
  after: ProgramSettings | null,
): TableFault[] {
  const out: TableFault[] = [];
  const need = (action: Action, file: string, column: string | null = null, value = ''): void => {
    if (!may(actor.roles, action))
      out.push({
        file,
        row: null,
        column,
        value,
        code: 'role',
        remedy: `is not for your roles: ${PERMISSIONS[action].what} is for ${rolesWords(PERMISSIONS[action].roles)}; leave it out`,
      });
  };
  const here = new Map(teams.map((t) => [t.key, t]));
  for (const t of tables.teams) {
    const known = here.get(String(t.team));
    if (!known) need('team.create', 'teams.csv', 'team', String(t.team));
    else if (
      known.name !== t.name ||
      (t.nickname !== null && t.nickname !== (known.nickname ?? null)) ||
      (t.place !== null && t.place !== (known.place ?? null))
    )
      need('team.rename', 'teams.csv', 'team', String(t.team));
  }
  if (tables.games.length > 0) need('game.create', 'games.csv');
  if (tables.games.some((g) => g.closed === true)) need('game.close', 'games.csv', 'closed', 'true');
  if (tables.snaps.length > 0) need('snap.log', 'snaps.csv');
  if (tables.roster.length + tables.numbers.length > 0) need('roster.import', 'roster.csv');
  if (tables.plays.length > 0) need('play.add', 'plays.csv');
  if (tables.sheets.length > 0) need('sheet.create', 'sheets.csv');
  if (tables.sheets.some((s) => s.locked_by !== null)) need('sheet.lock', 'sheets.csv', 'locked_by');
  if (tables.calls.length > 0) need('sheet.draft', 'calls.csv');
  if (hasSettings && after) {
    if (before.week !== after.week || before.opponent !== after.opponent)
      need('week.set', 'program.json', 'opponent');
    if (!sameValue(before.rules ?? null, after.rules ?? null)) need('rules.set', 'program.json', 'rules');
    if (!sameValue(before.profile ?? null, after.profile ?? null))
      need('level.set', 'program.json', 'profile');
  }
  return out;
}

function playerFaults(tables: Tables, here: ReadonlySet<string>): TableFault[] {
  const known = new Set([...here, ...tables.roster.map((r) => String(r.player))]);
  return tables.numbers
    .filter((n) => !known.has(String(n.player)))
    .slice(0, 50)
    .map((n) => ({
      file: 'numbers.csv',
      row: null,
      column: 'player',
      value: String(n.player),
      code: 'unknown-ref' as const,
      remedy: 'is not in roster.csv; add him there',
    }));
}

/** Rows that are here already under the same key: importing them twice would double every count. */
async function clashes(em: Em, actor: Actor, tables: Tables): Promise<TableFault[]> {
  const out: TableFault[] = [];
  const where = { program: actor.programId };
  for (const g of await em.find(Game, {
    ...where,
    key: { $in: [...new Set(tables.snaps.map((s) => String(s.game)))] },
  })) {
    const charting = await em.findOne(Charting, { game: g.id, kind: 'official' });
    if (charting && (await em.count(SnapRow, { charting: charting.id, deletedAt: null })) > 0)
      out.push({
        file: 'snaps.csv',
        row: null,
        column: 'game',
        value: g.key,
        code: 'key-twice',
        remedy: 'is logged here already; remove its rows from the file',
      });
    else if (g.closed && !may(actor.roles, 'snap.log-closed'))
      out.push({
        file: 'snaps.csv',
        row: null,
        column: 'game',
        value: g.key,
        code: 'role',
        remedy: 'is closed here; a coordinator can reopen it',
      });
  }
  const there = async (
    name: 'plays' | 'sheets' | 'calls',
    column: string,
    entity: typeof PlayRow | typeof CallSheet | typeof CallRow,
  ) => {
    const keys = tables[name].map((r) => String(r[column]));
    if (keys.length === 0) return;
    for (const row of (await em.find(entity as typeof PlayRow, { ...where, key: { $in: keys } })) as {
      key: string;
    }[])
      out.push({
        file: `${name}.csv`,
        row: null,
        column,
        value: row.key,
        code: 'key-twice',
        remedy: 'is in this program already; remove the row from the file',
      });
  };
  await there('plays', 'play', PlayRow);
  await there('sheets', 'sheet', CallSheet);
  await there('calls', 'call', CallRow);
  return out;
}

/** "set-up:play-flat:2" → a link. The table has checked the shape. */
const linksOf = (v: unknown): PlayLink[] =>
  ((v as readonly string[] | null) ?? []).map((part) => {
    const [kind, play, least, trigger] = part.split(':');
    return { kind: kind as PlayLink['kind'], play: play!, least: Number(least), trigger: trigger ?? null };
  });

const text = (v: unknown): string | null => (v === null || v === undefined ? null : String(v));

async function insertTables(
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

interface SnapExtras {
  readonly tags?: readonly Row[];
  readonly progress?: (s: ImportStep) => void;
}

/** Snaps of several games into their official chartings, in batches. */
export async function insertSnaps(
  tx: Em,
  actor: Actor,
  gameIds: ReadonlyMap<string, string>,
  snaps: readonly Snap[],
  now: Date,
  extras: SnapExtras = {},
): Promise<void> {
  const writer = { id: actor.memberId, name: actor.name, at: now };
  const tagsOf = new Map<string, Row[]>();
  for (const t of extras.tags ?? []) {
    const key = `${String(t.game)}\u0000${String(t.snap_id)}`;
    const list = tagsOf.get(key);
    if (list) list.push(t);
    else tagsOf.set(key, [t]);
  }
  const chartings = new Map<string, { id: string; revision: number }>();
  for (const game of new Set(snaps.map((s) => s.game))) {
    const id = gameIds.get(game);
    if (!id) throw new Invalid(`there is no game ${game}`);
    const charting = await officialCharting(tx, actor, id, now);
    const [{ revision }] = (await tx.execute(
      'update charting set revision = revision + 1 where id = ? returning revision',
      [charting.id],
    )) as [{ revision: number }];
    // Snaps removed earlier give way: their order keys go below all others, their ids to the file's.
    await tx.execute(
      `update snap s set order_key = -2e9 - n.rn, snap_key = 'removed-' || s.id from (select id, row_number() over (order by order_key) as rn from snap where charting_id = ? and deleted_at is not null) n where n.id = s.id`,
      [charting.id],
    );
    chartings.set(game, { id: charting.id, revision });
    await announce(tx, { program: actor.programId, scope: gameScope(game), revision });
  }
  const BATCH = 500;
  for (let i = 0; i < snaps.length; i += BATCH) {
    extras.progress?.({ step: 'writing', what: 'snaps', done: i, of: snaps.length });
    const rows = snaps.slice(i, i + BATCH).map((snap) => {
      const charting = chartings.get(snap.game)!;
      const tags = tagsOf.get(`${snap.game}\u0000${snap.snapId}`) ?? [];
      const own = withoutCarried(snap, tags);
      const { columns, provenance } = newColumns(own, writer);
      return {
        id: randomUUID(),
        program: actor.programId,
        charting: charting.id,
        snapKey: snap.snapId,
        order: snap.order,
        ...columns,
        provenance: { ...provenance, ...tagged(own, tags) },
        createdBy: actor.memberId,
        createdAt: now,
        deletedAt: null,
        revision: charting.revision,
      };
    });
    await tx.insertMany(SnapRow, rows as never);
  }
}

/** Cells that only followed from the snap before are blank again, so that they go on following. */
function withoutCarried(snap: Snap, tags: readonly Row[]): Snap {
  const carried = tags
    .filter((t) => t.kind === 'carried')
    .flatMap((t) => (t.columns as string[]).map(fieldOfColumn))
    .filter((f) => Object.hasOwn(SNAP_FIELDS, f) && !['snapId', 'game', 'order'].includes(f));
  return carried.length === 0 ? snap : { ...snap, ...Object.fromEntries(carried.map((f) => [f, null])) };
}

/** Who set which field, as the package says; members of another database keep their name. */
function tagged(snap: Snap, tags: readonly Row[]): Record<string, FieldProvenance> {
  const out: Record<string, FieldProvenance> = {};
  for (const t of tags) {
    if (t.kind !== 'set') continue;
    for (const column of t.columns as string[]) {
      const field = fieldOfColumn(column);
      if (field !== 'snapId' && !Object.hasOwn(SNAP_FIELDS, field)) continue;
      const by = { id: '', name: text(t.by) ?? '', at: new Date(String(t.at ?? 0)) };
      out[field] = {
        ...provenanceOf(
          snap[field as SnapFact],
          by,
          (t.version as number | null) ?? 1,
          (t.sure as Sureness | null) ?? 'sure',
        ),
        at: text(t.at) ?? '',
      };
    }
  }
  return out;
}
