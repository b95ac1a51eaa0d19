import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import { fullSnap, slimSnap, type SlimSnap } from './fields';
import type { Snap } from './snap';
import { packSnaps, unpackSnaps } from './packed';

const sent = (snaps: readonly SlimSnap[]): Snap[] =>
  unpackSnaps(JSON.parse(JSON.stringify(packSnaps(snaps))) as ReturnType<typeof packSnaps>);

describe('snaps by column', () => {
  it('come back as they were, a season in a quarter of the bytes or less', () => {
    // As a database gives them: no minus zero.
    const season = simulateSeason(DEMO_SEED, { tells: true }).map(
      (g) => JSON.parse(JSON.stringify(g.snaps.map(slimSnap))) as SlimSnap[],
    );
    for (const game of season) expect(sent(game)).toEqual(game.map(fullSnap));
    const bytes = (x: unknown): number => JSON.stringify(x).length;
    expect(bytes(season.map(packSnaps))).toBeLessThan(bytes(season) / 4);
    expect(sent([])).toEqual([]);
  });
  it('come back as they were, whatever their fields hold', () => {
    const value = fc.oneof(
      fc.integer({ min: -20, max: 20 }),
      fc.constantFrom('1', '-', '?', 'a', '', '0', true, false),
      fc.array(fc.constantFrom('1', 2, { who: 'x', yards: 5 }), { minLength: 1, maxLength: 3 }),
    );
    const snap = fc.dictionary(
      fc.constantFrom('down', 'play', 'note', 'tacklers', 'penalties', 'box'),
      value,
    );
    fc.assert(
      fc.property(fc.array(snap, { maxLength: 12 }), (rows) => {
        const snaps = rows.map((r, i) => ({
          ...r,
          snapId: `s${i}`,
          game: 'g',
          order: i,
        })) as unknown as SlimSnap[];
        expect(sent(snaps)).toEqual(snaps.map(fullSnap));
      }),
      { numRuns: 500 },
    );
  });
});
