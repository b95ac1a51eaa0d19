/** The whole picture: offense and defense of one snap, and what follows from them. Pure and fast. */
import { type LevelProfile } from '../field/profile';
import { perimeterLook, type PerimeterLook } from './perimeter';
import { protectionLook, type ProtectionLook } from './protection';
import { runLedger } from './run/run';
import type { Ledger } from './run/ledger';
import { DEFAULT_LOOK_SETTINGS, type LookInput, type LookSettings } from './look-input';

import { offenseLook, type OffenseLook } from './offense';
import { defenseLook, type DefenseLook } from './stands';

export interface FullLook {
  readonly offense: OffenseLook;
  readonly defense: DefenseLook | null;
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
    return { offense, defense: null, ledger: null, protection: null, perimeter: null };
  const structure = offense.snap;
  const defense = defenseLook(offense, input, profile, settings);
  const { men, front, rush } = defense;
  const perimeter = front
    ? {
        left: perimeterLook('L', men, structure, settings.box),
        right: perimeterLook('R', men, structure, settings.box),
      }
    : null;
  const ledger = front && input.run ? runLedger(offense.snapMen, men, structure, input.run, settings) : null;
  const slide = input.protectionSide ?? structure.passing;
  const protection =
    front && input.protection
      ? protectionLook(
          input.protection,
          slide,
          structure.backfield.backSide,
          rush.rush.map((r) => r.rush!),
          structure,
        )
      : null;
  return {
    offense,
    defense,
    ledger,
    protection,
    perimeter,
  };
}
