/** The held-out check checked: its truth is what the simulator plays by, and where no call is better no sheet is. */
import { describe, expect, it } from 'vitest';
import { SECTIONS } from '../core/plan';
import { unknownState } from '../core/rules';
import { comparedLines, compareSheets, heldOut, sectionFor, SHEETS } from './held-out';

const state = (of: object) => ({ ...unknownState({}), unit: 'scrimmage' as const, ...of });

describe('sheets in games held out', () => {
  const worlds = [1, 2].map((seed) => heldOut(seed, 'as logged'));
  it('are played as the chances say: over many calls the share that succeeds is their mean', () => {
    const all = worlds.flatMap((world) => Object.values(world));
    const mean = (of: 'chance' | 'success'): number =>
      all.reduce((sum, one) => sum + one[of], 0) / all.length;
    // Eight sheets of four games of some sixty calls: three standard errors.
    expect(Math.abs(mean('chance') - mean('success'))).toBeLessThan(0.034);
    expect(mean('chance')).toBeGreaterThan(0.4);
  });
  it('the best that the truth allows is never behind, the same each time', () => {
    const { of, ahead } = compareSheets('as logged', worlds);
    for (const name of SHEETS)
      expect(of['best possible'].chance.mean).toBeGreaterThanOrEqual(of[name].chance.mean);
    expect(ahead['best possible'].chance.mean).toBeLessThan(0);
    expect(heldOut(2, 'as logged')).toEqual(worlds[1]);
  });
  it('where calls are alike none is ahead', () => {
    const alike = heldOut(1, 'all calls alike');
    for (const name of SHEETS) expect(alike[name].chance).toBeCloseTo(alike.drafted.chance, 9);
    expect(comparedLines(compareSheets('all calls alike', [alike, alike]))).toHaveLength(2 * SHEETS.length);
  });
  it('are opened at the section a coach would look up', () => {
    const at = (of: object, called = 99): string => sectionFor(state(of), called);
    expect(at({ down: 1, distance: 10, toGoal: 60 }, 3)).toBe('openers');
    expect(at({ down: 1, distance: 10, toGoal: 60 })).toBe('first');
    expect(at({ down: 3, distance: 8, toGoal: 60 })).toBe('third-long');
    expect(at({ down: 3, distance: 8, toGoal: 12 }, 3)).toBe('red');
    expect(at({ down: 2, distance: 2, toGoal: 2 })).toBe('goal');
    expect(at({ down: 1, distance: 10, toGoal: 95 })).toBe('backed');
    expect(sectionFor({ ...state({ toGoal: 3 }), unit: 'try' }, 40)).toBe('two-point');
    for (const down of [1, 2, 3, 4])
      for (const distance of [1, 5, 9, 15, 25])
        expect(SECTIONS.map((s) => s.key)).toContain(at({ down, distance, toGoal: 50 }));
  });
});
