/** Bodies on the places of a run: who has which job, before any defense stands. */
import { otherSide, type Side } from '../../field/spot';
import type { Man } from '../formation';
import { sideStructure, type Structure } from '../structure';
import type { Job } from './jobs';
import { jobOf, type RunDef, type RunRole } from './run-def';

export interface RunJobs {
  readonly roles: ReadonlyMap<Man, RunRole>;
  readonly jobs: ReadonlyMap<Man, Job>;
  /** Jobs of the play that nobody of this picture can take; empty when it can be shown. */
  readonly missing: readonly Job[];
  readonly carrier: Man | null;
  /** Who has a job or a place first, as an index into the men. */
  readonly byJob: ReadonlyMap<Job, number>;
  readonly byRole: ReadonlyMap<RunRole, number>;
  /** Place and job of each man, in the order of the men. */
  readonly each: readonly { readonly place: RunRole | null; readonly job: Job }[];
  /** The blocking surface from the play side and from the ball outward, as indices into the men. */
  readonly line: readonly number[];
  readonly inOut: readonly number[];
  /** Those who would stand for somebody: the widest of each side, then from the ball outward. */
  readonly receivers: readonly number[];
}

/** Which body plays which place of a run to a side. `mover`: letter of the man in motion. */
function rolesOf(
  men: readonly Man[],
  structure: Structure,
  to: Side,
  def: RunDef,
  mover: string | null,
): Map<Man, RunRole> {
  const sign = to === 'L' ? -1 : 1;
  const roles = new Map<Man, RunRole>();
  // An unbalanced line counts from the center: guard, tackle, and the third as a tight end.
  const line = men.filter((m) => m.role === 'line').sort((a, b) => (b.x - a.x) * sign);
  const center = line.findIndex((m) => m.letter === 'C');
  line.forEach((man, i) => {
    const off = center - i;
    roles.set(
      man,
      off === 0
        ? 'C'
        : off === 1
          ? 'PG'
          : off === 2
            ? 'PT'
            : off > 2
              ? 'PY'
              : off === -1
                ? 'BG'
                : off === -2
                  ? 'BT'
                  : 'BY',
    );
  });
  for (const side of ['L', 'R'] as const) {
    const half = sideStructure(structure, side);
    const near = side === to;
    // Where a side has a guard only, the tight end is its tackle.
    let tackle = [...roles].some(([, role]) => role === (near ? 'PT' : 'BT'));
    for (const man of [...half.attached].sort((a, b) => (a.x - b.x) * (side === 'L' ? -1 : 1))) {
      if (!tackle && man.onLine) {
        roles.set(man, near ? 'PT' : 'BT');
        tackle = true;
      } else roles.set(man, man.onLine ? (near ? 'PY' : 'BY') : near ? 'PW' : 'BW');
    }
    half.receivers
      .filter((m) => !half.attached.includes(m))
      .forEach((m, i) => roles.set(m, `${near ? 'P' : 'B'}${Math.min(3, i + 1)}` as RunRole));
  }
  const { backs } = structure.backfield;
  const quarterback = men.find((m) => m.role === 'quarterback');
  if (quarterback) roles.set(quarterback, 'Q');
  const far = sideStructure(structure, otherSide(to));
  const ball =
    def.carrier === 'back'
      ? mainBack(structure, sign)
      : def.carrier === 'fullback'
        ? fullback(structure, sign)
        : def.carrier === 'quarterback'
          ? quarterback
          : def.carrier === 'mover'
            ? men.find((m) => m.letter === mover && m.role === 'eligible')
            : far.receivers.find((m) => !far.attached.includes(m));
  for (const back of backs) if (back !== ball) roles.set(back, 'LEAD');
  if (ball) roles.set(ball, 'BALL');
  return roles;
}

/** Yards of depth within which backs are level. */
const LEVEL = 0.6;
/** Backs level: the one away from the run carries; else the deeper. */
function mainBack(structure: Structure, sign: 1 | -1): Man | undefined {
  const { backs } = structure.backfield;
  let main = backs[0];
  for (const back of backs)
    if (backs[0]!.depth - back.depth <= LEVEL && (back.x - main!.x) * sign < -1e-9) main = back;
  return main;
}

