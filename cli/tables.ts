/** parse, check, read: the core without a browser. */
import { DEFAULT_BOOK } from '../core/book/default-book';
import { readBook } from '../core/book/book-json';
import type { Book } from '../core/book/term';
import type { LevelKey, LevelProfile } from '../core/field/profile';
import { playOfTableRow, type PlayCard } from '../core/plan';
import { parseLine, problemSentence, stateAfter } from '../core/line';
import {
  explain,
  describeState,
  findingWords,
  remedyLabel,
  unknownState,
  checkRows,
  walkGame,
  type GameState,
} from '../core/rules';
import {
  buildColumns,
  countGame,
  FILM_KINDS,
  filmKind,
  select,
  measureBy,
  weightsOf,
  type Weighed,
  type FilmKind,
  type Rate,
} from '../core/read';
import { columnOf, type Snap } from '../core/snap';
import { faultSentence, readPackage, rowToSnap, unpack } from '../core/table';
import { filterColumn, readWhere, spelledOut } from './where';
import { staffOfFile, type FileStaff, type Said } from './file-staff';
import { bookOption, levelOption, print, readFileOrSay, readOptions } from './options';
import { Plain } from './paths';

export async function parse(args: string[]): Promise<number> {
  const { values, rest } = readOptions(args, ['book', 'state', 'level']);
  const profile = levelOption(values.level);
  if (rest.length !== 1) throw new Plain('give one line in quotes: ./vobrik parse "power r +6"');
  const book = bookOption(values.book);
  let state: GameState | null = null;
  if (values.state !== undefined) {
    const typed = parseLine(values.state, { book, profile, state: null, previous: null });
    const bad = typed.problems[0];
    if (bad) throw new Plain(`--state, characters ${bad.start + 1}–${bad.end}: ${problemSentence(bad)}`);
    const partial = typed.fields;
    state = {
      ...unknownState({ us: 0, them: 0 }),
      offense: 'us',
      defense: 'them',
      unit: 'scrimmage',
      quarter: partial.quarter ?? null,
      clock: partial.clock ?? null,
      down: partial.down ?? null,
      distance: partial.distance ?? null,
      toGoal: partial.toGoal ?? null,
      hash: partial.hash ?? null,
    };
  }
  const context = { book, profile, state, previous: null };
  const parsed = parseLine(rest[0]!, context);
  const { before, after } = stateAfter(parsed, context);
  print({
    line: parsed.text,
    fields: Object.fromEntries(Object.entries(parsed.fields).map(([k, v]) => [columnOf(k), v])),
    problems: parsed.problems.map((problem) => ({
      code: problem.code,
      start: problem.start,
      end: problem.end,
      text: problem.text,
      sentence: problemSentence(problem),
      candidates: problem.candidates.map((c) => c.text),
    })),
    before: stateJson(before),
    next: stateJson(after.state),
    explain: explain(after.steps),
    unknown: after.unknown,
  });
  return 0;
}

const stateJson = (gameState: GameState) => ({
  offense: gameState.offense,
  unit: gameState.unit,
  quarter: gameState.quarter,
  down: gameState.down,
  distance: gameState.distance,
  to_goal: gameState.toGoal,
  hash: gameState.hash,
  words: describeState(gameState),
});

interface ReadGames {
  readonly games: ReadonlyMap<string, Snap[]>;
  readonly phaseOf: (game: string) => string;
  /** Games the file says something of, by week and date, the earliest first. */
  readonly weighed: readonly Weighed[];
  readonly book: Book;
  /** The play list, where the file has one. */
  readonly plays: readonly PlayCard[];
  readonly staff: FileStaff;
  /** The rules a game is played by. */
  readonly profileOf: (game: string) => LevelProfile;
}

/** The games of a table or a package, with what it says of each. */
export function readGames(file: string | undefined, options: Said): ReadGames {
  const bytes = readFileOrSay(file, 'a snap table');
  const unpacked = unpack(file!, bytes);
  if (!unpacked.ok) throw new Plain(unpacked.remedy);
  const read = readPackage(unpacked.files, { teams: new Set(), games: new Set(), plays: new Set() });
  if (read.faults.length > 0)
    throw new Plain(
      read.faults.length === 1
        ? faultSentence(read.faults[0]!)
        : `${faultSentence(read.faults[0]!)} (and ${read.faults.length - 1} more)`,
    );
  const games = new Map<string, Snap[]>();
  for (const snap of read.tables.snaps.map(rowToSnap)) {
    const list = games.get(snap.game);
    if (list) list.push(snap);
    else games.set(snap.game, [snap]);
  }
  const levels = new Map(read.tables.games.map((g) => [String(g.game), g.level as LevelKey | null]));
  const phases = new Map(read.tables.games.map((g) => [String(g.game), String(g.phase ?? 'regular')]));
  const said = new Map(read.tables.games.map((g) => [String(g.game), g]));
  const when = (key: string): string =>
    `${String(said.get(key)?.week ?? 0).padStart(3, '0')} ${String(said.get(key)?.date ?? '')} ${key}`;
  const weighed = [...games.keys()]
    .sort((a, b) => (when(a) < when(b) ? -1 : 1))
    .map((key): Weighed => ({ key, weight: (said.get(key)?.weight as number | null | undefined) ?? null }));
  let book: Book = DEFAULT_BOOK;
  if (read.bookText !== null) {
    const own = readBook(read.bookText);
    if (!own.ok) throw new Plain(own.remedy);
    book = own.book;
  }
  const staff = staffOfFile(read.programText, options);
  return {
    games,
    staff,
    profileOf: (game) => staff.profiles[levels.get(game) ?? staff.level.key],
    phaseOf: (game) => phases.get(game) ?? 'regular',
    weighed,
    book,
    plays: read.tables.plays.map(playOfTableRow),
  };
}

