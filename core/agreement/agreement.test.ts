import { describe, expect, it } from 'vitest';
import { simulateSeason } from '../../demo/league';
import { seededRandom } from '../../demo/random';
import { blankSnap, isTagged, type Snap, type SnapFact } from '../snap';
import { cohen, compareChartings, confusionOf, fleiss } from './index';

/** The formula once more, from pairs and not from a table: po and pe counted one by one. */
function plainKappa(pairs: readonly (readonly [string, string])[]): number {
  const n = pairs.length;
  const observed = pairs.filter(([a, b]) => a === b).length / n;
  let expected = 0;
  for (const word of new Set(pairs.flat()))
    expected +=
      (pairs.filter(([a]) => a === word).length / n) * (pairs.filter(([, b]) => b === word).length / n);
  return (observed - expected) / (1 - expected);
}

describe('kappa', () => {
  it('is 0.40 for the textbook table [[20, 5], [10, 15]] (Cohen’s example as textbooks give it)', () => {
    const { kappa, n, agree, low, high } = cohen([
      [20, 5],
      [10, 15],
    ]);
    expect(kappa).toBeCloseTo(0.4, 10);
    expect([n, agree]).toEqual([50, 35]);
    // Standard error by the formula of Fleiss, Cohen and Everitt 1969 worked by hand: 0.1270.
    expect((high! - low!) / (2 * 1.959964)).toBeCloseTo(0.127, 3);
  });
  it('is 0.210 for the table of ten subjects, fourteen raters, five categories (Fleiss 1971 as textbooks give it)', () => {
    const table = [
      [0, 0, 0, 0, 14],
      [0, 2, 6, 4, 2],
      [0, 0, 3, 5, 6],
      [0, 3, 9, 2, 0],
      [2, 2, 8, 1, 1],
      [7, 7, 0, 0, 0],
      [3, 2, 6, 3, 0],
      [2, 5, 3, 2, 2],
      [6, 5, 2, 1, 0],
      [0, 2, 2, 3, 7],
    ];
    const { kappa, low, high } = fleiss(table);
    expect(kappa).toBeCloseTo(0.21, 3);
    expect(low!).toBeLessThan(0.21);
    expect(high!).toBeGreaterThan(0.21);
  });
  it('is 1 where all agree, 0 at chance, and not known where nothing can differ', () => {
    expect(
      cohen([
        [5, 0],
        [0, 5],
      ]).kappa,
    ).toBe(1);
    // All of two and all of two hundred are not the same knowledge: (n / (n + z²) − 1/2) / (1/2).
    for (const n of [1, 5, 100]) {
      const all = cohen([
        [n, 0],
        [0, n],
      ]);
      expect(all.high).toBe(1);
      expect(all.low).toBeCloseTo(2 * ((2 * n) / (2 * n + 1.959963984540054 ** 2)) - 1, 12);
      const items = Array.from({ length: 2 * n }, (_, i) => (i < n ? [2, 0] : [0, 2]));
      if (n > 1) expect(fleiss(items).low).toBeCloseTo(all.low!, 12);
    }
    expect(
      cohen([
        [25, 25],
        [25, 25],
      ]).kappa,
    ).toBeCloseTo(0, 12);
    expect(cohen([[7]])).toMatchObject({ kappa: null, n: 7, agree: 7 });
    expect(cohen([])).toMatchObject({ kappa: null, n: 0 });
    expect(fleiss([])).toMatchObject({ kappa: null, n: 0 });
    expect(() =>
      fleiss([
        [2, 1],
        [2, 2],
      ]),
    ).toThrow(RangeError);
  });
  it('of two raters Fleiss’ lies near Cohen’s, and is symmetric', () => {
    const pairs = confusionOf([
      ['a', 'a'],
      ['a', 'b'],
      ['b', 'b'],
      ['b', 'b'],
      ['a', 'a'],
    ]);
    expect(cohen(pairs.counts).kappa).toBeGreaterThan(0.4);
    const flipped = pairs.counts.map((_, i) => pairs.counts.map((row) => row[i]!));
    expect(cohen(flipped)).toEqual(cohen(pairs.counts));
  });
  it('the interval holds the true agreement about as often as it says', () => {
    const random = seededRandom(20261127).next;
    const words = ['a', 'b', 'c'];
    const said = (p: number): [string, string] => {
      const word = words[Math.floor(random() * 3)]!;
      return [word, random() < p ? word : words[Math.floor(random() * 3)]!];
    };
    let held = 0;
    const runs = 400;
    // With the second repeating the first at 0.6 and else at random, kappa is 0.6.
    for (let r = 0; r < runs; r++) {
      const { low, high } = cohen(confusionOf(Array.from({ length: 150 }, () => said(0.6))).counts);
      if (low! <= 0.6 && high! >= 0.6) held++;
    }
    expect(held / runs).toBeGreaterThan(0.92);
  });
});

describe('two chartings of half a game with seeded errors', () => {
  const FIELDS: readonly SnapFact[] = ['formation', 'front', 'coverage', 'concept', 'motion'];
  const truth = simulateSeason(7, { tells: true, weeks: 1 })[0]!
    .snaps.filter((s) => s.unit === 'scrimmage')
    .slice(0, 60);
  const random = seededRandom(99).next;
  const wrong: string[] = [];
  const words = (field: SnapFact): string[] => [
    ...new Set(truth.map((s) => s[field] as string | null).filter((v): v is string => isTagged(v))),
  ];
  const erring: Snap[] = truth.map((snap) => {
    const copy: Record<string, unknown> = { ...snap };
    for (const field of FIELDS) {
      const value = snap[field] as string | null;
      if (value === null || random() > 0.15) continue;
      const others = words(field).filter((w) => w !== value);
      if (others.length === 0) continue;
      copy[field] = others[Math.floor(random() * others.length)];
      wrong.push(`${snap.snapId} ${field}`);
    }
    return copy as unknown as Snap;
  });
  const found = compareChartings(
    [
      { id: 'a', name: 'Ann', snaps: truth },
      { id: 'b', name: 'Bo', snaps: erring },
    ],
    FIELDS,
  );
  it('finds every disputed snap and no other', () => {
    expect(wrong.length).toBeGreaterThan(15);
    expect(
      found
        .flatMap((f) => f.disputes)
        .map((d) => `${d.snapId} ${d.field}`)
        .sort(),
    ).toEqual([...wrong].sort());
  });
  it('gives kappa as a second count does', () => {
    for (const { field, kappa } of found) {
      const pairs = truth.flatMap((s, i): [string, string][] =>
        s[field] === null ? [] : [[String(s[field]), String(erring[i]![field])]],
      );
      expect(kappa.n).toBe(pairs.length);
      expect(kappa.kappa).toBeCloseTo(plainKappa(pairs), 10);
    }
  });
});

it('leaves out what one of them has not charted, and counts none and not visible as words', () => {
  const snap = (n: number, coverage: string | null): Snap => ({ ...blankSnap(`s${n}`, 'g', n), coverage });
  const [found] = compareChartings(
    [
      { id: 'a', name: 'Ann', snaps: [snap(1, 'cover 3'), snap(2, '?'), snap(3, null), snap(4, null)] },
      { id: 'b', name: 'Bo', snaps: [snap(1, 'cover 3'), snap(2, '-'), snap(3, 'cover 1'), snap(4, null)] },
    ],
    ['coverage', 'front'],
  );
  expect(found).toMatchObject({
    of: 3,
    kappa: { n: 2, agree: 1 },
    disputes: [{ number: 2, values: ['?', '-'] }],
  });
  expect(found!.confusion!.words).toContain('not visible');
});
