/**
 * Boards as tables: some snaps grouped by one to three fields, each group measured the same way, each number with the
 * snaps behind it. What is blank, none or not visible stays a row of its own, so that the rows sum to the snaps.
 */
import type { Zone } from '../field/situation';
import { NONE, UNSEEN } from '../snap/snap';
import { FIRST_VALUE, groupBy, select, UNKNOWN, type Columns } from './columns';
import { fieldWord, ORDERS } from './field-words';
import { BOARDS, type BoardSpec, type MeanKey, type RateKey, type TopKey } from './board-specs';
import { filterLabel, type FilterField } from './filters';
import { rateOf, type Rate } from './rates';

/** A measure of how a kick ended; null where that is not said. */
function kickEnded(of: (end: string) => number | null) {
  return (c: Columns) => {
    const { words, codes } = c.text.kickEnd;
    const said = words.map((w, code) => (code < FIRST_VALUE ? null : of(w)));
    return (row: number): number | null => said[codes[row]!]!;
  };
}

/** Every measure of a snap that a board counts: 1, 0, or null where it cannot be said. */
const RATES = {
  run: {
    label: 'run',
    of: (c: Columns) => {
      const kinds = c.text.play.words.map((w) => (w === 'run' ? 1 : w === 'pass' || w === 'rpo' ? 0 : null));
      return (row: number) => kinds[c.text.play.codes[row]!]!;
    },
  },
  success: {
    label: 'success',
    of: (c: Columns) => (row: number) => (c.success[row] === 2 ? null : c.success[row]!),
  },
  explosive: {
    label: 'explosive',
    of: (c: Columns) => (row: number) => (c.yards[row] === UNKNOWN ? null : c.explosive[row]!),
  },
  negative: {
    label: 'lost yards',
    of: (c: Columns) => (row: number) => (c.yards[row] === UNKNOWN ? null : Number(c.yards[row]! < 0)),
  },
  five: {
    label: 'five or more rush',
    of: (c: Columns) => {
      const { words, codes } = c.text.rushers;
      return (row: number) => (codes[row]! < FIRST_VALUE ? null : Number(Number(words[codes[row]!]) >= 5));
    },
  },
  man: {
    label: 'man',
    of: (c: Columns) => {
      const { words, codes } = c.text.style;
      return (row: number) => (codes[row]! < FIRST_VALUE ? null : Number(words[codes[row]!] === 'man'));
    },
  },
  returned: { label: 'returned', of: kickEnded((end) => Number(end === 'returned' || end === 'muffed')) },
  good: {
    label: 'good',
    of: kickEnded((end) => (['good', 'missed', 'blocked'].includes(end) ? Number(end === 'good') : null)),
  },
  blocked: { label: 'blocked', of: kickEnded((end) => Number(end === 'blocked')) },
} as const satisfies Readonly<
  Record<RateKey, { readonly label: string; of(c: Columns): (row: number) => number | null }>
>;
const TOPS: Readonly<Record<TopKey, FilterField>> = {
  concept: 'concept',
  coverage: 'coverage',
  front: 'front',
  formation: 'formation',
};
const isRate = (key: string): key is RateKey => Object.hasOwn(RATES, key);
const isTop = (key: string): key is keyof typeof TOPS => Object.hasOwn(TOPS, key);

/** Rows that a board shows by themselves; the rest stand together in its last row. */
const MOST_ROWS = 24;
/** Words of a field across that have a column. */
const MOST_ACROSS = 6;
/** The last row's key: it names no word. */
export const REST = '…';

export type CellKind = 'word' | 'count' | 'rate' | 'mean' | 'top';
export interface BoardColumn {
  readonly key: string;
  readonly label: string;
  readonly kind: CellKind;
}
export interface Top {
  readonly word: string;
  readonly k: number;
}
export type BoardCell = Rate | { readonly mean: number | null; readonly n: number } | Top | null;

export interface BoardTableRow {
  /** Codes of the words, joined: stable within a table; REST for the row of all the others. */
  readonly key: string;
  readonly words: readonly string[];
  readonly rows: Uint32Array;
  readonly cells: Readonly<Record<string, BoardCell>>;
}
export interface BoardTable {
  readonly id: string;
  readonly title: string;
  /** The grouped fields, the count, then what is measured. */
  readonly columns: readonly BoardColumn[];
  readonly rows: readonly BoardTableRow[];
  readonly all: BoardTableRow;
  /** Snaps of which every grouped field says something: a word, none, or that it does not apply. */
  readonly tagged: number;
}

const acrossKey = (word: string): string => `x:${word}`;

const orderOf = (field: FilterField, zones: readonly Zone[]): readonly string[] | undefined =>
  field === 'zone' ? zones.map((z) => z.key) : ORDERS[field];

