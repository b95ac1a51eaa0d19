/** The men of a defense before anything is called: the front on its side, the secondary by number, who hangs over the slots. */
import { otherSide, type Side } from '../field/spot';
import { SPLIT, type Man } from './formation';
import { definedShade, techniqueAt, type DefenderLevel, type FrontDef, type FrontMan } from './front';
import { sideStructure, type SideStructure, type Structure } from './structure';
import { detached, type Zone } from './zones';

export type Does = 'rush' | 'deep' | 'under' | 'man' | 'spy';
/** What a man does after the snap when he does not rush; handed on as his duty. */
export interface Given {
  readonly man: Post;
  readonly does: Does;
  readonly zone: Zone | null;
  /** The receiver he has. */
  covers: Man | null;
  readonly rush: number | null;
  readonly called: boolean;
  to: readonly [x: number, depth: number];
}

/** A defender while he is being placed. */
export interface Post {
  readonly letter: string;
  /** Unlike every other man's, once all stand: the letter, with the side where two share one. */
  name: string;
  readonly level: DefenderLevel;
  /** The side he belongs to; null over the ball. */
  side: Side | null;
  x: number;
  depth: number;
  /** Over a slot or at the edge of his side: nickel, walked-out backer, edge who drops. */
  overhang: boolean;
  /** Where he crosses the line, when he rushes. */
  rush: number | null;
  /** A call sends him; else he comes by his front. */
  called: boolean;
  dropped: boolean;
  man: Man | null;
  job: Given | null;
}

/**
 * Families by who hangs over a slot: a nickel (4-2, 4-1, 3-2, 2-4), an outside backer (4-3, 4-4, 5-3), both
 * (3-3 stack), a stand-up edge (3-4, tite), nobody (5-2, bear, 6-2, goal line).
 */
export type FrontFamily = 'nickel' | 'outside backer' | 'stack' | 'stand-up edge' | 'nobody';

const sideOfX = (x: number): Side | null => (Math.abs(x) < 0.3 ? null : x < 0 ? 'L' : 'R');

export const signOf = (side: Side): 1 | -1 => (side === 'L' ? -1 : 1);

const families = new WeakMap<FrontDef, FrontFamily>();

/** Found once a front. */
export function frontFamily(front: FrontDef): FrontFamily {
  let known = families.get(front);
  if (!known) families.set(front, (known = familyOf(front)));
  return known;
}

function familyOf(front: FrontDef): FrontFamily {
  let down = 0;
  let edges = 0;
  for (const man of front.line)
    if (man.standing) edges++;
    else down++;
  const backers = front.backers.length;
  if (definedShade(front) === 'bear') return 'nobody';
  if (down + edges >= 5 && backers <= 2 && !(down === 3 && edges === 2) && !(down === 4 && edges === 1))
    return 'nobody';
  if (down >= 6) return 'nobody';
  if (down === 3 && edges === 2) return 'stand-up edge';
  if (down === 3 && edges === 0 && backers === 3) return 'stack';
  if (backers + (down === 4 ? edges : 0) >= 3) return 'outside backer';
  return 'nickel';
}

/** Lateral yards outside the tackle of an end whose tight end is not there. */
const LOOSE = 2;
/** Nearest two men on the line stand. */
const SHOULDER = 1;

function lineman(man: FrontMan, strong: 1 | -1, structure: Structure, shift: number): Post {
  const sign = man.side === 'w' ? -strong : strong;
  const half = sign === 1 ? structure.right : structure.left;
  let at = techniqueAt(man.technique);
  if (man.technique.anchor === 'Y') {
    const end = half.attached.find((m) => m.onLine) ?? half.attached[0];
    if (!end)
      at =
        man.standing || man.technique.shade === 'wide'
          ? 2 * SPLIT + LOOSE
          : techniqueAt({ anchor: 'T', shade: 'out' });
    else at += Math.abs(end.x - shift) - 3 * SPLIT;
  }
  const x = Math.round((at * sign + shift) * 10) / 10;
  const side = man.side === 'm' ? null : sign === 1 ? 'R' : 'L';
  return post(man.letter, man.standing ? 'edge' : 'down', side, x === 0 ? 0 : x, 1);
}

/** The front where it stands, turned to the run strength; an unbalanced line moves it a man to its side. */
export function postFront(front: FrontDef, structure: Structure): Post[] {
  const { left, right } = structure;
  // What a front is placed by: the strength, the surface on each side, the tight ends.
  const key =
    ((structure.running === 'L' ? 1 : 0) * 64 +
      (left.surface - left.attached.length) * 8 +
      right.surface -
      right.attached.length) *
      2 ** 20 +
    tightAt(left) * 2 ** 10 +
    tightAt(right);
  let stood = posted.get(front);
  if (!stood) posted.set(front, (stood = new Map()));
  let line = stood.get(key);
  if (!line) stood.set(key, (line = standFront(front, structure)));
  const out: Post[] = [];
  for (const man of line) out.push(post(man.letter, man.level, man.side, man.x, man.depth));
  return out;
}

/** Where the tight end of a side stands, tenths of a yard from the ball; 0 without one. */
function tightAt({ attached }: SideStructure): number {
  if (attached.length === 0) return 0;
  const end = attached.find((man) => man.onLine) ?? attached[0]!;
  return Math.round(Math.abs(end.x) * 10);
}

/** Fronts as they stand, found once for each kind of surface. */
const posted = new WeakMap<FrontDef, Map<number, readonly Post[]>>();

