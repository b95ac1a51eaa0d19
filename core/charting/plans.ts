/** Charting plans: which passes a film is charted in, and which fields each asks. A staff's own may stand for an opponent. */
import { CHART_PASSES, HOUR_PASS, passOf, type ChartPass } from './passes';
import { planSchema } from './schema';

export interface ChartPlan {
  readonly id: string;
  readonly name: string;
  readonly passes: readonly ChartPass[];
}
const of = (id: string, name: string, passes: readonly string[]): ChartPlan => ({
  id,
  name,
  passes: passes.map((p) => passOf(p)!),
});
export const SHIPPED_PLANS: readonly ChartPlan[] = [
  { id: 'all', name: 'Everything', passes: CHART_PASSES },
  of('offense', 'Their offense', ['offense', 'timing', 'runs', 'throws', 'protection']),
  of('defense', 'Their defense', ['front', 'corners']),
  of('special', 'Special teams', ['kicks']),
  of('own', 'Own film', ['own', 'offense', 'runs', 'throws', 'protection', 'front']),
  { id: 'hour', name: 'One hour', passes: [HOUR_PASS] },
];

/** Plans by team, as they are stored. */
export type StoredPlans = Readonly<Record<string, ChartPlan>>;

/** The plan for the first of the teams that has one; else everything. What cannot be read is not there. */
export function planFor(stored: unknown, teams: readonly (string | null)[]): ChartPlan {
  for (const team of teams) {
    const plan = team === null ? undefined : (stored as Record<string, unknown> | null | undefined)?.[team];
    const read = planSchema.safeParse(plan);
    if (read.success) return read.data as ChartPlan;
  }
  return SHIPPED_PLANS[0]!;
}

/** A name as an id that no pass of the list has. */
export function newPassId(name: string, taken: readonly ChartPass[]): string {
  const base =
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 30) || 'pass';
  let id = base;
  for (let n = 2; taken.some((p) => p.id === id); n++) id = `${base}-${n}`;
  return id;
}
