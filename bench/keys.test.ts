import { expect, it } from 'vitest';
import { columnsSaid, countKeys } from './keys';

it('counts keys of every set of fields, fewer than letters, more than the bits leave room for', () => {
  const counted = countKeys(1, 12);
  expect(counted.map((c) => c.fields)).toEqual([4, 8, 14]);
  for (const { keys, letters, bits, snaps } of counted) {
    expect(snaps).toBeGreaterThan(5);
    expect(keys).toBeLessThan(letters * 0.7);
    // A key of the whole keyboard says six bits at most.
    expect(keys).toBeGreaterThan(bits / 6);
  }
});
it('takes an offer apart into the words that are wanted', () => {
  const wanted = new Map([
    [0, '11'],
    [1, 'trips r'],
    [2, 'gun'],
  ]);
  expect(columnsSaid('11 trips r', wanted)).toEqual([0, 1]);
  expect(columnsSaid('trips l', wanted)).toBeNull();
  expect(columnsSaid('gun', wanted)).toEqual([2]);
});
