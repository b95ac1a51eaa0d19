import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { findTerm } from '../book';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE, FLAG_FIVE, HIGH_SCHOOL, PROFESSIONAL, SEVEN_ON_SEVEN } from '../field';
import {
  FIVE,
  intoBoundary,
  legality,
  lineUp,
  LINE,
  mirrorLineUp,
  mirrorMen,
  passPath,
  peopleNote,
  receivers,
  runPath,
  SEVEN,
  structure,
  structureOf,
  structureWords,
} from './index';

const spots = (kind: 'formation' | 'backfield', word: string) => findTerm(DEFAULT_BOOK, kind, word)!.spots!;
const formations = DEFAULT_BOOK.terms.filter((t) => t.kind === 'formation');
const backfields = DEFAULT_BOOK.terms.filter((t) => t.kind === 'backfield');
const stand = (word: string, backfield = 'gun', side: 'L' | 'R' = 'R') =>
  lineUp(spots('formation', word), side, spots('backfield', backfield));
const of = (word: string, backfield = 'gun', side: 'L' | 'R' = 'R', field: 'L' | 'R' | null = null) =>
  structure(stand(word, backfield, side), field);

describe('formations of the default book (common practice)', () => {
  it.each([
    ['doubles', '2x2', null, ['pro']],
    ['spread', '2x2', null, ['twins', 'slot']],
    ['trips', '3x1', 'R', ['trips', 'slot']],
    ['trey', '3x1', 'R', ['trey', 'slot']],
    ['bunch', '3x1', 'R', ['trips', 'bunch']],
    ['pro', '2x1', 'R', ['pro']],
    ['twins', '2x1', 'R', ['twins', 'slot']],
    ['empty', '3x2', 'R', ['trips', 'slot']],
    ['quads', '4x1', 'R', ['quads', 'slot']],
    ['heavy', '2x1', 'R', ['pro']],
    ['cluster', '3x1', 'R', ['wing', 'trey', 'cluster']],
    ['tight doubles', '2x2', null, ['pro', 'condensed']],
    ['wing', '3x1', 'R', ['wing', 'trey']],
    ['stack', '2x2', null, ['twins', 'stack']],
  ])('%s is %s', (word, label, side, names) => {
    const s = of(word);
    expect([s.label, s.side]).toEqual([label, side]);
    expect(s.right.names).toEqual(names);
  });
  it('put eleven on the field with every backfield, five of them linemen', () => {
    for (const f of formations)
      for (const b of backfields) {
        const men = lineUp(f.spots!, 'R', b.spots!);
        expect(men.length, `${f.word} ${b.word}`).toBe(11);
        expect(men.filter((m) => m.role === 'line')).toHaveLength(5);
        expect(new Set(men.map((m) => m.letter)).size).toBe(11);
      }
  });
  it('are legal at every level, but for the one that covers a man on purpose (all three rulebooks, from memory)', () => {
    for (const f of formations)
      for (const profile of [HIGH_SCHOOL, COLLEGE, PROFESSIONAL]) {
        expect([
          f.word,
          legality(lineUp(f.spots!, 'R', spots('backfield', 'gun')), profile).map((n) => n.code),
        ]).toEqual([f.word, f.word === 'unbalanced trips' ? ['covered-end'] : []]);
      }
  });
  it('counts receivers outside-in', () => {
    expect(receivers(stand('trips')).right.map((m) => m.letter)).toEqual(['Z', 'Y', 'H']);
  });
});

