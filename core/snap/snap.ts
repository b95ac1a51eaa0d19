/**
 * The snap record: the one vocabulary that the snap line, the arithmetic, the open table, the
 * database and the counts share. Field names are the open table's column names in camel case.
 */
import type { ChartedFacts } from './charted';
import type { Hash, Side } from '../field/spot';
import type { Enforcement } from '../field/profile';

export const UNITS = ['scrimmage', 'punt', 'field_goal', 'kickoff', 'free_kick', 'try'] as const;
export type Unit = (typeof UNITS)[number];

export const PLAYS = ['run', 'pass', 'rpo', 'other'] as const;
export type Play = (typeof PLAYS)[number];

export const RESULTS = [
  'gain',
  'complete',
  'incomplete',
  'sack',
  'scramble',
  'kneel',
  'spike',
  'kick',
  'no_play',
] as const;
export type Result = (typeof RESULTS)[number];

export const INCOMPLETE_CAUSES = ['dropped', 'thrown_away', 'batted', 'defended', 'overthrown'] as const;
export type IncompleteCause = (typeof INCOMPLETE_CAUSES)[number];

export const TURNOVERS = ['interception', 'fumble'] as const;
export type Turnover = (typeof TURNOVERS)[number];

export const FUMBLES = ['kept', 'lost'] as const;
export type Fumble = (typeof FUMBLES)[number];

export const KICK_ENDS = [
  'returned',
  'fair_catch',
  'touchback',
  'downed',
  'out_of_bounds',
  'blocked',
  'muffed',
  'kept_by_kickers',
  'good',
  'missed',
] as const;
export type KickEnd = (typeof KICK_ENDS)[number];

/** Where an option ended: given to the back, kept, pitched, or thrown. */
export const READ_DECISIONS = ['gave', 'pulled', 'pitched', 'thrown'] as const;
export type ReadDecision = (typeof READ_DECISIONS)[number];
/** Third of the field's breadth, as the offense sees it. */
export const THIRDS = ['left', 'middle', 'right'] as const;
export type Third = (typeof THIRDS)[number];
/** Who stopped the clock before the snap. */
export const TIMEOUTS = ['offense', 'defense', 'official'] as const;
export type Timeout = (typeof TIMEOUTS)[number];

export const SCORES = ['touchdown', 'field_goal', 'safety', 'try_1', 'try_2', 'defensive_try'] as const;
export type Score = (typeof SCORES)[number];

export const SCORE_POINTS: Readonly<Record<Score, number>> = {
  touchdown: 6,
  field_goal: 3,
  safety: 2,
  try_1: 1,
  try_2: 2,
  defensive_try: 2,
};

export const ROTATIONS = ['strong', 'weak', 'field', 'boundary', 'motion'] as const;
export type Rotation = (typeof ROTATIONS)[number];

export const PENALTY_SIDES = ['o', 'd', 'k', 'r'] as const;
export type PenaltyTeam = (typeof PENALTY_SIDES)[number];
export const PENALTY_OUTCOMES = ['accepted', 'declined', 'offset'] as const;
export type PenaltyOutcome = (typeof PENALTY_OUTCOMES)[number];
export const PENALTY_EXTRAS = ['1st', 'lod', ''] as const;
export type PenaltyExtra = (typeof PENALTY_EXTRAS)[number];

export interface Penalty {
  /** o, k: the team that put the ball in play; d, r: the other. */
  readonly side: PenaltyTeam;
  readonly name: string;
  /** Null: not known from the film. */
  readonly yards: number | null;
  readonly from: Enforcement;
  readonly outcome: PenaltyOutcome;
  readonly extra: PenaltyExtra;
  /** Spot of the foul, yards to the goal line that the team which put the ball in play attacks; absent: not said. */
  readonly at?: number;
}

/** How sure a charter is of a field. */
export const SURENESS = ['sure', 'think_so', 'guess'] as const;
export type Sureness = (typeof SURENESS)[number];

/** Values of a tag that say why there is no word: none or not applicable, and not visible on this film. */
export const NONE = '-';
export const UNSEEN = '?';
export type Absent = typeof NONE | typeof UNSEEN;
/** A tag: a value, "-" (none), "?" (not visible), or null (not tagged). The four never merge in a count. */
export type Tag<T = string> = T | Absent | null;

/** True for a value that counts: neither blank, nor none, nor unseen. */
export function isTagged<T>(value: T | Absent | null): value is T {
  return value !== null && value !== NONE && value !== UNSEEN;
}

export interface Snap extends ChartedFacts {
  readonly snapId: string;
  readonly game: string;
  readonly order: number;
  readonly film: string | null;
  readonly filmIn: number | null;
  readonly filmOut: number | null;

