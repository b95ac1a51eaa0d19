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
  kish,
  rateOf,
  weightsOf,
  type Weighed,
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
  /** Games the file says something of, by week and date, the earliest first. */
  readonly weighed: readonly Weighed[];
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
  return {
    games,
    levelOf: (game) => levels.get(game) ?? null,
    phaseOf: (game) => phases.get(game) ?? 'regular',
    weighed,
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
  const { values, rest } = readOptions(args, ['by', 'where', 'level', 'film', 'half-life']);
  const fallback = levelOption(values.level);
  const { games, levelOf, phaseOf, weighed, book } = readGames(rest[0]);
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
  const halfLife = values['half-life'] === undefined ? null : Number(values['half-life']);
  if (halfLife !== null && !(halfLife > 0))
    throw new Plain(`--half-life ${values['half-life']} is not a number of games above 0`);
  // Seven-on-seven and flag are never counted with eleven-man film.
  const chosen = [...games].filter(
    ([game]) =>
      filmKind({
        level: levelOf(game) ?? fallback.key,
        phase: phaseOf(game),
        weight: weighed.find((g) => g.key === game)?.weight ?? null,
      }) === film,
  );
  const inTime = weighed.filter((g) => chosen.some(([key]) => key === g.key));
  const counted = chosen.flatMap(([game, snaps]) =>
    countGame(snaps, levelOf(game) ? LEVEL_PROFILES[levelOf(game)!] : fallback, book),
  );
  const columns = buildColumns(counted, undefined, weightsOf(inTime, halfLife));
  const rows = select(columns, where);
  const groups = groupBy(columns, rows, by).map((group) => {
    const rows = [...group.rows];
    const weight = (i: number): number => columns.weight?.[i] ?? 1;
    const rate = (hit: (i: number) => boolean, judged: (i: number) => boolean) => {
      const of = rows.filter(judged);
      const { k, n, low, high } = rateOf(
        columns.weight,
        of.filter(hit),
        of.filter((i) => !hit(i)),
      );
      return { k, n, low, high };
    };
    const gained = rows.filter((i) => columns.gain[i] !== -999);
    const heavy = gained.reduce((sum, i) => sum + weight(i), 0);
    return {
      ...Object.fromEntries(by.map((f, i) => [columnOf(f), group.words[i]])),
      n: rows.length,
      n_eff: kish(
        rows.reduce((sum, i) => sum + weight(i), 0),
        rows.reduce((sum, i) => sum + weight(i) ** 2, 0),
      ),
      run: rate(
        (i) => counted[i]!.snap.play === 'run',
        (i) => ['run', 'pass', 'rpo'].includes(counted[i]!.snap.play ?? ''),
      ),
      success: rate(
        (i) => columns.success[i] === 1,
        (i) => columns.success[i] !== 2,
      ),
      yards: {
        mean: heavy === 0 ? null : gained.reduce((sum, i) => sum + weight(i) * columns.gain[i]!, 0) / heavy,
        n: gained.length,
      },
    };
  });
  print({ by: by.map(columnOf), n: rows.length, grouped: groups.reduce((n, g) => n + g.n, 0), rows: groups });
  return 0;
}
