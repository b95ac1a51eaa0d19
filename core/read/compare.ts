/** A board of two parts of the film side by side: each rate twice, with the interval of its difference. */
import { SNAP_FIELDS } from '../snap/fields';
import type { Zone } from '../field/situation';
import type { BoardSpec, MeanKey } from './board-spec';
import { boardTable, rateIn, testOf, type BoardTable } from './boards';
import { cellsOf } from './cells';
import type { Columns } from './columns';
import { CONTRASTS, numberOf, readContrast, type Contrast, type PlainContrast } from './contrasts';
import { IN_GAME, OUT_FIELD, OUT_OF_GAME, type BallSide } from './presence';
import { differenceOf, FEW_COUNT, type Rate } from './rates';
import { sideField } from './sides';
import { meanAt, tallyMeans, type MeanCell } from './tally';

const CONTRAST_WORDS: Readonly<Record<PlainContrast, string>> = {
  half: '2nd half against 1st',
  last: 'last game against earlier',
  last3: 'last three games against earlier',
  score: 'behind against ahead',
  us: 'against us and against others',
};
export const contrastWords = (contrast: Contrast): string => {
  const number = numberOf(contrast);
  return number === null
    ? CONTRAST_WORDS[contrast as PlainContrast]
    : `${number === '' ? 'a number' : `number ${number}`} in against out`;
};

export interface Parts {
  /** What each part is called. */
  readonly words: readonly [string, string];
  readonly a: Uint32Array;
  readonly b: Uint32Array;
  /** Snaps in neither: overtime, a level score, a score nobody knows, a game that never names the number. */
  readonly neither: number;
}

/**
 * Splits rows in two. `own`: the program's team; `side`: the side of the ball a number plays on. Games stand in the
 * columns in the order they were played.
 */
export function partsOf(
  columns: Columns,
  rows: Uint32Array,
  contrast: Contrast,
  own: string,
  side: BallSide,
): Parts {
  const { game, half, lead, offense, defense } = columns.text;
  const number = numberOf(contrast);
  const presence = number === null ? null : columns.presence.of(side, number);
  const played = [...new Set([...rows].map((r) => game.codes[r]!))].sort((a, b) => a - b);
  const late = new Set(played.slice(contrast === 'last' ? -1 : -3));
  const us = [offense.codeOf.get(own) ?? -1, defense.codeOf.get(own) ?? -1];
  const sideOf = (row: number): 'a' | 'b' | null => {
    if (presence) return presence[row] === IN_GAME ? 'a' : presence[row] === OUT_OF_GAME ? 'b' : null;
    if (contrast === 'half') {
      const word = half.words[half.codes[row]!];
      return word === '2nd half' ? 'a' : word === '1st half' ? 'b' : null;
    }
    if (contrast === 'score') {
      const word = lead.words[lead.codes[row]!]!;
      return word.startsWith('behind') ? 'a' : word.startsWith('ahead') ? 'b' : null;
    }
    if (contrast === 'us') return offense.codes[row] === us[0] || defense.codes[row] === us[1] ? 'a' : 'b';
    return late.has(game.codes[row]!) ? 'a' : 'b';
  };
  const a = rows.filter((r) => sideOf(r) === 'a');
  const b = rows.filter((r) => sideOf(r) === 'b');
  const words =
    number === null ? WORDS[contrast as PlainContrast] : ([`${number} in`, `${number} out`] as const);
  return { words, a, b, neither: rows.length - a.length - b.length };
}
const WORDS: Readonly<Record<PlainContrast, readonly [string, string]>> = {
  half: ['2nd half', '1st half'],
  last: ['last game', 'earlier'],
  last3: ['last three', 'earlier'],
  score: ['behind', 'ahead'],
  us: ['against us', 'against others'],
};

/** What a comparison offers: a number where it is typed as out on some of the rows, or how to say so. */
export function contrastsOf(
  columns: Columns,
  rows: Uint32Array,
  side: BallSide,
  chosen: Contrast | null,
): readonly Contrast[] {
  const out = columns.presence.out(side, rows).slice(0, MOST_NUMBERS);
  const numbers = out.map(({ number }): Contrast => `in:${number}`);
  const offered: Contrast[] = [...CONTRASTS, ...(numbers.length > 0 ? numbers : (['in:'] as const))];
  return chosen === null || offered.includes(chosen) ? offered : [...offered, chosen];
}
const MOST_NUMBERS = 12;

/** How a number came to be in or out. */
export const presenceNote = (side: BallSide, number: string): string =>
  `Out: snaps that say ${typedOut(side, number)}. In: the other snaps of games in which he did something.`;
const typedOut = (side: BallSide, number: string): string =>
  `${SNAP_FIELDS[OUT_FIELD[side]].typed![0]}=${number}`;

/** Why two parts cannot be compared, and what to do. */
export function nothingWords({ words, a }: Parts, contrast: Contrast, side: BallSide): string {
  const number = numberOf(contrast);
  if (number !== null && a.length > 0 && number !== '')
    return `Nothing to compare: no snap here says that ${number} is out. Type ${typedOut(side, number)} on the snaps that he, who usually plays, does not.`;
  if (number !== null && number !== '')
    return `Nothing to compare: no snap here with ${number} in, or none of these games names him.`;
  if (number !== null)
    return `A number that is typed as out of the game can be chosen here. In Log, ${typedOut(side, '22')} on a snap says that 22, who usually plays, does not.`;
  return `Nothing to compare: no snap ${words[a.length === 0 ? 0 : 1]}${contrast === 'us' ? '; choose a team that has played both' : ''}.`;
}

