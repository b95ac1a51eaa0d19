/** From where a foul is walked off when nobody says it. Rules from memory; the level's table gives the rest. */
import type { Enforcement, PenaltySide } from '../field/profile';
import type { Penalty } from '../snap/snap';
import { isKick, isTaken } from './arithmetic';
import type { PlayFacts } from './state';

/** Fouls before or at the snap: from the previous spot whatever came after. */
const AT_THE_SNAP: ReadonlySet<string> = new Set([
  'offside',
  'false start',
  'delay',
  'illegal formation',
  'illegal motion',
  'illegal substitution',
  'illegal participation',
  'roughing',
  'running into the kicker',
]);
/** Fouls in the air or ahead of the throw: from the previous spot, so they replace a completion too. */
const OF_THE_PASS: ReadonlySet<string> = new Set(['pi', 'illegal contact', 'downfield', 'illegal touching']);

const byOffense = (side: Penalty['side']): boolean => side === 'o' || side === 'k';

/**
 * The spot of enforcement that the play itself gives: on kicks and returns the end, roughing on a completion its end,
 * a defender's foul in a run its end; else the level's.
 */
export function usualEnforcement(
  penalty: Pick<Penalty, 'side' | 'name' | 'at'>,
  rule: PenaltySide | null,
  play: PlayFacts,
): Enforcement {
  const usual = rule?.from ?? 'prev';
  if (penalty.at !== undefined && usual !== 'succ' && !(penalty.name === 'grounding' && usual === 'prev'))
    return 'foul';
  if (usual !== 'prev') return usual;
  const { name } = penalty;
  if (name === 'roughing' && play.result === 'complete' && (play.gain ?? 0) > 0) return 'end';
  if (AT_THE_SNAP.has(name)) return usual;
  if (isKick(play)) return 'end';
  if (OF_THE_PASS.has(name)) return usual;
  if (
    isTaken(play) &&
    (!byOffense(penalty.side) ? name === 'block in the back' || name === 'low block' : true)
  )
    return 'end';
  const carried = play.play === 'run' || play.result === 'gain' || play.result === 'scramble';
  if (!byOffense(penalty.side) && carried && play.gain != null) return 'end';
  return usual;
}
