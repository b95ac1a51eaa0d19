/** Who has what after the snap: deep zones, receivers in man, zones under them, left to right (common practice). */
import { otherSide, type Side } from '../field/spot';
import { fillDeep, type DeepSlot } from './deep';
import type { Man } from './formation';
import { assignMan } from './man';
import { signOf, type Does, type Post } from './posts';
import { round, standBackers, standDown, type Working } from './standing';
import { sideStructure } from './structure';
import {
  cloudZones,
  CORNER_QUARTER_AT,
  DEEP_AT,
  HALF_AT,
  inBounds,
  PREVENT_DEEP,
  PREVENT_UNDER,
  SAFETY_QUARTER_AT,
  sixZones,
  THIRD_AT,
  underSpot,
  underZones,
  type Zone,
} from './zones';

/** Between the landmarks of two quarters of a side. */
const QUARTERS_APART = 5;

/** Left to right; of two in one lane the deeper is the inner. */
const across = (post: Post): number => post.x - Math.sign(post.x) * post.depth * 1e-3;

const give = (post: Post, does: Does, zone: Zone | null, to: readonly [number, number]): void => {
  post.job = { man: post, does, zone, covers: null, rush: null, called: false, to };
};

/** The mike where there is one, else the backer nearest the middle. */
const middleBacker = (backers: readonly Post[], free: (post: Post) => boolean): Post | null => {
  let best: Post | null = null;
  for (const post of backers)
    if (
      free(post) &&
      (best === null || post.letter === 'M' || (best.letter !== 'M' && Math.abs(post.x) < Math.abs(best.x)))
    )
      best = post;
  return best;
};

export interface Duties {
  /** Receivers nobody has, a back first. */
  readonly uncovered: readonly Man[];
  /** Deep zones without an owner. */
  readonly lacking: number;
  readonly few: { readonly under: number; readonly deep: number } | null;
}

