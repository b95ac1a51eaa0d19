/** The situation board: a row a bucket, every snap a mark where on the field it was played. */
import { BUCKET_ROWS } from '../field/situation';
import { FIRST_VALUE, type Columns } from './columns';
import { wilson, type Rate } from './rates';

export const MARK_KINDS = ['run', 'pass', 'rpo'] as const;
export type MarkKind = (typeof MARK_KINDS)[number];

/** Yards of field that one column of marks covers. */
export const MARK_YARDS = 2;

export interface Mark {
  readonly row: number;
  readonly kind: MarkKind;
  /** Column from the left: own goal line at 0. */
  readonly column: number;
  /** Height in its column, from 0. */
  readonly level: number;
}

export interface BoardRow {
  readonly key: string;
  readonly label: string;
  /** All snaps of the row, for the reel. */
  readonly rows: Uint32Array;
  readonly runs: Uint32Array;
  readonly passes: Uint32Array;
  readonly rpos: Uint32Array;
  /** Runs among snaps whose call is tagged. */
  readonly run: Rate;
  readonly marks: readonly Mark[];
  /** Snaps without a mark: call not tagged, or spot unknown. */
  readonly unmarked: number;
  readonly tallest: number;
}

/** Rows of the buckets that occur, in the order coaches read them. Counts by call; an RPO is its own kind. */
export function situationBoard(columns: Columns, selection: Uint32Array): BoardRow[] {
  const { codes, words } = columns.text.bucket;
  const play = columns.text.play;
  const kindOf = play.words.map((w) => MARK_KINDS.indexOf(w as MarkKind));
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
    const byKind: [number[], number[], number[]] = [[], [], []];
    const heights = new Uint16Array(Math.ceil(100 / MARK_YARDS) + 1);
    const marks: Mark[] = [];
    let unmarked = 0;
    for (const i of rows) {
      const kind = kindOf[play.codes[i]!]!;
      if (kind >= 0) byKind[kind as 0 | 1 | 2].push(i);
      const toGoal = columns.toGoal[i]!;
      if (kind < 0 || toGoal < 0) {
        unmarked++;
        continue;
      }
      const column = Math.floor((100 - toGoal) / MARK_YARDS);
      marks.push({ row: i, kind: MARK_KINDS[kind]!, column, level: heights[column]!++ });
    }
    const [runs, passes, rpos] = byKind;
    out.push({
      key,
      label,
      rows: Uint32Array.from(rows),
      runs: Uint32Array.from(runs),
      passes: Uint32Array.from(passes),
      rpos: Uint32Array.from(rpos),
      run: wilson(runs.length, runs.length + passes.length + rpos.length),
      marks,
      unmarked,
      tallest: Math.max(0, ...heights),
    });
  }
  return out;
}

export interface LookRow {
  readonly formation: string;
  readonly side: 'L' | 'R' | null;
  readonly backfield: string | null;
  readonly rows: Uint32Array;
  readonly run: Rate;
  /** Snaps by call and side; an RPO counts as its run part here and says so in the label. */
  readonly arrows: readonly {
    readonly kind: 'run' | 'pass';
    readonly side: 'L' | 'R';
    readonly rows: Uint32Array;
  }[];
}

/** The formations of a cell, most used first, with what was called to each side. */
export function looksOf(columns: Columns, selection: Uint32Array): LookRow[] {
  const { formation, formationSide, backfield, play, direction } = columns.text;
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
      const word = (c: typeof formation) =>
        c.codes[first]! < FIRST_VALUE ? null : c.words[c.codes[first]!]!;
      const side = word(formationSide);
      const called = (i: number) => play.words[play.codes[i]!];
      const runs = rows.filter((i) => called(i) === 'run');
      const known = rows.filter((i) => called(i) === 'run' || called(i) === 'pass' || called(i) === 'rpo');
      const arrows = (['run', 'pass'] as const)
        .flatMap((kind) =>
          (['L', 'R'] as const).map((to) => ({
            kind,
            side: to,
            rows: Uint32Array.from(
              rows.filter(
                (i) =>
                  (called(i) === kind || (kind === 'run' && called(i) === 'rpo')) &&
                  direction.words[direction.codes[i]!] === to,
              ),
            ),
          })),
        )
        .filter((a) => a.rows.length > 0);
      return {
        formation: word(formation)!,
        side: side === 'L' || side === 'R' ? side : null,
        backfield: word(backfield),
        rows: Uint32Array.from(rows),
        run: wilson(runs.length, known.length),
        arrows,
      };
    })
    .sort(
      (a, b) =>
        b.rows.length - a.rows.length ||
        a.formation.localeCompare(b.formation) ||
        (a.side ?? '').localeCompare(b.side ?? ''),
    );
}
