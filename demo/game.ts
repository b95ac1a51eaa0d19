/**
 * One simulated game. Calls come from the coordinators' habits; everything that follows a call
 * (downs, spots, scores, kicks, possession) comes out of the rules engine.
 */
import { clockModeOf } from '../core/field/situation';
import { COLLEGE } from '../core/field/profile';
import type { Hash } from '../core/field/spot';
import { nextState } from '../core/rules/next-state';
import { unknownState, type GameState } from '../core/rules/state';
import { blankSnap } from '../core/snap/fields';
import type { Snap } from '../core/snap/snap';
import { clubOf, type Club } from './clubs';
import { seededRandom, seedOf, type Random } from './random';
import type { CallRecord, Draft, GamePlan, Mood } from './draft';
import { fieldGoal, kick, punt } from './kicks';
import { fromScrimmage } from './outcomes';

export interface SimulatedGame {
  readonly snaps: readonly Snap[];
  readonly calls: readonly CallRecord[];
  readonly score: Readonly<Record<string, number>>;
}

export function simulateGame(plan: GamePlan): SimulatedGame {
  const random = seededRandom(seedOf(plan.seed, plan.key));
  const snaps: Snap[] = [];
  const calls: CallRecord[] = [];
  const opener = random.chance(0.5) ? plan.home : plan.away;
  const other = (t: string) => (t === plan.home ? plan.away : plan.home);
  let quarter = 1;
  let clock = 900;
  let after = 'nothing';
  let state = kickoffState(opener, { [plan.home]: 0, [plan.away]: 0 });

  function kickoffState(kicker: string, score: Record<string, number>): GameState {
    return {
      ...unknownState(score),
      offense: kicker,
      defense: other(kicker),
      unit: 'kickoff',
      toGoal: COLLEGE.kickoffToGoal,
      quarter,
      clock,
    };
  }

  for (let guard = 0; guard < 400; guard++) {
    if (clock <= 0) {
      if (quarter === 4) break;
      quarter++;
      clock = 900;
      if (quarter === 3) state = kickoffState(other(opener), { ...state.score });
    }
    const id = `${plan.key}-${String(snaps.length + 1).padStart(3, '0')}`;
    const draft: Draft = { ...blankSnap(id, plan.key, snaps.length + 1) };
    const offense = state.offense!;
    const defense = other(offense);
    Object.assign(draft, {
      offense,
      defense,
      quarter,
      clock,
      pointsFor: state.score[offense] ?? 0,
      pointsAgainst: state.score[defense] ?? 0,
      toGoal: state.toGoal,
      hash:
        state.unit === 'kickoff' || state.unit === 'free_kick' || state.unit === 'try'
          ? 'M'
          : (state.hash ?? 'M'),
      down: state.down,
      distance: state.distance,
    });
    const mode = clockModeOf(quarter, clock, draft.pointsFor! - draft.pointsAgainst!) ?? 'normal';
    const record = playSnap(
      draft,
      state,
      clubOf(offense),
      plan.world?.defense?.(clubOf(defense)) ?? clubOf(defense),
      random,
      {
        mode,
        after,
        tells: plan.tells,
        world: plan.world,
      },
    );
    if (record) calls.push({ snapId: id, ...record });
    const snap: Snap = draft;
    const result = nextState({ ...state, hash: draft.hash, quarter, clock }, snap, COLLEGE);
    draft.nextOffense = result.state.offense;
    snaps.push({ ...draft });
    after = eventAfter(snap);
    clock -= secondsOf(snap, mode, random);
    if (result.state.offense === null)
      throw new Error(`the simulated game stopped: ${JSON.stringify(result)}`);
    const drawn =
      result.state.unit === 'scrimmage' && result.state.hash === null
        ? { ...result.state, hash: random.pick<Hash>(['L', 'M', 'R']) }
        : result.state;
    state = drawn;
  }
  return { snaps, calls, score: state.score };
}

function eventAfter(snap: Snap): string {
  if (snap.turnover) return 'turnover';
  if (snap.penalties.some((p) => p.outcome !== 'declined')) return 'penalty';
  if (snap.gain !== null && snap.gain >= (snap.result === 'complete' || snap.result === 'scramble' ? 16 : 12))
    return 'explosive';
  return snap.result === 'sack' || (snap.gain ?? 0) < 0 ? 'loss' : 'nothing';
}

function secondsOf(snap: Snap, mode: string, random: Random): number {
  if (snap.unit === 'try') return 0;
  if (snap.unit === 'kickoff' || snap.unit === 'free_kick') return random.int(4, 9);
  if (snap.result === 'incomplete' || snap.outOfBounds || snap.result === 'spike') return random.int(5, 9);
  if (snap.result === 'no_play') return random.int(0, 3);
  return mode === 'two_minute'
    ? random.int(14, 24)
    : mode === 'four_minute'
      ? random.int(36, 42)
      : random.int(24, 38);
}

function playSnap(
  draft: Draft,
  gameState: GameState,
  offense: Club,
  defense: Club,
  random: Random,
  mood: Mood,
): Omit<CallRecord, 'snapId'> | null {
  if (gameState.unit === 'kickoff' || gameState.unit === 'free_kick') {
    kick(draft, gameState, random);
    return null;
  }
  const margin = draft.pointsFor! - draft.pointsAgainst!;
  if (gameState.unit === 'try' && !(margin === -2 || margin === -5 || random.chance(0.04))) {
    Object.assign(draft, { unit: 'try', result: 'kick', down: null, distance: null, kicker: '3' });
    const good = random.chance(0.94);
    draft.kickEnd = good ? 'good' : 'missed';
    if (good) Object.assign(draft, { score: 'try_1', scoredBy: offense.key });
    return null;
  }
  if (gameState.down === 4 && gameState.unit === 'scrimmage') {
    const late = draft.quarter === 4 && margin < 0 && draft.clock! < 300;
    const go =
      late ||
      (gameState.distance! <= 2 && gameState.toGoal! < 60 && random.chance(0.55)) ||
      (gameState.toGoal! >= 34 && gameState.toGoal! <= 42 && gameState.distance! <= 5 && random.chance(0.4));
    if (!go) {
      if (gameState.toGoal! <= 36) fieldGoal(draft, gameState, offense, random);
      else punt(draft, gameState, random);
      return null;
    }
  }
  return fromScrimmage(draft, gameState, offense, defense, random, mood);
}
