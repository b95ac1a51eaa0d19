/**
 * Structure: what follows from where the offense stands. Counts, surfaces, gaps, strength, the
 * names of a side, the backfield, field and boundary, and what the rulebook would say.
 */
import { sideWord } from '../field/spot';
import type { Side } from '../field/spot';
import { intoBoundary, isBack, receivers, type Man } from './formation';
import {
  DEFAULT_STRENGTH,
  passingStrength,
  runningStrength,
  type Strengths,
  type StrengthRule,
} from './strength';

export const SIDE_NAMES = [
  'nub',
  'pro',
  'twins',
  'trips',
  'trey',
  'quads',
  'bunch',
  'cluster',
  'stack',
  'condensed',
  'wing',
  'slot',
] as const;

export type SideName = (typeof SIDE_NAMES)[number];

export interface SideStructure {
  /** Outside-in: #1 first. */
  readonly receivers: readonly Man[];
  readonly count: number;
  /** Men attached outside the center: guard and tackle 2, with a tight end 3, with a wing 4. */
  readonly surface: number;
  /** Gaps outside the center: one more than the surface. */
  readonly gaps: number;
  /** Eligible men attached to the line: tight ends on it, wings off it. */
  readonly attached: readonly Man[];
  /** Receivers who are not attached, outside-in. */
  readonly detached: readonly Man[];
  /** Lateral place of the end man of the line, yards from the ball. */
  readonly endOfLine: number;
  readonly names: readonly SideName[];
}

export interface Backfield {
  readonly quarterback: 'gun' | 'pistol' | 'under' | 'out';
  readonly backs: readonly Man[];
  readonly set: 'empty' | 'dot' | 'sidecar' | 'i' | 'offset i' | 'split' | 'full';
  /** Side of the deepest back, null when he stands behind the ball or there is none. */
  readonly backSide: Side | null;
  /** Over or outside the tackle. */
  readonly cheated: boolean;
}

export interface Structure {
  readonly left: SideStructure;
  readonly right: SideStructure;
  /** Larger by smaller: "3x1". */
  readonly label: string;
  /** The side with more receivers; null when even. */
  readonly side: Side | null;
  readonly strengths: Strengths;
  /** Turns coverages, rotation, the nickel, pressures: by the staff's order, never none. */
  readonly passing: Side;
  /** Turns fronts and the names of the backers: the longer surface, else the passing strength. */
  readonly running: Side;
  readonly backfield: Backfield;
  readonly fieldSide: Side | null;
  /** Passing strength to the short side; null on the middle hash. */
  readonly intoBoundary: boolean | null;
  /** Where the back stands from each point of view; null where one of the two is missing. */
  readonly back: {
    readonly toTightEnd: boolean | null;
    readonly toStrength: boolean | null;
    readonly toField: boolean | null;
  };
  readonly empty: boolean;
  /** Nobody attached to the line. */
  readonly spread: boolean;
  readonly balancedLine: boolean;
  /** Eligible letters on the line inside its end: not eligible there. */
  readonly covered: readonly string[];
}

/** Widest gap, yards, that still counts as attached to the line. */
export const ATTACHED = 2.2;

/** And not deeper than this. */
export const ATTACHED_DEPTH = 2.4;

/** Three in a span of this many yards are a bunch (common practice: about three yards). */
export const BUNCH = 3.5;

/** A back no farther from the ball than this is behind it, one this far and more is cheated; yards. */
export const BEHIND_BALL = 0.8;

export const CHEATED = 3;

/** Two whose lanes differ by no more than this are a stack. */
export const STACK = 1;

/** Every receiver of a side this near the end man is condensed; a staff setting may change it. */
export const CONDENSED = 5;

/** Larger by smaller, and the side with more. */
export function structureOf(
  left: number,
  right: number,
): { readonly left: number; readonly right: number; readonly label: string; readonly side: Side | null } {
  return {
    left,
    right,
    label: left > right ? `${left}x${right}` : `${right}x${left}`,
    side: left === right ? null : left > right ? 'L' : 'R',
  };
}

