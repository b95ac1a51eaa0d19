import { mean } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import { COLLEGE } from '../field';
import { blankSnap } from '../snap';
import {
  buildColumns,
  countGame,
  groupBy,
  isTendency,
  measure,
  select,
  weightsOf,
  wilson,
  yardsOf,
  type CountedSnap,
} from './index';

const games = simulateSeason(DEMO_SEED, { tells: true, weeks: 4 });
const counted = games.flatMap((g) => countGame(g.snaps, COLLEGE));
const columns = buildColumns(counted);

/** The same by a plain loop over the snaps. */
function plainly(snaps: readonly CountedSnap[]) {
  const called = snaps.filter(({ snap }) => ['run', 'pass', 'rpo'].includes(snap.play ?? ''));
  const yards = snaps.flatMap(({ snap }) =>
    snap.result === 'incomplete' || snap.turnover === 'interception'
      ? [0]
      : snap.gain === null
        ? []
        : [snap.gain],
  );
  // Common practice: a run of 12, a pass of 16; a scramble began as a pass.
  const explosive = snaps.filter(
    ({ snap }) =>
      snap.result !== 'incomplete' &&
      snap.turnover !== 'interception' &&
      (snap.gain ?? -99) >= (snap.result === 'complete' || snap.result === 'scramble' ? 16 : 12),
  );
  const concepts: Record<string, number> = {};
  for (const { snap } of snaps)
    if (snap.concept !== null && snap.concept !== '-' && snap.concept !== '?')
      concepts[snap.concept] = (concepts[snap.concept] ?? 0) + 1;
  return {
    n: snaps.length,
    run: wilson(called.filter(({ snap }) => snap.play === 'run').length, called.length),
    explosive: wilson(explosive.length, yards.length),
    yards: yards.length === 0 ? null : mean(yards),
    top: Object.entries(concepts)
      .sort(([a, j], [b, k]) => k - j || (a < b ? -1 : 1))
      .slice(0, 3),
  };
}

describe('what a group is measured by', () => {
  it('agrees with a plain loop in every cell of three groupings', () => {
    let cells = 0;
    for (const by of [['offense'], ['offense', 'bucket'], ['personnel', 'formation', 'play']] as const)
      for (const { rows } of groupBy(columns, select(columns, {}), by)) {
        const m = measure(columns, rows);
        const p = plainly([...rows].map((i) => counted[i]!));
        expect([m.n, m.worth, m.run, m.explosive]).toEqual([p.n, p.n, p.run, p.explosive]);
        expect(m.topConcepts.map(({ concept, k }) => [concept, k])).toEqual(p.top);
        if (p.yards === null) expect(m.yards.mean).toBeNull();
        else expect(m.yards.mean).toBeCloseTo(p.yards, 9);
        cells++;
      }
    expect(cells).toBeGreaterThan(150);
  });

  it('parts sum to the whole', () => {
    const whole = measure(columns, select(columns, {}));
    const parts = groupBy(columns, select(columns, {}), ['offense'], true).map((g) =>
      measure(columns, g.rows),
    );
    const sum = (of: (m: typeof whole) => number): number => parts.reduce((s, m) => s + of(m), 0);
    expect([sum((m) => m.n), sum((m) => m.run.k), sum((m) => m.success.n), sum((m) => m.yards.n)]).toEqual([
      whole.n,
      whole.run.k,
      whole.success.n,
      whole.yards.n,
    ]);
  });

  // Handbook of numbers, section 2: an incompletion or an interception is an attempt of 0 yards, a sack its loss.
  it('an interception is an attempt of 0 yards, whatever was written beside it', () => {
    const of = (more: object) => yardsOf({ ...blankSnap('s', 'g', 1), ...more });
    expect(of({ result: 'incomplete', turnover: 'interception' })).toBe(0);
    expect(of({ result: 'incomplete' })).toBe(0);
    expect(of({ result: 'sack', gain: -7 })).toBe(-7);
    expect(of({ result: 'complete', gain: 12 })).toBe(12);
    expect(of({ result: 'gain' })).toBeNull();
  });

  it('weights move shares and means, not counts', () => {
    const weights = weightsOf(games, 1)!;
    const faded = buildColumns(counted, undefined, weights);
    const rows = select(faded, { offense: [games[0]!.home] });
    const [m, plain] = [measure(faded, rows), measure(columns, rows)];
    expect([m.n, m.run.k, m.run.n, m.topConcepts]).toEqual([
      plain.n,
      plain.run.k,
      plain.run.n,
      plain.topConcepts,
    ]);
    let [sum, all] = [0, 0];
    for (const i of rows) {
      const y = yardsOf(counted[i]!.snap);
      if (y === null) continue;
      sum += y * weights.get(counted[i]!.snap.game)!;
      all += weights.get(counted[i]!.snap.game)!;
    }
    expect(m.yards.mean).toBeCloseTo(sum / all, 9);
    expect(m.worth).toBeLessThan(m.n);
  });
});

describe('ranges of figures', () => {
  it('by a plain loop; where nothing says the figure it lies in no range', () => {
    const some = counted.map((c, i) =>
      i % 4 === 0 ? { ...c, snap: { ...c.snap, distance: null, clock: null, pointsFor: null } } : c,
    );
    const holes = buildColumns(some);
    for (const [from, to] of [
      [-2000, 2000],
      [7, 10],
      [0, 120],
    ] as const) {
      const plain = (value: (c: CountedSnap) => number | null): number[] =>
        some.flatMap((c, i) => {
          const v = value(c);
          return isTendency(c) && v !== null && v >= from && v <= to ? [i] : [];
        });
      expect([...select(holes, {}, { distance: { from, to } })]).toEqual(plain((c) => c.snap.distance));
      expect([...select(holes, {}, { clock: { from, to } })]).toEqual(plain((c) => c.snap.clock));
      expect([...select(holes, {}, { margin: { from, to } })]).toEqual(
        plain(({ snap: { pointsFor: a, pointsAgainst: b } }) => (a === null || b === null ? null : a - b)),
      );
    }
  });
});
