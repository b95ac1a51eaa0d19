/**
 * Boards as tables: some snaps grouped by one to three fields, each group measured the same way, each number with the
 * snaps behind it. What is blank, none or not visible stays a row of its own, so that the rows sum to the snaps.
 */
import type { Zone } from '../field/situation';
import { NONE, UNSEEN } from '../snap/snap';
import type { BoardSpec, MeanKey, TopKey } from './board-spec';
import { BOARDS } from './board-specs';
import { cellsOf, rowsByCell, type Cells } from './cells';
import { FIRST_VALUE, select, type Columns } from './columns';
import { UNSURE } from './doubts';
import { fieldWord, ORDERS } from './field-words';
import { filterLabel, type FilterField } from './filters';
import { isRate, outcomeOf, RATES, UNSAID, YES } from './outcomes';
import { rateOfSums, type Mean, type Rate } from './rates';
import {
  meanAt,
  perGameIn,
  rateAt,
  tallyMeans,
  tallyRates,
  tallyShares,
  tallyWords,
  topAt,
  type MeanCell,
} from './tally';

const TOPS: Readonly<Record<TopKey, FilterField>> = {
  concept: 'concept',
  coverage: 'coverage',
  front: 'front',
  formation: 'formation',
};
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
export type BoardCell = Rate | MeanCell | Top | null;

export interface BoardTableRow {
  /** Codes of the words, joined: stable within a table; REST for the row of all the others. */
  readonly key: string;
  readonly words: readonly string[];
  readonly rows: Uint32Array;
  readonly cells: Readonly<Record<string, BoardCell>>;
  /** How often in a game, over the whole games of the selection, those without it too; null: no game. */
  readonly perGame: Mean | null;
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

/** A word that is a number: its column says of what. */
const isFigure = (word: string): boolean => /^\d+$/.test(word);

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
  if (order) return kept.sort((a, b) => order.indexOf(a) - order.indexOf(b));
  return kept.every(isFigure) ? kept.sort((a, b) => Number(a) - Number(b)) : kept;
}

/** 1, 0 or null for a snap in a column of a board; null: the column holds no rate. */
export function testOf(
  columns: Columns,
  spec: BoardSpec,
  key: string,
): ((row: number) => number | null) | null {
  if (isRate(key)) {
    const outcome = outcomeOf(columns, key);
    return (row) => (outcome[row] === UNSAID ? null : Number(outcome[row] === YES));
  }
  if (!key.startsWith('x:') || !spec.across) return null;
  const { codes, codeOf } = columns.text[spec.across];
  const wanted = codeOf.get(key.slice(2)) ?? -1;
  return (row) => (codes[row]! < FIRST_VALUE ? null : Number(codes[row] === wanted));
}

export function rateIn(columns: Columns, rows: Uint32Array, test: (row: number) => number | null): Rate {
  const sums = new Float64Array(5);
  for (const row of rows) {
    const hit = test(row);
    if (hit === null) continue;
    const w = columns.weight === null ? 1 : columns.weight[row]!;
    sums[0]! += hit;
    sums[1]!++;
    sums[2]! += w * hit;
    sums[3]! += w;
    sums[4]! += w * w;
  }
  return rateOfSums(sums);
}

const MEANS: Readonly<Record<MeanKey, string>> = {
  yards: 'yards a snap',
  kickYards: 'kick, yards',
  returnYards: 'return, yards',
  hang: 'hang, seconds',
  operation: 'operation, seconds',
  signToSnap: 'sign to snap, seconds',
  motionToSnap: 'motion to snap, seconds',
  beforeContact: 'yards before contact',
  afterCatch: 'yards after the catch',
  stepsTaken: 'steps',
  backRelease: 'release, seconds',
  penetration: 'penetration, yards',
  pressureTime: 'pressure, seconds',
  coverageShare: 'share of the first, percent',
};

/** What a board measures in each of some cells, by the key of its column. */
function cellsMeasured(
  columns: Columns,
  cells: Cells,
  measured: readonly BoardColumn[],
  across: FilterField | undefined,
): (cell: number) => Record<string, BoardCell> {
  const rates = tallyRates(columns, cells, measured.map((m) => m.key).filter(isRate));
  const column = across && columns.text[across];
  const shares = column && tallyShares(columns, cells, column);
  const each = measured.map(({ key }): readonly [string, (cell: number) => BoardCell] => {
    if (isRate(key)) return [key, (cell) => rateAt(rates.get(key)!, cell)];
    if (isTop(key)) {
      const words = tallyWords(cells, columns.text[TOPS[key]]);
      return [key, (cell) => topAt(words, cell, 1)[0] ?? null];
    }
    if (shares) {
      const code = column.codeOf.get(key.slice(2));
      if (key.startsWith('x:') && code !== undefined) return [key, (cell) => shares(cell, code)];
    }
    const means = tallyMeans(columns, cells, columns.figures(key as MeanKey));
    return [key, (cell) => meanAt(means, cell)];
  });
  return (cell) => Object.fromEntries(each.map(([key, of]) => [key, of(cell)]));
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
      label: isFigure(word) ? `${word} ${filterLabel(spec.across!)}` : fieldWord(spec.across!, word, zones),
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
  const cells = cellsOf(columns, rows, spec.by);
  const of = cellsMeasured(columns, cells, measured, spec.across);
  const aGame = perGameIn(columns, selection);
  /** Snaps of no one cell, together. */
  const together = (key: string, words: readonly string[], some: Uint32Array): BoardTableRow => ({
    key,
    words,
    rows: some,
    perGame: aGame(some),
    cells: cellsMeasured(columns, cellsOf(columns, some, []), measured, spec.across)(0),
  });
  const groups = rowsByCell(cells).flatMap((list, cell) =>
    list.length === 0 ? [] : [{ words: cells.words(cell), rows: list, cell }],
  );
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
  const table = shown.map((g): BoardTableRow => ({
    key: keyOf(g.words),
    words: wordsOf(g.words),
    rows: g.rows,
    perGame: aGame(g.rows),
    cells: of(g.cell),
  }));
  if (rest.length > 0)
    table.push(
      together(
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
      { key: 'n', label: spec.counts ?? 'snaps', kind: 'count' },
      ...measured,
    ],
    rows: table,
    all: together('all', ['all', ...spec.by.slice(1).map(() => '')], rows),
    tagged: groups
      .filter((g) =>
        g.words.every(
          (w, i) => (w !== '' && w !== UNSEEN && w !== UNSURE) || (w === '' && idle(spec.by, g.words, i)),
        ),
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
