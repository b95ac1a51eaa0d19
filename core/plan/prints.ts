/** What a sheet is printed as, each from one list of pages. */
import { bandPages, type BandSettings } from './band';
import { checkPages, type ChecksToPrint } from './check-print';
import { PAPERS, SHEET_PAPERS, type Paper, type SheetPaper, type SheetShape } from './layout';
import type { Measure, SheetPages } from './marks';
import type { ScriptDay } from './practice';
import { scriptPages } from './practice-print';
import { scoutPages } from './scout-print';
import type { ScoutCard, ScoutSettings } from './scout';
import { sheetPages, type SheetToPrint } from './print';
import type { SheetSide } from './rows';
import { shuffled } from './shuffle';
import { testPages, type Question, type TestedMan } from './test-sheet';

export const PRINT_KINDS = ['sheet', 'band', 'checks', 'scout', 'script', 'test'] as const;
export type PrintKind = (typeof PRINT_KINDS)[number];
export const PRINT_LABEL: Readonly<Record<PrintKind, string>> = {
  sheet: 'Call sheet',
  band: 'Wristband',
  checks: 'Check card',
  scout: 'Scout cards',
  script: 'Practice script',
  test: 'Test',
};
/** The usual one first. */
export const printsOf = (side: SheetSide): readonly PrintKind[] =>
  side === 'defense' ? ['checks', 'scout', 'script', 'test'] : ['sheet', 'band', 'scout', 'script', 'test'];
/** A drawing is wider than tall, and so are the pages that it is usually printed on. */
const WIDE_FIRST: readonly SheetPaper[] = [
  'letter-wide',
  'a4-wide',
  'letter',
  'a4',
  'tabloid-wide',
  'a3-wide',
  'tabloid',
  'a3',
];
/** The usual one first. A band is cut out: it is printed upright on what every printer takes. */
export const papersOf = (kind: PrintKind): readonly SheetPaper[] =>
  kind === 'scout' || kind === 'test'
    ? WIDE_FIRST
    : (Object.keys(kind === 'band' ? PAPERS : SHEET_PAPERS) as SheetPaper[]);

export interface PrintSource {
  readonly side: SheetSide;
  readonly sheet: SheetToPrint;
  readonly checks: ChecksToPrint;
  /** What they do, drawn for those who show it in practice; none where other prints are asked for. */
  readonly cards: readonly ScoutCard[];
  /** The week's practice; likewise. */
  readonly script: readonly ScriptDay[];
  /** What a player is asked; likewise. */
  readonly questions: readonly Question[];
}

export interface PrintChoice {
  readonly kind: PrintKind;
  readonly paper: SheetPaper;
  readonly band: BandSettings;
  readonly scout: ScoutSettings;
  /** Whose jobs a test asks for. */
  readonly man: TestedMan;
  /** How a call sheet is set. */
  readonly shape: SheetShape;
}

/** `next`: uniform in [0, 1), seeded by the band's order. */
export function printPages(
  { sheet, checks, cards, script, questions }: PrintSource,
  { kind, paper, band, scout, shape }: PrintChoice,
  next: () => number,
  measure: Measure,
): SheetPages {
  switch (kind) {
    case 'sheet':
      return sheetPages(sheet, paper, measure, shape);
    case 'checks':
      return checkPages(checks, paper, measure);
    case 'scout':
      return scoutPages(sheet, cards, scout, paper, measure);
    case 'script':
      return scriptPages(sheet, script, paper, measure);
    case 'test':
      return testPages(sheet, shuffled(questions, next).slice(0, scout.cards), scout, paper, measure);
    case 'band':
      return bandPages(
        sheet,
        Object.hasOwn(PAPERS, paper) ? (paper as Paper) : 'letter',
        band,
        next,
        measure,
      );
  }
}
