/** Throws to the edge and protection by side (common practice). */
import { describe, expect, it } from 'vitest';
import { findTerm } from '../book';
import { DEFAULT_BOOK } from '../book/default-book';
import { lineUp, optionOpen, perimeterLook, protectionLook, structure, type Defender } from './index';

const stand = (word: string, backfield: string) =>
  lineUp(
    findTerm(DEFAULT_BOOK, 'formation', word)!.spots!,
    'R',
    findTerm(DEFAULT_BOOK, 'backfield', backfield)!.spots!,
  );
const corner = (x: number): Defender => ({ letter: 'C', x, depth: 7, level: 'corner' });

describe('protection', () => {
  const s = structure(stand('trips', 'gun'));
  it('four rush six, but right two for three after a left slide: total safe, side not (common practice)', () => {
    const p = protectionLook({ kept: 1, slide: 'half', scan: false }, 'L', 'L', [-3.7, 0.8, 2.4, 5.6], s);
    expect([p.blockers, p.rushers, p.margin]).toEqual([6, 4, 2]);
    expect(p.right).toEqual({ blockers: 2, rushers: 3, margin: -1 });
    expect(p.short).toBe('R');
    // The widest of the side that is short is the quarterback's.
    expect(p.free).toEqual([5.6]);
  });
  it('a back who scans goes where he is needed', () => {
    expect(
      protectionLook({ kept: 1, slide: 'half', scan: true }, 'L', 'L', [-3.7, 0.8, 2.4, 5.6], s).short,
    ).toBeNull();
  });
  it.each([
    ['half', 0, 5],
    ['full', 1, 6],
    ['man', 1, 6],
    ['half', 2, 6],
  ] as const)(
    '%s slide with %i kept has %i blockers from a spread set with one back',
    (slide, kept, blockers) => {
      const p = protectionLook({ kept, slide, scan: false }, 'L', 'L', [-1, 1], s);
      expect(p.blockers).toBe(blockers);
      expect(p.left.blockers + p.right.blockers).toBe(blockers);
      expect(p.left.margin + p.right.margin).toBe(p.margin);
      expect(p.free).toEqual([]);
    },
  );
});

it('perimeter: an overhang out on #2 takes the bubble away, one in the box gives it (common practice)', () => {
  const s = structure(stand('spread', 'gun'));
  const over = (x: number): Defender[] => [corner(18), { letter: '$', x, depth: 5, level: 'nickel' }];
  expect(optionOpen(perimeterLook('R', over(7.5), s))).toBe(false);
  expect(optionOpen(perimeterLook('R', over(3.9), s))).toBe(true);
  expect(perimeterLook('R', over(7.5), s)).toMatchObject({ receivers: 2, margin: 0 });
});
