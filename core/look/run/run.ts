/**
 * A run against a defense: the one assignment of all eleven that the drawing, the blocking list, the margins and the
 * sentences read. Margins are ours minus theirs everywhere. Rules are those of the trade (common practice).
 */
import type { Man } from '../formation';
import { DEFAULT_BOX, type BoxRule } from '../box';
import type { Defender } from '../front';
import type { Structure } from '../structure';
import type { Job } from './jobs';
import type { DefenseEntry, Ledger, OffenseEntry, RunCall } from './ledger';
import type { PointOfAttack } from './run-def';
import { runJobs } from './run-jobs';
import type { Target } from './field';
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

/** Marks who can be at a point: the box to that side, and outside the end man the force defender and the corner. */
function markThere(work: RunTargets, point: PointOfAttack): { there: number; force: Target | null } {
  const { near } = work;
  const inner = point === 'A' || point === 'B';
  let there = 0;
  let force: Target | null = null;
  let corner: Target | null = null;
  for (const t of work.targets) {
    t.there =
      t.where === 'front'
        ? t.lat >= (inner ? -1.2 : -0.3)
        : t.where === 'backers'
          ? t.lat >= (inner ? -4 : -1.9)
          : t.where === 'walked in' && (inner ? t.lat >= 0 : t.lat >= -1.9 && t.lat <= near - 0.5);
    if (t.there) there++;
    else if (point === 'D' && t.depth <= 9 && t.lat > near - 0.5) {
      if (force === null || t.lat < force.lat) force = t;
      if (t.level === 'corner' && (corner === null || t.lat < corner.lat)) corner = t;
    }
  }
  for (const edge of [force, corner])
    if (edge && !edge.there) {
      edge.there = true;
      there++;
    }
  return { there, force };
}

/** Hats of an assignment at a point: blockers, receivers too, whose man can be there. */
function count(
  work: RunTargets,
  point: PointOfAttack,
): Pick<Ledger, 'hats' | 'heldByRead' | 'heldByOption' | 'margin' | 'there' | 'force'> {
  const { there, force } = markThere(work, point);
  let hats = 0;
  for (const b of work.blockers)
    if ((b.on?.there || b.then?.there) && (b.does === 'stalk' || !NO_HAT.has(b.does))) hats++;
  const heldByRead = (work.readMan?.there ? 1 : 0) + (work.pitchMan?.there ? 1 : 0);
  const key = work.option?.key ?? null;
  const heldByOption = key !== null && work.targets.some((t) => t.man === key && t.there) ? 1 : 0;
  return {
    force: force && force.man,
    hats,
    there,
    heldByRead,
    heldByOption,
    margin: hats + heldByRead + heldByOption - there,
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
  const counted = count(work, call.def.point);
  const keeper =
    settings.keepHoldsEnd && keepHolds(call, structure) && work.backEnd && work.open(work.backEnd)
      ? work.backEnd
      : null;
  const quarterback = men.find((m) => m.role === 'quarterback');
  const reader: readonly string[] = quarterback ? [quarterback.letter] : NOBODY;
  const key = work.option?.key ?? null;
  const defense: DefenseEntry[] = [];
  const free: Defender[] = [];
  let freeThere = false;
  for (const target of work.targets) {
    const { man, there } = target;
    const blockers = target.by;
    let by: DefenseEntry['by'];
    let who = NOBODY;
    if (target === work.readMan) by = 'read';
    else if (target === work.pitchMan) by = 'pitch read';
    else if (man === key) by = 'option';
    else if (blockers.length > 0) {
      by = blockers[0]!.does === 'stalk' ? 'held by a receiver' : 'blocked';
      who = blockers.map((blocker) => blocker.man.letter);
    } else if (target === keeper) by = 'held by the keep';
    else by = !there && man.depth > 9 ? 'deep, far' : 'free';
    if (by === 'read' || by === 'pitch read' || by === 'held by the keep') who = reader;
    defense.push({ man, by, who, there });
    if (by === 'free') {
      free.push(man);
      freeThere ||= there;
    }
  }
  const { hats, there, heldByRead, heldByOption, margin, force } = counted;
  return {
    to: call.to,
    offense: work.entries(),
    defense,
    hats,
    there,
    heldByRead,
    heldByOption,
    margin,
    free,
    force,
    option: work.option,
    pairs: work.pairs.map(([one, other]) => [one.man.letter, other.man.letter]),
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
  return points.map((point) => {
    const { hats, there, margin } = count(work, point);
    return { point, hats, there, margin };
  });
}
