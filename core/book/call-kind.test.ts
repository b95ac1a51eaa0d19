import { describe, expect, it } from 'vitest';
import { callKind } from './call-kind';
import { DEFAULT_BOOK } from './default-book';

const of = (concept: string | null, play: 'run' | 'pass' | 'rpo' | null) =>
  callKind(DEFAULT_BOOK, { concept, play } as Parameters<typeof callKind>[1]);

describe('what a call is by its word', () => {
  // Facts of the trade, common practice.
  it.each([
    ['inside zone', 'run', null, 'inside run'],
    ['power', 'run', null, 'off tackle'],
    ['stretch', 'run', null, 'perimeter'],
    ['stick', 'pass', 'quick', 'quick pass'],
    ['bubble', 'pass', 'screen', 'perimeter'],
    ['back screen', 'pass', 'screen', 'screen'],
    ['tunnel screen', 'pass', 'screen', 'screen'],
    ['four verticals', 'pass', 'drop-back', 'vertical'],
    ['switch verticals', 'pass', 'drop-back', 'vertical'],
    // Somebody clears deep; the ball goes underneath.
    ['mesh', 'pass', 'drop-back', 'drop-back pass'],
    ['smash', 'pass', 'drop-back', 'drop-back pass'],
    ['angle', 'pass', 'drop-back', 'drop-back pass'],
    ['curl-flat', 'pass', 'drop-back', 'drop-back pass'],
    ['hitch and go', 'pass', 'shot', 'vertical'],
    ['boot', 'pass', 'boot', 'perimeter'],
    ['triple option', 'run', null, 'perimeter'],
  ] as const)('%s, called %s: %s, %s', (word, play, passType, attack) => {
    expect(of(word, play)).toMatchObject({ passType, attack });
  });
  // Gaps outward from the center, common practice.
  it.each([
    ['dive', 'A'],
    ['trap', 'A'],
    ['power', 'C'],
    ['counter', 'C'],
    ['stretch', 'D'],
    ['stick', null],
  ] as const)('%s aims at %s', (word, gap) => {
    expect(of(word, gap === null ? 'pass' : 'run').gap).toBe(gap);
  });
  it('says nothing of a word that the book does not have, or of none', () => {
    expect(of('no such word', 'pass')).toEqual({ passType: null, attack: null, gap: null });
    expect(of(null, 'run')).toEqual({ passType: null, attack: null, gap: null });
  });
  it('every run and pass of the general book is of a kind', () => {
    for (const { kind, word, definition } of DEFAULT_BOOK.terms)
      if (definition && (kind === 'run' || kind === 'pass')) {
        const said = of(word, kind);
        expect(said.attack, word).not.toBeNull();
        expect(said.passType === null, word).toBe(kind === 'run');
        expect(said.gap === null, word).toBe(kind === 'pass');
      }
  });
});
