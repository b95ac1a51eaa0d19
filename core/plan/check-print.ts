/** The check table of a defense as a card. */
import { cardPages } from './card-table';
import type { SheetPaper } from './layout';
import type { Measure, SheetPages } from './marks';
import { findSituation, pictureOf } from './pictures';
import type { SheetToPrint } from './print';
import type { Check } from './rows';

export interface CheckToPrint extends Check {
  /** Their snaps it answers, of all of theirs; null: no film. */
  readonly k: number | null;
  readonly n: number | null;
  /** Who has the third receiver; null: nobody, undefined: there is none, or nobody can say. */
  readonly third: string | null | undefined;
}

export type ChecksToPrint = Omit<SheetToPrint, 'sections'> & { readonly checks: readonly CheckToPrint[] };

/** Columns with their share of the width. */
const COLUMNS = [
  ['they line up in', 0.2],
  ['when', 0.13],
  ['front', 0.13],
  ['coverage', 0.16],
  ['pressure', 0.17],
  ['#3', 0.05],
  ['theirs', 0.08],
  ['', 0.08],
] as const;

const cellsOf = (c: CheckToPrint): readonly (readonly [words: string, bold: boolean])[] => [
  [pictureOf(c.picture)?.label ?? c.picture, true],
  [[c.personnel, findSituation(c.situation)?.label].filter(Boolean).join(', '), false],
  [c.front ?? '', true],
  [c.coverage ?? (c.front === null && c.pressure === null ? 'NO ANSWER' : ''), true],
  [c.pressure ?? '', true],
  [c.third ?? (c.third === null ? 'nobody' : ''), false],
  [c.k === null ? '' : `${c.k} of ${c.n}`, false],
  [c.note ?? '', false],
];

export const checkPages = (sheet: ChecksToPrint, paper: SheetPaper, measure: Measure): SheetPages =>
  cardPages(
    {
      about: sheet,
      below: 'checks, the longer side at the snap',
      columns: COLUMNS,
      rows: sheet.checks.map(cellsOf),
      empty: 'No checks on this sheet yet.',
    },
    paper,
    measure,
  );
