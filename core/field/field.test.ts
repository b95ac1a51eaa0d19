import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  adaptProfile,
  COLLEGE,
  decodeSpot,
  DEFAULT_ZONES,
  encodeSpot,
  FIELD_WIDTH_YARDS,
  FLAG_FIVE,
  SEVEN_ON_SEVEN,
  fieldSides,
  findPenalty,
  formatClock,
  formatDownDistance,
  formatSpot,
  HASHES,
  HIGH_SCHOOL,
  LEVEL_KEYS,
  LEVEL_PROFILES,
  mirrorHash,
  parseClock,
  PROFESSIONAL,
  PROFILE_NUMBERS,
  profilesFor,
  zoneOf,
  zoneSetFaults,
} from './index';

describe('spots', () => {
  it('read back what they write, for every yard and hash', () => {
    for (let toGoal = 1; toGoal <= 99; toGoal++) {
      for (const hash of [...HASHES, null]) {
        expect(decodeSpot(encodeSpot(toGoal, hash))).toEqual({ toGoal, hash });
      }
    }
  });

  it('are said as coaches say them', () => {
    expect([formatSpot(65), formatSpot(50), formatSpot(12)]).toEqual(['own 35', '50', 'their 12']);
  });

  it.each(['35', 'o0', 'o51', 't', 'x20', 'o35x', '', '51'])('refuse %s', (text) => {
    expect(decodeSpot(text)).toBeNull();
  });

  it('have a hash that mirrors twice into itself', () => {
    for (const hash of HASHES) expect(mirrorHash(mirrorHash(hash))).toBe(hash);
    expect(mirrorHash(null)).toBeNull();
    expect(mirrorHash('L')).toBe('R');
  });
});

describe('clock', () => {
  it('reads back what it writes', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 900 }), (seconds) => {
        expect(parseClock(formatClock(seconds))).toBe(seconds);
      }),
      { seed: 1 },
    );
  });

  it.each(['8.41', '8:60', '8', ':30', '123:00'])('refuses %s', (text) => {
    expect(parseClock(text)).toBeNull();
  });
});

it('says goal where the goal line is the line to gain', () => {
  expect(formatDownDistance(1, 6, 6)).toBe('1st & goal');
  expect(formatDownDistance(2, 7, 40)).toBe('2nd & 7');
  expect(formatDownDistance(3, 3, null)).toBe('3rd & 3');
});

describe('zones', () => {
  it('take every yard once by default', () => {
    for (let yard = 1; yard <= 99; yard++) expect(zoneOf(yard)).not.toBeNull();
    expect(zoneSetFaults(DEFAULT_ZONES)).toEqual([]);
  });

  it('name gaps and overlaps of a staff’s own set', () => {
    const gap = DEFAULT_ZONES.filter((z) => z.key !== 'goal-line');
    expect(zoneSetFaults(gap)).toEqual([1, 2, 3]);
    const overlap = DEFAULT_ZONES.map((z) => (z.key === 'red' ? { ...z, to: 16 } : z));
    expect(zoneSetFaults(overlap)).toEqual([16]);
  });

  it('know that an unknown spot has none', () => {
    expect(zoneOf(null)).toBeNull();
  });
});

const ELEVEN = LEVEL_KEYS.filter((k) => LEVEL_PROFILES[k].players === 11);

