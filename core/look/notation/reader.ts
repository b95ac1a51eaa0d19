/** Reading short texts that mean a structure: parts between bars, words in a part, and what could not be taken where. */

export const NOTATION_CODES = [
  'too-many-parts',
  'motion',
  'front-man',
  'backer',
  'style',
  'deep-man',
  'duty',
  'shell',
  'corner',
  'rusher',
  'drop',
  'threat',
  'line-move',
  'slide',
  'run-head',
  'job',
  'job-choice',
  'read',
  'pass-head',
  'route',
] as const;
export type NotationCode = (typeof NOTATION_CODES)[number];

/** A stretch of the text that was not taken: characters from `start` to before `end`. */
export interface NotationProblem {
  readonly code: NotationCode;
  readonly start: number;
  readonly end: number;
  readonly text: string;
}

export type NotationRead<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly problems: readonly NotationProblem[] };

/** A piece of the text without the blanks around it. */
export interface Piece {
  readonly text: string;
  readonly start: number;
}

function trimmed(text: string, start: number): Piece {
  const left = text.length - text.trimStart().length;
  return { text: text.trim(), start: start + left };
}

function cut({ text, start }: Piece, at: RegExp): Piece[] {
  const out: Piece[] = [];
  let from = 0;
  for (const match of text.matchAll(new RegExp(at, 'g'))) {
    out.push(trimmed(text.slice(from, match.index), start + from));
    from = match.index + match[0].length;
  }
  out.push(trimmed(text.slice(from), start + from));
  return out;
}

export class NotationReader {
  private readonly problems: NotationProblem[] = [];
  private readonly pieces: readonly Piece[];

  /** At most `most` parts between bars. */
  constructor(text: string, most: number) {
    this.pieces = cut({ text, start: 0 }, /\|/);
    for (const extra of this.pieces.slice(most)) this.refuse('too-many-parts', extra);
  }

  /** A part by number; empty at the place where it would begin. */
  part(n: number): Piece {
    const last = this.pieces.at(-1)!;
    return this.pieces[n] ?? { text: '', start: last.start + last.text.length };
  }

  /** The words of a part, blanks or commas between. */
  words(n: number, between: ' ' | ',' = ' '): Piece[] {
    return cut(this.part(n), between === ',' ? /,/ : /\s+/).filter((p) => p.text !== '');
  }

  /** A part as lists between slashes, each of words between commas and one more behind a plus. */
  lists(n: number): { readonly words: Piece[]; readonly plus: Piece | null }[] {
    return cut(this.part(n), /\//).map((list) => {
      const [words, ...plus] = cut(list, /\+/);
      for (const extra of plus.slice(1)) this.refuse('too-many-parts', extra);
      return {
        words: cut(words!, /,/).filter((p) => p.text !== ''),
        plus: plus[0] && plus[0].text !== '' ? plus[0] : null,
      };
    });
  }

  /** What each word of a part means; words that mean nothing are problems of this code. */
  read<T>(words: readonly Piece[], code: NotationCode, one: (text: string) => T | null): T[] {
    return words.flatMap((word) => {
      const value = one(word.text);
      if (value === null) this.refuse(code, word);
      return value === null ? [] : [value];
    });
  }

  refuse(code: NotationCode, { text, start }: Piece): void {
    this.problems.push({ code, start, end: start + text.length, text });
  }

  result<T>(value: T): NotationRead<T> {
    const problems = [...this.problems].sort((a, b) => a.start - b.start);
    return problems.length === 0 ? { ok: true, value } : { ok: false, problems };
  }
}

export const oneOf = <T extends string>(names: readonly T[], text: string | undefined): T | null =>
  names.find((name) => name === text) ?? null;

/** The value of a text that is data of the program. Throws where it does not read. */
export function mustRead<T>(read: NotationRead<T>): T {
  if (read.ok) return read.value;
  throw new Error(read.problems.map((p) => `${p.code}: “${p.text}”`).join('; '));
}
