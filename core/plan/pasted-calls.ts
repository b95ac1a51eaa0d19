/** Cells that were copied, as calls: from this sheet, another one, or anybody's spreadsheet. */
import { CALL_NOTE_SCHEMAS } from './schema';
import { CALL_COLUMNS } from './sheet-table';
import { playCall, playLook, type CallNotes, type IfThen, type PlayCard } from './sheet';

export interface PastedCall {
  /** Of the text, from 1. */
  readonly line: number;
  readonly play: PlayCard;
  /** Key of the section that the line names; null: it names none of this sheet. */
  readonly section: string | null;
  readonly notes: Partial<CallNotes>;
}
export interface UnreadLine {
  readonly line: number;
  readonly words: string;
}
export interface PastedCalls {
  readonly calls: readonly PastedCall[];
  readonly unread: readonly UnreadLine[];
}

/** How many sections the lines go to by themselves: from two on they are asked about before they are put in one. */
export const sectionsNamed = (calls: readonly PastedCall[]): number =>
  new Set(calls.flatMap((call) => call.section ?? [])).size;

/** Lines that one paste may have: more is no sheet. */
export const MOST_PASTED = 400;

type Column = (typeof CALL_COLUMNS)[number];
const plain = (text: string): string => text.toLowerCase().replace(/\s+/g, ' ').trim();
const short = (text: string): string => (text.length > 40 ? `${text.slice(0, 39)}…` : text);

/** Ways in which a call is written: its name, its call, its look with it, in either order. */
function spoken(plays: readonly PlayCard[]): ReadonlyMap<string, readonly PlayCard[]> {
  const ways = new Map<string, PlayCard[]>();
  for (const play of plays) {
    const [call, look] = [playCall(play), playLook(play)];
    const forms = [
      play.name,
      call,
      `${look} ${call}`,
      `${look} · ${call}`,
      `${call}, ${look}`,
      `${call} ${look}`,
    ];
    for (const form of new Set(forms.map(plain))) ways.set(form, [...(ways.get(form) ?? []), play]);
  }
  return ways;
}

/** The columns of a first line that names them; null: it is a line like the others. */
function columnsOf(row: readonly string[]): ReadonlyMap<Column, number> | null {
  const at = new Map<Column, number>();
  row.forEach((cell, i) => {
    const column = CALL_COLUMNS.find((c) => c === plain(cell) || (c === 'name' && plain(cell) === 'call'));
    if (column && !at.has(column)) at.set(column, i);
  });
  return at.has('name') || at.has('play') ? at : null;
}

const FIELD_OF = {
  personnel: 'personnel',
  formation: 'formation',
  side: 'formationSide',
  backfield: 'backfield',
  'motion by': 'motionBy',
  motion: 'motion',
  play: 'concept',
  'other side': 'conceptWeak',
  direction: 'direction',
} as const satisfies Partial<Record<Column, keyof PlayCard>>;

type Said = (column: Column) => string;

/** The one play that fits, or why there is none. */
function onlyOne(found: readonly PlayCard[], what: string): PlayCard | string {
  if (found.length === 1) return found[0]!;
  if (found.length === 0)
    return `“${short(what)}” is no play of the list: add it in the Book, or write its name as it stands there`;
  const names = found.slice(0, 3).map((play) => play.name);
  return `“${short(what)}” is ${found.length} plays (${[...names, ...(found.length > 3 ? ['…'] : [])].join(', ')}): write the name of one`;
}

/** By its name, else by all columns that say something of it; where several fit, the one of which nothing else is said. */
function playOf(
  said: Said,
  ways: ReadonlyMap<string, readonly PlayCard[]>,
  plays: readonly PlayCard[],
): PlayCard | string {
  const columns = Object.keys(FIELD_OF) as (keyof typeof FIELD_OF)[];
  const name = said('name');
  const named = ways.get(plain(name)) ?? [];
  if (named.length === 1) return named[0]!;
  const among = named.length > 0 ? named : name === '' && said('play') !== '' ? plays : [];
  const fit = among.filter((play) =>
    columns.every((c) => said(c) === '' || plain(play[FIELD_OF[c]] ?? '') === plain(said(c))),
  );
  const bare = fit.filter((play) => columns.every((c) => said(c) !== '' || play[FIELD_OF[c]] === null));
  return onlyOne(bare.length === 1 ? bare : fit, name || said('play') || 'a line without a play');
}

