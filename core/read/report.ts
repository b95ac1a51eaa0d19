/** The scouting report: sections of boards and drawings, a first page of sentences chosen by rule, and what film it rests on. */
import type { Zone } from '../field/situation';
import { columnOf } from '../snap/fields';
import { NONE, UNSEEN } from '../snap/snap';
import { UNSURE } from './doubts';
import { RATE_KEYS } from './board-spec';
import { BOARDS } from './board-specs';
import type { BoardSide, ReportUnits } from './sides';
import { besideCsv, besideJson } from './beside';
import type { BesideTable } from './beside-table';
import {
  boardTable,
  rateIn,
  REST,
  testOf,
  type BoardCell,
  type BoardTable,
  type BoardTableRow,
} from './boards';
import type { Columns } from './columns';
import { isFilterField } from './filters';
import { boardCsv } from './grid';
import { countText, differenceOf, FEW, intervalText, type Rate } from './rates';
import { orderOf, sectionsOf } from './sections';
import { inWords, NO_EDITS, type Sentence, type SentenceEdits } from './sentences';

export interface Report {
  readonly team: string;
  readonly side: BoardSide;
  readonly snaps: number;
  /** Lines of the staff's own, before the sentences of the rule. */
  readonly own: readonly string[];
  readonly sentences: readonly Sentence[];
  /** Sentences of the rule that the staff left out. */
  readonly hidden: readonly Sentence[];
  /** How many rates the sentences were chosen from. */
  readonly looked: number;
  /** All its sections, in the order in which they are printed. */
  readonly order: readonly string[];
  /** Boards that say something, in the order asked for. */
  readonly tables: readonly BoardTable[];
  /** Sections asked for that no snap is of, or that nothing is tagged for. */
  readonly empty: readonly string[];
}

/** Sentences of a first page. */
const MOST_SENTENCES = 10;
const EACH_BOARD = 2;

interface Candidate extends Sentence {
  readonly worth: number;
  readonly rows: Uint32Array;
}

const SITUATIONS: ReadonlySet<string> = new Set([
  'bucket',
  'zone',
  'clockMode',
  'down',
  'quarter',
  'lead',
  'half',
  'opening',
  'hash',
  'fieldBand',
]);
/** Blank, none, not visible, not sure, as they stand in the key of a row. */
const SAYS_NO_WORD: ReadonlySet<string> = new Set(['', NONE, UNSEEN, UNSURE].map(encodeURIComponent));
/** Words that a rate belongs to by their meaning: cover 1 is man, a pressure by name five or more, a concept run or pass. */
const MEANT: readonly (readonly [field: string, measure: string])[] = [
  ['coverage', 'man'],
  ['pressure', 'five'],
  ['concept', 'run'],
  ['passKind', 'run'],
];
/** What a play came to is first of all its situation; and what a word means is no finding. */
const saysNothing = (fields: readonly string[], measure: string): boolean =>
  (fields.every((f) => SITUATIONS.has(f)) && ['success', 'explosive', 'negative'].includes(measure)) ||
  MEANT.some(([field, meant]) => measure === meant && fields.includes(field));

/**
 * Rates of rows that differ from those of all the other snaps of their board (Newcombe's interval leaves zero out),
 * ranked by the least difference it allows times the snaps. A count for the reader, chosen after looking at many.
 */
function candidates(
  columns: Columns,
  table: BoardTable,
): { readonly found: Candidate[]; readonly looked: number } {
  const found: Candidate[] = [];
  let looked = 0;
  const fields = table.columns.filter((c) => c.kind === 'word').map((c) => c.key);
  const spec = BOARDS.find((b) => b.id === table.id)!;
  for (const row of table.rows) {
    if (row.key === REST || row.key.split('~').some((w) => SAYS_NO_WORD.has(w))) continue;
    for (const { key, label } of table.columns) {
      if (!(RATE_KEYS as readonly string[]).includes(key) || saysNothing(fields, key)) continue;
      const rate = row.cells[key] as Rate;
      // What most snaps are stands out by what the others are.
      if (rate.worth < FEW || 2 * row.rows.length > table.all.rows.length) continue;
      looked++;
      const own = new Set(row.rows);
      const others = table.all.rows.filter((r) => !own.has(r));
      const rest = rateIn(columns, others, testOf(columns, spec, key)!);
      const apart = differenceOf(rate, rest);
      if (apart === null || (apart.low <= 0 && apart.high >= 0)) continue;
      const least = Math.min(Math.abs(apart.low), Math.abs(apart.high));
      found.push({
        says: `${sentenceWords(table, row)}: ${label}`,
        count: countText(rate),
        was: null,
        interval: intervalText(rate),
        otherwise: countText(rest),
        board: table.id,
        reel: `b/${table.id}/${row.key}/${key}`,
        rate,
        rest,
        worth: least * rate.n,
        rows: row.rows,
      });
    }
  }
  return { found, looked };
}

/** "2nd long, trips right", "personnel 12", "return motion by H". */
function sentenceWords(table: BoardTable, row: BoardTableRow): string {
  const said = row.words.reduce((said, word, i) => {
    const { key, label } = table.columns[i]!;
    if (key === 'motion') return word === 'no motion' ? word : `${word} motion`;
    if (key === 'motionBy')
      return ['none', 'not tagged', 'not applicable'].includes(word) ? said : `${said} by ${word}`;
    if (key === 'backTo') return word === 'nobody' ? 'empty' : `back ${word}`;
    if (key === 'strength') return word === 'not known' ? said : `${said}, strength ${word}`;
    if (key === 'fieldBand') return `${said}, ${word} yards from their goal`;
    if (key === 'depthBand') return `${said}thrown ${word}${/^\d/.test(word) ? ' yards' : ''}`;
    if (key === 'targetThird') return `${said}, ${word} third`;
    if (key === 'formationSide') return `${said} ${word}`;
    const alone =
      /^(#?\d+|not tagged|not known|not applicable|none|left|right|middle|not visible|the field|the boundary)$/.test(
        word,
      );
    return `${said}${said === '' ? '' : ', '}${alone ? `${label} ${word}` : word}`;
  }, '');
  return said.charAt(0).toUpperCase() + said.slice(1);
}

