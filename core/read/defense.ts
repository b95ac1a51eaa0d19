/**
 * What a defense plays: by structure and situation, shown against played, who comes. Every number keeps the rows
 * it counts; the parts of each row sum to its snaps.
 */
import { BUCKET_ROWS } from '../field/situation';
import { groupBy } from './cells';
import { wordAt, type Columns } from './columns';
import { rateOf, type Rate } from './rates';

/** Man whatever the middle; else the middle of the field says the family. */
export const FAMILIES = ['closed', 'open', 'man'] as const;
export type Family = (typeof FAMILIES)[number];
export const FAMILY_WORDS: Readonly<Record<Family, string>> = {
  closed: 'closed zone',
  open: 'open zone',
  man: 'man',
};

/** Situations side by side: every bucket lies in one. */
export const SITUATION_CLASSES = [
  { key: 'first', label: '1st down' },
  { key: 'second', label: '2nd down' },
  { key: 'third', label: '3rd down' },
  { key: 'fourth', label: '4th down' },
  { key: 'goal', label: 'goal to go' },
] as const;
export type SituationClass = (typeof SITUATION_CLASSES)[number]['key'];
const CLASS_OF: ReadonlyMap<string, SituationClass> = new Map(
  BUCKET_ROWS.map(({ key }) => [
    key,
    key.endsWith('goal') || key.startsWith('try')
      ? 'goal'
      : key.startsWith('2')
        ? 'second'
        : key.startsWith('3')
          ? 'third'
          : key.startsWith('4')
            ? 'fourth'
            : 'first',
  ]),
);

/** Men that make a pressure (common practice). */
export const PRESSURE_FROM = 5;

export interface DefenseMark {
  readonly row: number;
  readonly family: Family;
  /** Five or more came; null: not tagged. */
  readonly five: boolean | null;
}

const INTO = ['boundary', 'field', 'middle'] as const;
/** To the short side, the wide side, or neither: the ball in the middle. */
export type Into = (typeof INTO)[number];
const INTO_WORDS: Readonly<Record<Into, string>> = {
  boundary: ' into the boundary',
  field: ' to the field',
  middle: ', ball in the middle',
};

export interface StructureRow {
  /** "3x1.boundary": what stands in the address. */
  readonly key: string;
  readonly structure: string;
  /** Which way its longer side stands at the snap; null: its sides are even, or nobody can say. */
  readonly into: Into | null;
  readonly rows: Uint32Array;
  readonly cells: Readonly<Record<SituationClass, readonly DefenseMark[]>>;
  /** Snaps whose family is known, with or without a down. */
  readonly played: Readonly<Record<Family, Uint32Array>>;
  /** Coverage not tagged or not drawn by the book, or no down. */
  readonly unmarked: Uint32Array;
  /** The family most played, among the snaps whose family is known. */
  readonly leading: { readonly family: Family; readonly rate: Rate } | null;
}

export interface ShownRow {
  /** High men before the snap. */
  readonly shell: string;
  readonly rows: Uint32Array;
  readonly played: readonly { readonly family: Family; readonly rows: Uint32Array; readonly rate: Rate }[];
}

export interface DefenseBoard {
  readonly structures: readonly StructureRow[];
  /** No structure: nothing drawn stands on them. */
  readonly unplaced: Uint32Array;
  readonly shown: readonly ShownRow[];
  /** Five or more among snaps whose rushers are tagged, by situation; and all together. */
  readonly pressure: readonly {
    readonly key: SituationClass | 'all';
    readonly label: string;
    readonly rate: Rate;
    readonly rows: Uint32Array;
  }[];
  /** Pressures by name, the most used first. */
  readonly named: readonly { readonly word: string; readonly rate: Rate; readonly rows: Uint32Array }[];
}

/** Null: not tagged, or not drawn by the book. */
export function familyOf(columns: Columns, row: number): Family | null {
  const style = wordAt(columns.text.style, row);
  if (style === 'man') return 'man';
  const middle = wordAt(columns.text.middle, row);
  if (middle === null) return null;
  // Nobody deep and no zone under it: everybody is on a man.
  return middle === 'none' ? 'man' : middle === 'open' ? 'open' : 'closed';
}

