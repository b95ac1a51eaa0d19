/** What a coverage is made of, read from its deep men and named duties. */
import type { CoverageDef } from './coverage';

export type Scheme = 'man' | 'halves' | 'thirds' | 'quarters' | 'six' | 'prevent';
export interface Plan {
  readonly scheme: Scheme;
  /** Deep safeties of a man coverage. */
  readonly deep: number;
  readonly pole: boolean;
  readonly cloud: boolean;
  readonly buzz: boolean;
  readonly robber: boolean;
  readonly bracket: boolean;
  readonly trap: boolean;
  /** Corners have the halves, safeties come under them. */
  readonly inverted: boolean;
}

const plans = new WeakMap<CoverageDef, Plan>();

export function planOf(def: CoverageDef): Plan {
  const known = plans.get(def);
  if (known) return known;
  const count = (zone: string): number => def.deep.filter((d) => d.zone === zone).length;
  const duties = def.under.map((u) => u.zone);
  const manned = def.style === 'man' || def.style === 'mixed';
  const scheme: Scheme = manned
    ? 'man'
    : def.deep.length >= 5
      ? 'prevent'
      : count('quarter') >= 4
        ? 'quarters'
        : count('quarter') > 0
          ? 'six'
          : count('half') > 0
            ? 'halves'
            : 'thirds';
  const plan: Plan = {
    scheme,
    deep: manned ? def.deep.filter((d) => d.zone !== 'bracket').length : def.deep.length,
    pole: count('pole') > 0,
    cloud: duties.includes('cloud'),
    buzz:
      scheme === 'thirds' &&
      def.under.length === 1 &&
      def.under[0]!.zone === 'hook' &&
      def.under[0]!.role === 'ss',
    robber: duties.includes('robber'),
    bracket: count('bracket') > 0,
    trap: duties.includes('trap'),
    inverted: def.deep.some((d) => d.zone === 'half' && (d.role === 'cs' || d.role === 'cw')),
  };
  plans.set(def, plan);
  return plan;
}

export const UNKNOWN_COVERAGE: CoverageDef = {
  style: 'zone',
  middle: 'open',
  deep: [],
  under: [],
  shell: 2,
  corner: { depth: 7, leverage: 'outside', press: false },
};
