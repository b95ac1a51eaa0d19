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
  runJobs,
  shapeOf,
  sideStructure,
  structure,
  type Defender,
  type DrawnPath,
  type Job,
  type Ledger,
  type Man,
  type MotionKind,
  type OffenseEntry,
  type Point,
  type PointOfAttack,
  type Route,
  type RunDef,
  type RunRole,
  type Spot,
  type Structure,
  type StrengthRule,
} from '../look';
import { pictureFor, type PassDef, type PlayDef } from './play';

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

/** Puts bodies on the places of a run. */
export function assignRun(
  def: RunDef,
  presentation: Presentation,
  to: Side,
  profile: LevelProfile,
  order?: readonly StrengthRule[],
): Assignment {
  const { men } = presentedMen(presentation, profile);
  const s = structure(men, null, order, { written: presentation.side });
  const found = runJobs(def, men, s, to, presentation.motionBy);
  const byLetter = <T>(of: ReadonlyMap<Man, T>): Map<string, T> =>
    new Map([...of].map(([man, value]) => [man.letter, value]));
  return {
    men,
    structure: s,
    jobs: byLetter(found.jobs),
    roles: byLetter(found.roles),
    missing: found.missing,
    carrier: found.carrier?.letter ?? null,
  };
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

/** Where a defender is met: just in front of him. */
const at = (defender: Defender): Point => [defender.x, Math.max(0.7, defender.depth - 0.7)];

/** A man's job as he does it against the defense in the picture: the same men as in the list and the count. */
function blockPath(entry: OffenseEntry, ledger: Ledger, point: PointOfAttack, end: number): DrawnPath | null {
  const { man, does, on, then, partner } = entry;
  const other = partner === null ? null : ledger.offense.find((e) => e.man.letter === partner);
  // Of a double the man nearer to their second man goes on to him.
  const goesOn =
    then !== null && (!other || Math.abs(then.x - man.x) <= Math.abs(then.x - other.man.x) + 1e-9)
      ? then
      : null;
  const side = other && on ? Math.sign(man.x - other.man.x) * 0.4 : 0;
  const target: Point | null = on ? [at(on)[0] + side, at(on)[1]] : null;
  return jobPath(man, does, ledger.to, point, end, target, goesOn && at(goesOn));
}

/** The drawn paths of an assignment: blocks, pulls, routes, the ball. `ledger`: the run against the defense shown. */
export function assignmentPaths(
  assignment: Assignment,
  to: Side,
  point: PointOfAttack,
  ledger: Ledger | null = null,
): DrawnPath[] {
  const end = sideStructure(assignment.structure, to).endOfLine;
  const out: DrawnPath[] = [];
  for (const man of assignment.men) {
    const job = assignment.jobs.get(man.letter);
    if (!job) continue;
    const entry = ledger?.offense.find((e) => e.man.letter === man.letter);
    if (ledger && entry) {
      const path = blockPath(entry, ledger, point, end);
      if (path) out.push(path);
    } else if ((ROUTES as readonly string[]).includes(job) && job !== 'block' && job !== 'stalk')
      out.push(routePath(man, job as Route, to));
    else if (man.role === 'quarterback' && job === 'fake') continue;
    else {
      const path = job === 'block' ? routePath(man, 'block') : jobPath(man, job as Job, to, point, end);
      if (path) out.push(path);
    }
  }
  return out;
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
