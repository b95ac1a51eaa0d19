import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE } from '../field';
import { buildColumns, countGame } from '../read';
import { longThird, longThrows, USUAL_DECISIONS as usual, USUAL_PRINTS } from './index';
import { staffPrintsSchema } from './schema';

describe('third and very long', () => {
  it('handbook: from our 31 a forced throw fails to their 33 on average, a check-down of 7 and a punt of 38 to their 24', () => {
    const { forced, checked } = longThird(31, usual);
    // (12 × 44 + 78 × 31) / 90: ten in a hundred convert, twelve are intercepted at their 44, the rest punted to their 31.
    expect(forced).toBeCloseTo((12 * 44 + 78 * 31) / 90, 10);
    expect(Math.round(10 * forced) / 10).toBe(32.7);
    expect(checked).toBe(24);
    expect(Math.round(forced - checked)).toBe(9);
    expect(usual.forcedConverts - usual.checkDownConverts).toBe(7);
  });
  it('a punt or a throw into the end zone is a touchback; who always converts never fails', () => {
    expect(longThird(60, { ...usual, checkDown: 5 }).checked).toBe(20);
    expect(
      longThird(55, { ...usual, punt: 45, forcedConverts: 0, intercepted: 100, interceptedAt: 45 }).forced,
    ).toBe(20);
    expect(longThird(31, { ...usual, forcedConverts: 100, intercepted: 0 })).toEqual({
      forced: 31,
      checked: 24,
    });
  });
  it('the longer the check-down, the worse they begin, until the end zone; never beyond the field', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 5, max: 50 }),
        fc.integer({ min: -5, max: 19 }),
        fc.integer({ min: 0, max: 70 }),
        (own, gain, punt) => {
          const [a, b] = [gain, gain + 1].map((checkDown) => longThird(own, { ...usual, checkDown, punt }));
          for (const { forced, checked } of [a!, b!])
            for (const at of [forced, checked]) expect(at > 0 && at < 100).toBe(true);
          expect(b!.checked <= a!.checked || b!.checked === 20).toBe(true);
        },
      ),
    ));
  it('our own throws, by a plain loop: to the line to gain or short of it, those whose depth is typed', () => {
    const snaps = simulateSeason(DEMO_SEED, { tells: true, weeks: 6 }).flatMap((g) =>
      countGame(g.snaps, COLLEGE, DEFAULT_BOOK),
    );
    const deep = snaps.map((one, i) =>
      one.snap.play === 'pass' && i % 3 !== 0
        ? { ...one, snap: { ...one.snap, down: 3 as const, distance: 16, targetDepth: i % 2 === 0 ? 4 : 22 } }
        : one,
    );
    const columns = buildColumns(deep);
    const team = deep[0]!.snap.offense!;
    let [far, converted, picked, near] = [0, 0, 0, 0];
    deep.forEach(({ snap }, row) => {
      if (snap.offense !== team || snap.down !== 3 || (snap.distance ?? 0) < 15 || snap.play !== 'pass')
        return;
      if (snap.result === 'no_play' || typeof snap.targetDepth !== 'number') return;
      if (snap.targetDepth < snap.distance!) near++;
      else {
        far++;
        if (snap.turnover === 'interception') picked++;
        if (columns.success[row] === 1) converted++;
      }
    });
    const found = longThrows(deep, columns, team);
    expect([found.forced.k, found.intercepted.k, found.intercepted.n, found.short.n]).toEqual([
      converted,
      picked,
      far,
      near,
    ]);
    expect(far * near).toBeGreaterThan(0);
    const { forced, short } = longThrows(
      snaps.map((one) => ({ ...one, snap: { ...one.snap, targetDepth: null } })),
      columns,
      team,
    );
    expect([forced.n, short.n]).toEqual([0, 0]);
  });
  it('figures kept before these were asked for have the usual ones', () => {
    const { forcedConverts, intercepted, interceptedAt, checkDown, checkDownConverts, ...older } = usual;
    void [forcedConverts, intercepted, interceptedAt, checkDown, checkDownConverts];
    expect(staffPrintsSchema.parse({ ...USUAL_PRINTS, decisions: older }).decisions).toEqual(usual);
  });
});
