/** What the pictures of boards are drawn of: strokes, bars, words that fit, the key below. */
import type { DrawMark } from '../look/marks';
import type { Point } from '../look/motion';

/** What the marks mean, below a picture: its type, and how far apart its lines stand. */
export const KEY_SIZE = 1.4;
export const KEY_LINE = 1.8;
/** A letter of a text in parts of its size, on paper and screen alike; no text is wider. */
const WIDEST_LETTER = 0.52;

export const rect = (x: number, y: number, width: number, height: number): Point[] => [
  [x, y],
  [x + width, y],
  [x + width, y + height],
  [x, y + height],
];
export const line = (
  d: readonly Point[],
  width: number,
  ink: 'ink' | 'ink2' | 'faint' = 'ink',
): DrawMark => ({
  mark: 'path',
  d,
  ink,
  width,
});
export const words = (
  text: string,
  x: number,
  y: number,
  size: number,
  anchor: 'start' | 'middle' | 'end' = 'start',
  bold = false,
  ink: 'ink' | 'ink2' = 'ink',
): DrawMark => ({ mark: 'text', x, y, size, text, ink, bold, anchor });

/** How wide a text is at most, in the drawing's units. */
export const widthOf = (text: string, size: number): number => text.length * size * WIDEST_LETTER;

/** A text cut to a width, in the drawing's units. */
export function fitted(text: string, size: number, width: number): string {
  // Where a place is as wide as its longest words, rounding must not cut them.
  const most = Math.floor(width / (size * WIDEST_LETTER) + 1e-6);
  return text.length <= most ? text : `${text.slice(0, most - 1).trimEnd()}…`;
}

/** Parts side by side as far as a line of that width takes them, in the drawing's units. */
export function inLines(parts: readonly string[], width: number): string[] {
  const lines: string[] = [];
  for (const part of parts) {
    const longer = `${lines.at(-1)} · ${part}`;
    if (lines.length > 0 && widthOf(longer, KEY_SIZE) <= width) lines[lines.length - 1] = longer;
    else lines.push(part);
  }
  return lines;
}

/** The key's lines, from a height down. */
export const keyMarks = (lines: readonly string[], from: number): DrawMark[] =>
  lines.map((said, i) => words(said, 0, from + KEY_LINE * (i + 1), KEY_SIZE, 'start', false, 'ink2'));
