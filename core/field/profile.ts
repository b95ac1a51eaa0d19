/**
 * Level profiles: what differs between high school, college and professional football, and the
 * games without a line: seven-on-seven and five-a-side flag.
 * Every number of rule here is from memory, stamped with a season and editable by the staff;
 * the association's rulebook governs.
 */

import { FIRST, LOSS, penaltyTable, side, type PenaltyRule, type PenaltySide } from './penalties';

export { ENFORCEMENTS, findPenalty, type Enforcement, type PenaltyRule, type PenaltySide } from './penalties';

export const LEVEL_KEYS = ['high_school', 'college', 'professional', 'seven_on_seven', 'flag_five'] as const;
export type LevelKey = (typeof LEVEL_KEYS)[number];

/** Width of every eleven-man field, yards (160 ft). All three rulebooks. */
export const FIELD_WIDTH_YARDS = 160 / 3;

export interface LevelProfile {
  readonly key: LevelKey;
  readonly name: string;
  readonly season: number;
  /** Men a side: 11, 7 or 5. Games of different numbers are never counted together. */
  readonly players: 11 | 7 | 5;
  readonly fieldWidth: number;
  /** From where a possession may start to the goal line, yards. */
  readonly fieldLength: number;
  /** Hash to the near sideline, yards. Half the width: no hash marks. */
  readonly hashToSideline: number;
  readonly quarterSeconds: number;
  /** Kickoff spot, yards to the goal the kickers attack. */
  readonly kickoffToGoal: number;
  readonly freeKickToGoal: number;
  /** Touchbacks, yards to goal of the team that gets the ball. */
  readonly touchbackKickoffToGoal: number;
  readonly touchbackToGoal: number;
  /** Receivers' yards to goal after a kickoff out of bounds. */
  readonly kickoffOutOfBoundsToGoal: number;
  /** A fair catch of a kickoff short of the touchback spot counts as a touchback. */
  readonly kickoffFairCatchIsTouchback: boolean;
  /** What a missed field goal gives: `previous_spot`, `spot_of_kick`, or `as_punt`. */
  readonly missedFieldGoal: 'previous_spot' | 'spot_of_kick' | 'as_punt';
  readonly tryKickToGoal: number;
  readonly tryTwoToGoal: number;
  readonly defenseMayScoreOnTry: boolean;
  /** First spot of an overtime series, yards to goal; null where overtime is timed. */
  readonly overtimeToGoal: number | null;
  readonly onTheLine: 'at_most_four_backs' | 'at_least_seven';
  /** Yards past the line that a lineman may be while the ball is thrown over it. */
  readonly linemenDownfield: number;
  readonly inGameAid: 'none' | 'paper' | 'video' | 'allowed';
  readonly penalties: readonly PenaltyRule[];
}

/** High school, from memory. */
export const HIGH_SCHOOL: LevelProfile = {
  key: 'high_school',
  name: 'high school',
  season: 2026,
  players: 11,
  fieldWidth: FIELD_WIDTH_YARDS,
  fieldLength: 100,
  hashToSideline: FIELD_WIDTH_YARDS / 3,
  quarterSeconds: 12 * 60,
  kickoffToGoal: 60,
  freeKickToGoal: 80,
  touchbackKickoffToGoal: 80,
  touchbackToGoal: 80,
  kickoffOutOfBoundsToGoal: 65,
  kickoffFairCatchIsTouchback: false,
  missedFieldGoal: 'as_punt',
  tryKickToGoal: 3,
  tryTwoToGoal: 3,
  defenseMayScoreOnTry: false,
  overtimeToGoal: 10,
  linemenDownfield: 2,
  onTheLine: 'at_most_four_backs',
  inGameAid: 'paper',
  penalties: penaltyTable({
    holdingDefense: side(10),
    interferenceDefense: side(15),
    interferenceOffense: side(15),
    grounding: side(5, 'foul', LOSS),
    personalDefense: side(15, 'end'),
    personalFirst: false,
    tripping: side(15, 'end'),
    contact: side(5),
  }),
};

/** College, from memory. */
export const COLLEGE: LevelProfile = {
  key: 'college',
  name: 'college',
  season: 2026,
  players: 11,
  fieldWidth: FIELD_WIDTH_YARDS,
  fieldLength: 100,
  hashToSideline: 20,
  quarterSeconds: 15 * 60,
  kickoffToGoal: 65,
  freeKickToGoal: 80,
  touchbackKickoffToGoal: 75,
  touchbackToGoal: 80,
  kickoffOutOfBoundsToGoal: 65,
  kickoffFairCatchIsTouchback: true,
  missedFieldGoal: 'previous_spot',
  tryKickToGoal: 3,
  tryTwoToGoal: 3,
  defenseMayScoreOnTry: true,
  overtimeToGoal: 25,
  linemenDownfield: 3,
  onTheLine: 'at_most_four_backs',
  inGameAid: 'paper',
  penalties: penaltyTable({
    holdingDefense: side(10, 'prev', FIRST),
    interferenceDefense: side(15, 'prev', { ...FIRST, unhalved: true }),
    interferenceOffense: side(15),
    grounding: side(0, 'foul', { ...LOSS, unhalved: true }),
    personalDefense: side(15, 'end', FIRST),
    personalFirst: true,
    tripping: side(15, 'end'),
    contact: side(5),
  }),
};

