import fc from 'fast-check';
import { mean, standardDeviation } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import {
  BUCKET_ROWS,
  bucketOf,
  COLLEGE,
  fieldSides,
  HIGH_SCHOOL,
  OTHER_BUCKETS,
  PROFESSIONAL,
  clockModeOf,
} from '../field';
import {
  buildColumns,
  coverageOf,
  differenceOf,
  groupBy,
  intervalText,
  isSuccess,
  isTendency,
  CALL_KINDS,
  FIRST_VALUE,
  looksOf,
  splitCalls,
  type Calls,
  meanPerGame,
  select,
  situationBoard,
  SUCCESS_50_70_100,
  countGame,
  wilson,
} from './index';

describe('Wilson interval', () => {
  // Newcombe 1998, Statistics in Medicine 17:857, table I, method 3.
  it.each([
    [81, 263, 0.2553, 0.3662],
    [15, 148, 0.0624, 0.1605],
    [0, 20, 0, 0.1611],
    [1, 29, 0.0061, 0.1718],
  ])('%i of %i', (k, n, low, high) => {
    const r = wilson(k, n);
    expect(r.low).toBeCloseTo(low, 4);
    expect(r.high).toBeCloseTo(high, 4);
  });
  it('differences of rates have Newcombe’s interval', () => {
    // Newcombe 1998, Statistics in Medicine 17:873, table II, method 10, contrast (a) 56/70 − 48/80.
    const { low, high } = differenceOf(wilson(56, 70), wilson(48, 80))!;
    expect(low).toBeCloseTo(0.0524, 4);
    expect(high).toBeCloseTo(0.3339, 4);
    expect(differenceOf(wilson(0, 0), wilson(1, 2))).toBeNull();
    const turned = differenceOf(wilson(48, 80), wilson(56, 70))!;
    expect([turned.low, turned.high].map((v) => -v).reverse()).toEqual([low, high]);
  });
  it('is bounded, ordered and mirrored: k of n and n − k of n add up to one', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 500 }), fc.nat(500), (n, x) => {
        const k = x % (n + 1);
        const r = wilson(k, n);
        const m = wilson(n - k, n);
        expect(r.low! >= 0 && r.low! <= k / n && k / n <= r.high! && r.high! <= 1).toBe(true);
        expect(r.low! + m.high!).toBeCloseTo(1, 10);
      }),
      { numRuns: 300, seed: 1 },
    );
  });
  it('has no bounds without data, says few under four, refuses nonsense', () => {
    expect(wilson(0, 0)).toEqual({ k: 0, n: 0, share: null, worth: 0, low: null, high: null });
    expect([intervalText(wilson(0, 0)), intervalText(wilson(2, 3)), intervalText(wilson(17, 29))]).toEqual([
      'no snaps',
      'few',
      '41–74 %',
    ]);
    expect(() => wilson(3, 2)).toThrow('3 of 2');
  });
});

it('mean per game agrees with simple-statistics', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 30 }), { minLength: 2, maxLength: 20 }), (counts) => {
      const m = meanPerGame(counts)!;
      expect(m.mean).toBeCloseTo(mean(counts), 10);
      if (standardDeviation(counts) > 0) expect(m.high!).toBeGreaterThan(m.mean);
    }),
    { numRuns: 100, seed: 2 },
  );
  expect(meanPerGame([])).toBeNull();
  expect(meanPerGame([4])).toEqual({ mean: 4, n: 1, low: null, high: null });
});