/** Null: nobody tagged how many came. */
export function cameFive(columns: Columns, row: number): boolean | null {
  const rushers = wordAt(columns.text.rushers, row);
  return rushers === null ? null : Number(rushers) >= PRESSURE_FROM;
}

const classOf = (columns: Columns, row: number): SituationClass | null =>
  CLASS_OF.get(wordAt(columns.text.bucket, row) ?? '') ?? null;

const listOf = (rows: readonly number[]): Uint32Array => Uint32Array.from(rows);

/** Cost: linear in the selection. */
export function defenseBoard(columns: Columns, selection: Uint32Array): DefenseBoard {
  const places = new Map<string, number[]>();
  const unplaced: number[] = [];
  for (const row of selection) {
    const structure = wordAt(columns.text.structureSnap, row);
    if (structure === null) {
      unplaced.push(row);
      continue;
    }
    const [left, right] = structure.split('x');
    const to = left === right ? null : wordAt(columns.text.boundarySnap, row);
    const middle = left !== right && wordAt(columns.text.hash, row) === 'M';
    const key = `${structure}.${to === null ? (middle ? 'middle' : '') : to.replace('the ', '')}`;
    const list = places.get(key);
    if (list) list.push(row);
    else places.set(key, [row]);
  }
  return {
    structures: [...places]
      .map(([key, rows]) => structureRow(columns, key, rows))
      .sort((a, b) => b.rows.length - a.rows.length || (a.key < b.key ? -1 : 1)),
    unplaced: listOf(unplaced),
    shown: shownRows(columns, selection),
    pressure: pressureRows(columns, selection),
    named: namedPressures(columns, selection),
  };
}

function structureRow(columns: Columns, key: string, rows: readonly number[]): StructureRow {
  const [structure, to] = key.split('.') as [string, string];
  const cells = Object.fromEntries(SITUATION_CLASSES.map((c) => [c.key, [] as DefenseMark[]])) as Record<
    SituationClass,
    DefenseMark[]
  >;
  const unmarked: number[] = [];
  const byFamily: Record<Family, number[]> = { closed: [], open: [], man: [] };
  for (const row of rows) {
    const family = familyOf(columns, row);
    if (family !== null) byFamily[family].push(row);
    const where = classOf(columns, row);
    if (family === null || where === null) unmarked.push(row);
    else cells[where].push({ row, family, five: cameFive(columns, row) });
  }
  const known = FAMILIES.flatMap((f) => byFamily[f]);
  const leading = FAMILIES.reduce((a, b) => (byFamily[b].length > byFamily[a].length ? b : a));
  return {
    key,
    structure,
    into: INTO.find((i) => i === to) ?? null,
    rows: listOf(rows),
    cells,
    unmarked: listOf(unmarked),
    played: {
      closed: listOf(byFamily.closed),
      open: listOf(byFamily.open),
      man: listOf(byFamily.man),
    },
    leading:
      known.length === 0
        ? null
        : {
            family: leading,
            rate: rateOf(
              columns.weight,
              byFamily[leading],
              FAMILIES.filter((f) => f !== leading).flatMap((f) => byFamily[f]),
            ),
          },
  };
}

function shownRows(columns: Columns, selection: Uint32Array): ShownRow[] {
  return groupBy(columns, selection, ['shell'])
    .map(({ words: [shell], rows }): ShownRow => {
      const known = [...rows].filter((row) => familyOf(columns, row) !== null);
      return {
        shell: shell!,
        rows: listOf(known),
        played: FAMILIES.map((family) => {
          const hit = known.filter((row) => familyOf(columns, row) === family);
          const other = known.filter((row) => familyOf(columns, row) !== family);
          return { family, rows: listOf(hit), rate: rateOf(columns.weight, hit, other) };
        }).filter((p) => p.rows.length > 0),
      };
    })
    .filter((s) => s.rows.length > 0)
    .sort((a, b) => Number(b.shell) - Number(a.shell));
}

