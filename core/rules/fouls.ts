/** Fouls: those that wipe a play out, and those that are walked off from where it ended. */
import { findPenalty, type PenaltySide } from '../field/profile';
import type { Penalty } from '../snap/snap';
import { isKick, isTaken, onField, otherWay, spotAfter, walkOff } from './arithmetic';
import { newSeries, sameSeries, TO_GAIN } from './series';
import type { PlayFacts } from './state';
import {
  offsetting,
  scoreComesOff,
  type DeadBall,
  type NextState,
  type Transition,
  type UnknownReason,
} from './transition';

export interface Fouls {
  /** Enforced from the previous spot or the spot of the foul. */
  readonly replacing: readonly Penalty[];
  /** Enforced from the dead spot (end) or as a foul after it (succ). */
  readonly following: readonly Penalty[];
}

/** The ball changes hands on this play: fouls are walked off for who has it in the end, from the end or their spot. */
const changesHands = (play: PlayFacts): boolean =>
  isTaken(play) || (isKick(play) && play.kickEnd !== 'kept_by_kickers' && play.unit !== 'try');

/** The fouls that count; declined and offsetting ones are said. */
export function foulsOf(transition: Transition): Fouls {
  const all = transition.play.penalties ?? [];
  for (const penalty of all)
    if (penalty.outcome !== 'accepted')
      transition.say(penalty.outcome === 'declined' ? 'declined' : 'offset', { name: penalty.name });
  const accepted = all.filter((p) => p.outcome === 'accepted');
  const handed = changesHands(transition.play);
  const atSpot = (p: Penalty): boolean => p.from === 'foul' && handed;
  return {
    replacing: accepted.filter((p) => p.from === 'prev' || (p.from === 'foul' && !handed)),
    following: accepted.filter((p) => p.from === 'end' || p.from === 'succ' || atSpot(p)),
  };
}

/** What the level says of a foul; null for a name it does not know. */
function ruleOf({ profile }: Transition, penalty: Penalty): PenaltySide | null {
  const rule = findPenalty(profile, penalty.name);
  return rule ? (byOffense(penalty) ? rule.offense : rule.defense) : null;
}

/** The play never was: the down is played again from a spot before its end. */
export const wipesOut = ({ play, offense }: Transition, fouls: Fouls): boolean =>
  play.result === 'no_play' ||
  offsetting(play) ||
  (play.score ? scoreComesOff(play, offense) : fouls.replacing.length > 0);

const byOffense = (p: Penalty): boolean => p.side === 'o' || p.side === 'k';

function enforce(
  transition: Transition,
  penalty: Penalty,
  toGoal: number,
  forward: boolean,
  yards = penalty.yards!,
): number {
  const walked = walkOff(toGoal, yards, forward, ruleOf(transition, penalty)?.unhalved);
  transition.say(walked.halved ? 'half-distance' : 'enforced', {
    name: penalty.name,
    yards: Math.abs(walked.toGoal - toGoal),
    from: penalty.from,
    side: byOffense(penalty) ? 'offense' : 'defense',
  });
  return walked.toGoal;
}

/** Where a foul that replaces the play puts the ball, or why that cannot be known. */
function place(
  transition: Transition,
  penalty: Penalty,
  toGoal: number | null,
): { readonly toGoal: number | null } | UnknownReason {
  const { play, start } = transition;
  const rule = ruleOf(transition, penalty);
  const ownSpot = rule?.unhalved === true && penalty.at !== undefined;
  if (ownSpot && !byOffense(penalty)) {
    // Interference at its spot; where the level gives yards, the spot if it is nearer.
    const most = penalty.yards === null || rule.yards === null ? Infinity : penalty.yards;
    const from = start.toGoal ?? penalty.at!;
    return {
      toGoal: enforce(transition, penalty, from, true, Math.max(0, Math.min(most, from - penalty.at!))),
    };
  }
  if (penalty.from === 'foul') {
    const spot = penalty.at ?? (toGoal === null || play.gain == null ? null : spotAfter(toGoal, play.gain));
    if (spot === null || !onField(spot)) return 'no_foul_spot';
    toGoal = spot;
  }
  if (penalty.yards === null) return 'no_foul_yards';
  if (toGoal === null) return { toGoal };
  const walked = enforce(transition, penalty, toGoal, !byOffense(penalty));
  // Grounding: the spot where it was thrown if that is farther back.
  return {
    toGoal: penalty.from === 'prev' && penalty.at !== undefined ? Math.max(walked, penalty.at) : walked,
  };
}

