import { describe, expect, it } from 'vitest';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import { COLLEGE, BUCKET_ROWS } from '../field';
import { buildColumns, countGame } from '../read';
import { aPlay } from './plays.fixture';
import { numberSheet, playCall, playLook, suggestCalls, type SheetCall, NO_NOTES } from './sheet';
import { CATALOG, findSection, SECTIONS } from './sections';

const counted = simulateSeason(DEMO_SEED, { tells: true, weeks: 3 })
  .filter((g) => g.home === 'HER' || g.away === 'HER')
  .flatMap((g) => countGame(g.snaps, COLLEGE));
const own = buildColumns(counted);
const play = aPlay;

describe('suggestions', () => {
  const section = findSection('third-long')!;
  const list = suggestCalls(
    [play('a', 'draw'), play('b', 'stick', { kind: 'pass' }), play('c', 'a play never run')],
    own,
    'HER',
    section,
    () => true,
  );
  it('count own snaps of the concept in the situation', () => {
    for (const s of list) {
      const plain = counted.filter(
        (c) =>
          c.snap.offense === 'HER' &&
          c.snap.concept === s.play.concept &&
          c.snap.play === s.play.kind &&
          section.filter!.bucket!.includes(c.bucket!) &&
          c.snap.toGoal! >= 16 &&
          c.snap.result !== 'no_play',
      );
      expect(s.here.n).toBe(plain.length);
    }
  });
  it('rank by the lower bound and put plays without film last', () => {
    expect(list[list.length - 1]!.play.id).toBe('c');
    expect(list[list.length - 1]!.here).toMatchObject({ n: 0, low: null });
    expect(list[0]!.here.low ?? -1).toBeGreaterThanOrEqual(list[1]!.here.low ?? -1);
  });
});

it('numbers calls through the sheet, section by section, and leaves empty ones out', () => {
  const call = (id: string, section: string, order: number): SheetCall => ({
    id,
    section,
    order,
    play: play(id, 'power'),
    ...NO_NOTES,
  });
  const printed = numberSheet([call('x', 'red', 1), call('b', 'openers', 2), call('a', 'openers', 1)]);
  expect(printed.map((s) => [s.section.key, s.calls.map((c) => [c.id, c.number])])).toEqual([
    [
      'openers',
      [
        ['a', 1],
        ['b', 2],
      ],
    ],
    ['red', [['x', 3]]],
  ]);
});

it('names only buckets that exist, each section once, and reads a call as a coach would', () => {
  const keys = new Set<string>(BUCKET_ROWS.map((r) => r.key));
  for (const s of CATALOG) for (const b of s.filter?.bucket ?? []) expect(keys.has(b)).toBe(true);
  expect(new Set(CATALOG.map((s) => s.key)).size).toBe(CATALOG.length);
  expect(SECTIONS.length).toBe(12);
  expect([
    playLook(play('a', 'power', { motion: 'jet', motionBy: 'H' })),
    playCall(play('a', 'inside zone', { kind: 'rpo', conceptWeak: 'bubble', direction: 'R' })),
  ]).toEqual(['11 trips R, H jet', 'inside zone ~ bubble R']);
});
