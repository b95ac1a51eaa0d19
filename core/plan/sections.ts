/** Sections of a call sheet: each a filter of film. They overlap by purpose: a coach looks a situation up under its own name. */
import { quantileSorted } from 'd3-array';
import { BUCKET_ROWS, type BucketKey } from '../field/situation';
import { select, type Columns, type Filter, type Ranges } from '../read/columns';
import { plural } from '../rules/plural';

export const CALLED_KINDS = ['run', 'pass', 'rpo', 'other'] as const;

export interface SectionSpec {
  readonly key: string;
  readonly label: string;
  /** Snaps it is counted on, of both films; null: no film says how often it comes (kneels, tricks). */
  readonly filter: Filter | null;
  readonly ranges: Ranges;
  /** Kinds of plays that are suggested; none: any. */
  readonly kinds: readonly (typeof CALLED_KINDS)[number][];
}

interface CatalogEntry extends SectionSpec {
  /** On a new sheet unless the staff saved sections of its own. */
  readonly usual: boolean;
}

const anywhere: Ranges = {};
/** Outside the red zone. */
const away: Ranges = { toGoal: { from: 16, to: 99 } };
const between = (from: number, to: number): Ranges => ({ toGoal: { from, to } });
const starting = (...prefixes: string[]): BucketKey[] =>
  BUCKET_ROWS.map((r) => r.key).filter((k) => prefixes.some((p) => k.startsWith(p)));

const entry = (
  key: string,
  label: string,
  filter: Filter | null,
  ranges: Ranges = anywhere,
  kinds: SectionSpec['kinds'] = [],
): CatalogEntry => ({ key, label, filter, ranges, kinds, usual: false });
const usual = (...of: Parameters<typeof entry>): CatalogEntry => ({ ...entry(...of), usual: true });

const RUNS = ['run', 'rpo'] as const;
const BASE: readonly BucketKey[] = ['fresh', '1-10', '2-medium'];

/** All that a section may be made of with one choice (common practice), in the order they stand on a sheet. */
export const SECTION_CATALOG: readonly CatalogEntry[] = [
  usual('openers', 'Openers', { opening: ['first 15'] }),
  entry('drive', 'First of a drive', { bucket: ['fresh'] }),
  entry('turnover', 'After a turnover', { afterEvent: ['turnover'] }),
  usual('first', '1st & 10', { bucket: ['fresh', '1-10'] }, away),
  entry('run-left', 'Base runs, left hash', { play: [...RUNS], bucket: BASE, hash: ['L'] }, anywhere, RUNS),
  entry('run-middle', 'Base runs, middle', { play: [...RUNS], bucket: BASE, hash: ['M'] }, anywhere, RUNS),
  entry('run-right', 'Base runs, right hash', { play: [...RUNS], bucket: BASE, hash: ['R'] }, anywhere, RUNS),
  entry('pass-left', 'Base passes, left hash', { play: ['pass'], bucket: BASE, hash: ['L'] }, anywhere, [
    'pass',
  ]),
  entry('pass-middle', 'Base passes, middle', { play: ['pass'], bucket: BASE, hash: ['M'] }, anywhere, [
    'pass',
  ]),
  entry('pass-right', 'Base passes, right hash', { play: ['pass'], bucket: BASE, hash: ['R'] }, anywhere, [
    'pass',
  ]),
  entry('play-action', 'Play action', { passType: ['play action', 'shot'] }, anywhere, ['pass']),
  entry('screens', 'Screens', { passType: ['screen'] }, anywhere, ['pass']),
  entry('movement', 'Movement', { passType: ['boot', 'sprint'] }, anywhere, ['pass']),
  usual('second-long', '2nd long', { bucket: ['2-long'] }, away),
  usual('second-medium', '2nd medium', { bucket: ['2-medium'] }, away),
  usual('second-short', '2nd short', { bucket: ['2-short'] }, away),
  entry('third-xlong', '3rd extra long', { bucket: ['3-xlong'] }, away),
  usual('third-long', '3rd long', { bucket: ['3-long', '3-xlong'] }, away),
  usual('third-medium', '3rd medium', { bucket: ['3-medium'] }, away),
  usual('third-short', '3rd and 4th short', { bucket: ['3-short', '4-short'] }, away),
  entry('fourth', '4th down', { bucket: starting('4-') }),
  entry('high-red', 'High red, their 25 to 16', {}, between(16, 25)),
  usual('red', 'Red, their 15 to 4', {}, between(4, 15)),
  entry('tight-red', 'Tight red, their 10 to 4', {}, between(4, 10)),
  usual('goal', 'Goal line', {}, between(1, 3)),
  usual('backed', 'Backed up', {}, between(91, 99)),
  entry('two-minute', 'Two minutes', { clockMode: ['two_minute'] }),
  entry('four-minute', 'Four minutes', { clockMode: ['four_minute'] }),
  entry('no-read', 'Give no matter what', { clockMode: ['four_minute'], play: ['run'] }, anywhere, ['run']),
  usual('two-point', 'Two-point try', { bucket: starting('try') }),
  entry('light', 'Six or fewer in the box', { boxCount: ['4', '5', '6'] }),
  entry('loaded', 'Eight or more in the box', { boxCount: ['8', '9', '10', '11'] }),
  entry('man', 'Against man', { style: ['man'] }),
  entry('open-middle', 'Against an open middle', { middle: ['open'], style: ['zone', 'match'] }),
  entry('pressure', 'Against five or more', { rushers: ['5', '6', '7', '8'] }),
  entry('moved', 'When motion moves them', {
    motionResponse: ['bump', 'box_bump', 'safety_down', 'spin', 'follow', 'trade', 'middle_out'],
  }),
  entry('tricks', 'Tricks and unbalanced', null),
  entry('special', 'Special teams', null),
  entry('kneel', 'Kneel out', null),
];