describe('what follows from the points', () => {
  it('surface: guard and tackle 2, with a tight end 3, with a wing 4 (handbook); a gap more than men', () => {
    expect(
      [of('spread').right, of('pro').right, of('wing pro').right, of('triple').right].map((s) => [
        s.surface,
        s.gaps,
      ]),
    ).toEqual([
      [2, 3],
      [3, 4],
      [4, 5],
      [4, 5],
    ]);
  });
  it('a tight end right makes seven gaps: C, B, A and A, B, C, D (common practice)', () => {
    const s = of('pro', 'i');
    expect(s.left.gaps + s.right.gaps).toBe(7);
  });
  it('an unbalanced line has an extra gap where the tackle went, and says so', () => {
    const s = of('unbalanced');
    expect([s.balancedLine, s.right.gaps, s.left.gaps]).toEqual([false, 4, 3]);
    expect(structureWords(s)).toContain('unbalanced line');
  });
  it('a nub is a tight end alone on his side', () => {
    expect(of('nub trips').left.names).toEqual(['nub']);
    expect(of('trips').left.names).toEqual([]);
  });
  it('strength follows the staff’s order, and its first rule that names a side wins', () => {
    const men = stand('nub trips');
    expect(structure(men, 'L').passing).toBe('R');
    expect(structure(men, 'L', ['tight_end', 'receivers']).passing).toBe('L');
    expect(structure(men, 'L', ['field']).passing).toBe('L');
    // No rule names a side: the side written with the formation, then right.
    expect(structure(men, null, ['field'], { written: 'L' }).passing).toBe('L');
    expect(structure(men, null, ['field']).passing).toBe('R');
    expect(structure(stand('spread'), 'R').passing).toBe('R');
  });
  it('keeps all four strengths: they differ', () => {
    expect(of('nub trips', 'gun near', 'R', 'L').strengths).toEqual({
      receivers: 'R',
      tight_end: 'L',
      field: 'L',
      back: 'R',
    });
  });
  it('strength to the short side, or cannot say', () => {
    expect([
      intoBoundary('L', 'R'),
      intoBoundary('R', 'R'),
      intoBoundary(null, 'R'),
      intoBoundary('L', null),
    ]).toEqual([true, false, null, null]);
    expect(of('trips', 'gun', 'L', 'R').intoBoundary).toBe(true);
  });
  it.each([
    ['gun', 'gun', 'sidecar', 'L', false],
    ['gun near', 'gun', 'sidecar', 'R', false],
    ['gun wide', 'gun', 'sidecar', 'L', true],
    ['gun dot', 'gun', 'dot', null, false],
    ['pistol', 'pistol', 'dot', null, false],
    ['under', 'under', 'dot', null, false],
  ] as const)('backfield %s', (word, quarterback, set, backSide, cheated) => {
    expect(of('doubles', word).backfield).toMatchObject({ quarterback, set, backSide, cheated });
  });
  it.each([
    ['i', 'i'],
    ['offset i', 'offset i'],
    ['split backs', 'split'],
    ['pistol offset', 'offset i'],
  ] as const)('two backs: %s', (word, set) => {
    expect(of('pro', word).backfield.set).toBe(set);
  });
  it('says where the back stands: to or away from tight end, strength and field', () => {
    expect(of('trey', 'gun', 'R', 'R').back).toEqual({
      toTightEnd: false,
      toStrength: false,
      toField: false,
    });
    expect(of('trey', 'gun near', 'R', 'R').back).toEqual({
      toTightEnd: true,
      toStrength: true,
      toField: true,
    });
    expect(of('empty', 'gun', 'R', 'R').back).toEqual({ toTightEnd: null, toStrength: null, toField: null });
  });
});

describe('people and picture', () => {
  it('agree while tight ends flex and backs go out; more backs or more attached than there are is said', () => {
    expect([
      peopleNote('11', of('trey')),
      peopleNote('11', of('spread')),
      peopleNote('12', of('ace')),
      peopleNote('11', of('empty')),
      peopleNote(null, of('ace')),
      peopleNote('?', of('ace')),
    ]).toEqual([null, null, null, null, null, null]);
    expect(peopleNote('11', of('ace'))).toBe(
      '11 personnel has 1 tight end, the formation shows 2 attached to the line.',
    );
    expect(peopleNote('11', of('pro', 'i'))).toBe('11 personnel has 1 back, the formation shows 2.');
  });
  it('every formation of the book stands with the fewest people that fit it', () => {
    for (const f of formations)
      for (const b of backfields) {
        const s = structure(lineUp(f.spots!, 'R', b.spots!));
        const people = `${s.backfield.backs.length}${Math.min(5, s.left.attached.length + s.right.attached.length)}`;
        expect(peopleNote(people, s)).toBeNull();
      }
  });
});

