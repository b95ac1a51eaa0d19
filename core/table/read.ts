/**
 * Files → tables. Every fault is a value with file, row, column, what stood there and the remedy;
 * tables are given only when there is none, so an import is whole or not at all.
 */
import Papa from 'papaparse';
import { fieldOfColumn } from '../snap/fields';
import { disarmCell } from './cells';
import { LIMITS } from './limits';
import { readText } from '../snap/text';
import type { Snap } from '../snap/snap';
import {
  emptyTables,
  RESOURCES,
  RESOURCE_NAMES,
  resourceSpec,
  type ResourceName,
  type Row,
  type Tables,
} from './schema';

export const FAULT_CODES = [
  'not-csv',
  'no-rows',
  'unknown-column',
  'column-twice',
  'missing-column',
  'ragged',
  'required',
  'value',
  'key-twice',
  'order-twice',
  'unknown-ref',
  'teams',
  'too-large',
  'unknown-file',
  'role',
] as const;
export type FaultCode = (typeof FAULT_CODES)[number];

export interface TableFault {
  readonly file: string;
  /** Row in the file as a spreadsheet counts it (the header is row 1); null for the whole file. */
  readonly row: number | null;
  readonly column: string | null;
  readonly value: string;
  readonly code: FaultCode;
  readonly remedy: string;
}

/** One line: place, what stood there, remedy. */
export const faultSentence = (f: TableFault): string =>
  `${f.file}${f.row === null ? '' : `, row ${f.row}`}${f.column === null ? '' : `, column ${f.column}`}: ${f.value === '' ? '' : `“${f.value.slice(0, 60)}” `}${f.remedy}`;

const MOST_FAULTS = LIMITS.faults;

export interface ReadTable {
  readonly rows: readonly Row[];
  /** File row of each table row. */
  readonly lines: readonly number[];
  readonly faults: readonly TableFault[];
}

/** Reads one CSV of a resource. Columns that begin with `derived_` are ignored. */
export function readCsv(resource: ResourceName, text: string, file: string): ReadTable {
  const spec = resourceSpec(resource);
  const faults: TableFault[] = [];
  const fault = (
    code: FaultCode,
    row: number | null,
    column: string | null,
    value: string,
    remedy: string,
  ) => {
    if (faults.length < MOST_FAULTS) faults.push({ file, row, column, value, code, remedy });
  };
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: false });
  const [header, ...body] = parsed.data;
  if (!header || header.every((h) => h.trim() === '')) {
    fault('no-rows', null, null, '', 'has no header row; the first row must name the columns');
    return { rows: [], lines: [], faults };
  }
  for (const e of parsed.errors)
    if (e.type === 'Quotes')
      fault('not-csv', (e.row ?? 0) + 1, null, '', 'a quotation mark is not closed; close it or double it');
  const columns = header.map((h) => h.trim().toLowerCase());
  const known: (string | null)[] = columns.map((name, i) => {
    if (name === '' || name.startsWith('derived_')) return null;
    if (!Object.hasOwn(spec.columns, name)) {
      fault(
        'unknown-column',
        1,
        name,
        '',
        `is not a column of ${resource}; rename it, or begin it with derived_ to leave it out`,
      );
      return null;
    }
    if (columns.indexOf(name) !== i) {
      fault('column-twice', 1, name, '', 'stands twice in the header; keep one');
      return null;
    }
    return name;
  });
  for (const [name, column] of Object.entries(spec.columns)) {
    if (column.required && !columns.includes(name))
      fault('missing-column', 1, name, '', `is missing; ${resource} needs it in every row`);
  }
  if (header.length > LIMITS.columns) {
    fault('too-large', 1, null, '', `has more than ${LIMITS.columns} columns; leave some out`);
    return { rows: [], lines: [], faults };
  }
  // The last line end makes an empty row.
  if (body.length - (body[body.length - 1]?.join('') === '' ? 1 : 0) > LIMITS.rows) {
    fault('too-large', null, null, '', `has more than ${LIMITS.rows} rows; split the file`);
    return { rows: [], lines: [], faults };
  }
  const blanks: Record<string, unknown> = {};
  for (const [name, column] of Object.entries(spec.columns))
    blanks[name] =
      column.kind === 'list' || column.kind === 'penalties' || column.kind === 'numbers' ? [] : null;
  const readers = known.map((name) =>
    name === null
      ? null
      : { name, spec: spec.columns[name]!, blank: blanks[name], seen: new Map<string, unknown>() },
  );
  const required = Object.entries(spec.columns)
    .filter(([name, column]) => column.required && columns.includes(name))
    .map(([name]) => name);
  // A row takes the file's columns first, in file order: all rows share one shape.
  const absent = Object.entries(blanks).filter(([name]) => !known.includes(name));
  const rows: Row[] = [];
  const lines: number[] = [];
  const keys = new Map<string, number>();
  const orders = new Map<string, number>();
  body.forEach((cells, i) => {
    const line = i + 2;
    if (cells.every((c) => c.trim() === '')) return;
    if (cells.length > columns.length) {
      fault(
        'ragged',
        line,
        null,
        cells[columns.length] ?? '',
        `has ${cells.length} cells for ${columns.length} columns; quote a cell that holds a comma`,
      );
      return;
    }
    const row: Record<string, unknown> = {};
    for (let c = 0; c < readers.length; c++) {
      const reader = readers[c];
      if (!reader) continue;
      const raw = cells[c];
      if (raw === undefined || raw === '') {
        row[reader.name] = reader.blank;
        continue;
      }
      // Cells repeat: each distinct text is read once a column.
      let value = reader.seen.get(raw);
      if (value === undefined) {
        const read = readText(reader.spec, disarmCell(reader.spec.kind, raw));
        if (!read.ok) {
          row[reader.name] = null;
          fault('value', line, reader.name, raw, `is not ${read.expected}`);
          continue;
        }
        value = read.value;
        if (reader.seen.size < 5000) reader.seen.set(raw, value);
      }
      row[reader.name] = value;
    }
    for (const [name, blank] of absent) row[name] = blank;
    for (const name of required) {
      if (row[name] === null && !faults.some((f) => f.row === line && f.column === name))
        fault('required', line, name, '', 'is empty; every row needs it');
    }
    const key = spec.key.map((k) => String(row[k])).join('\u0000');
    if (spec.key.length > 0 && spec.key.every((k) => row[k] !== null)) {
      const first = keys.get(key);
      if (first !== undefined)
        fault(
          'key-twice',
          line,
          spec.key[spec.key.length - 1]!,
          String(row[spec.key[spec.key.length - 1]!]),
          `stands in row ${first} already; give each row its own`,
        );
      else keys.set(key, line);
    }
    if (resource === 'snaps') {
      if (row.offense !== null && row.offense !== undefined && row.offense === row.defense)
        fault('teams', line, 'defense', String(row.defense), 'is the offense too; name the other team');
      const place = `${String(row.game)}\u0000${String(row.order)}`;
      const first = orders.get(place);
      if (first !== undefined && row.order !== null)
        fault(
          'order-twice',
          line,
          'order',
          String(row.order),
          `is the order of row ${first} of the same game too; use a decimal between`,
        );
      else orders.set(place, line);
    }
    if (resource === 'games' && row.home !== null && row.home === row.away)
      fault('teams', line, 'away', String(row.away), 'is the home team too; name the other team');
    rows.push(row);
    lines.push(line);
  });
  if (rows.length === 0 && faults.length === 0) fault('no-rows', null, null, '', 'has a header but no rows');
  return { rows, lines, faults };
}