/** Gives each man who does not rush his zone or receiver; moves those who stand by their man. */
export function assignDuties(w: Working): Duties {
  const { structure, ground, def, plan, posts, corners, safeties, high, down, rotated, twoHigh } = w;
  let left: Post | null = null;
  let right: Post | null = null;
  for (const post of safeties)
    if (post.side === 'L') left ??= post;
    else if (post.side === 'R') right ??= post;
  let few: Duties['few'] = null;
  const robber = plan.robber
    ? (high.find((post) => post.side === structure.passing) ?? high[0] ?? null)
    : null;
  let uncovered: readonly Man[] = [];
  const free = (post: Post): boolean => post.rush === null && post.job === null;
  const lineDroppers: Post[] = [];
  const second: Post[] = [];
  const third: Post[] = [];
  for (const post of posts) {
    if (post.dropped) lineDroppers.push(post);
    if (post.overhang || post.level === 'nickel') second.push(post);
    else if (post.level === 'backer') third.push(post);
  }

  const deepTo = (zone: Zone, side: Side | null, inner: boolean, post: Post): readonly [number, number] => {
    const depth = plan.scheme === 'prevent' ? PREVENT_DEEP : (DEEP_AT[zone] ?? 16);
    if (side === null)
      return [
        round(zone === 'pole' || zone === 'middle' ? -ground.ball * (zone === 'pole' ? 0 : 1) : 0),
        depth,
      ];
    const sign = signOf(side);
    const half = sideStructure(structure, side);
    const field =
      zone === 'third' ? THIRD_AT : zone === 'half' ? HALF_AT : inner ? SAFETY_QUARTER_AT : CORNER_QUARTER_AT;
    let x = sign * field - ground.ball;
    // Zones of the field, but near the man in them.
    const near = (to: number): number => Math.min(to + 3, Math.max(to - 3, x));
    if (zone !== 'half') {
      if (inner) {
        const two = half.receivers[1];
        if (two) x = near(two.x);
        else if (post.x * sign > 0) x = near(post.x);
      } else if (half.receivers[0]) x = near(half.receivers[0].x);
    }
    return [round(inBounds(x, ground)), depth];
  };
  const slots: DeepSlot[] = [];
  let missing = 0;
  const own = (
    zone: Zone,
    side: Side | null,
    wanted: readonly (Post | null | undefined)[],
    inner = false,
  ): Post | null => {
    for (const post of wanted)
      if (post && free(post)) {
        give(post, 'deep', zone, deepTo(zone, side, inner, post));
        slots.push({ zone, side, inner, owner: post });
        return post;
      }
    slots.push({ zone, side, inner, owner: null });
    missing++;
    return null;
  };
  /** Zones whose man is not there, with those of the safeties, who turn before anybody drops. */
  const settle = (): void => {
    // In prevent the middle is whoever's it is nearest to.
    const open = slots.filter(
      ({ owner, zone }) =>
        owner === null || owner.level === 'safety' || (plan.scheme === 'prevent' && zone === 'middle'),
    );
    for (const { owner } of open) if (owner) owner.job = null;
    // Behind a safety who rushes the corner of his side has the half, and the next man inside the flat.
    const left = safeties.some((post) => post.rush === null);
    const behind =
      plan.scheme === 'halves' && !plan.inverted
        ? corners.filter((corner) =>
            safeties.some((post) => post.rush !== null && (!left || post.side === corner.side)),
          )
        : [];
    const sign = signOf(structure.passing);
    const men = [...new Set([...safeties, ...behind, ...second, ...third])]
      .filter(free)
      .sort((a, b) => (b.x - a.x) * sign);
    fillDeep(open, men, (slot, man) => deepTo(slot.zone, slot.side, slot.inner, man)[0]);
    for (const { zone, side, inner, owner } of open)
      if (owner) give(owner, 'deep', zone, deepTo(zone, side, inner, owner));
    for (const slot of open) if (slot.owner === null) lacking++;
  };
  const cornerOf = (side: Side): Post | null => corners.find((post) => post.side === side) ?? null;
  const safetyOf = (side: Side): Post | null =>
    side === 'L' ? (high[0]?.side === 'L' ? high[0] : left) : (high[1] ?? right);

  let lacking = 0;
  const sides: readonly Side[] = [structure.passing, otherSide(structure.passing)];
  /** A corner's quarter lies outside the safety's, however near the two receivers stand. */
  const part = (outer: Post | null, inner: Post | null, side: Side): void => {
    const [far, near] = [outer?.job, inner?.job];
    const sign = signOf(side);
    if (far && near && (far.to[0] - near.to[0]) * sign < QUARTERS_APART)
      far.to = [round(inBounds(near.to[0] + sign * QUARTERS_APART, ground)), far.to[1]];
  };
  const ownQuarters = (side: Side): void => {
    const outer = own('quarter', side, [cornerOf(side)]);
    part(outer, own('quarter', side, [safetyOf(side)], true), side);
  };
  if (plan.scheme === 'man') {
    if (plan.deep >= 2) for (const side of sides) own('half', side, [safetyOf(side)]);
    else if (plan.deep === 1 && plan.bracket) {
      // One half or the middle as written; the other safety helps on the named receiver.
      const helper = safetyOf(structure.passing);
      const deepSide = otherSide(structure.passing);
      if (def.middle === 'closed') own('middle', null, [safetyOf(deepSide)]);
      else own('half', deepSide, [safetyOf(deepSide)]);
      const one = sideStructure(structure, structure.passing).receivers[0];
      if (!helper || !free(helper)) lacking++;
      else
        give(helper, 'deep', 'bracket', [
          round(one ? one.x - signOf(structure.passing) * 2 : 0),
          DEEP_AT.bracket!,
        ]);
    } else if (plan.deep >= 1)
      own('middle', null, [high.find((post) => post !== robber), ...safeties.filter((p) => p !== robber)]);
    if (missing > 0) settle();
    if (robber && free(robber)) give(robber, 'under', 'robber', [0, 10]);
    const others = posts.filter((post) => free(post) && post.level !== 'down');
    uncovered = assignMan(
      {
        corners: others.filter((post) => post.level === 'corner'),
        overhangs: others.filter((post) => post.level === 'nickel' || post.overhang),
        down: others.filter((post) => post.level === 'safety'),
        said: w.said,
        backers: others.filter(
          (post) => (post.level === 'backer' || post.level === 'edge') && !post.overhang,
        ),
      },
      structure,
    );
    for (const post of down) standDown(w, post, true);
    standBackers(w);
    for (const post of others) {
      if (post.man) give(post, 'man', null, [round(post.man.x), 1.4]);
      else give(post, 'under', 'hole', [0, 8]);
    }
    for (const post of lineDroppers) {
      const [x, depth] = underSpot('hook', post.x < 0 ? 'L' : 'R', structure, ground);
      give(post, 'under', 'hook', [round(x), depth]);
    }
  } else {
    if (plan.scheme === 'thirds') {
      for (const side of sides)
        own(
          'third',
          side,
          plan.cloud && side === rotated ? [safetyOf(side)] : [cornerOf(side), safetyOf(side)],
        );
      own('middle', null, [
        plan.cloud
          ? safetyOf(otherSide(rotated))
          : high.find((post) => (twoHigh ? post.side !== rotated : true)),
        ...safeties,
      ]);
    } else if (plan.scheme === 'halves') {
      for (const side of sides) own('half', side, [plan.inverted ? cornerOf(side) : safetyOf(side)]);
      if (plan.pole) own('pole', null, [middleBacker(third, free)]);
    } else if (plan.scheme === 'six') {
      const strong = structure.passing;
      ownQuarters(strong);
      own('half', otherSide(strong), [safetyOf(otherSide(strong))]);
    } else {
      for (const side of sides) {
        ownQuarters(side);
      }
      if (plan.scheme === 'prevent')
        own('middle', null, [
          posts.find((post) => post.level === 'nickel' && free(post)),
          middleBacker(third, free),
        ]);
    }
    if (missing > 0) {
      settle();
      for (const [i, slot] of slots.entries())
        if (slot.inner) part(slots[i - 1]!.owner, slot.owner, slot.side!);
    }
    standBackers(w);
    const spy = def.under.some((u) => u.zone === 'spy') ? middleBacker(third, free) : null;
    if (spy) give(spy, 'spy', 'spy', [0, 4]);
    // Left to right. Two over the ball: the deeper to the passing strength, so that a mirror image is one.
    const deeper = signOf(structure.passing);
    const order: Post[] = [];
    let deep = 0;
    for (const post of posts) {
      if (post.job?.does === 'deep') deep++;
      if (!free(post) || (post.level === 'down' && !post.dropped)) continue;
      let at = order.length;
      for (; at > 0; at--) {
        const left = order[at - 1]!;
        if ((across(left) - across(post) || (left.depth - post.depth) * deeper) <= 0) break;
        order[at] = left;
      }
      order[at] = post;
    }
    const count = order.length;
    const zones =
      plan.scheme === 'six'
        ? sixZones(count)
        : plan.cloud
          ? cloudZones(count)
          : underZones(Math.max(2, plan.deep - (plan.pole ? 1 : 0)), count);
    const first: Side = plan.scheme === 'six' ? structure.passing : plan.cloud ? rotated : 'L';
    // The down safety always has the hook, the outermost other man of his side the curl-flat.
    const buzzer = plan.buzz ? down.find((post) => order.includes(post)) : undefined;
    if (buzzer && order.length >= 4) {
      const from = order.indexOf(buzzer);
      const to = rotated === 'L' ? 1 : order.length - 2;
      order.splice(from, 1);
      order.splice(to, 0, buzzer);
    }
    order.forEach((post, i) => {
      let zone = zones[first === 'R' ? zones.length - 1 - i : i] ?? 'hook';
      if (plan.trap && zone === 'flat' && post.level === 'corner') zone = 'trap';
      const middle = zone === 'middle hook' || zone === 'hole';
      const side: Side | null = middle ? null : order.length === 1 ? first : i < order.length / 2 ? 'L' : 'R';
      const [x, depth] = underSpot(zone, side, structure, ground);
      give(post, 'under', zone, [round(x), plan.scheme === 'prevent' ? PREVENT_UNDER : depth]);
    });
    if (count < 2 || deep < plan.deep) few = { under: count, deep };
  }
  return { uncovered, lacking, few };
}
