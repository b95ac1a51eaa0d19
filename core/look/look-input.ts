/** What a look is made from: the words of a snap as data, and the staff's settings. */
import type { Hash, Side } from '../field/spot';
import type { CoverageDef, Rotated } from './coverage';
import type { Spot } from './formation';
import { DEFAULT_BOX, type BoxRule } from './box';
import type { FrontDef, School } from './front';
import type { MotionKind } from './motion';
import type { PressureDef } from './pressure';
import type { ProtectionDef } from './protection';
import type { RunCall } from './run/ledger';
import { DEFAULT_STRENGTH, type EvenAfterMotion, type StrengthRule } from './strength';

/** What a staff may set about looks; everything computed from them follows. */
export interface LookSettings {
  readonly strength: readonly StrengthRule[];
  readonly school: School;
  readonly box: BoxRule;
  /** The passing strength when motion makes the sides even. */
  readonly evenAfterMotion: EvenAfterMotion;
  /** A keep or boot holds the back-side end of a wide zone. */
  readonly keepHoldsEnd: boolean;
}
export const DEFAULT_LOOK_SETTINGS: LookSettings = {
  strength: DEFAULT_STRENGTH,
  school: 'A',
  box: DEFAULT_BOX,
  evenAfterMotion: 'stays',
  keepHoldsEnd: true,
};

/** Who moves how, and to which side when it is said. */
export interface Movement {
  readonly motion: MotionKind | null;
  readonly by: string;
  readonly side: Side | null;
}

export interface LookInput {
  /** Null: not tagged. */
  readonly formation: readonly Spot[] | null;
  readonly side: Side | null;
  readonly backfield: readonly Spot[] | null;
  readonly motion: MotionKind | null;
  readonly motionBy: string | null;
  readonly motionSide: Side | null;
  /** A second movement of the same snap; null: none. */
  readonly second: Movement | null;
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
  readonly run: RunCall | null;
}

export const EMPTY_LOOK: LookInput = {
  formation: null,
  side: null,
  backfield: null,
  motion: null,
  motionBy: null,
  motionSide: null,
  second: null,
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
