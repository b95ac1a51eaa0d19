/** The door of the worker: a message in, the looks of its film out. */
import { afterEach, describe, expect, it, vi } from 'vitest';
import { DEFAULT_BOOK } from '../core/book/default-book';
import { COLLEGE } from '../core/field';
import { DEFAULT_RULES } from '../core/read';
import { slimSnap } from '../core/snap/fields';
import { packSnaps } from '../core/snap/packed';
import { encodePacked } from '../core/snap/packed-bytes';
import { DEMO_SEED, simulateSeason } from '../demo/league';

const game = {
  packed: encodePacked(
    packSnaps(simulateSeason(DEMO_SEED, { tells: true, weeks: 1 })[0]!.snaps.map(slimSnap)),
  ),
  profile: COLLEGE,
};
const film = (games: readonly (typeof game)[]) =>
  structuredClone({ book: DEFAULT_BOOK, rules: DEFAULT_RULES, games });

describe('the worker’s door', () => {
  afterEach(() => vi.unstubAllGlobals());
  it('answers each film with its looks, under the number it was asked by', async () => {
    const said: { id: number; looks: { keys: readonly string[] } }[] = [];
    const self = {
      onmessage: (_: { data: unknown }): void => undefined,
      postMessage: (m: never) => void said.push(m),
    };
    vi.stubGlobal('self', self);
    await import('./looks');
    self.onmessage({ data: { id: 7, film: film([game]) } });
    self.onmessage({ data: { id: 8, film: film([]) } });
    expect(said.map((s) => [s.id, s.looks.keys.length > 50])).toEqual([
      [7, true],
      [8, false],
    ]);
  });
});
