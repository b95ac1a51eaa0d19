/** A sheet as plain rows, for a spreadsheet: what stands on paper, a column a part. */
import type { CheckToPrint } from './check-print';
import { findSituation, pictureOf } from './pictures';
import type { PrintSource } from './prints';
import { ifThenWords, type PrintedSection } from './sheet';

export type PlainCell = string | number | null;
export interface PlainTable {
  readonly title: string;
  readonly columns: readonly string[];
  readonly rows: readonly (readonly PlainCell[])[];
}

export const CALL_COLUMNS = [
  'number',
  'section',
  'name',
  'personnel',
  'formation',
  'side',
  'backfield',
  'motion by',
  'motion',
  'play',
  'other side',
  'direction',
  'hash',
  'tags',
  'if … then',
  'needs',
  'shown first',
  'note',
] as const;

/** Calls in the order and with the numbers of the printed sheet. */
export function callsTable({ sheet }: Pick<PrintSource, 'sheet'>): PlainTable {
  const numbers = new Map(sheet.sections.flatMap((s) => s.calls.map((c) => [c.id, c.number])));
  return {
    title: 'calls',
    columns: CALL_COLUMNS,
    rows: sheet.sections.flatMap(({ section, calls }) =>
      calls.map((call): PlainCell[] => [
        call.number,
        section.label,
        call.play.name,
        call.play.personnel,
        call.play.formation,
        call.play.formationSide,
        call.play.backfield,
        call.play.motionBy,
        call.play.motion,
        call.play.concept,
        call.play.conceptWeak,
        call.play.direction,
        call.hash,
        call.tags.join('; ') || null,
        ifThenWords(call.ifThen, numbers) || null,
        call.needs.join('; ') || null,
        call.shownFirst,
        call.note,
      ]),
    ),
  };
}

/** Calls as a spreadsheet takes them: a line a call under its columns, tabs between. */
export function copiedCalls(sheet: readonly PrintedSection[], ids: ReadonlySet<string>): string {
  // Numbers as on the sheet, the calls that are not copied counted too.
  const { rows } = callsTable({ sheet: { name: '', title: '', against: '', stamp: '', sections: sheet } });
  const order = sheet.flatMap((s) => s.calls);
  const chosen = rows.filter((_, i) => ids.has(order[i]!.id));
  return [CALL_COLUMNS, ...chosen]
    .map((row) => row.map((cell) => String(cell ?? '').replace(/[\t\r\n]+/g, ' ')).join('\t'))
    .join('\n');
}

const CHECK_COLUMNS = [
  'they line up in',
  'personnel',
  'when',
  'front',
  'coverage',
  'pressure',
  'who has #3',
  'their snaps',
  'of',
  'note',
] as const;

export const checksTable = (checks: readonly CheckToPrint[]): PlainTable => ({
  title: 'checks',
  columns: CHECK_COLUMNS,
  rows: checks.map((c) => [
    pictureOf(c.picture)?.label ?? c.picture,
    c.personnel,
    findSituation(c.situation)?.label ?? null,
    c.front,
    c.coverage,
    c.pressure,
    c.third ?? (c.third === null ? 'nobody' : null),
    c.k,
    c.n,
    c.note,
  ]),
});