export interface Compared {
  readonly a: Rate;
  readonly b: Rate;
  /** Of a − b, 95 %; null where either has no snaps. */
  readonly difference: { readonly low: number; readonly high: number } | null;
}
export interface ComparedRow {
  readonly key: string;
  readonly words: readonly string[];
  readonly a: Uint32Array;
  readonly b: Uint32Array;
  readonly cells: Readonly<Record<string, Compared>>;
  /** Means of both, without an interval: a handful of yards is too skewed for one. */
  readonly means: Readonly<Record<string, readonly [a: MeanCell, b: MeanCell]>>;
}
export interface Comparison {
  readonly table: BoardTable;
  /** Columns that hold rates. */
  readonly measured: BoardTable['columns'];
  /** Columns that hold means. */
  readonly averaged: BoardTable['columns'];
  readonly rows: readonly ComparedRow[];
  readonly all: ComparedRow;
  /** Differences that have an interval, and those whose interval leaves zero out. */
  readonly looked: number;
  readonly apart: number;
}

/** Too few on a side to say a difference of; none is not few. */
export const isFew = ({ a, b }: Compared): boolean => a.worth < FEW_COUNT || b.worth < FEW_COUNT;
export const isApart = (compared: Compared): boolean =>
  compared.difference !== null &&
  !isFew(compared) &&
  (compared.difference.low > 0 || compared.difference.high < 0);

/** Cost: a board's, twice. */
export function compareBoard(
  columns: Columns,
  parts: Parts,
  spec: BoardSpec,
  zones: readonly Zone[],
): Comparison {
  const both = Uint32Array.from([...parts.a, ...parts.b]).sort();
  const table = boardTable(columns, both, spec, zones);
  const ofA = new Set(parts.a);
  const measured = table.columns.filter((c) => c.kind === 'rate');
  const averaged = table.columns.filter((c) => c.kind === 'mean');
  const mean = (some: Uint32Array, key: string): MeanCell =>
    meanAt(tallyMeans(columns, cellsOf(columns, some, []), columns.figures(key as MeanKey)), 0);
  const tests = measured.map((c) => testOf(columns, spec, c.key)!);
  const rows = [...table.rows, table.all].map(({ key, words, rows }): ComparedRow => {
    const a = rows.filter((r) => ofA.has(r));
    const b = rows.filter((r) => !ofA.has(r));
    const cells = measured.map((column, i): [string, Compared] => {
      const [x, y] = [rateIn(columns, a, tests[i]!), rateIn(columns, b, tests[i]!)];
      return [column.key, { a: x, b: y, difference: differenceOf(x, y) }];
    });
    const means = averaged.map((c) => [c.key, [mean(a, c.key), mean(b, c.key)]] as const);
    return { key, words, a, b, cells: Object.fromEntries(cells), means: Object.fromEntries(means) };
  });
  const all = rows.pop()!;
  const every = rows.flatMap((r) => Object.values(r.cells)).filter((c) => c.difference !== null && !isFew(c));
  return { table, measured, averaged, rows, all, looked: every.length, apart: every.filter(isApart).length };
}

const points = (x: number): string => {
  const whole = Math.round(100 * x);
  return `${whole > 0 ? '+' : whole < 0 ? '−' : ''}${Math.abs(whole)}`;
};
/** "+12 to +40 points"; "few" under four on a side. */
export const differenceText = (compared: Compared): string =>
  compared.difference === null
    ? ''
    : isFew(compared)
      ? 'few'
      : `${points(compared.difference.low)} to ${points(compared.difference.high)} points`;

/** The snaps of a part of a comparison by name, "c/<contrast>/<board>/<row>/<column>/<a or b>"; what is not there has none. */
export function compareReel(
  name: string,
  columns: Columns,
  rows: Uint32Array,
  own: string,
  boards: readonly BoardSpec[],
  zones: readonly Zone[],
): { readonly title: string; readonly rows: Uint32Array } {
  const [, contrast, id, key, column = 'n', part] = name.split('/');
  const known = readContrast(contrast ?? null);
  const spec = boards.find((b) => b.id === id);
  const nothing = { title: '', rows: new Uint32Array(0) };
  if (!known || !spec) return nothing;
  const parts = partsOf(columns, rows, known, own, sideField(spec.side));
  const { table, rows: compared, all } = compareBoard(columns, parts, spec, zones);
  const row = key === 'all' ? all : compared.find((r) => r.key === key);
  if (!row || (part !== 'a' && part !== 'b')) return nothing;
  const test = testOf(columns, spec, column);
  const label = table.columns.find((c) => c.key === column)?.label;
  return {
    title: `${table.title}: ${row.words.filter(Boolean).join(', ')}, ${parts.words[part === 'a' ? 0 : 1]}${column === 'n' ? '' : `, ${label}`}`,
    rows: test ? row[part].filter((r) => test(r) === 1) : row[part],
  };
}
