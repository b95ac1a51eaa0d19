/** The call mix against games whose answer is known, against the solver's own example, and against a plain search. */
import loadHighs from 'highs';
import { describe, expect, it, vi } from 'vitest';
import { against, mixProgram } from '@/core/plan';
import { uniform } from '@/core/stats/uniform';

vi.mock('server-only', () => ({}));

const solve = async (payoff: readonly (readonly number[])[]) =>
  (await import('./solve-mix')).solveMix(payoff);
const sure = (payoff: readonly (readonly number[])[], mix: readonly number[]) =>
  Math.min(...against(payoff, mix));

it('the solver gives the optimum of the example in its own documentation, 87.5', async () => {
  const highs = await loadHighs();
  const solution = highs.solve(
    [
      'Maximize',
      ' obj: x1 + 2 x2 + 4 x3 + x4',
      'Subject To',
      ' c1: - x1 + x2 + x3 + 10 x4 <= 20',
      ' c2: x1 - 4 x2 + x3 <= 30',
      ' c3: x2 - 0.5 x4 = 0',
      'Bounds',
      ' 0 <= x1 <= 40',
      ' 2 <= x4 <= 3',
      'End',
      '',
    ].join('\n'),
  );
  expect([solution.Status, solution.ObjectiveValue]).toEqual(['Optimal', 87.5]);
});

describe('closed-form games (von Neumann 1928; common textbook examples, from memory)', () => {
  it('matching pennies: half and half, sure of a half', async () => {
    const pennies = [
      [1, 0],
      [0, 1],
    ];
    const mix = await solve(pennies);
    expect(mix[0]).toBeCloseTo(0.5, 9);
    expect(sure(pennies, mix)).toBeCloseTo(0.5, 9);
  });
  it('stone, scissors, paper: a third each', async () => {
    const game = [
      [0.5, 1, 0],
      [0, 0.5, 1],
      [1, 0, 0.5],
    ];
    for (const x of await solve(game)) expect(x).toBeCloseTo(1 / 3, 9);
  });
  it('two by two without a saddle: (d − c) / (a − b − c + d), value (ad − bc) / (a − b − c + d)', async () => {
    const [a, b, c, d] = [0.8, 0.3, 0.4, 0.6];
    const game = [
      [a, b],
      [c, d],
    ];
    const mix = await solve(game);
    expect(mix[0]).toBeCloseTo((d - c) / (a - b - c + d), 8);
    expect(sure(game, mix)).toBeCloseTo((a * d - b * c) / (a - b - c + d), 8);
  });
  it('a saddle point: one call alone; a call that is worse against every look is never called', async () => {
    const mix = await solve([
      [0.6, 0.5],
      [0.4, 0.3],
      [0.59, 0.49],
    ]);
    expect(mix.map((x) => Math.round(1e6 * x))).toEqual([1e6, 0, 0]);
  });
});

it('no other mix is sure of more: two calls against any number of looks, every crossing of their lines tried', async () => {
  const random = uniform(11);
  for (let i = 0; i < 60; i++) {
    const looks = 1 + Math.floor(random() * 8);
    const game = [0, 1].map(() => Array.from({ length: looks }, () => random()));
    const tried = [0, 1];
    for (let j = 0; j < looks; j++)
      for (let k = j + 1; k < looks; k++) {
        const [dj, dk] = [game[0]![j]! - game[1]![j]!, game[0]![k]! - game[1]![k]!];
        const x = (game[1]![k]! - game[1]![j]!) / (dj - dk);
        if (x > 0 && x < 1) tried.push(x);
      }
    const best = Math.max(...tried.map((x) => sure(game, [x, 1 - x])));
    expect(sure(game, await solve(game))).toBeCloseTo(best, 7);
  }
});

it('theirs, solved as ours from their side, is worth the same (minimax theorem)', async () => {
  const random = uniform(5);
  for (let i = 0; i < 20; i++) {
    const game = Array.from({ length: 5 }, () => Array.from({ length: 4 }, () => random()));
    const theirs = game[0]!.map((_, j) => game.map((row) => 1 - row[j]!));
    expect(sure(game, await solve(game))).toBeCloseTo(1 - sure(theirs, await solve(theirs)), 7);
  }
});

it('the program is written so that any solver reads it', () => {
  expect(mixProgram([[0.5, 0.25]])).toContain(' look1: + 0.250000000 x0 - v >= 0');
});
