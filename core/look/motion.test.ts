import { describe, expect, it } from 'vitest';
import { findTerm } from '../book';
import { DEFAULT_BOOK } from '../book/default-book';
import {
  atSnap,
  lineUp,
  MOTION_KINDS,
  motionChange,
  motionPath,
  receivers,
  recognizeMotion,
  structure,
  type MotionKind,
} from './index';

const stand = (word: string, backfield = 'gun', side: 'L' | 'R' = 'R') =>
  lineUp(
    findTerm(DEFAULT_BOOK, 'formation', word)!.spots!,
    side,
    findTerm(DEFAULT_BOOK, 'backfield', backfield)!.spots!,
  );
const move = (
  word: string,
  letter: string,
  kind: MotionKind,
  side: 'L' | 'R' | null = null,
  backfield = 'gun',
) => {
  const men = stand(word, backfield);
  const path = motionPath(men, letter, kind, side)!;
  return { men, path, after: atSnap(men, letter, path) };
};

describe('a motion re-counts', () => {
  it('trips right, H jets: 3x1 becomes 2x2 (the snap line’s own example)', () => {
    const { men, after } = move('trips', 'H', 'fast across');
    const c = motionChange(men, after);
    expect([c.before, c.after, c.strengthBefore, c.strengthAfter]).toEqual(['3x1', '2x2', 'R', null]);
    expect(c.numbers).toEqual([{ letter: 'H', before: 'right #3', after: 'left #2' }]);
  });
  it('trips into the boundary, the slot crosses: boundary 1, 2, 3 become 1, 2, field 1 becomes 1, 2 (common practice)', () => {
    const { after } = move('trips', 'Y', 'fast across');
    expect(receivers(after).right.map((m) => m.letter)).toEqual(['Z', 'H']);
    expect(receivers(after).left.map((m) => m.letter)).toEqual(['X', 'Y']);
  });
  it('across wide makes the mover #1 and pushes the others in', () => {
    const { men, after } = move('doubles', 'H', 'across wide');
    expect(motionChange(men, after).numbers).toEqual([
      { letter: 'H', before: 'left #2', after: 'right #1' },
      { letter: 'Y', before: 'right #2', after: 'right #3' },
      { letter: 'Z', before: 'right #1', after: 'right #2' },
    ]);
  });
  it('behind and back ends on the starting side', () => {
    const { men, after } = move('doubles', 'H', 'behind and back');
    expect(receivers(after).left).toHaveLength(receivers(men).left.length);
  });
  it('the back out to empty leaves nobody in the backfield', () => {
    expect(structure(move('trips', 'T', 'to empty').after).empty).toBe(true);
    expect(structure(move('pro', 'F', 'back out', 'R', 'split backs').after).backfield.backs).toHaveLength(1);
  });
  it('a trade takes the tight end to the other tackle: strength flips', () => {
    const men = stand('pro', 'i');
    const path = motionPath(men, 'Y', 'trade', null)!;
    expect([
      structure(men).strengths.tight_end,
      structure(atSnap(men, 'Y', path)).strengths.tight_end,
    ]).toEqual(['R', 'L']);
  });
  it('of a man who is not there, or of nobody, changes nothing', () => {
    const men = stand('trips');
    expect(motionPath(men, 'S', 'fast across', 'L')).toBeNull();
    expect(motionPath(men, null, 'fast across', 'L')).toBeNull();
    expect(atSnap(men, null, null)).toEqual(men);
  });
});

describe('a kind is known from its path', () => {
  it.each([
    ['fast across', 'trips', 'H', null, 'gun'],
    ['across wide', 'doubles', 'H', null, 'gun'],
    ['behind and on', 'doubles', 'Z', null, 'gun'],
    ['behind and back', 'doubles', 'Z', null, 'gun'],
    ['in and out', 'doubles', 'Z', null, 'gun'],
    ['short', 'doubles', 'Z', null, 'gun'],
    ['out', 'trips', 'H', null, 'gun'],
    ['to empty', 'trips', 'T', 'L', 'gun'],
    ['back out', 'pro', 'F', 'R', 'split backs'],
    ['trade', 'pro', 'Y', null, 'i'],
    ['shift', 'trips', 'T', 'R', 'gun'],
  ] as const)('%s', (kind, formation, letter, side, backfield) => {
    const { men, path } = move(formation, letter, kind, side, backfield);
    expect(recognizeMotion(men, letter, path)).toBe(kind);
  });
  it('covers every kind there is', () => {
    expect(MOTION_KINDS).toHaveLength(11);
  });
  it('several movers are a shift; nobody is nothing', () => {
    const { men, path } = move('trips', 'H', 'fast across');
    expect(recognizeMotion(men, 'H', path, 3)).toBe('shift');
    expect(
      recognizeMotion(men, 'H', [
        [6, -1],
        [6.2, -1],
      ]),
    ).toBeNull();
    expect(recognizeMotion(men, 'S', path)).toBeNull();
  });
});
