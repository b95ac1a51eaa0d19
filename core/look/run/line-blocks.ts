/** The line on theirs, by the rule of zone, down and man schemes (common practice). */
import type { Man } from '../formation';
import { coveredBy, type Defender } from '../front';
import { LATERAL, LINE_JOBS, ON, RunField, WIDE } from './field';
import type { Job } from './jobs';

const ZONE_JOBS: ReadonlySet<Job> = new Set(['reach', 'combo', 'scoop', 'cutoff']);

export class LineBlocks extends RunField {
  protected zone(man: Man, next: Man | undefined, insideZone: boolean): void {
    const cover = coveredBy(man, this.front, this.call.to);
    const outside = this.outermost(man) ? this.manOn(man, WIDE) : null;
    const behind = this.lat(man) < -0.3;
    const mine = cover ?? (this.lat(man) > 0 ? outside : null);
    if (behind && insideZone) {
      const on = this.manOn(man, this.outermost(man) ? WIDE : 0);
      if (on && this.open(on)) return this.put(man, 'base', on);
    }
    if (mine && this.open(mine)) {
      this.put(man, insideZone ? 'base' : 'reach', mine);
      if (
        next &&
        !this.found.has(next) &&
        ZONE_JOBS.has(this.job(next)) &&
        !coveredBy(next, this.front, this.call.to) &&
        !(insideZone && this.lat(next) < -0.3 && this.openOn(next))
      ) {
        this.put(next, 'combo', mine);
        this.pair(man, next);
      }
      return;
    }
    for (const d of this.front) {
      const off = this.lat(d) - this.lat(man);
      if (off >= 0.31 && off <= 1.45 && this.open(d)) return this.put(man, 'scoop', d);
    }
    this.climbers.push(man);
    this.put(man, 'climb', null);
  }
  protected openOn(man: Man): Defender | null {
    const on = this.manOn(man, this.outermost(man) ? WIDE : 0);
    return on && this.open(on) ? on : null;
  }
  /** One man by his rule of the down and man schemes; he waits for the climb where it finds nobody. */
  protected gap(man: Man): void {
    const job = this.job(man);
    const free = (d: Defender | null): Defender | null => {
      if (!d || this.held(d) || this.kept.has(d)) return null;
      return (this.taken.get(d)?.length ?? 0) < 2 ? d : null;
    };
    const alone = (d: Defender | null): Defender | null => (d && this.open(d) ? d : null);
    let on: Defender | null = null;
    let does: Job = job;
    if (job === 'down' || job === 'pin') {
      on = free(this.inside(man));
      if (job === 'pin' && !on && this.lat(man) >= -0.3) {
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
      const behind = this.front.find(
        (d) => this.lat(d) < this.lat(man) - 0.3 && this.lat(d) >= this.lat(man) - 2.6 && this.open(d),
      );
      on = alone(mine) ?? behind ?? free(mine);
    } else if (job === 'hinge') on = alone(this.manOn(man));
    else if (job === 'base' || job === 'wedge' || job === 'pass set') on = alone(this.manOn(man));
    else if (job === 'climb' && this.withJob('trap') && man === this.byRole('PG')) {
      // A nose or shade inside him: center and guard double him.
      const nose = this.front.find((d) => this.lat(d) > -0.3 && this.lat(d) < this.lat(man) - 0.5);
      on = free(nose ?? null);
    } else return;
    if (!on) return;
    const first = this.taken.get(on)?.[0];
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
    if (!tackle || this.found.has(tackle) || this.job(tackle) !== 'lead pull') return;
    const end = this.manOn(tackle, WIDE);
    if (!end || !this.open(end) || this.line.some((m) => this.lat(m) > this.lat(tackle) + 0.3)) return;
    this.put(tackle, 'reach', end);
    if (guard && !this.found.has(guard) && !this.manOn(guard)) this.put(guard, 'lead pull', null);
  }
  /**
   * A guard who pulls leaves a gap. Where the back side cannot fill it the center goes back to the first man there,
   * and the play-side guard takes the man over him, out of a double if he is in one.
   */
  protected centerBack(): void {
    const center = this.byRole('C');
    const guard = this.byRole('BG');
    if (!center || this.found.has(center) || this.job(center) !== 'back' || !guard) return;
    if (LINE_JOBS.has(this.job(guard))) return;
    const behind = this.front.filter((d) => this.lat(d) < -0.3 && this.open(d));
    const first = behind[0];
    const tackle = this.byRole('BT');
    if (!first || this.lat(first) < -3.4) return;
    const blockers = this.line.filter((m) => this.lat(m) < -0.3 && LINE_JOBS.has(this.job(m))).length;
    const his = tackle !== undefined && LINE_JOBS.has(this.job(tackle)) && Math.abs(first.x - tackle.x) <= ON;
    if (his && behind.length <= blockers) return;
    const over = this.manOn(center, 0, (d) => this.lat(d) > -0.3 && this.open(d));
    const help = this.byRole('PG');
    if (over) {
      const found = help && this.found.get(help);
      if (!help || (found && !found.partner) || !LINE_JOBS.has(this.job(help))) return;
      if (found) this.unpair(help);
      this.put(help, 'down', over);
    }
    this.put(center, 'back', first);
  }
  protected unpair(man: Man): void {
    const found = this.found.get(man)!;
    const on = found.on!;
    this.taken.set(
      on,
      this.taken.get(on)!.filter((m) => m !== man),
    );
    const partner = this.found.get(found.partner!)!;
    partner.partner = null;
    partner.does = 'down';
    this.pairs.splice(
      this.pairs.findIndex((pair) => pair.includes(man)),
      1,
    );
  }
  /**
   * Climbs that are the play's own: with a trap the guard to the middle backer, the tackle to the next outside, the
   * back-side guard to the first of his side; beside a man read, to the first backer.
   */
  protected ownClimbs(todo: readonly Man[]): void {
    const trap = this.withJob('trap');
    for (const role of ['PG', 'PT', 'BG']) {
      const man = todo.find((m) => this.jobs.roles.get(m) === role);
      if (!man || this.found.has(man)) continue;
      if (this.job(man) === 'release' || (this.job(man) === 'climb' && !trap)) {
        const reach = (d: Defender): boolean => Math.abs(d.x - man.x) <= LATERAL;
        this.put(
          man,
          this.job(man),
          this.job(man) === 'release' ? this.firstBacker(reach) : this.nearestBacker(man.x, reach),
        );
        continue;
      }
      if (this.job(man) !== 'climb') continue;
      // Where a nose is trapped the tackle has his own man.
      const home = this.manOn(man, this.outermost(man) ? WIDE : 0, (d) => this.open(d));
      if (role === 'PT' && home && Math.abs(this.trappedAt) < 0.5) {
        this.put(man, 'base', home);
        continue;
      }
      const within = (d: Defender): boolean => Math.abs(d.x - man.x) <= LATERAL;
      const open = this.backers.filter((d) => this.open(d) && within(d));
      const to =
        role === 'PG'
          ? this.nearestBacker(0, within, [this.backers])
          : role === 'PT'
            ? (open.filter((d) => this.lat(d) > -0.3).pop() ?? null)
            : (open.pop() ?? null);
      const met = to ?? this.nearestBacker(man.x, within);
      this.put(man, met || !home ? 'climb' : 'base', met ?? home);
    }
  }
  /** Lateral place of the man trapped; far off where nobody is. */
  protected get trappedAt(): number {
    const trapper = this.withJob('trap');
    return (trapper && this.found.get(trapper)?.on?.x) ?? 99;
  }
  /** Man and pass rules: nobody on him, he has the wide man of his side whom nobody has. */
  protected wideMan(man: Man): void {
    const job = this.job(man);
    if (job !== 'base' && job !== 'wedge' && job !== 'pass set' && job !== 'hinge') return;
    const wide = job === 'pass set' || job === 'hinge' || this.outermost(man);
    const open = (d: Defender | null): Defender | null => (d && this.open(d) ? d : null);
    const on =
      (wide ? this.manOn(man, WIDE, (d) => this.open(d)) : null) ??
      (job === 'hinge' ? open(this.inside(man)) : null) ??
      (man.role === 'line' ? null : open(this.nearEnd(man)));
    if (on) this.put(man, job, on);
  }
  /** A tight end who base blocks the end man though he stands wide or inside of him. */
  protected nearEnd(man: Man): Defender | null {
    const end = this.lat(man) >= 0 ? this.endMan : this.backEnd;
    return end && Math.abs(end.x - man.x) <= WIDE ? end : null;
  }
  /** Man rule: who has nobody on him doubles the down man beside him, inside first. */
  protected doubles(todo: readonly Man[]): void {
    const inOut = [...todo].sort((a, b) => Math.abs(a.x) - Math.abs(b.x) || this.lat(b) - this.lat(a));
    for (const man of inOut) {
      const job = this.job(man);
      if (this.found.has(man) || (job !== 'base' && job !== 'wedge')) continue;
      const at = this.line.indexOf(man);
      const beside = [this.line[at - 1], this.line[at + 1]].filter((m): m is Man => m !== undefined);
      beside.sort((a, b) => Math.abs(a.x) - Math.abs(b.x) || this.lat(b) - this.lat(a));
      for (const other of beside) {
        const on = this.found.get(other)?.on;
        if (
          !on ||
          !this.front.includes(on) ||
          this.kept.has(on) ||
          this.taken.get(on)!.length > 1 ||
          !LINE_JOBS.has(this.job(other))
        )
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
    const todo = this.line.filter((m) => !this.found.has(m) && LINE_JOBS.has(this.job(m)));
    const insideZone = blocking === 'zone' && (point === 'A' || point === 'B');
    if (insideZone) {
      // A tight end on the back side has the end; the tackle climbs.
      const end = todo.find((m) => this.jobs.roles.get(m) === 'BY');
      if (end && this.backEnd && this.open(this.backEnd) && Math.abs(this.backEnd.x - end.x) <= WIDE)
        this.put(end, 'base', this.backEnd);
    }
    for (let i = 0; i < this.line.length; i++) {
      const man = this.line[i]!;
      if (!this.found.has(man) && ZONE_JOBS.has(this.job(man))) this.zone(man, this.line[i + 1], insideZone);
    }
    const inOut = [...todo].reverse().sort((a, b) => Math.abs(a.x) - Math.abs(b.x));
    const side = (man: Man): boolean => this.lat(man) > 0.3;
    for (const man of inOut) if (!this.found.has(man) && side(man)) this.gap(man);
    if (blocking === 'gap') this.centerBack();
    for (const man of inOut) if (!this.found.has(man)) this.gap(man);
    for (const man of inOut) if (!this.found.has(man)) this.wideMan(man);
    this.ownClimbs(todo);
    if (blocking === 'man' || this.withJob('base')) this.doubles(todo);
    for (const man of todo) if (!this.found.has(man)) this.climbers.push(man);
  }
}
