/** The situation board: a row a bucket, every snap a mark where on the field it was played. */
import { BUCKET_ROWS } from '../field/situation';
import { FIRST_VALUE, type Columns } from './columns';
import { CALL_KINDS, splitCalls, type CallKind, type Calls } from './calls';

/** Yards of field that one column of marks covers. */
export const MARK_YARDS = 2;

export interface Mark {
  readonly row: number;
  readonly kind: CallKind;
  /** Column from the left: own goal line at 0. */
  readonly column: number;
  /** Height in its column, from 0. */
  readonly level: number;
}

export interface BoardRow {
  readonly key: string;
  readonly label: string;
  readonly calls: Calls;
  readonly marks: readonly Mark[];
  /** Snaps without a mark: call not tagged, or spot unknown. */
  readonly unmarked: number;
  readonly tallest: number;
}

/** Rows of the buckets that occur, in the order coaches read them. Counts by call; an RPO is its own kind. */
export function situationBoard(columns: Columns, selection: Uint32Array): BoardRow[] {
  const { codes, words } = columns.text.bucket;
  const byBucket = new Map<string, number[]>();
  for (const i of selection) {
    const code = codes[i]!;
    if (code < FIRST_VALUE) continue;
    const key = words[code]!;
    const list = byBucket.get(key);
    if (list) list.push(i);
    else byBucket.set(key, [i]);
  }
  const out: BoardRow[] = [];
  for (const { key, label } of BUCKET_ROWS) {
    const rows = byBucket.get(key);
    if (!rows) continue;
    const calls = splitCalls(columns, rows);
    const heights = new Uint16Array(Math.ceil(100 / MARK_YARDS) + 1);
    const marks: Mark[] = [];
    for (const kind of CALL_KINDS)
      for (const row of calls.byKind[kind]) {
        const toGoal = columns.toGoal[row]!;
        if (toGoal < 0) continue;
        const column = Math.floor((100 - toGoal) / MARK_YARDS);
        marks.push({ row, kind, column, level: heights[column]!++ });
      }
    out.push({
      key,
      label,
      calls,
      marks,
      unmarked: rows.length - marks.length,
      tallest: Math.max(0, ...heights),
    });
  }
  return out;
}

export interface LookRow {
  readonly formation: string;
  readonly side: 'L' | 'R' | null;
  readonly backfield: string | null;
  readonly calls: Calls;
}

/** The formations of a cell, most used first, with what was called to each side. */
export function looksOf(columns: Columns, selection: Uint32Array): LookRow[] {
  const { formation, formationSide, backfield } = columns.text;
  const groups = new Map<string, number[]>();
  for (const i of selection) {
    if (formation.codes[i]! < FIRST_VALUE) continue;
    const key = `${formation.codes[i]}|${formationSide.codes[i]}|${backfield.codes[i]}`;
    const list = groups.get(key);
    if (list) list.push(i);
    else groups.set(key, [i]);
  }
  return [...groups.values()]
    .map((rows): LookRow => {
      const first = rows[0]!;
      const word = (column: typeof formation) =>
        column.codes[first]! < FIRST_VALUE ? null : column.words[column.codes[first]!]!;
      const side = word(formationSide);
      return {
        formation: word(formation)!,
        side: side === 'L' || side === 'R' ? side : null,
        backfield: word(backfield),
        calls: splitCalls(columns, rows),
      };
    })
    .sort(
      (a, b) =>
        b.calls.rows.length - a.calls.rows.length ||
        a.formation.localeCompare(b.formation) ||
        (a.side ?? '').localeCompare(b.side ?? ''),
    );
}
