/** Pressure: who comes, through what, from where, and what that makes it. */
import { otherSide, type Side } from '../field/spot';
import type { DefenseWarning, PlacedDefender, DefenseDuty } from './defend';
import { GAPS, gapAt, SPLIT, type Gap } from './formation';
import { signOf, type Post } from './posts';
import type { Structure } from './structure';

export const RUSH_SIDES = ['s', 'w', 'f', 'b', 'back', 'away', 'te', 'open', 'own', 'across'] as const;
/**
 * Strong and weak by the passing strength, field, boundary, to the back, away from him, to the tight end, to the
 * open side, his own side, across the ball.
 */
export type RushSide = (typeof RUSH_SIDES)[number];
export const RUSH_GAPS = GAPS;
export type RushGap = Gap;
export const RUSH_MEN = [
  'mike',
  'will',
  'sam',
  'backer',
  'middle',
  'edge',
  'nickel',
  'corner',
  'safety',
  'everybody',
] as const;
/** A named man, or a role that whoever has it on the side fills. */
export type RushMan = (typeof RUSH_MEN)[number];

export interface Rusher {
  readonly man: RushMan;
  readonly gap: RushGap;
  readonly side: RushSide;
}
/** Men who threaten before the snap, from which it is a simulated pressure. */
export const MANY_THREATEN = 6;
export const LINE_MOVES = ['none', 'stick', 'slant strong', 'slant weak', 'twist'] as const;

export interface PressureDef {
  /** Men of the second and third level who come. */
  readonly rushers: readonly Rusher[];
  /** Men on the line who drop. */
  readonly drops: number;
  /** Side the dropper leaves from; null: away from the pressure. */
  readonly dropSide: RushSide | null;
  readonly lineMove: (typeof LINE_MOVES)[number];
  /** Men who threaten before the snap, the line included. */
  readonly threat: number;
}

/** The offense's side a rush side means here; null where it means nothing (no tight end, back behind the ball). */
export function rushSide(side: RushSide, structure: Structure): Side | null {
  const other = (x: Side | null): Side | null => x && otherSide(x);
  switch (side) {
    case 's':
      return structure.passing;
    case 'w':
      return otherSide(structure.passing);
    // On the middle hash the field is the strong side.
    case 'f':
      return structure.fieldSide ?? structure.passing;
    case 'b':
      return otherSide(structure.fieldSide ?? structure.passing);
    case 'back':
      return structure.strengths.back;
    case 'away':
      return other(structure.strengths.back);
    case 'te':
      return structure.strengths.tight_end;
    case 'open':
      return other(structure.strengths.tight_end);
    case 'own':
    case 'across':
      return null;
  }
}

/** A role is filled from no farther than this across the ball's line; yards. */
const ROLE_REACH = 7;
/** Where a safety who comes stands; yards deep. */
const SAFETY_COMES = 7;
/** Past the end man. */
const OUTSIDE = 1.2;

const NAMED: Readonly<Partial<Record<RushMan, string>>> = { mike: 'M', will: 'W', sam: 'S' };

/** The men who may fill a role, first choice first. */
function candidates(man: RushMan, posts: readonly Post[], side: Side | null, structure: Structure): Post[] {
  const open = posts.filter((post) => post.rush === null && post.level !== 'down' && !post.dropped);
  const here = (post: Post): boolean => side === null || post.side === side || Math.abs(post.x) < 0.3;
  const own = <T extends Post>(list: readonly T[]): T[] => {
    const on = list.filter(here);
    return on.length > 0 ? on : [...list];
  };
  const inside = open.filter((post) => post.level === 'backer' && !post.overhang);
  const letter = NAMED[man];
  if (letter) {
    const known = open.filter((post) => post.letter === letter);
    if (known.length > 0) return known;
    const backers = open.filter(
      (post) => post.level === 'backer' || (man !== 'mike' && post.level === 'edge'),
    );
    const strong = signOf(structure.running);
    const at = man === 'mike' ? 0 : man === 'will' ? -strong * 6 : strong * 6;
    return backers.sort((a, b) => Math.abs(a.x - at) - Math.abs(b.x - at));
  }
  switch (man) {
    case 'middle':
      return inside.sort((a, b) => Math.abs(a.x) - Math.abs(b.x));
    case 'backer':
      return own(inside.length > 0 ? inside : open.filter((post) => post.level === 'backer'));
    case 'edge':
      return [
        ...open.filter((post) => post.level === 'edge' && here(post)),
        ...open.filter((post) => (post.overhang || post.level === 'nickel') && here(post)),
        ...open.filter((post) => post.level === 'backer' && here(post)),
        ...open.filter((post) => post.level === 'safety' && here(post)),
      ];
    case 'nickel': {
      const list = open.filter((post) => (post.level === 'nickel' || post.overhang) && here(post));
      return [
        ...list.filter((post) => post.level === 'nickel'),
        ...list.filter((post) => post.level !== 'nickel'),
      ];
    }
    case 'corner':
      return own(open.filter((post) => post.level === 'corner'));
    case 'safety':
      return own(open.filter((post) => post.level === 'safety'));
    default:
      return [];
  }
}

