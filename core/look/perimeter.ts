/** Receivers against the defenders over them, and whether the quick throw is there. */
import type { Side } from '../field/spot';
import type { Man } from './formation';
import { DEFAULT_BOX, type BoxRule } from './box';
import { inBox, type Defender } from './front';
import { sideStructure, type Structure } from './structure';

export interface PerimeterLook {
  readonly receivers: number;
  readonly over: readonly Defender[];
  readonly margin: number;
}

/** Defenders deeper than this are over nobody. */
export const PERIMETER_DEPTH = 10;

/** Receivers of a side against the defenders over them, for throws to the edge: outside the box, within ten yards. */
export function perimeterLook(
  side: Side,
  defenders: readonly Defender[],
  structure: Structure,
  rule: BoxRule = DEFAULT_BOX,
): PerimeterLook {
  const half = sideStructure(structure, side);
  const sign = side === 'L' ? -1 : 1;
  const count = half.detached.length;
  const over: Defender[] = [];
  for (const defender of defenders)
    if (
      (defender.x - half.endOfLine) * sign > 0.5 &&
      defender.depth <= PERIMETER_DEPTH &&
      defender.level !== 'down' &&
      !inBox(defender, structure, rule)
    )
      over.push(defender);
  return { receivers: count, over, margin: count - over.length };
}

/**
 * A quick throw outside is open before the snap when the defenders over the receivers are fewer than
 * they are: one catches, the others have a man each. That is so when an overhang stands in the box.
 */
export const optionOpen = (p: PerimeterLook): boolean => p.margin > 0;

/**
 * Who blocks whom for a throw to the edge: blockers and defenders over the receivers of the side, both from the
 * outside in; an outer man more than the blockers is left.
 */
export function edgeBlocks(
  blockers: readonly Man[],
  side: Side,
  defenders: readonly Defender[],
  structure: Structure,
  rule: BoxRule = DEFAULT_BOX,
): ReadonlyMap<Man, Defender> {
  const sign = side === 'L' ? -1 : 1;
  const outside = (a: { readonly x: number }, b: { readonly x: number }): number => (b.x - a.x) * sign;
  const over = [...perimeterLook(side, defenders, structure, rule).over].sort(outside);
  const out = new Map<Man, Defender>();
  [...blockers].sort(outside).forEach((man, i) => {
    const on = over[i];
    if (on) out.set(man, on);
  });
  return out;
}
