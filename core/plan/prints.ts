/** What a sheet is printed as, each from one list of pages. */
import { bandPages, type BandSettings } from './band';
import { checkPages, type ChecksToPrint } from './check-print';
import { PAPERS, SHEET_PAPERS, type Paper, type SheetPaper } from './layout';
import type { Measure, SheetPages } from './marks';
import { sheetPages, type SheetToPrint } from './print';
import type { SheetSide } from './rows';

export const PRINT_KINDS = ['sheet', 'band', 'checks'] as const;
export type PrintKind = (typeof PRINT_KINDS)[number];
export const PRINT_LABEL: Readonly<Record<PrintKind, string>> = {
  sheet: 'Call sheet',
  band: 'Wristband',
  checks: 'Check card',
};
/** The usual one first. */
export const printsOf = (side: SheetSide): readonly PrintKind[] =>
  side === 'defense' ? ['checks'] : ['sheet', 'band'];
/** A band is cut out: it is printed upright on what every printer takes. */
export const papersOf = (kind: PrintKind): readonly SheetPaper[] =>
  Object.keys(kind === 'band' ? PAPERS : SHEET_PAPERS) as SheetPaper[];

export interface PrintSource {
  readonly side: SheetSide;
  readonly sheet: SheetToPrint;
  readonly checks: ChecksToPrint;
}

export interface PrintChoice {
  readonly kind: PrintKind;
  readonly paper: SheetPaper;
  readonly band: BandSettings;
}

/** `next`: uniform in [0, 1), seeded by the band's order. */
export function printPages(
  { sheet, checks }: PrintSource,
  { kind, paper, band }: PrintChoice,
  next: () => number,
  measure: Measure,
): SheetPages {
  switch (kind) {
    case 'sheet':
      return sheetPages(sheet, paper, measure);
    case 'checks':
      return checkPages(checks, paper, measure);
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
