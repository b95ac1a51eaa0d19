import { ballAt } from '../field/spot';
import { describe, expect, it } from 'vitest';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE, HIGH_SCHOOL } from '../field';
import {
  cloudZones,
  frontFamily,
  gapAt,
  gapName,
  GAPS,
  groundOf,
  lineUp,
  passingStrength,
  PROFESSIONAL_STRENGTH,
  DEFAULT_STRENGTH,
  runningStrength,
  sixZones,
  strengthOrder,
  structure,
  underSpot,
  underZones,
  WIDE_ZONES,
} from './index';

describe('zones under the deep men (common practice)', () => {
  it.each([
    [3, 2, ['seam-curl-flat', 'seam-curl-flat']],
    [3, 3, ['seam-curl-flat', 'middle hook', 'seam-curl-flat']],
    [3, 1, ['middle hook']],
    [3, 4, ['curl-flat', 'hook', 'hook', 'curl-flat']],
    [3, 5, ['curl-flat', 'hook', 'middle hook', 'hook', 'curl-flat']],
    [2, 2, ['flat', 'flat']],
    [2, 4, ['flat', 'hook-curl', 'hook-curl', 'flat']],
    [2, 5, ['flat', 'hook-curl', 'middle hook', 'hook-curl', 'flat']],
    [2, 6, ['flat', 'hook-curl', 'hook', 'hook', 'hook-curl', 'flat']],
    [4, 2, ['curl-flat', 'curl-flat']],
    [4, 4, ['curl-flat', 'hook', 'hook', 'curl-flat']],
  ] as const)('%i deep, %i under', (deep, men, zones) => {
    expect(underZones(deep, men)).toEqual(zones);
  });
  it('one zone a man, whatever the numbers, and a flat on each side from two men on', () => {
    for (let men = 0; men <= 8; men++)
      for (const zones of [
        underZones(2, men),
        underZones(3, men),
        underZones(4, men),
        sixZones(men),
        cloudZones(men),
      ]) {
        expect(zones).toHaveLength(men);
        if (men >= 2) expect([zones[0], zones.at(-1)].every((zone) => WIDE_ZONES.has(zone!))).toBe(true);
      }
  });
  it('lie in bounds from every hash, and outside the end man where they are wide', () => {
    for (const profile of [COLLEGE, HIGH_SCHOOL])
      for (const hash of ['L', 'M', 'R', null] as const) {
        const ground = groundOf(profile, hash);
        expect(ground.right - ground.left).toBeCloseTo(profile.fieldWidth, 6);
        expect(ground.left + ground.right).toBeCloseTo(-2 * ballAt(profile, hash), 6);
        for (const term of DEFAULT_BOOK.terms.filter((t) => t.kind === 'formation')) {
          const s = structure(lineUp(term.spots!, 'R', null));
          for (const zone of ['flat', 'curl-flat', 'hook-curl', 'hook'] as const)
            for (const side of ['L', 'R'] as const) {
              const [x, depth] = underSpot(zone, side, s, ground);
              expect(x).toBeGreaterThanOrEqual(ground.left + 1);
              expect(x).toBeLessThanOrEqual(ground.right - 1);
              expect(depth).toBeGreaterThan(4);
              expect(Math.sign(x), `${term.word} ${zone} ${side}`).toBe(side === 'L' ? -1 : 1);
            }
        }
      }
  });
});

it('gaps by where a man crosses the line', () => {
  for (const gap of GAPS) expect([gapName(gapAt(gap)), gapName(-gapAt(gap))]).toEqual([`${gap}R`, `${gap}L`]);
  expect(gapName(0)).toBeNull();
  expect(gapName(12)).toBe('DR');
});

it.each([
  ['4-2 over', 'nickel'],
  ['4-1', 'nickel'],
  ['3-2', 'nickel'],
  ['2-4', 'nickel'],
  ['4-3 over', 'outside backer'],
  ['4-3 under', 'outside backer'],
  ['4-4', 'outside backer'],
  ['5-3', 'outside backer'],
  ['3-3', 'stack'],
  ['3-4', 'stand-up edge'],
  ['tite', 'stand-up edge'],
  ['5-2', 'nobody'],
  ['bear', 'nobody'],
  ['6-2', 'nobody'],
  ['goal line', 'nobody'],
])('who hangs over a slot from %s: %s (common practice)', (word, family) => {
  const front = DEFAULT_BOOK.terms.find((t) => t.kind === 'front' && t.word === word)!.definition!;
  if (front.kind !== 'front') throw new Error(word);
  expect(frontFamily(front.front)).toBe(family);
});

describe('strengths', () => {
  const none = { receivers: null, tight_end: null, field: null, back: null };
  it('fall to the side written with the formation, then to the right', () => {
    expect([
      passingStrength(none, DEFAULT_STRENGTH, 'L'),
      passingStrength(none, DEFAULT_STRENGTH, null),
    ]).toEqual(['L', 'R']);
    expect(passingStrength({ ...none, tight_end: 'R', field: 'L' }, DEFAULT_STRENGTH, null)).toBe('L');
    expect(passingStrength({ ...none, tight_end: 'R', field: 'L' }, PROFESSIONAL_STRENGTH, null)).toBe('R');
  });
  it('keep an order that the staff set at every level', () => {
    expect(strengthOrder(['back'], 'professional')).toEqual(['back']);
    expect(strengthOrder(DEFAULT_STRENGTH, 'professional')).toBe(PROFESSIONAL_STRENGTH);
    expect(strengthOrder(DEFAULT_STRENGTH, 'college')).toBe(DEFAULT_STRENGTH);
  });
  it('of the run go to the longer line, level to the passing strength', () => {
    expect([runningStrength(3, 2, 'R'), runningStrength(2, 2, 'R'), runningStrength(2, 3, 'L')]).toEqual([
      'L',
      'R',
      'R',
    ]);
  });
});
