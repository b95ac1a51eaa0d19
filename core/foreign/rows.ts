/** Which rows of a sheet are headings, snaps, or neither; with the reason for each that is left out. */
import type { ForeignSheet } from './sheet';
import { headingScore } from './headings';

export const SKIP_REASONS = ['title', 'header', 'blank', 'total', 'duplicate'] as const;
export type SkipReason = (typeof SKIP_REASONS)[number];
export interface Skipped {
  /** 1-based, as a spreadsheet counts. */
  readonly row: number;
  readonly reason: SkipReason;
}

export interface Laid {
  /** Column names, each once. */
  readonly headings: readonly string[];
  /** Index of each row of data. */
  readonly data: readonly number[];
  readonly skipped: readonly Skipped[];
  /** False: no row looks like headings; columns are called by letters. */
  readonly named: boolean;
}

const blank = (row: readonly string[]): boolean => row.every((cell) => cell === '');
const filled = (row: readonly string[]): number => row.filter((cell) => cell !== '').length;
const TOTAL = /^(grand |sub)?(total|totals|sum|avg|average|averages|mean|count|summary)\b/i;

export function columnLetter(index: number): string {
  let name = '';
  for (let n = index + 1; n > 0; n = Math.floor((n - 1) / 26))
    name = String.fromCharCode(65 + ((n - 1) % 26)) + name;
  return name;
}

/** Two rows of headings as one: groups over several columns stand before the name below. */
function joined(above: readonly string[], below: readonly string[], width: number): string[] {
  let group = '';
  return Array.from({ length: width }, (_, i) => {
    if ((above[i] ?? '') !== '') group = above[i]!;
    const own = below[i] ?? '';
    return own === '' ? (above[i] ?? '') : group === '' || group === own ? own : `${group} ${own}`;
  });
}

/** The row that names the columns, of the first that are not blank: most words of the trade, few figures. */
function headingRow(cells: ForeignSheet['cells']): number {
  let best = -1;
  let most = 1.5;
  for (let i = 0, seen = 0; i < cells.length && seen < 15; i++) {
    const row = cells[i]!;
    if (blank(row)) continue;
    seen++;
    const score = row.reduce((sum, cell) => sum + headingScore(cell), 0);
    if (score > most + 1e-9) {
      most = score;
      best = i;
    }
  }
  return best;
}

export function layOut(sheet: ForeignSheet): Laid {
  const { cells } = sheet;
  const width = cells.reduce((most, row) => Math.max(most, row.length), 0);
  const at = headingRow(cells);
  const skipped: Skipped[] = [];
  const skip = (i: number, reason: SkipReason): void => void skipped.push({ row: i + 1, reason });
  let names = at < 0 ? [] : [...cells[at]!];
  let first = at + 1;
  if (at >= 0) {
    const above = cells[at - 1];
    const below = cells[at + 1];
    const groups = (row: readonly string[]): boolean =>
      filled(row) > 1 && row.every((cell) => cell === '' || !/\d/.test(cell));
    // A second row of headings: names under groups, or what is left of a name that was broken in two.
    if (
      below &&
      !blank(below) &&
      below.every((cell) => cell === '' || (!/\d/.test(cell) && headingScore(cell) > 0)) &&
      filled(below) > 1
    ) {
      names = joined(names, below, width);
      first = at + 2;
    } else if (above && groups(above)) names = joined(above, names, width);
    for (let i = 0; i < first; i++)
      skip(i, blank(cells[i]!) ? 'blank' : i >= at - (above && groups(above) ? 1 : 0) ? 'header' : 'title');
  }
  const headings: string[] = [];
  const used = new Map<string, number>();
  for (let i = 0; i < width; i++) {
    const name = (names[i] ?? '').trim() || `column ${columnLetter(i)}`;
    const n = (used.get(name) ?? 0) + 1;
    used.set(name, n);
    headings.push(n === 1 ? name : `${name} (${n})`);
  }
  const data: number[] = [];
  const seen = new Set<string>();
  const head = at < 0 ? '' : cells[at]!.join('\u0001').toLowerCase();
  for (let i = first; i < cells.length; i++) {
    const row = cells[i]!;
    if (blank(row)) skip(i, 'blank');
    else if (at >= 0 && row.join('\u0001').toLowerCase() === head) skip(i, 'header');
    else if (TOTAL.test(row.find((cell) => cell !== '')!)) skip(i, 'total');
    else if (width > 4 && filled(row) === 1 && (row[0] ?? '') !== '' && !/^\d+$/.test(row[0]!))
      skip(i, 'title');
    else {
      // A row twice, with its number: one snap copied, not two alike.
      const numbered = /^\d+$/.test(row[0] ?? '') && filled(row) >= 4;
      const key = row.join('\u0001');
      if (numbered && seen.has(key)) skip(i, 'duplicate');
      else {
        seen.add(key);
        data.push(i);
      }
    }
  }
  return { headings, data, skipped, named: at >= 0 };
}
