import { describe, expect, it } from 'vitest';
import { COLLEGE, type LevelProfile } from '../field';
import { blankSnap, type Snap } from '../snap';
import {
  carryInto,
  checkGame,
  describeState,
  effectiveSnap,
  explain,
  nextState,
  stepSentence,
  STEP_CODES,
  stripRows,
  unknownState,
  walkGame,
} from './index';

let order = 0;
const snap = (more: Partial<Snap>): Snap => ({ ...blankSnap(`s${++order}`, 'g', order), ...more });
const walk = (...snaps: Partial<Snap>[]) => {
  order = 0;
  return walkGame(snaps.map(snap), COLLEGE);
};
const kickoff: Partial<Snap> = {
  offense: 'A',
  defense: 'B',
  unit: 'kickoff',
  quarter: 1,
  toGoal: 65,
  result: 'kick',
  kickYards: 65,
  kickEnd: 'touchback',
};

describe('what is carried', () => {
  it('is everything the analyst leaves blank', () => {
    const rows = walk(kickoff, { result: 'gain', gain: 4 }, { result: 'complete', gain: 7 }, {});
    expect(rows.map((r) => describeState(r.before))).toEqual([
      'kickoff, own 35',
      '1st & 10, own 25',
      '2nd & 6, own 29',
      '1st & 10, own 36',
    ]);
    expect(rows.map((r) => r.before.offense)).toEqual(['A', 'B', 'B', 'B']);
    expect(rows.map((r) => r.before.quarter)).toEqual([1, 1, 1, 1]);
    expect(effectiveSnap(rows[2]!)).toMatchObject({
      offense: 'B',
      defense: 'A',
      down: 2,
      distance: 6,
      toGoal: 71,
      unit: 'scrimmage',
      pointsFor: 0,
    });
  });

  it('is not changed by a change of ends: the hash stays', () => {
    const rows = walk(
      kickoff,
      { result: 'gain', gain: 4, deadHash: 'L', deadToGoal: 71, deadPossession: 'B' },
      { quarter: 2, result: 'gain', gain: 1 },
    );
    expect(rows[2]!.before).toMatchObject({ quarter: 2, hash: 'L', down: 2, distance: 6 });
    expect(rows[2]!.anchored).toBe(false);
  });

  it('turns with the ball: the hash is mirrored on downs', () => {
    const rows = walk(
      {
        offense: 'A',
        defense: 'B',
        down: 4,
        distance: 5,
        toGoal: 40,
        quarter: 1,
        hash: 'L',
        result: 'incomplete',
      },
      {},
    );
    expect(rows[1]!.before).toMatchObject({ offense: 'B', toGoal: 60, hash: 'R' });
  });

  it('stops at half-time: nothing but the score goes over', () => {
    const rows = walk(
      {
        offense: 'A',
        defense: 'B',
        pointsFor: 0,
        pointsAgainst: 0,
        down: 1,
        distance: 10,
        toGoal: 20,
        quarter: 2,
        result: 'gain',
        gain: 20,
        score: 'touchdown',
        scoredBy: 'A',
      },
      { quarter: 3, offense: 'B', defense: 'A', unit: 'kickoff', toGoal: 65 },
    );
    expect(rows[1]).toMatchObject({ anchored: true, pointsFor: 0, pointsAgainst: 6 });
    expect(rows[1]!.expected.down).toBeNull();
    expect(
      checkGame(
        rows.map((r) => r.snap),
        COLLEGE,
      ),
    ).toEqual([]);
  });

  it('stops with each overtime series', () => {
    const before = {
      ...unknownState({ A: 0, B: 0 }),
      offense: 'A',
      defense: 'B',
      unit: 'scrimmage' as const,
      quarter: 5,
      down: 4,
      distance: 8,
      toGoal: 23,
    };
    const missed = nextState(before, { result: 'incomplete' }, COLLEGE);
    expect(missed.unknown).toEqual(['overtime']);
    expect(missed.state).toMatchObject({ offense: null, down: null, score: { A: 0, B: 0 } });
    const scored = nextState(
      { ...before, down: 1 },
      { result: 'gain', gain: 23, score: 'touchdown', scoredBy: 'A' },
      COLLEGE,
    );
    expect(scored.state).toMatchObject({ unit: 'try', score: { A: 6, B: 0 } });
    expect(carryInto({ state: scored.state, quarter: 5 }, 6).anchored).toBe(true);
  });

  it('follows the staff’s own level', () => {
    const own: LevelProfile = { ...COLLEGE, touchbackKickoffToGoal: 70 };
    order = 0;
    expect(walkGame([snap(kickoff), snap({})], own)[1]!.before.toGoal).toBe(70);
  });
});