describe('situation (handbook tables, common practice)', () => {
  const at = (down: number, distance: number, toGoal = 60, fresh = false) =>
    bucketOf({ unit: 'scrimmage', down, distance, toGoal, fresh });
  it('puts every down and distance in exactly one bucket', () => {
    const keys = new Set<string>(BUCKET_ROWS.map((r) => r.key));
    for (let down = 1; down <= 4; down++)
      for (let distance = 1; distance <= 99; distance++) expect(keys.has(at(down, distance, 99)!)).toBe(true);
  });
  it('matches in order: try, goal to go, fresh, down and distance', () => {
    expect([
      at(1, 10, 75, true),
      at(1, 10),
      at(1, 15),
      at(1, 6),
      at(1, 6, 6),
      at(2, 7),
      at(2, 3),
      at(2, 2),
      at(3, 11),
      at(3, 10),
      at(3, 6),
      at(3, 1),
      at(4, 1),
    ]).toEqual([
      'fresh',
      '1-10',
      '1-11+',
      '1-under',
      '1-goal',
      '2-long',
      '2-medium',
      '2-short',
      '3-xlong',
      '3-long',
      '3-medium',
      '3-short',
      '4-short',
    ]);
    expect(
      bucketOf({ unit: 'scrimmage', down: 3, distance: 3, toGoal: 60, fresh: false }, OTHER_BUCKETS),
    ).toBe('3-short');
    expect(bucketOf({ unit: 'kickoff', down: null, distance: null, toGoal: 65, fresh: true })).toBeNull();
  });
  it('has the field and boundary widths of each level', () => {
    const widths = [HIGH_SCHOOL, COLLEGE, PROFESSIONAL].map((p) => {
      const s = fieldSides(p, 'L');
      return [s.boundaryYards.toFixed(2), s.fieldYards.toFixed(2)];
    });
    expect(widths).toEqual([
      ['17.78', '35.56'],
      ['20.00', '33.33'],
      ['23.58', '29.75'],
    ]);
    expect([
      fieldSides(COLLEGE, 'L').field,
      fieldSides(COLLEGE, 'R').field,
      fieldSides(COLLEGE, 'M').field,
    ]).toEqual(['R', 'L', null]);
  });
  it('knows clock modes, and says so when it cannot know', () => {
    expect([
      clockModeOf(2, 100, 7),
      clockModeOf(4, 100, 7),
      clockModeOf(4, 100, -1),
      clockModeOf(4, null, 3),
      clockModeOf(1, null, null),
    ]).toEqual(['two_minute', 'four_minute', 'two_minute', null, 'normal']);
  });
  it('judges success by the staff’s school', () => {
    const s = { down: 1, distance: 10, gain: 4, turnover: null, score: null, ownScore: false };
    expect([
      isSuccess(s),
      isSuccess(s, SUCCESS_50_70_100),
      isSuccess({ ...s, gain: null }),
      isSuccess({ ...s, turnover: 'fumble' }),
    ]).toEqual([true, false, null, false]);
  });
});

const counted = simulateSeason(DEMO_SEED, { tells: true, weeks: 2 }).flatMap((g) =>
  countGame(g.snaps, COLLEGE),
);
const columns = buildColumns(counted);

describe('columns against a plain loop', () => {
  it('select', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('HER', 'STG'),
        fc.constantFrom('11', '12'),
        fc.subarray(['2-long', '3-long', 'fresh'], { minLength: 1 }),
        fc.integer({ min: 1, max: 60 }),
        (offense, personnel, bucket, from) => {
          const fast = [
            ...select(
              columns,
              { offense: [offense], personnel: [personnel], bucket },
              { toGoal: { from, to: from + 30 } },
            ),
          ];
          const plain = counted.flatMap((c, i) =>
            isTendency(c) &&
            c.snap.offense === offense &&
            c.snap.personnel === personnel &&
            bucket.includes(c.bucket ?? '') &&
            c.snap.toGoal! >= from &&
            c.snap.toGoal! <= from + 30
              ? [i]
              : [],
          );
          expect(fast).toEqual(plain);
        },
      ),
      { numRuns: 60, seed: 3 },
    );
  });
  it('groups add up to what is tagged', () => {
    const all = select(columns, { offense: ['STG'] });
    const groups = groupBy(columns, all, ['formation', 'play']);
    expect(groups.reduce((n, g) => n + g.rows.length, 0)).toBe(coverageOf(columns, all, 'formation').tagged);
    for (const g of groups)
      for (const i of g.rows) expect([counted[i]!.snap.formation, counted[i]!.snap.play]).toEqual(g.words);
  });
});

