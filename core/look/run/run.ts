/**
 * A run against a defense: the one assignment of all eleven that the drawing, the blocking list, the margins and the
 * sentences read. Margins are ours minus theirs everywhere. Rules are those of the trade (common practice).
 */
import type { Man } from '../formation';
import { DEFAULT_BOX, type BoxRule, type Defender } from '../front';
import type { Structure } from '../structure';
import type { Job } from './jobs';
import type { DefenseEntry, Ledger, OffenseEntry, RunCall } from './ledger';
import type { PointOfAttack } from './run-def';
import { runJobs } from './run-jobs';
import { RunTargets } from './targets';

const NOBODY: readonly string[] = [];
/** Jobs that are no hat: who has the ball, fakes, hands off or may yet get it. */
const NO_HAT: ReadonlySet<Job> = new Set<Job>([
  'carry',
  'dive',
  'give',
  'toss',
  'keep',
  'read',
  'pitch read',
  'fake',
  'pitch',
  'roll',
  'route',
  'stalk',
]);
export const isHat = (entry: OffenseEntry): boolean => !NO_HAT.has(entry.does);

/** Whether the end away from an outside zone is held by the threat of a keep or boot. */
const keepHolds = (call: RunCall, structure: Structure): boolean =>
  call.def.blocking === 'zone' &&
  (call.def.point === 'C' || call.def.point === 'D') &&
  call.def.read === null &&
  call.def.pitch === undefined &&
  call.def.carrier === 'back' &&
  call.def.jobs.Q === undefined &&
  structure.backfield.quarterback !== 'out';

export interface RunSettings {
  readonly box: BoxRule;
  /** A keep or boot holds the back-side end of a wide zone (a staff setting). */
  readonly keepHoldsEnd: boolean;
}
export const DEFAULT_RUN: RunSettings = { box: DEFAULT_BOX, keepHoldsEnd: true };

/** Who can be at a point: the box to that side, and outside the end man the force defender and the corner. */
function whoCanBeThere(
  work: RunTargets,
  point: PointOfAttack,
): { can: Set<Defender>; force: Defender | null } {
  const { sign, near } = work;
  const can = new Set<Defender>();
  const inner = point === 'A' || point === 'B';
  for (const d of work.front) if (d.x * sign >= (inner ? -1.2 : -0.3)) can.add(d);
  for (const d of work.backers) if (d.x * sign >= (inner ? -4 : -1.9)) can.add(d);
  for (const d of work.walkedIn)
    if (inner ? d.x * sign >= 0 : d.x * sign >= -1.9 && d.x * sign <= near - 0.5) can.add(d);
  let force: Defender | null = null;
  if (point === 'D') {
    let corner: Defender | null = null;
    for (const d of work.defenders) {
      if (can.has(d) || d.depth > 9 || d.x * sign <= near - 0.5) continue;
      if (force === null || d.x * sign < force.x * sign) force = d;
      if (d.level === 'corner' && (corner === null || d.x * sign < corner.x * sign)) corner = d;
    }
    if (force) can.add(force);
    if (corner) can.add(corner);
  }
  return { can, force };
}

/** Hats of an assignment at a point: blockers, receivers too, whose man can be there. */
function count(
  work: RunTargets,
  entries: readonly OffenseEntry[],
  point: PointOfAttack,
): Pick<Ledger, 'hats' | 'heldByRead' | 'heldByOption' | 'margin' | 'there' | 'force'> & {
  readonly can: Set<Defender>;
} {
  const { can, force } = whoCanBeThere(work, point);
  let hats = 0;
  for (const entry of entries) {
    const counted = isHat(entry) || entry.does === 'stalk';
    if (counted && ((entry.on && can.has(entry.on)) || (entry.then && can.has(entry.then)))) hats++;
  }
  let heldByRead = 0;
  for (const man of [work.readMan, work.pitchMan]) if (man && can.has(man)) heldByRead++;
  const key = work.option?.key ?? null;
  const heldByOption = key !== null && can.has(key) ? 1 : 0;
  return {
    can,
    force,
    hats,
    there: can.size,
    heldByRead,
    heldByOption,
    margin: hats + heldByRead + heldByOption - can.size,
  };
}

/** Every man of both sides with a job, and the hat margin at the point of attack. */
export function runLedger(
  men: readonly Man[],
  defenders: readonly Defender[],
  structure: Structure,
  call: RunCall,
  settings: RunSettings = DEFAULT_RUN,
): Ledger {
  const jobs = runJobs(call.def, men, structure, call.to, call.mover);
  const work = new RunTargets(men, defenders, structure, call, jobs, settings.box);
  const entries = work.entries();
  const counted = count(work, entries, call.def.point);
  const { can } = counted;
  const keeper =
    settings.keepHoldsEnd && keepHolds(call, structure) && work.backEnd && work.open(work.backEnd)
      ? work.backEnd
      : null;
  const quarterback = men.find((m) => m.role === 'quarterback');
  const heldOnly = new Set<Defender>();
  for (const entry of entries) if (entry.on && entry.does === 'stalk') heldOnly.add(entry.on);
  const defense: DefenseEntry[] = [];
  const free: Defender[] = [];
  let freeThere = false;
  for (const man of defenders) {
    const there = can.has(man);
    const who = work.taken.get(man)?.map((blocker) => blocker.letter);
    const by: DefenseEntry['by'] =
      man === work.readMan
        ? 'read'
        : man === work.pitchMan
          ? 'pitch read'
          : man === work.option?.key
            ? 'option'
            : who
              ? heldOnly.has(man)
                ? 'held by a receiver'
                : 'blocked'
              : man === keeper
                ? 'held by the keep'
                : !there && man.depth > 9
                  ? 'deep, far'
                  : 'free';
    const reader = by === 'read' || by === 'pitch read' || by === 'held by the keep';
    defense.push({
      man,
      by,
      who: reader ? (quarterback ? [quarterback.letter] : NOBODY) : (who ?? NOBODY),
      there,
    });
    if (by === 'free') {
      free.push(man);
      freeThere ||= there;
    }
  }
  const { hats, there, heldByRead, heldByOption, margin, force } = counted;
  return {
    to: call.to,
    offense: entries,
    defense,
    hats,
    there,
    heldByRead,
    heldByOption,
    margin,
    free,
    force,
    option: work.option,
    pairs: work.pairs.map(([one, other]) => [one.letter, other.letter]),
    missing: jobs.missing,
    verdict: margin < -1 ? 'not there' : margin === -1 ? 'one free' : freeThere ? 'unblocked' : 'sound',
  };
}

/** The count of one assignment at each point of attack of its side. */
export function countsAt(
  men: readonly Man[],
  defenders: readonly Defender[],
  structure: Structure,
  call: RunCall,
  points: readonly PointOfAttack[],
  settings: RunSettings = DEFAULT_RUN,
): {
  readonly point: PointOfAttack;
  readonly hats: number;
  readonly there: number;
  readonly margin: number;
}[] {
  const jobs = runJobs(call.def, men, structure, call.to, call.mover);
  const work = new RunTargets(men, defenders, structure, call, jobs, settings.box);
  const entries = work.entries();
  return points.map((point) => {
    const { hats, there, margin } = count(work, entries, point);
    return { point, hats, there, margin };
  });
}