/** The most used words of a field, in its own order where it has one. */
function acrossWords(
  columns: Columns,
  rows: Uint32Array,
  field: FilterField,
  zones: readonly Zone[],
): string[] {
  const { codes, words } = columns.text[field];
  const counts = new Uint32Array(words.length);
  for (const row of rows) counts[codes[row]!]!++;
  const used = words
    .map((word, code) => ({ word, k: counts[code]!, code }))
    .filter(({ k, code }) => k > 0 && code >= FIRST_VALUE)
    .sort((a, b) => b.k - a.k || (a.word < b.word ? -1 : 1));
  const order = orderOf(field, zones);
  const most = order ? used.length : MOST_ACROSS;
  const kept = used.slice(0, most).map((u) => u.word);
  return order ? kept.sort((a, b) => order.indexOf(a) - order.indexOf(b)) : kept;
}

/** 1, 0 or null for a snap in a column of a board; null: the column holds no rate. */
export function testOf(
  columns: Columns,
  spec: BoardSpec,
  key: string,
): ((row: number) => number | null) | null {
  if (isRate(key)) return RATES[key].of(columns);
  if (!key.startsWith('x:') || !spec.across) return null;
  const { codes, codeOf } = columns.text[spec.across];
  const wanted = codeOf.get(key.slice(2)) ?? -1;
  return (row) => (codes[row]! < FIRST_VALUE ? null : Number(codes[row] === wanted));
}

export function rateIn(columns: Columns, rows: Uint32Array, test: (row: number) => number | null): Rate {
  const [hits, others]: [number[], number[]] = [[], []];
  for (const row of rows) {
    const hit = test(row);
    if (hit !== null) (hit === 1 ? hits : others).push(row);
  }
  return rateOf(columns.weight, hits, others);
}

const MEANS: Readonly<Record<MeanKey, string>> = {
  yards: 'yards a snap',
  kickYards: 'kick, yards',
  returnYards: 'return, yards',
  hang: 'hang, seconds',
  operation: 'operation, seconds',
};

function meanIn(columns: Columns, rows: Uint32Array, key: MeanKey): { mean: number | null; n: number } {
  const figures = columns[key];
  let [sum, weight, n] = [0, 0, 0];
  for (const row of rows) {
    const figure = figures[row]!;
    if (figure === UNKNOWN || Number.isNaN(figure)) continue;
    const w = columns.weight === null ? 1 : columns.weight[row]!;
    sum += w * figure;
    weight += w;
    n++;
  }
  return { mean: weight === 0 ? null : sum / weight, n };
}

function topIn(columns: Columns, rows: Uint32Array, field: FilterField): Top | null {
  const { codes, words } = columns.text[field];
  const counts = new Uint32Array(words.length);
  for (const row of rows) counts[codes[row]!]!++;
  let best = -1;
  for (let code = FIRST_VALUE; code < words.length; code++)
    if (
      counts[code]! > 0 &&
      (best < 0 ||
        counts[code]! > counts[best]! ||
        (counts[code] === counts[best] && words[code]! < words[best]!))
    )
      best = code;
  return best < 0 ? null : { word: words[best]!, k: counts[best]! };
}

/** Snaps of a selection that a board is about. */
export const rowsFor = (columns: Columns, rows: Uint32Array, spec: BoardSpec): Uint32Array =>
  spec.filter || spec.ranges ? select(columns, spec.filter ?? {}, spec.ranges ?? {}, rows) : rows;

/** Cost: linear in the snaps, times the measures. */
export function boardTable(
  columns: Columns,
  selection: Uint32Array,
  spec: BoardSpec,
  zones: readonly Zone[],
): BoardTable {
  const rows = rowsFor(columns, selection, spec);
  const across = spec.across ? acrossWords(columns, rows, spec.across, zones) : [];
  const measured: BoardColumn[] = [
    ...across.map((word): BoardColumn => ({
      key: acrossKey(word),
      label: fieldWord(spec.across!, word, zones),
      kind: 'rate',
    })),
    ...spec.measures.map((key): BoardColumn =>
      isRate(key)
        ? { key, label: RATES[key].label, kind: 'rate' }
        : isTop(key)
          ? { key, label: `${key} most used`, kind: 'top' }
          : { key, label: MEANS[key], kind: 'mean' },
    ),
  ];
  const tests = new Map(measured.map((c) => [c.key, testOf(columns, spec, c.key)]));
  const row = (key: string, words: readonly string[], of: Uint32Array): BoardTableRow => ({
    key,
    words,
    rows: of,
    cells: Object.fromEntries(
      measured.map(({ key: column }): [string, BoardCell] => {
        const test = tests.get(column);
        if (test) return [column, rateIn(columns, of, test)];
        return [
          column,
          isTop(column) ? topIn(columns, of, TOPS[column]) : meanIn(columns, of, column as MeanKey),
        ];
      }),
    ),
  });
  const groups = groupBy(columns, rows, spec.by, true);
  sortRows(groups, spec.by, zones);
  const keyOf = (words: readonly string[]): string => words.map((w) => encodeURIComponent(w)).join('~');
  // A picture has a place for each of its groups.
  const most = spec.picture ? groups.length : MOST_ROWS;
  const shown = groups.length > most ? largest(groups, most - 1) : groups;
  const rest = groups.filter((g) => !shown.includes(g)).flatMap((g) => [...g.rows]);
  const wordsOf = (words: readonly string[]): string[] =>
    words.map((w, i) =>
      w === '' && idle(spec.by, words, i) ? 'not applicable' : fieldWord(spec.by[i]!, w, zones),
    );
  const table = shown.map((g) => row(keyOf(g.words), wordsOf(g.words), g.rows));
  if (rest.length > 0)
    table.push(
      row(
        REST,
        [`${groups.length - shown.length} others`, ...spec.by.slice(1).map(() => '')],
        Uint32Array.from(rest).sort(),
      ),
    );
  return {
    id: spec.id,
    title: spec.title,
    columns: [
      ...spec.by.map((f): BoardColumn => ({ key: f, label: filterLabel(f), kind: 'word' })),
      { key: 'n', label: 'snaps', kind: 'count' },
      ...measured,
    ],
    rows: table,
    all: row('all', ['all', ...spec.by.slice(1).map(() => '')], rows),
    tagged: groups
      .filter((g) =>
        g.words.every((w, i) => (w !== '' && w !== UNSEEN) || (w === '' && idle(spec.by, g.words, i))),
      )
      .reduce((n, g) => n + g.rows.length, 0),
  };
}