/** A named man comes from wherever he stands, a role only from near its gap. */
const isNamed = (man: RushMan, post: Post): boolean =>
  man in NAMED || (man === 'nickel' && post.level === 'nickel') || man === 'corner' || man === 'safety';

export const callRush = {
  /** The side whose stand-up edge a call names, so that the base rush takes the other. */
  edgeNamed(def: PressureDef | null, structure: Structure): Side | null {
    if (!def?.rushers.some((r) => r.man === 'edge')) return null;
    const sides = new Set(
      def.rushers.filter((r) => r.man === 'edge').map((r) => rushSide(r.side, structure)),
    );
    return sides.size === 1 ? ([...sides][0] ?? null) : null;
  },

  /** Sends the men a call names and drops those it drops; returns the droppers. */
  send(
    def: PressureDef | null,
    posts: readonly Post[],
    structure: Structure,
    warnings: DefenseWarning[],
  ): readonly Post[] {
    if (!def) return [];
    const sent: Post[] = [];
    for (const rusher of def.rushers) {
      if (rusher.man === 'everybody') {
        everybody(posts, structure);
        continue;
      }
      const side = rushSide(rusher.side, structure);
      if (side === null && rusher.side !== 'own' && rusher.side !== 'across') {
        warnings.push({ code: 'no_back_side', facts: { side: rusher.side } });
        continue;
      }
      const list = candidates(
        rusher.man,
        posts,
        rusher.side === 'own' || rusher.side === 'across' ? null : side,
        structure,
      );
      const at = (post: Post): number => {
        const own: Side = Math.abs(post.x) < 0.3 ? structure.passing : post.x < 0 ? 'L' : 'R';
        const to = rusher.side === 'own' ? own : rusher.side === 'across' ? otherSide(own) : side!;
        const sign = signOf(to);
        if (rusher.gap !== 'D') return gapAt(rusher.gap) * sign;
        const end = to === 'L' ? structure.left.endOfLine : structure.right.endOfLine;
        return sign * Math.max(gapAt('D'), Math.abs(end) + OUTSIDE);
      };
      const reach = list.filter(
        (post) => isNamed(rusher.man, post) || Math.abs(post.x - at(post)) <= ROLE_REACH,
      );
      const post = rusher.man !== 'backer' && rusher.man !== 'middle' ? reach[0] : nearestTo(reach, at);
      if (!post) {
        warnings.push({ code: 'nobody_to_rush', facts: { man: rusher.man, gap: rusher.gap } });
        continue;
      }
      post.rush = at(post);
      post.called = true;
      if (post.level === 'safety') post.depth = Math.min(post.depth, SAFETY_COMES);
      sent.push(post);
      // A down end there slants inside of the man who comes outside him.
      if (rusher.gap === 'D')
        for (const end of posts)
          if (
            end.level === 'down' &&
            end.rush !== null &&
            Math.sign(end.x) === Math.sign(post.rush) &&
            Math.abs(end.x) >= gapAt('C') - SPLIT / 2
          )
            end.rush = Math.sign(end.x) * gapAt('B');
    }
    const dropped: Post[] = [];
    const from = sent.reduce((sum, post) => sum + post.rush!, 0);
    const side = def.dropSide === null ? null : rushSide(def.dropSide, structure);
    const sign = side ? signOf(side) : from > 0 ? -1 : from < 0 ? 1 : -signOf(structure.passing);
    // A stand-up man drops before one with a hand down.
    const ends = posts
      .filter(
        (post) =>
          post.rush !== null &&
          !sent.includes(post) &&
          (post.level === 'down' || post.level === 'edge' || post.level === 'backer'),
      )
      .sort((a, b) => Number(b.level !== 'down') - Number(a.level !== 'down') || (b.x - a.x) * sign);
    for (const post of ends.slice(0, def.drops)) {
      post.rush = null;
      post.dropped = post.level === 'down';
      dropped.push(post);
    }
    return dropped;
  },
};

