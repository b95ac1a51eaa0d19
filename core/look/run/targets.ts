/**
 * Who blocks whom by the rule of a scheme, filled in the order of the trade (common practice): men read, kicked or
 * trapped; linemen on theirs; pullers as they arrive; leads and arcs; doubles, then single men, to the nearest
 * backer left; receivers.
 */
import type { Man } from '../formation';
import type { BoxRule } from '../box';
import { type Defender } from '../front';
import type { Structure } from '../structure';
import { LATERAL, LINE_JOBS, ON, type Blocker, type Target } from './field';
import { LineBlocks } from './line-blocks';
import type { OffenseEntry, RunCall } from './ledger';
import type { Job } from './jobs';
import { passOption } from './option';
import type { RunRole } from './run-def';
import type { RunJobs } from './run-jobs';

/** A back-side backer who comes over the top of a double is met from this far, yards. */
const OVER_THE_TOP = 5.5;
/** A receiver gets to nobody farther to his side than this, yards. */
export const STALKS = 12;
/** A receiver this near a corner, yards to the side, has him. */
const OVER_HIM = 5;

export class RunTargets extends LineBlocks {
  /** A puller has the force man. */
  private led = false;

  constructor(
    men: readonly Man[],
    defenders: readonly Defender[],
    structure: Structure,
    call: RunCall,
    jobs: RunJobs,
    box: BoxRule,
  ) {
    super(men, defenders, structure, call, jobs, box);
    this.readMen();
    // Who runs the throw of an option blocks nobody, if the run leaves him to it.
    const thrown = this.option?.target ? this.blockers.find((b) => b.man === this.option!.target) : undefined;
    if (thrown && (thrown.job === 'stalk' || LINE_JOBS.has(thrown.job))) this.put(thrown, 'route', null);
    this.keep();
    this.lineBlocks();
    this.pullers();
    this.leads();
    this.climb();
    this.receivers();
  }

