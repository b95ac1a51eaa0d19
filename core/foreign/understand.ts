/** A foreign sheet as snaps: headings, columns, cells, teams; every row is read, left out with a reason, or refused. */
import type { Book } from '../book';
import { columnOf, readFieldText, writeFieldText, type SnapField, type SnapFields } from '../snap';
import type { ForeignSheet } from './sheet';
import { TARGETS, type Target } from './headings';
import { layOut, type Skipped } from './rows';
import { dateOrder, propose, type ColumnReading } from './propose';
import { dateParts } from './figures';
import type { CellContext, Reading, Unknown } from './reading';
import { factsOf, settleTeams, teamsIn, withTeams } from './settle';
import { readCell } from './values';
import { nearestTerms } from './words';

export interface ValueReading {
  readonly field: Target;
  readonly from: string;
  readonly to: string;
  readonly rows: number;
}
export interface Refused {
  readonly row: number;
  readonly column: string;
  readonly value: string;
  readonly reason: string;
  /** What it most likely was. */
  readonly use?: string;
}
export interface UnknownTerm {
  readonly kind: string;
  readonly term: string;
  readonly rows: number;
  readonly nearest: readonly string[];
}
/** A row as columns of the open table, as text. */
export type UnderstoodRow = Readonly<Record<string, string>> & { readonly row: number };

export interface Understood {
  readonly sheet: string;
  /** Rows of the sheet, blank ones too. */
  readonly total: number;
  readonly mapping: readonly ColumnReading[];
  readonly values: readonly ValueReading[];
  readonly rows: readonly { readonly row: number; readonly fields: SnapFields }[];
  readonly skipped: readonly Skipped[];
  readonly refused: readonly Refused[];
  readonly unknownTerms: readonly UnknownTerm[];
  /** Teams as written, also those whose half a spot names. */
  readonly teams: readonly string[];
}

export interface UnderstandOptions {
  readonly book: Book;
  /** Whose offense a letter O means, and every row where the table names no team. */
  readonly team?: string | null;
  /** The other team. */
  readonly opponent?: string | null;
  /** Team keys of names as written in the table. */
  readonly aliases?: ReadonlyMap<string, string>;
  /** Columns by name as somebody decided; null leaves one out. */
  readonly mapping?: ReadonlyMap<string, Target | null>;
  /** Values as somebody decided: `target|from` → what is read instead; null leaves the cell out. */
  readonly values?: ReadonlyMap<string, string | null>;
  /** Rows and columns mended: `row|column` → the cell as it should be. */
  readonly cells?: ReadonlyMap<string, string>;
}

/** Targets whose every value is shown with what it became. */
const LISTED: ReadonlySet<Target> = new Set([
  'hash',
  'personnel',
  'formation',
  'formation_side',
  'backfield',
  'motion',
  'play',
  'concept',
  'direction',
  'protection',
  'front',
  'coverage',
  'pressure',
  'tempo',
  'result',
  'team',
  'offense',
  'defense',
  'quarter',
]);
/** Said once for the rows below it. */
const FILLED_DOWN: ReadonlySet<Target> = new Set(['quarter', 'team', 'offense', 'defense', 'game', 'date']);

/** Said by the way: not what the cell was asked for. */
const BY_THE_WAY: Readonly<Partial<Record<Target, readonly string[]>>> = {
  concept: ['play'],
  play: ['unit'],
};
const toText = (target: Target, fields: SnapFields): string =>
  Object.entries(fields)
    .filter(([field], _, all) => all.length === 1 || !BY_THE_WAY[target]?.includes(field))
    .map(([field, value]) => writeFieldText(field as SnapField, value))
    .join(' ');

