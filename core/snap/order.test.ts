import fc from 'fast-check';
import { expect, it } from 'vitest';
import { orderBetween } from './order';

it('gives a key strictly between two neighbors, short where there is room', () => {
  expect([
    orderBetween(null, null),
    orderBetween(3, null),
    orderBetween(1, 2),
    orderBetween(1, 1.5),
    orderBetween(null, 1),
  ]).toEqual([1, 4, 1.5, 1.3, 0]);
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 200 }),
      fc.array(fc.boolean(), { maxLength: 25 }),
      (from, turns) => {
        let low = from;
        let high = from + 1;
        for (const up of turns) {
          const middle = orderBetween(low, high)!;
          expect(middle > low && middle < high).toBe(true);
          if (up) low = middle;
          else high = middle;
        }
      },
    ),
    { numRuns: 200, seed: 1 },
  );
});
it('never throws: neighbors that do not ascend, or leave no room, give null', () => {
  expect(orderBetween(2, 2)).toBeNull();
  expect(orderBetween(3, 2)).toBeNull();
  expect(orderBetween(1, 1 + 1e-13)).toBeNull();
  fc.assert(
    fc.property(
      fc.option(fc.double({ noNaN: true, noDefaultInfinity: true, min: -1e9, max: 1e9 })),
      fc.option(fc.double({ noNaN: true, noDefaultInfinity: true, min: -1e9, max: 1e9 })),
      (a, b) => {
        const key = orderBetween(a, b);
        if (key === null) return;
        expect(a === null || key > a).toBe(true);
        expect(b === null || key < b).toBe(true);
      },
    ),
    { numRuns: 2000, seed: 1 },
  );
});
