/**
 * Text cells at the border to spreadsheets: a cell that begins like a formula is made text by a leading
 * apostrophe (OWASP, CSV injection), and a text that begins with an apostrophe gets a second one, so that
 * reading takes off exactly what writing put there. Numbers and the lone "-" (none) are left as they are.
 */
import type { FieldKind } from '../snap/fields';

const FORMULA = /^['=+\-@\t\r]/;
const NUMBER = /^[+-]?\d+(\.\d+)?$/;
const ESCAPED: ReadonlySet<FieldKind> = new Set<FieldKind>(['text', 'list', 'penalties']);

const risky = (text: string): boolean => FORMULA.test(text) && text !== '-' && !NUMBER.test(text);

export const armCell = (kind: FieldKind, text: string): string =>
  ESCAPED.has(kind) && risky(text) ? `'${text}` : text;

export const disarmCell = (kind: FieldKind, text: string): string =>
  ESCAPED.has(kind) && text.startsWith("'") && risky(text.slice(1)) ? text.slice(1) : text;
