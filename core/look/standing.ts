/** Where a secondary and the backers stand before the snap, by structure and coverage (common practice). */
import { otherSide, type Side } from '../field/spot';
import type { CoverageDef } from './coverage';
import type { Plan } from './plan';
import { hasSlot, signOf, type Post } from './posts';
import { sideStructure, type Structure } from './structure';
import { detached, PREVENT_DEEP, type Ground } from './zones';

/** A defense on its way. */
export interface Working {
  readonly structure: Structure;
  readonly ground: Ground;
  readonly def: CoverageDef;
  readonly plan: Plan;
  readonly posts: readonly Post[];
  readonly corners: readonly Post[];
  readonly safeties: readonly Post[];
  readonly high: readonly Post[];
  readonly down: readonly Post[];
  readonly rotated: Side;
  readonly said: boolean;
  readonly twoHigh: boolean;
}

/** To the nearest tenth, left and right alike. */
export const round = (x: number): number => {
  // Away from the ball, so that left and right round alike.
  const r = Math.round(Math.abs(x) * 10 + 1e-6) / 10;
  return r === 0 ? 0 : x < 0 ? -r : r;
};

/** The side a safety comes down to when nobody said: to the detached receiver nobody has, else to the passing strength. */
export function usualRotation(structure: Structure, posts: readonly Post[]): Side {
  let best: Side | null = null;
  let widest = 0;
  for (let i = 0; i < 2; i++) {
    const side = i === 0 ? structure.passing : otherSide(structure.passing);
    const list = detached(structure, side);
    let over = 0;
    for (const post of posts) if (post.overhang && post.side === side) over++;
    const corner = sideStructure(structure, side).receivers[0];
    const first =
      list[1 + Math.min(over, 1)] ??
      (corner !== undefined && corner !== list[0] ? (list[over] ?? null) : null);
    if (first && (best === null || Math.abs(first.x) > widest + 1)) {
      best = side;
      widest = Math.abs(first.x);
    }
  }
  return best ?? structure.passing;
}

const EDGE_OUT = 2;

/** Corners over #1, by what they will do. */
export function standCorners(
  w: Working,
  off: { readonly L: number | null; readonly R: number | null },
): void {
  for (const corner of w.corners) {
    const side = corner.side!;
    const sign = signOf(side);
    const half = sideStructure(w.structure, side);
    const one = half.receivers[0];
    const { def, plan } = w;
    const flat =
      (plan.scheme === 'halves' && !plan.trap && !plan.inverted) ||
      (plan.scheme === 'six' && side !== w.structure.passing) ||
      (plan.cloud && side === w.rotated);
    if (!one || half.attached.includes(one)) {
      corner.x = half.endOfLine + sign * EDGE_OUT;
      corner.depth = off[side] ?? 5;
      continue;
    }
    const cloudAway = plan.cloud && side !== w.rotated;
    const leverage = flat
      ? 1
      : cloudAway
        ? 1
        : def.corner.leverage === 'outside'
          ? 1
          : def.corner.leverage === 'inside'
            ? -1
            : 0;
    const edge = sign === 1 ? w.ground.right - one.x : one.x - w.ground.left;
    const inside = !flat && edge < 5;
    const depth = flat ? 5 : cloudAway ? 7 : def.corner.press ? 1 : def.corner.depth;
    corner.x = one.x + sign * (inside ? -1 : leverage);
    corner.depth = Math.max(1, off[side] ?? depth);
  }
}

/** Nickels, walked-out backers and edges who drop: over the slot in man, at the apex in zone. */
export function standOverhangs(w: Working): void {
  const man = w.plan.scheme === 'man';
  for (const post of w.posts) {
    if (post.level !== 'nickel' && !post.overhang) continue;
    const side = post.side ?? w.structure.passing;
    const sign = signOf(side);
    const half = sideStructure(w.structure, side);
    const two = half.receivers[1];
    if (two && hasSlot(w.structure, side)) {
      const three = half.receivers[2];
      const inner = three ? three.x : half.endOfLine;
      post.x = man ? two.x - sign : (two.x + inner) / 2;
      post.depth = 5;
    } else if (half.attached.length > 0) {
      post.x = half.endOfLine + sign * EDGE_OUT;
      post.depth = 4;
    } else {
      post.x = half.endOfLine + sign * 3;
      post.depth = 4;
    }
  }
}

const FEW = 5;
const FAR = 12;

export function standHigh(w: Working, high: readonly Post[]): void {
  const { structure, ground } = w;
  if (high.length === 1) {
    high[0]!.x = -ground.ball / 2;
    high[0]!.depth = 13;
    return;
  }
  for (const post of high) {
    const side: Side = post === high[0] ? 'L' : 'R';
    post.side = side;
    const sign = signOf(side);
    const half = sideStructure(structure, side);
    const quarter =
      w.plan.scheme === 'quarters' ||
      w.plan.scheme === 'prevent' ||
      (w.plan.scheme === 'six' && side === structure.passing);
    const one = half.receivers[0]?.x ?? half.endOfLine;
    const two = half.receivers[1];
    const at = quarter && two ? two.x - sign : (one + half.endOfLine) / 2;
    post.x = sign * Math.min(FAR, Math.max(FEW, at * sign));
    post.depth = w.plan.scheme === 'prevent' ? PREVENT_DEEP - 2 : quarter ? 10 : 12;
  }
}

