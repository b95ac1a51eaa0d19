/** What the sheets of a data package hold as JSON in a cell: read by the schemas that the browser's edits are read by. */
import 'server-only';
import { z } from 'zod';
import { CALL_NOTE_SCHEMAS, CHECK_SCHEMAS, REMARK_SCHEMAS, sectionsSchema } from '../core/plan/schema';
import type { Row, TableFault, Tables } from '../core/table';

const rowSchemas = {
  check: z.object(CHECK_SCHEMAS),
  remark: z.object({ ...REMARK_SCHEMAS, by: z.string().max(200), at: z.iso.datetime() }),
} as const;

/** Undefined: not JSON, or not what the schema takes. */
function readCell<S extends z.ZodType>(schema: S, cell: unknown): z.output<S> | undefined {
  try {
    return schema.safeParse(JSON.parse(String(cell))).data;
  } catch {
    return undefined;
  }
}
export const writeCell = (value: unknown): string | null => (value === null ? null : JSON.stringify(value));

export const sectionsOfCell = (cell: unknown) => (cell === null ? null : readCell(sectionsSchema, cell));
export const ifThenOfCell = (cell: unknown) =>
  cell === null ? [] : readCell(CALL_NOTE_SCHEMAS.ifThen, cell);
export const fieldsOfRow = (row: Row) => readCell(rowSchemas[row.kind as 'check' | 'remark'], row.fields);

/** Cells that cannot be read, each by its row's key. */
export function sheetFaults(tables: Tables): TableFault[] {
  const fault = (file: string, column: string, key: unknown): TableFault => ({
    file,
    row: null,
    column,
    value: String(key),
    code: 'value',
    remedy: 'has a cell that is not what an export writes there; export it again or empty the cell',
  });
  return [
    ...tables.sheets
      .filter((r) => sectionsOfCell(r.sections ?? null) === undefined)
      .map((r) => fault('sheets.csv', 'sections', r.sheet)),
    ...tables.calls
      .filter((r) => {
        const notes = CALL_NOTE_SCHEMAS;
        return (
          ifThenOfCell(r.if_then ?? null) === undefined ||
          !notes.tags.safeParse(r.tags ?? []).success ||
          !notes.needs.safeParse(r.needs ?? []).success ||
          !notes.shownFirst.safeParse(r.shown_first ?? null).success
        );
      })
      .map((r) => fault('calls.csv', 'if_then', r.call)),
    ...tables.sheet_rows
      .filter((r) => fieldsOfRow(r) === undefined)
      .map((r) => fault('sheet_rows.csv', 'fields', r.row)),
  ];
}
