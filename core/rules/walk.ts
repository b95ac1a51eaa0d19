/**
 * A game carried from snap to snap: the situation each snap was played in, what follows it, and
 * everything the game's own order gives (possession, series, score, bucket, zone, clock mode,
 * what came just before). A field left blank is carried; a typed one anchors the walk again.
 */
import {
  DEFAULT_BUCKETS,
  DEFAULT_ZONES,
  bucketOf,
  clockModeOf,
  zoneOf,
  type BucketKey,
  type BucketSet,
  type ClockMode,
  type Zone,
} from '../field/situation';
import type { LevelProfile } from '../field/profile';
import { byOrder } from '../snap/order';
import type { Snap } from '../snap/snap';
import { nextState, unitOf, type NextState } from './next-state';
import { unknownState, type GameState } from './state';

export const AFTER_EVENTS = ['turnover', 'explosive', 'loss', 'penalty', 'quarter', 'nothing'] as const;
export type AfterEvent = (typeof AFTER_EVENTS)[number];

/** Yards from which a run and a pass are explosive: schools, a staff setting. */
export interface ExplosiveRule {
  readonly run: number;
  readonly pass: number;
}
/** Common practice. */
export const EXPLOSIVE: ExplosiveRule = { run: 12, pass: 16 };

export interface WalkOptions {
  readonly buckets?: BucketSet;
  readonly zones?: readonly Zone[];
  readonly explosive?: ExplosiveRule;
}

export interface WalkedSnap {
  /** As logged. */
  readonly snap: Snap;
  /** What the snap before leaves; null fields: cannot know. */
  readonly expected: GameState;
  /** What was typed, with the carried values in the blanks. */
  readonly before: GameState;
  readonly after: NextState;
  /** Number shown, from 1. */
  readonly number: number;
  readonly possession: number;
  readonly series: number;
  readonly snapInPossession: number;
  readonly firstOfPossession: boolean;
  readonly pointsFor: number | null;
  readonly pointsAgainst: number | null;
  readonly bucket: BucketKey | null;
  readonly zone: string | null;
  readonly clockMode: ClockMode | null;
  readonly afterEvent: AfterEvent;
  /** The half (or an overtime series) began here: nothing was carried in. */
  readonly anchored: boolean;
}

const halfOf = (quarter: number): number => (quarter <= 2 ? 1 : quarter <= 4 ? 2 : quarter);

/** Down, distance, spot as typed, the rest carried. A typed part switches the carried rest off where they cannot both hold. */
function situationOf(snap: Snap, expected: GameState): GameState {
  const offense = snap.offense ?? expected.offense;
  const turned = expected.offense !== null && offense !== null && offense !== expected.offense;
  const carried = turned
    ? { ...unknownState(expected.score), quarter: expected.quarter, clock: expected.clock }
    : expected;
  const unit = unitOf(carried, snap);
  const nextUnit = unit === 'kickoff' || unit === 'free_kick' || unit === 'try' ? unit : 'scrimmage';
  const same = carried.unit === nextUnit;
  const score = { ...expected.score };
  const defense = snap.defense ?? (turned ? expected.offense : expected.defense);
  if (snap.pointsFor !== null && offense !== null) score[offense] = snap.pointsFor;
  if (snap.pointsAgainst !== null && defense !== null) score[defense] = snap.pointsAgainst;
  return {
    offense,
    defense,
    unit: nextUnit,
    quarter: snap.quarter ?? expected.quarter,
    clock: snap.clock,
    score,
    down: nextUnit === 'scrimmage' ? (snap.down ?? (same ? carried.down : null)) : null,
    distance: nextUnit === 'scrimmage' ? (snap.distance ?? (same ? carried.distance : null)) : null,
    toGoal: snap.toGoal ?? (same ? carried.toGoal : null),
    hash: snap.hash ?? (same ? carried.hash : null),
    fresh: same ? carried.fresh : turned || expected.unit !== 'scrimmage',
  };
}

/** The game begins here: nobody has scored. Anywhere else an untyped score is not known. */
export const isOpeningKickoff = (before: GameState): boolean =>
  before.unit === 'kickoff' && before.quarter === 1;

/** Whether a gain is explosive; false where none is known. */
export function isExplosive(
  { gain, result }: Pick<Snap, 'gain' | 'result'>,
  rule: ExplosiveRule = EXPLOSIVE,
): boolean {
  const limit = result === 'complete' || result === 'scramble' ? rule.pass : rule.run;
  return gain !== null && gain >= limit;
}

