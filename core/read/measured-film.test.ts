/** Looks measured in a worker are those that are measured here. */
import { describe, expect, it } from 'vitest';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import * as facts from '../book/facts';
import { DEFAULT_BOOK } from '../book/default-book';
import type { Book } from '../book/term';
import { COLLEGE, HIGH_SCHOOL } from '../field';
import { slimSnap } from '../snap/fields';
import { packSnaps } from '../snap/packed';
import { encodePacked } from '../snap/packed-bytes';
import { countGame, DEFAULT_RULES, measureFilm, takeMeasured, type StaffRules } from './index';

const games = simulateSeason(DEMO_SEED, { tells: true, weeks: 1 }).map((g, i) => ({
  packed: encodePacked(packSnaps(g.snaps.map(slimSnap))),
  // Two fields: the hash marks are part of a look.
  profile: i % 2 ? COLLEGE : HIGH_SCHOOL,
  snaps: g.snaps,
}));
/** A book of its own knows nothing of what others measured. */
const copy = (): Book => structuredClone(DEFAULT_BOOK);
/** As a message arrives on the other side. */
const sent = <T>(message: T): T => structuredClone(message);

describe.each([
  ['every tag', DEFAULT_RULES],
  ['tags in doubt left out', { ...DEFAULT_RULES, doubts: 'none' } satisfies StaffRules],
])('looks of a film, %s', (_, rules) => {
  it('say what those that are measured here say, and leave nothing to measure', () => {
    const film = { book: copy(), rules, games: games.map(({ packed, profile }) => ({ packed, profile })) };
    const looks = sent(measureFilm(sent(film)));
    const here = copy();
    takeMeasured(here, rules, looks);
    const before = facts.measuredLooks(here, rules.look).size;
    expect(before).toBe(looks.keys.length);
    expect(before).toBeGreaterThan(300);
    const alone = copy();
    for (const { snaps, profile } of games) {
      const taken = countGame(snaps, profile, here, rules).map((c) => c.look);
      expect(taken).toEqual(countGame(snaps, profile, alone, rules).map((c) => c.look));
    }
    expect(facts.measuredLooks(here, rules.look).size).toBe(before);
  });
});
