/** What a sheet is printed as, each from one list of pages. */
import { answerPages, type LookShown } from './answer-print';
import { bandPages, USUAL_BAND, type BandSettings } from './band';
import { checkPages, type ChecksToPrint } from './check-print';
import { decisionPages, type DecisionsToPrint } from './decision-print';
import { USUAL_DECISIONS, type DecisionSettings } from './decisions';
import { PAPERS, SHEET_PAPERS, type Paper, type SheetPaper, type SheetShape } from './layout';
import type { Measure, SheetPages } from './marks';
import type { ScriptDay } from './practice';
import { scriptPages } from './practice-print';
import { USUAL_QUOTAS, type Quota } from './quotas';
import { scoutPages } from './scout-print';
import type { ScoutCard, ScoutSettings } from './scout';
import { sheetPages, type SheetToPrint } from './print';
import type { SheetSide } from './rows';
import { shuffled } from './shuffle';
import type { Signal } from './word-audits';
import { testPages, type Question, type TestedMan } from './test-sheet';

export const PRINT_KINDS = ['sheet', 'band', 'checks', 'scout', 'script', 'test', 'decisions'] as const;
export type PrintKind = (typeof PRINT_KINDS)[number];
export const PRINT_LABEL: Readonly<Record<PrintKind, string>> = {
  sheet: 'Call sheet',
  band: 'Wristband',
  checks: 'Check card',
  scout: 'Scout cards',
  script: 'Practice script',
  test: 'Test',
  decisions: 'Decision card',
};
/** The usual one first. */
export const printsOf = (side: SheetSide): readonly PrintKind[] =>
  side === 'defense'
    ? ['checks', 'scout', 'script', 'test']
    : ['sheet', 'band', 'checks', 'scout', 'script', 'test', 'decisions'];
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
/** What every printer takes, upright: a band is cut out, a decision card is one page. */
const UPRIGHT: ReadonlySet<PrintKind> = new Set(['band', 'decisions']);
const upright = (paper: SheetPaper): Paper => (Object.hasOwn(PAPERS, paper) ? (paper as Paper) : 'letter');
/** The usual one first. */
export const papersOf = (kind: PrintKind): readonly SheetPaper[] =>
  kind === 'scout' || kind === 'test'
    ? WIDE_FIRST
    : (Object.keys(UPRIGHT.has(kind) ? PAPERS : SHEET_PAPERS) as SheetPaper[]);

/** What a staff says once for all its sheets and prints. */
export interface StaffPrints {
  /** The window of its bands. */
  readonly band: Omit<BandSettings, 'seed'>;
  readonly decisions: DecisionSettings;
  readonly quotas: readonly Quota[];
  /** Hand signals by the word that they stand for. */
  readonly signals: readonly Signal[];
}
const { seed: _, ...window } = USUAL_BAND;
export const USUAL_PRINTS: StaffPrints = {
  band: window,
  decisions: USUAL_DECISIONS,
  quotas: USUAL_QUOTAS,
  signals: [],
};

export interface PrintSource {
  readonly side: SheetSide;
  readonly sheet: SheetToPrint;
  readonly checks: ChecksToPrint;
  /** How often they show what the sections of an offense answer; none where other prints are asked for. */
  readonly looks: readonly LookShown[];
  /** What they do, drawn for those who show it in practice; none where other prints are asked for. */
  readonly cards: readonly ScoutCard[];
  /** The week's practice; likewise. */
  readonly script: readonly ScriptDay[];
  /** What a player is asked; likewise. */
  readonly questions: readonly Question[];
  /** Level and film of ours that a decision card rests on. */
  readonly decisions: DecisionsToPrint;
}

/** Numbered copies: who holds which is known, and none is left in the press box. */
export const COPY_LIMITS = { from: 1, to: 40 } as const;
/** Prints whose corner has room to say which copy it is. */
export const numbersCopies = (kind: PrintKind): boolean =>
  kind === 'sheet' || kind === 'checks' || kind === 'decisions';

/** The print of one of so many copies: its corner says which; where there is one, nothing. */
export function copyOf(source: PrintSource, copy: number, copies: number): PrintSource {
  if (copies === 1) return source;
  const numbered = <T extends { readonly stamp: string }>(about: T): T => ({
    ...about,
    stamp: `${about.stamp} · copy ${copy} of ${copies}`,
  });
  return {
    ...source,
    sheet: numbered(source.sheet),
    checks: numbered(source.checks),
    decisions: numbered(source.decisions),
  };
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
  readonly decisions: DecisionSettings;
  readonly copies: number;
}

/** `next`: uniform in [0, 1), seeded by the band's order. */
export function printPages(
  { side, sheet, checks, looks, cards, script, questions, decisions }: PrintSource,
  { kind, paper, band, scout, shape, decisions: figures }: PrintChoice,
  next: () => number,
  measure: Measure,
): SheetPages {
  switch (kind) {
    case 'sheet':
      return sheetPages(sheet, paper, measure, shape);
    case 'checks':
      return side === 'defense'
        ? checkPages(checks, paper, measure)
        : answerPages({ ...sheet, looks }, paper, measure);
    case 'scout':
      return scoutPages(sheet, cards, scout, paper, measure);
    case 'script':
      return scriptPages(sheet, script, paper, measure);
    case 'test':
      return testPages(sheet, shuffled(questions, next).slice(0, scout.cards), scout, paper, measure);
    case 'band':
      return bandPages(sheet, upright(paper), band, next, measure);
    case 'decisions':
      return decisionPages(decisions, figures, upright(paper), measure);
  }
}
