/** Fouls: those that wipe a play out, and those that are walked off from where it ended. */
import type { Penalty } from '../snap/snap';
import { onField, spotAfter, walkOff } from './arithmetic';
import { newSeries, reachesLine, sameSeries } from './series';
import { offsetting, scoreComesOff, type DeadBall, type NextState, type Transition } from './transition';

export interface Fouls {
  /** Enforced from the previous spot or the spot of the foul. */
  readonly replacing: readonly Penalty[];
  /** Enforced from the dead spot (end) or as a foul after it (succ). */
  readonly following: readonly Penalty[];
}

/** The fouls that count; declined and offsetting ones are said. */
export function foulsOf(transition: Transition): Fouls {
  const all = transition.play.penalties ?? [];
  for (const penalty of all)
    if (penalty.outcome !== 'accepted')
      transition.say(penalty.outcome === 'declined' ? 'declined' : 'offset', { name: penalty.name });
  const accepted = all.filter((p) => p.outcome === 'accepted');
  return {
    replacing: accepted.filter((p) => p.from === 'prev' || p.from === 'foul'),
    following: accepted.filter((p) => p.from === 'end' || p.from === 'succ'),
  };
}

/** The play never was: the down is played again from a spot before its end. */
export const wipesOut = ({ play, offense }: Transition, fouls: Fouls): boolean =>
  play.result === 'no_play' ||
  offsetting(play) ||
  (play.score ? scoreComesOff(play, offense) : fouls.replacing.length > 0);

const byOffense = (p: Penalty): boolean => p.side === 'o' || p.side === 'k';

function enforce(transition: Transition, penalty: Penalty, toGoal: number, forward: boolean): number {
  const walked = walkOff(toGoal, penalty.yards!, forward);
  transition.say(walked.halved ? 'half-distance' : 'enforced', {
    name: penalty.name,
    yards: Math.abs(walked.toGoal - toGoal),
    from: penalty.from,
    side: byOffense(penalty) ? 'offense' : 'defense',
  });
  return walked.toGoal;
}

export function playAgain(transition: Transition, { replacing, following }: Fouls): NextState {
  const { before, play, start, unit } = transition;
  let { toGoal } = start;
  for (const penalty of replacing) {
    if (penalty.from === 'foul') {
      if (toGoal === null || play.gain == null) return transition.giveUp('no_foul_spot');
      toGoal = spotAfter(toGoal, play.gain);
      if (!onField(toGoal)) return transition.giveUp('no_foul_spot');
    }
    if (penalty.yards === null) return transition.giveUp('no_foul_yards');
    if (toGoal !== null) toGoal = enforce(transition, penalty, toGoal, !byOffense(penalty));
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
  const walk = (penalty: Penalty): void => {
    if (toGoal === null) return;
    const forward = (byOffense(penalty) ? transition.offense : transition.defense) !== team;
    toGoal = enforce(transition, penalty, toGoal, forward);
    firstDown ||= penalty.extra === '1st' && forward;
  };
  const live = following.filter((p) => p.from === 'end');
  const dead = following.filter((p) => p.from === 'succ');
  live.forEach(walk);
  if (ball.newSeries) {
    dead.forEach(walk);
    if (transition.overtime && ball.newPossession) return transition.giveUp('overtime');
    return newSeries(transition, team, toGoal, ball.hash, ball.newPossession);
  }
  // Same team, same series so far: a dead-ball foul is walked off after the down is counted.
  const made = reachesLine(transition, toGoal) && live.length === 0;
  dead.forEach(walk);
  if (made) {
    transition.say('line-to-gain');
    return newSeries(transition, team, toGoal, ball.hash, false);
  }
  return sameSeries(transition, toGoal, ball.hash, { firstDown, counts: live.length === 0, wiped: false });
}
