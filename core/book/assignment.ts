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
import {
  BASE_JOBS,
  BASE_REST,
  pictureFor,
  type PassDef,
  type PlayDef,
  type RunDef,
  type RunRole,
} from './play';

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
  presentation: Presentation,
  profile: LevelProfile,
): { readonly men: Man[]; readonly set: Man[] } {
  const set = lineUp(
    presentation.formation,
    presentation.side,
    presentation.backfield,
    shapeOf(profile.players),
  );
  return {
    set,
    men: atSnap(
      set,
      presentation.motionBy,
      presentation.motionBy === null
        ? null
        : motionPath(set, presentation.motionBy, presentation.motion, presentation.motionSide),
    ),
  };
}

/** Which body plays which role of a run to a side. */
function rolesOf(
  men: readonly Man[],
  structure: Structure,
  to: Side,
  def: RunDef,
  mover: string | null,
): Map<string, RunRole> {
  const sign = to === 'L' ? -1 : 1;
  const roles = new Map<string, RunRole>();
  const line = men.filter((m) => m.role === 'line').sort((a, b) => (b.x - a.x) * sign);
  const center = line.findIndex((m) => m.letter === 'C');
  line.forEach((man, i) => {
    const off = i - center;
    roles.set(man.letter, off === 0 ? 'C' : off === -1 ? 'PG' : off <= -2 ? 'PT' : off === 1 ? 'BG' : 'BT');
  });
  for (const side of ['L', 'R'] as const) {
    const half = sideStructure(structure, side);
    const near = side === to;
    for (const m of half.attached) roles.set(m.letter, m.onLine ? (near ? 'PY' : 'BY') : near ? 'PW' : 'BW');
    half.receivers
      .filter((m) => !half.attached.includes(m))
      .forEach((m, i) => roles.set(m.letter, `${near ? 'P' : 'B'}${Math.min(3, i + 1)}` as RunRole));
  }
  const backs = [...structure.backfield.backs];
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
            : sideStructure(structure, otherSide(to)).receivers.find(
                (m) => !sideStructure(structure, otherSide(to)).attached.includes(m),
              );
  for (const b of backs) if (b !== ball) roles.set(b.letter, 'LEAD');
  if (ball) roles.set(ball.letter, 'BALL');
  return roles;
}

/** Puts bodies on the roles of a run. */
export function assignRun(
  def: RunDef,
  presentation: Presentation,
  to: Side,
  profile: LevelProfile,
  order?: readonly StrengthRule[],
): Assignment {
  const { men } = presentedMen(presentation, profile);
  const s = structure(men, null, order, { written: presentation.side });
  const roles = rolesOf(men, s, to, def, presentation.motionBy);
  const jobs = new Map<string, Job>();
  const missing: Job[] = [];
  let carrier: string | null = null;
  for (const man of men) {
    const role = roles.get(man.letter);
    if (!role) continue;
    if (role === 'BALL') carrier = man.letter;
    jobs.set(man.letter, def.jobs[role] ?? BASE_JOBS[def.blocking][role] ?? BASE_REST[role] ?? 'stalk');
  }
  // The quarterback who carries has nobody to give to: the back leads, the quarterback keeps.
  if (def.carrier === 'quarterback' && carrier !== null) jobs.set(carrier, def.jobs.Q ?? 'keep');
  if (carrier === null) missing.push('carry');
  const flexed = new Set<string>();
  for (const fact of def.flex) {
    const letter = fact.by
      .map((r) => men.find((m) => roles.get(m.letter) === r && !flexed.has(m.letter))?.letter)
      .find((l) => l !== undefined);
    if (letter === undefined) missing.push(fact.job);
    else {
      flexed.add(letter);
      jobs.set(letter, fact.job);
    }
  }
  return { men, structure: s, jobs, roles, missing, carrier };
}

/** What a receiver does whom the word does not name: he clears, on a screen he blocks; attached he stays in. */
const unnamed = (def: PassDef, attached: boolean): Route =>
  def.type === 'screen' ? 'stalk' : attached ? 'block' : 'clear';

/** Puts bodies on the routes of a pass: receivers by number, the back to his route, the line to protect. */
export function assignPass(
  def: PassDef,
  presentation: Presentation,
  profile: LevelProfile,
  order?: readonly StrengthRule[],
  written: Side | null = null,
): Assignment {
  const { men } = presentedMen(presentation, profile);
  const s = structure(men, null, order, { written: presentation.side });
  // A side written with the play turns its picture.
  const strong: Side = written ?? s.passing;
  const jobs = new Map<string, Job | Route>();
  const missing: Job[] = [];
  for (const man of men)
    if (man.role === 'line') jobs.set(man.letter, profile.players === 11 ? 'pass set' : 'release');
  const backs = [...s.backfield.backs];
  let backRoute: Route | null = null;
  for (const side of [otherSide(strong), strong]) {
    const half = sideStructure(s, side);
    const list = half.receivers;
    const picture = pictureFor(def, side === strong ? 'strong' : 'weak', list.length);
    list.forEach((m, i) => jobs.set(m.letter, picture.routes[i] ?? unnamed(def, half.attached.includes(m))));
    backRoute = picture.back ?? backRoute;
    // A back is the next number of his side when the picture names one more: the one on that side, else the nearest.
    const next = picture.routes[list.length];
    if (def.back === 'block' && picture.back === null && next && next !== 'block' && backs.length > 0) {
      const sign = side === 'L' ? -1 : 1;
      const own = [...backs].sort((a, b) => (b.x - a.x) * sign)[0]!;
      if (side === strong || own.x * sign > -0.5) {
        jobs.set(own.letter, next);
        backs.splice(backs.indexOf(own), 1);
      }
    }
  }
  for (const b of backs) jobs.set(b.letter, b === backs[0] ? (backRoute ?? def.back) : 'block');
  const quarterback = men.find((m) => m.role === 'quarterback');
  if (quarterback)
    jobs.set(quarterback.letter, def.type === 'boot' || def.type === 'sprint' ? 'keep' : 'fake');
  for (const m of men) if (!jobs.has(m.letter)) jobs.set(m.letter, def.back);
  const count = sideStructure(s, strong).count;
  const wanted = pictureFor(def, 'strong', count);
  const routes = wanted.routes.filter((r) => r !== 'block').length + (wanted.back === null ? 0 : 1);
  if (routes > count + s.backfield.backs.length) missing.push('release');
  return { men, structure: s, jobs, roles: new Map(), missing, carrier: null };
}

