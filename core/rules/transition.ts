/** One snap on its way from the situation before to the one after: what is known, what was done, what cannot be known. */
import type { Hash } from '../field/spot';
import type { LevelProfile } from '../field/profile';
import { SCORE_POINTS, type Unit } from '../snap/snap';
import type { RuleStep, StepCode } from './messages';
import { unknownState, type GameState, type PlayFacts } from './state';

/** Why part of the next state cannot be known. */
export const UNKNOWN_REASONS = [
  'no_result',
  'no_gain',
  'no_start',
  'no_spot',
  'no_foul_spot',
  'no_foul_yards',
  'no_possession',
  'overtime',
  'try_foul_choice',
  'half_over',
] as const;
export type UnknownReason = (typeof UNKNOWN_REASONS)[number];

export interface NextState {
  readonly state: GameState;
  readonly steps: readonly RuleStep[];
  readonly unknown: readonly UnknownReason[];
  /** A foul took the play back: it never was. */
  readonly wiped?: true;
}

/** A ball dead on the field; `toGoal` in the view of `team`. */
export interface DeadBall {
  readonly kind: 'spot';
  readonly team: string | null;
  readonly toGoal: number | null;
  readonly hash: Hash | null;
  readonly newSeries: boolean;
  readonly newPossession: boolean;
}

/** Where and with whom the play left the ball, before fouls that are walked off afterwards. */
export type Outcome =
  | DeadBall
  | {
      readonly kind: 'kick_next';
      readonly unit: 'try' | 'kickoff' | 'free_kick';
      readonly team: string | null;
      readonly toGoal: number;
    }
  | { readonly kind: 'unknown'; readonly why: UnknownReason };

/** The unit a play belongs to, from its own facts or from what was expected. */
export function unitOf(before: GameState, play: PlayFacts): Unit {
  if (play.unit) return play.unit;
  if (before.unit === 'kickoff' || before.unit === 'free_kick' || before.unit === 'try') return before.unit;
  return 'scrimmage';
}

const byKickersOrOffense = (side: string): boolean => side === 'o' || side === 'k';

/** Fouls of both sides while the ball was live: the down is repeated, a score too. */
export function offsetting(play: PlayFacts): boolean {
  const live = (play.penalties ?? []).filter((p) => p.outcome === 'offset' && p.from !== 'succ');
  return live.some((p) => byKickersOrOffense(p.side)) && live.some((p) => !byKickersOrOffense(p.side));
}

/** A score that does not stand: the down is repeated, or the team that scored has an accepted live-ball foul. */
export function scoreComesOff(play: PlayFacts, offense: string | null): boolean {
  if (!play.score || play.score === 'safety' || play.score === 'defensive_try') return offsetting(play);
  const own = play.scoredBy == null || play.scoredBy === offense;
  return (
    offsetting(play) ||
    (own &&
      (play.penalties ?? []).some(
        (p) => p.outcome === 'accepted' && p.from !== 'succ' && byKickersOrOffense(p.side),
      ))
  );
}

export class Transition {
  readonly steps: RuleStep[] = [];
  readonly unknown: UnknownReason[] = [];
  readonly unit: Unit;
  readonly overtime: boolean;
  /** The situation before with the teams that the snap itself names. */
  readonly start: GameState;
  private readonly after: Pick<GameState, 'quarter' | 'clock' | 'score'>;

  constructor(
    readonly before: GameState,
    readonly play: PlayFacts,
    readonly profile: LevelProfile,
  ) {
    const quarter = play.quarter ?? before.quarter;
    this.unit = unitOf(before, play);
    // Timed overtime is played as any other quarter.
    this.overtime = quarter !== null && quarter >= 5 && profile.overtimeToGoal !== null;
    this.start = {
      ...before,
      offense: play.offense ?? before.offense,
      defense: play.defense ?? before.defense,
    };
    // A score stands whatever else is unknown.
    this.after = { quarter, clock: play.clock ?? before.clock, score: this.scored() };
  }

  get offense(): string | null {
    return this.start.offense;
  }
  get defense(): string | null {
    return this.start.defense;
  }
  opponent = (team: string | null): string | null =>
    team === null ? null : team === this.offense ? this.defense : this.offense;

  private scored(): Record<string, number> {
    const score: Record<string, number> = { ...this.before.score };
    const what = this.play.score;
    if (!what || scoreComesOff(this.play, this.offense)) return score;
    if (what === 'defensive_try' && !this.profile.defenseMayScoreOnTry) {
      this.say('try-dead');
      return score;
    }
    const theirs = what === 'safety' || what === 'defensive_try';
    const by = this.play.scoredBy ?? (theirs ? this.defense : this.offense);
    // A score that was not known before stays unknown.
    if (by !== null && score[by] !== undefined) score[by] += SCORE_POINTS[what];
    this.say('score', { by: by ?? '?', what, points: SCORE_POINTS[what] });
    return score;
  }

  say(code: StepCode, facts: RuleStep['facts'] = {}): void {
    this.steps.push({ code, facts });
  }

  cannotKnow(why: UnknownReason): void {
    this.unknown.push(why);
    this.say('cannot-know', { why });
  }

  /** The situation after it. */
  next(state: Omit<GameState, 'quarter' | 'clock' | 'score' | 'defense'>): NextState {
    const defense = state.offense === this.offense ? this.defense : this.opponent(state.offense);
    return {
      state: { ...state, defense, ...this.after },
      steps: this.steps,
      unknown: this.unknown,
    };
  }

  /** A kick or a try comes next: no down, no distance. */
  nextKick(
    unit: 'try' | 'kickoff' | 'free_kick',
    team: string | null,
    toGoal: number | null,
    hash: Hash | null = null,
  ): NextState {
    return this.next({ offense: team, unit, down: null, distance: null, toGoal, hash, fresh: false });
  }

  giveUp(why: UnknownReason): NextState {
    this.cannotKnow(why);
    const { score, quarter, clock } = this.after;
    return { state: { ...unknownState(score), quarter, clock }, steps: this.steps, unknown: this.unknown };
  }

  /** The dead spot as logged, in the view of `team`, when it was logged for that team. */
  loggedSpot(team: string | null): number | null {
    const { deadToGoal, deadPossession } = this.play;
    return deadToGoal != null && (deadPossession ?? team) === team ? deadToGoal : null;
  }

  /** A ball that a team has as a new possession. */
  taken(team: string | null, toGoal: number | null, hash: Hash | null = null): DeadBall {
    return { kind: 'spot', team, toGoal, hash, newSeries: true, newPossession: true };
  }
}
