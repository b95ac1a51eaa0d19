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
import { RESOURCES, resourceSpec, type ResourceName, type Row } from './schema';
import type { FaultCode, TableFault } from './fault';

export const MOST_FAULTS = LIMITS.faults;

export interface ReadTable {
  readonly rows: readonly Row[];
  /** File row of each table row. */
  readonly lines: readonly number[];
  readonly faults: readonly TableFault[];
}

/** What parts the headings: no name of a column holds any of these, while lists in cells hold semicolons. */
const delimiterOf = (text: string): string => {
  const header = text.slice(0, text.search(/[\r\n]|$/));
  const parts = (delimiter: string): number => header.split(delimiter).length;
  return [',', ';', '\t'].reduce((best, d) => (parts(d) > parts(best) ? d : best));
};

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
  const plain = text.replace(/^\uFEFF/, '');
  const parsed = Papa.parse<string[]>(plain, { skipEmptyLines: false, delimiter: delimiterOf(plain) });
  const [header, ...body] = parsed.data;
  if (!header || header.every((h) => h.trim() === '')) {
    fault('no-rows', null, null, '', 'has no header row; the first row must name the columns');
    return { rows: [], lines: [], faults };
  }
  for (const parseError of parsed.errors)
    if (parseError.type === 'Quotes')
      fault(
        'not-csv',
        (parseError.row ?? 0) + 1,
        null,
        '',
        'a quotation mark is not closed; close it or double it',
      );
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
    for (let column = 0; column < readers.length; column++) {
      const reader = readers[column];
      if (!reader) continue;
      const raw = cells[column];
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
