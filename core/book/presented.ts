/** A picture to show a play from, and what putting the play's jobs on its bodies gives. */
import type { LevelProfile } from '../field/profile';
import type { Side } from '../field/spot';
import {
  atSnap,
  lineUp,
  motionPath,
  shapeOf,
  type Job,
  type Man,
  type MotionKind,
  type Movement,
  type Route,
  type RunRole,
  type Spot,
  type Structure,
} from '../look';

export interface Presentation {
  readonly formation: readonly Spot[];
  readonly side: Side | null;
  readonly backfield: readonly Spot[] | null;
  readonly motion: MotionKind | null;
  readonly motionBy: string | null;
  readonly motionSide: Side | null;
  /** A second movement of the same snap. */
  readonly second?: Movement | null;
}

export interface Assignment {
  readonly men: readonly Man[];
  readonly structure: Structure;
  /** Job or route by letter. */
  readonly jobs: ReadonlyMap<string, Job | Route>;
  readonly roles: ReadonlyMap<string, RunRole>;
  /** Jobs of the play that nobody of this picture can take; empty when it can be shown. */
  readonly missing: readonly Job[];
  readonly carrier: string | null;
  /** Of a pass: receivers the word does not name. */
  readonly unnamed: readonly string[];
  /** Side of a screen behind linemen who release; null for every other play. */
  readonly screen: Side | null;
}

/** The men of a presentation at the snap. */
export function presentedMen(
  presentation: Presentation,
  profile: LevelProfile,
): { readonly men: Man[]; readonly set: Man[] } {
  const set = lineUp(
    presentation.formation,
    presentation.side,
    presentation.backfield,
    shapeOf(profile.players),
  );
  const { motionBy, second } = presentation;
  const moved = atSnap(
    set,
    motionBy,
    motionBy === null ? null : motionPath(set, motionBy, presentation.motion, presentation.motionSide),
  );
  const again = second ? motionPath(moved, second.by, second.motion, second.side) : null;
  return { set, men: again ? atSnap(moved, second!.by, again) : moved };
}
