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
  const at = possible > TABLE ? new Float64Array(rows.length) : new Uint32Array(rows.length);
  // The last field counts singly. A loop over few arrays at a time is what the engine turns into fast code.
  cols.forEach(({ codes }, c) => {
    const r = radix[c]!;
    if (c === 0) for (let i = 0; i < at.length; i++) at[i] = codes[rows[i]!]!;
    else for (let i = 0; i < at.length; i++) at[i] = at[i]! * r + codes[rows[i]!]!;
  });
  if (!keepAbsent)
    for (const { codes } of cols)
      for (let i = 0; i < at.length; i++) if (codes[rows[i]!]! < FIRST_VALUE) at[i] = possible;
  const decode = (key: number): string[] => {
    const words: string[] = [];
    for (let c = cols.length - 1, rest = key; c >= 0; c--) {
      words.unshift(cols[c]!.words[rest % radix[c]!]!);
      rest = Math.floor(rest / radix[c]!);
    }
    return words;
  };
  if (possible <= DENSE) return counted(rows, at as Uint32Array, possible, decode);
  const { of, keys } = possible > TABLE ? numberedByMap(at, possible) : numbered(at as Uint32Array, possible);
  return counted(rows, of, keys.length, (cell) => decode(keys[cell]!));
}

function counted(rows: Uint32Array, at: Uint32Array, size: number, words: (cell: number) => string[]): Cells {
  const counts = new Uint32Array(size + 1);
  for (let i = 0; i < at.length; i++) counts[at[i]!]!++;
  return { rows, at, size, counts, words };
}

interface Numbered {
  readonly of: Uint32Array;
  /** The key of each cell, in the order they were met. */
  readonly keys: readonly number[];
}

/** Keys that occur, numbered; `outside` is in no cell. */
function numbered(at: Uint32Array, outside: number): Numbered {
  const cell = new Uint32Array(outside + 1);
  const keys: number[] = [];
  for (let i = 0; i < at.length; i++) {
    const key = at[i]!;
    let one = cell[key]!;
    if (one === 0 && key !== outside) cell[key] = one = keys.push(key);
    at[i] = one - 1;
  }
  settle(at, keys.length);
  return { of: at, keys };
}
/** In no cell, until it is known how many there are: minus one in an unsigned array. */
const ABSENT = 0xffff_ffff;
function settle(of: Uint32Array, size: number): void {
  for (let i = 0; i < of.length; i++) if (of[i] === ABSENT) of[i] = size;
}

function numberedByMap(at: ArrayLike<number>, outside: number): Numbered {
  const cell = new Map<number, number>();
  const of = new Uint32Array(at.length);
  for (let i = 0; i < at.length; i++) {
    const key = at[i]!;
    let one = key === outside ? ABSENT : cell.get(key);
    if (one === undefined) cell.set(key, (one = cell.size));
    of[i] = one;
  }
  const keys = [...cell.keys()];
  settle(of, keys.length);
  return { of, keys };
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
