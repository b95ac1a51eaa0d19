import { describe, expect, it } from 'vitest';
import { findTerm, lookOf } from '../book';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE } from '../field';
import {
  coverageLook,
  coverDrops,
  lineUp,
  placeDefense,
  pressureLook,
  rotationSide,
  structure,
  type CoverageDef,
  type PressureDef,
} from './index';

const coverage = (word: string): CoverageDef => {
  const d = findTerm(DEFAULT_BOOK, 'coverage', word)!.definition!;
  if (d.kind !== 'coverage') throw new Error(word);
  return d.coverage;
};
const pressure = (word: string): PressureDef => {
  const d = findTerm(DEFAULT_BOOK, 'pressure', word)!.definition!;
  if (d.kind !== 'pressure') throw new Error(word);
  return d.pressure;
};
const front = (word: string) => {
  const d = findTerm(DEFAULT_BOOK, 'front', word)!.definition!;
  if (d.kind !== 'front') throw new Error(word);
  return d.front;
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
  it('a fire zone is five rushing, three under, three deep; drop-eight leaves five under three deep', () => {
    const s = stand('trips');
    expect(coverageLook(coverage('fire zone'), 5, null, s, null)).toMatchObject({ deep: 3, under: 3 });
    expect(coverageLook(coverage('cover 3'), 3, null, s, null)).toMatchObject({ deep: 3, under: 5 });
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
  expect(coverageLook(coverage('cover 3'), 4, 'weak', s, 'R').rotationWords).toBe(
    'away from strength, to the field, away from the motion',
  );
});

describe('pressure', () => {
  const s = stand('trey', 'gun', 'R');
  const men = placeDefense(s, front('4-2 over'), coverage('cover 1'));
  it.each([
    ['mike a pressure', 1, 5, 'five-man'],
    ['mike a pressure', 3, 5, 'fire zone'],
    ['mike a pressure', 0, 5, 'zero'],
    ['simulated pressure', 1, 4, 'simulated'],
    ['creeper', 3, 4, 'creeper'],
    ['three-man rush', 3, 3, 'three and drop eight'],
    ['double a pressure', 1, 6, 'six or more'],
    ['no pressure', 3, 4, 'four-man'],
  ] as const)('%s with %i deep: %i rush, %s (common practice)', (word, deep, count, kind) => {
    expect(pressureLook(pressure(word), men, s, deep)).toMatchObject({ count, kind });
  });
  it('says where the added man comes from, four ways', () => {
    expect(pressureLook(pressure('b to the back'), men, s, 1).sources).toEqual([
      'W B gap, weak, boundary, to the back, away from the tight end',
    ]);
    expect(pressureLook(pressure('field edge pressure'), men, s, 1).sources[0]).toMatch(
      /edge, strong, field, away from the back, to the tight end$/,
    );
  });
  it('an odd front without pressure sends its strong edge man as the fourth', () => {
    const odd = placeDefense(s, front('3-4'), coverage('cover 3'));
    const l = pressureLook(null, odd, s, 3);
    expect([l.count, l.rush.find((r) => !r.line)!.man.level]).toEqual([4, 'edge']);
  });
});

it('everybody who does not rush drops somewhere, deep men to their zones', () => {
  for (const t of DEFAULT_BOOK.terms) {
    if (t.definition?.kind !== 'coverage') continue;
    const s = stand('spread');
    const men = placeDefense(s, front('4-2 over'), t.definition.coverage);
    const rush = new Set(pressureLook(null, men, s, null).rush.map((r) => r.man));
    const drops = coverDrops(t.definition.coverage, men, s, rush);
    expect(new Set(drops.map((d) => d.from)).size, t.word).toBe(drops.length);
    expect(
      drops.filter((d) => d.deep),
      t.word,
    ).toHaveLength(t.definition.coverage.deep.length);
    expect(drops.length, t.word).toBe(7);
  }
});
