import { expect, it } from 'vitest';
import { seats } from './seats';
import { uniform } from '../stats/uniform';

it('the usual worked example of Hare’s quota: 100 000 votes, ten seats (from memory)', () => {
  expect(seats([47_000, 16_000, 15_900, 12_000, 6_000, 3_100], 10)).toEqual([5, 2, 1, 1, 1, 0]);
});
it('the Alabama paradox: with one seat more the smallest loses one (Balinski & Young 1982, the usual example, from memory)', () => {
  expect(seats([6, 6, 2], 10)).toEqual([4, 4, 2]);
  expect(seats([6, 6, 2], 11)).toEqual([5, 5, 1]);
});
it('one each at least, as long as they last; nobody where there is nobody', () => {
  expect(seats([90, 9, 1], 10, 1)).toEqual([8, 1, 1]);
  expect(seats([1, 5, 3], 2, 1)).toEqual([0, 1, 1]);
  expect(seats([0, 0], 4, 1)).toEqual([2, 2]);
  expect(seats([], 4, 1)).toEqual([]);
});
it('sums to the total, keeps quota where nobody is below the least, and follows the weights', () => {
  const random = uniform(7);
  for (let i = 0; i < 3000; i++) {
    const weights = Array.from({ length: 1 + Math.floor(random() * 12) }, () => Math.floor(random() * 20));
    const total = Math.floor(random() * 40);
    const least = Math.floor(random() * 3);
    const out = seats(weights, total, least);
    expect(out.reduce((a, b) => a + b, 0)).toBe(total);
    const all = weights.reduce((a, b) => a + b, 0);
    if (least === 0 && all > 0)
      out.forEach((seat, k) => expect(Math.abs(seat - (total * weights[k]!) / all)).toBeLessThan(1));
    for (let a = 0; a < out.length; a++)
      for (let b = 0; b < out.length; b++)
        if (weights[a]! > weights[b]!) expect(out[a]!).toBeGreaterThanOrEqual(out[b]!);
  }
});
