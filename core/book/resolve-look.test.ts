/** Words → look: what is not tagged, none or not visible gives nothing; a changed meaning changes everything. */
import { describe, expect, it } from 'vitest';
import { COLLEGE, HIGH_SCHOOL } from '../field';
import { defenderWords, DEFAULT_LOOK_SETTINGS, lookSentences } from '../look';
import { NONE, UNSEEN, type SnapFields } from '../snap';
import { drawSnap, lookInput, lookOf, presentationOf, type Book } from './index';
import { DEFAULT_BOOK } from './default-book';

const SNAP: SnapFields = {
  formation: 'trips',
  formationSide: 'R',
  backfield: 'gun',
  front: '4-2 over',
  coverage: 'cover 3',
  play: 'run',
  concept: 'inside zone',
  direction: 'R',
  hash: 'L',
};
const look = (more: SnapFields = {}, book: Book = DEFAULT_BOOK) =>
  lookOf(book, { ...SNAP, ...more }, COLLEGE);

describe('blank, none and not visible', () => {
  it.each([['formation', [null, NONE, UNSEEN, 'no such word']]] as const)(
    '%s: no look at all, nobody is placed by guess',
    (field, values) => {
      for (const v of values) expect(look({ [field]: v })).toBeNull();
    },
  );
  it('coverage unseen: the front still stands, nothing is said of the deep', () => {
    for (const coverage of [null, UNSEEN, NONE, 'no such word']) {
      const l = look({ coverage })!;
      expect([l.defense!.front!.family, l.defense!.coverage]).toEqual(['4-2', null]);
      expect(
        lookSentences(l, DEFAULT_LOOK_SETTINGS)
          .map((s) => s.text)
          .join(' '),
      ).not.toMatch(/deep,|middle/);
    }
  });
  it('neither front nor coverage: no defense is drawn, no box counted', () => {
    const l = look({ front: UNSEEN, coverage: null })!;
    expect([l.defense, l.ledger, l.perimeter]).toEqual([null, null, null]);
  });
  it('no direction: the run has no side, so no hats are counted', () => {
    for (const direction of [null, NONE, UNSEEN])
      expect(look({ direction } as SnapFields)!.ledger).toBeNull();
  });
  it('pressure none is said, pressure blank is not known', () => {
    expect(lookInput(DEFAULT_BOOK, { ...SNAP, pressure: NONE }, COLLEGE).pressure).toBeNull();
    expect(lookInput(DEFAULT_BOOK, { ...SNAP, pressure: null }, COLLEGE).pressure).toBeUndefined();
    expect(lookInput(DEFAULT_BOOK, { ...SNAP, pressure: UNSEEN }, COLLEGE).pressure).toBeUndefined();
  });
  it('a motion without its mover changes nothing', () => {
    expect(presentationOf(DEFAULT_BOOK, { ...SNAP, motion: 'jet' })).toMatchObject({
      motion: 'fast across',
      motionBy: null,
    });
    expect(look({ motion: 'jet' })!.offense.path).toBeNull();
    expect(look({ motion: NONE, motionBy: 'H' })!.offense.path).toBeNull();
  });
});

describe('a run-pass option', () => {
  it('holds the man over its receiver, at most one', () => {
    const rpo = look({ play: 'rpo', conceptWeak: 'bubble' })!.ledger!;
    const plain = look()!.ledger!;
    expect(rpo.defense.filter((e) => e.by === 'option')).toHaveLength(1);
    expect(plain.defense.filter((e) => e.by === 'option')).toHaveLength(0);
    expect(rpo.heldByOption).toBeLessThanOrEqual(1);
  });
  it('a pass has no hats at a point of attack', () => {
    expect(look({ play: 'pass', concept: 'stick' })!.ledger).toBeNull();
  });
});

describe('meaning governs', () => {
  const change = (id: string, more: object): Book => ({
    ...DEFAULT_BOOK,
    terms: DEFAULT_BOOK.terms.map((t) => (t.id === id ? { ...t, ...more } : t)),
  });
  it('a formation drawn anew is counted anew, from the same logged word', () => {
    const moved = change('formation-trips', {
      spots: [
        { letter: 'X', x: -16, depth: 0.3, onLine: true },
        { letter: 'H', x: -9, depth: 1, onLine: false },
        { letter: 'Y', x: 11, depth: 0.3, onLine: true },
        { letter: 'Z', x: 16, depth: 1, onLine: false },
      ],
    });
    expect([look()!.offense.set.label, look({}, moved)!.offense.set.label]).toEqual(['3x1', '2x2']);
  });
  it('an alias, another case and stray blanks mean the word', () => {
    for (const formation of ['3x1', 'Trips', ' trips  '])
      expect(look({ formation })!.offense.set.label).toBe('3x1');
  });
  it('a word without a drawing gives a drawing of nobody but line and backfield, and says so', () => {
    const bare = change('formation-trips', { spots: undefined });
    expect(look({}, bare)).toBeNull();
    expect(drawSnap(bare, SNAP, 'L', COLLEGE).words).toBe('trips right, gun: not drawn in the book');
  });
  it('the level moves the short side: 17.8 yards in high school, 20 in college (rulebooks, from memory)', () => {
    const said = (profile: typeof COLLEGE) =>
      lookSentences(lookOf(DEFAULT_BOOK, SNAP, profile)!, DEFAULT_LOOK_SETTINGS, {
        field: 'R',
        boundaryYards: profile.hashToSideline,
      }).at(-1)?.text;
    expect([said(HIGH_SCHOOL), said(COLLEGE)]).toEqual([
      'Short side left, 17.8 yards.',
      'Short side left, 20.0 yards.',
    ]);
  });
  it('another school of numbers says the same man otherwise', () => {
    const nine = look({ formation: 'pro', backfield: 'i', front: '5-2', concept: 'iso' })!;
    const end = nine.defense!.men.find((d) => d.x > 5 && d.level === 'down')!;
    expect((['A', 'B', 'C'] as const).map((school) => defenderWords(end, school))).toEqual([
      '9 technique right',
      '9 technique right',
      '7 technique right',
    ]);
  });
});
