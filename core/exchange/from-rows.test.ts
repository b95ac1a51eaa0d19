import { describe, expect, it } from 'vitest';
import type { SyncRow } from '../sync';
import { snapsOfRows } from './from-rows';

const row = (key: string, order: number, fields: Record<string, unknown>, versions = {}): SyncRow => ({
  kind: 'snap',
  row: key,
  order,
  fields,
  versions,
  deleted: false,
});

describe('the snaps of rows', () => {
  const rows = [row('a', 1, { gain: 3 }), row('b', 2, { gain: 4, formation: 'trips' })];
  const before = snapsOfRows(rows, 'g');
  it('are the same list when an answer changes nothing that a snap says', () => {
    // As they come back from the server: new objects, versions, a blank said as blank.
    const again = [
      row('a', 1, { gain: 3 }, { gain: 2 }),
      row('b', 2, { formation: 'trips', gain: 4, note: null }),
    ];
    expect(snapsOfRows(again, 'g', before)).toBe(before);
  });
  it('keep the snaps that say the same, and no other', () => {
    const after = snapsOfRows(
      [row('b', 2, { gain: 5, formation: 'trips' }), row('a', 1, { gain: 3 })],
      'g',
      before,
    );
    expect(after.map((s) => [s.snapId, s.gain])).toEqual([
      ['b', 5],
      ['a', 3],
    ]);
    expect(after[1]).toBe(before[0]);
    expect(snapsOfRows([rows[0]!], 'g', before)).toEqual([before[0]]);
    expect(snapsOfRows([rows[0]!, row('b', 3, rows[1]!.fields)], 'g', before)[1]!.order).toBe(3);
  });
  it('of another game are others', () => {
    expect(snapsOfRows(rows, 'h', before)[0]!.game).toBe('h');
  });
});
