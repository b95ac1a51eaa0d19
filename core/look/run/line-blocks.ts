/** The line on theirs, by the rule of zone, down and man schemes (common practice). */
import { coveredBy } from '../front';
import { LATERAL, LINE_JOBS, ON, RunField, WIDE, type Blocker, type Target } from './field';
import type { Job } from './jobs';

const ZONE_JOBS: ReadonlySet<Job> = new Set(['reach', 'combo', 'scoop', 'cutoff']);

export class LineBlocks extends RunField {
  protected zone(man: Blocker, next: Blocker | undefined, insideZone: boolean): void {
    const cover = coveredBy(man, this.front, this.call.to);
    const outside = this.outermost(man) ? this.manOn(man, WIDE) : null;
    const behind = man.lat < -0.3;
    const mine = cover ?? (man.lat > 0 ? outside : null);
    if (behind && insideZone) {
      const on = this.manOn(man, this.outermost(man) ? WIDE : 0);
      if (on && this.open(on)) return this.put(man, 'base', on);
    }
    if (mine && this.open(mine)) {
      this.put(man, insideZone ? 'base' : 'reach', mine);
      if (
        next &&
        !next.found &&
        ZONE_JOBS.has(next.job) &&
        !coveredBy(next, this.front, this.call.to) &&
        !(insideZone && next.lat < -0.3 && this.openOn(next))
      ) {
        this.put(next, 'combo', mine);
        this.pair(man, next);
      }
      return;
    }
    for (const d of this.front) {
      const off = d.lat - man.lat;
      if (off >= 0.31 && off <= 1.45 && this.open(d)) return this.put(man, 'scoop', d);
    }
    this.climbers.push(man);
    this.put(man, 'climb', null);
  }
  protected openOn(man: Blocker): Target | null {
    const on = this.manOn(man, this.outermost(man) ? WIDE : 0);
    return on && this.open(on) ? on : null;
  }
  /** One man by his rule of the down and man schemes; he waits for the climb where it finds nobody. */
  protected gap(man: Blocker): void {
    const job = man.job;
    const free = (d: Target | null): Target | null => {
      if (!d || d.held || d.kept) return null;
      return d.by.length < 2 ? d : null;
    };
    const alone = (d: Target | null): Target | null => (d && this.open(d) ? d : null);
    let on: Target | null = null;
    let does: Job = job;
    if (job === 'down' || job === 'pin') {
      on = free(this.inside(man));
      if (job === 'pin' && !on && man.lat >= -0.3) {
        // A man square on him whom nobody pins keeps him home.
        const square = this.manOn(man, 0, (d) => Math.abs(d.x - man.x) <= 0.3 && this.open(d));
        const next = this.line[this.line.indexOf(man) - 1];
        const pinned = square && next !== undefined && this.inside(next) === square;
        if (square && !pinned) this.put(man, 'base', square);
        else this.put(man, 'lead pull', null);
        return;
      }
      if (!on) {
        on = alone(this.manOn(man));
        if (on) does = 'base';
      }
    } else if (job === 'back') {
      const mine = this.manOn(man);
      const behind = this.front.find((d) => d.lat < man.lat - 0.3 && d.lat >= man.lat - 2.6 && this.open(d));
      on = alone(mine) ?? behind ?? free(mine);
    } else if (job === 'hinge') on = alone(this.manOn(man));
    else if (job === 'base' || job === 'wedge' || job === 'pass set') on = alone(this.manOn(man));
    else if (job === 'climb' && this.withJob('trap') && man === this.byRole('PG')) {
      // A nose or shade inside him: center and guard double him.
      const nose = this.front.find((d) => d.lat > -0.3 && d.lat < man.lat - 0.5);
      on = free(nose ?? null);
    } else return;
    if (!on) return;
    const first = on.by[0];
    this.put(man, does, on);
    if (first) this.pair(man, first);
  }
  /**
   * A tackle with nobody outside him stays on the man on or outside him instead of leading; the guard beside him
   * leads where nobody is on him.
   */
  protected stays(): void {
    const tackle = this.byRole('PT');
    const guard = this.byRole('PG');
    if (!tackle || tackle.found || tackle.job !== 'lead pull') return;
    const end = this.manOn(tackle, WIDE);
    if (!end || !this.open(end) || this.line.some((m) => m.lat > tackle.lat + 0.3)) return;
    this.put(tackle, 'reach', end);
    if (guard && !guard.found && !this.manOn(guard)) this.put(guard, 'lead pull', null);
  }
  /**
   * A guard who pulls leaves a gap. Where the back side cannot fill it the center goes back to the first man there,
   * and the play-side guard takes the man over him, out of a double if he is in one.
   */
  protected centerBack(): void {
    const center = this.byRole('C');
    const guard = this.byRole('BG');
    if (!center || center.found || center.job !== 'back' || !guard) return;
    if (LINE_JOBS.has(guard.job)) return;
    const behind = this.front.filter((d) => d.lat < -0.3 && this.open(d));
    const first = behind[0];
    const tackle = this.byRole('BT');
    if (!first || first.lat < -3.4) return;
    const blockers = this.line.filter((m) => m.lat < -0.3 && LINE_JOBS.has(m.job)).length;
    const his = tackle !== undefined && LINE_JOBS.has(tackle.job) && Math.abs(first.x - tackle.x) <= ON;
    if (his && behind.length <= blockers) return;
    const over = this.manOn(center, 0, (d) => d.lat > -0.3 && this.open(d));
    const help = this.byRole('PG');
    if (over) {
      if (!help || (help.found && !help.partner) || !LINE_JOBS.has(help.job)) return;
      if (help.found) this.unpair(help);
      this.put(help, 'down', over);
    }
    this.put(center, 'back', first);
  }
  protected unpair(blocker: Blocker): void {
    const on = blocker.on!;
    on.by = on.by.filter((other) => other !== blocker);
    const partner = blocker.partner!;
    partner.partner = null;
    partner.does = 'down';
    blocker.partner = null;
    this.pairs.splice(
      this.pairs.findIndex((pair) => pair.includes(blocker)),
      1,
    );
  }
  /**
   * Climbs that are the play's own: with a trap the guard to the middle backer, the tackle to the next outside, the
   * back-side guard to the first of his side; beside a man read, to the first backer.
   */
  protected ownClimbs(todo: readonly Blocker[]): void {
    const trap = this.withJob('trap');
    for (const role of ['PG', 'PT', 'BG']) {
      const man = todo.find((m) => m.place === role);
      if (!man || man.found) continue;
      if (man.job === 'release' || (man.job === 'climb' && !trap)) {
        const reach = (d: Target): boolean => Math.abs(d.x - man.x) <= LATERAL;
        this.put(
          man,
          man.job,
          man.job === 'release' ? this.firstBacker(reach) : this.nearestBacker(man.x, reach),
        );
        continue;
      }
      if (man.job !== 'climb') continue;
      // Where a nose is trapped the tackle has his own man.
      const home = this.manOn(man, this.outermost(man) ? WIDE : 0, (d) => this.open(d));
      if (role === 'PT' && home && Math.abs(this.trappedAt) < 0.5) {
        this.put(man, 'base', home);
        continue;
      }
      const within = (d: Target): boolean => Math.abs(d.x - man.x) <= LATERAL;
      const open = this.backers.filter((d) => this.open(d) && within(d));
      const to =
        role === 'PG'
          ? this.nearestBacker(0, within, [this.backers])
          : role === 'PT'
            ? (open.filter((d) => d.lat > -0.3).pop() ?? null)
            : (open.pop() ?? null);
      const met = to ?? this.nearestBacker(man.x, within);
      this.put(man, met || !home ? 'climb' : 'base', met ?? home);
    }
  }
  /** Lateral place of the man trapped; far off where nobody is. */
  protected get trappedAt(): number {
    const trapper = this.withJob('trap');
    return (trapper && trapper.on?.x) ?? 99;
  }
  /** Blocker and pass rules: nobody on him, he has the wide man of his side whom nobody has. */
  protected wideMan(man: Blocker): void {
    const job = man.job;
    if (job !== 'base' && job !== 'wedge' && job !== 'pass set' && job !== 'hinge') return;
    const wide = job === 'pass set' || job === 'hinge' || this.outermost(man);
    const open = (d: Target | null): Target | null => (d && this.open(d) ? d : null);
    const on =
      (wide ? this.manOn(man, WIDE, (d) => this.open(d)) : null) ??
      (job === 'hinge' ? open(this.inside(man)) : null) ??
      (man.man.role === 'line' ? null : open(this.nearEnd(man)));
    if (on) this.put(man, job, on);
  }
  /** A tight end who base blocks the end man though he stands wide or inside of him. */
  protected nearEnd(man: Blocker): Target | null {
    const end = man.lat >= 0 ? this.endMan : this.backEnd;
    return end && Math.abs(end.x - man.x) <= WIDE ? end : null;
  }
  /** Blocker rule: who has nobody on him doubles the down man beside him, inside first. */
  protected doubles(todo: readonly Blocker[]): void {
    const inOut = [...todo].sort((a, b) => Math.abs(a.x) - Math.abs(b.x) || b.lat - a.lat);
    for (const man of inOut) {
      const job = man.job;
      if (man.found || (job !== 'base' && job !== 'wedge')) continue;
      const at = this.line.indexOf(man);
      const beside = [this.line[at - 1], this.line[at + 1]].filter((m): m is Blocker => m !== undefined);
      beside.sort((a, b) => Math.abs(a.x) - Math.abs(b.x) || b.lat - a.lat);
      for (const other of beside) {
        const on = other.on;
        if (!on || !this.front.includes(on) || on.kept || on.by.length > 1 || !LINE_JOBS.has(other.job))
          continue;
        if (Math.abs(on.x - man.x) > LATERAL) continue;
        this.put(man, 'combo', on);
        this.pair(other, man);
        break;
      }
    }
  }
  protected lineBlocks(): void {
    const { blocking, point } = this.call.def;
    this.stays();
    const todo: Blocker[] = [];
    for (const man of this.line) if (!man.found && LINE_JOBS.has(man.job)) todo.push(man);
    const insideZone = blocking === 'zone' && (point === 'A' || point === 'B');
    if (insideZone) {
      // A tight end on the back side has the end; the tackle climbs.
      const end = todo.find((m) => m.place === 'BY');
      if (end && this.backEnd && this.open(this.backEnd) && Math.abs(this.backEnd.x - end.x) <= WIDE)
        this.put(end, 'base', this.backEnd);
    }
    for (let i = 0; i < this.line.length; i++) {
      const man = this.line[i]!;
      if (!man.found && ZONE_JOBS.has(man.job)) this.zone(man, this.line[i + 1], insideZone);
    }
    const inOut: Blocker[] = [];
    for (const i of this.jobs.inOut) {
      const man = this.blockers[i]!;
      if (!man.found && LINE_JOBS.has(man.job)) inOut.push(man);
    }
    for (const man of inOut) if (!man.found && man.lat > 0.3) this.gap(man);
    if (blocking === 'gap') this.centerBack();
    for (const man of inOut) if (!man.found) this.gap(man);
    for (const man of inOut) if (!man.found) this.wideMan(man);
    this.ownClimbs(todo);
    if (blocking === 'man' || this.withJob('base')) this.doubles(todo);
    for (const man of todo) if (!man.found) this.climbers.push(man);
  }
}