  readonly offense: string | null;
  readonly defense: string | null;
  readonly unit: Unit | null;
  readonly quarter: number | null;
  /** Seconds left in the quarter. */
  readonly clock: number | null;
  readonly pointsFor: number | null;
  readonly pointsAgainst: number | null;
  readonly timeoutsFor: number | null;
  readonly timeoutsAgainst: number | null;
  readonly toGoal: number | null;
  readonly hash: Hash | null;
  readonly down: number | null;
  readonly distance: number | null;

  /** Two digits, backs then tight ends. */
  readonly personnel: Tag;
  readonly extraLinemen: Tag<number>;
  readonly quarterbackOut: boolean | null;
  readonly men: number | null;
  readonly formation: Tag;
  readonly formationSide: Tag<Side>;
  readonly backfield: Tag;
  readonly receiversLeftSet: Tag<number>;
  readonly receiversRightSet: Tag<number>;
  readonly tempo: Tag;
  /** What the call was changed from or by at the line. */
  readonly check: Tag;
  readonly timeout: Tag<Timeout>;

  readonly motion: Tag;
  readonly motionBy: Tag;
  readonly motionSide: Tag<Side>;
  readonly motionSpeed: Tag;
  /** A second movement in the same snap, after the first. */
  readonly motionSecond: Tag;
  readonly motionSecondBy: Tag;
  readonly motionSecondSide: Tag<Side>;
  readonly receiversLeftSnap: Tag<number>;
  readonly receiversRightSnap: Tag<number>;
  /** Extra backs the defense sent in: base, nickel, dime. */
  readonly bodies: Tag;
  readonly front: Tag;
  readonly box: Tag<number>;
  readonly shell: Tag<number>;
  readonly cornerLeftDepth: Tag<number>;
  readonly cornerRightDepth: Tag<number>;

  readonly play: Tag<Play>;
  readonly concept: Tag;
  readonly conceptWeak: Tag;
  /** Side of the throw of an option, where it is said. */
  readonly optionSide: Tag<Side>;
  readonly direction: Tag<Side>;
  readonly protection: Tag;
  readonly protectionSide: Tag<Side>;
  readonly drop: Tag<number>;
  readonly pressure: Tag;
  readonly rushers: Tag<number>;
  readonly coverage: Tag;
  readonly rotation: Tag<Rotation>;
  readonly readKey: Tag;
  readonly keyAction: Tag;
  readonly readDecision: Tag<ReadDecision>;
  /** Run or thrown from a kick's formation. */
  readonly fake: boolean | null;
  /** Letter or number of the receiver two men have. */
  readonly doubled: Tag;
  readonly spy: Tag;

  readonly carrier: string | null;
  readonly passer: string | null;
  readonly target: string | null;
  /** Who took the snap, where it was not the quarterback. */
  readonly snapTaker: string | null;
  /** After a double pass, a lateral, a hook and lateral. */
  readonly secondPasser: string | null;
  readonly secondCarrier: string | null;
  readonly kicker: string | null;
  readonly returner: string | null;
  readonly takenBy: string | null;
  readonly tacklers: readonly string[];

  readonly result: Result | null;
  readonly incompleteCause: Tag<IncompleteCause>;
  /** Yards past the line at which the target was, and in which third. */
  readonly targetDepth: Tag<number>;
  readonly targetThird: Tag<Third>;
  readonly scrambleDrill: boolean | null;
  readonly quarterbackHit: boolean | null;
  readonly gain: number | null;
  readonly outOfBounds: boolean | null;
  readonly turnover: Turnover | null;
  readonly fumble: Fumble | null;
  readonly kickEnd: KickEnd | null;
  readonly kickYards: number | null;
  readonly turnoverYards: number | null;
  readonly returnYards: number | null;
  readonly score: Score | null;
  readonly scoredBy: string | null;
  readonly deadPossession: string | null;
  readonly deadToGoal: number | null;
  readonly deadHash: Hash | null;
  readonly nextOffense: string | null;
  readonly penalties: readonly Penalty[];

  readonly tags: readonly string[];
  /** Field names the charter is not sure of. */
  readonly notSure: readonly string[];
  /** Those of them that are only a guess. */
  readonly guessed: readonly string[];
  /** Played, but not on this film: it holds its place, and nothing follows from it. */
  readonly notFilmed: boolean | null;
  readonly kept: boolean | null;
  readonly note: string | null;
}

export type SnapField = keyof Snap;
export type SnapFields = Partial<Snap>;
/** Fields that say who a snap is; everything else is a fact about it. */
export type SnapFact = Exclude<SnapField, 'snapId' | 'game' | 'order'>;
