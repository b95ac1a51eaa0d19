/** The snaps behind each number of Read, by the name of the number in the address. */
import { sideWord, type Side } from '../field/spot';
import { answersIn, type Answered } from './answers';
import type { BoardRow, LookRow } from './board';
import { FIRST_VALUE, type Columns } from './columns';
import type { BoardSide } from './sides';
import { usesOf, usedWords } from './uses';

export interface Counted {
  readonly side: BoardSide;
  readonly columns: Columns;
  /** Snaps that fit the filters, and of them those of the chosen cell. */
  readonly rows: Uint32Array;
  readonly cellRows: Uint32Array;
  readonly board: readonly BoardRow[];
  readonly looks: readonly LookRow[];
  /** What the whole is called, and what the cell is. */
  readonly title: string;
  readonly cellTitle: string;
}

export interface NamedRows {
  readonly title: string;
  readonly rows: Uint32Array;
}
const NONE = new Uint32Array(0);

/** "trips left, gun". */
export const lookName = ({
  formation,
  side,
  backfield,
}: {
  readonly formation: string;
  readonly side: Side | null;
  readonly backfield: string | null;
}): string => `${formation}${side ? ` ${sideWord(side)}` : ''}${backfield ? `, ${backfield}` : ''}`;

/** "front, coverage" as a defense answered. */
export const answerWords = ({ front, coverage }: Pick<Answered, 'front' | 'coverage'>): string =>
  `${front ?? 'front not tagged'}${coverage ? `, ${coverage}` : ''}`;

/** A reel by name: "all", "cell", "row.<bucket>.<kind>", "look.<n>.<use>", "blank.<field>", "doubt", "answer.<look>.<n>". */
export function reelOf(name: string, counted: Counted): NamedRows {
  const [what, which = '', part = ''] = name.split('.');
  switch (what) {
    case 'row':
      return rowReel(
        counted.board.find((row) => row.key === which),
        part,
      );
    case 'look':
      return lookReel(counted.columns, counted.looks[Number(which)], part);
    case 'answer':
      return answerReel(counted, counted.looks[Number(which)], Number(part));
    case 'blank':
      return blankReel(counted, BLANK_FIELDS.find((f) => f === which) ?? 'formation');
    case 'doubt':
      return {
        title: 'A tag in doubt',
        rows: counted.rows.filter((i) => counted.columns.doubted[i] === 1),
      };
    case 'cell':
      return { title: counted.cellTitle, rows: counted.cellRows };
    default:
      return { title: counted.title, rows: counted.rows };
  }
}

function rowReel(row: BoardRow | undefined, part: string): NamedRows {
  if (!row) return { title: '', rows: NONE };
  return part === 'runs'
    ? { title: `${row.label}, called run`, rows: row.calls.byKind.run }
    : { title: `${row.label}, all`, rows: row.calls.rows };
}

function lookReel(columns: Columns, look: LookRow | undefined, part: string): NamedRows {
  if (!look) return { title: '', rows: NONE };
  const name = lookName(look);
  if (part === 'all') return { title: name, rows: look.calls.rows };
  if (part === 'runs') return { title: `${name}, called run`, rows: look.calls.byKind.run };
  const use = usesOf(columns, look.calls).find((u) => u.key === part);
  return { title: use ? `${name}, ${usedWords(use)}` : name, rows: use?.rows ?? NONE };
}

function answerReel({ columns }: Counted, look: LookRow | undefined, n: number): NamedRows {
  const answer = look && answersIn(columns, look.calls.rows)[n];
  return look && answer
    ? { title: `${lookName(look)} against ${answerWords(answer)}`, rows: answer.rows }
    : { title: '', rows: NONE };
}

/** Fields whose blanks have a door of their own, for each side of the ball. */
const BLANK_FIELDS = ['play', 'formation', 'front', 'coverage'] as const;
export type BlankField = (typeof BLANK_FIELDS)[number];
export const blanksOf = (side: BoardSide): readonly BlankField[] =>
  side === 'offense' ? ['play', 'formation'] : side === 'defense' ? ['front', 'coverage'] : ['formation'];
export const blankLabel = (field: BlankField): string => (field === 'play' ? 'call' : field);

function blankReel({ columns, rows }: Counted, field: BlankField): NamedRows {
  const { codes } = columns.text[field];
  return {
    title: `${blankLabel(field)} not tagged`,
    rows: rows.filter((i) => codes[i]! < FIRST_VALUE),
  };
}