const specOf = ({ key, label, filter, ranges, kinds }: CatalogEntry): SectionSpec => ({
  key,
  label,
  filter,
  ranges,
  kinds,
});

/** Sections of a new sheet. */
export const SECTIONS: readonly SectionSpec[] = SECTION_CATALOG.filter((s) => s.usual).map(specOf);
export const CATALOG: readonly SectionSpec[] = SECTION_CATALOG.map(specOf);
export const MOST_SECTIONS = 40;

/** Of this sheet, or of all that are known by a key. */
export const findSection = (key: string, sections: readonly SectionSpec[] = SECTIONS): SectionSpec | null =>
  sections.find((s) => s.key === key) ?? null;

const NOTHING = new Uint32Array(0);
/** Snaps of a section among those that fit a filter; none where no film says when it comes. */
export const sectionRows = (columns: Columns, section: SectionSpec, slice: Filter = {}): Uint32Array =>
  section.filter === null ? NOTHING : select(columns, { ...slice, ...section.filter }, section.ranges);

/** Our offense and offenses against their defense, as a filter leaves them: what a section is sized by. */
export const filmOfBoth = (
  columns: Columns,
  team: string,
  opponent: string,
  filter: Filter,
  ranges: Ranges,
): Uint32Array =>
  // A game between the two is in both.
  Uint32Array.from(
    new Set([
      ...select(columns, { ...filter, offense: [team] }, ranges),
      ...select(columns, { ...filter, defense: [opponent] }, ranges),
    ]),
  );

/** The sections of a template; those here that hold calls and are not in it stay, behind them. */
export const sectionsAsOn = (
  template: readonly SectionSpec[],
  here: readonly SectionSpec[],
  callsOf: (key: string) => number,
): readonly SectionSpec[] => [
  ...template,
  ...here.filter((s) => callsOf(s.key) > 0 && !template.some((t) => t.key === s.key)),
];

/** Yards that success takes on snaps of a section, the least first: ours and theirs; empty where no down says it. */
export const yardsAskedIn = (
  columns: Columns,
  team: string,
  opponent: string,
  { filter, ranges }: SectionSpec,
): Float64Array =>
  filter === null
    ? new Float64Array(0)
    : Float64Array.from(filmOfBoth(columns, team, opponent, filter, ranges), (row) => columns.asked[row]!)
        .filter((yards) => !Number.isNaN(yards))
        .sort();

/** "success takes 10 yards (8 to 13 on the middle half of 62 snaps)": whole yards, for a gain is one. */
export function askedWords(asked: Float64Array): string | null {
  if (asked.length === 0) return null;
  const yards = [...asked];
  const [low, middle, high] = [0.25, 0.5, 0.75].map((p) => Math.ceil(quantileSorted(yards, p)!));
  const half = low === high ? '' : `${low} to ${high} on the middle half of `;
  return `success takes ${plural(middle!, 'yard')} (${half}${plural(asked.length, 'snap')})`;
}