/** Dates in the down column: how many downs follow from the row before, month first or day first. */
function followed(rows: readonly { dd: string; gain: string }[], book: Book) {
  return (month: boolean): number => {
    const c: CellContext = { book, dateOrder: month ? 'month' : 'day', signedSpots: true, read: new Map() };
    let agrees = 0;
    for (let i = 1; i < rows.length; i++) {
      if (!dateParts(rows[i]!.dd)) continue;
      const [before, now, gain] = [
        readCell('down_distance', rows[i - 1]!.dd, c),
        readCell('down_distance', rows[i]!.dd, c),
        readCell('gain', rows[i - 1]!.gain, c),
      ];
      if (!before.ok || !now.ok || !gain.ok) continue;
      const { down, distance } = before.value;
      if (typeof down !== 'number' || typeof distance !== 'number' || typeof gain.value.gain !== 'number')
        continue;
      if (now.value.down === down + 1 && now.value.distance === distance - gain.value.gain) agrees++;
    }
    return agrees;
  };
}

/** A fact that no column of the open table takes; teams are mapped to keys later. */
function unfitFact(fields: SnapFields): { field: string; value: string; reason: string } | null {
  for (const [field, value] of Object.entries(fields)) {
    if (field === 'offense' || field === 'defense' || field === 'scoredBy') continue;
    const text = writeFieldText(field as SnapField, value);
    const read = readFieldText(field as SnapField, text);
    if (!read.ok) return { field: columnOf(field), value: text, reason: `is not ${read.expected}` };
  }
  return null;
}

