/** An address of Read as words and back, and the snaps it means by a plain reading of all of them. */
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import { COLLEGE, DEFAULT_ZONES } from '../field';
import {
  buildColumns,
  countGame,
  isTendency,
  RANGE_FIELDS,
  rangeWords,
  readAddress,
  readRanges,
  rowsAt,
  writeRanges,
  type Range,
  type Ranges,
} from './index';

const games = simulateSeason(DEMO_SEED, { tells: true, weeks: 3 });
const counted = games.flatMap((g) => countGame(g.snaps, COLLEGE));
const columns = buildColumns(counted);
const team = games[0]!.home;
const bounds = (least: number, most: number): fc.Arbitrary<Range> =>
  fc
    .tuple(fc.integer({ min: least, max: most }), fc.integer({ min: least, max: most }))
    .map(([a, b]) => ({ from: Math.min(a, b), to: Math.max(a, b) }));
const anyRanges: fc.Arbitrary<Ranges> = fc.record(
  { toGoal: bounds(1, 99), distance: bounds(1, 20), clock: bounds(0, 900), margin: bounds(-30, 30) },
  { requiredKeys: [] },
);

it('ranges come back from the address as they were, and what is none is passed over', () => {
  fc.assert(
    fc.property(anyRanges, (ranges) => {
      expect(readRanges(writeRanges(ranges))).toEqual(ranges);
    }),
    { seed: 1 },
  );
  for (const wrong of [null, '', 'distance', 'distance:7', 'distance:9..7', 'wind:1..2', 'distance:a..b'])
    expect(readRanges(wrong)).toEqual({});
  expect(writeRanges({})).toBeNull();
  expect(rangeWords('margin', { from: -8, to: -1 })).toBe('lead −8 to −1');
  expect(rangeWords('clock', { from: 0, to: 120 })).toBe('clock 0:00 to 2:00');
  expect(rangeWords('distance', { from: 4, to: 4 })).toBe('yards to gain 4');
});

it('the snaps of an address are those that a plain reading finds, within a zone or without', () => {
  fc.assert(
    fc.property(anyRanges, fc.constantFrom(null, ...DEFAULT_ZONES.map((z) => z.key)), (ranges, zone) => {
      const cell = zone === null ? null : { bucket: '1-10', zone };
      const rows = rowsAt(columns, { team, side: 'offense', filter: {}, ranges, cell }, DEFAULT_ZONES);
      const figures = (i: number) => {
        const { snap } = counted[i]!;
        const known = snap.pointsFor !== null && snap.pointsAgainst !== null;
        return {
          toGoal: snap.toGoal,
          distance: snap.distance,
          clock: snap.clock,
          margin: known ? snap.pointsFor! - snap.pointsAgainst! : null,
        };
      };
      const plain = counted.flatMap((c, i) =>
        isTendency(c) &&
        c.snap.offense === team &&
        RANGE_FIELDS.every((f) => {
          const range = ranges[f];
          const figure = figures(i)[f];
          return !range || (figure !== null && figure >= range.from && figure <= range.to);
        }) &&
        (cell === null || (c.bucket === cell.bucket && c.zone === cell.zone))
          ? [i]
          : [],
      );
      expect([...rows]).toEqual(plain);
    }),
    { seed: 2, numRuns: 60 },
  );
});

it('an address of nothing is the usual one', () => {
  const usual = readAddress(new URLSearchParams(), { team, film: 'eleven' });
  expect(usual).toMatchObject({
    team,
    side: 'offense',
    film: 'eleven',
    ranges: {},
    filter: {},
    against: null,
  });
  const odd = new URLSearchParams('side=left&against=wind&last=-2&halflife=x&range=:&film=nine');
  expect(readAddress(odd, { team, film: 'eleven' })).toEqual(usual);
});