/** The safety who is down: over his man, the tight end, #3, #2 or the apex, else at the edge of the box. */
export function standDown(w: Working, post: Post, assigned: boolean): void {
  const { structure, plan } = w;
  const side = post.side ?? w.rotated;
  const sign = signOf(side);
  const half = sideStructure(structure, side);
  const wide = detached(structure, side);
  const over = w.posts.find((o) => o !== post && o.overhang && o.side === side && o.rush === null);
  post.depth = 6;
  const tight = half.attached.find((man) => man.onLine) ?? half.attached[0];
  if (plan.scheme === 'man' && post.man && wide.includes(post.man))
    post.x = post.man.x - signOf(post.man.x < 0 ? 'L' : 'R');
  else if (plan.scheme === 'man' && assigned && !post.man) post.x = 0;
  else if (tight) {
    const corner = w.corners.some((c) => c.side === side && half.receivers[0] === tight);
    post.x = corner ? tight.x : half.endOfLine + sign * EDGE_OUT;
  } else if (wide.length >= 3 && over) post.x = wide[2]!.x;
  else if (wide.length >= 2) {
    post.x = over ? (wide[1]!.x + half.endOfLine) / 2 : wide[1]!.x;
    if (over && plan.scheme !== 'man') over.x = wide[1]!.x;
  } else post.x = half.endOfLine + sign * EDGE_OUT;
}

/** Backers who have a detached receiver, and one against an empty backfield, walk out over him. */
export function standBackers(w: Working): void {
  if (w.plan.scheme !== 'man' && !w.structure.empty) return;
  const backers = w.posts.filter((post) => post.level === 'backer' && !post.overhang && post.rush === null);
  if (w.plan.scheme === 'man') {
    for (const post of backers) {
      if (!post.man || w.structure.backfield.backs.includes(post.man)) continue;
      const side: Side = post.man.x < 0 ? 'L' : 'R';
      if (detached(w.structure, side).includes(post.man)) {
        post.x = post.man.x;
        post.depth = 5;
      }
    }
    return;
  }
  if (backers.length === 0) return;
  // The inmost detached receiver nobody stands over.
  const over = w.posts.filter((post) => post.overhang || post.level === 'corner' || w.down.includes(post));
  const open = (['L', 'R'] as const)
    .flatMap((side) => {
      const list = detached(w.structure, side);
      const have = over.filter((post) => post.side === side).length;
      return list.slice(Math.min(list.length, have));
    })
    .sort((a, b) => Math.abs(a.x) - Math.abs(b.x))[0];
  if (!open) return;
  const near = [...backers].sort((a, b) => Math.abs(a.x - open.x) - Math.abs(b.x - open.x))[0]!;
  near.x = open.x;
  near.depth = 5;
}

const APART = 1.5;

/** The order in which men are placed: the line, corners, overhangs, backers, safeties. */
const rank = (post: Post): number =>
  post.level === 'down' || post.level === 'edge'
    ? 0
    : post.level === 'corner'
      ? 1
      : post.level === 'safety'
        ? 4
        : post.overhang
          ? 2
          : 3;

/** Nobody within a yard and a half of a teammate: the later man gives way, inward; a corner backward. */
export function spread(posts: readonly Post[], ground: Ground): void {
  const stands: Post[] = [];
  const ranks = posts.map(rank);
  const near = APART * APART - 1e-6;
  for (let now = 0; now <= 4; now++)
    for (let i = 0; i < posts.length; i++) {
      if (ranks[i] !== now) continue;
      const post = posts[i]!;
      post.x = Math.min(ground.right - 0.5, Math.max(ground.left + 0.5, post.x));
      for (let tries = 0; tries < 12 && now > 0; tries++) {
        let close: Post | null = null;
        for (let j = 0; j < stands.length; j++) {
          const other = stands[j]!;
          const dx = other.x - post.x;
          const dy = other.depth - post.depth;
          if (dx * dx + dy * dy < near) {
            close = other;
            break;
          }
        }
        if (!close) break;
        if (now === 1) post.depth += 0.5;
        else if (Math.abs(post.x) > 0.3) {
          const inward = post.x > 0 ? -1 : 1;
          const dy = close.depth - post.depth;
          post.x = close.x + inward * (Math.sqrt(Math.max(0, APART * APART - dy * dy)) + 1e-3);
        } else post.depth += 1;
      }
      post.x = round(post.x);
      stands.push(post);
    }
}
