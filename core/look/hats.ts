/**
 * Hats: who is blocked, who is held, who is left. Margins are ours minus theirs everywhere. The
 * ledger places all twenty-two. Rules are those of the trade (common practice), not of one staff.
 */
import type { Man } from './formation';
import { type BoxRule, type Defender, DEFAULT_BOX } from './front';
import { sideStructure, type Structure } from './structure';
import type { DefenseEntry, Ledger, OffenseEntry, RunAim } from './ledger';
import { Blocks } from './blocks';
import { NOBODY } from './protection';

/**
 * Every man of both sides with a duty, and the hat margin at the point of attack. Who can be there:
 * the box to that side (play-side and middle backers, the line from the ball out); when the point is
 * outside the end man also the force defender and the corner, and then the widest receiver counts as
 * a blocker.
 */
export function runLedger(
  men: readonly Man[],
  defenders: readonly Defender[],
  structure: Structure,
  aim: RunAim,
  rule: BoxRule = DEFAULT_BOX,
): Ledger {
  const work = new Blocks(men, defenders, structure, aim, rule);
  const { sign, front, backers, readMan, near } = work;
  const quarterback = men.find((m) => m.role === 'quarterback');
  const carrier =
    (aim.carrier === null ? undefined : men.find((m) => m.letter === aim.carrier)) ??
    structure.backfield.backs[0] ??
    quarterback ??
    null;
  if (carrier) work.entry(carrier, 'carries');
  if (quarterback && quarterback !== carrier)
    work.entry(quarterback, readMan ? 'hands off, reads' : 'hands off');
  // Pullers first: they own their men whatever the others find.
  work.pullers(carrier);
  if (aim.blocking === 'zone') work.zone();
  else work.down();
  work.leads();
  if (aim.option !== null) work.option(aim.option);
  const outside = aim.point === 'D';
  work.receivers(outside);

  const can = new Set<Defender>();
  const inner = aim.point === 'A' || aim.point === 'B';
  for (const d of front) if (d.x * sign >= (inner ? -1.2 : -0.3)) can.add(d);
  for (const d of backers) if (d.x * sign >= (inner ? -4 : -1.9)) can.add(d);
  for (const d of work.walkedIn)
    if (inner ? d.x * sign >= 0 : d.x * sign >= -1.9 && d.x * sign <= near - 0.5) can.add(d);
  let force: Defender | null = null;
  if (outside) {
    let corner: Defender | null = null;
    for (const defender of defenders) {
      if (can.has(defender) || defender.depth > 9 || defender.x * sign <= near - 0.5) continue;
      if (force === null || defender.x * sign < force.x * sign) force = defender;
      if (defender.level === 'corner' && (corner === null || defender.x * sign < corner.x * sign))
        corner = defender;
    }
    if (force) can.add(force);
    if (corner) can.add(corner);
  }
  const widest = sideStructure(structure, aim.to).receivers[0];
  let hats = 0;
  for (const { man, duty, on } of work.offense.values()) {
    if (duty === 'pulls to kick' || duty === 'wraps to' || duty === 'leads on') hats++;
    else if (duty === 'stalks') hats += outside && man === widest ? 1 : 0;
    else if (duty === 'blocks' || duty === 'climbs, nobody there') {
      // Zone moves the center to the play side; at an inside point a back-side man counts when his man can be there.
      if (
        man.x * sign >= (aim.blocking === 'zone' || inner ? -0.3 : 0.3) ||
        (inner && on !== null && can.has(on))
      )
        hats++;
    }
  }
  const optionMan = work.optionMan;
  const heldByRead = readMan !== null && can.has(readMan) ? 1 : 0;
  const heldByOption = optionMan !== null && can.has(optionMan) ? 1 : 0;
  const margin = hats + heldByRead + heldByOption - can.size;

  const heldOnly = new Set<Defender>();
  for (const offenseEntry of work.offense.values())
    if (offenseEntry.on && (offenseEntry.duty === 'holds' || offenseEntry.duty === 'stalks'))
      heldOnly.add(offenseEntry.on);
  const defense: DefenseEntry[] = [];
  const free: Defender[] = [];
  let freeThere = false;
  for (const defender of defenders) {
    const who = work.taken.get(defender);
    const there = can.has(defender);
    if (defender === readMan)
      defense.push({ man: defender, by: 'read', who: quarterback ? [quarterback.letter] : NOBODY, there });
    else if (defender === optionMan) defense.push({ man: defender, by: 'option', who: NOBODY, there });
    else if (who)
      defense.push({
        man: defender,
        by: heldOnly.has(defender) ? 'held by a receiver' : 'blocked',
        who,
        there,
      });
    else if (!there && defender.depth > 9)
      defense.push({ man: defender, by: 'deep, far', who: NOBODY, there });
    else {
      defense.push({ man: defender, by: 'free', who: NOBODY, there });
      free.push(defender);
      freeThere ||= there;
    }
  }
  const offense: OffenseEntry[] = [];
  for (const man of men)
    offense.push(
      work.offense.get(man) ?? {
        man: man,
        duty: 'climbs, nobody there',
        on: null,
        then: null,
        partner: null,
      },
    );
  return {
    to: aim.to,
    offense,
    defense,
    hats,
    there: can.size,
    heldByRead,
    heldByOption,
    margin,
    free,
    force,
    pairs: work.pairs,
    missing: aim.missing ?? NOBODY,
    verdict: margin < -1 ? 'not there' : margin === -1 ? 'one free' : freeThere ? 'unblocked' : 'sound',
  };
}