const post = (letter: string, level: DefenderLevel, side: Side | null, x: number, depth: number): Post => ({
  letter,
  name: letter,
  level,
  side,
  x,
  depth,
  overhang: level === 'nickel',
  rush: null,
  called: false,
  dropped: false,
  man: null,
  job: null,
});

function standFront(front: FrontDef, structure: Structure): Post[] {
  const strong = signOf(structure.running);
  const shift = structure.balancedLine
    ? 0
    : structure.left.surface - structure.left.attached.length >
        structure.right.surface - structure.right.attached.length
      ? -SPLIT
      : SPLIT;
  const line = front.line.map((man) => lineman(man, strong, structure, shift));
  // A man who would stand on his neighbor's shoulder goes outside the tackle instead.
  for (const post of line)
    for (const other of line)
      if (
        post !== other &&
        post.side === other.side &&
        post.side !== null &&
        Math.abs(post.x - other.x) < SHOULDER - 1e-9
      ) {
        const sign = signOf(post.side);
        const outer = post.x * sign >= other.x * sign ? post : other;
        outer.x = Math.round((sign * (2 * SPLIT + LOOSE) + shift) * 10) / 10;
      }
  const backers = front.backers.map((backer): Post => {
    const x = backer.x * strong + shift;
    return post(backer.letter, 'backer', sideOfX(x - shift), x === 0 ? 0 : x, backer.depth);
  });
  return [...line, ...backers];
}

const SECONDARY: readonly (readonly string[])[] = [
  [],
  ['FS'],
  ['C', 'C'],
  ['C', 'C', 'FS'],
  ['C', 'C', 'FS', 'SS'],
  ['C', 'C', 'FS', 'SS', '$'],
  ['C', 'C', 'FS', 'SS', '$', 'D'],
  ['C', 'C', 'FS', 'SS', '$', 'D', 'M'],
];

const back = (letter: string, level: DefenderLevel, side: Side | null): Post =>
  post(letter, level, side, 0, 5);

/** Corners, safeties, nickel and dime for the men that are left; the strong safety on the passing strength. */
export function postSecondary(men: number, structure: Structure): Post[] {
  const strong = structure.passing;
  const weak = otherSide(strong);
  const slots = { L: hasSlot(structure, 'L'), R: hasSlot(structure, 'R') };
  const first: Side = slots.L === slots.R ? strong : slots.L ? 'L' : 'R';
  const out: Post[] = [];
  for (const letter of SECONDARY[Math.max(0, Math.min(7, men))]!)
    out.push(
      letter === 'C'
        ? back('C', 'corner', out.length === 0 ? 'L' : 'R')
        : letter === 'FS'
          ? back('FS', 'safety', weak)
          : letter === 'SS'
            ? back('SS', 'safety', strong)
            : letter === '$'
              ? back('$', 'nickel', first)
              : letter === 'D'
                ? back('D', 'nickel', otherSide(first))
                : back('M', 'backer', null),
    );
  return out;
}

/** A detached #2. */
export function hasSlot(structure: Structure, side: Side): boolean {
  const half = sideStructure(structure, side);
  const two = half.receivers[1];
  return two !== undefined && (half.attached.length === 0 || !half.attached.includes(two));
}

/** Outside backers who walk out over a detached #2. */
export function walkOut(
  family: FrontFamily,
  front: readonly Post[],
  structure: Structure,
  nickels: readonly Post[],
): void {
  if (family !== 'outside backer' && family !== 'stack') return;
  for (const side of ['L', 'R'] as const) {
    if (!hasSlot(structure, side) || nickels.some((n) => n.level === 'nickel' && n.side === side)) continue;
    const sign = signOf(side);
    let outer: Post | null = null;
    for (const post of front)
      if (
        (post.level === 'backer' || (post.level === 'edge' && family === 'outside backer')) &&
        post.x * sign > 1 &&
        (outer === null || post.x * sign > outer.x * sign)
      )
        outer = post;
    if (outer) {
      outer.overhang = true;
      outer.side = side;
    }
  }
}

/**
 * Who comes when nothing is called (common practice): the men with a hand down; of three with stand-up edges one
 * of them, on the side with fewer detached receivers, else where the safety comes down, else away from the
 * passing strength; of two both; three down without edges and the backer to the passing strength.
 */
export function rushOfFront(
  family: FrontFamily,
  front: readonly Post[],
  structure: Structure,
  safetyDown: Side | null,
  named: Side | null,
): void {
  let down = 0;
  const edges: Post[] = [];
  for (const post of front)
    if (post.level === 'down') {
      down++;
      post.rush = post.x;
    } else if (post.level === 'edge') edges.push(post);
  if (family === 'nobody' || down === 2) for (const edge of edges) edge.rush = edge.x;
  else if (family === 'stand-up edge') {
    const left = detached(structure, 'L').length;
    const right = detached(structure, 'R').length;
    const side: Side =
      named !== null
        ? otherSide(named)
        : left !== right
          ? left < right
            ? 'L'
            : 'R'
          : (safetyDown ?? otherSide(structure.passing));
    const comes = edges.find((edge) => edge.side === side) ?? edges[0];
    if (comes) comes.rush = comes.x;
    for (const edge of edges)
      if (edge !== comes && edge.side !== null) edge.overhang = hasSlot(structure, edge.side);
  } else if (down === 3 && edges.length === 0) {
    const sign = signOf(structure.passing);
    const inside = front
      .filter((post) => post.level === 'backer' && !post.overhang)
      .sort((a, b) => (b.x - a.x) * sign)[0];
    if (inside) inside.rush = sign * 2.5 * SPLIT;
  }
}
