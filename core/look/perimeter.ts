/** Receivers against the defenders over them, and whether the quick throw is there. */
import type { Side } from '../field/spot';
import { inBox, type BoxRule, type Defender, DEFAULT_BOX } from './front';
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
  const count = half.receivers.filter((m) => !half.attached.includes(m)).length;
  const over = defenders.filter(
    (defender) =>
      !inBox(defender, structure, rule) &&
      defender.depth <= PERIMETER_DEPTH &&
      defender.level !== 'down' &&
      (defender.x - half.endOfLine) * sign > 0.5,
  );
  return { receivers: count, over, margin: count - over.length };
}

/**
 * A quick throw outside is open before the snap when the defenders over the receivers are fewer than
 * they are: one catches, the others have a man each. That is so when an overhang stands in the box.
 */
export const optionOpen = (p: PerimeterLook): boolean => p.margin > 0;
