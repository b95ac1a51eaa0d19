/** Editing a logged snap as a line: what of it is shown, and what a changed line changes. */
import { emptyValue, sameValue, SNAP_FACTS, SNAP_FIELDS } from '../snap/fields';
import type { Snap, SnapField, SnapFields } from '../snap/snap';
import type { WalkedSnap } from '../rules/walk';
import { formatLine } from './format';
import { parseLine } from './resolve';
import type { LineContext } from './resolver';

/** The snap's fields worth showing: without what is unsaid and what equals the carried situation. */
export function saidFields(row: WalkedSnap): SnapFields {
  const { snap, expected } = row;
  const carried: Partial<Record<SnapField, unknown>> = {
    offense: expected.offense ?? snap.offense,
    defense: expected.defense ?? snap.defense,
    unit: 'scrimmage',
    quarter: expected.quarter,
    toGoal: expected.toGoal,
    hash: expected.hash,
    down: expected.down,
    distance: expected.distance,
  };
  const out: Record<string, unknown> = {};
  for (const field of SNAP_FACTS) {
    const value = snap[field];
    if (SNAP_FIELDS[field].unsaid || sameValue(value, emptyValue(field))) continue;
    if (field in carried && carried[field] === value) continue;
    if (field === 'outOfBounds' && value === false) continue;
    out[field] = value;
  }
  return out as SnapFields;
}

/** The line shown for a logged snap. */
export const editLine = (row: WalkedSnap, context: LineContext): string =>
  formatLine(saidFields(row), context);

/** Fields that differ between the line as it was shown and as it now stands: only these are patched. */
export function changedFields(shown: string, now: string, context: LineContext): SnapFields {
  const before = parseLine(shown, context).fields;
  const after = parseLine(now, context).fields;
  const out: Partial<Record<SnapField, unknown>> = {};
  for (const field of SNAP_FACTS) {
    const was = before[field] ?? emptyValue(field);
    const is = after[field] ?? emptyValue(field);
    if (!sameValue(was, is)) out[field] = is;
  }
  return out as Partial<Snap>;
}