/** A snap row as a snap: column names become field names. */
export function rowToSnap(row: Row): Snap {
  const snap: Record<string, unknown> = {};
  for (const column of Object.keys(RESOURCES.snaps.columns)) snap[fieldOfColumn(column)] = row[column];
  return snap as unknown as Snap;
}

export interface NamedFile {
  readonly name: string;
  readonly text: string;
}

export interface ReadPackage {
  readonly tables: Tables;
  readonly bookText: string | null;
  readonly programText: string | null;
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
  for (const { name, text } of files) {
    progress(fileName(name));
    const base = fileName(name).toLowerCase();
    if (base === 'datapackage.json') continue;
    if (base === 'book.json') {
      bookText = text;
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
        for (const column of ['offense', 'defense', 'scored_by', 'dead_possession', 'next_offense']) {
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
  return { tables, bookText, programText, faults: withoutKnownBlanks(faults, tables, lines) };
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
      .flatMap((t) =>
        (t.columns as string[]).map((c) => `${String(t.game)}\u0000${String(t.snap_id)}\u0000${c}`),
      ),
  );
  const where = lines.get('snaps');
  if (blanks.size === 0 || !where) return [...faults];
  const rowAt = new Map(where.lines.map((line, i) => [line, tables.snaps[i]!]));
  return faults.filter((f) => {
    const row =
      f.code === 'required' && f.file === where.file && f.row !== null ? rowAt.get(f.row) : undefined;
    return !(row && blanks.has(`${String(row.game)}\u0000${String(row.snap_id)}\u0000${f.column}`));
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
  for (const s of snaps) {
    const game = String(s.game);
    if (
      s.game === null ||
      known.games.has(game) ||
      games.has(game) ||
      s.offense === null ||
      s.defense === null
    )
      continue;
    games.set(game, {
      game,
      date: null,
      home: s.offense,
      away: s.defense,
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
  for (const g of tables.games)
    for (const t of [g.home, g.away]) if (t !== null && !known.teams.has(String(t))) keys.add(String(t));
  return [...keys].map((team) => ({ team, name: team, nickname: null, place: null }));
}