export function understand(sheet: ForeignSheet, options: UnderstandOptions): Understood {
  const laid = layOut(sheet);
  const mended = options.cells && options.cells.size > 0 ? options.cells : null;
  const cellAt = (row: number, at: number): string => {
    const fixed = mended && mended.get(`${row + 1}|${laid.headings[at]}`);
    return fixed ?? sheet.cells[row]![at] ?? '';
  };
  const columns = laid.headings.map((heading, at) => ({
    heading,
    cells: laid.data.map((row) => cellAt(row, at)),
  }));
  const mapping = propose(columns, options.book, options.mapping ?? new Map());
  const at = (target: Target): number => mapping.findIndex((m) => m.field === target);
  const spots = at('spot') < 0 ? [] : columns[at('spot')]!.cells;
  const dd = at('down_distance');
  const gains = at('gain') < 0 ? null : columns[at('gain')]!.cells;
  const c: CellContext = {
    book: options.book,
    signedSpots: spots.some((cell) => /^[+-]\d/.test(cell)),
    read: new Map(),
    dateOrder:
      dd < 0
        ? 'month'
        : dateOrder(
            columns[dd]!.cells,
            followed(
              columns[dd]!.cells.map((cell, i) => ({ dd: cell, gain: gains?.[i] ?? '' })),
              options.book,
            ),
          ),
  };
  const values = new Map<string, { field: Target; from: string; to: string; rows: number }>();
  const unknown = new Map<string, { said: Unknown; rows: number }>();
  const refused: Refused[] = [];
  const read: { row: number; reading: Reading }[] = [];
  const above = new Map<Target, string>();
  for (const row of laid.data) {
    const facts: Record<string, unknown> = {};
    const reading = facts as Reading;
    let fault: Refused | null = null;
    const terms: Unknown[] = [];
    const said: { field: Target; from: string; to: string }[] = [];
    for (const [i, { column, field }] of mapping.entries()) {
      if (field === null) continue;
      let text = cellAt(row, i);
      if (FILLED_DOWN.has(field)) {
        if (text === '') text = above.get(field) ?? '';
        else above.set(field, text);
      }
      if (text === '') continue;
      const decided = options.values?.size ? options.values.get(`${field}|${text}`) : undefined;
      if (decided === null) continue;
      const cell = readCell(field, decided ?? text, c);
      if (!cell.ok) {
        fault ??= {
          row: row + 1,
          column,
          value: text,
          reason: cell.reason,
          ...(cell.use === undefined ? {} : { use: cell.use }),
        };
        continue;
      }
      // What a more telling column said stays: the play type before the concept's kind, the gain before its result.
      const rules = field === 'gain' || field === 'play';
      for (const key in cell.value)
        if (rules || facts[key] === undefined) facts[key] = cell.value[key as keyof Reading];
      terms.push(...(cell.value.unknown ?? []));
      if (LISTED.has(field))
        said.push({
          field,
          from: text,
          to:
            toText(field, factsOf(cell.value)) ||
            cell.value.team ||
            cell.value.phase ||
            cell.value.offenseTeam ||
            cell.value.defenseTeam ||
            '',
        });
    }
    if (fault) {
      refused.push(fault);
      continue;
    }
    for (const { field, from, to } of said) {
      const key = `${field}|${from}`;
      const had = values.get(key);
      if (had) had.rows++;
      else values.set(key, { field, from, to, rows: 1 });
    }
    for (const said of terms) {
      // A word for a call is of the kind of its play.
      const term = said.kind === 'run' && reading.play === 'pass' ? { ...said, kind: 'pass' as const } : said;
      const key = `${term.kind}|${term.term}`;
      const had = unknown.get(key);
      if (had) had.rows++;
      else unknown.set(key, { said: term, rows: 1 });
    }
    read.push({ row: row + 1, reading });
  }
  const written = [...new Set(read.flatMap(({ reading }) => teamsIn(reading)))];
  const aliases = options.aliases ?? new Map<string, string>();
  const called = read.map(({ row, reading }) => ({ row, reading: withTeams(reading, aliases) }));
  const teams = new Set(
    called.flatMap(({ reading: { team, offenseTeam, defenseTeam } }) =>
      [team, offenseTeam, defenseTeam].filter((name): name is string => name !== undefined),
    ),
  );
  const columnSaying = (field: string): string =>
    (mapping.find((m) => m.field === field) ?? mapping.find((m) => m.field !== null) ?? mapping[0]!).column;
  const rows: { row: number; fields: SnapFields }[] = [];
  const settled = settleTeams(called, teams, options);
  for (const one of settled) {
    if ('reason' in one)
      refused.push({
        row: one.row,
        column: mapping[at('spot') < 0 ? 0 : at('spot')]!.column,
        value: one.value,
        reason: one.reason,
      });
    else {
      const unfit = unfitFact(one.fields);
      if (unfit === null) rows.push(one);
      else
        refused.push({
          row: one.row,
          column: columnSaying(unfit.field),
          value: unfit.value,
          reason: unfit.reason,
        });
    }
  }
  refused.sort((a, b) => a.row - b.row);
  return {
    sheet: sheet.name,
    total: sheet.cells.length,
    mapping,
    values: [...values.values()].sort(
      (a, b) => TARGETS.indexOf(a.field) - TARGETS.indexOf(b.field) || b.rows - a.rows,
    ),
    rows,
    skipped: laid.skipped,
    refused,
    unknownTerms: [...unknown.values()]
      .sort((a, b) => b.rows - a.rows || a.said.term.localeCompare(b.said.term))
      .map(({ said, rows: n }) => ({
        kind: said.kind,
        term: said.term,
        rows: n,
        nearest: nearestTerms(options.book, said),
      })),
    teams: written,
  };
}

/** A row of the open table as text. */
export const rowTexts = ({ row, fields }: Understood['rows'][number]): Record<string, string | number> => ({
  row,
  ...Object.fromEntries(
    Object.entries(fields).map(([field, value]) => [
      columnOf(field),
      writeFieldText(field as SnapField, value),
    ]),
  ),
});

/** The rows that were refused as they stand in the file, with the reason: to be mended and read again. */
export const refusedRows = (sheet: ForeignSheet, { mapping, refused }: Understood): string[][] => [
  [...mapping.map((m) => m.column), 'reason'],
  ...refused.map((r) => [
    ...mapping.map((_, i) => sheet.cells[r.row - 1]?.[i] ?? ''),
    `${r.column}: ${r.reason}`,
  ]),
];

/** The documented JSON of a reading. */
export const understoodJson = (u: Understood) => ({
  sheet: u.sheet,
  mapping: u.mapping,
  values: u.values,
  rows: u.rows.map(rowTexts),
  skipped: u.skipped,
  refused: u.refused,
  unknown_terms: u.unknownTerms,
});
