import { describe, expect, it } from 'vitest';
import { findTerm, lookOf } from '../book';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE } from '../field';
import { lineUp, rotationSide, structure, type CoverageDef } from './index';

const coverage = (word: string): CoverageDef => {
  const d = findTerm(DEFAULT_BOOK, 'coverage', word)!.definition!;
  if (d.kind !== 'coverage') throw new Error(word);
  return d.coverage;
};
const stand = (word: string, backfield = 'gun', field: 'L' | 'R' | null = null) =>
  structure(
    lineUp(
      findTerm(DEFAULT_BOOK, 'formation', word)!.spots!,
      'R',
      findTerm(DEFAULT_BOOK, 'backfield', backfield)!.spots!,
    ),
    field,
  );

describe('families carry the middle and the deep count (common practice)', () => {
  it.each([
    ['cover 0', 'none', 0],
    ['cover 1', 'closed', 1],
    ['cover 1 robber', 'closed', 1],
    ['cover 2', 'open', 2],
    ['2 man', 'open', 2],
    ['trap', 'open', 2],
    ['deep middle', 'open', 3],
    ['cover 3', 'closed', 3],
    ['cover 3 cloud', 'closed', 3],
    ['3 match', 'closed', 3],
    ['quarters', 'open', 4],
    ['quarters match', 'open', 4],
    ['cover 6', 'open', 3],
    ['fire zone', 'closed', 3],
  ] as const)('%s: middle %s, %i deep', (word, middle, deep) => {
    expect([coverage(word).middle, coverage(word).deep.length]).toEqual([middle, deep]);
  });
  it('rushers, under and deep are always eleven', () => {
    for (const t of DEFAULT_BOOK.terms) {
      if (t.definition?.kind !== 'coverage') continue;
      for (const p of DEFAULT_BOOK.terms) {
        const l = lookOf(
          DEFAULT_BOOK,
          {
            formation: 'trips',
            formationSide: 'R',
            backfield: 'gun',
            front: '4-2 over',
            coverage: t.word,
            pressure: p.kind === 'pressure' ? p.word : '-',
          },
          COLLEGE,
        )!;
        const c = l.defense!.coverage!;
        expect(c.deep + c.under + l.defense!.rush.count).toBe(11);
      }
    }
  });
});

it('rotation is said relative to strength, field and motion', () => {
  const s = stand('trips', 'gun', 'L');
  expect([
    rotationSide('strong', s, null),
    rotationSide('weak', s, null),
    rotationSide('field', s, null),
    rotationSide('boundary', s, null),
    rotationSide('motion', s, 'L'),
    rotationSide('motion', s, null),
  ]).toEqual(['R', 'L', 'L', 'R', 'L', null]);
});

describe('what a rush is called (common practice)', () => {
  const rush = (pressure: string, coverage: string) =>
    lookOf(
      DEFAULT_BOOK,
      {
        formation: 'trey',
        formationSide: 'R',
        backfield: 'gun',
        front: '4-2 over',
        coverage,
        pressure,
        hash: 'L',
      },
      COLLEGE,
    )!.defense!.rush;
  it.each([
    ['mike a pressure', 'cover 1', 5, 'five-man'],
    ['mike a pressure', 'fire zone', 5, 'fire zone'],
    ['mike a pressure', 'cover 0', 5, 'zero'],
    ['simulated pressure', 'cover 1', 4, 'simulated'],
    ['creeper', 'cover 3', 4, 'creeper'],
    ['three-man rush', 'cover 3', 3, 'three and drop eight'],
    ['double a pressure', 'cover 1', 6, 'six or more'],
    ['no pressure', 'cover 3', 4, 'four-man'],
  ] as const)('%s with %s: %i rush, %s', (pressure, coverage, count, kind) => {
    expect(rush(pressure, coverage)).toMatchObject({ count, kind });
  });
  it('says where the added man comes from, four ways', () => {
    expect(rush('b to the back', 'cover 1').sources).toEqual([
      'W B gap, weak, boundary, to the back, away from the tight end',
    ]);
    expect(rush('field edge pressure', 'cover 1').sources[0]).toMatch(
      /edge, strong, field, away from the back, to the tight end$/,
    );
  });
});
