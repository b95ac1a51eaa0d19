/** Bodies on the roles of a play: who has which job when it is shown from a look, and what it costs to show it another way. */
import { otherSide, type Side } from '../field/spot';
import type { LevelProfile } from '../field/profile';
import {
  atSnap,
  jobPath,
  legality,
  lineUp,
  motionPath,
  routePath,
  ROUTES,
  shapeOf,
  sideStructure,
  structure,
  type DrawnPath,
  type Job,
  type Man,
  type MotionKind,
  type PointOfAttack,
  type Route,
  type RunAim,
  type Spot,
  type Structure,
  type StrengthRule,
} from '../look';
import { BASE_JOBS, BASE_REST, type PassDef, type PlayDef, type RunDef, type RunRole } from './play';

export interface Presentation {
  readonly formation: readonly Spot[];
  readonly side: Side | null;
  readonly backfield: readonly Spot[] | null;
  readonly motion: MotionKind | null;
  readonly motionBy: string | null;
  readonly motionSide: Side | null;
}

export interface Assignment {
  readonly men: readonly Man[];
  readonly structure: Structure;
  /** Job or route by letter. */
  readonly jobs: ReadonlyMap<string, Job | Route>;
  readonly roles: ReadonlyMap<string, RunRole>;
  /** Jobs of the play that nobody of this picture can take; empty when it can be shown. */
  readonly missing: readonly Job[];
  readonly carrier: string | null;
}

/** The men of a presentation at the snap. */
export function presentedMen(
  p: Presentation,
  profile: LevelProfile,
): { readonly men: Man[]; readonly set: Man[] } {
  const set = lineUp(p.formation, p.side, p.backfield, shapeOf(profile.players));
  return {
    set,
    men: atSnap(
      set,
      p.motionBy,
      p.motionBy === null ? null : motionPath(set, p.motionBy, p.motion, p.motionSide),
    ),
  };
}

/** Which body plays which role of a run to a side. */
function rolesOf(
  men: readonly Man[],
  s: Structure,
  to: Side,
  def: RunDef,
  mover: string | null,
): Map<string, RunRole> {
  const sign = to === 'L' ? -1 : 1;
  const roles = new Map<string, RunRole>();
  const line = men.filter((m) => m.role === 'line').sort((a, b) => (b.x - a.x) * sign);
  const center = line.findIndex((m) => m.letter === 'C');
  line.forEach((m, i) => {
    const off = i - center;
    roles.set(m.letter, off === 0 ? 'C' : off === -1 ? 'PG' : off <= -2 ? 'PT' : off === 1 ? 'BG' : 'BT');
  });
  for (const side of ['L', 'R'] as const) {
    const half = sideStructure(s, side);
    const near = side === to;
    for (const m of half.attached) roles.set(m.letter, m.onLine ? (near ? 'PY' : 'BY') : near ? 'PW' : 'BW');
    half.receivers
      .filter((m) => !half.attached.includes(m))
      .forEach((m, i) => roles.set(m.letter, `${near ? 'P' : 'B'}${Math.min(3, i + 1)}` as RunRole));
  }
  const backs = [...s.backfield.backs];
  const quarterback = men.find((m) => m.role === 'quarterback');
  if (quarterback) roles.set(quarterback.letter, 'Q');
  const ball =
    def.carrier === 'back'
      ? backs[0]
      : def.carrier === 'fullback'
        ? backs[backs.length - 1]
        : def.carrier === 'quarterback'
          ? quarterback
          : def.carrier === 'mover'
            ? men.find((m) => m.letter === mover && m.role === 'eligible')
            : sideStructure(s, otherSide(to)).receivers.find(
                (m) => !sideStructure(s, otherSide(to)).attached.includes(m),
              );
  for (const b of backs) if (b !== ball) roles.set(b.letter, 'LEAD');
  if (ball) roles.set(ball.letter, 'BALL');
  return roles;
}

/** Puts bodies on the roles of a run. */
export function assignRun(
  def: RunDef,
  p: Presentation,
  to: Side,
  profile: LevelProfile,
  order?: readonly StrengthRule[],
): Assignment {
  const { men } = presentedMen(p, profile);
  const s = structure(men, null, order);
  const roles = rolesOf(men, s, to, def, p.motionBy);
  const jobs = new Map<string, Job>();
  const missing: Job[] = [];
  let carrier: string | null = null;
  for (const m of men) {
    const role = roles.get(m.letter);
    if (!role) continue;
    if (role === 'BALL') carrier = m.letter;
    jobs.set(m.letter, def.jobs[role] ?? BASE_JOBS[def.blocking][role] ?? BASE_REST[role] ?? 'stalk');
  }
  // The quarterback who carries has nobody to give to: the back leads, the quarterback keeps.
  if (def.carrier === 'quarterback' && carrier !== null) jobs.set(carrier, def.jobs.Q ?? 'keep');
  if (carrier === null) missing.push('carry');
  const flexed = new Set<string>();
  for (const f of def.flex) {
    const letter = f.by
      .map((r) => men.find((m) => roles.get(m.letter) === r && !flexed.has(m.letter))?.letter)
      .find((l) => l !== undefined);
    if (letter === undefined) missing.push(f.job);
    else {
      flexed.add(letter);
      jobs.set(letter, f.job);
    }
  }
  return { men, structure: s, jobs, roles, missing, carrier };
}

