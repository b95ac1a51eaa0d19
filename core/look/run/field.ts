/** A run's ground: both sides as the blocking sees them from the play side, and who is taken, left or free. */
import { otherSide } from '../../field/spot';
import type { Man } from '../formation';
import type { BoxRule } from '../box';
import { inBox, type Defender } from '../front';
import { sideStructure, type SideStructure, type Structure } from '../structure';
import type { Job } from './jobs';
import type { RunCall } from './ledger';
import type { PassOption } from './option';
import type { RunRole } from './run-def';
import type { RunJobs } from './run-jobs';

/** Nearest a man on the line stands to be "on" a lineman, yards: half a split. */
export const ON = 0.8;
/** As far outside the end man as he still has a wide end. */
export const WIDE = 2.3;
/** A lineman who does not pull blocks nobody farther than this to his side, yards. */
export const LATERAL = 4;

const onLine = (d: Defender): boolean => d.depth <= 2 && d.level !== 'corner';
/** Puts a man into a list from the play side. */
function fromPlaySide(list: Target[], target: Target): void {
  let at = list.length;
  for (; at > 0 && list[at - 1]!.lat < target.lat; at--) list[at] = list[at - 1]!;
  list[at] = target;
}

export const LINE_JOBS: ReadonlySet<Job> = new Set([
  'reach',
  'combo',
  'scoop',
  'cutoff',
  'base',
  'down',
  'back',
  'hinge',
  'pin',
  'pass set',
  'wedge',
  'climb',
  'release',
]);

/** A man of the offense while the run is assigned; `lat`: lateral yards, play side positive. */
export interface Blocker {
  readonly man: Man;
  readonly x: number;
  readonly lat: number;
  readonly place: RunRole | null;
  readonly job: Job;
  /** He has what he does. */
  found: boolean;
  does: Job;
  on: Target | null;
  then: Target | null;
  partner: Blocker | null;
}

/** A defender while the run is assigned. */
export interface Target {
  readonly man: Defender;
  readonly x: number;
  readonly depth: number;
  readonly level: Defender['level'];
  readonly lat: number;
  readonly where: 'front' | 'backers' | 'walked in' | 'outside';
  /** Left to the quarterback's read, the pitch or the throw. */
  held: boolean;
  /** Left for a puller, a kicker, a slicer: no lineman takes him. */
  kept: boolean;
  by: Blocker[];
  /** Can be at the point that is counted. */
  there: boolean;
}

const NOBODY_YET: Blocker[] = [];

