/** The whole picture: offense and defense of one snap, and what follows from them. Pure and fast. */
import type { LevelProfile } from '../field/profile';
import { fieldSides, otherSide, type Hash, type Side } from '../field/spot';
import {
  coverageLook,
  placeDefense,
  rotationSide,
  type CoverageDef,
  type CoverageLook,
  type PlacedDefender,
  type Rotated,
} from './coverage';
import { lineUp, shapeOf, type Man, type Spot } from './formation';
import {
  coveredBy,
  DEFAULT_BOX,
  definedShade,
  frontLook,
  techniqueName,
  nearestTechnique,
  type BoxRule,
  type Defender,
  type FrontDef,
  type FrontLook,
  type School,
} from './front';
import {
  optionOpen,
  perimeterLook,
  protectionLook,
  runLedger,
  type Ledger,
  type PerimeterLook,
  type ProtectionDef,
  type ProtectionLook,
  type RunAim,
} from './hats';
import { atSnap, motionChange, motionPath, type MotionChange, type MotionKind, type Point } from './motion';
import { pressureLook, type PressureDef, type PressureLook } from './pressure';
import { DEFAULT_STRENGTH, structure, structureWords, type StrengthRule, type Structure } from './structure';

/** What a staff may set about looks; everything computed from them follows. */
export interface LookSettings {
  readonly strength: readonly StrengthRule[];
  readonly school: School;
  readonly box: BoxRule;
}
export const DEFAULT_LOOK_SETTINGS: LookSettings = {
  strength: DEFAULT_STRENGTH,
  school: 'A',
  box: DEFAULT_BOX,
};

export interface LookInput {
  /** Null: not tagged. */
  readonly formation: readonly Spot[] | null;
  readonly side: Side | null;
  readonly backfield: readonly Spot[] | null;
  readonly motion: MotionKind | null;
  readonly motionBy: string | null;
  readonly motionSide: Side | null;
  readonly hash: Hash | null;
  readonly front: FrontDef | null;
  readonly coverage: CoverageDef | null;
  readonly rotation: Rotated;
  readonly shell: number | null;
  /** Yards off as the film shows them; null: as the coverage usually stands. */
  readonly cornerLeft: number | null;
  readonly cornerRight: number | null;
  /** Undefined: not tagged; null: none. */
  readonly pressure: PressureDef | null | undefined;
  readonly protection: ProtectionDef | null;
  readonly protectionSide: Side | null;
  readonly run: RunAim | null;
}

export const EMPTY_LOOK: LookInput = {
  formation: null,
  side: null,
  backfield: null,
  motion: null,
  motionBy: null,
  motionSide: null,
  hash: null,
  front: null,
  coverage: null,
  rotation: null,
  shell: null,
  cornerLeft: null,
  cornerRight: null,
  pressure: undefined,
  protection: null,
  protectionSide: null,
  run: null,
};

export interface OffenseLook {
  readonly men: readonly Man[];
  readonly set: Structure;
  readonly path: readonly Point[] | null;
  /** Where they stand when the ball comes. */
  readonly snapMen: readonly Man[];
  readonly snap: Structure;
  readonly change: MotionChange | null;
}

interface StoodUp {
  readonly men: readonly Man[];
  readonly set: Structure;
  readonly still: OffenseLook;
  /** By mover, kind and side: a season shows few motions from a line-up. */
  readonly moved: Map<string, OffenseLook>;
}
const NO_BACKFIELD: readonly Spot[] = [];
type ByOrder = WeakMap<readonly StrengthRule[], (StoodUp | undefined)[]>;
const stoodUp = new WeakMap<readonly Spot[], WeakMap<readonly Spot[], ByOrder>>();
const sideIndex = (side: Side | null): number => (side === null ? 0 : side === 'L' ? 1 : 2);

/** A line-up and its structure, measured once for each formation, backfield, side and hash: a season shows few of them. */
function standUp(
  formation: readonly Spot[],
  side: Side | null,
  backfield: readonly Spot[] | null,
  players: number,
  field: Side | null,
  order: readonly StrengthRule[],
): StoodUp {
  let byBackfield = stoodUp.get(formation);
  if (!byBackfield) stoodUp.set(formation, (byBackfield = new WeakMap()));
  let byOrder = byBackfield.get(backfield ?? NO_BACKFIELD);
  if (!byOrder) byBackfield.set(backfield ?? NO_BACKFIELD, (byOrder = new WeakMap()));
  let known = byOrder.get(order);
  if (!known) byOrder.set(order, (known = []));
  const at = (players * 3 + sideIndex(side)) * 3 + sideIndex(field);
  const found = known[at];
  if (found) return found;
  const men = lineUp(formation, side, backfield, shapeOf(players));
  const set = structure(men, field, order);
  return (known[at] = {
    men,
    set,
    still: { men, set, path: null, snapMen: men, snap: set, change: null },
    moved: new Map(),
  });
}