export const assignPlay = (
  def: PlayDef,
  presentation: Presentation,
  to: Side,
  profile: LevelProfile,
  order?: readonly StrengthRule[],
  written: Side | null = null,
): Assignment =>
  def.kind === 'run'
    ? assignRun(def.run, presentation, to, profile, order)
    : assignPass(def.pass, presentation, profile, order, written);

export interface JobChange {
  readonly letter: string;
  readonly before: Job | Route | null;
  readonly after: Job | Route;
}

/** Position by position, the men of `b` whose job is another than in `a`, or who had none in it. */
export function changedJobs(assignment: Assignment, b: Assignment): JobChange[] {
  const out: JobChange[] = [];
  for (const man of b.men) {
    const after = b.jobs.get(man.letter)!;
    const before = assignment.jobs.get(man.letter) ?? null;
    if (before !== after) out.push({ letter: man.letter, before, after });
  }
  return out;
}

/** Backs, then attached tight ends, as an alignment shows them. */
export const peopleShown = (structure: Structure): string =>
  `${structure.backfield.backs.length}${structure.left.attached.length + structure.right.attached.length}`;

/** What a defense sees that is new: structure, names of the sides, people as they show, backfield, where the back is, motion. 0: the same picture. */
export function pictureDistance(
  one: { readonly structure: Structure; readonly motion: string | null },
  other: { readonly structure: Structure; readonly motion: string | null },
): number {
  const [x, y] = [one.structure, other.structure];
  const names = (structure: Structure) =>
    new Set([
      ...structure.left.names,
      ...structure.right.names,
      `s${structure.left.surface}${structure.right.surface}`,
    ]);
  const [ours, theirs] = [names(x), names(y)];
  let apart = 0;
  for (const n of ours) if (!theirs.has(n)) apart++;
  for (const n of theirs) if (!ours.has(n)) apart++;
  return (
    (x.label === y.label ? 0 : 2) +
    (peopleShown(x) === peopleShown(y) ? 0 : 1) +
    Math.min(3, apart * 0.5) +
    (x.backfield.set === y.backfield.set && x.backfield.quarterback === y.backfield.quarterback ? 0 : 1.5) +
    (x.back.toTightEnd === y.back.toTightEnd && x.back.toStrength === y.back.toStrength ? 0 : 0.5) +
    (one.motion === other.motion ? 0 : 1)
  );
}

/** The drawn paths of an assignment: blocks, pulls, routes, the ball. */
export function assignmentPaths(assignment: Assignment, to: Side, point: PointOfAttack): DrawnPath[] {
  const end = sideStructure(assignment.structure, to).endOfLine;
  const out: DrawnPath[] = [];
  for (const man of assignment.men) {
    const job = assignment.jobs.get(man.letter);
    if (!job) continue;
    if ((ROUTES as readonly string[]).includes(job) && job !== 'block' && job !== 'stalk')
      out.push(routePath(man, job as Route, to));
    else if (man.role === 'quarterback' && job === 'fake') continue;
    else {
      const path = job === 'block' ? routePath(man, 'block') : jobPath(man, job as Job, to, point, end);
      if (path) out.push(path);
    }
  }
  return out;
}

/** What a run asks of the hat count: who pulls, who is read, who carries. */
export function aimOf(def: RunDef, assignment: Assignment, to: Side, option: Side | null): RunAim {
  const by = (job: Job): string[] => [...assignment.jobs].filter(([, j]) => j === job).map(([l]) => l);
  return {
    blocking: def.blocking,
    to,
    point: def.point,
    read: def.read,
    option,
    kick: by('kick')[0] ?? by('trap')[0] ?? null,
    wrap: [...by('wrap'), ...by('lead pull')],
    carrier: assignment.carrier,
    missing: assignment.missing,
  };
}

export interface PresentationNote {
  readonly legal: boolean;
  readonly why: readonly string[];
}

/** Whether a picture can be shown: the rulebook's warnings at the snap, and jobs that nobody can take. */
export function presentable(assignment: Assignment, profile: LevelProfile): PresentationNote {
  const why = [
    ...legality(assignment.men, profile).map((n) => n.sentence),
    ...assignment.missing.map((j) => `nobody stands where he could ${j}`),
  ];
  return { legal: why.length === 0, why };
}
