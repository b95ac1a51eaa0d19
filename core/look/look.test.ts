import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULT_BOOK, findTerm } from '../book';
import { afterMotion, intoBoundary, lineUp, LINE, mirrorMen, motionPath, receivers, runPath, structureOf } from './index';

const term = (kind: 'formation' | 'backfield', word: string) => findTerm(DEFAULT_BOOK, kind, word);
const formations = DEFAULT_BOOK.terms.filter((t) => t.kind === 'formation');
const backfields = DEFAULT_BOOK.terms.filter((t) => t.kind === 'backfield');
const label = (word: string, side: 'L' | 'R' = 'R') => { const r = receivers(lineUp(term('formation', word), side, term('backfield', 'gun'))); return structureOf(r.left.length, r.right.length); };

describe('formations of the default book (common practice)', () => {
  it.each([['doubles', '2x2', null], ['spread', '2x2', null], ['trips', '3x1', 'R'], ['trey', '3x1', 'R'], ['bunch', '3x1', 'R'], ['pro', '2x1', 'R'], ['twins', '2x1', 'R'], ['empty', '3x2', 'R'], ['quads', '4x1', 'R'], ['heavy', '2x1', 'R']])('%s is %s', (word, structure, side) => {
    expect(label(word)).toMatchObject({ label: structure, side });
  });
  it('put eleven on the field with every backfield, five of them linemen', () => {
    for (const f of formations) for (const b of backfields) {
      const men = lineUp(f, 'R', b);
      expect(men.length, `${f.word} ${b.word}`).toBe(11);
      expect(men.filter((m) => m.role === 'line')).toHaveLength(5);
      expect(new Set(men.map((m) => m.letter)).size).toBe(11);
    }
  });
  it('are legal from the gun: at most four backs, seven on the line, its ends eligible (all three rulebooks, from memory)', () => {
    for (const f of formations) {
      const men = lineUp(f, 'R', term('backfield', 'gun'));
      const line = men.filter((m) => m.onLine).sort((a, b) => a.x - b.x);
      expect([f.word, men.length - line.length <= 4, line.length >= 7, line[0]!.role, line[line.length - 1]!.role]).toEqual([f.word, true, true, 'eligible', 'eligible']);
    }
  });
  it('mirror: left and right swap and nothing else changes', () => {
    fc.assert(fc.property(fc.constantFrom(...formations), fc.constantFrom(...backfields), (f, b) => {
      const right = receivers(lineUp(f, 'R', b));
      const left = receivers(lineUp(f, 'L', b));
      expect(left.left.map((m) => m.letter)).toEqual(right.right.map((m) => m.letter));
      expect(left.right.map((m) => m.letter)).toEqual(right.left.map((m) => m.letter));
      expect(mirrorMen(mirrorMen(LINE))).toEqual(LINE);
    }), { numRuns: 200, seed: 1 });
  });
  it('counts receivers outside-in', () => {
    const { right } = receivers(lineUp(term('formation', 'trips'), 'R', null));
    expect(right.map((m) => m.letter)).toEqual(['Z', 'Y', 'H']);
  });
});

describe('motion', () => {
  const men = lineUp(term('formation', 'trips'), 'R', term('backfield', 'gun'));
  it('across the ball makes 3x1 into 2x2', () => {
    const r = receivers(afterMotion(men, 'H', 'L'));
    expect([r.left.length, r.right.length]).toEqual([2, 2]);
    expect(r.left.map((m) => m.letter)).toEqual(['X', 'H']);
  });
  it('of a man who is not there, or of nobody, changes nothing', () => {
    expect(afterMotion(men, null, 'L')).toEqual(men);
    expect(afterMotion(men, 'S', 'L')).toEqual(men);
    expect(motionPath(men, 'S', 'L')).toBeNull();
  });
});

it('a run starts at the deepest back and ends past the line on its side', () => {
  for (const side of ['L', 'R'] as const) {
    const path = runPath(lineUp(term('formation', 'pro'), 'R', term('backfield', 'i')), side);
    expect(path[0]).toEqual([0, -7.2]);
    expect(Math.sign(path[path.length - 1]![0])).toBe(side === 'L' ? -1 : 1);
    expect(path[path.length - 1]![1]).toBeGreaterThan(0);
  }
});

it('strength into the short side, or cannot say', () => {
  expect([intoBoundary('L', 'R'), intoBoundary('R', 'R'), intoBoundary(null, 'R'), intoBoundary('L', null)]).toEqual([true, false, null, null]);
});
