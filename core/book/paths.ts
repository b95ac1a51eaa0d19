/** An assignment as drawn paths: each man where the list sends him. */
import type { Side } from '../field/spot';
import {
  edgeBlocks,
  jobPath,
  keepsOf,
  routePath,
  ROUTES,
  sideStructure,
  type Defender,
  type DefenseLook,
  type DrawnPath,
  type Job,
  type Ledger,
  type Man,
  type OffenseEntry,
  type OptionKind,
  type Point,
  type Route,
  type RunDef,
} from '../look';
import type { PlayDef } from './play';
import type { Assignment } from './presented';

/** Where a defender is met: just in front of him, clear of his letter. */
const at = (defender: Defender): Point => [defender.x, Math.max(0.35, defender.depth - 0.7)];

/** The throw of an option as a route. */
const THROWN: Readonly<Record<OptionKind, Route>> = {
  bubble: 'bubble',
  glance: 'bend',
  stick: 'stick',
  pop: 'seam',
};

/** A man's job as he does it against the defense in the picture: the same men as in the list and the count. */
function blockPath(entry: OffenseEntry, ledger: Ledger, run: RunDef, end: number): DrawnPath | null {
  const { man, does, on, then, partner } = entry;
  if (does === 'route' && ledger.option) return routePath(man, THROWN[ledger.option.kind], ledger.to);
  const other = partner === null ? null : ledger.offense.find((e) => e.man.letter === partner);
  // Of a double the man nearer to their second man goes on to him.
  const goesOn =
    then !== null && (!other || Math.abs(then.x - man.x) <= Math.abs(then.x - other.man.x) + 1e-9)
      ? then
      : null;
  const side = other && on ? Math.sign(man.x - other.man.x) * 0.4 : 0;
  const target: Point | null = on ? [at(on)[0] + side, at(on)[1]] : null;
  return jobPath(man, does, ledger.to, run.point, end, target, goesOn && at(goesOn), keepsOf(run));
}

/** The drawn paths of an assignment: blocks, pulls, routes, the ball. `look`: the defense shown, with the run against it. */
export function assignmentPaths(
  assignment: Assignment,
  to: Side,
  def: PlayDef,
  look: { readonly ledger: Ledger | null; readonly defense: DefenseLook | null } | null = null,
): DrawnPath[] {
  const end = sideStructure(assignment.structure, to).endOfLine;
  const out: DrawnPath[] = [];
  const edge = def.kind === 'pass' && look?.defense ? edgeOf(assignment, look.defense) : null;
  const drags = assignment.men.filter((man) => assignment.jobs.get(man.letter) === 'drag');
  const crossing = drags.some((man) => man.x < 0) && drags.some((man) => man.x > 0);
  for (const man of assignment.men) {
    const job = assignment.jobs.get(man.letter);
    if (!job || (def.kind === 'pass' && man.role === 'quarterback' && job === 'fake')) continue;
    const entry = look?.ledger?.offense.find((e) => e.man.letter === man.letter);
    const on = edge?.get(man);
    const path =
      def.kind === 'run'
        ? look?.ledger && entry
          ? blockPath(entry, look.ledger, def.run, end)
          : jobPath(man, job as Job, to, def.run.point, end, null, null, keepsOf(def.run))
        : on
          ? jobPath(man, 'stalk', to, 'B', end, at(on))
          : job === 'screen'
            ? jobPath(
                man,
                job,
                assignment.screen ?? to,
                'B',
                sideStructure(assignment.structure, assignment.screen ?? to).endOfLine,
              )
            : (ROUTES as readonly string[]).includes(job)
              ? lifted(
                  routePath(man, job as Route, to),
                  job === 'drag' && crossing && man.x < 0 === (to === 'R'),
                )
              : jobPath(man, job as Job, to, job === 'lead' ? 'D' : 'B', end);
    if (path) out.push(path);
  }
  return out;
}

/** Two who cross do so a yard apart: the one from the far side over the other. */
const lifted = (path: DrawnPath, over: boolean): DrawnPath =>
  over && path.kind === 'route'
    ? { ...path, points: path.points.map(([x, y], i): Point => [x, i === 0 ? y : y + 1]) }
    : path;

/** Receivers who block for a throw to the edge, each on his man, side by side. */
function edgeOf(assignment: Assignment, defense: DefenseLook): ReadonlyMap<Man, Defender> {
  const { structure } = assignment;
  const out = new Map<Man, Defender>();
  for (const side of ['L', 'R'] as const) {
    const blockers = sideStructure(structure, side).receivers.filter(
      (m) => assignment.jobs.get(m.letter) === 'stalk',
    );
    for (const [man, on] of edgeBlocks(blockers, side, defense.men, structure)) out.set(man, on);
  }
  return out;
}
