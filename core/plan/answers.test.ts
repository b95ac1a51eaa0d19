/** What a defense answers a structure with, and what a play has been set up with: against a plain loop. */
import { aPlay } from './plays.fixture';
import { describe, expect, it } from 'vitest';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE } from '../field';
import { answersIn, buildColumns, countGame, isTendency, wilson } from '../read';
import { answersTo, countLinks } from './answers';
import type { PlayCard, PlayLink } from './sheet';

const counted = simulateSeason(DEMO_SEED, { tells: true, weeks: 4 })
  .filter((g) => g.home === 'STG' || g.away === 'STG' || g.home === 'HER' || g.away === 'HER')
  .flatMap((g) => countGame(g.snaps, COLLEGE, DEFAULT_BOOK));
const columns = buildColumns(counted);
const play = (id: string, concept: string, more: Partial<PlayCard> = {}): PlayCard =>
  aPlay(id, concept, { kind: 'pass', ...more });
const link = (more: Partial<PlayLink>): PlayLink => ({
  kind: 'set-up',
  play: 'b',
  least: 2,
  trigger: null,
  ...more,
});

describe('answers', () => {
  it.each(['3x1', '2x2', '3x2'])(
    'to %s are counted as a person would, most used first, with n of the tagged',
    (structure) => {
      const plain = counted.filter(
        (c) =>
          isTendency(c) &&
          c.snap.defense === 'STG' &&
          c.look?.structureSnap === structure &&
          c.snap.front !== null,
      );
      const answers = answersTo(columns, 'STG', structure);
      expect(answers.length).toBeGreaterThan(0);
      for (const a of answers) {
        const k = plain.filter((c) => c.snap.front === a.front && c.snap.coverage === a.coverage).length;
        expect(a.rate).toEqual(wilson(k, plain.length));
        expect(a.rows.length).toBe(k);
      }
      const counts = answers.map((a) => a.rate.k);
      expect(counts).toEqual([...counts].sort((x, y) => y - x));
    },
  );
  it('to a structure nobody has shown are none, and no number is invented', () => {
    expect(answersTo(columns, 'STG', '5x0')).toEqual([]);
    expect(answersIn(columns, new Uint32Array(0))).toEqual([]);
  });
});

describe('set-ups', () => {
  const flat = play('b', 'curl-flat', { formation: null });
  const shown = counted.filter(
    (c) =>
      isTendency(c) && c.snap.offense === 'HER' && c.snap.concept === 'curl-flat' && c.snap.play === 'pass',
  ).length;
  const links = (...l: PlayLink[]) => countLinks(play('a', 'angle', { links: l }), [flat], columns, 'HER');
  it('are ready when they have been shown often enough, and carry the snaps', () => {
    expect(shown).toBeGreaterThan(2);
    expect(links(link({ least: shown })).map((l) => [l.rows.length, l.ready, l.play?.name])).toEqual([
      [shown, true, 'curl-flat'],
    ]);
    expect(links(link({ least: shown + 1 }))[0]!.ready).toBe(false);
  });
  it('from one formation count that formation only', () => {
    const fromTrips = countLinks(
      play('a', 'angle', { links: [link({})] }),
      [{ ...flat, formation: 'trips' }],
      columns,
      'HER',
    )[0]!;
    expect(fromTrips.rows.length).toBeLessThan(shown);
    expect([...fromTrips.rows].every((i) => counted[i]!.snap.formation === 'trips')).toBe(true);
  });
  it('to a play that is gone are counted as none, never lost', () => {
    expect(links(link({ play: 'gone' }))).toMatchObject([{ play: null, ready: false }]);
    expect(links(link({ kind: 'complement', play: 'gone' }))[0]!.ready).toBe(true);
  });
});
