import { expect, it } from 'vitest';
import { countStructures, divergence } from './similar';

const of = (counts: Record<string, number>) => ({
  counts,
  n: Object.values(counts).reduce((a, b) => a + b, 0),
});

it('is 0 for the same shares, 1 for nothing in common, and the same both ways', () => {
  expect(divergence(of({ '2x2': 3, '3x1': 1 }), of({ '2x2': 30, '3x1': 10 }))).toBeCloseTo(0, 12);
  expect(divergence(of({ '2x2': 5 }), of({ '3x1': 7 }))).toBeCloseTo(1, 12);
  const [a, b] = [of({ x: 3, y: 1 }), of({ x: 1, y: 2, z: 4 })];
  expect(divergence(a, b)).toBeCloseTo(divergence(b, a)!, 12);
});
it('is 0.3113 for (1/2, 1/2) against (1, 0): H(3/4, 1/4) − 1/2, by hand', () =>
  expect(divergence(of({ x: 5, y: 5 }), of({ x: 9 }))).toBeCloseTo(0.8112781245 - 0.5, 9));
it('is not known where nothing is charted; blanks are no structure', () => {
  expect(divergence(of({}), of({ x: 1 }))).toBeNull();
  expect(countStructures(['2x2', null, '', '2x2', '3x1'])).toEqual({ counts: { '2x2': 2, '3x1': 1 }, n: 3 });
});
