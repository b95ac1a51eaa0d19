import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import { COLLEGE } from '../field';
import { buildColumns, countGame, filmKind, kish, looksOf, rateOf, select, weightsOf, wilson } from './index';

const games = simulateSeason(DEMO_SEED, { tells: true, weeks: 3 }).slice(0, 6);

describe('weights of games', () => {
  it('half-life in games: the last counts whole, one a half-life earlier half; the staff’s own weight multiplies', () => {
    const three = [{ key: 'a' }, { key: 'b', weight: 0.5 }, { key: 'c', weight: null }];
    expect(weightsOf(three, 1)).toEqual(
      new Map([
        ['a', 0.25],
        ['b', 0.25],
        ['c', 1],
      ]),
    );
    expect(weightsOf(three, 2)!.get('a')).toBe(0.5);
    expect(weightsOf([{ key: 'a' }, { key: 'b', weight: 1 }], null)).toBeNull();
    expect(weightsOf([], 3)).toBeNull();
  });

  it('a game the staff leaves out counts nowhere', () => {
    expect(filmKind({ level: 'college', phase: 'regular', weight: 0 })).toBeNull();
    expect(filmKind({ level: 'college', phase: 'regular', weight: 0.5 })).toBe('eleven');
  });
});

describe('Kish’s effective size', () => {
  // Arithmetic: two whole and two half snaps, (1 + 1 + ½ + ½)² / (1 + 1 + ¼ + ¼) = 9 / 2.5.
  it('of 1, 1, ½, ½ is 3.6; of equal weights their number', () => {
    expect(kish(3, 2.5)).toBeCloseTo(3.6, 12);
    expect(kish(7 * 0.3, 7 * 0.09)).toBeCloseTo(7, 12);
    expect(kish(0, 0)).toBe(0);
  });
});

describe('a weighted rate', () => {
  it('with equal weights is the plain one, whatever the weight', () => {
    fc.assert(
      fc.property(fc.nat(40), fc.nat(40), fc.double({ min: 0.01, max: 1, noNaN: true }), (k, m, w) => {
        const at = (from: number, n: number): number[] => Array.from({ length: n }, (_, i) => from + i);
        const r = rateOf(new Float64Array(k + m).fill(w), at(0, k), at(k, m));
        const plain = wilson(k, k + m);
        for (const part of ['share', 'low', 'high'] as const)
          if (plain[part] === null) expect(r[part]).toBeNull();
          else expect(r[part]).toBeCloseTo(plain[part], 9);
        expect(r.worth).toBeCloseTo(k + m, 6);
      }),
      { seed: 5, numRuns: 200 },
    );
  });

  it('agrees with a plain second count, and its interval holds its share', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.boolean(), fc.constantFrom(1, 0.5, 0.25, 0.125)), {
          minLength: 1,
          maxLength: 60,
        }),
        (snaps) => {
          const weights = Float64Array.from(snaps, ([, w]) => w);
          const rows = snaps.map((_, i) => i);
          const r = rateOf(
            weights,
            rows.filter((i) => snaps[i]![0]),
            rows.filter((i) => !snaps[i]![0]),
          );
          const sum = snaps.reduce((s, [, w]) => s + w, 0);
          const share = snaps.reduce((s, [hit, w]) => s + (hit ? w : 0), 0) / sum;
          const n = sum ** 2 / snaps.reduce((s, [, w]) => s + w * w, 0);
          // Wilson's interval as the roots of (p − share)² = z² p (1 − p) / n.
          const z2 = 1.959963984540054 ** 2;
          const [a, b, c] = [1 + z2 / n, -(2 * share + z2 / n), share * share];
          const root = Math.sqrt(Math.max(0, b * b - 4 * a * c));
          expect([r.k, r.n]).toEqual([snaps.filter(([hit]) => hit).length, snaps.length]);
          expect(r.share).toBeCloseTo(share, 9);
          expect(r.worth).toBeCloseTo(n, 9);
          expect(r.low).toBeCloseTo((-b - root) / (2 * a), 6);
          expect(r.high).toBeCloseTo((-b + root) / (2 * a), 6);
          expect(r.low! <= share + 1e-9 && share - 1e-9 <= r.high!).toBe(true);
        },
      ),
      { seed: 6, numRuns: 300 },
    );
  });

  it('stands on every board: counts stay, shares follow the games', () => {
    const counted = games.flatMap((g) => countGame(g.snaps, COLLEGE));
    const weights = weightsOf(games, 2)!;
    const plain = buildColumns(counted);
    const columns = buildColumns(counted, undefined, weights);
    const team = games[0]!.home;
    const rows = select(columns, { offense: [team] });
    const [looks, before] = [looksOf(columns, rows), looksOf(plain, rows)];
    expect(looks.map((l) => [l.formation, l.calls.run.k, l.calls.run.n])).toEqual(
      before.map((l) => [l.formation, l.calls.run.k, l.calls.run.n]),
    );
    let moved = 0;
    for (const { calls } of looks) {
      let [run, called] = [0, 0];
      for (const i of calls.rows) {
        const { play, game } = counted[i]!.snap;
        if (play === null || !['run', 'pass', 'rpo'].includes(play)) continue;
        called += weights.get(game)!;
        if (play === 'run') run += weights.get(game)!;
      }
      if (called === 0) continue;
      expect(calls.run.share).toBeCloseTo(run / called, 9);
      expect(calls.run.worth).toBeLessThanOrEqual(calls.run.n + 1e-9);
      if (Math.abs(calls.run.share! - calls.run.k / calls.run.n) > 0.001) moved++;
    }
    expect(moved).toBeGreaterThan(2);
  });
});