function sideOf(men: readonly Man[], list: readonly Man[], sign: 1 | -1, center: number): SideStructure {
  // Walk outward from the center: linemen, then eligible men while they stand close enough.
  const chain: Man[] = [];
  for (const man of men)
    if (
      man.role !== 'quarterback' &&
      !isBack(man) &&
      (man.x - center) * sign > 0.2 &&
      man.depth <= ATTACHED_DEPTH
    ) {
      let at = chain.length;
      for (; at > 0 && (chain[at - 1]!.x - man.x) * sign > 0; at--) chain[at] = chain[at - 1]!;
      chain[at] = man;
    }
  let end = center;
  let surface = 0;
  const attached: Man[] = [];
  let tight = false;
  let wing = false;
  for (const man of chain) {
    if ((man.x - end) * sign > ATTACHED) break;
    surface++;
    if (man.role === 'eligible') {
      attached.push(man);
      if (man.onLine) tight = true;
      else wing = true;
    }
    end = man.x;
  }
  const names: SideName[] = [];
  const n = list.length;
  const free = n - attached.length;
  if (wing) names.push('wing');
  if (n === 1 && tight) names.push('nub');
  if (n === 2 && free === 2) names.push('twins');
  if (n === 2 && attached.length === 1 && tight) names.push('pro');
  if (n === 3) names.push(tight ? 'trey' : 'trips');
  if (n >= 4) names.push('quads');
  for (let i = 0; i + 2 < n; i++) {
    if (Math.abs(list[i]!.x - list[i + 2]!.x) <= BUNCH) {
      names.push(Math.abs(list[i]!.x - end) <= CONDENSED ? 'cluster' : 'bunch');
      break;
    }
  }
  for (let i = 0; i + 1 < n; i++) {
    if (Math.abs(list[i]!.x - list[i + 1]!.x) <= STACK) {
      names.push('stack');
      break;
    }
  }
  if (free >= 2 && !list[free - 1]!.onLine && Math.abs(list[free - 1]!.x - list[0]!.x) > BUNCH)
    names.push('slot');
  if (n > 0 && Math.abs(list[0]!.x - end) <= CONDENSED && free > 0) names.push('condensed');
  return {
    receivers: list,
    count: n,
    surface,
    gaps: surface + 1,
    attached,
    detached: attached.length === 0 ? list : list.filter((man) => !attached.includes(man)),
    endOfLine: end,
    names,
  };
}

function backfieldOf(men: readonly Man[]): Backfield {
  const man = men.find((m) => m.role === 'quarterback') ?? null;
  const backs = men.filter(isBack).sort((a, b) => b.depth - a.depth || a.x - b.x);
  const deepest = backs[0] ?? null;
  const behind = (m: Man) =>
    man !== null && Math.abs(m.x - man.x) <= BEHIND_BALL && m.depth > man.depth + 0.5;
  const quarterback =
    man === null || Math.abs(man.x) > 5
      ? 'out'
      : man.depth <= 1.8
        ? 'under'
        : man.depth <= 4.5 && backs.some(behind)
          ? 'pistol'
          : 'gun';
  let set: Backfield['set'] = 'empty';
  if (backs.length === 1) set = behind(deepest!) ? 'dot' : 'sidecar';
  else if (backs.length === 2) {
    const [man, other] = backs as [Man, Man];
    if (man.depth - other.depth > 1.2) set = Math.abs(man.x - other.x) <= 0.9 ? 'i' : 'offset i';
    else set = 'split';
  } else if (backs.length >= 3) set = 'full';
  const lone =
    backs.length === 1
      ? deepest
      : backs.length === 2
        ? Math.abs(backs[0]!.x) <= BEHIND_BALL
          ? backs[1]!
          : backs[0]!
        : null;
  const x = lone?.x ?? 0;
  const level = backs.length === 2 && set === 'split';
  return {
    quarterback,
    backs,
    set,
    backSide: lone === null || level || Math.abs(x) <= BEHIND_BALL ? null : x < 0 ? 'L' : 'R',
    cheated: lone !== null && Math.abs(x) >= CHEATED,
  };
}

/** What the strengths need besides the places: the side written with the formation, strengths that motion leaves. */
export interface Declared {
  readonly written?: Side | null;
  readonly passing?: Side | null;
  readonly running?: Side | null;
}

/**
 * The structure of men as they stand. `order`: the staff's rules of the passing strength, first that
 * names a side wins. `fieldSide` null on the middle hash. Never throws; any number of men.
 */
