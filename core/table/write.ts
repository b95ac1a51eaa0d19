/** Tables → CSV files and the descriptor of a Tabular Data Package (Frictionless Data). */
import Papa from 'papaparse';
import { columnOf, SNAP_FIELD_NAMES, type FieldKind } from '../snap/fields';
import { writeText } from '../snap/text';
import { NONE, UNSEEN, type Snap } from '../snap/snap';
import { armCell } from './cells';
import {
  RESOURCE_NAMES,
  resourceSpec,
  type ColumnSpec,
  type ResourceName,
  type Row,
  type Tables,
} from './schema';
import type { NamedFile } from './package';

/** Any cells as CSV: figures as they are, a text that begins like a formula made harmless. */
export const gridCsv = (rows: readonly (readonly (string | number | null)[])[]): string =>
  `${Papa.unparse(
    rows.map((r) => [...r]),
    { newline: '\r\n', escapeFormulae: true },
  )}\r\n`;

export function writeCsv(resource: ResourceName, rows: readonly Row[]): string {
  const columns = Object.entries(resourceSpec(resource).columns);
  return (
    Papa.unparse(
      {
        fields: columns.map(([name]) => name),
        data: rows.map((row) =>
          columns.map(([name, spec]) => armCell(spec.kind, writeText(spec, row[name]))),
        ),
      },
      { newline: '\r\n', escapeFormulae: false },
    ) + '\r\n'
  );
}

/** A row a line as JSON: the open table's columns, blanks left out, numbers and yes or no as such. */
export const writeJsonLines = (resource: ResourceName, rows: readonly Row[]): string => {
  const columns = Object.entries(resourceSpec(resource).columns);
  return rows
    .map((row) => {
      const out: Record<string, unknown> = {};
      for (const [name, spec] of columns) {
        const value = row[name];
        if (value === null || value === undefined || (Array.isArray(value) && value.length === 0)) continue;
        // Clocks and fouls as the table writes them.
        out[name] = spec.kind === 'clock' || spec.kind === 'penalties' ? writeText(spec, value) : value;
      }
      return `${JSON.stringify(out)}\n`;
    })
    .join('');
};

/** A snap as a row of the open table. */
export function snapToRow(snap: Snap): Row {
  const row: Record<string, unknown> = {};
  for (const field of SNAP_FIELD_NAMES) row[columnOf(field)] = snap[field];
  return row;
}

const SCHEMA_TYPE: Readonly<Record<FieldKind, string>> = {
  text: 'string',
  integer: 'integer',
  decimal: 'number',
  clock: 'string',
  enum: 'string',
  flag: 'boolean',
  list: 'string',
  penalties: 'string',
  numbers: 'string',
  date: 'date',
};

function describeColumn(name: string, spec: ColumnSpec) {
  // Tag columns hold "-" and "?" beside their values, so their declared type is string.
  const type = spec.tag ? 'string' : SCHEMA_TYPE[spec.kind];
  const constraints: Record<string, unknown> = {};
  if (spec.required) constraints.required = true;
  if (spec.values) constraints.enum = spec.tag ? [...spec.values, NONE, UNSEEN] : spec.values;
  if (type === 'integer' || type === 'number') {
    if (spec.min !== undefined) constraints.minimum = type === 'integer' ? spec.min : String(spec.min);
    if (spec.max !== undefined) constraints.maximum = type === 'integer' ? spec.max : String(spec.max);
  }
  if (spec.pattern && type === 'string' && spec.kind === 'text' && !spec.tag)
    constraints.pattern = spec.pattern.source;
  const notes = [
    spec.label,
    spec.unit,
    spec.kind === 'clock' ? 'm:ss left in the quarter' : '',
    spec.kind === 'list' || spec.kind === 'numbers' ? '; between' : '',
    spec.kind === 'penalties'
      ? 'side:name:yards:from:outcome:extra, with :at where the spot of the foul is said; ; between'
      : '',
    spec.tag ? 'empty = not tagged, - = none or not applicable, ? = not visible on this film' : '',
  ];
  const description = notes.filter(Boolean).join('; ');
  return {
    name,
    type,
    format: 'default',
    ...(description ? { description } : {}),
    ...(Object.keys(constraints).length > 0 ? { constraints } : {}),
  };
}

/** `datapackage.json` for the resources that have rows. */
export function describePackage(
  tables: Tables,
  meta: { readonly name: string; readonly title: string; readonly level: string },
): Record<string, unknown> {
  return {
    profile: 'tabular-data-package',
    name: meta.name.toLowerCase().replace(/[^a-z0-9._-]+/g, '-'),
    title: meta.title,
    description: `Left and right are those of the team that puts the ball in play. Level profile: ${meta.level}.`,
    resources: RESOURCE_NAMES.filter((n) => tables[n].length > 0).map((n) => {
      const spec = resourceSpec(n);
      const refs = spec.refs.filter((r) => tables[r.resource as ResourceName].length > 0);
      return {
        profile: 'tabular-data-resource',
        name: n,
        title: spec.title,
        path: `${n}.csv`,
        format: 'csv',
        mediatype: 'text/csv',
        encoding: 'utf-8',
        schema: {
          fields: Object.entries(spec.columns).map(([name, column]) => describeColumn(name, column)),
          missingValues: [''],
          ...(spec.key.length > 0 ? { primaryKey: spec.key } : {}),
          ...(refs.length > 0
            ? {
                foreignKeys: refs.map((ref) => ({
                  fields: ref.column,
                  reference: { resource: ref.resource, fields: ref.to },
                })),
              }
            : {}),
        },
      };
    }),
  };
}

/** Every file of the package. The same tables give the same bytes. */
export function writePackage(
  tables: Tables,
  bookJson: string | null,
  meta: Parameters<typeof describePackage>[1],
  programJson: string | null = null,
): NamedFile[] {
  return [
    { name: 'datapackage.json', text: `${JSON.stringify(describePackage(tables, meta), null, 2)}\n` },
    ...RESOURCE_NAMES.filter((n) => tables[n].length > 0).map((n) => ({
      name: `${n}.csv`,
      text: writeCsv(n, tables[n]),
    })),
    ...(bookJson === null ? [] : [{ name: 'book.json', text: bookJson }]),
    ...(programJson === null ? [] : [{ name: 'program.json', text: programJson }]),
  ];
}
