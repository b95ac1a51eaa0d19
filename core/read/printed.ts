/** What a report said when it was printed, and what it says otherwise now. */
import type { BoardCell, BoardTable } from './boards';
import { countText, FEW } from './rates';
import type { Report } from './report';
import { sentenceText } from './sentences';

type Counted = readonly [k: number, n: number];

export interface PrintedFigures {
  /** Kind of film, filters and rules: figures counted otherwise are not compared. */
  readonly only: string;
  readonly games: readonly string[];
  readonly snaps: number;
  readonly sentences: readonly string[];
  /** Counts of every rate, by board, row and column. */
  readonly tables: Readonly<Record<string, Readonly<Record<string, Readonly<Record<string, Counted>>>>>>;
}

const rateOf = (cell: BoardCell | undefined): Counted | null =>
  cell && 'low' in cell ? [cell.k, cell.n] : null;

const ratesOf = (table: BoardTable): Record<string, Record<string, Counted>> =>
  Object.fromEntries(
    [...table.rows, table.all].map((row) => [
      row.key,
      Object.fromEntries(
        table.columns.flatMap(({ key }) => {
          const counted = rateOf(row.cells[key]);
          return counted ? [[key, counted] as const] : [];
        }),
      ),
    ]),
  );

export const figuresOf = (report: Report, games: readonly string[], only: string): PrintedFigures => ({
  only,
  games: [...games],
  snaps: report.snaps,
  sentences: [...report.own, ...report.sentences.map(sentenceText)],
  tables: Object.fromEntries(report.tables.map((t) => [t.id, ratesOf(t)])),
});

export interface Moved {
  /** "Personnel: 12: run". */
  readonly what: string;
  readonly now: string;
  readonly before: string;
  /** Of the share, in points. */
  readonly by: number;
  readonly board: string;
  readonly reel: string;
}
export interface Changes {
  /** Games the print did not rest on, and games it did and this report does not. */
  readonly added: readonly string[];
  readonly gone: readonly string[];
  readonly snaps: readonly [before: number, now: number];
  /** The most moved first. */
  readonly moved: readonly Moved[];
  /** Rates that stand on both, with snaps enough to be compared. */
  readonly compared: number;
  /** Sentences of the first page that were not on it, and that are no more; counts left out. */
  readonly fresh: readonly string[];
}

/** Points by which a share must have moved to be named, and how many are named. */
export const MOVED_POINTS = 10;
const MOST_MOVED = 12;

/** Facts, no test: the snaps before are part of the snaps now. */
export function changesSince(before: PrintedFigures, report: Report, games: readonly string[]): Changes {
  const moved: (Moved & { readonly weight: number })[] = [];
  let compared = 0;
  for (const table of report.tables) {
    const then = before.tables[table.id];
    if (!then) continue;
    for (const row of [...table.rows, table.all])
      for (const { key, label } of table.columns) {
        const cell = row.cells[key];
        const now = rateOf(cell);
        const was = then[row.key]?.[key];
        if (!now || !was || now[1] < FEW || was[1] < FEW) continue;
        compared++;
        const by = 100 * (now[0] / now[1] - was[0] / was[1]);
        if (Math.abs(by) < MOVED_POINTS) continue;
        moved.push({
          what: `${table.title}: ${row.words.filter(Boolean).join(', ')}: ${label}`,
          now: countText({ k: now[0], n: now[1] }),
          before: countText({ k: was[0], n: was[1] }),
          by,
          board: table.id,
          reel: `b/${table.id}/${row.key}/${key}`,
          weight: Math.abs(by) * now[1],
        });
      }
  }
  moved.sort((a, b) => b.weight - a.weight || (a.reel < b.reel ? -1 : 1));
  // A sentence whose count grew is the same sentence.
  const plain = (text: string): string => text.replace(/\d+(\.\d+)?/g, '#');
  const known = new Set(before.sentences.map(plain));
  return {
    added: games.filter((g) => !before.games.includes(g)),
    gone: before.games.filter((g) => !games.includes(g)),
    snaps: [before.snaps, report.snaps],
    moved: moved.slice(0, MOST_MOVED).map(({ weight: _, ...m }) => m),
    compared,
    fresh: report.sentences.map(sentenceText).filter((s) => !known.has(plain(s))),
  };
}
