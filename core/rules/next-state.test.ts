import { describe, expect, it } from 'vitest';
import { LEVEL_PROFILES } from '../field/profile';
import { explain } from './messages';
import { nextState } from './next-state';
import { SEQUENCES } from './sequences.fixture';

describe('sequences worked by hand before the engine', () => {
  it('are at least forty, half of them with a change of possession or a foul', () => {
    expect(SEQUENCES.length).toBeGreaterThanOrEqual(40);
    const hard = SEQUENCES.filter((q) =>
      q.steps.some(
        (s) =>
          (s.play.penalties ?? []).length > 0 ||
          (s.then.offense !== undefined && s.then.offense !== q.start.offense),
      ),
    );
    expect(hard.length).toBeGreaterThanOrEqual(SEQUENCES.length / 2);
  });

  for (const sequence of SEQUENCES) {
    it(`${sequence.name} (${sequence.rulebook})`, () => {
      let state = sequence.start;
      for (const { play, then } of sequence.steps) {
        const result = nextState(state, play, LEVEL_PROFILES[sequence.level]);
        expect(result.state).toMatchObject(then);
        expect(explain(result.steps).length).toBeGreaterThan(0);
        state = result.state;
      }
    });
  }
});
