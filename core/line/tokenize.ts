/** Text → tokens. Never loses a character: tokens and the blanks between them are the whole line. */

export interface Range {
  readonly start: number;
  readonly end: number;
}

export type Unsure = '' | '?' | '??';

export interface Token extends Range {
  readonly kind: 'word' | 'note' | 'slash' | 'tilde';
  /** As typed. */
  readonly text: string;
  /** Lower case, without the closing question mark of an unsure word. */
  readonly word: string;
  /** The question marks that closed it: one, think so; two, a guess. */
  readonly unsure: Unsure;
  /** A note whose closing quote is missing. */
  readonly open: boolean;
}

/** Untrusted text has a budget: characters past it stay in place but are not read. */
export const MOST_CHARACTERS = 600;

const token = (kind: Token['kind'], text: string, start: number, more: Partial<Token> = {}): Token => ({
  kind,
  text,
  start,
  end: start + text.length,
  word: text.toLowerCase(),
  unsure: '',
  open: false,
  ...more,
});

export function tokenize(line: string): Token[] {
  const text = line.slice(0, MOST_CHARACTERS);
  const tokens: Token[] = [];
  const pattern = /([^\s"=]+=)?"([^"]*)("?)|\S+/g;
  for (let match = pattern.exec(text); match; match = pattern.exec(text)) {
    const [whole, prefix, , close] = match;
    if (prefix === undefined && whole.startsWith('"'))
      tokens.push(token('note', whole, match.index, { open: close === '' }));
    else if (prefix !== undefined) tokens.push(token('word', whole, match.index, { open: close === '' }));
    else tokens.push(...splitWord(whole, match.index));
  }
  return tokens;
}

/** Slash and tilde stand between words, with or without blanks; a question mark closes a word. */
function splitWord(text: string, start: number): Token[] {
  if (text.includes('=') || text.startsWith('#') || text.startsWith('>') || text.startsWith('@'))
    return [unsure(text, start)];
  const out: Token[] = [];
  for (const part of text.matchAll(/[/~]|[^/~]+/g)) {
    const at = start + part.index;
    if (part[0] === '/') out.push(token('slash', '/', at));
    else if (part[0] === '~') out.push(token('tilde', '~', at));
    else out.push(unsure(part[0], at));
  }
  return out;
}

function unsure(text: string, start: number): Token {
  // "cov=??" is a value: not visible.
  const mark = /[^=?](\?\??)$/.exec(text)?.[1] ?? (/^[^?]+\?$/.test(text) ? '?' : '');
  if (mark === '') return token('word', text, start);
  return token('word', text, start, {
    unsure: mark as Unsure,
    word: text.slice(0, -mark.length).toLowerCase(),
  });
}