/** Professional, from memory. */
export const PROFESSIONAL: LevelProfile = {
  key: 'professional',
  name: 'professional',
  season: 2026,
  players: 11,
  fieldWidth: FIELD_WIDTH_YARDS,
  fieldLength: 100,
  hashToSideline: 70.75 / 3,
  quarterSeconds: 15 * 60,
  kickoffToGoal: 65,
  freeKickToGoal: 80,
  touchbackKickoffToGoal: 65,
  touchbackToGoal: 80,
  kickoffOutOfBoundsToGoal: 60,
  kickoffFairCatchIsTouchback: false,
  missedFieldGoal: 'spot_of_kick',
  tryKickToGoal: 15,
  tryTwoToGoal: 2,
  defenseMayScoreOnTry: true,
  overtimeToGoal: null,
  linemenDownfield: 1,
  onTheLine: 'at_least_seven',
  inGameAid: 'paper',
  penalties: penaltyTable({
    holdingDefense: side(5, 'prev', FIRST),
    interferenceDefense: side(null, 'prev', { ...FIRST, unhalved: true }),
    interferenceOffense: side(10),
    grounding: side(10, 'prev', LOSS),
    personalDefense: side(15, 'end', FIRST),
    personalFirst: true,
    tripping: side(10, 'end'),
    contact: side(5, 'prev', FIRST),
  }),
};

/** Seven-on-seven: no line, no rush, passing only. From memory; organizers differ, their rules govern. */
export const SEVEN_ON_SEVEN: LevelProfile = {
  ...HIGH_SCHOOL,
  key: 'seven_on_seven',
  name: '7-on-7',
  players: 7,
  fieldLength: 45,
};

/** Five-a-side flag: the center may catch, no-run zones, 50 by 25 to 30 yards. From memory; the league's rules govern. */
export const FLAG_FIVE: LevelProfile = {
  ...HIGH_SCHOOL,
  key: 'flag_five',
  name: '5-a-side flag',
  players: 5,
  fieldWidth: 30,
  fieldLength: 50,
  hashToSideline: 15,
};

export const LEVEL_PROFILES: Readonly<Record<LevelKey, LevelProfile>> = {
  high_school: HIGH_SCHOOL,
  college: COLLEGE,
  professional: PROFESSIONAL,
  seven_on_seven: SEVEN_ON_SEVEN,
  flag_five: FLAG_FIVE,
};

/** Numbers of a profile that a staff may change, with their limits. `own`: shown as "own 35" instead of yards to goal. */
export const PROFILE_NUMBERS = [
  { key: 'kickoffToGoal', label: 'kickoff from own', own: true, min: 1, max: 99 },
  { key: 'freeKickToGoal', label: 'free kick from own', own: true, min: 1, max: 99 },
  { key: 'touchbackKickoffToGoal', label: 'kickoff touchback at own', own: true, min: 1, max: 99 },
  { key: 'touchbackToGoal', label: 'other touchbacks at own', own: true, min: 1, max: 99 },
  { key: 'kickoffOutOfBoundsToGoal', label: 'kickoff out of bounds at own', own: true, min: 1, max: 99 },
  { key: 'tryKickToGoal', label: 'try by kick from', own: false, min: 1, max: 50 },
  { key: 'tryTwoToGoal', label: 'try for two from', own: false, min: 1, max: 50 },
  { key: 'linemenDownfield', label: 'linemen past the line on a pass, yards', own: false, min: 0, max: 10 },
  { key: 'quarterSeconds', label: 'quarter, seconds', own: false, min: 60, max: 900 },
  { key: 'hashToSideline', label: 'hash to sideline, yards', own: false, min: 10, max: 26 },
] as const satisfies readonly {
  key: keyof LevelProfile;
  label: string;
  own: boolean;
  min: number;
  max: number;
}[];
export type ProfileNumber = (typeof PROFILE_NUMBERS)[number]['key'];

/** What a staff changed in its level's profile: numbers by key, yards and first down of a foul by "name|side". */
export interface ProfileChanges {
  readonly numbers: Readonly<Partial<Record<ProfileNumber, number>>>;
  readonly fouls: Readonly<Record<string, { readonly yards: number | null; readonly firstDown: boolean }>>;
}

/** The profile of a season with the staff's changes. Throws on a number outside its limits. */
export function adaptProfile(
  base: LevelProfile,
  season: number,
  changes: ProfileChanges | null,
): LevelProfile {
  if (!changes) return { ...base, season };
  for (const { key, label, min, max } of PROFILE_NUMBERS) {
    const n = changes.numbers[key];
    if (n !== undefined && !(n >= min && n <= max))
      throw new RangeError(`${label}: ${n} is not from ${min} to ${max}`);
  }
  const changed = (
    name: string,
    which: 'offense' | 'defense',
    side: PenaltySide | null,
  ): PenaltySide | null => (side === null ? null : { ...side, ...changes.fouls[`${name}|${which}`] });
  return {
    ...base,
    ...changes.numbers,
    season,
    penalties: base.penalties.map((penaltyRule) => ({
      ...penaltyRule,
      offense: changed(penaltyRule.name, 'offense', penaltyRule.offense),
      defense: changed(penaltyRule.name, 'defense', penaltyRule.defense),
    })),
  };
}

export type Profiles = Readonly<Record<LevelKey, LevelProfile>>;

/** Every level's profile as a program uses it: its own level with its changes, the others as they ship. */
export const profilesFor = (level: LevelKey, season: number, changes: ProfileChanges | null): Profiles =>
  Object.fromEntries(
    LEVEL_KEYS.map((k) => [k, adaptProfile(LEVEL_PROFILES[k], season, k === level ? changes : null)]),
  ) as Record<LevelKey, LevelProfile>;
