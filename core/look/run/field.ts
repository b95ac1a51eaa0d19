/** A run's ground: both sides as the blocking sees them from the play side, and who is taken, left or free. */
import { otherSide } from '../../field/spot';
import type { Man } from '../formation';
import { inBox, type BoxRule, type Defender } from '../front';
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

interface Found {
  does: Job;
  on: Defender | null;
  then: Defender | null;
  partner: Man | null;
}

export class RunField {
  readonly found = new Map<Man, Found>();
  readonly taken = new Map<Defender, Man[]>();
  readonly pairs: [Man, Man][] = [];
  readonly sign: 1 | -1;
  /** Men on the line and backers, from the play side. */
  readonly front: Defender[] = [];
  readonly backers: Defender[] = [];
  /** Safeties and corners in the box. */
  readonly walkedIn: Defender[] = [];
  /** The blocking surface from the play side. */
  readonly line: readonly Man[];
  readonly near: number;
  readonly endMan: Defender | null;
  readonly backEnd: Defender | null;
  readMan: Defender | null = null;
  pitchMan: Defender | null = null;
  option: PassOption | null = null;
  /** Left for a puller, a kicker, a slicer: no lineman takes him. */
  protected readonly kept = new Set<Defender>();
  protected readonly climbers: Man[] = [];
  protected readonly play: SideStructure;
  protected readonly back: SideStructure;
  constructor(
    readonly men: readonly Man[],
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
    for (const defender of defenders) {
      const lat = defender.x * sign;
      if (onLine(defender) && lat <= this.near + 3 && lat >= far - 3) this.front.push(defender);
      else if (inBox(defender, structure, box))
        (defender.level === 'safety' || defender.level === 'corner' ? this.walkedIn : this.backers).push(
          defender,
        );
    }
    const byPlaySide = (a: { readonly x: number }, b: { readonly x: number }): number => (b.x - a.x) * sign;
    this.front.sort(byPlaySide);
    if (this.backers.length > 1) this.backers.sort(byPlaySide);
    if (this.walkedIn.length > 1) this.walkedIn.sort(byPlaySide);
    this.line = jobs.line;
    const first = this.front[0];
    const last = this.front[this.front.length - 1];
    this.endMan = first && first.x * sign >= this.near - 2 ? first : null;
    this.backEnd = last && last.x * sign < -0.3 && last !== this.endMan ? last : null;
  }
  protected job(man: Man): Job {
    return this.jobs.jobs.get(man) ?? 'stalk';
  }
  protected withJob(job: Job): Man | undefined {
    return this.jobs.byJob.get(job);
  }
  protected lat(of: { readonly x: number }): number {
    return of.x * this.sign;
  }
  protected byRole(role: RunRole): Man | undefined {
    return this.jobs.byRole.get(role);
  }
  /** Nobody of the line has him yet, and he is left to nobody. */
  open(defender: Defender): boolean {
    return !this.held(defender) && !this.kept.has(defender) && !this.taken.has(defender);
  }
  held(defender: Defender): boolean {
    return defender === this.readMan || defender === this.pitchMan || defender === this.option?.key;
  }
  protected put(man: Man, does: Job, on: Defender | null): void {
    this.found.set(man, { does, on, then: null, partner: null });
    if (on) this.take(on, man);
  }
  protected take(defender: Defender, man: Man): void {
    const by = this.taken.get(defender);
    if (by) by.push(man);
    else this.taken.set(defender, [man]);
  }
  protected pair(man: Man, other: Man): void {
    for (const one of [man, other]) {
      const found = this.found.get(one)!;
      found.does = 'combo';
      found.partner = one === man ? other : man;
    }
    this.pairs.push([man, other]);
  }
  /** The man of the front nearest to him of those on him; `wide`: as far outside as an end man may stand. */
  protected manOn(man: Man, wide = 0, within: (d: Defender) => boolean = () => true): Defender | null {
    let best: Defender | null = null;
    const out = this.lat(man) >= 0 ? 1 : -1;
    for (const d of this.front) {
      const off = this.lat(d) - this.lat(man);
      if (!within(d) || (Math.abs(off) > ON && !(wide > 0 && off * out > 0 && off * out <= wide))) continue;
      if (best === null || Math.abs(off) < Math.abs(this.lat(best) - this.lat(man))) best = d;
    }
    return best;
  }
  /** In the gap between a man and his neighbor toward the ball. */
  protected inside(man: Man): Defender | null {
    const at = Math.abs(this.lat(man));
    const side = this.lat(man) >= 0 ? 1 : -1;
    let neighbor = 0;
    for (const other of this.line) {
      const his = this.lat(other) * side;
      // Who pulls leaves his gap to the next man outside.
      if (his < at - 0.2 && his > neighbor && LINE_JOBS.has(this.job(other))) neighbor = his;
    }
    let best: Defender | null = null;
    for (const d of this.front) {
      const his = this.lat(d) * side;
      if (his <= neighbor + 0.3 || his >= at - 0.3) continue;
      if (best === null || his > this.lat(best) * side) best = d;
    }
    return best;
  }
  /** Outermost of the surface on his side: he has the wide end too. */
  protected outermost(man: Man): boolean {
    return this.line[0] === man || this.line[this.line.length - 1] === man;
  }
  /** The first backer left from the play side, then a safety who stands in the box. */
  protected firstBacker(within: (d: Defender) => boolean = () => true): Defender | null {
    for (const d of this.backers) if (this.open(d) && within(d)) return d;
    for (const d of this.walkedIn) if (this.open(d) && within(d)) return d;
    return null;
  }
  protected nearestBacker(
    x: number,
    within: (d: Defender) => boolean = () => true,
    lists: readonly (readonly Defender[])[] = [this.backers, this.walkedIn],
  ): Defender | null {
    for (const list of lists) {
      let best: Defender | null = null;
      for (const d of list)
        if (this.open(d) && within(d) && (best === null || Math.abs(d.x - x) < Math.abs(best.x - x) - 1e-9))
          best = d;
      if (best) return best;
    }
    return null;
  }
}
