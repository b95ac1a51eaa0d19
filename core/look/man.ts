/** Who has whom in man coverage: by priority, then by least distance; nobody crosses the ball while a man of that side is free. */
import type { Side } from '../field/spot';
import type { Man } from './formation';
import type { Post } from './posts';
import { sideStructure, type Structure } from './structure';
import { detached } from './zones';

const sideOf = (x: number): Side => (x < 0 ? 'L' : 'R');

/** Distance with a charge for crossing the ball that any man of the other side undercuts. */
const cost = (post: Post, man: Man, strong: 1 | -1): number =>
  Math.abs(post.x - man.x) +
  // Of equal sums the one without a long way.
  (post.x - man.x) ** 2 * 1e-4 +
  Math.abs(post.depth + man.depth) * 0.1 -
  // A tie goes to the passing strength.
  (man.x * strong > 0 ? 1e-3 : 0) +
  (Math.abs(post.x) > 0.3 && Math.abs(man.x) > 0.3 && sideOf(post.x) !== sideOf(man.x) ? 60 : 0);

/** The pairing of least total cost; few men, so all orders are tried. */
function pair(posts: readonly Post[], men: readonly Man[], strong: 1 | -1): readonly (Man | null)[] {
  let best: (Man | null)[] = posts.map(() => null);
  let least = Infinity;
  const now: (Man | null)[] = posts.map(() => null);
  const used = new Set<Man>();
  // A man without a receiver costs nothing; a receiver nobody has costs more than any walk.
  const go = (i: number, sum: number, had: number): void => {
    const missing = Math.max(0, men.length - had - (posts.length - i));
    if (sum + missing * 1000 >= least) return;
    if (i === posts.length) {
      const total = sum + (men.length - had) * 1000;
      if (total < least) {
        least = total;
        best = [...now];
      }
      return;
    }
    for (const man of men) {
      if (used.has(man)) continue;
      used.add(man);
      now[i] = man;
      go(i + 1, sum + cost(posts[i]!, man, strong), had + 1);
      used.delete(man);
    }
    now[i] = null;
    go(i + 1, sum, had);
  };
  go(0, 0, 0);
  return best;
}

export interface ManCall {
  readonly corners: readonly Post[];
  readonly overhangs: readonly Post[];
  /** Safeties who are down, with the side each comes to. */
  readonly down: readonly Post[];
  /** The rotation was said: the down safety stays on his side. */
  readonly said: boolean;
  readonly backers: readonly Post[];
}

/** Sets `man` of each post; returns the receivers nobody has, a back first. */
export function assignMan(call: ManCall, structure: Structure): readonly Man[] {
  const had = new Set<Man>();
  const strong = structure.passing === 'L' ? -1 : 1;
  const take = (post: Post, man: Man): void => {
    post.man = man;
    had.add(man);
  };
  const spare: Post[] = [];
  for (const corner of call.corners) {
    const one = corner.side && sideStructure(structure, corner.side).receivers[0];
    if (one) take(corner, one);
    else spare.push(corner);
  }
  for (const post of call.overhangs) {
    const half = post.side && sideStructure(structure, post.side);
    const two = half && half.receivers[1];
    if (two && !half.attached.includes(two) && !had.has(two)) take(post, two);
    else spare.push(post);
  }
  const open = (side: Side): Man[] => detached(structure, side).filter((man) => !had.has(man));
  for (const safety of call.down) {
    const side = safety.side ?? structure.passing;
    const all = [...open('L'), ...open('R')];
    const own = open(side);
    const from = own.length > 0 ? own : call.said ? [] : all;
    // Two left: the wider is his, a backer has the inner.
    const wider = [...from].sort((a, b) => Math.abs(b.x) - Math.abs(a.x))[0];
    if (wider) {
      take(safety, wider);
      safety.side = sideOf(wider.x);
      continue;
    }
    const tight = sideStructure(structure, side).attached.find((man) => !had.has(man));
    if (tight) take(safety, tight);
    else spare.push(safety);
  }
  const left = [...structure.left.receivers, ...structure.right.receivers].filter((man) => !had.has(man));
  const { backs } = structure.backfield;
  const backers = [
    ...call.backers,
    ...spare.filter((post) => post.level === 'nickel' || post.level === 'edge' || post.level === 'backer'),
  ];
  if (backs.length <= 1) {
    const men = [...left, ...backs];
    pair(backers, men, strong).forEach((man, i) => man && take(backers[i]!, man));
  } else {
    pair(backers, left, strong).forEach((man, i) => man && take(backers[i]!, man));
    const outer = backers.filter((post) => post.man === null).sort((a, b) => a.x - b.x);
    // The outer backers left, one more from the run strength where the number is odd.
    const run = structure.running === 'R' ? 1 : -1;
    const byRun = [...outer].sort((a, b) => (b.x - a.x) * run);
    const two =
      outer.length > backs.length
        ? [
            ...byRun.slice(0, Math.ceil(backs.length / 2)),
            ...byRun.slice(-Math.floor(backs.length / 2)),
          ].sort((a, b) => a.x - b.x)
        : outer;
    // One behind the other: the nearer back goes to the run strength.
    const order = [...backs].sort((a, b) =>
      Math.abs(a.x - b.x) > 1 ? a.x - b.x : (b.depth - a.depth) * (structure.running === 'R' ? 1 : -1),
    );
    if (two.length >= order.length) order.forEach((man, i) => take(two[i]!, man));
    else pair(two, order, strong).forEach((man, i) => man && take(two[i]!, man));
  }
  // Whoever is still free helps where a receiver is left: safeties and corners last.
  const free = [...left, ...backs].filter((man) => !had.has(man));
  const help = spare.filter((post) => post.man === null);
  pair(help, free, strong).forEach((man, i) => man && take(help[i]!, man));
  return [...backs, ...left].filter((man) => !had.has(man));
}
