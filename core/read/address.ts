/** The address of a view of Read: whose offense, which film, which filters, which cell, which reel. */
import { BOARD_SIDES, type BoardSide } from './sides';
import { readContrast, type Contrast } from './contrasts';
import { FILM_KINDS, type FilmKind } from './film';
import { bucketLabel, type BucketKey } from '../field/situation';
import { formatClock } from '../field/spot';
import { RANGE_FIELDS, RANGE_LABEL, type Filter, type Range, type RangeField, type Ranges } from './columns';
import { isFilterField, type FilterField } from './filters';

export interface Cell {
  readonly bucket: string;
  readonly zone: string | null;
}

export interface ReadAddress {
  readonly team: string;
  /** Which side of the ball of the team is read. */
  readonly side: BoardSide;
  readonly film: FilmKind;
  /** The last games only; null: all. */
  readonly last: number | null;
  /** Games after which one counts half; null: none fades. */
  readonly halfLife: number | null;
  readonly filter: Filter;
  /** Figures between two bounds, both within. */
  readonly ranges: Ranges;
  readonly cell: Cell | null;
  readonly reel: string | null;
  /** A structure of the defense’s board, and a situation of it: "3x1.boundary.third". */
  readonly at: string | null;
  /** The board shown as a table; null: the usual one. */
  readonly board: string | null;
  /** Boards drawn as well. */
  readonly picture: boolean;
  /** Two parts of the film set side by side; null: none. */
  readonly against: Contrast | null;
}

/** "personnel:11,12;hash:L" */
export function readFilter(text: string | null): Filter {
  const out: Partial<Record<FilterField, string[]>> = {};
  for (const part of (text ?? '').split(';')) {
    const [field, words] = part.split(':');
    if (field && words && isFilterField(field)) out[field] = words.split(',').filter(Boolean);
  }
  return out;
}
export const writeFilter = (filter: Filter): string | null =>
  Object.entries(filter)
    .filter(([, words]) => words && words.length > 0)
    .map(([field, words]) => `${field}:${words!.join(',')}`)
    .join(';') || null;

/** "distance:7..10;margin:-8..-1" */
export function readRanges(text: string | null): Ranges {
  const out: Partial<Record<RangeField, Range>> = {};
  for (const part of (text ?? '').split(';')) {
    const found = /^([a-zA-Z]+):(-?\d{1,4})\.\.(-?\d{1,4})$/.exec(part);
    const field = RANGE_FIELDS.find((f) => f === found?.[1]);
    const [from, to] = [Number(found?.[2]), Number(found?.[3])];
    if (field !== undefined && from <= to) out[field] = { from, to };
  }
  return out;
}
export const writeRanges = (ranges: Ranges): string | null =>
  Object.entries(ranges)
    .map(([field, range]) => `${field}:${range!.from}..${range!.to}`)
    .join(';') || null;

/** "yards to gain 7 to 10", "clock 0:00 to 2:00". */
export function rangeWords(field: RangeField, { from, to }: Range): string {
  const word = (x: number): string => (field === 'clock' ? formatClock(x) : String(x).replace('-', '−'));
  return `${RANGE_LABEL[field]} ${from === to ? word(from) : `${word(from)} to ${word(to)}`}`;
}

/** "1st_10.own" or "1st_10". */
export function readCell(text: string | null): Cell | null {
  if (!text) return null;
  const [bucket, zone] = text.split('.');
  return { bucket: bucket!, zone: zone ?? null };
}
export const writeCell = ({ bucket, zone }: Cell): string => (zone ? `${bucket}.${zone}` : bucket);

export const cellWords = (cell: Cell | null, zoneLabel: string | null): string =>
  cell === null
    ? 'All situations'
    : `${bucketLabel(cell.bucket as BucketKey)}${zoneLabel ? `, ${zoneLabel}` : ''}`;

/** Whose film is read where the address names nobody: the next opponent, or the first team there is. */
export const usualTeam = (opponent: string | null, teams: readonly { readonly key: string }[]): string =>
  opponent ?? teams[0]?.key ?? '';

/** What stands in the address; words that mean nothing are passed over. */
export function readAddress(
  params: { get(name: string): string | null },
  usual: { readonly team: string; readonly film: FilmKind },
): ReadAddress {
  const film = FILM_KINDS.find((k) => k === params.get('film'));
  const whole = (name: string): number | null => {
    const n = Number(params.get(name));
    return Number.isInteger(n) && n > 0 ? n : null;
  };
  return {
    team: params.get('team') ?? usual.team,
    side: BOARD_SIDES.find((s) => s === params.get('side')) ?? 'offense',
    film: film ?? usual.film,
    last: whole('last'),
    halfLife: whole('halflife'),
    filter: readFilter(params.get('filter')),
    ranges: readRanges(params.get('range')),
    cell: readCell(params.get('cell')),
    reel: params.get('reel'),
    at: params.get('at'),
    board: params.get('board'),
    picture: params.get('picture') === '1',
    against: readContrast(params.get('against')),
  };
}
