/** How often the 95 % interval holds the truth, reckoned exactly over the binomial distribution, not drawn at random. */
import { expect, it } from 'vitest';
import { wilson } from './rates';

/** ln n! for n up to 100. */
const LOG_FACTORIAL = [0];
for (let n = 1; n <= 100; n++) LOG_FACTORIAL.push(LOG_FACTORIAL[n - 1]! + Math.log(n));
const chance = (k: number, n: number, p: number): number =>
  Math.exp(
    LOG_FACTORIAL[n]! -
      LOG_FACTORIAL[k]! -
      LOG_FACTORIAL[n - k]! +
      k * Math.log(p) +
      (n - k) * Math.log(1 - p),
  );

it('covers rates of 0.01 to 0.99 at n 8 to 100 in 94 to 97 % of samples on the mean', () => {
  const all: number[] = [];
  let least = { covered: 1, n: 0, p: 0 };
  for (let n = 8; n <= 100; n++) {
    const bounds = Array.from({ length: n + 1 }, (_, k) => wilson(k, n));
    for (let percent = 1; percent <= 99; percent++) {
      const p = percent / 100;
      let covered = 0;
      bounds.forEach(({ low, high }, k) => {
        if (low! <= p && p <= high!) covered += chance(k, n, p);
      });
      all.push(covered);
      if (covered < least.covered) least = { covered, n, p };
    }
  }
  const mean = all.reduce((a, b) => a + b, 0) / all.length;
  process.stdout.write(
    `interval: mean coverage ${(100 * mean).toFixed(2)} % over ${all.length} pairs, least ${(100 * least.covered).toFixed(2)} % at n ${least.n}, rate ${least.p}\n`,
  );
  expect(mean).toBeGreaterThan(0.94);
  expect(mean).toBeLessThan(0.97);
  // Known of the score interval: it is short at rates close to 0 and 1 (Agresti and Coull 1998, from memory).
  expect(least.covered).toBeGreaterThan(0.75);
  expect(Math.min(least.p, 1 - least.p)).toBeLessThan(0.05);
});