  private readMen(): void {
    const { def } = this.call;
    const guard = this.byRole('PG');
    const tackle = this.byRole('PT');
    const firstOutside = (from: number): Target | null => {
      for (let i = this.front.length - 1; i >= 0; i--) if (this.front[i]!.lat >= from) return this.front[i]!;
      return null;
    };
    if (def.read === 'end man') this.readMan = this.endMan;
    else if (def.read === 'back-side end') this.readMan = this.backEnd;
    else if (def.read === 'dive key') this.readMan = firstOutside((tackle ? tackle.lat : 3.2) - ON);
    else if (def.read === 'inside man') this.readMan = firstOutside((guard ? guard.lat : 1.6) - 0.6);
    if (this.readMan) this.readMan.held = true;
    if (def.pitch === 'end man') this.pitchMan = this.endMan;
    else if (def.pitch === 'next man') this.pitchMan = this.nextOutside(this.readMan ?? this.endMan);
    else if (def.pitch === 'force') this.pitchMan = this.perimeter();
    if (this.pitchMan) this.pitchMan.held = true;
    if (!this.call.option) return;
    this.option = passOption(
      this.call.option,
      this.structure,
      this.call.to,
      this.defenders,
      this.box,
      (d) => d !== this.readMan?.man && d !== this.pitchMan?.man,
    );
    for (const target of this.targets) if (target.man === this.option.key) target.held = true;
  }
  /** The next man outside another on the play side: no deep man, a corner only where nobody else is. */
  private nextOutside(man: Target | null, sign: 1 | -1 = this.sign, cornerHeld = false): Target | null {
    let best: Target | null = null;
    for (const wide of cornerHeld ? [false] : [false, true]) {
      for (const d of this.targets) {
        if (d === man || d.depth > 8 || d.held || (d.level === 'corner') !== wide) continue;
        if (d.x * sign <= (man ? man.x * sign : this.near) - 1e-9 || d.by.length > 0) continue;
        if (best === null || d.x * sign < best.x * sign) best = d;
      }
      if (best) return best;
    }
    // The corner is a receiver's: the next who could come up is the safety nearest that side.
    if (cornerHeld)
      for (const d of this.targets)
        if (
          d.level === 'safety' &&
          this.open(d) &&
          d.x * sign > -3 &&
          (best === null || d.x * sign > best.x * sign)
        )
          best = d;
    return best;
  }
  /** A detached receiver of that side stands for the corner. */
  private cornerHeld(sign: 1 | -1): boolean {
    const half = sign === this.sign ? this.play : this.back;
    return this.blockers.some((b) => b.job === 'stalk' && half.detached.includes(b.man));
  }
  private keep(): void {
    const keep = (man: Blocker | undefined, does: Job, on: Target | null): void => {
      if (!man) return;
      const target = on && this.open(on) ? on : null;
      this.put(man, does, target);
      if (target) target.kept = true;
    };
    keep(this.withJob('kick'), 'kick', this.endMan);
    const trapper = this.withJob('trap');
    if (trapper) keep(trapper, 'trap', this.trapped(trapper));
    keep(this.withJob('slice'), 'slice', this.backEnd);
    keep(this.withJob('fill'), 'fill', this.backEnd);
  }
  /** First down man on or outside the play-side guard; a wham takes the nose where there is one over the ball. */
  private trapped(trapper: Blocker): Target | null {
    const guard = this.byRole('PG');
    const from = (guard ? guard.lat : 1.6) - 0.6;
    if (trapper.man.role !== 'line') {
      const nose = this.front.find((d) => Math.abs(d.x) <= 0.3);
      if (nose) return nose;
    }
    const long = trapper.place === 'BT' ? 1.6 : 0;
    for (let i = this.front.length - 1; i >= 0; i--)
      if (this.front[i]!.lat >= from + long) return this.front[i]!;
    return this.endMan;
  }
  private pullers(): void {
    // Those of the play side arrive first.
    const pulling = this.blockers
      .filter((m) => {
        const does = m.does ?? m.job;
        return (does === 'lead pull' || does === 'wrap') && m.on == null;
      })
      .sort((a, b) => b.lat - a.lat);
    for (const man of pulling) {
      const does = man.does ?? man.job;
      if (does === 'wrap' || this.led) this.put(man, does, this.firstBacker());
      else {
        // Who pins leaves the first man outside to the first puller.
        const pinning = this.withJob('pin') !== undefined;
        const outside = pinning ? this.front.find((d) => this.open(d) && d.lat > 0) : undefined;
        const loose =
          this.endMan && this.open(this.endMan) && this.call.def.point === 'D' ? this.endMan : undefined;
        const crack = this.withJob('crack');
        if (crack && !crack.found) this.crack(crack);
        this.put(man, does, outside ?? loose ?? this.perimeter() ?? this.firstBacker());
        this.led = true;
      }
    }
  }
  private crack(man: Blocker): void {
    this.put(
      man,
      'crack',
      this.perimeter((d) => d.level !== 'corner' && Math.abs(d.x) < Math.abs(man.x)) ?? null,
    );
  }
  /** The nearest man outside the end man on the play side who could turn the ball in. */
  perimeter(within: (d: Target) => boolean = () => true): Target | null {
    let best: Target | null = null;
    for (const d of this.targets) {
      if (d.depth > 9 || d.lat <= this.near - 0.5 || !this.open(d) || !within(d)) continue;
      if (d.where === 'front' || d.where === 'backers' || this.stalked(d)) continue;
      if (best === null || d.lat < best.lat) best = d;
    }
    return best;
  }
  /** A corner with a receiver who stalks him: no lead runs out there. */
  private stalked(d: Target): boolean {
    return (
      d.level === 'corner' &&
      this.blockers.some((b) => b.job === 'stalk' && !b.found && Math.abs(b.x - d.x) <= OVER_HIM)
    );
  }
  private leads(): void {
    for (const man of this.blockers) {
      if (man.found) continue;
      const job = man.job;
      if (job === 'lead') {
        const { blocking, point } = this.call.def;
        const to =
          blocking === 'man'
            ? this.nearestBacker(this.bubble() * this.sign)
            : point === 'D' && !this.led
              ? (this.perimeter() ?? this.firstBacker())
              : this.firstBacker();
        const loose =
          this.endMan && this.open(this.endMan) && this.call.def.blocking !== 'zone' ? this.endMan : null;
        this.put(man, job, to ?? loose);
      } else if (job === 'insert') this.put(man, job, this.nearestBacker(this.bubble() * this.sign));
      else if (job === 'arc') {
        const past = this.call.def.read === 'back-side end' ? this.readMan : (this.pitchMan ?? this.readMan);
        const sign = this.call.def.read === 'back-side end' ? (this.sign === 1 ? -1 : 1) : this.sign;
        const target = this.nextOutside(past, sign, this.cornerHeld(sign));
        this.put(man, job, target && this.open(target) ? target : null);
      } else if (job === 'crack') this.crack(man);
    }
  }
  /** First gap from the center to the play side without a down man, lateral yards of the play side. */
  bubble(): number {
    let from = 0;
    for (const man of [...this.line].reverse()) {
      const at = man.lat;
      if (at <= 0.3) continue;
      if (!this.front.some((d) => d.lat > from + 0.25 && d.lat <= at - 0.25)) return (from + at) / 2;
      from = at;
    }
    return from + 0.8;
  }
  private climb(): void {
    const reach = (man: Blocker) => (d: Target) =>
      Math.abs(d.x - man.x) <= (man.man.role === 'line' ? LATERAL : LATERAL + 1);
    const power = this.call.def.blocking === 'gap';
    const pairs = [...this.pairs].sort(([a], [b]) => b.lat - a.lat);
    for (const [one, other] of pairs) {
      const on = one.on!;
      const back = [...this.backers]
        .reverse()
        .find(
          (d) => this.open(d) && Math.min(Math.abs(d.x - one.x), Math.abs(d.x - other.x)) <= OVER_THE_TOP,
        );
      const within = (d: Target): boolean => reach(one)(d) || reach(other)(d);
      // The double of a down scheme is for the back-side backer; he comes over the top.
      const to = power && on.lat > 0 ? (back ?? null) : this.nearestBacker((one.x + other.x) / 2, within);
      if (!to) continue;
      one.then = to;
      other.then = to;
      this.take(to, one);
      this.take(to, other);
    }
    const middle = this.nearestBacker(0, undefined, [this.backers]);
    for (const man of this.climbers) {
      const job = man.job;
      if (job === 'pass set') {
        const to =
          man === this.uncovered && middle && this.open(middle) && reach(man)(middle) ? middle : null;
        this.put(man, job, to);
        continue;
      }
      // At the edge of a zone the nearest man is met, safety or backer.
      const edge = !power && man.man.role !== 'line';
      const lists = edge ? [[...this.backers, ...this.walkedIn]] : [this.backers, this.walkedIn];
      this.put(man, 'climb', this.nearestBacker(man.x, reach(man), lists));
    }
  }
  /** Of a pass set: the center without a man on him, else a guard, goes to the middle backer. */
  private get uncovered(): Blocker | undefined {
    const free = (role: RunRole): Blocker | undefined => {
      const man = this.byRole(role);
      return man && this.climbers.includes(man) ? man : undefined;
    };
    return free('C') ?? free('PG') ?? free('BG');
  }
  /** Receivers stand for the nearest man left over them. */
  private receivers(): void {
    for (const i of this.jobs.receivers) {
      const man = this.blockers[i]!;
      if (man.found) continue;
      let near: Target | null = null;
      let deep: Target | null = null;
      // Over him counts more than near the line.
      const far = (d: Target): number => Math.abs(d.x - man.x) + d.depth * 0.5;
      for (const d of this.targets) {
        if (d.held || d.by.length > 0 || Math.abs(d.x - man.x) > STALKS) continue;
        if (d.depth > 7 && (deep === null || Math.abs(d.x - man.x) < Math.abs(deep.x - man.x))) deep = d;
        if (d.x * man.x < 0 || d.where === 'front' || d.where === 'backers') continue;
        if (near === null || far(d) < far(near) - 1e-9) near = d;
      }
      this.put(man, 'stalk', near ?? deep);
    }
  }
  entries(): OffenseEntry[] {
    return this.blockers.map(({ man, place, job, does, on, then, partner }) => ({
      man,
      role: place,
      job,
      does,
      on: on && on.man,
      then: then && then.man,
      partner: partner && partner.man.letter,
    }));
  }
}