/** The offense alone: the men, their structure before and at the snap. Null without a formation. */
export function offenseLook(
  input: Pick<LookInput, 'formation' | 'side' | 'backfield' | 'motion' | 'motionBy' | 'motionSide' | 'hash'>,
  profile: LevelProfile,
  settings: LookSettings = DEFAULT_LOOK_SETTINGS,
): OffenseLook | null {
  if (!input.formation) return null;
  const field = fieldSides(profile, input.hash).field;
  const stood = standUp(
    input.formation,
    input.side,
    input.backfield,
    profile.players,
    field,
    settings.strength,
  );
  if (input.motionBy === null) return stood.still;
  const key = `${input.motionBy}${input.motionSide}${input.motion}`;
  const known = stood.moved.get(key);
  if (known) return known;
  const { men, set } = stood;
  const path = motionPath(men, input.motionBy, input.motion, input.motionSide);
  if (!path) return stood.still;
  const snapMen = atSnap(men, input.motionBy, path);
  const look: OffenseLook = {
    men,
    set,
    path,
    snapMen,
    snap: structure(snapMen, field, settings.strength),
    change: motionChange(men, snapMen),
  };
  stood.moved.set(key, look);
  return look;
}

export interface DefenseLook {
  readonly men: readonly PlacedDefender[];
  readonly front: FrontLook | null;
  readonly coverage: CoverageLook | null;
  readonly rush: PressureLook;
}

export interface FullLook {
  readonly offense: OffenseLook;
  readonly defense: DefenseLook | null;
  readonly covered: readonly string[];
  readonly ledger: Ledger | null;
  readonly protection: ProtectionLook | null;
  readonly perimeter: { readonly left: PerimeterLook; readonly right: PerimeterLook } | null;
}

/**
 * Both sides of a snap with everything that follows: structure, box, coverage, rush, hats at the
 * point of attack, protection, perimeter. Null without a formation: nobody is placed by guess. The
 * defense is drawn when a front or a coverage is tagged.
 */
export function fullLook(
  input: LookInput,
  profile: LevelProfile,
  settings: LookSettings = DEFAULT_LOOK_SETTINGS,
): FullLook | null {
  const offense = offenseLook(input, profile, settings);
  if (!offense) return null;
  if (!input.front && !input.coverage)
    return { offense, defense: null, covered: [], ledger: null, protection: null, perimeter: null };
  const s = offense.snap;
  const line = profile.players === 11;
  const motionTo = offense.path ? (offense.path[offense.path.length - 1]![0] < 0 ? 'L' : 'R') : null;
  const rotated = rotationSide(input.rotation, s, motionTo);
  const usual = placeDefense(
    s,
    line ? input.front : null,
    input.coverage,
    input.shell,
    rotated,
    profile.players,
  );
  const men =
    input.cornerLeft === null && input.cornerRight === null
      ? usual
      : usual.map((d) => {
          const off = d.level !== 'corner' ? null : d.x < 0 ? input.cornerLeft : input.cornerRight;
          return off === null ? d : { ...d, depth: Math.max(1, off) };
        });
  const front = line && input.front ? frontLook(men, s, 5, settings.box, definedShade(input.front)) : null;
  const rush = pressureLook(input.pressure ?? null, line ? men : [], s, input.coverage?.deep.length ?? null);
  const coverage = input.coverage
    ? coverageLook(input.coverage, rush.count, input.rotation, s, motionTo, profile.players)
    : null;
  const perimeter = front
    ? { left: perimeterLook('L', men, s, settings.box), right: perimeterLook('R', men, s, settings.box) }
    : null;
  const ledger = front && input.run ? runLedger(offense.snapMen, men, s, input.run, settings.box) : null;
  const covered: string[] = [];
  if (front && input.run)
    for (const m of offense.snapMen)
      if (
        (m.role === 'line' || s.left.attached.includes(m) || s.right.attached.includes(m)) &&
        coveredBy(m, men, input.run.to)
      )
        covered.push(m.letter);
  const slide = input.protectionSide ?? s.strength ?? 'R';
  const protection =
    front && input.protection
      ? protectionLook(
          input.protection,
          slide,
          s.backfield.backSide,
          rush.rush.map((r) => r.x),
          s,
        )
      : null;
  return { offense, defense: { men, front, coverage, rush }, covered, ledger, protection, perimeter };
}