export function structure(
  men: readonly Man[],
  fieldSide: Side | null = null,
  order: readonly StrengthRule[] = DEFAULT_STRENGTH,
  declared: Declared = {},
): Structure {
  const list = receivers(men);
  // The ball is where the center stands; an unbalanced line moves the others, not him.
  const center = 0;
  const left = sideOf(men, list.left, -1, center);
  const right = sideOf(men, list.right, 1, center);
  const { label, side } = structureOf(left.count, right.count);
  const backfield = backfieldOf(men);
  const more = (a: number, b: number): Side | null => (a === b ? null : a > b ? 'L' : 'R');
  const strengths: Strengths = {
    receivers: side,
    tight_end: more(left.attached.length, right.attached.length),
    field: fieldSide,
    back: backfield.backSide,
  };
  const passing = declared.passing ?? passingStrength(strengths, order, declared.written ?? null);
  let balance = 0;
  for (const m of men) if (m.role === 'line') balance += m.x < -0.2 ? -1 : m.x > 0.2 ? 1 : 0;
  const same = (a: Side | null, b: Side | null): boolean | null =>
    a === null || b === null ? null : a === b;
  return {
    left,
    right,
    label,
    side,
    strengths,
    passing,
    running: declared.running ?? runningStrength(left.surface, right.surface, passing),
    backfield,
    fieldSide,
    intoBoundary: intoBoundary(passing, fieldSide),
    back: {
      toTightEnd: same(backfield.backSide, strengths.tight_end),
      toStrength: same(backfield.backSide, passing),
      toField: same(backfield.backSide, fieldSide),
    },
    empty: backfield.backs.length === 0,
    spread: left.attached.length + right.attached.length === 0,
    balancedLine: balance === 0,
    covered: coveredMen(men),
  };
}

/** Eligible letters on the line with another man of the line outside them. */
export function coveredMen(men: readonly Man[]): string[] {
  let least = Infinity;
  let most = -Infinity;
  for (const man of men) {
    if (!man.onLine) continue;
    if (man.x < least) least = man.x;
    if (man.x > most) most = man.x;
  }
  const out: string[] = [];
  for (const man of men)
    if (man.onLine && man.role === 'eligible' && man.x !== least && man.x !== most && Math.abs(man.x) > 0.2)
      out.push(man.letter);
  return out;
}

export const sideStructure = (s: Structure, side: Side): SideStructure => (side === 'L' ? s.left : s.right);

/**
 * A key that is equal for equal structures, whatever the letters and whichever side is strong:
 * what a test compares to tell a formation from another name for it.
 */
export function structureKey(men: readonly Man[]): string {
  const half = (sign: 1 | -1): string => {
    const s = structure(men);
    const side = sign === 1 ? s.right : s.left;
    const line = men.filter((m) => m.role === 'line' && m.x * sign > 0.2).length;
    return `${side.receivers.map((m) => `${m.onLine ? '' : 'o'}${zoneOf(Math.abs(m.x))}`).join(',')}|${side.surface}|${side.names.join(',')}|${line}`;
  };
  const [a, b] = [half(1), half(-1)];
  return a > b ? `${a} / ${b}` : `${b} / ${a}`;
}

/** Landmarks across the field from the ball, for comparing: attached, tight slot, slot, wide, far. */
const zoneOf = (yards: number): string => (yards <= 7 ? 'a' : yards <= 9.5 ? 's' : yards <= 13 ? 'w' : 'f');

/** A structure as a coach says it: "3x1 to the right, nub left, gun, back away from the tight end". */
export function structureWords(structure: Structure): string {
  const out = [
    structure.side ? `${structure.label} to the ${sideWord(structure.side)}` : `${structure.label}, even`,
  ];
  for (const side of ['L', 'R'] as const) {
    const names = sideStructure(structure, side).names.filter((n) => n !== 'slot');
    if (names.length > 0) out.push(`${names.join(' ')} ${sideWord(side)}`);
  }
  if (!structure.balancedLine) out.push('unbalanced line');
  if (structure.covered.length > 0) out.push(`${structure.covered.join(' and ')} covered`);
  const backfield = structure.backfield;
  out.push(
    backfield.set === 'empty'
      ? `empty, ${backfield.quarterback}`
      : `${backfield.quarterback === 'out' ? 'quarterback out' : backfield.quarterback}, ${backfield.set}`,
  );
  if (backfield.backSide) {
    const where =
      structure.back.toTightEnd === null
        ? structure.back.toStrength === null
          ? sideWord(backfield.backSide)
          : structure.back.toStrength
            ? 'to strength'
            : 'away from strength'
        : structure.back.toTightEnd
          ? 'to the tight end'
          : 'away from the tight end';
    out.push(`back ${where}${backfield.cheated ? ', cheated wide' : ''}`);
  }
  if (structure.intoBoundary === true) out.push('into the boundary');
  return out.join(', ');
}
