import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import { fullSnap, slimSnap, type SlimSnap } from './fields';
import type { Snap } from './snap';
import { packSnaps, unpackSnaps } from './packed';
import { decodePacked, encodePacked, joinFilm, splitFilm } from './packed-bytes';

const sent = (snaps: readonly SlimSnap[]): Snap[] =>
  unpackSnaps(decodePacked(encodePacked(packSnaps(snaps))));

describe('snaps by column', () => {
  it('come back as they were, a season in a fifth of the bytes or less', () => {
    // As a database gives them: no minus zero.
    const season = simulateSeason(DEMO_SEED, { tells: true }).map(
      (g) => JSON.parse(JSON.stringify(g.snaps.map(slimSnap))) as SlimSnap[],
    );
    for (const game of season) expect(sent(game)).toEqual(game.map(fullSnap));
    const bytes = season.reduce((sum, game) => sum + encodePacked(packSnaps(game)).length, 0);
    expect(bytes).toBeLessThan(JSON.stringify(season).length / 5);
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
  it('of more than 255 and more than 65 535 values take two bytes, or are refused', () => {
    const many = (n: number): SlimSnap[] =>
      Array.from(
        { length: n },
        (_, i) =>
          ({ snapId: `s${i}`, game: 'g', order: i, note: i % 2 ? `n${i}` : null }) as unknown as SlimSnap,
      );
    expect(sent(many(700))).toEqual(many(700).map(fullSnap));
    expect(() => encodePacked(packSnaps(many(140_000)))).toThrow(/more than two bytes hold/);
  });
  it('that are cut short or are no film are refused', () => {
    const bytes = encodePacked(
      packSnaps(simulateSeason(DEMO_SEED, { tells: true, weeks: 1 })[0]!.snaps.map(slimSnap)),
    );
    for (let cut = 0; cut < bytes.length; cut += 97)
      expect(() => decodePacked(bytes.slice(0, cut))).toThrow(RangeError);
    expect(() => decodePacked(new TextEncoder().encode('[{"info":1}]'))).toThrow('These bytes are no film.');
    const film = joinFilm([{ said: { key: 'a' }, packed: bytes }]);
    expect(() => splitFilm(film.slice(0, -1))).toThrow('This film is cut short.');
  });
  it('of several games come apart as they were joined, each with bytes of its own', () => {
    const parts = [
      { said: { key: 'ä', stamp: '1' }, packed: Uint8Array.of(1, 2, 3) },
      { said: { key: 'b', stamp: '2' }, packed: null },
      { said: { key: 'c', stamp: '3' }, packed: Uint8Array.of(9) },
    ];
    const apart = splitFilm(joinFilm(parts));
    expect(apart).toEqual(parts);
    expect(apart[0]!.packed!.buffer.byteLength).toBe(3);
    expect(splitFilm(joinFilm([]))).toEqual([]);
  });
});