const SIDE_WORD: Readonly<Record<Side, string>> = { L: 'left', R: 'right' };
const VERDICT_WORD: Readonly<Record<Ledger['verdict'], string>> = {
  sound: 'sound',
  unblocked: 'enough by count',
  'one free': 'one too many',
  'not there': 'not there',
};
const COUNT = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven'];
const countWord = (n: number): string => COUNT[n] ?? String(n);

/** A defender as a staff says him: a man on the line by his technique, others by letter and side. */
export function defenderWords(d: Defender, school: School): string {
  const side = Math.abs(d.x) <= 0.3 ? '' : d.x < 0 ? ' left' : ' right';
  if (d.level === 'down' || d.level === 'edge')
    return `${techniqueName(nearestTechnique(Math.abs(d.x)), school)} technique${side}`;
  const name = { corner: 'corner', safety: 'safety', nickel: 'nickel', backer: `${d.letter} backer` }[
    d.level
  ];
  return `${name}${side}`;
}

/** The facts of a look as sentences fit to read aloud. */
export function lookSentences(
  look: FullLook,
  settings: LookSettings,
  fieldYards: { readonly field: Side | null; readonly boundaryYards: number } | null = null,
): string[] {
  const out: string[] = [];
  const { offense, defense, ledger, protection, perimeter } = look;
  out.push(`${cap(structureWords(offense.set))}.`);
  if (
    offense.change &&
    (offense.change.before !== offense.change.after || offense.change.numbers.length > 0)
  ) {
    const c = offense.change;
    out.push(
      c.before === c.after && c.strengthBefore === c.strengthAfter
        ? `The motion leaves ${c.after}; ${c.numbers.map((n) => `${n.letter} is ${n.after ?? 'in the backfield'}`).join(', ')}.`
        : `The motion makes ${c.before} into ${c.after}${c.strengthAfter ? ` to the ${SIDE_WORD[c.strengthAfter]}` : ', even'}; ${c.numbers.map((n) => `${n.letter} is ${n.after ?? 'in the backfield'}`).join(', ')}.`,
    );
  }
  if (defense?.front) {
    const f = defense.front;
    out.push(
      `${cap(countWord(f.box.length))} in the box against ${countWord(f.blockers)} blockers: ${f.verdict}${f.verdict === 'even' ? ' when one is read' : ''} (${f.family}, ${f.shade}).`,
    );
  }
  if (defense?.front) {
    const hang = (['left', 'right'] as const).map((side) =>
      defense.front!.overhang[side] ? `${side} ${defense.front!.overhang[side]!.where}` : `none ${side}`,
    );
    out.push(`Overhang ${hang.join(', ')}.`);
  }
  if (ledger) {
    const held = [
      ledger.heldByRead ? 'one held by the read' : '',
      ledger.heldByOption ? 'one held by the option' : '',
    ]
      .filter(Boolean)
      .join(', ');
    out.push(
      `${cap(countWord(ledger.hats))} blockers for ${countWord(ledger.there)} to the ${SIDE_WORD[ledger.to]}${held ? `, ${held}` : ''}${ledger.force ? `, the force defender (${defenderWords(ledger.force, settings.school)}) counted` : ''}: ${VERDICT_WORD[ledger.verdict]}.`,
    );
    if (ledger.missing.length > 0) out.push(`Nobody stands where he could ${ledger.missing.join(' or ')}.`);
    const free = ledger.free.filter((d) => ledger.defense.find((e) => e.man === d)?.there);
    if (free.length > 0)
      out.push(`Unblocked at the point: ${free.map((d) => defenderWords(d, settings.school)).join(', ')}.`);
    const read = ledger.defense.find((e) => e.by === 'read');
    if (read) out.push(`The ${defenderWords(read.man, settings.school)} is read.`);
    if (look.covered.length > 0) out.push(`Covered for this run: ${look.covered.join(', ')}.`);
  }
  if (perimeter) {
    for (const side of ['L', 'R'] as const) {
      const p = side === 'L' ? perimeter.left : perimeter.right;
      if (p.receivers < 2) continue;
      out.push(
        `${cap(SIDE_WORD[side])}: ${countWord(p.receivers)} receivers, ${countWord(p.over.length)} over them; the quick throw outside ${optionOpen(p) ? 'is there' : 'is not there'}.`,
      );
    }
  }
  if (protection) {
    const p = protection;
    out.push(
      `${cap(countWord(p.blockers))} to block ${countWord(p.rushers)}: ${sign(p.margin)}${p.short ? `, but ${SIDE_WORD[p.short]} ${countWord(p.short === 'L' ? p.left.blockers : p.right.blockers)} for ${countWord(p.short === 'L' ? p.left.rushers : p.right.rushers)}` : ''}.`,
    );
  }
  if (defense?.coverage) {
    const c = defense.coverage;
    out.push(
      `${c.style === 'match' ? 'Match' : cap(c.style)} coverage, middle ${c.middle === 'none' ? 'without a deep man' : c.middle}: ${c.deep} deep, ${c.under} under, ${defense.rush.count} rush (${defense.rush.kind})${c.rotationWords ? `; rotated ${c.rotationWords}` : ''}.`,
    );
  }
  if (defense && defense.rush.sources.length > 0)
    out.push(`Added to the rush: ${defense.rush.sources.join('; ')}.`);
  if (defense?.coverage) {
    const corners = defense.men.filter((d) => d.level === 'corner').sort((a, b) => a.x - b.x);
    if (corners.length > 0)
      out.push(
        `Corners ${corners.map((d) => `${d.x < 0 ? 'left' : 'right'} ${d.depth <= 2 ? 'pressed' : `${d.depth} yards off`}${leverage(d, offense.snap)}`).join(', ')}.`,
      );
    const safeties = defense.men.filter((d) => d.level === 'safety').sort((a, b) => a.x - b.x);
    if (safeties.length === 2)
      out.push(
        `Safeties ${safeties[0]!.depth} and ${safeties[1]!.depth} yards deep, ${Math.round(safeties[1]!.x - safeties[0]!.x)} apart.`,
      );
  }
  if (fieldYards?.field)
    out.push(
      `Short side ${SIDE_WORD[otherSide(fieldYards.field)]}, ${fieldYards.boundaryYards.toFixed(1)} yards.`,
    );
  return out;
}

