/** Where the offense stands at the set and at the snap. Apart from the defense: Log reads sides of a line with it alone. */
import { LEVEL_KEYS, type LevelProfile } from '../field/profile';
import { ballAt, fieldSides, type Side } from '../field/spot';
import { lineUp, shapeOf, type Man, type Spot } from './formation';
import { DEFAULT_LOOK_SETTINGS, type LookInput, type LookSettings } from './look-input';
import { atSnap, motionChange, motionPath, type MotionChange, type Point } from './motion';
import { strengthOrder, type StrengthRule } from './strength';
import { structure, type Declared, type Structure } from './structure';

export interface OffenseLook {
  readonly men: readonly Man[];
  readonly set: Structure;
  readonly path: readonly Point[] | null;
  /** Of a second movement. */
  readonly secondPath: readonly Point[] | null;
  /** Where they stand when the ball comes. */
  readonly snapMen: readonly Man[];
  readonly snap: Structure;
  readonly change: MotionChange | null;
}

interface StoodUp {
  readonly men: readonly Man[];
  readonly set: Structure;
  readonly still: OffenseLook;
  /** By mover: a season shows few motions from a line-up. */
  readonly moved: Map<string | null, Moved[]>;
}
interface Moved {
  readonly by: Pick<LookInput, 'motion' | 'motionSide' | 'second'>;
  readonly even: LookSettings['evenAfterMotion'];
  readonly look: OffenseLook;
}
const sameSecond = (a: LookInput['second'], b: LookInput['second']): boolean =>
  a === b || (a != null && b != null && a.by === b.by && a.motion === b.motion && a.side === b.side);
const NO_BACKFIELD: readonly Spot[] = [];
type ByOrder = WeakMap<readonly StrengthRule[], Map<number, StoodUp>>;
const stoodUp = new WeakMap<readonly Spot[], WeakMap<readonly Spot[], ByOrder>>();
const sideIndex = (side: Side | null): number => (side === null ? 0 : side === 'L' ? 1 : 2);

/** Nearest a man stands to the sideline, yards. */
const OFF_SIDELINE = 1;

/** Who would stand beyond the sideline of this hash stands a yard inside it. */
function withinLines(men: Man[], profile: LevelProfile, field: Side | null): Man[] {
  const ball = field === null ? 0 : ballAt(profile, field === 'L' ? 'R' : 'L');
  const left = -profile.fieldWidth / 2 - ball + OFF_SIDELINE;
  const right = profile.fieldWidth / 2 - ball - OFF_SIDELINE;
  return men.some((man) => man.x < left || man.x > right)
    ? men.map((man) => (man.x < left ? { ...man, x: left } : man.x > right ? { ...man, x: right } : man))
    : men;
}

/** A line-up and its structure, measured once for each formation, backfield, side and hash: a season shows few of them. */
function standUp(
  formation: readonly Spot[],
  side: Side | null,
  backfield: readonly Spot[] | null,
  profile: LevelProfile,
  field: Side | null,
  order: readonly StrengthRule[],
): StoodUp {
  const { players } = profile;
  let byBackfield = stoodUp.get(formation);
  if (!byBackfield) stoodUp.set(formation, (byBackfield = new WeakMap()));
  let byOrder = byBackfield.get(backfield ?? NO_BACKFIELD);
  if (!byOrder) byBackfield.set(backfield ?? NO_BACKFIELD, (byOrder = new WeakMap()));
  let known = byOrder.get(order);
  if (!known) byOrder.set(order, (known = new Map()));
  const at = ((LEVEL_KEYS.indexOf(profile.key) * 12 + players) * 3 + sideIndex(side)) * 3 + sideIndex(field);
  const found = known.get(at);
  if (found) return found;
  const men = withinLines(lineUp(formation, side, backfield, shapeOf(players)), profile, field);
  const set = structure(men, field, order, { written: side });
  const made: StoodUp = {
    men,
    set,
    still: { men, set, path: null, secondPath: null, snapMen: men, snap: set, change: null },
    moved: new Map(),
  };
  known.set(at, made);
  return made;
}

/** The offense alone: the men, their structure before and at the snap. Null without a formation. */
export function offenseLook(
  input: Pick<
    LookInput,
    'formation' | 'side' | 'backfield' | 'motion' | 'motionBy' | 'motionSide' | 'second' | 'hash'
  >,
  profile: LevelProfile,
  settings: LookSettings = DEFAULT_LOOK_SETTINGS,
): OffenseLook | null {
  if (!input.formation) return null;
  const field = fieldSides(profile, input.hash).field;
  const order = strengthOrder(settings.strength, profile.key);
  const stood = standUp(input.formation, input.side, input.backfield, profile, field, order);
  const { second } = input;
  if (input.motionBy === null && second === null) return stood.still;
  let moves = stood.moved.get(input.motionBy);
  if (!moves) stood.moved.set(input.motionBy, (moves = []));
  for (const { by, even, look } of moves)
    if (
      by.motion === input.motion &&
      by.motionSide === input.motionSide &&
      even === settings.evenAfterMotion &&
      sameSecond(by.second, second)
    )
      return look;
  const { men, set } = stood;
  const path =
    input.motionBy === null ? null : motionPath(men, input.motionBy, input.motion, input.motionSide);
  const moved = path ? atSnap(men, input.motionBy, path) : men;
  const secondPath = second ? motionPath(moved, second.by, second.motion, second.side) : null;
  const last = secondPath ?? path;
  if (!last) return stood.still;
  const snapMen = secondPath ? atSnap(moved, second!.by, secondPath) : moved;
  const plain = structure(snapMen, field, order, { written: input.side });
  const traded = (motion: LookInput['motion'] | undefined): boolean =>
    motion === 'trade' || motion === 'shift';
  const trade = traded(input.motion) || traded(second?.motion);
  const evenNow = plain.side === null && settings.evenAfterMotion !== 'declared again';
  const declared: Declared = {
    passing: !evenNow
      ? plain.passing
      : settings.evenAfterMotion === 'stays'
        ? set.passing
        : last[last.length - 1]![0] < 0
          ? 'L'
          : 'R',
    running: trade ? plain.running : set.running,
  };
  const look: OffenseLook = {
    men,
    set,
    path,
    secondPath,
    snapMen,
    snap: structure(snapMen, field, order, declared),
    change: motionChange(men, snapMen),
  };
  const { motion, motionSide } = input;
  moves.push({ by: { motion, motionSide, second }, even: settings.evenAfterMotion, look });
  return look;
}
