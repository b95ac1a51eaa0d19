/**
 * Fronts: techniques as places (stored) and as numbers (printed by the staff's school), the box,
 * the shade, overhangs, who is covered. Frame: the offense's left and right; depth here is yards
 * on the defense's side of the ball.
 */
import { DEFAULT_BOX, type BoxRule } from './box';
import type { Side } from '../field/spot';
import { SPLIT, type Man } from './formation';
import { sideStructure, type Structure } from './structure';

export const TIGHT_END_SCHOOLS = ['A', 'B', 'C'] as const;
/** How a staff numbers the men on the tight end: A 7 6 9, B 7 8 9, C 6i 6 7 and 9 wide (common practice). */
export type School = (typeof TIGHT_END_SCHOOLS)[number];

export const ANCHORS = ['C', 'G', 'T', 'Y'] as const;
export type Anchor = (typeof ANCHORS)[number];
export const SHADES = ['in', 'head', 'out', 'wide'] as const;
export type Shade = (typeof SHADES)[number];
/** A place on the line of scrimmage: over which man, on which part of him. */
export interface Technique {
  readonly anchor: Anchor;
  readonly shade: Shade;
}

const ANCHOR_AT: Readonly<Record<Anchor, number>> = { C: 0, G: SPLIT, T: 2 * SPLIT, Y: 3 * SPLIT };
const SHADE_AT: Readonly<Record<Shade, number>> = { in: -0.5, head: 0, out: 0.5, wide: 1.5 };

const NAMES: Readonly<Record<Exclude<Anchor, 'Y'>, Readonly<Partial<Record<Shade, string>>>>> = {
  C: { head: '0', out: '1' },
  G: { in: '2i', head: '2', out: '3' },
  T: { in: '4i', head: '4', out: '5' },
};
const TIGHT_END_NAMES: Readonly<Record<School, Readonly<Record<Shade, string>>>> = {
  A: { in: '7', head: '6', out: '9', wide: 'wide 9' },
  B: { in: '7', head: '8', out: '9', wide: 'wide 9' },
  C: { in: '6i', head: '6', out: '7', wide: '9' },
};

/** The number of a place in a school. */
export const techniqueName = (technique: Technique, school: School): string =>
  technique.anchor === 'Y'
    ? TIGHT_END_NAMES[school][technique.shade]
    : (NAMES[technique.anchor][technique.shade] ?? `${technique.anchor} ${technique.shade}`);

/** Every place that has a number, inside out. */
export const TECHNIQUES: readonly Technique[] = [
  { anchor: 'C', shade: 'head' },
  { anchor: 'C', shade: 'out' },
  { anchor: 'G', shade: 'in' },
  { anchor: 'G', shade: 'head' },
  { anchor: 'G', shade: 'out' },
  { anchor: 'T', shade: 'in' },
  { anchor: 'T', shade: 'head' },
  { anchor: 'T', shade: 'out' },
  { anchor: 'Y', shade: 'in' },
  { anchor: 'Y', shade: 'head' },
  { anchor: 'Y', shade: 'out' },
  { anchor: 'Y', shade: 'wide' },
];

/** The place a number means in a school, or null. */
export const readTechnique = (name: string, school: School): Technique | null =>
  TECHNIQUES.find((t) => techniqueName(t, school) === name) ?? null;

/** Lateral yards of a place, from the ball outward. */
export const techniqueAt = (technique: Technique): number =>
  Math.round((ANCHOR_AT[technique.anchor] + SHADE_AT[technique.shade]) * 10) / 10;

/** The nearest numbered place to a lateral distance from the ball (0 and up), within half a yard to the inside neighbor on ties. */
export function nearestTechnique(yards: number): Technique {
  let best = TECHNIQUES[0]!;
  for (const technique of TECHNIQUES)
    if (Math.abs(techniqueAt(technique) - yards) < Math.abs(techniqueAt(best) - yards) - 1e-9)
      best = technique;
  return best;
}

export type DefenderLevel = 'down' | 'edge' | 'backer' | 'corner' | 'safety' | 'nickel';
export interface Defender {
  readonly letter: string;
  readonly x: number;
  /** Yards off the ball, 1 on the line. */
  readonly depth: number;
  readonly level: DefenderLevel;
}