/** Where a corner stands to the widest receiver of his side. */
function leverage(d: Defender, s: Structure): string {
  const one = (d.x < 0 ? s.left : s.right).receivers[0];
  if (!one) return '';
  const out = (d.x - one.x) * (d.x < 0 ? -1 : 1);
  return out > 0.3 ? ', outside' : out < -0.3 ? ', inside' : ', head-up';
}

/** A run without a name, to count hats by: zone or down blocking to a side, nobody read. */
export const plainRun = (
  blocking: RunAim['blocking'],
  to: Side,
  point: RunAim['point'],
  pullers: { readonly kick: string | null; readonly wrap: string | null } = { kick: null, wrap: null },
): RunAim => ({
  blocking,
  to,
  point,
  read: null,
  option: null,
  kick: pullers.kick,
  wrap: pullers.wrap === null ? [] : [pullers.wrap],
  carrier: null,
});

export interface PointMargin {
  readonly to: Side;
  readonly point: RunAim['point'];
  readonly hats: number;
  readonly there: number;
  readonly margin: number;
}

/** The hat margin at each point of attack, left to right as it lies on the field: zone blocking, nobody read. */
export function pointMargins(look: FullLook, box: BoxRule = DEFAULT_BOX): PointMargin[] {
  if (!look.defense?.front) return [];
  const order: readonly (readonly [Side, RunAim['point']])[] = [
    ['L', 'D'],
    ['L', 'C'],
    ['L', 'B'],
    ['L', 'A'],
    ['R', 'A'],
    ['R', 'B'],
    ['R', 'C'],
    ['R', 'D'],
  ];
  return order.map(([to, point]) => {
    const l = runLedger(
      look.offense.snapMen,
      look.defense!.men,
      look.offense.snap,
      plainRun('zone', to, point),
      box,
    );
    return { to, point, hats: l.hats, there: l.there, margin: l.margin };
  });
}

const cap = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
const sign = (n: number): string => (n > 0 ? `+${n}` : n === 0 ? 'even' : `−${-n}`);
