import { expect, it } from 'vitest';
import { COLLEGE } from '../field';
import { blankSnap, emptyValue, SNAP_FACTS, SNAP_FIELDS, type Snap } from '../snap';
import { DEFAULT_BOOK } from './default-book';
import { lookFacts } from './facts';

/** A book of its own each time: nothing is known from an earlier snap. */
const measured = (snap: Snap) => lookFacts({ ...DEFAULT_BOOK }, snap, COLLEGE);

it('facts follow from the fields that are flagged as looked at, and from no other', () => {
  const base: Snap = {
    ...blankSnap('s', 'g', 1),
    personnel: '11',
    formation: 'trips',
    formationSide: 'R',
    backfield: 'gun',
    motion: 'jet',
    motionBy: 'H',
    front: '4-2 over',
    coverage: 'cover 3',
    pressure: 'mike a',
    hash: 'L',
  };
  const before = measured(base);
  expect(Object.values(before).filter((v) => v !== null).length).toBeGreaterThan(8);
  let compared = 0;
  for (const field of SNAP_FACTS) {
    if (SNAP_FIELDS[field].look) continue;
    const { kind, values, min } = SNAP_FIELDS[field];
    const other = values?.[1] ?? min ?? (kind === 'flag' ? true : kind === 'text' ? '12' : emptyValue(field));
    expect(measured({ ...base, [field]: other } as Snap), field).toEqual(before);
    compared++;
  }
  expect(compared).toBeGreaterThan(40);
  // And each of those that are flagged moves something for some value.
  const moved = new Set<string>();
  const others: Partial<Record<keyof Snap, unknown>> = {
    formation: 'doubles',
    formationSide: 'L',
    backfield: 'pistol',
    motion: 'orbit',
    motionBy: 'Z',
    front: '3-4',
    coverage: 'cover 1',
    pressure: 'sam b',
    hash: 'R',
  };
  for (const [field, value] of Object.entries(others))
    if (JSON.stringify(measured({ ...base, [field]: value } as Snap)) !== JSON.stringify(before))
      moved.add(field);
  expect([...moved].sort()).toEqual(expect.arrayContaining(['formation', 'formationSide', 'hash']));
});
