import { describe, expect, it } from 'vitest';
import { findTerm } from '../book';
import { DEFAULT_BOOK } from '../book/default-book';
import {
  boxVerdict,
  coveredBy,
  DEFAULT_BOX,
  formatFront,
  frontLook,
  frontShade,
  inBox,
  lineUp,
  nearestTechnique,
  mustRead,
  readFront,
  placeFront,
  readTechnique,
  structure,
  techniqueAt,
  techniqueName,
  TECHNIQUES,
  TIGHT_END_SCHOOLS,
  type Defender,
} from './index';

const front = (word: string) => {
  const d = findTerm(DEFAULT_BOOK, 'front', word)!.definition!;
  if (d.kind !== 'front') throw new Error(word);
  return d.front;
};
const stand = (word: string, backfield = 'gun') =>
  structure(
    lineUp(
      findTerm(DEFAULT_BOOK, 'formation', word)!.spots!,
      'R',
      findTerm(DEFAULT_BOOK, 'backfield', backfield)!.spots!,
    ),
  );

describe('technique numbers are places, printed by school (common practice)', () => {
  it.each([
    ['A', ['0', '1', '2i', '2', '3', '4i', '4', '5', '7', '6', '9', 'wide 9']],
    ['B', ['0', '1', '2i', '2', '3', '4i', '4', '5', '7', '8', '9', 'wide 9']],
    ['C', ['0', '1', '2i', '2', '3', '4i', '4', '5', '6i', '6', '7', '9']],
  ] as const)('school %s', (school, names) => {
    expect(TECHNIQUES.map((t) => techniqueName(t, school))).toEqual(names);
  });
  it('one place is three numbers: outside the tight end is a 9, a 9 and a 7', () => {
    expect(TIGHT_END_SCHOOLS.map((s) => techniqueName({ anchor: 'Y', shade: 'out' }, s))).toEqual([
      '9',
      '9',
      '7',
    ]);
    expect(readTechnique('7', 'A')).toEqual({ anchor: 'Y', shade: 'in' });
    expect(readTechnique('7', 'C')).toEqual({ anchor: 'Y', shade: 'out' });
    expect(readTechnique('12', 'A')).toBeNull();
  });
  it('places read back from their numbers and from their yards, inside out', () => {
    let last = -1;
    for (const t of TECHNIQUES) {
      for (const s of TIGHT_END_SCHOOLS) expect(readTechnique(techniqueName(t, s), s)).toEqual(t);
      expect(nearestTechnique(techniqueAt(t))).toEqual(t);
      expect(techniqueAt(t)).toBeGreaterThan(last);
      last = techniqueAt(t);
    }
  });
});

describe('fronts', () => {
  it('read back what they write', () => {
    for (const t of DEFAULT_BOOK.terms)
      if (t.definition?.kind === 'front')
        expect(mustRead(readFront(formatFront(t.definition.front)))).toEqual(t.definition.front);
  });
  it('say which part they cannot read', () => {
    expect(() => mustRead(readFront('w5 x3'))).toThrow('“x3”');
    expect(() => mustRead(readFront('w5 | mike'))).toThrow('“mike”');
  });
  it.each([
    ['4-2 over', 'over', '4-2'],
    ['4-2 under', 'under', '4-2'],
    ['4-3 over', 'over', '4-3'],
    ['4-3 even', 'even', '4-3'],
    ['4-2 even', 'even', '4-2'],
    ['3-3', 'odd', '3-3'],
    ['3-2', 'odd', '3-2'],
    ['tite', 'tite', '3-4'],
    ['bear', 'bear', '3-4'],
    ['5-2', 'odd', '5-2'],
    ['4-2 wide', 'wide', '4-2'],
    ['4-1', 'over', '4-1'],
  ])('%s is shaded %s', (word, shade, family) => {
    const s = stand('jumbo');
    const placed = placeFront(front(word), s.running);
    expect(frontShade(placed, s.running)).toBe(shade);
    expect(frontLook(placed, s, 5).family).toBe(family);
  });
  it('mirror with the strength, and nothing else changes', () => {
    for (const t of DEFAULT_BOOK.terms) {
      if (t.definition?.kind !== 'front') continue;
      const key = (d: Defender, sign: number) =>
        `${d.letter} ${d.level} ${d.depth} ${(d.x * sign).toFixed(1).replace('-0.0', '0.0')}`;
      expect(placeFront(t.definition.front, 'L').map((d) => key(d, -1))).toEqual(
        placeFront(t.definition.front, 'R').map((d) => key(d, 1)),
      );
      expect(frontShade(placeFront(t.definition.front, 'L'), 'L')).toBe(
        frontShade(placeFront(t.definition.front, 'R'), 'R'),
      );
    }
  });
});

describe('the box', () => {
  const s = stand('pro', 'i');
  it('ends two yards outside the end man and seven and a half deep, both counted; the line counts always', () => {
    const at = (x: number, depth: number) => inBox({ letter: 'B', x, depth, level: 'backer' }, s);
    expect([
      at(s.right.endOfLine + 2, 4),
      at(s.right.endOfLine + 2.1, 4),
      at(s.left.endOfLine - 2, 4),
      at(0, 7.5),
      at(0, 7.6),
      inBox({ letter: 'E', x: s.right.endOfLine + 5, depth: 1, level: 'edge' }, s),
    ]).toEqual([true, false, true, true, false, true]);
    expect(inBox({ letter: 'B', x: 0, depth: 8, level: 'backer' }, s, { ...DEFAULT_BOX, depth: 8 })).toBe(
      true,
    );
  });
  it('seven is even against 11 personnel and light against 22 (common practice)', () => {
    const eleven = stand('trey');
    const heavy = stand('heavy', 'i');
    const seven = placeFront(front('4-3 over'), 'R');
    expect(frontLook(seven, eleven, 5)).toMatchObject({ blockers: 6, verdict: 'even' });
    expect(frontLook(seven, heavy, 5)).toMatchObject({ blockers: 8, verdict: 'light' });
    expect([boxVerdict(6, 6), boxVerdict(7, 6), boxVerdict(8, 6)]).toEqual(['light', 'even', 'loaded']);
  });
});

it('covered: head-up or on the play-side shoulder; a back-side shade leaves him uncovered (common practice)', () => {
  const d = (x: number): Defender[] => [{ letter: 'T', x, depth: 1, level: 'down' }];
  const guard = { x: 1.6 };
  expect([1.6, 2.1, 1.1].map((x) => coveredBy(guard, d(x), 'R') !== null)).toEqual([true, true, false]);
  expect([1.6, 2.1, 1.1].map((x) => coveredBy(guard, d(x), 'L') !== null)).toEqual([true, false, true]);
  expect(coveredBy(guard, [{ letter: 'M', x: 1.6, depth: 4.5, level: 'backer' }], 'R')).toBeNull();
});
