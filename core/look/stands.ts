/** Where both sides stand at the snap and what the defense does: what counts are sliced by. */
import type { LevelProfile } from '../field/profile';
import { coverageLook, rotationSide, type CoverageLook } from './coverage';
import { defend, type DefenseDuty, type DefenseWarning, type PlacedDefender } from './defend';
import type { Man } from './formation';
import { definedShade, frontLook, type FrontLook } from './front';
import { DEFAULT_LOOK_SETTINGS, type LookInput, type LookSettings } from './look-input';
import type { OffenseLook } from './offense';
import { pressureLook, type PressureLook } from './pressure';
import { groundOf } from './zones';

export interface DefenseLook {
  readonly men: readonly PlacedDefender[];
  readonly front: FrontLook | null;
  readonly coverage: CoverageLook | null;
  readonly rush: PressureLook;
  /** What each man does; the rush alone without a coverage. */
  readonly duties: readonly DefenseDuty[];
  /** Receivers nobody has, a back first. */
  readonly uncovered: readonly Man[];
  readonly warnings: readonly DefenseWarning[];
}

/** The defense against an offense as it stands at the snap, from the words of its front, coverage and pressure. */
export function defenseLook(
  offense: OffenseLook,
  input: LookInput,
  profile: LevelProfile,
  settings: LookSettings = DEFAULT_LOOK_SETTINGS,
): DefenseLook {
  const structure = offense.snap;
  const line = profile.players === 11;
  const lastPath = offense.secondPath ?? offense.path;
  const motionTo = lastPath ? (lastPath[lastPath.length - 1]![0] < 0 ? 'L' : 'R') : null;
  const rotated = rotationSide(input.rotation, structure, motionTo);
  const defended = defend(structure, groundOf(profile, input.hash), {
    front: line ? input.front : null,
    coverage: input.coverage,
    rotation: rotated,
    shell: input.shell,
    cornerLeft: input.cornerLeft,
    cornerRight: input.cornerRight,
    pressure: input.pressure ?? null,
    men: profile.players,
  });
  const { men } = defended;
  const front =
    line && input.front ? frontLook(men, structure, 5, settings.box, definedShade(input.front)) : null;
  const coming: DefenseDuty[] = [];
  let deep = 0;
  for (const duty of defended.duties)
    if (duty.rush !== null) coming.push(duty);
    else if (duty.does === 'deep') deep++;
  const rush = pressureLook(
    input.pressure ?? null,
    coming,
    defended.dropped,
    structure,
    input.coverage ? deep : null,
  );
  const coverage = input.coverage ? coverageLook(input.coverage, defended, structure, motionTo) : null;
  return {
    men,
    front,
    coverage,
    rush,
    duties: defended.duties,
    uncovered: defended.uncovered,
    warnings: defended.warnings,
  };
}
