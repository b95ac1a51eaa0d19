import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../../demo/random';
import { makeMistake, MISTAKES } from '../../demo/mistakes';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import { COLLEGE, LEVEL_PROFILES, LEVEL_KEYS, mirrorHash, type Hash } from '../field';
import { blankSnap, type Snap } from '../snap';
import { checkGame, findingWords, nextState, unknownState, walkGame, walkOff, type GameState } from './index';

const season = simulateSeason(DEMO_SEED, { tells: true, weeks: 4 });
const games = season.map((g) => g.snaps);

const state = fc
  .record({
    down: fc.integer({ min: 1, max: 4 }),
    distance: fc.integer({ min: 1, max: 25 }),
    toGoal: fc.integer({ min: 1, max: 99 }),
    hash: fc.constantFrom<Hash | null>('L', 'M', 'R', null),
  })
  .map((s): GameState => ({
    ...unknownState({ A: 0, B: 0 }),
    offense: 'A',
    defense: 'B',
    unit: 'scrimmage',
    quarter: 1,
    ...s,
    distance: Math.min(s.distance, s.toGoal),
  }));

describe('yards are conserved', () => {
  it('a gain without a foul moves the ball by the gain and nothing else', () => {
    fc.assert(
      fc.property(state, fc.integer({ min: -20, max: 60 }), (s, gain) => {
        const next = nextState(s, { result: 'gain', gain }, COLLEGE).state;
        if (s.toGoal! - gain <= 0 || s.toGoal! - gain >= 100) {
          expect(next.toGoal).toBeNull();
          return;
        }
        expect(next.offense === 'A' ? next.toGoal : 100 - next.toGoal!).toBe(s.toGoal! - gain);
        // The line to gain stays where it was until it is reached.
        if (next.offense === 'A' && next.down === s.down! + 1)
          expect(next.toGoal! - next.distance!).toBe(s.toGoal! - s.distance!);
        expect(next.distance!).toBeLessThanOrEqual(next.toGoal!);
      }),
      { numRuns: 800, seed: 1 },
    );
  });
  it('a kick and its return add up', () => {
    fc.assert(
      fc.property(
        state,
        fc.integer({ min: 20, max: 70 }),
        fc.integer({ min: -5, max: 60 }),
        (s, kickYards, returnYards) => {
          const next = nextState(
            s,
            { unit: 'punt', result: 'kick', kickYards, returnYards, kickEnd: 'returned' },
            COLLEGE,
          ).state;
          const dead = 100 - s.toGoal! + kickYards - returnYards;
          if (dead > 0 && dead < 100 && !(kickYards >= s.toGoal! && returnYards === 0))
            expect(next).toMatchObject({ offense: 'B', toGoal: dead, down: 1 });
        },
      ),
      { numRuns: 500, seed: 2 },
    );
  });
  it('a walk-off never reaches a goal line and never passes half the distance', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 99 }),
        fc.integer({ min: 0, max: 30 }),
        fc.boolean(),
        (toGoal, yards, forward) => {
          const walked = walkOff(toGoal, yards, forward).toGoal;
          expect(walked).toBeGreaterThanOrEqual(1);
          expect(walked).toBeLessThanOrEqual(99);
          expect(Math.abs(walked - toGoal) * 2).toBeLessThanOrEqual(
            Math.max(2 * Math.min(yards, forward ? toGoal : 100 - toGoal), 0),
          );
        },
      ),
      { numRuns: 500, seed: 4 },
    );
  });
});

it('mirroring the field mirrors the hash and changes nothing else', () => {
  const mirrored = (s: Snap): Snap => ({
    ...s,
    hash: mirrorHash(s.hash),
    deadHash: mirrorHash(s.deadHash),
    direction: s.direction === 'L' ? 'R' : s.direction === 'R' ? 'L' : s.direction,
  });
  for (const snaps of games.slice(0, 4)) {
    const a = walkGame(snaps, COLLEGE);
    const b = walkGame(snaps.map(mirrored), COLLEGE);
    a.forEach((row, i) => {
      const other = b[i]!;
      expect({ ...other.after.state, hash: mirrorHash(other.after.state.hash) }).toEqual(row.after.state);
      expect([other.bucket, other.zone, other.possession, other.series, other.pointsFor]).toEqual([
        row.bucket,
        row.zone,
        row.possession,
        row.series,
        row.pointsFor,
      ]);
    });
  }
});

it('possession never jumps without a cause', () => {
  fc.assert(
    fc.property(
      state,
      fc.record({
        result: fc.constantFrom('gain', 'complete', 'incomplete', 'sack', 'kneel', 'spike', 'scramble'),
        gain: fc.integer({ min: -10, max: 20 }),
      }),
      (s, play) => {
        const next = nextState(s, play as { result: 'gain'; gain: number }, COLLEGE);
        if (next.state.offense === 'B') expect(next.steps.map((x) => x.code)).toContain('turnover-on-downs');
      },
    ),
    { numRuns: 800, seed: 6 },
  );
});

