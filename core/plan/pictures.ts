/** What an offense lines up in, as a check names it: structures with the way their longer side stands, and pictures that cut across them. */
import { select, wordAt, type Columns, type Filter, type Ranges } from '../read/columns';
import type { FilterField } from '../read/filters';

const INTO = { field: 'to the field', boundary: 'into the boundary', middle: 'ball in the middle' } as const;
export type PictureInto = keyof typeof INTO;

export interface Picture {
  /** "2x2", "3x1.boundary", "bunch". */
  readonly key: string;
  readonly label: string;
  readonly filter: Filter;
  /** Words of a field that hold one of these; null: the filter says all. */
  readonly holds: { readonly field: FilterField; readonly words: readonly string[] } | null;
  /** What it is by the count of its sides; null: any. */
  readonly structure: string | null;
  readonly into: PictureInto | null;
}

const named = (key: string, label: string, filter: Filter, holds: Picture['holds'] = null): Picture => ({
  key,
  label,
  filter,
  holds,
  structure: null,
  into: null,
});

/** They cut across the structures: a snap is 3x1 and a bunch. */
export const NAMED_PICTURES: readonly Picture[] = [
  named('tight-end-boundary', 'tight end into the boundary', { tightEndTo: ['the boundary'] }),
  named('bunch', 'bunch', {}, { field: 'strongSide', words: ['bunch', 'cluster'] }),
  named('stack', 'stack', {}, { field: 'strongSide', words: ['stack'] }),
  named('condensed', 'condensed', {}, { field: 'strongSide', words: ['condensed'] }),
  named('empty', 'empty', { backTo: ['nobody'] }),
  named('two-backs', 'two backs', {}, { field: 'backfieldSet', words: ['split', 'i', 'full'] }),
  named('unbalanced', 'unbalanced', { lineBalance: ['unbalanced'] }),
];

const STRUCTURE = /^([0-5]x[0-5])(?:\.(field|boundary|middle))?$/;

/** Null: no picture has this key. */
export function pictureOf(key: string): Picture | null {
  const found = NAMED_PICTURES.find((p) => p.key === key);
  if (found) return found;
  const [, structure, into] = STRUCTURE.exec(key) ?? [];
  if (structure === undefined) return null;
  const to = (into ?? null) as PictureInto | null;
  return {
    key,
    label: to === null ? structure : `${structure} ${INTO[to]}`,
    filter: {
      structureSnap: [structure],
      ...(to === 'middle' ? { hash: ['M'] } : to === null ? {} : { boundarySnap: [`the ${to}`] }),
    },
    holds: null,
    structure,
    into: to,
  };
}

/** Structures that a staff may choose without film of them (common practice), larger side first. */
export const COMMON_STRUCTURES = ['2x2', '3x1', '3x2', '4x1', '2x1', '1x1', '3x0', '2x0'] as const;

export interface CheckSituation {
  readonly key: string;
  readonly label: string;
  readonly filter: Filter;
  readonly ranges: Ranges;
}
/** Where a defense changes what it answers with (common practice). */
export const CHECK_SITUATIONS: readonly CheckSituation[] = [
  { key: 'first', label: '1st down', filter: { down: ['1'] }, ranges: {} },
  {
    key: 'second-long',
    label: '2nd & 7 or more',
    filter: { down: ['2'] },
    ranges: { distance: { from: 7, to: 99 } },
  },
  {
    key: 'third-short',
    label: '3rd & 1 to 3',
    filter: { down: ['3'] },
    ranges: { distance: { from: 1, to: 3 } },
  },
  {
    key: 'third-long',
    label: '3rd & 4 or more',
    filter: { down: ['3'] },
    ranges: { distance: { from: 4, to: 99 } },
  },
  { key: 'fourth', label: '4th down', filter: { down: ['4'] }, ranges: {} },
  { key: 'red', label: 'inside our 20', filter: {}, ranges: { toGoal: { from: 1, to: 20 } } },
  { key: 'two-minute', label: 'two minutes', filter: { clockMode: ['two_minute'] }, ranges: {} },
];
export const findSituation = (key: string | null): CheckSituation | null =>
  CHECK_SITUATIONS.find((s) => s.key === key) ?? null;

/** Whether words of a field hold one of some: "gun, offset i" holds "i". */
function holding(columns: Columns, { field, words }: NonNullable<Picture['holds']>): string[] {
  return columns.text[field].words.filter((word) =>
    word.split(/[\s,]+/).some((part) => words.includes(part)),
  );
}

/** Snaps of an offense in a picture; of some personnel, in a situation. */
export function pictureRows(
  columns: Columns,
  offense: Filter,
  picture: Picture,
  { personnel, situation }: { readonly personnel: string | null; readonly situation: string | null } = {
    personnel: null,
    situation: null,
  },
): Uint32Array {
  const when = findSituation(situation);
  if (situation !== null && when === null) return new Uint32Array(0);
  const words = picture.holds === null ? null : holding(columns, picture.holds);
  // Nothing that was shown holds it.
  if (words?.length === 0) return new Uint32Array(0);
  return select(
    columns,
    {
      ...offense,
      ...picture.filter,
      ...(words === null ? {} : { [picture.holds!.field]: words }),
      ...(personnel === null ? {} : { personnel: [personnel] }),
      ...(when?.filter ?? {}),
    },
    when?.ranges ?? {},
  );
}

/** Key of the structure a snap was in; null: not tagged, or not drawn by the book. */
export function structureKeyAt(columns: Columns, row: number): string | null {
  const structure = wordAt(columns.text.structureSnap, row);
  if (structure === null) return null;
  const [more, less] = structure.split('x');
  if (more === less) return structure;
  const to = wordAt(columns.text.boundarySnap, row);
  if (to !== null) return `${structure}.${to.replace('the ', '')}`;
  return wordAt(columns.text.hash, row) === 'M' ? `${structure}.middle` : structure;
}
