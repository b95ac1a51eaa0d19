/** Plain marks of a printed page, in points; the preview and the PDF draw the same list. Black and white. */

import type { Drawing } from '../look/marks';

export type PageInk = 'black' | 'white';
export type PageMark =
  | {
      readonly mark: 'text';
      readonly x: number;
      /** The baseline. */
      readonly y: number;
      readonly size: number;
      readonly bold: boolean;
      readonly ink: PageInk;
      readonly anchor: 'start' | 'middle';
      readonly text: string;
    }
  | {
      readonly mark: 'rect';
      readonly x: number;
      readonly y: number;
      readonly width: number;
      readonly height: number;
      /** Filled black; none: a thin line around. */
      readonly filled: boolean;
    }
  | {
      readonly mark: 'line';
      readonly x1: number;
      readonly y1: number;
      readonly x2: number;
      readonly y2: number;
      readonly width: number;
    }
  | {
      /** A drawing in a box, as large as it allows. */
      readonly mark: 'drawing';
      readonly x: number;
      readonly y: number;
      readonly width: number;
      readonly height: number;
      readonly drawing: Drawing;
    };

/** Width of a text in points, by the font it is printed in. */
export type Measure = (text: string, size: number, bold: boolean) => number;

/** Pages of one print, all of one size. */
export interface SheetPages {
  readonly width: number;
  readonly height: number;
  readonly pages: readonly (readonly PageMark[])[];
  /** Numbers of calls, or of rows, whose words do not fit at the least size: they end in “…”. */
  readonly cut: readonly number[];
}

export const text = (
  x: number,
  y: number,
  size: number,
  words: string,
  more: Partial<PageMark & { mark: 'text' }> = {},
): PageMark => ({
  mark: 'text',
  x,
  y,
  size,
  bold: false,
  ink: 'black',
  anchor: 'start',
  ...more,
  text: words,
});

export const box = (x: number, y: number, width: number, height: number, filled = false): PageMark => ({
  mark: 'rect',
  x,
  y,
  width,
  height,
  filled,
});
export const line = (x1: number, y1: number, x2: number, y2: number, width = 0.5): PageMark => ({
  mark: 'line',
  x1,
  y1,
  x2,
  y2,
  width,
});

/** The largest size from `most` down to the least at which the words fit; null: not even the least does. */
export function fitted(
  width: (size: number) => number,
  room: number,
  most: number,
  least: number,
): number | null {
  const natural = width(most);
  if (natural <= room) return most;
  const size = Math.floor(most * (room / natural) * 10) / 10;
  return size >= least ? size : width(least) <= room ? least : null;
}

/** As many characters as fit, then “…”. */
export function cutTo(words: string, room: number, width: (words: string) => number): string {
  let least = 0;
  let most = words.length;
  while (least < most) {
    const middle = Math.ceil((least + most) / 2);
    if (width(`${words.slice(0, middle).trimEnd()}…`) <= room) least = middle;
    else most = middle - 1;
  }
  return `${words.slice(0, least).trimEnd()}…`;
}

/** Words of a cell as large as its room allows; cut short where the least size is too large. */
export function cellText(
  x: number,
  y: number,
  room: number,
  words: string,
  measure: Measure,
  { most, least, bold = false }: { readonly most: number; readonly least: number; readonly bold?: boolean },
): { readonly mark: PageMark; readonly cut: boolean } {
  const size = fitted((s) => measure(words, s, bold), room, most, least);
  const shown = size === null ? cutTo(words, room, (t) => measure(t, least, bold)) : words;
  return { mark: text(x, y, size ?? least, shown, { bold }), cut: size === null };
}

/** "Cut short: calls 3, 9." or nothing. */
export function cutWords(cut: readonly number[], what: readonly [one: string, many: string]): string {
  if (cut.length === 0) return '';
  const shown = cut.slice(0, 8).join(', ');
  const more = cut.length > 8 ? ` and ${cut.length - 8} more` : '';
  return ` Cut short: ${cut.length === 1 ? what[0] : what[1]} ${shown}${more}.`;
}