/** A man of a front in words that follow the strength: s strong, w weak, m over the ball. */
export interface FrontMan {
  readonly letter: string;
  readonly side: 's' | 'w' | 'm';
  readonly technique: Technique;
  /** On the line without a hand down. */
  readonly standing: boolean;
}
export interface FrontBacker {
  readonly letter: string;
  /** Lateral yards, strong side positive. */
  readonly x: number;
  readonly depth: number;
}
export interface FrontDef {
  readonly line: readonly FrontMan[];
  readonly backers: readonly FrontBacker[];
}

const placedFronts = new WeakMap<
  FrontDef,
  { left?: readonly Defender[]; right?: readonly Defender[]; shade?: ShadeName }
>();

/** The men of a front where they stand, strong to `strength` (right when there is none). Made once a front and side. */
export function placeFront(frontDef: FrontDef, strength: Side | null): readonly Defender[] {
  let known = placedFronts.get(frontDef);
  if (!known) placedFronts.set(frontDef, (known = {}));
  return strength === 'L'
    ? (known.left ??= standFront(frontDef, -1))
    : (known.right ??= standFront(frontDef, 1));
}

function standFront(frontDef: FrontDef, strong: 1 | -1): readonly Defender[] {
  const out: Defender[] = [];
  for (const frontMan of frontDef.line) {
    const sign = frontMan.side === 'w' ? -strong : strong;
    const x = techniqueAt(frontMan.technique) * sign;
    out.push({
      letter: frontMan.letter,
      x: x === 0 ? 0 : x,
      depth: 1,
      level: frontMan.standing ? 'edge' : 'down',
    });
  }
  for (const frontBacker of frontDef.backers)
    out.push({
      letter: frontBacker.letter,
      x: frontBacker.x === 0 ? 0 : frontBacker.x * strong,
      depth: frontBacker.depth,
      level: 'backer',
    });
  return out;
}

export function inBox(defender: Defender, structure: Structure, rule: BoxRule = DEFAULT_BOX): boolean {
  // Men on the line always.
  if ((defender.level === 'down' || defender.level === 'edge') && defender.depth <= 2) return true;
  return (
    defender.depth <= rule.depth &&
    defender.x >= structure.left.endOfLine - rule.lateral - 1e-9 &&
    defender.x <= structure.right.endOfLine + rule.lateral + 1e-9
  );
}

export const SHADE_NAMES = ['over', 'under', 'even', 'odd', 'bear', 'tite', 'wide', 'other'] as const;
export type ShadeName = (typeof SHADE_NAMES)[number];

/** The shade of a front by where its men stand, over and under by the strength. */
export function frontShade(defenders: readonly Defender[], strength: Side | null): ShadeName {
  const sign = strength === 'L' ? -1 : 1;
  const line = defenders.filter((d) => d.level === 'down').map((d) => d.x * sign);
  const near = (at: number) => line.some((x) => Math.abs(x - at) <= 0.3);
  const three = techniqueAt({ anchor: 'G', shade: 'out' });
  const four = techniqueAt({ anchor: 'T', shade: 'in' });
  if (near(0) && near(four) && near(-four)) return 'tite';
  const guard = (s: 1 | -1) => line.some((x) => x * s >= 1 && x * s <= 2.3);
  if (near(0) && guard(1) && guard(-1)) return 'bear';
  if (near(0)) return 'odd';
  const ends = line.filter((x) => Math.abs(x) >= techniqueAt({ anchor: 'Y', shade: 'wide' }) - 0.2);
  if (ends.length >= 2) return 'wide';
  const strong = near(three);
  const weak = near(-three);
  if (strong !== weak) return strong ? 'over' : 'under';
  const mirror = line.every((x) => line.some((y) => Math.abs(x + y) <= 0.3));
  return mirror && line.length > 0 ? 'even' : 'other';
}

export interface Overhang {
  readonly man: Defender;
  readonly where: 'on the line' | 'apex' | 'on #2';
}

