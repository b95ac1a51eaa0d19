import 'server-only';
import loadHighs from 'highs';
import { mixProgram } from '@/core/plan';
import { keptInProcess } from '@/store/process';

/** The mix that is sure of the most: shares that sum to 1. */
export async function solveMix(payoff: readonly (readonly number[])[]): Promise<number[]> {
  const highs = await keptInProcess('highs', () => loadHighs());
  const solution = highs.solve(mixProgram(payoff));
  if (solution.Status !== 'Optimal') throw new Error(`call mix: ${solution.Status}`);
  // A basis solution may lie an epsilon outside its bounds.
  const mix = payoff.map((_, i) => Math.max(0, (solution.Columns[`x${i}`] as { Primal: number }).Primal));
  const sum = mix.reduce((a, b) => a + b, 0);
  return mix.map((x) => x / sum);
}
