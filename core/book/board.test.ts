import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { COLLEGE } from '../field';
import { landmarks, lineUp, shapeOf } from '../look';
import { newBoard, onBoard, type Board, type BoardEvent } from './board';
import { DEFAULT_BOOK } from './default-book';

const ground = { profile: COLLEGE, hash: 'M' as const };
const trips = DEFAULT_BOOK.terms.find((t) => t.kind === 'formation' && t.word === 'trips')!;
const start = () => newBoard(lineUp(trips.spots!, 'R', null, shapeOf(11)));
const after = (board: Board, ...events: BoardEvent[]): Board =>
  events.reduce((b, e) => onBoard(b, e, ground), board);
const man = (board: Board, letter: string) => board.men.find((m) => m.letter === letter)!;

describe('a formation on the board', () => {
  it('moves a man by half a yard, and with Shift from landmark to landmark', () => {
    const board = start();
    const { x } = man(board, 'H');
    expect(man(after(board, { type: 'step', letter: 'H', key: 'ArrowLeft', far: false }), 'H').x).toBeCloseTo(
      x - 0.5,
    );
    const far = man(after(board, { type: 'step', letter: 'H', key: 'ArrowRight', far: true }), 'H').x;
    expect(landmarks(COLLEGE, 'M').some((l) => Math.abs(l.x - far) < 0.05)).toBe(true);
    expect(far).toBeGreaterThan(x);
  });

  it('is one step back for a whole drag, however many moves it had', () => {
    const board = start();
    const dragged = after(
      board,
      { type: 'grab', letter: 'X' },
      { type: 'drag', x: -10, depth: 1, free: true },
      { type: 'drag', x: -12, depth: 2, free: true },
      { type: 'drop' },
    );
    expect(man(dragged, 'X')).toMatchObject({ x: -12, depth: 2, onLine: false });
    expect(after(dragged, { type: 'undo' }).men).toEqual(board.men);
  });

  it('draws a motion without moving anybody', () => {
    const board = after(start(), { type: 'motion' }, { type: 'grab', letter: 'H' });
    const drawn = after(
      board,
      { type: 'drag', x: 2, depth: 2, free: false },
      { type: 'drag', x: 2.1, depth: 2, free: false },
      { type: 'drag', x: -3, depth: 2, free: false },
      { type: 'drop' },
    );
    expect(drawn.men).toEqual(board.men);
    expect(drawn.trail!.path).toHaveLength(3);
    expect(after(drawn, { type: 'motion' }).trail).toBeNull();
  });

  it('says when there is nothing to undo or do again', () => {
    expect(after(start(), { type: 'undo' }).said).toBe('nothing to undo');
    expect(after(start(), { type: 'redo' }).said).toBe('nothing to redo');
  });

  it('keeps eleven men, each where he may stand, and undoes to the beginning and back', () => {
    const letters = start().men.map((m) => m.letter);
    const event: fc.Arbitrary<BoardEvent> = fc.oneof(
      fc.record({
        type: fc.constant('step' as const),
        letter: fc.constantFrom(...letters),
        key: fc.constantFrom('ArrowLeft', 'ArrowRight', 'ArrowUp', 'ArrowDown'),
        far: fc.boolean(),
      }),
      fc.constant({ type: 'mirror' } as const),
      fc.record({ type: fc.constant('grab' as const), letter: fc.constantFrom(...letters) }),
      fc.record({
        type: fc.constant('drag' as const),
        x: fc.integer({ min: -30, max: 30 }),
        depth: fc.integer({ min: -5, max: 20 }),
        free: fc.boolean(),
      }),
      fc.constant({ type: 'drop' } as const),
    );
    fc.assert(
      fc.property(fc.array(event, { maxLength: 40 }), (events) => {
        const board = start();
        const end = after(after(board, ...events), { type: 'drop' });
        expect(end.men.map((m) => m.letter).sort()).toEqual([...letters].sort());
        for (const m of end.men) expect(m.depth).toBeGreaterThan(0);
        const steps = end.past.length;
        const back = Array.from({ length: steps }).reduce<Board>((b) => after(b, { type: 'undo' }), end);
        expect(back.men).toEqual(board.men);
        const again = Array.from({ length: steps }).reduce<Board>((b) => after(b, { type: 'redo' }), back);
        expect(again.men).toEqual(end.men);
      }),
      { numRuns: 200, seed: 11 },
    );
  });
});