/** A blank that has nothing to say: who goes in no motion, the field when the ball lies in the middle. */
function idle(by: readonly FilterField[], words: readonly string[], at: number): boolean {
  const said = (field: FilterField, word: string): boolean => words[by.indexOf(field)] === word;
  return by[at] === 'boundary' ? said('hash', 'M') : AFTER_MOTION.has(by[at]!) && said('motion', NONE);
}
const AFTER_MOTION: ReadonlySet<FilterField> = new Set(['motionBy', 'motionResponse']);

/** By the first word, in its own order or the most used first; then by the second in its own order, or by snaps. */
function sortRows(
  groups: { readonly words: readonly string[]; readonly rows: Uint32Array }[],
  by: readonly FilterField[],
  zones: readonly Zone[],
): void {
  const orders = by.slice(0, 2).map((field) => orderOf(field, zones) ?? []);
  const total = new Map<string, number>();
  for (const { words, rows } of groups) total.set(words[0]!, (total.get(words[0]!) ?? 0) + rows.length);
  // A word that is not of the order (-1) comes last.
  const rank = (word: string | undefined, at: number): number =>
    (orders[at]?.indexOf(word ?? '') ?? -1) >>> 0;
  groups.sort(
    ({ words: [a, c], rows: x }, { words: [b, d], rows: y }) =>
      rank(a, 0) - rank(b, 0) ||
      total.get(b!)! - total.get(a!)! ||
      (a === b ? 0 : a! < b! ? -1 : 1) ||
      rank(c, 1) - rank(d, 1) ||
      y.length - x.length,
  );
}

/** The groups with most snaps, in the order they stand in. */
function largest<G extends { readonly rows: Uint32Array }>(groups: readonly G[], most: number): G[] {
  const kept = new Set([...groups].sort((a, b) => b.rows.length - a.rows.length).slice(0, most));
  return groups.filter((g) => kept.has(g));
}

/** Snaps behind a cell: of a row, those that its rate counts as hits; of a most used word, those with the word. */
export function cellRows(columns: Columns, spec: BoardSpec, row: BoardTableRow, column: string): Uint32Array {
  const test = testOf(columns, spec, column);
  if (test) return row.rows.filter((r) => test(r) === 1);
  const cell = row.cells[column];
  if (isTop(column) && cell && 'word' in cell) {
    const { codes, codeOf } = columns.text[TOPS[column]];
    return row.rows.filter((r) => codes[r] === codeOf.get(cell.word));
  }
  return row.rows;
}

/** The snaps of a number by its name in the address, "b/<board>/<row>/<column>"; what is not there has none. */
export function boardReel(
  name: string,
  columns: Columns,
  selection: Uint32Array,
  zones: readonly Zone[],
): { readonly title: string; readonly rows: Uint32Array } {
  const [, id, key = 'all', column = 'n'] = name.split('/');
  const spec = BOARDS.find((b) => b.id === id);
  const table = spec && boardTable(columns, selection, spec, zones);
  const row = key === 'all' ? table?.all : table?.rows.find((r) => r.key === key);
  if (!spec || !table || !row) return { title: '', rows: new Uint32Array(0) };
  const label = table.columns.find((c) => c.key === column)?.label ?? '';
  const words = row.words.filter(Boolean).join(', ');
  return {
    title: `${table.title}: ${words}${column === 'n' ? '' : `, ${label}`}`,
    rows: cellRows(columns, spec, row, column),
  };
}
