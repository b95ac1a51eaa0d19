/** Drives, series, expected points and pictures with one play: against published values and plain second counts. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE } from '../field';
import {
  buildColumns,
  CARTER_MACHOL_1971,
  countGame,
  dilution,
  efficiencyOf,
  efficiencyReel,
  expectedPoints,
  figureN,
  figureText,
  meanOf,
  onePlayPictures,
  onePlayReel,
  select,
  type Mean,
  type Rate,
} from './index';

const games = simulateSeason(DEMO_SEED, { tells: true, weeks: 5 });
const team = games[0]!.home;
const theirs = games.filter((g) => g.home === team || g.away === team);
const snaps = theirs.flatMap((g) => countGame(g.snaps, COLLEGE, DEFAULT_BOOK));
const columns = buildColumns(snaps);
const rows = select(columns, { offense: [team] });
const figures = new Map(efficiencyOf({ snaps, rows, team, side: 'offense' }).map((f) => [f.key, f]));

describe('expected points', () => {
  // Carter & Machol 1971, values from memory.
  it('are the published ones in the middle of each band, straight between, and none outside', () => {
    expect([95, 75, 55, 35, 15, 5].map(expectedPoints)).toEqual([-1.245, 0.236, 1.538, 3.167, 4.572, 6.041]);
    expect(expectedPoints(80)).toBeCloseTo((0.236 - 0.637) / 2, 10);
    expect(expectedPoints(4)).toBeNull();
    expect(expectedPoints(96)).toBeNull();
  });
  it('fall with every yard away from the goal', () => {
    for (let yards = 6; yards <= 95; yards++)
      expect(expectedPoints(yards)!).toBeLessThan(expectedPoints(yards - 1)!);
    expect(CARTER_MACHOL_1971).toHaveLength(10);
  });
});

describe('drives and series', () => {
  const rate = (key: string): Rate => figures.get(key)!.value as Rate;
  const mean = (key: string): Mean => figures.get(key)!.value as Mean;
  // A second way: game by game, over the snaps as they are logged and scored, with no drive of core.
  const plain = { points: 0, touchdowns: 0, goals: 0 };
  for (const { snaps: logged } of theirs) {
    let ours = false;
    for (const s of [...logged].sort((a, b) => a.order - b.order)) {
      if (s.unit === 'scrimmage' || s.unit === 'field_goal') ours = s.offense === team;
      if (!ours || s.scoredBy !== team) continue;
      if (s.score === 'touchdown' && s.unit === 'scrimmage') plain.touchdowns++;
      if (s.score === 'field_goal') plain.goals++;
      plain.points +=
        s.score === 'touchdown'
          ? 6
          : s.score === 'field_goal'
            ? 3
            : s.score === 'try_1'
              ? 1
              : s.score === 'try_2'
                ? 2
                : 0;
    }
  }
  it('scored as often as touchdowns and field goals stand in the game', () => {
    expect(rate('scored').k).toBe(plain.touchdowns + plain.goals);
  });
  it('points a drive: all that was scored on drives, but for a last drive whose score nobody can see', () => {
    const { n, mean: each } = mean('points');
    expect(n * each).toBeLessThanOrEqual(plain.points);
    expect(n * each).toBeGreaterThanOrEqual(plain.points - 8 * theirs.length);
    expect(each).toBeGreaterThan(0.5);
    expect(each).toBeLessThan(5);
  });
  it('series: each play of the side stands in one; made ones are at most all', () => {
    const { k, n } = rate('series');
    expect(k).toBeLessThanOrEqual(n);
    // A second way: new series of the same possession, and touchdowns.
    const seen = new Map<string, { possession: number; touchdown: boolean }>();
    for (const row of rows) {
      const { snap, series, possession } = snaps[row]!;
      if (snap.unit === 'try' || possession === 0) continue;
      const before = seen.get(`${snap.game} ${series}`);
      seen.set(`${snap.game} ${series}`, {
        possession,
        touchdown: (before?.touchdown ?? false) || (snap.score === 'touchdown' && snap.scoredBy === team),
      });
    }
    const all = [...seen];
    const made = all.filter(
      ([key, s], i) =>
        s.touchdown ||
        (all[i + 1]?.[0].split(' ')[0] === key.split(' ')[0] && all[i + 1]![1].possession === s.possession),
    ).length;
    expect(Math.abs(made - k)).toBeLessThanOrEqual(theirs.length);
    expect(n).toBeLessThanOrEqual(all.length);
  });
  it('inside the twenty: touchdowns are some of those drives, and every figure opens its snaps', () => {
    expect(rate('red').n).toBeGreaterThan(3);
    for (const { key, rows: behind } of figures.values()) {
      expect(new Set(behind).size, key).toBe(behind.length);
      expect(efficiencyReel(`e/${key}`, { snaps, rows, team, side: 'offense' }).rows).toEqual(behind);
      for (const row of behind) expect(snaps[row]!.snap.offense, key).toBe(team);
    }
  });
  it('points added: what one team adds, the other gives up; about nothing in a league of equals', () => {
    const { mean: added, n } = mean('added');
    expect(n).toBeGreaterThan(30);
    expect(Math.abs(added)).toBeLessThan(1.5);
    const against = efficiencyOf({
      snaps,
      rows: select(columns, { defense: [team] }),
      team,
      side: 'defense',
    }).find((f) => f.key === 'added')!.value as Mean;
    expect(Math.abs(against.mean)).toBeLessThan(1.5);
  });
  it('of no film: every figure is of nothing, and none is a zero', () => {
    for (const { value } of efficiencyOf({ snaps: [], rows: new Uint32Array(0), team, side: 'offense' }))
      expect(value.n).toBe(0);
  });
  it('a mean is written with its bounds, a minus as one', () => {
    expect(figureText({ mean: -0.44, n: 4, low: -1.2, high: 0.3 })).toBe('−0.4 (−1.2 to 0.3)');
    // Of three drives the bounds would promise −9 to 14 points.
    expect(figureText(meanOf([0, 0, 8])!)).toBe('2.7');
    expect([3, 4].map((n) => figureN({ mean: 2, n, low: 1, high: 3 }))).toEqual(['n 3, few', 'n 4']);
    expect(figureText(meanOf([2])!)).toBe('2.0');
    expect(figureText({ mean: -0.04, n: 1, low: null, high: null })).toBe('0.0');
  });
});

describe('one picture, one play', () => {
  it('dilution: as the handbook says, in whole numbers', () => {
    expect(dilution(9, 10, 70)).toBe(3);
    expect(dilution(21, 30, 70)).toBe(0);
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 60 }),
        fc.nat(60),
        fc.integer({ min: 1, max: 99 }),
        (n, k, percent) => {
          fc.pre(k <= n);
          const add = dilution(k, n, percent);
          expect(100 * k <= percent * (n + add)).toBe(true);
          if (add > 0) expect(100 * k <= percent * (n + add - 1)).toBe(false);
        },
      ),
    );
  });
  it('a plain count finds the same pictures, plays and snaps', () => {
    const tally = new Map<string, Map<string, number>>();
    for (const row of rows) {
      const { snap, look } = snaps[row]!;
      if (!snap.concept || snap.concept === '-' || snap.concept === '?') continue;
      const key = [snap.personnel, snap.formation, look?.backTo, snap.motion]
        .map((w) => encodeURIComponent(w ?? ''))
        .join('~');
      const calls = tally.get(key) ?? new Map<string, number>();
      calls.set(snap.concept, (calls.get(snap.concept) ?? 0) + 1);
      tally.set(key, calls);
    }
    const expected = [...tally].flatMap(([key, calls]) => {
      const n = [...calls.values()].reduce((a, b) => a + b, 0);
      const k = Math.max(...calls.values());
      return n >= 8 && k / n > 0.6 ? [`${key} ${k}/${n}`] : [];
    });
    const found = onePlayPictures(columns, rows, 60);
    expect(found.map((p) => `${p.key} ${p.rate.k}/${p.rate.n}`).sort()).toEqual(expected.sort());
    for (const p of onePlayPictures(columns, rows, 40).slice(0, 6)) {
      expect(onePlayReel(`o/${p.key}`, columns, rows).rows).toEqual(p.rows);
      expect(onePlayReel(`o/${p.key}/all`, columns, rows).rows).toEqual(p.all);
      expect(p.rate.k + p.others.reduce((n, o) => n + o.n, 0)).toBe(p.rate.n);
    }
  });
});
