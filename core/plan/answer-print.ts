/** The check card of an offense: calls by what they show, and what follows from what is seen after the huddle. */
import { CODE_NONE, FIRST_VALUE, select, type Columns } from '../read/columns';
import type { FilterField } from '../read/filters';
import { cardPages } from './card-table';
import type { SheetPaper } from './layout';
import type { Measure, SheetPages } from './marks';
import type { SheetToPrint } from './print';
import { sectionRows, type SectionSpec } from './sections';
import { callWords, type IfThen, type PrintedSection } from './sheet';

/** What a defense shows: a section that asks for one of these is an answer to it. */
const SHOWN: readonly FilterField[] = [
  'bodies',
  'front',
  'shade',
  'boxCount',
  'boxVerdict',
  'coverage',
  'middle',
  'style',
  'pressure',
  'rushers',
  'rushKind',
  'motionResponse',
];
const shownFields = ({ filter }: SectionSpec): FilterField[] =>
  Object.keys(filter ?? {}).filter((field): field is FilterField => SHOWN.includes(field as FilterField));

/** How often they show what a section answers: their snaps of it, of those on which it is tagged. */
export interface LookShown {
  readonly section: string;
  readonly k: number;
  readonly n: number;
}
export function looksShown(
  columns: Columns,
  opponent: string,
  sections: readonly PrintedSection[],
): LookShown[] {
  const tagged = (field: FilterField, row: number): boolean => {
    const code = columns.text[field].codes[row]!;
    return code === CODE_NONE || code >= FIRST_VALUE;
  };
  return sections.flatMap(({ section }): LookShown[] => {
    const fields = shownFields(section);
    if (fields.length === 0) return [];
    // Of the snaps of its situation.
    const elsewhere = Object.fromEntries(
      Object.entries(section.filter!).filter(([field]) => !fields.includes(field as FilterField)),
    );
    const theirs = select(columns, { defense: [opponent], ...elsewhere }, section.ranges);
    return [
      {
        section: section.key,
        k: sectionRows(columns, section, { defense: [opponent] }).length,
        n: theirs.filter((row) => fields.every((field) => tagged(field, row))).length,
      },
    ];
  });
}

export interface AnswersToPrint extends SheetToPrint {
  readonly looks: readonly LookShown[];
}

const COLUMNS = [
  ['when', 0.2],
  ['theirs', 0.09],
  ['no.', 0.05],
  ['call', 0.3],
  ['if … then', 0.36],
] as const;

/** Sections by what they show with all their calls, then what other calls lead to; each section named once. */
function rowsOf({ sections, looks }: AnswersToPrint) {
  const all = new Map(sections.flatMap((s) => s.calls.map((call) => [call.id, call])));
  const then = ({ when, call, words }: IfThen): string => {
    const to = call === null ? undefined : all.get(call);
    return `${when}: ${[to && `${to.number} ${callWords(to)}`, words].filter(Boolean).join(', ') || '?'}`;
  };
  const byLook = sections.filter(({ section }) => shownFields(section).length > 0);
  const others = sections.filter(({ section }) => shownFields(section).length === 0);
  return [
    ...byLook,
    ...others.map(({ section, calls }) => ({ section, calls: calls.filter((c) => c.ifThen.length > 0) })),
  ].flatMap(({ section, calls }) => {
    const shown = looks.find((look) => look.section === section.key);
    // A line each for what is seen: two of them on one are not read at the line of scrimmage.
    return calls.flatMap((call, i) =>
      (call.ifThen.length === 0 ? [null] : call.ifThen).map(
        (one, j): readonly (readonly [string, boolean])[] => [
          [i + j === 0 ? section.label : '', true],
          [i + j === 0 && shown ? `${shown.k} of ${shown.n}` : '', false],
          [j === 0 ? String(call.number) : '', true],
          [j === 0 ? `${callWords(call)}${call.hash ? `, ball ${call.hash}` : ''}` : '', false],
          [one ? then(one) : '', false],
        ],
      ),
    );
  });
}

export const answerPages = (sheet: AnswersToPrint, paper: SheetPaper, measure: Measure): SheetPages =>
  cardPages(
    {
      about: sheet,
      below: 'by what they show, and what follows a call',
      columns: COLUMNS,
      rows: rowsOf(sheet),
      empty: 'Nothing yet: say “if … then” in a call’s notes, or add a section by what they show.',
    },
    paper,
    measure,
  );
