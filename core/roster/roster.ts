/** Players of a team: a roster read from what somebody has, and numbers on film that are nobody's. */
import type { WalkedSnap } from '../rules';
import { JERSEY_FIELDS, numbersIn, wornBy } from '../snap';

export interface RosterLine {
  readonly number: string;
  readonly name: string | null;
  readonly letters: string | null;
  readonly class: string | null;
  /** Inches. */
  readonly height: number | null;
  /** Pounds. */
  readonly weight: number | null;
  /** Place among those of his letters: 1 starts. */
  readonly depth: number | null;
}
export interface RosterEntryInfo extends RosterLine {
  readonly id: string;
  readonly player: string;
}
export interface UnreadLine {
  /** From 1, as pasted. */
  readonly row: number;
  readonly text: string;
  readonly why: string;
}
export interface ReadRoster {
  readonly lines: readonly RosterLine[];
  readonly unread: readonly UnreadLine[];
}

type Column = keyof RosterLine | 'first' | 'last';
/** Headings in the forms rosters come in (common practice). */
const HEADINGS: readonly (readonly [RegExp, Column])[] = [
  [/^(#|no\.?|num(ber)?|jersey.*|nr\.?)$/, 'number'],
  [/^(name|player|full name|athlete)$/, 'name'],
  [/^(first|first name|given name)$/, 'first'],
  [/^(last|last name|surname)$/, 'last'],
  [/^(pos\.?|position|letters?|role)$/, 'letters'],
  [/^(class|year|yr\.?|grade|cl\.?|gr\.?)$/, 'class'],
  [/^(ht\.?|height)$/, 'height'],
  [/^(wt\.?|weight|lbs\.?)$/, 'weight'],
  [/^(depth|string|rank)$/, 'depth'],
];
const CLASS = /^(fr|so|jr|sr|gr|rs-?(fr|so|jr|sr)|freshman|sophomore|junior|senior|9|10|11|12)\.?$/i;
const POSITION = /^(?=.*[A-Z])[A-Z]{1,4}([/,-][A-Z]{1,4})*$/;

/** 5-10, 5'10", 5 ft 10, or inches: in inches; null: none of these. */
export function readHeight(text: string): number | null {
  const parts = /^([4-7])\s*(?:-|'|’|ft\.?|′)\s*(\d{1,2})?\s*(?:"|”|″|in\.?|'')?$/i.exec(text.trim());
  const inches = parts
    ? Number(parts[1]) * 12 + Number(parts[2] ?? 0)
    : /^\d{2}$/.test(text)
      ? Number(text)
      : NaN;
  return inches >= 48 && inches <= 96 && (!parts || Number(parts[2] ?? 0) < 12) ? inches : null;
}
const readWeight = (text: string): number | null => {
  const pounds = Number(/^(\d{2,3})\s*(?:lbs?\.?|pounds)?$/i.exec(text.trim())?.[1] ?? NaN);
  return pounds >= 60 && pounds <= 500 ? pounds : null;
};
export const heightWords = (inches: number | null): string =>
  inches === null ? '' : `${Math.floor(inches / 12)}-${inches % 12}`;

/** A line that separators did not cut: "22 Ned Orrin RB So 5-10 195". */
function cutLine(line: string): string[] {
  const words = line.split(/\s+/).filter(Boolean);
  const number = /^#?\d{1,2}$/.test(words[0] ?? '') ? words.shift()! : '';
  const tail: string[] = [];
  while (words.length > 1) {
    const last = words[words.length - 1]!;
    const isTail =
      readHeight(last) !== null || readWeight(last) !== null || CLASS.test(last) || POSITION.test(last);
    if (!isTail) break;
    tail.unshift(words.pop()!);
  }
  return [number, words.join(' '), ...tail];
}

/** What a cell without a heading is, by its content. */
function guess(cells: readonly string[]): Partial<Record<Column, string>> {
  const out: Partial<Record<Column, string>> = {};
  for (const cell of cells) {
    const text = cell.trim();
    if (text === '') continue;
    if (out.number === undefined && /^#?\d{1,2}$/.test(text)) out.number = text;
    else if (out.height === undefined && readHeight(text) !== null && !/^\d{2}$/.test(text))
      out.height = text;
    else if (out.class === undefined && CLASS.test(text)) out.class = text;
    else if (out.weight === undefined && readWeight(text) !== null && /\d{3}/.test(text)) out.weight = text;
    else if (out.letters === undefined && POSITION.test(text)) out.letters = text;
    else if (/\p{L}/u.test(text)) out.name = out.name === undefined ? text : `${out.name} ${text}`;
  }
  return out;
}

/** Rows of cells as a roster. Every row is a line, the heading, blank, or among the unread with why. */
export function readRoster(cells: readonly (readonly string[])[]): ReadRoster {
  const columnsOf = (row: readonly string[]): (Column | null)[] =>
    row.map((cell) => HEADINGS.find(([form]) => form.test(cell.trim().toLowerCase()))?.[1] ?? null);
  const head = cells.findIndex((row) => {
    const found = columnsOf(row).filter(Boolean);
    return found.includes('number') && found.length >= 2;
  });
  const columns = head < 0 ? null : columnsOf(cells[head]!);
  const lines: RosterLine[] = [];
  const unread: UnreadLine[] = [];
  const seen = new Map<string, number>();
  cells.forEach((row, i) => {
    if (i <= head || row.every((c) => c.trim() === '')) return;
    const text = row.filter((c) => c !== '').join(' ');
    const single = row.filter((c) => c.trim() !== '').length === 1;
    const raw = columns
      ? (Object.fromEntries(columns.flatMap((c, at) => (c ? [[c, (row[at] ?? '').trim()]] : []))) as Partial<
          Record<Column, string>
        >)
      : guess(single ? cutLine(text) : row);
    const refuse = (why: string): void => void unread.push({ row: i + 1, text, why });
    const number = (raw.number ?? '').replace(/^#/, '').trim();
    if (!/^\d{1,2}$/.test(number))
      return refuse(number === '' ? 'there is no number' : `“${number}” is no number of a jersey`);
    const name = [raw.name, [raw.first, raw.last].filter(Boolean).join(' ')].find((n) => n) ?? '';
    const height = raw.height ? readHeight(raw.height) : null;
    if (raw.height && height === null) return refuse(`“${raw.height}” is no height; write 5-10`);
    const weight = raw.weight ? readWeight(raw.weight) : null;
    if (raw.weight && weight === null) return refuse(`“${raw.weight}” is no weight in pounds`);
    const depth = raw.depth ? Number(/^\d{1,2}/.exec(raw.depth)?.[0] ?? NaN) : null;
    if (depth !== null && !Number.isInteger(depth))
      return refuse(`“${raw.depth}” is no place in a depth order`);
    const key = `${number} ${name.toLowerCase()}`;
    if (seen.has(key)) return refuse(`the same player stands in row ${seen.get(key)}`);
    seen.set(key, i + 1);
    lines.push({
      number,
      name: name === '' ? null : name.slice(0, 120),
      letters: raw.letters ? raw.letters.toUpperCase().slice(0, 20) : null,
      class: raw.class ? raw.class.slice(0, 20) : null,
      height,
      weight,
      depth,
    });
  });
  return { lines, unread };
}

export interface Worn {
  readonly number: string;
  readonly n: number;
  readonly snaps: readonly string[];
}

/** Numbers of a team typed in a game, with their snaps. */
export function numbersOnFilm(rows: readonly WalkedSnap[], team: string): Worn[] {
  const found = new Map<string, Set<string>>();
  for (const { snap, before } of rows)
    for (const field of JERSEY_FIELDS) {
      if (before[wornBy(field)] !== team) continue;
      for (const number of numbersIn(snap, field)) {
        const snaps = found.get(number) ?? new Set();
        snaps.add(snap.snapId);
        found.set(number, snaps);
      }
    }
  return [...found]
    .map(([number, snaps]) => ({ number, n: snaps.size, snaps: [...snaps] }))
    .sort((a, b) => b.n - a.n || Number(a.number) - Number(b.number));
}

/** Numbers on film that no roster and no number worn explains. */
export const nobodys = (worn: readonly Worn[], known: ReadonlySet<string>): Worn[] =>
  worn.filter((w) => !known.has(w.number));

export const WEARING_UNITS = ['offense', 'defense', 'special'] as const;
export type WearingUnit = (typeof WEARING_UNITS)[number];

/** Letters of a game with two of them swapped. */
export function swapLetters(
  map: Readonly<Record<string, string>>,
  a: string,
  b: string,
): Record<string, string> {
  const { [a]: first, [b]: second, ...rest } = map;
  return {
    ...rest,
    ...(second === undefined ? {} : { [a]: second }),
    ...(first === undefined ? {} : { [b]: first }),
  };
}