describe('possession and series', () => {
  const drive = () =>
    walk(
      kickoff,
      { result: 'gain', gain: 4 },
      { result: 'complete', gain: 9 },
      { result: 'incomplete' },
      { result: 'incomplete' },
      { result: 'incomplete' },
      { unit: 'punt', result: 'kick', kickYards: 40, kickEnd: 'fair_catch' },
      { result: 'gain', gain: 3 },
    );

  it('are counted from the order of the game', () => {
    const rows = drive();
    expect(rows.map((r) => r.possession)).toEqual([0, 1, 1, 1, 1, 1, 1, 2]);
    expect(rows.map((r) => r.series)).toEqual([0, 1, 1, 2, 2, 2, 2, 3]);
    expect(rows.map((r) => r.firstOfPossession)).toEqual([
      false,
      true,
      false,
      false,
      false,
      false,
      false,
      true,
    ]);
    expect(rows.map((r) => r.snapInPossession)).toEqual([0, 1, 2, 3, 4, 5, 6, 1]);
  });

  it('give buckets, the first play of a drive first', () => {
    expect(drive().map((r) => r.bucket)).toEqual([
      null,
      'fresh',
      '2-medium',
      '1-10',
      '2-long',
      '3-long',
      '4-long',
      'fresh',
    ]);
  });

  it('begin again after a muffed punt the kickers keep', () => {
    const rows = walk(
      {
        offense: 'A',
        defense: 'B',
        quarter: 1,
        down: 4,
        distance: 9,
        toGoal: 60,
        unit: 'punt',
        result: 'kick',
        kickYards: 35,
        kickEnd: 'kept_by_kickers',
      },
      {},
    );
    expect(rows[1]).toMatchObject({ possession: 2, firstOfPossession: true });
    expect(rows[1]!.before).toMatchObject({ offense: 'A', down: 1, toGoal: 25 });
  });
});

it('knows what came just before', () => {
  const rows = walk(
    { offense: 'A', defense: 'B', quarter: 1, down: 1, distance: 10, toGoal: 75, result: 'gain', gain: 14 },
    { result: 'sack', gain: -6 },
    {
      result: 'no_play',
      penalties: [{ side: 'o', name: 'holding', yards: 10, from: 'prev', outcome: 'accepted', extra: '' }],
    },
    { result: 'incomplete', turnover: 'interception', turnoverYards: 10, returnYards: 0 },
    { result: 'gain', gain: 2 },
    { quarter: 2, result: 'gain', gain: 2 },
  );
  expect(rows.map((r) => r.afterEvent)).toEqual([
    'nothing',
    'explosive',
    'loss',
    'penalty',
    'turnover',
    'quarter',
  ]);
});

describe('the rule in words', () => {
  it('names each step', () => {
    const s = {
      ...unknownState({ A: 0, B: 0 }),
      offense: 'A',
      defense: 'B',
      unit: 'scrimmage' as const,
      quarter: 1,
      down: 3,
      distance: 4,
      toGoal: 65,
    };
    const words = (play: Parameters<typeof nextState>[1]) => explain(nextState(s, play, COLLEGE).steps);
    expect(words({ result: 'gain', gain: 6 })).toBe('gain of 6; reaches the line to gain: first down');
    expect(words({ result: 'gain', gain: 0 })).toBe('no gain');
    expect(
      words({
        result: 'no_play',
        penalties: [{ side: 'd', name: 'offside', yards: 5, from: 'prev', outcome: 'accepted', extra: '' }],
      }),
    ).toBe('offside on the defense: 5 yards; reaches the line to gain: first down');
    expect(
      words({
        result: 'no_play',
        penalties: [
          { side: 'o', name: 'false start', yards: 5, from: 'prev', outcome: 'accepted', extra: '' },
        ],
      }),
    ).toBe('false start on the offense: 5 yards; the down is played again');
    expect(words({ unit: 'punt', result: 'kick', kickYards: 40, kickEnd: 'returned', returnYards: 7 })).toBe(
      'kick of 40, returned 7; new possession, B',
    );
    expect(words({})).toBe('cannot know: no result was logged');
    expect(words({ result: 'gain' })).toBe('cannot know: no gain was logged');
  });

  it('has a sentence for every step there is', () => {
    for (const code of STEP_CODES) {
      const sentence = stepSentence({
        code,
        facts: {
          yards: 3,
          name: 'holding',
          side: 'offense',
          downfield: 5,
          returned: 2,
          own: 25,
          by: 'A',
          what: 'touchdown',
          points: 6,
          unit: 'try',
          team: 'A',
          why: 'no_gain',
          rule: 'as_punt',
        },
      });
      expect(sentence.length).toBeGreaterThan(3);
      expect(sentence).not.toContain('undefined');
    }
  });
});

describe('the field strip', () => {
  it('is a row a possession with blocks where the snaps happened', () => {
    const rows = walk(
      kickoff,
      { result: 'gain', gain: 5, play: 'run' },
      { result: 'complete', gain: 70, play: 'pass', score: 'touchdown', scoredBy: 'B' },
      { unit: 'try', result: 'kick', kickEnd: 'good', score: 'try_1', scoredBy: 'B' },
      { unit: 'kickoff', result: 'kick', kickYards: 65, kickEnd: 'touchback' },
      { result: 'incomplete', play: 'pass', turnover: 'interception', turnoverYards: 20, returnYards: 0 },
    );
    const strip = stripRows(rows);
    expect(strip.map((r) => [r.offense, r.blocks.length, r.points])).toEqual([
      ['B', 2, 7],
      ['A', 1, 0],
    ]);
    expect(strip[0]!.blocks.map((b) => [b.from, b.to, b.kind])).toEqual([
      [25, 30, 'run'],
      [30, 100, 'pass'],
    ]);
    expect(strip[1]!.blocks[0]).toMatchObject({ turnover: true, kind: 'incomplete' });
  });

  it('leaves out what it cannot place', () => {
    expect(stripRows(walk({ offense: 'A', defense: 'B', result: 'gain', gain: 3 }))[0]!.blocks).toEqual([]);
    expect(stripRows([])).toEqual([]);
  });
});
