/** What counts may be filtered and grouped by: flagged fields of a snap, facts of its look, and what the walk of its game derives. */
import { LOOK_FACTS, LOOK_FACT_NAMES, type LookFact } from '../book/facts';
import { fieldsWith, SNAP_FIELDS, type FilteredField } from '../snap/fields';
import type { CountedSnap } from './counted';

interface FilterSpec {
  readonly label: string;
  /** Its place in the menu of filters; none: by address and command line only. */
  readonly menu?: number;
}

const WALKED = {
  bucket: { label: 'situation' },
  zone: { label: 'zone' },
  clockMode: { label: 'clock', menu: 130 },
  afterEvent: { label: 'just after', menu: 140 },
  lead: { label: 'score', menu: 142 },
  half: { label: 'half', menu: 12 },
  opening: { label: 'opening plays', menu: 144 },
  passType: { label: 'kind of pass', menu: 235 },
  attack: { label: 'attacks', menu: 237 },
  gap: { label: 'gap a run aims at', menu: 238 },
  depthBand: { label: 'depth of the throw' },
  fieldBand: { label: 'yards to their goal' },
  driveStart: { label: 'drive began' },
  driveEnd: { label: 'drive ended' },
  drivePlay: { label: 'play of the drive' },
} as const satisfies Readonly<Record<string, FilterSpec>>;
type Walked = keyof typeof WALKED;

export type FilterField = FilteredField | Walked | LookFact;
const SPECS = {
  ...Object.fromEntries(fieldsWith('filter').map((f) => [f, SNAP_FIELDS[f]])),
  ...WALKED,
  ...LOOK_FACTS,
} as Readonly<Record<FilterField, FilterSpec>>;

export const FILTER_FIELDS = Object.keys(SPECS) as FilterField[];
export const isFilterField = (name: string): name is FilterField => Object.hasOwn(SPECS, name);
export const filterLabel = (field: FilterField): string => SPECS[field].label;
/** In the order of the menu. */
export const FILTER_MENU: readonly FilterField[] = FILTER_FIELDS.filter(
  (f) => SPECS[f].menu !== undefined,
).sort((a, b) => SPECS[a].menu! - SPECS[b].menu!);

const FROM_LOOK: ReadonlySet<string> = new Set(LOOK_FACT_NAMES);

/** Where a field's value lies in a counted snap. */
export type FieldHome = 'look' | 'walked' | 'snap';
export const homeOf = (field: FilterField): FieldHome =>
  FROM_LOOK.has(field) ? 'look' : Object.hasOwn(WALKED, field) ? 'walked' : 'snap';

/** The value as it stands there. */
export const valueIn = (countedSnap: CountedSnap, home: FieldHome, field: FilterField): unknown =>
  home === 'look'
    ? countedSnap.look?.[field as LookFact]
    : home === 'walked'
      ? countedSnap[field as Walked]
      : countedSnap.snap[field as FilteredField];

/** A counted snap's word of a field; null: blank. */
export function filterValue(countedSnap: CountedSnap, field: FilterField): string | null {
  const value = valueIn(countedSnap, homeOf(field), field);
  return value === null || value === undefined ? null : String(value);
}
