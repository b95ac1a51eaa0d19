/** What the drawing board keeps of men as they stand, and gives back. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { COLLEGE, FLAG_FIVE, SEVEN_ON_SEVEN } from '../field';
import { lineUp, mirrorLineUp, shapeOf, structureKey, type Man } from '../look';
import {
  backfieldSpots,
  formationSpots,
  nearestFormations,
  retypeMen,
  SAME_FORMATION,
  typeFormation,
} from './index';
import { DEFAULT_BOOK } from './default-book';

const terms = (kind: string) => DEFAULT_BOOK.terms.filter((t) => t.kind === kind);
const place = (men: readonly Man[]) =>
  men.map((m) => `${m.letter} ${m.x.toFixed(2)} ${m.depth.toFixed(2)} ${m.onLine}`).sort();

describe('men → points → men', () => {
  it('is the same line-up for every formation and backfield, both ways round', () => {
    for (const f of terms('formation'))
      for (const b of terms('backfield'))
        for (const turn of [(m: Man[]) => m, mirrorLineUp]) {
          const men = turn(lineUp(f.spots!, 'R', b.spots!));
          const again = lineUp(formationSpots(men, COLLEGE), 'R', backfieldSpots(men));
          expect(place(again), `${f.word} ${b.word}`).toEqual(place(men));
        }
  });
  it('keeps linemen only where they stand elsewhere than usual', () => {
    const letters = (word: string) =>
      formationSpots(lineUp(terms('formation').find((t) => t.word === word)!.spots!, 'R', null), COLLEGE).map(
        (s) => s.letter,
      );
    expect(letters('doubles').filter((l) => l.length === 2)).toEqual([]);
    expect(letters('unbalanced').filter((l) => l.length === 2)).toEqual(['LT']);
  });
  it('leaves backs to the backfield, and takes one who went out', () => {
    const at = (word: string) =>
      formationSpots(lineUp(terms('formation').find((t) => t.word === word)!.spots!, 'R', null), COLLEGE)
        .map((s) => s.letter)
        .includes('T');
    expect([at('doubles'), at('empty')]).toEqual([false, true]);
  });
  it('typed words move whom they name and leave the rest; too many for the level, and the typed ones stay', () => {
    const doubles = lineUp(
      terms('formation').find((t) => t.word === 'doubles')!.spots!,
      'R',
      terms('backfield').find((t) => t.word === 'gun')!.spots!,
    );
    const moved = retypeMen(doubles, 'h tight l', DEFAULT_BOOK, COLLEGE);
    expect([moved.unknown, moved.men.length]).toEqual([[], 11]);
    expect(
      place(moved.men)
        .filter((p) => !place(doubles).includes(p))
        .map((p) => p[0]),
    ).toEqual(['H']);
    expect(moved.men.find((m) => m.letter === 'H')).toMatchObject({ x: -4.8, onLine: true });
    const three = lineUp(
      [
        { letter: 'X', x: -12, depth: 0.4, onLine: true },
        { letter: 'Z', x: 12, depth: 0.4, onLine: true },
        { letter: 'H', x: 6, depth: 1, onLine: false },
      ],
      'R',
      null,
      shapeOf(5),
    );
    const five = retypeMen(three, 'y slot l', DEFAULT_BOOK, FLAG_FIVE).men.map((m) => m.letter);
    expect([five.length, five.includes('Y'), five.includes('H')]).toEqual([5, true, false]);
    expect(retypeMen(doubles, 'h sideways', DEFAULT_BOOK, COLLEGE)).toMatchObject({
      unknown: ['h', 'sideways'],
    });
  });
  it('works with seven and five men; the snapper is not kept', () => {
    for (const profile of [SEVEN_ON_SEVEN, FLAG_FIVE])
      for (const f of terms('formation')) {
        const men = lineUp(f.spots!, 'R', null, shapeOf(profile.players));
        const spots = formationSpots(men, profile);
        expect(spots.some((s) => s.letter === 'C' || s.letter === 'Q')).toBe(false);
        expect(place(lineUp(spots, 'R', backfieldSpots(men), shapeOf(profile.players))), f.word).toEqual(
          place(men),
        );
      }
  });
});

describe('typed words', () => {
  it('of any formation of the book give that formation, with its side', () => {
    for (const f of terms('formation'))
      for (const phrase of [f.word, ...f.aliases])
        for (const [side, spoken] of [
          ['R', ''],
          ['R', ' r'],
          ['L', ' l'],
          ['L', ' left'],
        ] as const) {
          const typed = typeFormation(`${phrase}${spoken}`, DEFAULT_BOOK);
          expect(typed.unknown, phrase).toEqual([]);
          const turned = side === 'R' ? f.spots! : f.spots!.map((s) => ({ ...s, x: -s.x }));
          expect(place(lineUp(typed.spots, 'R', null)), phrase).toEqual(place(lineUp(turned, 'R', null)));
        }
  });
  it('never throw, and lose no word that was not understood', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.constantFrom(
            'trips',
            'r',
            'l',
            'h',
            'tight',
            'wing',
            'x-12',
            'y+3o2',
            'nonsense',
            'q',
            '',
            '+',
            'z',
            'on',
          ),
          { maxLength: 8 },
        ),
        (words) => {
          const typed = typeFormation(words.join(' '), DEFAULT_BOOK);
          expect(new Set(typed.spots.map((s) => s.letter)).size).toBe(typed.spots.length);
          if (words.includes('nonsense')) expect(typed.unknown).toContain('nonsense');
          expect(typed.spots.every((s) => Number.isFinite(s.x) && Number.isFinite(s.depth))).toBe(true);
        },
      ),
      { numRuns: 400, seed: 6 },
    );
  });
});

it('a man moved a yard or two is still the nearest to what he came from, and two structures are never one', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...terms('formation').map((t) => t.word)),
      fc.constantFrom('X', 'Z'),
      fc.double({ min: -0.4, max: 0.4, noNaN: true }),
      (word, letter, by) => {
        const men = lineUp(terms('formation').find((t) => t.word === word)!.spots!, 'R', null).map((m) =>
          m.letter === letter ? { ...m, x: m.x + by } : m,
        );
        const [best] = nearestFormations(men, DEFAULT_BOOK);
        expect([best!.term.word, best!.distance < SAME_FORMATION]).toEqual([word, true]);
      },
    ),
    { numRuns: 200, seed: 8 },
  );
  const keys = terms('formation').map((t) => structureKey(lineUp(t.spots!, 'R', null)));
  expect(new Set(keys).size).toBe(keys.length);
});