describe('the situation board', () => {
  const all = select(columns, { offense: ['STG'] });
  const board = situationBoard(columns, all);
  it('shows every snap once, as a mark where it was played or as unmarked', () => {
    expect(board.reduce((n, r) => n + r.marks.length + r.unmarked, 0)).toBe(
      board.reduce((n, r) => n + r.calls.rows.length, 0),
    );
    const stacked = new Set(board.flatMap((r) => r.marks.map((m) => `${r.key} ${m.column} ${m.level}`)));
    expect(stacked.size).toBe(board.reduce((n, r) => n + r.marks.length, 0));
  });
  it('counts runs by call, with the rate of what is tagged', () => {
    const row = board.find((r) => r.key === '1-10')!;
    const here = all.filter((i) => counted[i]!.bucket === '1-10');
    expect([row.calls.run.k, row.calls.run.n]).toEqual([
      here.filter((i) => counted[i]!.snap.play === 'run').length,
      here.filter((i) => ['run', 'pass', 'rpo'].includes(counted[i]!.snap.play as string)).length,
    ]);
  });
  it('opens a cell into formations with arrows by side', () => {
    const looks = looksOf(columns, all);
    expect(looks[0]!.calls.rows.length).toBeGreaterThanOrEqual(looks[1]!.calls.rows.length);
  });
});

describe('parts sum to wholes, on every board and in every selection', () => {
  const sums = (calls: Calls): void => {
    const { rows, byKind, untagged, run, bySide } = calls;
    const kinds = CALL_KINDS.map((k) => byKind[k].length);
    expect(kinds.reduce((a, b) => a + b, untagged.length)).toBe(rows.length);
    expect([run.k, run.n]).toEqual([byKind.run.length, rows.length - untagged.length]);
    for (const kind of CALL_KINDS) {
      const sides = bySide.filter((p) => p.kind === kind);
      expect(sides.reduce((n, p) => n + p.rows.length, 0)).toBe(byKind[kind].length);
      expect(new Set(sides.map((p) => p.side)).size).toBe(sides.length);
    }
    expect(new Set([...bySide.flatMap((p) => [...p.rows]), ...untagged])).toEqual(new Set(rows));
  };
  it('whatever the offense and the filter', () => {
    let boards = 0;
    let options = 0;
    for (const offense of ['STG', 'HER', 'WRE', 'LAN'])
      for (const personnel of [undefined, '11', '12', '21']) {
        const rows = select(columns, {
          offense: [offense],
          ...(personnel ? { personnel: [personnel] } : {}),
        });
        const board = situationBoard(columns, rows);
        const looks = looksOf(columns, rows);
        for (const r of board) sums(r.calls);
        for (const l of looks) sums(l.calls);
        sums(splitCalls(columns, rows));
        // Two boards of the same snaps: what is in no bucket or has no formation is the difference.
        const inBucket = rows.filter((i) => columns.text.bucket.codes[i]! >= FIRST_VALUE).length;
        const withFormation = rows.filter((i) => columns.text.formation.codes[i]! >= FIRST_VALUE).length;
        expect(board.reduce((n, r) => n + r.calls.rows.length, 0)).toBe(inBucket);
        expect(looks.reduce((n, l) => n + l.calls.rows.length, 0)).toBe(withFormation);
        boards += board.length + looks.length;
        options += looks.reduce((n, l) => n + l.calls.byKind.rpo.length, 0);
      }
    expect(boards).toBeGreaterThan(60);
    // The convention is put to the test: there are run-pass options among them.
    expect(options).toBeGreaterThan(20);
  });
});