export interface FrontLook {
  /** Down linemen, then backers in the box: "4-2". */
  readonly family: string;
  readonly shade: ShadeName;
  readonly box: readonly Defender[];
  /** Linemen, attached tight ends and wings, and lead backs (all backs but the carrier). */
  readonly blockers: number;
  /** One of the box is the man read (or the carrier's own): the rest is judged against the blockers. */
  readonly verdict: 'light' | 'even' | 'loaded';
  readonly overhang: { readonly left: Overhang | null; readonly right: Overhang | null };
}

/** Seven is even against 11 people and light against 22: one of the box is left to the read. */
export function boxVerdict(box: number, blockers: number): FrontLook['verdict'] {
  const toBlock = box - 1;
  return toBlock < blockers ? 'light' : toBlock === blockers ? 'even' : 'loaded';
}

/** The shade of a front as it is defined; the same whichever side is strong, so it is found once. */
export function definedShade(frontDef: FrontDef): ShadeName {
  const known = placedFronts.get(frontDef)?.shade;
  if (known) return known;
  const shade = frontShade(placeFront(frontDef, 'R'), 'R');
  placedFronts.get(frontDef)!.shade = shade;
  return shade;
}

export function frontLook(
  defenders: readonly Defender[],
  structure: Structure,
  linemen: number,
  rule: BoxRule = DEFAULT_BOX,
  shade: ShadeName = frontShade(defenders, structure.running),
): FrontLook {
  const box: Defender[] = [];
  let down = 0;
  let backers = 0;
  for (const defender of defenders) {
    if (defender.level === 'down') down++;
    if (!inBox(defender, structure, rule)) continue;
    box.push(defender);
    if (defender.level !== 'down') backers++;
  }
  const blockers =
    linemen +
    structure.left.attached.length +
    structure.right.attached.length +
    Math.max(0, structure.backfield.backs.length - 1);
  return {
    family: `${down}-${backers}`,
    shade,
    box,
    blockers,
    verdict: boxVerdict(box.length, blockers),
    overhang: {
      left: overhangOf(defenders, structure, 'L', rule),
      right: overhangOf(defenders, structure, 'R', rule),
    },
  };
}

/** Lateral yards within which a man stands on a receiver. */
export const ON_RECEIVER = 1.5;

/** The man outside the box who is not on #1: on the line, splitting the difference, or on #2. */
function overhangOf(
  defenders: readonly Defender[],
  structure: Structure,
  side: Side,
  rule: BoxRule,
): Overhang | null {
  const sign = side === 'L' ? -1 : 1;
  const half = sideStructure(structure, side);
  const second = half.receivers[1];
  let best: Defender | null = null;
  for (const defender of defenders) {
    if (defender.level === 'down' || defender.level === 'corner' || defender.depth > 9) continue;
    const out = (defender.x - half.endOfLine) * sign;
    if (out <= 0.3 || (inBox(defender, structure, rule) && defender.level !== 'edge')) continue;
    if (!best || defender.x * sign < best.x * sign) best = defender;
  }
  if (!best) return null;
  if (best.depth <= 1.5 && (best.x - half.endOfLine) * sign <= 2.2)
    return { man: best, where: 'on the line' };
  return {
    man: best,
    where:
      second && !half.attached.includes(second) && Math.abs(best.x - second.x) <= ON_RECEIVER
        ? 'on #2'
        : 'apex',
  };
}

/** Head-up or on the play-side shoulder: this near outside, this near inside a blocker, yards. */
const HEAD_UP = 0.3;
const SHOULDER = 0.85;

/** The man on the line who covers a blocker for a run to a side, or null: a back-side shade leaves him uncovered. */
export function coveredBy<D extends Pick<Defender, 'x' | 'depth'>>(
  blocker: Pick<Man, 'x'>,
  defenders: readonly D[],
  to: Side,
): D | null {
  const sign = to === 'L' ? -1 : 1;
  for (const defender of defenders) {
    if (defender.depth > 1.6) continue;
    const out = (defender.x - blocker.x) * sign;
    if (out >= -HEAD_UP - 1e-9 && out <= SHOULDER) return defender;
  }
  return null;
}