export class RunField {
  readonly blockers: readonly Blocker[];
  readonly targets: readonly Target[];
  readonly pairs: [Blocker, Blocker][] = [];
  readonly sign: 1 | -1;
  /** Men on the line and backers, from the play side. */
  readonly front: Target[] = [];
  readonly backers: Target[] = [];
  /** Safeties and corners in the box. */
  readonly walkedIn: Target[] = [];
  /** The blocking surface from the play side. */
  readonly line: readonly Blocker[];
  readonly near: number;
  readonly endMan: Target | null;
  readonly backEnd: Target | null;
  readMan: Target | null = null;
  pitchMan: Target | null = null;
  option: PassOption | null = null;
  protected readonly climbers: Blocker[] = [];
  protected readonly play: SideStructure;
  protected readonly back: SideStructure;
  constructor(
    men: readonly Man[],
    readonly defenders: readonly Defender[],
    readonly structure: Structure,
    readonly call: RunCall,
    readonly jobs: RunJobs,
    protected readonly box: BoxRule,
  ) {
    const { to } = call;
    const sign = to === 'L' ? -1 : 1;
    this.sign = sign;
    this.play = sideStructure(structure, to);
    this.back = sideStructure(structure, otherSide(to));
    this.near = this.play.endOfLine * sign;
    const far = this.back.endOfLine * sign;
    const blockers: Blocker[] = [];
    for (let i = 0; i < men.length; i++) {
      const man = men[i]!;
      const { place, job } = jobs.each[i]!;
      blockers.push({
        man,
        x: man.x,
        lat: man.x * sign,
        place,
        job,
        found: false,
        does: job,
        on: null,
        then: null,
        partner: null,
      });
    }
    this.blockers = blockers;
    const targets: Target[] = [];
    for (const man of defenders) {
      const lat = man.x * sign;
      const where =
        onLine(man) && lat <= this.near + 3 && lat >= far - 3
          ? 'front'
          : !inBox(man, structure, box)
            ? 'outside'
            : man.level === 'safety' || man.level === 'corner'
              ? 'walked in'
              : 'backers';
      const { x, depth, level } = man;
      const target: Target = {
        man,
        x,
        depth,
        level,
        lat,
        where,
        held: false,
        kept: false,
        by: NOBODY_YET,
        there: false,
      };
      targets.push(target);
      if (where === 'front') fromPlaySide(this.front, target);
      else if (where === 'backers') fromPlaySide(this.backers, target);
      else if (where === 'walked in') fromPlaySide(this.walkedIn, target);
    }
    this.targets = targets;
    const line: Blocker[] = [];
    for (const i of jobs.line) line.push(blockers[i]!);
    this.line = line;
    const first = this.front[0];
    const last = this.front[this.front.length - 1];
    this.endMan = first && first.lat >= this.near - 2 ? first : null;
    this.backEnd = last && last.lat < -0.3 && last !== this.endMan ? last : null;
  }
  protected withJob(job: Job): Blocker | undefined {
    const at = this.jobs.byJob.get(job);
    return at === undefined ? undefined : this.blockers[at];
  }
  protected byRole(role: RunRole): Blocker | undefined {
    const at = this.jobs.byRole.get(role);
    return at === undefined ? undefined : this.blockers[at];
  }
  /** Nobody of the line has him yet, and he is left to nobody. */
  open(target: Target): boolean {
    return !target.held && !target.kept && target.by.length === 0;
  }
  protected put(blocker: Blocker, does: Job, on: Target | null): void {
    blocker.found = true;
    blocker.does = does;
    blocker.on = on;
    if (on) this.take(on, blocker);
  }
  protected take(target: Target, blocker: Blocker): void {
    if (target.by.length === 0) target.by = [blocker];
    else target.by.push(blocker);
  }
  protected pair(one: Blocker, other: Blocker): void {
    one.does = 'combo';
    one.partner = other;
    other.does = 'combo';
    other.partner = one;
    this.pairs.push([one, other]);
  }
  /** The man of the front nearest to him of those on him; `wide`: as far outside as an end man may stand. */
  protected manOn(man: Blocker, wide = 0, within: (d: Target) => boolean = () => true): Target | null {
    let best: Target | null = null;
    const out = man.lat >= 0 ? 1 : -1;
    for (const d of this.front) {
      const off = d.lat - man.lat;
      if (!within(d) || (Math.abs(off) > ON && !(wide > 0 && off * out > 0 && off * out <= wide))) continue;
      if (best === null || Math.abs(off) < Math.abs(best.lat - man.lat)) best = d;
    }
    return best;
  }
  /** In the gap between a man and his neighbor toward the ball. */
  protected inside(man: Blocker): Target | null {
    const at = Math.abs(man.lat);
    const side = man.lat >= 0 ? 1 : -1;
    let neighbor = 0;
    for (const other of this.line) {
      const his = other.lat * side;
      // Who pulls leaves his gap to the next man outside.
      if (his < at - 0.2 && his > neighbor && LINE_JOBS.has(other.job)) neighbor = his;
    }
    let best: Target | null = null;
    for (const d of this.front) {
      const his = d.lat * side;
      if (his <= neighbor + 0.3 || his >= at - 0.3) continue;
      if (best === null || his > best.lat * side) best = d;
    }
    return best;
  }
  /** Outermost of the surface on his side: he has the wide end too. */
  protected outermost(man: Blocker): boolean {
    return this.line[0] === man || this.line[this.line.length - 1] === man;
  }
  /** The first backer left from the play side, then a safety who stands in the box. */
  protected firstBacker(within: (d: Target) => boolean = () => true): Target | null {
    for (const d of this.backers) if (this.open(d) && within(d)) return d;
    for (const d of this.walkedIn) if (this.open(d) && within(d)) return d;
    return null;
  }
  protected nearestBacker(
    x: number,
    within: (d: Target) => boolean = () => true,
    lists: readonly (readonly Target[])[] = [this.backers, this.walkedIn],
  ): Target | null {
    for (const list of lists) {
      let best: Target | null = null;
      for (const d of list)
        if (this.open(d) && within(d) && (best === null || Math.abs(d.x - x) < Math.abs(best.x - x) - 1e-9))
          best = d;
      if (best) return best;
    }
    return null;
  }
}
