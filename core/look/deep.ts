/** Deep zones whose man is not there: safeties turn among them first, then the nearest overhangs and backers drop (common practice). */
import type { Side } from '../field/spot';
import type { Post } from './posts';
import type { Zone } from './zones';

/** A deep zone of the call, with the man who has it. */
export interface DeepSlot {
  readonly zone: Zone;
  readonly side: Side | null;
  /** The inner of two quarters of a side. */
  readonly inner: boolean;
  owner: Post | null;
}

/** Squared yards that a man costs before he moves: nobody drops while a safety is free, no backer before an overhang near by. */
const CORNER = 500;
const OVERHANG = 1000;
const BACKER = 1150;
/** Worse than the longest way. */
const NOBODY = 1e5;

/** A safety keeps his half before he runs down the middle: the pole is a backer's, else an overhang's. */
const RUNNER = 2000;

const charge = (post: Post, zone: Zone): number =>
  post.level === 'safety'
    ? zone === 'pole'
      ? RUNNER
      : 0
    : post.level === 'corner'
      ? CORNER
      : post.overhang || post.level === 'nickel'
        ? OVERHANG
        : BACKER;

/**
 * Gives every open slot an owner, safeties' slots anew with them, by least total of squared ways and charges.
 * `men`: who may drop or turn, a tie to the first. `at`: where a man would have a slot, lateral yards. Few slots, so all orders are tried.
 */
export function fillDeep(
  slots: readonly DeepSlot[],
  men: readonly Post[],
  at: (slot: DeepSlot, man: Post) => number,
): void {
  const best: (Post | null)[] = slots.map(() => null);
  const now: (Post | null)[] = slots.map(() => null);
  let least = Infinity;
  const go = (i: number, sum: number): void => {
    if (sum >= least) return;
    const slot = slots[i];
    if (!slot) {
      least = sum;
      for (let k = 0; k < now.length; k++) best[k] = now[k]!;
      return;
    }
    for (const man of men) {
      if (now.includes(man)) continue;
      now[i] = man;
      go(i + 1, sum + (at(slot, man) - man.x) ** 2 + charge(man, slot.zone));
      now[i] = null;
    }
    go(i + 1, sum + NOBODY);
  };
  go(0, 0);
  slots.forEach((slot, i) => (slot.owner = best[i]!));
}
