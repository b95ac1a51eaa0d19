/**
 * What a report counts beside its boards: drives and series, pictures with one play, looks to prepare for, players to
 * know. As tables of plain cells, the same for a file, a sheet and a page.
 */
import { gridCsv } from '../table/write';
import { count, mean, N, rate, word, type BesideCell, type BesideTable } from './beside-table';
import { adjustTable, type AdjustBook } from './adjust';
import { byProductsTable } from './by-products';
import type { Columns } from './columns';
import type { CountedSnap } from './counted';
import { DEFENDER_SIGNS, defendersOf, SIGN_KEYS } from './defenders';
import { efficiencyOf } from './efficiency';
import { GRID_PARTS, type GridCell, type GridHead } from './grid';
import type { JudgedTable } from './judged';
import { keysTable } from './keys';
import { GIVES_AWAY, onePlayPictures, PICTURE } from './one-play';
import type { Rate } from './rates';
import { returnsTable } from './returns';
import { partTitle } from './sections';
import { ofKicks, type BoardSide } from './sides';
import { varietyOf } from './variety';

export interface Beside {
  readonly snaps: readonly CountedSnap[];
  readonly columns: Columns;
  readonly rows: Uint32Array;
  readonly team: string;
  readonly side: BoardSide;
  /** Nothing is filtered away: drives are whole. */
  readonly whole: boolean;
  /** For what is read off drawings; null: no book is at hand. */
  readonly drawn?: AdjustBook | null;
  /** Of our own practice film, by concept. */
  readonly reps?: ReadonlyMap<string, number>;
}

/** Judgments of an offense whose figures open their snaps. */
export const judgedTables = ({
  snaps,
  columns,
  rows,
  drawn,
  reps,
}: Pick<Beside, 'snaps' | 'columns' | 'rows' | 'drawn' | 'reps'>): JudgedTable[] =>
  [
    ...(drawn ? [adjustTable(columns, rows, drawn)] : []),
    keysTable(columns, rows),
    byProductsTable(snaps, columns, rows),
    ...(reps ? [returnsTable(columns, rows, reps)] : []),
  ].filter((t) => t.rows.length > 0);

/** Tables with a row at least. */
export function besideTables(film: Beside): BesideTable[] {
  if (ofKicks(film.side)) return [];
  return [
    ...(film.whole ? [drivesTable(film)] : []),
    ...(film.side === 'offense'
      ? [picturesTable(film), looksTable(film), ...judgedTables(film)]
      : [playersTable(film)]),
  ].filter((t) => t.rows.length > 0);
}

/** Those of a report's sections, in their order. */
export function besidesOf(film: Beside, { order }: { readonly order: readonly string[] }): BesideTable[] {
  const all = besideTables(film);
  return order.flatMap((id) => all.find((t) => t.id === id) ?? []);
}

const byN = (rows: BesideCell[][], at: number): BesideCell[][] =>
  rows.sort((a, b) => (b[at] as number) - (a[at] as number));

function drivesTable({ snaps, rows, team, side }: Beside): BesideTable {
  const figures = efficiencyOf({ snaps, rows, team, side: side === 'defense' ? side : 'offense' });
  return {
    id: 'drives_and_series',
    title: partTitle('drives_and_series'),
    note: 'points added: from first down to first down, Carter and Machol, 1971, professional games',
    columns: [word('figure', 'figure'), N, rate('share', 'share'), mean('mean', 'mean')],
    rows: byN(
      figures
        .filter((f) => f.value.n > 0)
        .map(({ label, value }) => [
          label,
          value.n,
          'share' in value ? value : null,
          'share' in value ? null : value,
        ]),
      1,
    ),
  };
}

