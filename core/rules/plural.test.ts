import { expect, it } from 'vitest';
import { plural } from './plural';

it('says one of a thing as one', () => {
  expect([0, 1, 2].map((n) => plural(n, 'snap'))).toEqual(['0 snaps', '1 snap', '2 snaps']);
  expect([1, 3].map((n) => plural(n, 'pass', 'passes'))).toEqual(['1 pass', '3 passes']);
});
