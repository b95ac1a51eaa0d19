/** understand: somebody else's table as it is read, nothing written; and the same reading for import. */
import { mkdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import Papa from 'papaparse';
import { z } from 'zod';
import type { Book } from '../core/book';
import { isTarget, refusedRows, understand, understoodJson, type Target } from '../core/foreign';
import { readForeignFile } from '../core/foreign/workbook';
import { bookOption, print, readFileOrSay, readOptions } from './options';
import { Plain } from './paths';

const MAP = z.object({
  mapping: z.array(z.object({ column: z.string(), field: z.string().nullable() }).loose()).default([]),
  values: z
    .array(z.object({ field: z.string(), from: z.string(), to: z.string().nullable() }).loose())
    .default([]),
});

/** Columns and values as somebody decided them, from a file. */
function readMap(file: string | undefined) {
  if (file === undefined) return {};
  let json: unknown;
  try {
    json = JSON.parse(readFileOrSay(file, 'a map').toString('utf8'));
  } catch (error) {
    if (error instanceof Plain) throw error;
    throw new Plain(`${file}: is no JSON`);
  }
  const read = MAP.safeParse(json);
  if (!read.success)
    throw new Plain(`${file}: ${read.error.issues[0]!.path.join('.')} ${read.error.issues[0]!.message}`);
  for (const { column, field } of read.data.mapping)
    if (field !== null && !isTarget(field))
      throw new Plain(
        `${file}: column ${column} is mapped to “${field}”, which is no field; docs/command-line.md lists them`,
      );
  return {
    mapping: new Map(read.data.mapping.map((m) => [m.column, m.field as Target | null])),
    values: new Map(read.data.values.map((v) => [`${v.field}|${v.from}`, v.to])),
  };
}

/** A sheet of a file as it is read with what was decided. */
export async function readForeign(
  file: string | undefined,
  options: {
    readonly sheet?: string;
    readonly map?: string;
    readonly team?: string;
    readonly opponent?: string;
  },
  book: Book,
) {
  const bytes = readFileOrSay(file, 'a table (.csv, .tsv, .xlsx)');
  const read = await readForeignFile(path.basename(file!), bytes);
  if (!read.ok) throw new Plain(read.remedy);
  const sheet =
    options.sheet === undefined ? read.sheets[0]! : read.sheets.find((s) => s.name === options.sheet);
  if (!sheet)
    throw new Plain(
      `${file}: there is no sheet ${options.sheet}; it has ${read.sheets.map((s) => s.name).join(', ')}`,
    );
  const understood = understand(sheet, {
    book,
    team: options.team ?? null,
    opponent: options.opponent ?? null,
    ...readMap(options.map),
  });
  return { sheets: read.sheets, sheet, understood };
}

export async function understandFile(args: string[]): Promise<number> {
  const { values, rest } = readOptions(args, ['team', 'opponent', 'sheet', 'map', 'out', 'book']);
  const { sheets, sheet, understood } = await readForeign(rest[0], values, bookOption(values.book));
  const json = understoodJson(understood);
  if (values.out === undefined) print({ ...json, sheets: sheets.map((s) => s.name) });
  else {
    mkdirSync(values.out, { recursive: true });
    const out = (name: string, text: string): void => writeFileSync(path.join(values.out!, name), text);
    out('understood.json', `${JSON.stringify(json, null, 2)}\n`);
    out('refused.csv', `${Papa.unparse(refusedRows(sheet, understood))}\n`);
    print({
      sheet: json.sheet,
      rows: json.rows.length,
      skipped: json.skipped.length,
      refused: json.refused.length,
      unknown_terms: json.unknown_terms.length,
      out: values.out,
    });
  }
  return 0;
}
