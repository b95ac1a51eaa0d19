/** Somebody else's file as a grid of texts: encodings, separators, nothing about football. */
import Papa from 'papaparse';

/** A sheet as it stands: every cell a text, days as 2026-10-04, clocks as 8:41. */
export interface ForeignSheet {
  readonly name: string;
  readonly cells: readonly (readonly string[])[];
}

const decodes = (bytes: Uint8Array, encoding: string): string | null => {
  try {
    return new TextDecoder(encoding, { fatal: true }).decode(bytes);
  } catch {
    return null;
  }
};

/** What Windows-1252 has where Latin-1 has control characters (WHATWG encoding standard). */
const WINDOWS =
  '\u20ac\u0081\u201a\u0192\u201e\u2026\u2020\u2021\u02c6\u2030\u0160\u2039\u0152\u008d\u017d\u008f\u0090\u2018\u2019\u201c\u201d\u2022\u2013\u2014\u02dc\u2122\u0161\u203a\u0153\u009d\u017e\u0178';
/** By hand: the decoder of some Node versions reads Windows-1252 as Latin-1. */
const windowsText = (bytes: Uint8Array): string => {
  let text = '';
  for (const byte of bytes)
    text += byte >= 0x80 && byte <= 0x9f ? WINDOWS[byte - 0x80]! : String.fromCharCode(byte);
  return text;
};

/** Text of a file: byte-order marks, UTF-16 by its zero bytes, UTF-8 where it is valid, else Windows-1252. */
export function decodeText(bytes: Uint8Array): string {
  const [a, b] = bytes;
  if (a === 0xff && b === 0xfe) return new TextDecoder('utf-16le').decode(bytes);
  if (a === 0xfe && b === 0xff) return new TextDecoder('utf-16be').decode(bytes);
  const head = bytes.subarray(0, 400);
  const zeros = [0, 0];
  for (let i = 0; i < head.length; i++) if (head[i] === 0) zeros[i % 2]!++;
  if (zeros[1]! > head.length / 4) return new TextDecoder('utf-16le').decode(bytes);
  if (zeros[0]! > head.length / 4) return new TextDecoder('utf-16be').decode(bytes);
  return decodes(bytes, 'utf-8') ?? windowsText(bytes);
}

const SEPARATORS = [',', ';', '\t', '|'];

/** The separator that cuts most lines into one number of cells, more than one. */
function separatorOf(text: string): string {
  let best = ',';
  let most = 0;
  for (const separator of SEPARATORS) {
    const { data } = Papa.parse<string[]>(text, { delimiter: separator, preview: 40 });
    const widths = new Map<number, number>();
    for (const row of data) if (row.length > 1) widths.set(row.length, (widths.get(row.length) ?? 0) + 1);
    for (const [width, rows] of widths) {
      const score = rows * Math.log2(width + 1);
      if (score > most) {
        most = score;
        best = separator;
      }
    }
  }
  return best;
}

/** A cell without what no reader sees: marks, hard spaces, an arming apostrophe. */
export const cleanCell = (text: string): string =>
  text
    .replace(/[\u00a0\u2007\u202f]/g, ' ')
    .replace(/[\u200b-\u200f\ufeff]/g, '')
    .replace(/[\t\r\n]/g, ' ')
    .replace(/[\p{Cc}\p{Cs}]/gu, '')
    .replace(/[\u2212\u2013\u2014]/g, '-')
    .replace(/\s+/g, ' ')
    .trim()
    .replace(/^'(?=[-+=@0-9])/, '');

/** What was copied of cells: tabs part them; without one each line is a cell, whatever stands in it. */
export const readCopied = (text: string): ForeignSheet['cells'] =>
  text.includes('\t')
    ? Papa.parse<string[]>(text, { delimiter: '\t' }).data.map((row) => row.map(cleanCell))
    : text.split(/\r?\n/).map((cell) => [cleanCell(cell)]);

/** A delimited text as a sheet. Never throws: a quotation mark that is not closed ends at the end of the file. */
export function readDelimited(name: string, text: string): ForeignSheet {
  const plain = text.replace(/^\ufeff/, '').replace(/^sep=.\r?\n/i, '');
  const { data } = Papa.parse<string[]>(plain, { delimiter: separatorOf(plain), skipEmptyLines: false });
  // The line end of the last row is no row.
  if (data.length > 0 && data[data.length - 1]!.every((cell) => cell === '')) data.pop();
  return { name, cells: data.map((row) => row.map(cleanCell)) };
}
