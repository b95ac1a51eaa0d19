/** The gaps of an offense, and which man of a defense owns each (common practice). */
import type { Side } from '../field/spot';
import { SPLIT } from './formation';
import { sideStructure, type Structure } from './structure';

export const GAP_LETTERS = ['A', 'B', 'C', 'D', 'E', 'F'] as const;

/** A man fits a gap from no farther than this across; yards. */
const FIT_REACH = 5;
/** How far out a gap lies: A 0. */
export const gapNumber = (gap: string): number => GAP_LETTERS.indexOf(gap[0] as (typeof GAP_LETTERS)[number]);
/** The first gap that a safety of the quarters fits. */
const EDGE_FROM = gapNumber('D');
/** Two gaps as near as this are both his; yards. */
const EITHER = 0.2;

export interface OwnedGap {
  /** "DR": as gaps are named everywhere. */
  readonly gap: string;
  readonly side: Side;
  readonly owner: string | null;
  /** He comes through it, or fits it from depth. */
  readonly by: 'rush' | 'fit' | null;
}

interface GapSpot {
  readonly gap: string;
  readonly side: Side;
  readonly x: number;
}

/** Gaps of an offense left to right: one more a side than the men attached outside the center. */
export function gapsOf(structure: Structure): GapSpot[] {
  const of = (side: Side): GapSpot[] =>
    Array.from({ length: Math.min(sideStructure(structure, side).gaps, GAP_LETTERS.length) }, (_, i) => ({
      gap: `${GAP_LETTERS[i]!}${side}`,
      side,
      x: (side === 'L' ? -1 : 1) * (i + 0.5) * SPLIT,
    }));
  return [...of('L').reverse(), ...of('R')];
}

export interface Fitter {
  readonly name: string;
  readonly x: number;
  /** He fits outside the tight end only: a safety of the quarters, from depth. */
  readonly edgeOnly?: boolean;
  /** A man of the line who comes by his front: sent into his gap by another, he slants one gap either way. */
  readonly slants?: boolean;
}

/**
 * Who owns each gap: men who come through it; then men who fit, each one gap, as many gaps as can be, the nearest man
 * first. `rushes`: where each man who comes crosses the line.
 */
export function gapOwners(
  structure: Structure,
  rushes: readonly Fitter[],
  fitters: readonly Fitter[],
): OwnedGap[] {
  const gaps = gapsOf(structure);
  const distance = (x: number, i: number): number => Math.abs(gaps[i]!.x - x);
  const all = gaps.map((_, i) => i);
  /** Who comes has the gap he crosses the line in, the last where he is wider; over the ball either of two. */
  const crossed = ({ x }: Fitter): number[] => {
    const least = Math.min(...all.map((i) => distance(x, i)));
    return all.filter((i) => distance(x, i) <= least + EITHER);
  };
  const beside = (man: Fitter): number[] =>
    all
      .filter((i) => crossed(man).some((c) => Math.abs(c - i) === 1))
      .sort((a, b) => distance(man.x, a) - distance(man.x, b));
  const reached = ({ x, edgeOnly = false }: Fitter): number[] =>
    all
      .filter((i) => distance(x, i) <= FIT_REACH && !(edgeOnly && gapNumber(gaps[i]!.gap) < EDGE_FROM))
      .sort((a, b) => distance(x, a) - distance(x, b));
  const has = new Map<number, { readonly man: Fitter; readonly by: 'rush' | 'fit' }>();
  // An augmenting path for each man in turn: the most gaps that these men can own at once.
  const place = (man: Fitter, by: 'rush' | 'fit', seen: Set<number>): boolean => {
    for (const gap of by === 'rush' ? [...crossed(man), ...(man.slants ? beside(man) : [])] : reached(man)) {
      if (seen.has(gap)) continue;
      seen.add(gap);
      const before = has.get(gap);
      if (before && before.by === 'rush' && by === 'fit' && crossed(before.man).length === 1) continue;
      if (!before || place(before.man, before.by, seen)) {
        has.set(gap, { man, by });
        return true;
      }
    }
    return false;
  };
  for (const man of rushes) place(man, 'rush', new Set());
  const toFirst = (man: Fitter): number =>
    Math.min(...all.map((i) => (has.has(i) ? Infinity : distance(man.x, i))));
  for (const man of [...fitters].sort((a, b) => toFirst(a) - toFirst(b))) place(man, 'fit', new Set());
  return gaps.map(({ gap, side }, i) => ({
    gap,
    side,
    owner: has.get(i)?.man.name ?? null,
    by: has.get(i)?.by ?? null,
  }));
}