function pressureRows(columns: Columns, selection: Uint32Array): DefenseBoard['pressure'] {
  const tagged = [...selection].filter((row) => cameFive(columns, row) !== null);
  const of = (rows: readonly number[]) => {
    const hit = rows.filter((row) => cameFive(columns, row));
    return {
      rate: rateOf(
        columns.weight,
        hit,
        rows.filter((row) => !cameFive(columns, row)),
      ),
      rows: listOf(hit),
    };
  };
  return [
    { key: 'all' as const, label: 'all', ...of(tagged) },
    ...SITUATION_CLASSES.map(({ key, label }) => ({
      key,
      label,
      ...of(tagged.filter((row) => classOf(columns, row) === key)),
    })).filter((p) => p.rate.n > 0),
  ];
}

function namedPressures(columns: Columns, selection: Uint32Array): DefenseBoard['named'] {
  const tagged = [...selection].filter((row) => columns.text.pressure.codes[row]! > 0);
  return groupBy(columns, Uint32Array.from(tagged), ['pressure']).map(({ words: [word], rows }) => {
    const has = new Set(rows);
    return {
      word: word!,
      rows,
      rate: rateOf(
        columns.weight,
        rows,
        tagged.filter((row) => !has.has(row)),
      ),
    };
  });
}

/** "3x1 into the boundary". */
export const structureWords = ({ structure, into }: Pick<StructureRow, 'structure' | 'into'>): string =>
  `${structure}${into === null ? '' : INTO_WORDS[into]}`;

export const shellWords = (shell: string): string =>
  shell === '0'
    ? 'nobody high'
    : shell === '1'
      ? 'one high'
      : `${['', '', 'two', 'three', 'four'][Number(shell)] ?? shell} high`;

/** Rows of a cell of the board: a structure, and a situation of it. */
export function cellRowsOf(row: StructureRow, situation: SituationClass | null): Uint32Array {
  return situation === null ? row.rows : listOf(row.cells[situation].map((m) => m.row));
}

/** The snaps behind a number of the defense's screen, by its name in the address; what is not there has none. */
export function defenseReel(
  name: string,
  board: DefenseBoard,
): { readonly title: string; readonly rows: Uint32Array } {
  const [, what, which = '', part = '', family = ''] = name.split('/');
  const nothing = { title: '', rows: new Uint32Array(0) };
  if (what === 'unplaced') return { title: 'No structure known', rows: board.unplaced };
  if (what === 'named') {
    const found = board.named[Number(which)];
    return found ? { title: found.word, rows: found.rows } : nothing;
  }
  if (what === 'rush') {
    const found = board.pressure.find((p) => p.key === which);
    return found ? { title: `Five or more, ${found.label}`, rows: found.rows } : nothing;
  }
  if (what === 'shown') {
    const shown = board.shown.find((s) => s.shell === which);
    const played = shown?.played.find((p) => p.family === part);
    if (!shown || !played) return nothing;
    return {
      title: `${shellWords(shown.shell)} shown, ${FAMILY_WORDS[played.family]} played`,
      rows: played.rows,
    };
  }
  const row = board.structures.find((s) => s.key === which);
  if (!row) return nothing;
  const title = structureWords(row);
  if (part === 'unmarked') return { title: `${title}, coverage or down not known`, rows: row.unmarked };
  const situation = SITUATION_CLASSES.find((c) => c.key === part) ?? null;
  if (family === '') {
    const words = situation === null ? title : `${title}, ${situation.label}`;
    return { title: words, rows: cellRowsOf(row, situation?.key ?? null) };
  }
  const played = FAMILIES.find((f) => f === family);
  if (!played) return nothing;
  const rows =
    situation === null
      ? row.played[played]
      : listOf(row.cells[situation.key].filter((m) => m.family === played).map((m) => m.row));
  return { title: `${title}, ${FAMILY_WORDS[played]}`, rows };
}
