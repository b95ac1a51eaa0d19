import { describe, expect, it } from 'vitest';
import { DEMO_SEED, PROGRAM, simulateSeason } from '../../demo/league';
import { COLLEGE } from '../field';
import { buildColumns, countGame, type Columns } from '../read';
import type { Snap } from '../snap';
import { SNAP_AUDITS } from './audits';
import { aPlay } from './plays.fixture';
import { NO_NOTES, type SheetCall } from './sheet';
import { snapAudits } from './snap-audits';

const games = simulateSeason(DEMO_SEED, { tells: true, weeks: 3 }).filter((g) =>
  [g.home, g.away].includes(PROGRAM),
);
/** Our snaps, one after the other, with fields of their own. */
function film(fields: readonly Partial<Snap>[]): Columns {
  let at = 0;
  return buildColumns(
    games.flatMap((g) =>
      countGame(
        g.snaps.map((snap) =>
          snap.offense === PROGRAM &&
          snap.unit === 'scrimmage' &&
          snap.result !== 'no_play' &&
          snap.result !== 'kneel' &&
          at < fields.length
            ? { ...snap, ...fields[at++] }
            : snap,
        ),
        COLLEGE,
      ),
    ),
  );
}
const call = (id: string, motion: string | null, tags: readonly string[] = []): SheetCall => ({
  id,
  section: 'first',
  order: 0,
  play: aPlay(`p ${id}`, 'sweep', { motion }),
  ...NO_NOTES,
  tags,
});
const jets = (seconds: readonly number[]): Partial<Snap>[] =>
  seconds.map((motionToSnap) => ({ motion: 'zip', motionBy: 'H', motionToSnap }));

describe('a motion that is always timed alike', () => {
  const calls = [call('a', 'zip'), call('b', null), call('c', 'zip')];
  it('is said with its calls, its snaps and their times; spread out, or too few, it is not', () => {
    const even = [0.8, 0.9, 0.9, 1, 1, 1, 1, 1.1, 1.1];
    expect(snapAudits(calls, film(jets(even)), PROGRAM)).toMatchObject([
      {
        code: SNAP_AUDITS[0],
        calls: ['a', 'c'],
        facts: { n: 9 },
        sentence:
          'Motion “zip”: eight in ten of 9 snaps on our film came 0.9 to 1.1 s after it began. A rush can go with it; another time now and then would hide the snap.',
      },
    ]);
    expect(snapAudits(calls, film(jets([0.5, 0.8, 1, 1.2, 1.4, 1.6, 1.8, 2, 2.2])), PROGRAM)).toEqual([]);
    expect(snapAudits(calls, film(jets(even.slice(0, 7))), PROGRAM)).toEqual([]);
    expect(snapAudits([call('b', null)], film(jets(even)), PROGRAM)).toEqual([]);
  });
});

describe('one cadence for all', () => {
  const snaps = (words: readonly string[]) => film(words.map((cadence) => ({ cadence }) as Partial<Snap>));
  const first = [...Array.from({ length: 9 }, () => 'first'), 'long'];
  it('is said with its count; a call that says another answers it, and so does a film that mixes them', () => {
    expect(snapAudits([call('a', null)], snaps(first), PROGRAM)).toMatchObject([
      {
        code: SNAP_AUDITS[1],
        facts: { k: 9, of: 10 },
        sentence:
          '9 of 10 snaps on our film came on the first sound, and no call of the sheet says another (second, long, silent, hard count).',
      },
    ]);
    expect(snapAudits([call('a', null, ['Hard count'])], snaps(first), PROGRAM)).toEqual([]);
    expect(snapAudits([call('a', null, ['tempo', 'first'])], snaps(first), PROGRAM)).toHaveLength(1);
    expect(snapAudits([call('a', null)], snaps(first.map((c, i) => (i % 2 ? 'long' : c))), PROGRAM)).toEqual(
      [],
    );
    expect(snapAudits([call('a', null)], snaps(first.slice(0, 7)), PROGRAM)).toEqual([]);
    expect(snapAudits([], snaps(first), PROGRAM)).toEqual([]);
    // A snap that never came has no cadence to go with.
    expect(snapAudits([call('a', null)], snaps(first.map(() => 'no_play')), PROGRAM)).toEqual([]);
  });
});