export function playAgain(transition: Transition, { replacing, following }: Fouls): NextState {
  const { before, play, start, unit } = transition;
  let { toGoal } = start;
  for (const penalty of replacing) {
    const placed = place(transition, penalty, toGoal);
    if (typeof placed === 'string') return transition.giveUp(placed);
    ({ toGoal } = placed);
  }
  // A score came off for a foul that was walked off from no spot before the goal line.
  if (play.score && following.some((p) => p.from === 'end' && byOffense(p)))
    return transition.giveUp('no_foul_spot');
  for (const penalty of following) {
    if (penalty.yards === null) return transition.giveUp('no_foul_yards');
    if (toGoal !== null) toGoal = walkOff(toGoal, penalty.yards, !byOffense(penalty)).toGoal;
  }
  const kicks = ['try', 'kickoff', 'free_kick'] as const;
  if (kicks.some((k) => before.unit === k || unit === k)) {
    const again = unit === 'try' || unit === 'free_kick' ? unit : 'kickoff';
    transition.say('again', { unit: again });
    return transition.nextKick(again, transition.offense, toGoal, before.hash);
  }
  return sameSeries(transition, toGoal, before.hash, {
    firstDown: [...replacing, ...following].some((p) => p.extra === '1st'),
    counts: replacing.some((p) => p.extra === 'lod'),
    wiped: true,
  });
}

/** A ball dead on the field: series arithmetic, with fouls walked off from there. */
export function afterDeadBall(
  transition: Transition,
  ball: DeadBall,
  following: readonly Penalty[],
): NextState {
  const { team } = ball;
  let { toGoal } = ball;
  let firstDown = false;
  if (team === null && ball.newSeries) return transition.giveUp('no_possession');
  if (following.some((p) => p.yards === null)) return transition.giveUp('no_foul_yards');
  const spotted = following.filter((p) => p.from === 'foul');
  if (spotted.some((p) => p.at === undefined)) return transition.giveUp('no_foul_spot');
  const walk = (penalty: Penalty): void => {
    if (penalty.at !== undefined && penalty.from === 'foul')
      toGoal = team === transition.offense ? penalty.at : otherWay(penalty.at);
    if (toGoal === null) return;
    const forward = (byOffense(penalty) ? transition.offense : transition.defense) !== team;
    toGoal = enforce(transition, penalty, toGoal, forward);
    firstDown ||= penalty.extra === '1st' && forward;
  };
  const live = following.filter((p) => p.from !== 'succ');
  const dead = following.filter((p) => p.from === 'succ');
  live.forEach(walk);
  const next = ball.newSeries
    ? transition.overtime && ball.newPossession
      ? transition.giveUp('overtime')
      : newSeries(transition, team, toGoal, ball.hash, ball.newPossession)
    : sameSeries(transition, toGoal, ball.hash, { firstDown, counts: live.length === 0, wiped: false });
  // What the play decided stands before a foul after it is walked off: a failed fourth down is the defense's ball.
  return dead.length === 0 ? next : afterwards(transition, next, dead);
}

/** Fouls after the play, from where it left the ball and for who has it then. */
function afterwards(transition: Transition, next: NextState, dead: readonly Penalty[]): NextState {
  const { state } = next;
  let { toGoal } = state;
  if (state.unit !== 'scrimmage' || toGoal === null) return next;
  let first = false;
  for (const penalty of dead) {
    const forward = (byOffense(penalty) ? transition.offense : transition.defense) !== state.offense;
    toGoal = enforce(transition, penalty, toGoal, forward);
    first ||= penalty.extra === '1st' && forward;
  }
  const moved = state.toGoal! - toGoal;
  const newOne = state.down === 1 && state.offense !== transition.start.offense;
  const made =
    state.down === 1 && (newOne || state.distance === Math.min(TO_GAIN, state.toGoal!) || state.fresh)
      ? true
      : state.distance !== null && moved >= state.distance;
  if (first || made) {
    if (!(state.down === 1 && made)) transition.say(first ? 'automatic-first' : 'line-to-gain');
    return {
      ...next,
      state: { ...state, toGoal, down: 1, distance: Math.min(TO_GAIN, toGoal) },
    };
  }
  return {
    ...next,
    state: {
      ...state,
      toGoal,
      distance: state.distance === null ? null : Math.min(state.distance - moved, toGoal),
    },
  };
}