/** The first page: most telling first, at most two of a board, no set of snaps twice; what the staff hid gives its place up. */
function choose(
  found: readonly Candidate[],
  edits: SentenceEdits,
): { readonly shown: Sentence[]; readonly hidden: Sentence[] } {
  const left = new Set(edits.hidden);
  const plain = ({ worth: _worth, rows: _rows, ...sentence }: Candidate): Sentence =>
    inWords(sentence, edits);
  const kept: Candidate[] = [];
  for (const one of [...found].sort((a, b) => b.worth - a.worth || (a.reel < b.reel ? -1 : 1))) {
    if (left.has(one.reel) || kept.filter((k) => k.board === one.board).length === EACH_BOARD) continue;
    const same = kept.some(
      (k) => k.rows.length === one.rows.length && k.rows.every((row, i) => row === one.rows[i]),
    );
    if (!same) kept.push(one);
    if (kept.length === MOST_SENTENCES) break;
  }
  return { shown: kept.map(plain), hidden: found.filter((f) => left.has(f.reel)).map(plain) };
}

/** Cost: a table a section. */
export function buildReport(
  columns: Columns,
  rows: Uint32Array,
  about: { readonly team: string; readonly side: BoardSide; readonly sections: readonly string[] | null },
  zones: readonly Zone[],
  edits: SentenceEdits = NO_EDITS,
): Report {
  const all = sectionsOf(about.side, about.sections).map((spec) => boardTable(columns, rows, spec, zones));
  // A table of blanks says nothing on paper; on screen it says what is not tagged.
  const tables = all.filter((t) => t.tagged > 0);
  const from = tables.map((t) => candidates(columns, t));
  const { shown, hidden } = choose(
    from.flatMap((f) => f.found),
    edits,
  );
  return {
    team: about.team,
    side: about.side,
    snaps: rows.length,
    own: edits.own,
    sentences: shown,
    hidden,
    looked: from.reduce((n, f) => n + f.looked, 0),
    order: orderOf(about.side, about.sections),
    tables,
    empty: all.filter((t) => t.tagged === 0).map((t) => t.title),
  };
}

/** A unit's report with what is counted beside its boards. */
export interface UnitReport {
  readonly report: Report;
  readonly beside: readonly BesideTable[];
}

/** A table's name in a file of several units: that of its side before it, where another unit has one of the same name. */
export const partId = (parts: readonly UnitReport[], part: UnitReport, id: string): string =>
  parts.some((other) => other !== part && other.beside.some((t) => t.id === id))
    ? `${part.report.side}_${id}`
    : id;

/** A CSV a table, by the names of their files. */
export const reportCsvs = (parts: readonly UnitReport[]): [name: string, text: string][] =>
  parts.flatMap((part) => [
    ...part.report.tables.map((t): [string, string] => [`${t.id}.csv`, boardCsv(t)]),
    ...part.beside.map((t): [string, string] => [`${partId(parts, part, t.id)}.csv`, besideCsv(t)]),
  ]);

/** What a program reads: snake case, rates and bounds unrounded, rows by n descending, then by their words. */
export function reportJson(
  parts: readonly UnitReport[],
  games: readonly string[],
  side: BoardSide | ReportUnits | 'self' = parts[0]!.report.side,
): object {
  const keyOf = (key: string): string =>
    key.startsWith('x:')
      ? `share_${key.slice(2)}`
      : isFilterField(key) && key !== 'concept'
        ? columnOf(key)
        : key;
  const cellJson = (cell: BoardCell): unknown => {
    if (cell === null) return null;
    if ('low' in cell) return { k: cell.k, n: cell.n, low: cell.low, high: cell.high };
    return 'word' in cell ? cell.word : { mean: cell.mean, n: cell.n };
  };
  return {
    team: parts[0]!.report.team,
    side,
    games,
    tables: parts.flatMap((part) => [
      ...part.report.tables.map(tableJson),
      ...part.beside.map((t) => ({ ...besideJson(t), id: partId(parts, part, t.id) })),
    ]),
  };
  function tableJson(table: BoardTable): object {
    const grouped = table.rows[0]?.words.length ?? 0;
    return {
      id: table.id,
      title: table.title,
      columns: table.columns.map(({ key, label, kind }) => ({ key: columnKey(key, kind), label, kind })),
      rows: [...table.rows]
        .sort((a, b) => b.rows.length - a.rows.length || (a.words.join() < b.words.join() ? -1 : 1))
        .map((row) => ({
          ...Object.fromEntries(
            table.columns.slice(0, grouped).map(({ key, kind }, i) => [columnKey(key, kind), row.words[i]]),
          ),
          n: row.rows.length,
          ...Object.fromEntries(
            table.columns
              .slice(grouped + 1)
              .map(({ key, kind }) => [columnKey(key, kind), cellJson(row.cells[key] ?? null)]),
          ),
        })),
    };
  }
  function columnKey(key: string, kind: string): string {
    return kind === 'top' ? `top_${key}` : keyOf(key);
  }
}
