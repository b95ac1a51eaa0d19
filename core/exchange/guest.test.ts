import { expect, it } from 'vitest';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import { DEFAULT_BOOK } from '../book/default-book';
import { drawSnap } from '../book';
import { COLLEGE } from '../field';
import { guestBook, guestSnap } from './guest';
import { PRIVATE } from './trade';

const [game] = simulateSeason(DEMO_SEED, { tells: true, weeks: 1 });
const snaps = game!.snaps
  .filter((s) => s.unit === 'scrimmage')
  .slice(0, 12)
  .map((s) => ({ ...s, note: 'ours alone', process: 'bad' as const, praised: ['7'] }));
const noted = {
  ...DEFAULT_BOOK,
  terms: DEFAULT_BOOK.terms.map((t) => ({ ...t, notes: `what we think of ${t.word}` })),
};

it('a guest’s snap has no note, grade or judgment of the staff, and is drawn as it was', () => {
  const book = guestBook(noted, snaps);
  for (const snap of snaps) {
    const bare = guestSnap(snap);
    for (const field of PRIVATE)
      expect(bare[field] === null || (bare[field] as unknown[]).length === 0).toBe(true);
    expect(JSON.stringify(bare)).not.toContain('ours alone');
    expect(drawSnap(book, bare, snap.hash, COLLEGE, {}).drawing).toEqual(
      drawSnap(noted, snap, snap.hash, COLLEGE, {}).drawing,
    );
  }
  expect(book.terms.length).toBeGreaterThan(5);
  expect(book.terms.length).toBeLessThan(DEFAULT_BOOK.terms.length / 3);
  expect(JSON.stringify(book)).not.toContain('what we think of');
});