it('never throws, whatever is blank, at any level', () => {
  const maybe = <T>(...v: T[]) => fc.constantFrom<T | null>(null, ...v);
  const play = fc.record({
    unit: maybe('scrimmage', 'punt', 'field_goal', 'kickoff', 'free_kick', 'try'),
    result: maybe('gain', 'complete', 'incomplete', 'sack', 'kick', 'no_play', 'spike'),
    gain: maybe(-9, 0, 5, 40),
    turnover: maybe('interception', 'fumble'),
    fumble: maybe('kept', 'lost'),
    kickEnd: maybe(
      'returned',
      'fair_catch',
      'touchback',
      'downed',
      'out_of_bounds',
      'blocked',
      'muffed',
      'kept_by_kickers',
      'good',
      'missed',
    ),
    kickYards: maybe(10, 40, 70),
    turnoverYards: maybe(0, 30),
    returnYards: maybe(0, 12, 99),
    score: maybe('touchdown', 'safety', 'field_goal', 'try_1'),
    scoredBy: maybe('A', 'B'),
    deadPossession: maybe('A', 'B'),
    deadToGoal: maybe(1, 50, 99),
    quarter: maybe(1, 3, 5),
    penalties: fc.constantFrom(
      [],
      [{ side: 'o', name: 'holding', yards: null, from: 'prev', outcome: 'accepted', extra: '' }],
      [{ side: 'd', name: 'pi', yards: 15, from: 'succ', outcome: 'accepted', extra: '1st' }],
      [{ side: 'r', name: 'holding', yards: 10, from: 'foul', outcome: 'accepted', extra: '' }],
    ),
  });
  fc.assert(
    fc.property(fc.array(play, { maxLength: 6 }), fc.constantFrom(...LEVEL_KEYS), (plays, level) => {
      const snaps = plays.map(
        (p, i) =>
          ({
            ...blankSnap(`s${i}`, 'g', i),
            offense: i === 0 ? 'A' : null,
            defense: i === 0 ? 'B' : null,
            ...p,
          }) as Snap,
      );
      for (const row of walkGame(snaps, LEVEL_PROFILES[level])) {
        const { toGoal, down } = row.after.state;
        if (toGoal !== null) expect(toGoal > 0 && toGoal < 100).toBe(true);
        if (down !== null) expect(down >= 1 && down <= 4).toBe(true);
      }
      for (const f of checkGame(snaps, LEVEL_PROFILES[level]))
        expect(findingWords(f).sentence).not.toMatch(/undefined|null|NaN/);
    }),
    { numRuns: 1500, seed: 8 },
  );
});

describe('the checker', () => {
  it('has nothing to say about a clean season', () => {
    for (const snaps of games) expect(checkGame(snaps, COLLEGE)).toEqual([]);
  });
  it('finds thirty seeded mistakes of fifteen kinds, each near where it was made', () => {
    let made = 0;
    for (let seed = 0; seed < 2; seed++) {
      for (const mistake of MISTAKES) {
        const random = seededRandom(1000 + seed * 97 + made);
        const clean =
          games.find(
            (_, g) =>
              g >= (made * 3) % games.length && makeMistake(games[g]!, mistake, seededRandom(1)) !== null,
          ) ?? games.find((g) => makeMistake(g, mistake, seededRandom(1)) !== null)!;
        const mistaken = makeMistake(clean, mistake, random)!;
        const findings = checkGame(mistaken.snaps, COLLEGE).filter((f) => f.level !== 'note');
        expect(findings.length, `${mistake} at snap ${mistaken.at + 1}`).toBeGreaterThan(0);
        expect(
          Math.min(...findings.map((f) => Math.abs(f.number - mistaken.at - 1))),
          `${mistake} found far from ${mistaken.at + 1}`,
        ).toBeLessThanOrEqual(2);
        made++;
      }
    }
    expect(made).toBe(30);
  });
  it('fixes what it names: a remedy of each finding clears it', () => {
    const mistaken = makeMistake(games[0]!, 'gain', seededRandom(5))!;
    const finding = checkGame(mistaken.snaps, COLLEGE)[0]!;
    const cleared = finding.remedies
      .filter((r) => r.patches.length > 0)
      .some((remedy) => {
        const fixed = mistaken.snaps.map((s) => ({
          ...s,
          ...remedy.patches.find((p) => p.snapId === s.snapId)?.fields,
        }));
        return checkGame(fixed, COLLEGE).length < checkGame(mistaken.snaps, COLLEGE).length;
      });
    expect(cleared).toBe(true);
  });
  it('calls one yard rounding and says what two leave', () => {
    const snap = (order: number, more: Partial<Snap>): Snap => ({
      ...blankSnap(`s${order}`, 'g', order),
      ...more,
    });
    const first = snap(1, {
      offense: 'A',
      defense: 'B',
      unit: 'scrimmage',
      quarter: 1,
      down: 1,
      distance: 10,
      toGoal: 65,
      result: 'gain',
      gain: 6,
    });
    expect(
      checkGame([first, snap(2, { down: 2, distance: 5, result: 'gain', gain: 1 })], COLLEGE),
    ).toMatchObject([{ level: 'note', code: 'distance' }]);
    expect(
      findingWords(
        checkGame([first, snap(2, { down: 2, distance: 7, result: 'gain', gain: 1 })], COLLEGE)[0]!,
      ).sentence,
    ).toBe('2nd & 7 was logged; gain of 6 on 1st & 10 leaves 2nd & 4.');
  });
  it('says cannot know where film is missing, and anchors again at the next typed state', () => {
    const snap = (order: number, more: Partial<Snap>): Snap => ({
      ...blankSnap(`s${order}`, 'g', order),
      ...more,
    });
    const rows = [
      snap(1, { offense: 'A', defense: 'B', quarter: 1, down: 1, distance: 10, toGoal: 65 }),
      snap(2, { result: 'gain', gain: 3 }),
      snap(3, { offense: 'A', defense: 'B', down: 3, distance: 2, toGoal: 50, result: 'gain', gain: 4 }),
      snap(4, {}),
    ];
    const findings = checkGame(rows, COLLEGE);
    expect(findings.map((f) => [f.number, f.level])).toEqual([[2, 'cannot_know']]);
    expect(walkGame(rows, COLLEGE)[3]!.before).toMatchObject({ down: 1, distance: 10, toGoal: 46 });
  });
});