/** "if the end squeezes: 14; nobody moves: the same again", as a sheet prints it. */
function ifThenOf(text: string, callOf: ReadonlyMap<number, string>): IfThen[] {
  return text
    .replace(/^if /i, '')
    .split('; ')
    .filter((one) => one.trim() !== '')
    .map((one): IfThen => {
      const at = one.indexOf(': ');
      const then = at < 0 ? '' : one.slice(at + 2).trim();
      const [, number, rest] = /^(\d+)(?:\s+(.*))?$/.exec(then) ?? [];
      const call = number === undefined ? null : (callOf.get(Number(number)) ?? null);
      return { when: (at < 0 ? one : one.slice(0, at)).trim(), call, words: (call ? rest : then) || null };
    });
}

function notesFrom(said: Said, callOf: ReadonlyMap<number, string>): Partial<CallNotes> | string {
  const listed = (text: string): string[] =>
    text
      .split(';')
      .map((w) => w.trim())
      .filter(Boolean);
  const written: CallNotes = {
    hash: (said('hash').toUpperCase() || null) as CallNotes['hash'],
    tags: listed(said('tags')),
    ifThen: ifThenOf(said('if … then'), callOf),
    needs: listed(said('needs')),
    shownFirst: said('shown first') || null,
    note: said('note') || null,
  };
  for (const [field, value] of Object.entries(written)) {
    const read = CALL_NOTE_SCHEMAS[field as keyof CallNotes].safeParse(value);
    if (!read.success) return read.error.issues[0]!.message.replace(/\.$/, '');
  }
  return written;
}

/**
 * Lines of cells as calls. Under a line of column names each cell is what its column says; without one a line is the
 * play that one of its cells names. What is not understood is said by its line, with the remedy; nothing is guessed.
 * `numbers`: calls of the sheet that an if may lead to.
 */
export function readPasted(
  cells: readonly (readonly string[])[],
  plays: readonly PlayCard[],
  sections: readonly { readonly key: string; readonly label: string }[],
  numbers: ReadonlyMap<string, number> = new Map(),
): PastedCalls {
  const ways = spoken(plays);
  const callOf = new Map([...numbers].map(([id, number]) => [number, id]));
  const columns = cells[0] ? columnsOf(cells[0]) : null;
  const sectionOf = new Map(sections.map((s) => [plain(s.label), s.key]));
  const calls: PastedCall[] = [];
  const unread: UnreadLine[] = [];
  for (const [i, row] of cells.entries()) {
    const line = i + 1;
    if ((columns && i === 0) || row.every((cell) => cell.trim() === '')) continue;
    if (calls.length + unread.length >= MOST_PASTED) {
      unread.push({ line, words: `a paste has up to ${MOST_PASTED} lines; what follows is left out` });
      break;
    }
    const said: Said = (column) => row[columns?.get(column) ?? -1]?.trim() ?? '';
    const play = columns ? playOf(said, ways, plays) : playAmong(row, ways);
    const notes = columns ? notesFrom(said, callOf) : {};
    if (typeof play === 'string') unread.push({ line, words: play });
    else if (typeof notes === 'string') unread.push({ line, words: notes });
    else calls.push({ line, play, section: sectionOf.get(plain(said('section'))) ?? null, notes });
  }
  return { calls, unread };
}

/** The play that a cell names; a number before it is that of a sheet. */
function playAmong(
  row: readonly string[],
  ways: ReadonlyMap<string, readonly PlayCard[]>,
): PlayCard | string {
  const found = row.map(
    (cell) => ways.get(plain(cell.replace(/^\d+[.)]?\s+(?=\D)/, ''))) ?? ways.get(plain(cell)) ?? [],
  );
  const best = found.find((list) => list.length === 1) ?? found.find((list) => list.length > 1) ?? [];
  const cell = best.length > 0 ? row[found.indexOf(best)]! : row.find((text) => text.trim() !== '')!;
  return onlyOne(best, cell);
}