describe('mirror', () => {
  const swap = (side: 'L' | 'R' | null) => (side === null ? null : side === 'L' ? 'R' : 'L');
  it('left and right swap and nothing else changes', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...formations),
        fc.constantFrom(...backfields),
        fc.constantFrom<'L' | 'R' | null>('L', 'R', null),
        (f, b, field) => {
          const men = lineUp(f.spots!, 'R', b.spots!);
          const a = structure(men, field, undefined, { written: 'R' });
          const m = structure(mirrorLineUp(men), swap(field), undefined, { written: 'L' });
          for (const [x, y] of [
            [a.left, m.right],
            [a.right, m.left],
          ] as const) {
            expect(y.receivers.map((r) => r.letter)).toEqual(x.receivers.map((r) => r.letter));
            expect([y.surface, y.gaps, y.names, y.endOfLine]).toEqual([
              x.surface,
              x.gaps,
              x.names,
              x.endOfLine === 0 ? 0 : -x.endOfLine,
            ]);
          }
          expect([m.label, m.side, m.passing, m.intoBoundary, m.back, m.balancedLine]).toEqual([
            a.label,
            swap(a.side),
            swap(a.passing),
            a.intoBoundary,
            a.back,
            a.balancedLine,
          ]);
          expect(m.backfield.set).toBe(a.backfield.set);
          expect(
            lineUp(f.spots!, 'L', b.spots!)
              .map((x) => `${x.letter}${x.x}`)
              .sort(),
          ).toEqual(
            mirrorLineUp(men)
              .map((x) => `${x.letter}${x.x}`)
              .sort(),
          );
        },
      ),
      { numRuns: 400, seed: 1 },
    );
    expect(mirrorMen(mirrorMen(LINE))).toEqual(LINE);
  });
  it('receivers of both sides, backs and linemen are all the eleven', () => {
    for (const f of formations)
      for (const b of backfields) {
        const men = lineUp(f.spots!, 'R', b.spots!);
        const s = structure(men);
        expect(s.left.count + s.right.count + s.backfield.backs.length + 6, `${f.word} ${b.word}`).toBe(11);
        expect(structureOf(s.left.count, s.right.count).label).toBe(s.label);
      }
  });
});

describe('legality warns, never blocks', () => {
  const move = (word: string, letter: string, to: Partial<{ x: number; depth: number; onLine: boolean }>) =>
    stand(word, 'gun').map((m) => (m.letter === letter ? { ...m, ...to } : m));
  it('too many in the backfield, by the rule of each level', () => {
    const men = move('doubles', 'X', { onLine: false });
    expect(legality(men, COLLEGE).map((n) => n.code)).toEqual(['backs', 'ends']);
    expect(legality(men, PROFESSIONAL).map((n) => n.code)).toEqual(['on-line', 'ends']);
    expect(legality(men, COLLEGE)[0]!.sentence).toBe(
      '5 in the backfield; at most four may be (college 2026, from memory)',
    );
  });
  it('a covered end, and ten men', () => {
    expect(legality(move('doubles', 'Z', { onLine: true }), HIGH_SCHOOL).map((n) => n.code)).toEqual([
      'covered-end',
    ]);
    expect(legality(stand('doubles').slice(0, 10), COLLEGE).map((n) => n.code)).toContain('men');
  });
});

describe('games without a line', () => {
  it('seven-on-seven: a snapper, a quarterback, five who may catch', () => {
    const men = lineUp(spots('formation', 'trips'), 'R', spots('backfield', 'gun'), SEVEN);
    expect(men.map((m) => m.letter).sort()).toEqual(['C', 'H', 'Q', 'T', 'X', 'Y', 'Z']);
    expect(structure(men)).toMatchObject({ label: '3x1', side: 'R' });
    expect(legality(men, SEVEN_ON_SEVEN)).toEqual([]);
    expect(legality(stand('trips'), SEVEN_ON_SEVEN).map((n) => n.code)).toEqual(['men']);
  });
  it('five-a-side: the center may catch and counts on neither side', () => {
    const men = lineUp(spots('formation', 'spread'), 'R', spots('backfield', 'gun'), FIVE);
    expect(men).toHaveLength(5);
    expect(men.find((m) => m.letter === 'C')!.role).toBe('eligible');
    expect(structure(men).label).toBe('2x1');
    expect(legality(men, FLAG_FIVE)).toEqual([]);
  });
});

it('arrows of a drawing start at the carrier or the target, and end past the line on their side', () => {
  for (const side of ['L', 'R'] as const) {
    const run = runPath(stand('pro', 'i'), side);
    expect(run[0]).toEqual([0, -7.2]);
    for (const path of [run, passPath(stand('trips'), side)]) {
      expect(Math.sign(path[path.length - 1]![0])).toBe(side === 'L' ? -1 : 1);
      expect(path[path.length - 1]![1]).toBeGreaterThan(0);
    }
  }
});
