/**
 * Rows put into cells: the codes of the grouped fields as one number of mixed radix, so that whatever is counted is
 * counted by adding into a plain array. Memory: an entry for each possible cell up to DENSE, above it for those that occur.
 */
import { FIRST_VALUE, type Columns } from './columns';
import type { FilterField } from './filters';

/** Possible cells up to which each has an entry, met or not. */
const DENSE = 1 << 12;
/** Possible cells up to which those that occur are numbered through a table; above it through a map. */
const TABLE = 1 << 22;

export interface Cells {
  readonly rows: Uint32Array;
  /** Cell of each row, in the order of the rows; `size` for a row that is in none. */
  readonly at: Uint32Array;
  readonly size: number;
  /** Rows by cell; the last entry is of those in none. */
  readonly counts: Uint32Array;
  /** The word of each field in a cell. */
  words(cell: number): string[];
}

/** Blank, none and not visible are words of their own, or (`keepAbsent` false) in no cell. */
export function cellsOf(
  columns: Columns,
  rows: Uint32Array,
  fields: readonly FilterField[],
  keepAbsent = true,
): Cells {
  const cols = fields.map((f) => columns.text[f]);
  const radix = cols.map((c) => c.words.length);
  const possible = radix.reduce((a, b) => a * b, 1);
  // Loops over few arrays of one type each are what an engine turns into fast code.
  const at = new Uint32Array(rows.length);
  if (possible > TABLE) return sparse(columns, rows, fields, keepAbsent);
  cols.forEach(({ codes }, c) => (c === 0 ? begin(at, rows, codes) : extend(at, rows, codes, radix[c]!)));
  if (!keepAbsent) for (const { codes } of cols) leaveOut(at, rows, codes, possible);
  const codesOf = decoder(radix);
  const decode = (key: number): string[] => codesOf(key).map((code, c) => cols[c]!.words[code]!);
  if (possible <= DENSE) return counted(rows, at, possible, decode);
  const keys = number(at, possible);
  return counted(rows, at, keys.length, (cell) => decode(keys[cell]!));
}

/** The codes of a cell's fields, the last counting singly. */
export const decoder =
  (radix: readonly number[]) =>
  (cell: number): number[] => {
    const codes = new Array<number>(radix.length);
    for (let f = radix.length - 1, rest = cell; f >= 0; f--) {
      codes[f] = rest % radix[f]!;
      rest = Math.floor(rest / radix[f]!);
    }
    return codes;
  };

function begin(at: Uint32Array, rows: Uint32Array, codes: Uint16Array): void {
  for (let i = 0; i < at.length; i++) at[i] = codes[rows[i]!]!;
}
function extend(at: Uint32Array, rows: Uint32Array, codes: Uint16Array, radix: number): void {
  for (let i = 0; i < at.length; i++) at[i] = at[i]! * radix + codes[rows[i]!]!;
}
function leaveOut(at: Uint32Array, rows: Uint32Array, codes: Uint16Array, outside: number): void {
  for (let i = 0; i < at.length; i++) if (codes[rows[i]!]! < FIRST_VALUE) at[i] = outside;
}

function counted(rows: Uint32Array, at: Uint32Array, size: number, words: (cell: number) => string[]): Cells {
  const counts = new Uint32Array(size + 1);
  for (let i = 0; i < at.length; i++) counts[at[i]!]!++;
  return { rows, at, size, counts, words };
}

/** Keys that occur, numbered as they come, in place; `outside` is in no cell. The key of each number is given back. */
function number(at: Uint32Array, outside: number): number[] {
  const cell = new Uint32Array(outside + 1);
  const keys: number[] = [];
  for (let i = 0; i < at.length; i++) {
    const key = at[i]!;
    let one = cell[key]!;
    if (one === 0 && key !== outside) cell[key] = one = keys.push(key);
    at[i] = one - 1;
  }
  // Minus one in an unsigned array: in none.
  for (let i = 0; i < at.length; i++) if (at[i] === 0xffff_ffff) at[i] = keys.length;
  return keys;
}

/** More possible cells than a table holds: the first field's words are put together with the others' cells. */
function sparse(
  columns: Columns,
  rows: Uint32Array,
  fields: readonly FilterField[],
  keepAbsent: boolean,
): Cells {
  const most = fields.slice(0, -1);
  const first = cellsOf(columns, rows, most, keepAbsent);
  const { codes, words } = columns.text[fields[fields.length - 1]!];
  const cell = new Map<number, number>();
  const at = new Uint32Array(rows.length);
  for (let i = 0; i < at.length; i++) {
    const code = codes[rows[i]!]!;
    const left = first.at[i] === first.size || (!keepAbsent && code < FIRST_VALUE);
    const key = left ? -1 : first.at[i]! * words.length + code;
    let one = cell.get(key);
    if (one === undefined) cell.set(key, (one = cell.size));
    at[i] = one;
  }
  const keys = [...cell.keys()];
  // Rows in no cell have the last number.
  const out = keys.indexOf(-1);
  if (out >= 0) {
    keys.splice(out, 1);
    for (let i = 0; i < at.length; i++)
      at[i] = at[i] === out ? keys.length : at[i]! > out ? at[i]! - 1 : at[i]!;
  }
  return counted(rows, at, keys.length, (one) => [
    ...first.words(Math.floor(keys[one]! / words.length)),
    words[keys[one]! % words.length]!,
  ]);
}

/** The rows of each cell, in their order: views of one array. */
export function rowsByCell({ rows, at, counts, size }: Cells): Uint32Array[] {
  const next = new Uint32Array(size + 2);
  for (let cell = 0; cell <= size; cell++) next[cell + 1] = next[cell]! + counts[cell]!;
  const sorted = new Uint32Array(rows.length);
  const ends = next.slice();
  for (let i = 0; i < rows.length; i++) sorted[ends[at[i]!]!++] = rows[i]!;
  return Array.from({ length: size }, (_, cell) => sorted.subarray(next[cell]!, next[cell + 1]!));
}

export interface Group {
  readonly words: readonly string[];
  readonly rows: Uint32Array;
}

/** Groups rows by fields; blank, none and unseen are left out of a group unless `keepAbsent`. Largest first, then by words. */
export function groupBy(
  columns: Columns,
  rows: Uint32Array,
  fields: readonly FilterField[],
  keepAbsent = false,
): Group[] {
  const cells = cellsOf(columns, rows, fields, keepAbsent);
  return rowsByCell(cells)
    .flatMap((list, cell): Group[] => (list.length === 0 ? [] : [{ words: cells.words(cell), rows: list }]))
    .sort(
      (a, b) => b.rows.length - a.rows.length || a.words.join('\u0000').localeCompare(b.words.join('\u0000')),
    );
}