/** The back who dives: of the others the one nearest the line, then the ball, then the play side; a lone back himself. */
function fullback(structure: Structure, sign: 1 | -1): Man | undefined {
  const main = mainBack(structure, sign);
  const others = structure.backfield.backs.filter((back) => back !== main);
  others.sort((a, b) => a.depth - b.depth || Math.abs(a.x) - Math.abs(b.x) || (b.x - a.x) * sign);
  return others[0] ?? main;
}

/** A season runs few plays from few line-ups: found once for each. */
const known = new WeakMap<Structure, WeakMap<RunDef, Map<string, RunJobs>>>();

/** Puts bodies on the jobs of a run. `men` are those of the structure; `mover`: letter of the man in motion. */
export function runJobs(
  def: RunDef,
  men: readonly Man[],
  structure: Structure,
  to: Side,
  mover: string | null,
): RunJobs {
  let byDef = known.get(structure);
  if (!byDef) known.set(structure, (byDef = new WeakMap()));
  let byCall = byDef.get(def);
  if (!byCall) byDef.set(def, (byCall = new Map()));
  const key = `${to}${mover}`;
  let found = byCall.get(key);
  if (!found) byCall.set(key, (found = findJobs(def, men, structure, to, mover)));
  return found;
}

function findJobs(
  def: RunDef,
  men: readonly Man[],
  structure: Structure,
  to: Side,
  mover: string | null,
): RunJobs {
  const roles = rolesOf(men, structure, to, def, mover);
  const jobs = new Map<Man, Job>();
  const missing: Job[] = [];
  let carrier: Man | null = null;
  for (const man of men) {
    const role = roles.get(man);
    if (!role) continue;
    if (role === 'BALL') carrier = man;
    jobs.set(man, jobOf(def, role));
  }
  // The quarterback who carries has nobody to give to: the back leads, the quarterback keeps.
  if (def.carrier === 'quarterback' && carrier !== null) jobs.set(carrier, def.jobs.Q ?? 'keep');
  if (carrier === null) missing.push('carry');
  const flexed = new Set<Man>();
  for (const choice of def.flex) {
    let taker: Man | undefined;
    let as: Job = choice.job;
    for (const role of choice.by) {
      taker = men.find((m) => roles.get(m) === role && !flexed.has(m));
      if (!taker) continue;
      as = choice.as?.[role] ?? choice.job;
      break;
    }
    if (taker) {
      flexed.add(taker);
      jobs.set(taker, as);
    } else if (!choice.optional) missing.push(choice.job);
  }
  const byJob = new Map<Job, number>();
  const byRole = new Map<RunRole, number>();
  const line: number[] = [];
  men.forEach((man, i) => {
    const job = jobs.get(man);
    if (job && !byJob.has(job)) byJob.set(job, i);
    const role = roles.get(man);
    if (role && !byRole.has(role)) byRole.set(role, i);
    if (
      man.role === 'line' ||
      structure.left.attached.includes(man) ||
      structure.right.attached.includes(man)
    )
      line.push(i);
  });
  const sign = to === 'L' ? -1 : 1;
  line.sort((a, b) => (men[b]!.x - men[a]!.x) * sign);
  const out = (i: number): number => Math.abs(men[i]!.x);
  const inOut = [...line].reverse().sort((a, b) => out(a) - out(b));
  const each = men.map((man) => ({
    place: roles.get(man) ?? null,
    job: jobs.get(man) ?? ('stalk' as const),
  }));
  // The widest of a side has the corner; the others find theirs from the inside.
  const widest = (i: number): number =>
    men[i] === structure.left.receivers[0] || men[i] === structure.right.receivers[0] ? 1 : 0;
  const receivers = [...men.keys()]
    .filter((i) => each[i]!.job === 'stalk')
    .sort((a, b) => widest(b) - widest(a) || out(a) - out(b));
  return { roles, jobs, missing, carrier, byJob, byRole, each, line, inOut, receivers };
}