const nearestTo = (list: readonly Post[], at: (post: Post) => number): Post | undefined =>
  list.reduce<Post | undefined>(
    (best, post) =>
      best === undefined || Math.abs(post.x - at(post)) < Math.abs(best.x - at(best)) ? post : best,
    undefined,
  );

/** Down men, edges, inside backers, then overhangs, while a man is left for each receiver not in the backfield. */
function everybody(posts: readonly Post[], structure: Structure): void {
  const receivers = structure.left.count + structure.right.count;
  const staying = (): number => posts.filter((post) => post.rush === null).length;
  const order = [
    ...posts.filter((post) => post.level === 'edge'),
    ...posts
      .filter((post) => post.level === 'backer' && !post.overhang)
      .sort((a, b) => Math.abs(a.x) - Math.abs(b.x)),
    ...posts.filter((post) => (post.overhang || post.level === 'nickel') && post.level !== 'edge'),
  ];
  let inside = 0;
  for (const post of order) {
    if (post.rush !== null || staying() <= receivers) continue;
    const sign = Math.abs(post.x) < 0.3 ? signOf(structure.passing) : post.x < 0 ? -1 : 1;
    const to =
      post.level === 'backer' && !post.overhang
        ? sign * gapAt(inside++ < 2 ? 'A' : 'B')
        : sign *
          Math.max(
            gapAt('D'),
            Math.abs(sign < 0 ? structure.left.endOfLine : structure.right.endOfLine) + OUTSIDE,
          );
    if (Math.abs(post.x - to) > ROLE_REACH) continue;
    post.called = true;
    post.rush = to;
  }
}

export interface PressureLook {
  /** The men who come; called ones are added to the front's own. */
  readonly rush: readonly DefenseDuty[];
  readonly dropped: readonly PlacedDefender[];
  readonly count: number;
  readonly kind:
    | 'three and drop eight'
    | 'four-man'
    | 'creeper'
    | 'simulated'
    | 'fire zone'
    | 'zero'
    | 'five-man'
    | 'six or more';
  /** Where each added man comes from, relative to back, tight end, strength, field. */
  readonly sources: readonly string[];
}

const NOBODY_ADDED: readonly DefenseDuty[] = [];

/** What a rush is, from the men who come; `deep` is the number of deep men, null without a coverage. */
export function pressureLook(
  def: PressureDef | null,
  rush: readonly DefenseDuty[],
  dropped: readonly PlacedDefender[],
  structure: Structure,
  deep: number | null,
): PressureLook {
  const count = rush.length;
  const added = rush.some((r) => r.called) ? rush.filter((r) => r.called) : NOBODY_ADDED;
  const sources = added.map((r) => {
    const x = Math.abs(r.rush!);
    let gap: (typeof GAPS)[number] = 'A';
    for (const g of GAPS) if (Math.abs(gapAt(g) - x) < Math.abs(gapAt(gap) - x)) gap = g;
    const at: Side = r.rush! < 0 ? 'L' : 'R';
    const { back, tight_end: tightEnd } = structure.strengths;
    let source = `${r.man.name} ${gap === 'D' ? 'edge' : `${gap} gap`}, ${at === structure.passing ? 'strong' : 'weak'}`;
    if (structure.fieldSide !== null) source += at === structure.fieldSide ? ', field' : ', boundary';
    if (back !== null) source += at === back ? ', to the back' : ', away from the back';
    if (tightEnd !== null) source += at === tightEnd ? ', to the tight end' : ', away from the tight end';
    return source;
  });
  let kind: PressureLook['kind'];
  if (deep === 0 && added.length > 0) kind = 'zero';
  else if (count >= 6) kind = 'six or more';
  else if (count === 5) kind = deep === 3 ? 'fire zone' : 'five-man';
  else if (count <= 3) kind = 'three and drop eight';
  else if (added.length > 0) kind = (def?.threat ?? 0) >= MANY_THREATEN ? 'simulated' : 'creeper';
  else kind = 'four-man';
  return { rush, dropped, count, kind, sources };
}