function eventOf(row: WalkedSnap, quarterChanged: boolean, rule?: ExplosiveRule): AfterEvent {
  const { snap } = row;
  if (snap.turnover === 'interception' || (snap.turnover === 'fumble' && snap.fumble !== 'kept'))
    return 'turnover';
  if (snap.penalties.some((p) => p.outcome !== 'declined')) return 'penalty';
  if (isExplosive(snap, rule)) return 'explosive';
  if (snap.result === 'sack' || (snap.gain !== null && snap.gain < 0)) return 'loss';
  return quarterChanged ? 'quarter' : 'nothing';
}

/** The state carried into a snap: what the last one left, unless a half or overtime begins. */
export function carryInto(
  previous: { state: GameState; quarter: number | null } | null,
  quarter: number | null,
): { expected: GameState; anchored: boolean } {
  if (previous === null) return { expected: unknownState(), anchored: true };
  const { state } = previous;
  if (quarter !== null && previous.quarter !== null && halfOf(quarter) !== halfOf(previous.quarter)) {
    return { expected: { ...unknownState(state.score), quarter }, anchored: true };
  }
  return { expected: state, anchored: false };
}

/** Walks one game's snaps in order. Cost: linear. Gives one row a snap, never throws. */
export function walkGame(
  snaps: readonly Snap[],
  profile: LevelProfile,
  options: WalkOptions = {},
): WalkedSnap[] {
  const rows: WalkedSnap[] = [];
  let possession = 0;
  let series = 0;
  let inPossession = 0;
  let last: WalkedSnap | null = null;
  let lastScrimmage: WalkedSnap | null = null;
  for (const snap of [...snaps].sort(byOrder)) {
    const { expected, anchored } = carryInto(
      last && { state: last.after.state, quarter: last.before.quarter },
      snap.quarter,
    );
    const situated = situationOf(snap, expected);
    const opening =
      last === null && isOpeningKickoff(situated) && situated.offense !== null && situated.defense !== null;
    const before = opening
      ? { ...situated, score: { [situated.offense!]: 0, [situated.defense!]: 0, ...situated.score } }
      : situated;
    const scrimmage = before.unit === 'scrimmage';
    const newPossession =
      scrimmage &&
      (before.fresh ||
        anchored ||
        lastScrimmage === null ||
        (before.offense !== null && lastScrimmage.before.offense !== before.offense));
    if (newPossession) {
      possession++;
      inPossession = 0;
    }
    if (scrimmage) {
      inPossession++;
      if (
        newPossession ||
        (before.down === 1 && last !== null && !(last.before.down === 1 && last.snap.result === 'no_play'))
      )
        series++;
    }
    const situation = { ...before, fresh: newPossession };
    const played = nextState(situation, snap, profile);
    // Whatever happened in a snap nobody saw, the next one says where it begins.
    const after = snap.notFilmed
      ? { ...played, state: { ...unknownState(situation.score), quarter: situation.quarter } }
      : played;
    const pointsFor = before.offense === null ? null : (before.score[before.offense] ?? null);
    const pointsAgainst = before.defense === null ? null : (before.score[before.defense] ?? null);
    const row: WalkedSnap = {
      snap,
      expected,
      before: situation,
      after,
      number: rows.length + 1,
      possession,
      series,
      snapInPossession: scrimmage ? inPossession : 0,
      firstOfPossession: newPossession,
      pointsFor,
      pointsAgainst,
      bucket: bucketOf(
        {
          unit: snap.unit ?? situation.unit,
          down: before.down,
          distance: before.distance,
          toGoal: before.toGoal,
          fresh: newPossession,
        },
        options.buckets ?? DEFAULT_BUCKETS,
      ),
      zone: zoneOf(before.toGoal, options.zones ?? DEFAULT_ZONES),
      clockMode: clockModeOf(
        before.quarter,
        snap.clock,
        pointsFor === null || pointsAgainst === null ? null : pointsFor - pointsAgainst,
      ),
      afterEvent:
        last === null ? 'nothing' : eventOf(last, last.before.quarter !== before.quarter, options.explosive),
      anchored,
    };
    rows.push(row);
    last = row;
    if (scrimmage) lastScrimmage = row;
  }
  return rows;
}

/** The snap with the carried situation filled in: what the open table and every count use. */
export function effectiveSnap(row: WalkedSnap): Snap {
  const { snap, before } = row;
  return {
    ...snap,
    offense: before.offense,
    defense: before.defense,
    quarter: before.quarter,
    unit: snap.unit ?? before.unit,
    down: before.down,
    distance: before.distance,
    toGoal: before.toGoal,
    hash: before.hash,
    pointsFor: row.pointsFor,
    pointsAgainst: row.pointsAgainst,
  };
}