describe('level profiles (NFHS, NCAA and NFL rulebooks, from memory)', () => {
  it('add up to the width of the field', () => {
    expect(FIELD_WIDTH_YARDS * 3).toBe(160);
    // Between the hashes: 53 ft 4 in, 40 ft, 18 ft 6 in.
    const between = [HIGH_SCHOOL, COLLEGE, PROFESSIONAL].map(
      (p) => (FIELD_WIDTH_YARDS - 2 * p.hashToSideline) * 3,
    );
    expect(between[0]).toBeCloseTo(53 + 4 / 12, 6);
    expect(between[1]).toBeCloseTo(40, 6);
    expect(between[2]).toBeCloseTo(18.5, 6);
  });

  it('kick off and bring out as each level does', () => {
    const own = (toGoal: number) => 100 - toGoal;
    expect(ELEVEN.map((k) => own(LEVEL_PROFILES[k].kickoffToGoal))).toEqual([40, 35, 35]);
    expect(ELEVEN.map((k) => own(LEVEL_PROFILES[k].touchbackKickoffToGoal))).toEqual([20, 25, 35]);
    expect(ELEVEN.map((k) => LEVEL_PROFILES[k].tryKickToGoal)).toEqual([3, 3, 15]);
    expect(ELEVEN.map((k) => LEVEL_PROFILES[k].quarterSeconds / 60)).toEqual([12, 15, 15]);
    expect(ELEVEN.map((k) => LEVEL_PROFILES[k].overtimeToGoal)).toEqual([10, 25, null]);
  });

  it.each([
    [HIGH_SCHOOL, 17.78, 35.56],
    [COLLEGE, 20, 33.33],
    [PROFESSIONAL, 23.58, 29.75],
  ] as const)(
    'a ball on a hash has so many yards to the boundary and to the field (NFHS, NCAA and NFL rulebooks, from memory)',
    (profile, boundary, wide) => {
      for (const [hash, field] of [
        ['L', 'R'],
        ['R', 'L'],
      ] as const) {
        const sides = fieldSides(profile, hash);
        expect([
          sides.field,
          Number(sides.boundaryYards.toFixed(2)),
          Number(sides.fieldYards.toFixed(2)),
        ]).toEqual([field, boundary, wide]);
      }
      expect(fieldSides(profile, 'M')).toMatchObject({ field: null });
    },
  );
  it('games without a line have their own field and number of men (from memory; organizers differ)', () => {
    expect(LEVEL_KEYS.map((k) => LEVEL_PROFILES[k].players)).toEqual([11, 11, 11, 7, 5]);
    expect([SEVEN_ON_SEVEN.fieldLength, FLAG_FIVE.fieldLength, FLAG_FIVE.fieldWidth]).toEqual([45, 50, 30]);
    // No hash marks in flag: no short side.
    expect(fieldSides(FLAG_FIVE, 'L')).toEqual({ field: null, fieldYards: 15, boundaryYards: 15 });
  });

  it('find a foul by name or alias', () => {
    expect(findPenalty(COLLEGE, 'Pass Interference')?.name).toBe('pi');
    expect(findPenalty(COLLEGE, 'no such foul')).toBeNull();
    expect(findPenalty(HIGH_SCHOOL, 'pi')?.defense).toMatchObject({ yards: 15, firstDown: false });
    expect(findPenalty(COLLEGE, 'pi')?.defense).toMatchObject({ yards: 15, firstDown: true });
    expect(findPenalty(PROFESSIONAL, 'pi')?.defense).toMatchObject({ yards: null, firstDown: true });
  });

  it('name no foul twice', () => {
    for (const key of LEVEL_KEYS) {
      const names = LEVEL_PROFILES[key].penalties.flatMap((p) => [p.name, ...p.aliases]);
      expect(new Set(names).size).toBe(names.length);
    }
  });
});

describe('a staff’s changes', () => {
  it('change what they name and nothing else', () => {
    const changed = adaptProfile(COLLEGE, 2027, {
      numbers: { touchbackKickoffToGoal: 70 },
      fouls: { 'holding|defense': { yards: 5, firstDown: true } },
    });
    expect(changed).toMatchObject({ season: 2027, touchbackKickoffToGoal: 70, kickoffToGoal: 65 });
    expect(findPenalty(changed, 'holding')?.defense).toMatchObject({
      yards: 5,
      firstDown: true,
      from: 'prev',
    });
    expect(findPenalty(changed, 'holding')?.offense).toEqual(findPenalty(COLLEGE, 'holding')?.offense);
    expect(adaptProfile(COLLEGE, COLLEGE.season, null)).toEqual(COLLEGE);
  });

  it('are refused outside their limits, by name', () => {
    for (const { key, label, max } of PROFILE_NUMBERS) {
      expect(() => adaptProfile(COLLEGE, 2026, { numbers: { [key]: max + 1 }, fouls: {} })).toThrow(label);
    }
  });

  it('hold for the program’s own level only', () => {
    const profiles = profilesFor('college', 2026, { numbers: { tryTwoToGoal: 2 }, fouls: {} });
    expect([profiles.college.tryTwoToGoal, profiles.high_school.tryTwoToGoal]).toEqual([2, 3]);
  });
});
