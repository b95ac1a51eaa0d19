/** The whole picture: offense and defense of one snap, and what follows from them. Pure and fast. */
import type { LevelProfile } from '../field/profile';
import { fieldSides, type Hash, type Side } from '../field/spot';
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
  type BoxRule,
  type FrontDef,
  type FrontLook,
  type School,
} from './front';
import { perimeterLook, type PerimeterLook } from './perimeter';
import { protectionLook, type ProtectionDef, type ProtectionLook } from './protection';
import { runLedger } from './hats';
import type { Ledger, RunAim } from './ledger';
import { atSnap, motionChange, motionPath, type MotionChange, type MotionKind, type Point } from './motion';
import { pressureLook, type PressureDef, type PressureLook } from './pressure';
import { DEFAULT_STRENGTH, structure, type StrengthRule, type Structure } from './structure';

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
  const structure = offense.snap;
  const line = profile.players === 11;
  const motionTo = offense.path ? (offense.path[offense.path.length - 1]![0] < 0 ? 'L' : 'R') : null;
  const rotated = rotationSide(input.rotation, structure, motionTo);
  const usual = placeDefense(
    structure,
    line ? input.front : null,
    input.coverage,
    input.shell,
    rotated,
    profile.players,
  );
  const men =
    input.cornerLeft === null && input.cornerRight === null
      ? usual
      : usual.map((stands) => {
          const off = stands.level !== 'corner' ? null : stands.x < 0 ? input.cornerLeft : input.cornerRight;
          return off === null ? stands : { ...stands, depth: Math.max(1, off) };
        });
  const front =
    line && input.front ? frontLook(men, structure, 5, settings.box, definedShade(input.front)) : null;
  const rush = pressureLook(
    input.pressure ?? null,
    line ? men : [],
    structure,
    input.coverage?.deep.length ?? null,
  );
  const coverage = input.coverage
    ? coverageLook(input.coverage, rush.count, input.rotation, structure, motionTo, profile.players)
    : null;
  const perimeter = front
    ? {
        left: perimeterLook('L', men, structure, settings.box),
        right: perimeterLook('R', men, structure, settings.box),
      }
    : null;
  const ledger =
    front && input.run ? runLedger(offense.snapMen, men, structure, input.run, settings.box) : null;
  const covered: string[] = [];
  if (front && input.run)
    for (const man of offense.snapMen)
      if (
        (man.role === 'line' ||
          structure.left.attached.includes(man) ||
          structure.right.attached.includes(man)) &&
        coveredBy(man, men, input.run.to)
      )
        covered.push(man.letter);
  const slide = input.protectionSide ?? structure.strength ?? 'R';
  const protection =
    front && input.protection
      ? protectionLook(
          input.protection,
          slide,
          structure.backfield.backSide,
          rush.rush.map((r) => r.x),
          structure,
        )
      : null;
  return { offense, defense: { men, front, coverage, rush }, covered, ledger, protection, perimeter };
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
    const ledger = runLedger(
      look.offense.snapMen,
      look.defense!.men,
      look.offense.snap,
      plainRun('zone', to, point),
      box,
    );
    return { to, point, hats: ledger.hats, there: ledger.there, margin: ledger.margin };
  });
}
