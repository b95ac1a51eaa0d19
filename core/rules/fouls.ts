/** Fouls: those that wipe a play out, and those that are walked off from where it ended. */
import type { Penalty } from '../snap/snap';
import { onField, spotAfter, walkOff } from './arithmetic';
import { newSeries, reachesLine, sameSeries } from './series';
import type { DeadBall, NextState, Transition } from './transition';

export interface Fouls {
  /** Enforced from the previous spot or the spot of the foul. */
  readonly replacing: readonly Penalty[];
  /** Enforced from the dead spot (end) or as a foul after it (succ). */
  readonly following: readonly Penalty[];
}

/** The fouls that count; declined and offsetting ones are said. */
export function foulsOf(t: Transition): Fouls {
  const all = t.play.penalties ?? [];
  for (const p of all)
    if (p.outcome !== 'accepted') t.say(p.outcome === 'declined' ? 'declined' : 'offset', { name: p.name });
  const accepted = all.filter((p) => p.outcome === 'accepted');
  return {
    replacing: accepted.filter((p) => p.from === 'prev' || p.from === 'foul'),
    following: accepted.filter((p) => p.from === 'end' || p.from === 'succ'),
  };
}

/** The play never was: the down is played again from a spot before its end. */
export const wipesOut = ({ play }: Transition, fouls: Fouls): boolean =>
  play.result === 'no_play' || (fouls.replacing.length > 0 && !play.score);

const byOffense = (p: Penalty): boolean => p.side === 'o' || p.side === 'k';

function enforce(t: Transition, p: Penalty, toGoal: number, forward: boolean): number {
  const walked = walkOff(toGoal, p.yards!, forward);
  t.say(walked.halved ? 'half-distance' : 'enforced', {
    name: p.name,
    yards: Math.abs(walked.toGoal - toGoal),
    from: p.from,
    side: byOffense(p) ? 'offense' : 'defense',
  });
  return walked.toGoal;
}

export function playAgain(t: Transition, { replacing, following }: Fouls): NextState {
  const { before, play, start, unit } = t;
  let { toGoal } = start;
  for (const p of replacing) {
    if (p.from === 'foul') {
      if (toGoal === null || play.gain == null) return t.giveUp('no_foul_spot');
      toGoal = spotAfter(toGoal, play.gain);
      if (!onField(toGoal)) return t.giveUp('no_foul_spot');
    }
    if (p.yards === null) return t.giveUp('no_foul_yards');
    if (toGoal !== null) toGoal = enforce(t, p, toGoal, !byOffense(p));
  }
  for (const p of following) {
    if (p.yards === null) return t.giveUp('no_foul_yards');
    if (toGoal !== null) toGoal = walkOff(toGoal, p.yards, !byOffense(p)).toGoal;
  }
  const kicks = ['try', 'kickoff', 'free_kick'] as const;
  if (kicks.some((k) => before.unit === k || unit === k)) {
    const again = unit === 'try' || unit === 'free_kick' ? unit : 'kickoff';
    t.say('again', { unit: again });
    return t.nextKick(again, t.offense, toGoal, before.hash);
  }
  return sameSeries(t, toGoal, before.hash, {
    firstDown: [...replacing, ...following].some((p) => p.extra === '1st'),
    counts: replacing.some((p) => p.extra === 'lod'),
    wiped: true,
  });
}

/** A ball dead on the field: series arithmetic, with fouls walked off from there. */
export function afterDeadBall(t: Transition, ball: DeadBall, following: readonly Penalty[]): NextState {
  const { team } = ball;
  let { toGoal } = ball;
  let firstDown = false;
  if (team === null && ball.newSeries) return t.giveUp('no_possession');
  if (following.some((p) => p.yards === null)) return t.giveUp('no_foul_yards');
  const walk = (p: Penalty): void => {
    if (toGoal === null) return;
    const forward = (byOffense(p) ? t.offense : t.defense) !== team;
    toGoal = enforce(t, p, toGoal, forward);
    firstDown ||= p.extra === '1st' && forward;
  };
  const live = following.filter((p) => p.from === 'end');
  const dead = following.filter((p) => p.from === 'succ');
  live.forEach(walk);
  if (ball.newSeries) {
    dead.forEach(walk);
    if (t.overtime && ball.newPossession) return t.giveUp('overtime');
    return newSeries(t, team, toGoal, ball.hash, ball.newPossession);
  }
  // Same team, same series so far: a dead-ball foul is walked off after the down is counted.
  const made = reachesLine(t, toGoal) && live.length === 0;
  dead.forEach(walk);
  if (made) {
    t.say('line-to-gain');
    return newSeries(t, team, toGoal, ball.hash, false);
  }
  return sameSeries(t, toGoal, ball.hash, { firstDown, counts: live.length === 0, wiped: false });
}
