/** Files together: tables recognized, games and teams that a lone snap table implies, keys that lean on each other. */
import {
  emptyTables,
  RESOURCE_NAMES,
  resourceSpec,
  type ResourceName,
  type Row,
  type Tables,
} from './schema';
import { columnOf, TEAM_FIELDS } from '../snap/fields';
import type { TableFault } from './fault';
import { MOST_FAULTS, readCsv } from './read';

export interface NamedFile {
  readonly name: string;
  readonly text: string;
}

export interface ReadPackage {
  readonly tables: Tables;
  readonly bookText: string | null;
  readonly programText: string | null;
  /** Of games traded with another staff: who gave them. */
  readonly tradeText: string | null;
  readonly faults: readonly TableFault[];
}

/** What the reader may find outside the files: keys already in the database. */
export interface KnownKeys {
  readonly teams: ReadonlySet<string>;
  readonly games: ReadonlySet<string>;
  readonly plays: ReadonlySet<string>;
}

const fileName = (path: string): string => path.slice(path.lastIndexOf('/') + 1);

/** Reads the files of a package together and checks the references between them. */
export function readPackage(
  files: readonly NamedFile[],
  known: KnownKeys,
  progress: (file: string) => void = () => undefined,
): ReadPackage {
  const tables = emptyTables();
  const lines = new Map<ResourceName, { file: string; lines: readonly number[] }>();
  const faults: TableFault[] = [];
  let bookText: string | null = null;
  let programText: string | null = null;
  let tradeText: string | null = null;
  for (const { name, text } of files) {
    progress(fileName(name));
    const base = fileName(name).toLowerCase();
    if (base === 'datapackage.json') continue;
    if (base === 'book.json') {
      bookText = text;
      continue;
    }
    if (base === 'trade.json') {
      tradeText = text;
      continue;
    }
    if (base === 'program.json') {
      programText = text;
      continue;
    }
    // A lone table may carry any name: its header tells what it is.
    const resource =
      RESOURCE_NAMES.find((n) => base === `${n}.csv`) ??
      (base.endsWith('.csv') ? recognize(text) : undefined);
    if (!resource) {
      faults.push({
        file: fileName(name),
        row: null,
        column: null,
        value: '',
        code: 'unknown-file',
        remedy: `is none of ${RESOURCE_NAMES.map((n) => `${n}.csv`).join(', ')}, book.json, program.json`,
      });
      continue;
    }
    const read = readCsv(resource, text, fileName(name));
    tables[resource] = [...tables[resource], ...read.rows];
    lines.set(resource, { file: fileName(name), lines: read.lines });
    faults.push(...read.faults);
  }
  // Snaps without games.csv bring their games and teams along.
  if (!lines.has('games')) tables.games = impliedGames(tables.snaps, known);
  const implied = !lines.has('teams');
  if (implied) tables.teams = impliedTeams(tables, known);
  const has: Record<string, ReadonlySet<string>> = {
    teams: new Set([...known.teams, ...tables.teams.map((t) => String(t.team))]),
    games: new Set([...known.games, ...tables.games.map((g) => String(g.game))]),
    plays: new Set([...known.plays, ...tables.plays.map((p) => String(p.play))]),
    sheets: new Set(tables.sheets.map((s) => String(s.sheet))),
  };
  const playing = new Map(tables.games.map((g) => [String(g.game), [g.home, g.away]]));
  for (const [resource, where] of lines) {
    tables[resource].forEach((row, i) => {
      for (const ref of resourceSpec(resource).refs) {
        const value = row[ref.column];
        if (
          value !== null &&
          value !== undefined &&
          has[ref.resource] &&
          !has[ref.resource]!.has(String(value)) &&
          faults.length < MOST_FAULTS
        ) {
          faults.push({
            file: where.file,
            row: where.lines[i] ?? null,
            column: ref.column,
            value: String(value),
            code: 'unknown-ref',
            remedy: `is not in ${ref.resource}.csv; add it there or fix the spelling`,
          });
        }
      }
      if (resource === 'snaps') {
        const teams = playing.get(String(row.game));
        for (const column of TEAM_FIELDS.map(columnOf)) {
          const value = row[column];
          if (teams && value !== null && !teams.includes(value) && faults.length < MOST_FAULTS) {
            faults.push({
              file: where.file,
              row: where.lines[i] ?? null,
              column,
              value: String(value),
              code: 'unknown-ref',
              remedy: `does not play in this game (${teams.join(' and ')})`,
            });
          }
        }
      }
    });
  }
  return { tables, bookText, programText, tradeText, faults: withoutKnownBlanks(faults, tables, lines) };
}

/** A blank that the package itself declares (tags.csv) is what stood in the program, not a fault. */
function withoutKnownBlanks(
  faults: readonly TableFault[],
  tables: Tables,
  lines: ReadonlyMap<ResourceName, { file: string; lines: readonly number[] }>,
): TableFault[] {
  const blanks = new Set(
    tables.tags
      .filter((t) => t.kind === 'blank')
      .flatMap((row) =>
        (row.columns as string[]).map((c) => `${String(row.game)}\u0000${String(row.snap_id)}\u0000${c}`),
      ),
  );
  const where = lines.get('snaps');
  if (blanks.size === 0 || !where) return [...faults];
  const rowAt = new Map(where.lines.map((line, i) => [line, tables.snaps[i]!]));
  return faults.filter((tableFault) => {
    const row =
      tableFault.code === 'required' && tableFault.file === where.file && tableFault.row !== null
        ? rowAt.get(tableFault.row)
        : undefined;
    return !(row && blanks.has(`${String(row.game)}\u0000${String(row.snap_id)}\u0000${tableFault.column}`));
  });
}

function recognize(text: string): ResourceName | undefined {
  const header = (text.replace(/^\uFEFF/, '').split(/\r?\n/, 1)[0] ?? '')
    .toLowerCase()
    .split(',')
    .map((h) => h.trim().replace(/^"|"$/g, ''));
  return RESOURCE_NAMES.find(
    (n) =>
      resourceSpec(n).key.length > 0 &&
      resourceSpec(n).key.every((k) => header.includes(k)) &&
      header.filter((h) => Object.hasOwn(resourceSpec(n).columns, h)).length >= header.length / 2,
  );
}

function impliedGames(snaps: readonly Row[], known: KnownKeys): Row[] {
  const games = new Map<string, Row>();
  for (const row of snaps) {
    const game = String(row.game);
    if (
      row.game === null ||
      known.games.has(game) ||
      games.has(game) ||
      row.offense === null ||
      row.defense === null
    )
      continue;
    games.set(game, {
      game,
      date: null,
      home: row.offense,
      away: row.defense,
      level: null,
      phase: 'regular',
      week: null,
      surface: null,
      weather: null,
      wind: null,
      source: null,
    });
  }
  return [...games.values()];
}

function impliedTeams(tables: Tables, known: KnownKeys): Row[] {
  const keys = new Set<string>();
  for (const row of tables.games)
    for (const t of [row.home, row.away]) if (t !== null && !known.teams.has(String(t))) keys.add(String(t));
  return [...keys].map((team) => ({ team, name: team, nickname: null, place: null }));
}
