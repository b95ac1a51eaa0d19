/** What each scheme of an offense asks of a defense, and who has it: a man with two jobs at once has none (common practice). */
import { sideWord, type Side } from '../field/spot';
import type { DefenseDuty, PlacedDefender } from './defend';
import { isBack } from './formation';
import { gapNumber, type OwnedGap } from './gaps';
import { sideStructure, type Structure } from './structure';

export const SCHEMES = [
  'zone read',
  'power read',
  'counter',
  'boot',
  'screen to the back',
  'speed option',
] as const;
export type OffenseScheme = (typeof SCHEMES)[number];

export interface SchemeJobs {
  readonly scheme: OffenseScheme;
  readonly to: Side;
  /** Each job with the man who has it; null: nobody near has it. */
  readonly jobs: readonly { readonly job: string; readonly man: string | null }[];
  /** A man who is the only one near two of its jobs. */
  readonly two: { readonly man: string; readonly jobs: readonly [string, string] } | null;
}

export const near = <T extends { readonly man: PlacedDefender }>(
  list: readonly T[],
  to: (of: T) => number,
): T | undefined =>
  list.reduce<T | undefined>((best, d) => (best === undefined || to(d) < to(best) ? d : best), undefined);

interface Job {
  readonly job: string;
  readonly can: readonly string[];
}

/**
 * The men near each job of a scheme that goes to a side. Jobs are filled at once, as many as can be; where two jobs have
 * only one man between them, he has both.
 */
export function schemeJobs(
  duties: readonly DefenseDuty[],
  gaps: readonly OwnedGap[],
  flats: Readonly<Record<Side, string | null>>,
  structure: Structure,
  side: Side,
): SchemeJobs[] {
  const out = side === 'L' ? -1 : 1;
  const mine = gaps.filter((g) => g.side === side && g.owner !== null);
  const other = gaps.filter((g) => g.side !== side && g.owner !== null);
  const far = (list: readonly OwnedGap[]): string[] => {
    const at = list.map((g) => gapNumber(g.gap));
    const edge = Math.max(...at);
    return list.filter((_, i) => at[i] === edge && edge >= 2).map((g) => g.owner!);
  };
  const inside = gaps
    .filter((g) => g.owner !== null && (g.gap[0] === 'A' || g.gap[0] === 'B'))
    .map((g) => g.owner!);
  // The outermost who comes on the side may squeeze or go wide, whichever gap is his.
  const last = near(
    duties.filter((d) => d.rush !== null && d.rush * out > 1),
    (d) => -d.rush! * out,
  );
  const edge = [...new Set([...far(mine), ...(last ? [last.man.name] : [])])];
  const end = structure[sideWord(side)].endOfLine;
  /** Men of the side who are no part of the rush: force, alley, bubble. */
  const support = duties
    .filter(
      (d) =>
        d.rush === null &&
        (d.man.x - end) * out > -1 &&
        (d.does === 'under' || (d.does === 'deep' && d.man.level === 'safety' && d.man.depth <= 12)),
    )
    .map((d) => d.man.name);
  const flat = flats[side] === null ? [] : [flats[side]!];
  const outside = [...new Set([...support, ...flat])];
  const twoReceivers = sideStructure(structure, side).detached.length >= 2;
  const onBack = duties.filter((d) => d.covers !== null && isBack(d.covers)).map((d) => d.man.name);
  const hooks = duties
    .filter((d) => d.does === 'under' && d.to[1] <= 10 && d.to[0] * out > -3)
    .map((d) => d.man.name);
  const [back, hasBack] = [structure.backfield.backSide, structure.backfield.backs.length > 0];
  const edgeMen = [...edge, ...outside];
  const wanted: Readonly<Record<OffenseScheme, readonly Job[] | null>> = {
    'zone read': hasBack
      ? [
          { job: 'the dive', can: inside },
          { job: 'the quarterback', can: edgeMen },
          ...(twoReceivers ? [{ job: 'the bubble', can: outside }] : []),
        ]
      : null,
    'power read': hasBack
      ? [
          { job: 'the sweep', can: edgeMen },
          { job: 'the quarterback inside', can: inside },
        ]
      : null,
    counter: hasBack
      ? [
          { job: 'spill the puller', can: edge.length > 0 ? edge : edgeMen },
          { job: 'force', can: [...outside, ...onBack] },
          { job: 'boot and cutback', can: far(other) },
        ]
      : null,
    boot: [
      { job: 'contain', can: edgeMen },
      { job: 'the flat', can: [...flat, ...outside] },
    ],
    'screen to the back':
      hasBack && (back === null || back === side)
        ? [{ job: 'the back', can: [...onBack, ...hooks, ...flat] }]
        : null,
    'speed option': hasBack
      ? [
          { job: 'the quarterback', can: edgeMen },
          { job: 'the pitch', can: [...outside, ...flat] },
        ]
      : null,
  };
  return SCHEMES.flatMap((scheme) => {
    const jobs = wanted[scheme];
    return jobs === null ? [] : [assignJobs(scheme, side, jobs)];
  });
}

/** Men to jobs, one each, as many as can be; null: nobody is left for it. `can`: who could, the likeliest first. */
export function oneEach(can: readonly (readonly string[])[]): (string | null)[] {
  const has = new Map<string, number>();
  const fill = (job: number, seen: Set<string>): boolean => {
    for (const man of can[job]!) {
      if (seen.has(man)) continue;
      seen.add(man);
      const before = has.get(man);
      if (before === undefined || fill(before, seen)) {
        has.set(man, job);
        return true;
      }
    }
    return false;
  };
  can.forEach((_, i) => fill(i, new Set()));
  const manOf = new Map([...has].map(([man, job]) => [job, man]));
  return can.map((_, i) => manOf.get(i) ?? null);
}

/** What is left over falls to the man likeliest for it, who then has two. */
export function assignJobs(scheme: OffenseScheme, to: Side, jobs: readonly Job[]): SchemeJobs {
  const men = oneEach(jobs.map((j) => j.can));
  const left = jobs.findIndex((j, i) => men[i] === null && j.can.length > 0);
  const twice = left < 0 ? null : jobs[left]!.can[0]!;
  return {
    scheme,
    to,
    jobs: jobs.map(({ job }, i) => ({ job, man: men[i] ?? (i === left ? twice : null) })),
    two: twice === null ? null : { man: twice, jobs: [jobs[men.indexOf(twice)]!.job, jobs[left]!.job] },
  };
}
