import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SNAP_FIELDS } from '../snap';
import {
  editDistance,
  findTerm,
  KIND_FIELD,
  normalizePhrase,
  parseSpots,
  phraseFault,
  phrasesOf,
  planMerge,
  storedValue,
  termIndex,
  TERM_KINDS,
} from './index';
import { DEFAULT_BOOK } from './default-book';
import { readBook } from './book-json';
import { writeBook } from './term';

describe('the default book', () => {
  it('says no word twice within a kind, and none that the line needs for itself', () => {
    for (const term of DEFAULT_BOOK.terms) {
      for (const phrase of phrasesOf(term)) {
        expect(phraseFault(DEFAULT_BOOK, term.kind, phrase, term.id)).toBeNull();
      }
    }
  });

  it('has words of every kind, each for a field that exists', () => {
    for (const kind of TERM_KINDS) {
      expect(DEFAULT_BOOK.terms.filter((t) => t.kind === kind).length).toBeGreaterThanOrEqual(5);
      expect(SNAP_FIELDS[KIND_FIELD[kind].field]).toBeDefined();
    }
  });

  it('gives every term an id of its own', () => {
    expect(new Set(DEFAULT_BOOK.terms.map((t) => t.id)).size).toBe(DEFAULT_BOOK.terms.length);
  });

  it('keeps side words out of its letters', () => {
    for (const letter of ['L', 'R', 'M']) expect(DEFAULT_BOOK.letters).not.toContain(letter);
  });
});

describe('a phrase', () => {
  it.each([
    ['', 'empty'],
    ['  ', 'empty'],
    ['a=b', 'reserved'],
    ['a/b', 'reserved'],
    ['say "x"', 'reserved'],
    ['..', 'reserved'],
    ['r', 'reserved'],
    ['who?', 'reserved'],
  ])('“%s” is %s', (phrase, code) => {
    expect(phraseFault(DEFAULT_BOOK, 'tag', phrase, null)?.code).toBe(code);
  });

  it('may stand in two kinds, not twice in one', () => {
    expect(phraseFault(DEFAULT_BOOK, 'run', 'cover 3', null)).toBeNull();
    expect(phraseFault(DEFAULT_BOOK, 'coverage', 'THREE  deep', null)).toMatchObject({
      code: 'twice',
      other: 'cover 3',
    });
  });

  it('is compared without case and extra blanks', () => {
    expect(normalizePhrase('  Cover   3 ')).toBe('cover 3');
  });
});

describe('merging', () => {
  const id = (word: string) => DEFAULT_BOOK.terms.find((t) => t.word === word)!.id;

  it('keeps one word and every way of saying both', () => {
    const plan = planMerge(DEFAULT_BOOK, id('snag'), id('stick'))!;
    expect(plan).toMatchObject({ field: 'concept', from: 'stick', to: 'snag' });
    expect(plan.book.terms).toHaveLength(DEFAULT_BOOK.terms.length - 1);
    expect(termIndex(plan.book).byPhrase.get('stick')?.[0]?.word).toBe('snag');
    expect(termIndex(plan.book).byPhrase.get('spot')?.[0]?.word).toBe('snag');
  });

  it('refuses a word with itself, with another kind, or with nothing', () => {
    expect(planMerge(DEFAULT_BOOK, id('snag'), id('snag'))).toBeNull();
    expect(planMerge(DEFAULT_BOOK, id('snag'), id('trips'))).toBeNull();
    expect(planMerge(DEFAULT_BOOK, id('snag'), 'no such id')).toBeNull();
  });
});

describe('nearest words', () => {
  it.each([
    ['pwoer', 'power', 1],
    ['trps', 'trips', 1],
    ['kitten', 'sitting', 3],
    ['', 'ab', 2],
    ['same', 'same', 0],
  ])('%s is near %s by %i', (a, b, distance) => {
    expect(editDistance(a, b)).toBe(distance);
  });

  it('is symmetric and stops above its limit', () => {
    const word = fc.string({ unit: fc.constantFrom('a', 'b', 'c'), maxLength: 7 });
    fc.assert(
      fc.property(word, word, (a, b) => {
        expect(editDistance(a, b, 9)).toBe(editDistance(b, a, 9));
        expect(editDistance(a, b, 1)).toBe(
          Math.min(2, editDistance(a, b, 9)) === 2 ? editDistance(a, b, 1) : editDistance(a, b, 9),
        );
        expect(editDistance(a, b, 9)).toBeLessThanOrEqual(Math.max(a.length, b.length));
      }),
      { seed: 1, numRuns: 300 },
    );
  });
});

describe('book.json', () => {
  it('comes back as it was written', () => {
    expect(readBook(writeBook(DEFAULT_BOOK))).toEqual({ ok: true, book: DEFAULT_BOOK });
  });

  it.each([
    ['nonsense', /not JSON/],
    ['{}', /name/],
    [
      JSON.stringify({ ...DEFAULT_BOOK, terms: [{ id: 'x', kind: 'no such kind', word: 'x', aliases: [] }] }),
      /terms\.0\.kind/,
    ],
  ])('refuses %s', (text, remedy) => {
    const read = readBook(text.slice(0, 100_000));
    expect(read.ok).toBe(false);
    if (!read.ok) expect(read.remedy).toMatch(remedy);
  });
});

it('finds a term by its word, alias or stored value', () => {
  expect(findTerm(DEFAULT_BOOK, 'formation', '3x1')?.word).toBe('trips');
  expect(findTerm(DEFAULT_BOOK, 'rotation', 'field')?.word).toBe('to field');
  expect(findTerm(DEFAULT_BOOK, 'formation', null)).toBeNull();
  expect(storedValue(findTerm(DEFAULT_BOOK, 'rotation', 'to field')!)).toBe('field');
});

it('reads spots, and says which one it cannot', () => {
  expect(parseSpots('X-16 H+6o1.5')).toEqual([
    { letter: 'X', x: -16, depth: 0.3, onLine: true },
    { letter: 'H', x: 6, depth: 1.5, onLine: false },
  ]);
  expect(() => parseSpots('X16 h')).toThrow('"h"');
});