export async function check(args: string[]): Promise<number> {
  const { values, rest } = readOptions(args, ['level']);
  const { games, profileOf } = readGames(rest[0], values);
  const findings = [...games].flatMap(([game, snaps]) => {
    const rows = walkGame(snaps, profileOf(game));
    const bySnap = new Map(rows.map((r) => [r.snap.snapId, r]));
    return checkRows(rows).map((finding) => ({
      game,
      snap_id: finding.snapId,
      snap: finding.number,
      order: bySnap.get(finding.snapId)!.snap.order,
      level: finding.level,
      rule: finding.code,
      ...findingWords(finding),
      remedies: finding.remedies.map(remedyLabel),
    }));
  });
  print({ games: games.size, snaps: [...games.values()].reduce((n, s) => n + s.length, 0), findings });
  return findings.some((f) => f.level === 'finding') ? 1 : 0;
}

/** What each group is measured by. */
const MEASURES = ['run', 'success', 'explosive', 'yards', 'top_concepts'] as const;

export async function read(args: string[]): Promise<number> {
  const { values, rest } = readOptions(args, [
    'by',
    'where',
    'level',
    'film',
    'half-life',
    'doubts',
    'team',
    'side',
    'measure',
  ]);
  const { games, phaseOf, weighed, book, staff, profileOf } = readGames(rest[0], values);
  const { rules } = staff;
  const film = (values.film ?? 'eleven') as FilmKind;
  if (!FILM_KINDS.includes(film)) throw new Plain(`--film ${film} is none of ${FILM_KINDS.join(', ')}`);
  if (!values.by) throw new Plain('name the columns to group by: --by down,play');
  const by = values.by.split(',').map(filterColumn);
  const where = readWhere(values.where);
  const side = values.side ?? 'offense';
  if (side !== 'offense' && side !== 'defense')
    throw new Plain(`--side ${side} is neither offense nor defense`);
  if (values.side !== undefined && values.team === undefined)
    throw new Plain('--side needs a team: --team KEY --side defense');
  const measures: readonly string[] = values.measure?.split(',') ?? MEASURES;
  const unknown = measures.find((m) => !(MEASURES as readonly string[]).includes(m));
  if (unknown !== undefined) throw new Plain(`--measure ${unknown} is none of ${MEASURES.join(', ')}`);
  const halfLife = values['half-life'] === undefined ? null : Number(values['half-life']);
  if (halfLife !== null && !(halfLife > 0))
    throw new Plain(`--half-life ${values['half-life']} is not a number of games above 0`);
  // Seven-on-seven and flag are never counted with eleven-man film.
  const chosen = [...games].filter(
    ([game]) =>
      filmKind({
        level: profileOf(game).key,
        phase: phaseOf(game),
        weight: weighed.find((g) => g.key === game)?.weight ?? null,
      }) === film,
  );
  const inTime = weighed.filter((g) => chosen.some(([key]) => key === g.key));
  const counted = chosen.flatMap(([game, snaps]) => countGame(snaps, profileOf(game), book, rules));
  const columns = buildColumns(counted, rules, weightsOf(inTime, halfLife));
  const filter = { ...spelledOut(where, columns), ...(values.team ? { [side]: [values.team] } : {}) };
  const rows = select(columns, filter, where.ranges);
  const rate = ({ k, n, low, high }: Rate) => ({ k, n, low, high });
  const groups = measureBy(columns, rows, by).map(({ words, measured: m }) => {
    const all = {
      run: rate(m.run),
      success: rate(m.success),
      explosive: rate(m.explosive),
      yards: m.yards,
      top_concepts: m.topConcepts,
    };
    return {
      ...Object.fromEntries(by.map((f, i) => [columnOf(f), words[i]])),
      n: m.n,
      n_eff: m.worth,
      ...Object.fromEntries(Object.entries(all).filter(([name]) => measures.includes(name))),
    };
  });
  print({ by: by.map(columnOf), n: rows.length, grouped: groups.reduce((n, g) => n + g.n, 0), rows: groups });
  return 0;
}