function picturesTable({ columns, rows }: Beside): BesideTable {
  const named = [
    word('personnel', 'personnel'),
    word('formation', 'formation'),
    word('back_to', 'back'),
    word('motion', 'motion'),
  ];
  return {
    id: 'one_play',
    title: partTitle('one_play'),
    note: `more than ${GIVES_AWAY} % of eight snaps or more; plays to add: others that would hide it`,
    columns: [...named, N, word('concept', 'play'), rate('share', 'share'), count('others', 'plays to add')],
    rows: byN(
      onePlayPictures(columns, rows).map(({ words, concept, rate: share, add }) => [
        ...PICTURE.map((_, i) => words[i] || null),
        share.n,
        concept,
        share,
        add,
      ]),
      PICTURE.length,
    ),
  };
}

function looksTable({ columns, rows }: Beside): BesideTable {
  const { rows: all, looks, once, structures, games } = varietyOf(columns, rows);
  return {
    id: 'looks',
    title: partTitle('looks'),
    note: `${all.length} snaps with a formation, ${games} ${games === 1 ? 'game' : 'games'}; left and right count as one`,
    columns: [word('what', 'what'), N],
    rows:
      all.length === 0
        ? []
        : byN(
            [
              ['different looks', looks],
              ['of them shown once', once.length],
              ['structures at the snap', structures],
            ],
            1,
          ),
  };
}

function playersTable({ snaps, rows }: Beside): BesideTable {
  const men = defendersOf(snaps, rows);
  const signs = SIGN_KEYS.filter((sign) => men.some((d) => d.signs[sign] !== null));
  return {
    id: 'players',
    title: partTitle('players'),
    note: 'signs with their counts; film and coaches decide; n: snaps with a sign',
    columns: [
      word('defender', 'defender'),
      N,
      ...signs.map((sign) => rate(sign, DEFENDER_SIGNS[sign])),
      mean('penetration', 'penetration, yards'),
    ],
    rows: byN(
      men.map((d) => [
        `#${d.number}`,
        new Set(SIGN_KEYS.flatMap((sign) => [...d.rows[sign]])).size,
        ...signs.map((sign) => d.signs[sign]),
        d.penetration,
      ]),
      1,
    ),
  };
}

/** A mean here has bounds where that of a board has its least and most. */
const MEAN_PARTS = [
  ['mean', ''],
  ['known', ', of'],
  ['least', ', low'],
  ['most', ', high'],
] as const;
const isRate = (cell: BesideCell): cell is Rate =>
  typeof cell === 'object' && cell !== null && 'share' in cell;

/** Headings and rows as a sheet of cells; rates and means in their parts, as those of a board. */
export function besideGrid({ columns, rows }: BesideTable): {
  readonly heads: readonly GridHead[];
  readonly rows: readonly (readonly GridCell[])[];
} {
  return {
    heads: columns.flatMap(({ label, kind }) =>
      (kind === 'mean' ? MEAN_PARTS : GRID_PARTS[kind]).map(([part, more]) => ({
        label: label + more,
        part,
      })),
    ),
    rows: rows.map((row) =>
      row.flatMap((cell, c): GridCell[] => {
        if (typeof cell !== 'object') return [cell];
        if (cell === null) return GRID_PARTS[columns[c]!.kind].map(() => null);
        return isRate(cell)
          ? [cell.k, cell.n, cell.share, cell.low, cell.high]
          : [cell.mean, cell.n, cell.low, cell.high];
      }),
    ),
  };
}

export function besideCsv(table: BesideTable): string {
  const { heads, rows } = besideGrid(table);
  return gridCsv([heads.map((h) => h.label), ...rows.map((r) => [...r])]);
}

/** As the tables of report.json. */
export const besideJson = ({ id, title, columns, rows }: BesideTable): object => ({
  id,
  title,
  columns,
  rows: rows.map((row) =>
    Object.fromEntries(
      row.map((cell, c) => [
        columns[c]!.key,
        typeof cell !== 'object' || cell === null
          ? cell
          : isRate(cell)
            ? { k: cell.k, n: cell.n, low: cell.low, high: cell.high }
            : { mean: cell.mean, n: cell.n },
      ]),
    ),
  ),
});
