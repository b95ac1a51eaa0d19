/** What counts may be filtered and grouped by: flagged fields of a snap, facts of its look, and what the walk of its game derives. */
import { LOOK_FACTS, LOOK_FACT_NAMES, type LookFact } from '../book/facts';
import { fieldsWith, SNAP_FIELDS, type SlicedField } from '../snap/fields';
import type { CountedSnap } from './counted';

interface SliceSpec {
  readonly label: string;
  /** Its place in the menu of filters; none: by address and command line only. */
  readonly menu?: number;
}

const WALKED = {
  bucket: { label: 'situation' },
  zone: { label: 'zone' },
  clockMode: { label: 'clock', menu: 130 },
  afterEvent: { label: 'just after', menu: 140 },
} as const satisfies Readonly<Record<string, SliceSpec>>;
type Walked = keyof typeof WALKED;

export type SliceField = SlicedField | Walked | LookFact;
const SPECS = {
  ...Object.fromEntries(fieldsWith('slice').map((f) => [f, SNAP_FIELDS[f]])),
  ...WALKED,
  ...LOOK_FACTS,
} as Readonly<Record<SliceField, SliceSpec>>;

export const SLICE_FIELDS = Object.keys(SPECS) as SliceField[];
export const isSliceField = (name: string): name is SliceField => Object.hasOwn(SPECS, name);
export const sliceLabel = (field: SliceField): string => SPECS[field].label;
/** In the order of the menu. */
export const SLICE_MENU: readonly SliceField[] = SLICE_FIELDS.filter((f) => SPECS[f].menu !== undefined).sort(
  (a, b) => SPECS[a].menu! - SPECS[b].menu!,
);

const FROM_LOOK: ReadonlySet<string> = new Set(LOOK_FACT_NAMES);

/** A counted snap's word of a field; null: blank. */
export function sliceValue(s: CountedSnap, field: SliceField): string | null {
  const value = FROM_LOOK.has(field)
    ? s.look?.[field as LookFact]
    : Object.hasOwn(WALKED, field)
      ? s[field as Walked]
      : s.snap[field as SlicedField];
  return value === null || value === undefined ? null : String(value);
}
