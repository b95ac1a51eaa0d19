/** parse, check, read: the core without a browser. */
import { DEFAULT_BOOK } from '../core/book/default-book';
import { readBook } from '../core/book/book-json';
import type { Book } from '../core/book/term';
import { LEVEL_PROFILES, type LevelKey } from '../core/field/profile';
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
  groupBy,
  select,
  isFilterField,
  FILTER_FIELDS,
  wilson,
  type FilmKind,
  type FilterField,
} from '../core/read';
import { fieldOfColumn, columnOf, type Snap } from '../core/snap';
import { faultSentence, readPackage, rowToSnap, unpack } from '../core/table';
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
  readonly levelOf: (game: string) => LevelKey | null;
  readonly phaseOf: (game: string) => string;
  readonly book: Book;
}

function readGames(file: string | undefined): ReadGames {
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
  let book: Book = DEFAULT_BOOK;
  if (read.bookText !== null) {
    const own = readBook(read.bookText);
    if (!own.ok) throw new Plain(own.remedy);
    book = own.book;
  }
  return {
    games,
    levelOf: (game) => levels.get(game) ?? null,
    phaseOf: (game) => phases.get(game) ?? 'regular',
    book,
  };
}

export async function check(args: string[]): Promise<number> {
  const { values, rest } = readOptions(args, ['level']);
  const fallback = levelOption(values.level);
  const { games, levelOf } = readGames(rest[0]);
  const findings = [...games].flatMap(([game, snaps]) => {
    const level = levelOf(game);
    const rows = walkGame(snaps, level ? LEVEL_PROFILES[level] : fallback);
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

export async function read(args: string[]): Promise<number> {
  const { values, rest } = readOptions(args, ['by', 'where', 'level', 'film']);
  const fallback = levelOption(values.level);
  const { games, levelOf, phaseOf, book } = readGames(rest[0]);
  const film = (values.film ?? 'eleven') as FilmKind;
  if (!FILM_KINDS.includes(film)) throw new Plain(`--film ${film} is none of ${FILM_KINDS.join(', ')}`);
  const field = (column: string): FilterField => {
    const name = fieldOfColumn(column.trim());
    if (!isFilterField(name))
      throw new Plain(
        `column ${column} cannot be grouped by; it is none of ${FILTER_FIELDS.map(columnOf).join(', ')}`,
      );
    return name;
  };
  if (!values.by) throw new Plain('name the columns to group by: --by down,play');
  const by = values.by.split(',').map(field);
  const where: Partial<Record<FilterField, string[]>> = {};
  for (const part of values.where?.split(',') ?? []) {
    const [column, words] = part.split('=');
    if (!column || words === undefined)
      throw new Plain(`--where ${part} is not column=value; write --where "offense=HER,quarter=1|2"`);
    where[field(column)] = words.split('|');
  }
  // Seven-on-seven and flag are never counted with eleven-man film.
  const counted = [...games]
    .filter(([game]) => filmKind({ level: levelOf(game) ?? fallback.key, phase: phaseOf(game) }) === film)
    .flatMap(([game, snaps]) =>
      countGame(snaps, levelOf(game) ? LEVEL_PROFILES[levelOf(game)!] : fallback, book),
    );
  const columns = buildColumns(counted);
  const rows = select(columns, where);
  const groups = groupBy(columns, rows, by).map((group) => {
    let [runs, called, wins, judged, yards, gains] = [0, 0, 0, 0, 0, 0];
    for (const i of group.rows) {
      const play = counted[i]!.snap.play;
      if (play === 'run' || play === 'pass' || play === 'rpo') called++;
      if (play === 'run') runs++;
      if (columns.success[i] !== 2) judged++;
      if (columns.success[i] === 1) wins++;
      if (columns.gain[i] !== -999) {
        gains++;
        yards += columns.gain[i]!;
      }
    }
    const rate = (k: number, n: number) => {
      const rate = wilson(k, n);
      return { k, n, low: rate.low, high: rate.high };
    };
    return {
      ...Object.fromEntries(by.map((f, i) => [columnOf(f), group.words[i]])),
      n: group.rows.length,
      run: rate(runs, called),
      success: rate(wins, judged),
      yards: { mean: gains === 0 ? null : yards / gains, n: gains },
    };
  });
  print({ by: by.map(columnOf), n: rows.length, grouped: groups.reduce((n, g) => n + g.n, 0), rows: groups });
  return 0;
}