/** Puts bodies on the routes of a pass: receivers by number, the back to his route, the line to protect. */
export function assignPass(
  def: PassDef,
  p: Presentation,
  profile: LevelProfile,
  order?: readonly StrengthRule[],
): Assignment {
  const { men } = presentedMen(p, profile);
  const s = structure(men, null, order);
  const strong: Side = s.strength ?? p.side ?? 'R';
  const jobs = new Map<string, Job | Route>();
  const missing: Job[] = [];
  for (const m of men)
    if (m.role === 'line') jobs.set(m.letter, profile.players === 11 ? 'pass set' : 'release');
  const backs = [...s.backfield.backs];
  for (const side of ['L', 'R'] as const) {
    const routes = side === strong ? def.strong : def.weak;
    const list = sideStructure(s, side).receivers;
    list.forEach((m, i) => jobs.set(m.letter, routes[i] ?? 'block'));
    // A back offset to a side is its next number when he releases.
    if (routes.length > list.length && def.back === 'block') {
      const at = backs.findIndex((b) => (side === 'L' ? b.x < 0.5 : b.x > -0.5));
      const next = routes[list.length];
      if (at >= 0 && next && next !== 'block') {
        jobs.set(backs[at]!.letter, next);
        backs.splice(at, 1);
      }
    }
  }
  for (const b of backs) jobs.set(b.letter, b === backs[0] ? def.back : 'block');
  const q = men.find((m) => m.role === 'quarterback');
  if (q) jobs.set(q.letter, def.type === 'boot' || def.type === 'sprint' ? 'keep' : 'fake');
  for (const m of men) if (!jobs.has(m.letter)) jobs.set(m.letter, def.back);
  if (
    def.strong.filter((r) => r !== 'block').length >
    sideStructure(s, strong).count + s.backfield.backs.length
  )
    missing.push('release');
  return { men, structure: s, jobs, roles: new Map(), missing, carrier: null };
}

export const assignPlay = (
  def: PlayDef,
  p: Presentation,
  to: Side,
  profile: LevelProfile,
  order?: readonly StrengthRule[],
): Assignment =>
  def.kind === 'run' ? assignRun(def.run, p, to, profile, order) : assignPass(def.pass, p, profile, order);

export interface JobChange {
  readonly letter: string;
  readonly before: Job | Route | null;
  readonly after: Job | Route;
}

/** Position by position, the men of `b` whose job is another than in `a`, or who had none in it. */
export function changedJobs(a: Assignment, b: Assignment): JobChange[] {
  const out: JobChange[] = [];
  for (const m of b.men) {
    const after = b.jobs.get(m.letter)!;
    const before = a.jobs.get(m.letter) ?? null;
    if (before !== after) out.push({ letter: m.letter, before, after });
  }
  return out;
}

/** Backs, then attached tight ends, as an alignment shows them. */
export const peopleShown = (s: Structure): string =>
  `${s.backfield.backs.length}${s.left.attached.length + s.right.attached.length}`;

/** What a defense sees that is new: structure, names of the sides, people as they show, backfield, where the back is, motion. 0: the same picture. */
export function pictureDistance(
  a: { readonly structure: Structure; readonly motion: string | null },
  b: { readonly structure: Structure; readonly motion: string | null },
): number {
  const [x, y] = [a.structure, b.structure];
  const names = (s: Structure) =>
    new Set([...s.left.names, ...s.right.names, `s${s.left.surface}${s.right.surface}`]);
  const [p, q] = [names(x), names(y)];
  let apart = 0;
  for (const n of p) if (!q.has(n)) apart++;
  for (const n of q) if (!p.has(n)) apart++;
  return (
    (x.label === y.label ? 0 : 2) +
    (peopleShown(x) === peopleShown(y) ? 0 : 1) +
    Math.min(3, apart * 0.5) +
    (x.backfield.set === y.backfield.set && x.backfield.quarterback === y.backfield.quarterback ? 0 : 1.5) +
    (x.back.toTightEnd === y.back.toTightEnd && x.back.toStrength === y.back.toStrength ? 0 : 0.5) +
    (a.motion === b.motion ? 0 : 1)
  );
}

/** The drawn paths of an assignment: blocks, pulls, routes, the ball. */
export function assignmentPaths(a: Assignment, to: Side, point: PointOfAttack): DrawnPath[] {
  const end = sideStructure(a.structure, to).endOfLine;
  const out: DrawnPath[] = [];
  for (const m of a.men) {
    const job = a.jobs.get(m.letter);
    if (!job) continue;
    if ((ROUTES as readonly string[]).includes(job) && job !== 'block' && job !== 'stalk')
      out.push(routePath(m, job as Route, to));
    else if (m.role === 'quarterback' && job === 'fake') continue;
    else {
      const path = job === 'block' ? routePath(m, 'block') : jobPath(m, job as Job, to, point, end);
      if (path) out.push(path);
    }
  }
  return out;
}

/** What a run asks of the hat count: who pulls, who is read, who carries. */
export function aimOf(def: RunDef, a: Assignment, to: Side, option: Side | null): RunAim {
  const by = (job: Job): string[] => [...a.jobs].filter(([, j]) => j === job).map(([l]) => l);
  return {
    blocking: def.blocking,
    to,
    point: def.point,
    read: def.read,
    option,
    kick: by('kick')[0] ?? by('trap')[0] ?? null,
    wrap: [...by('wrap'), ...by('lead pull')],
    carrier: a.carrier,
    missing: a.missing,
  };
}

export interface PresentationNote {
  readonly legal: boolean;
  readonly why: readonly string[];
}

/** Whether a picture can be shown: the rulebook's warnings at the snap, and jobs that nobody can take. */
export function presentable(a: Assignment, profile: LevelProfile): PresentationNote {
  const why = [
    ...legality(a.men, profile).map((n) => n.sentence),
    ...a.missing.map((j) => `nobody stands where he could ${j}`),
  ];
  return { legal: why.length === 0, why };
}
