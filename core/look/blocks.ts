/** Who blocks whom by the rule of a scheme. */
import { otherSide, type Side } from '../field/spot';
import type { Man } from './formation';
import { coveredBy, inBox, type BoxRule, type Defender } from './front';
import { sideStructure, type Structure } from './structure';
import type { Duty, OffenseEntry, RunAim } from './ledger';

/** Nearest man on the line counted as on it: within two yards of the ball, not a corner. */
const onLine = (d: Defender): boolean => d.depth <= 2 && d.level !== 'corner';

/** The run's blocking, found step by step: pullers, then the line by its rule, then backs, then receivers. */
export class Blocks {
  readonly offense = new Map<Man, OffenseEntry>();
  readonly taken = new Map<Defender, string[]>();
  readonly pairs: [string, string][] = [];
  readonly sign: 1 | -1;
  readonly front: Defender[] = [];
  readonly backers: Defender[] = [];
  readonly line: Man[] = [];
  readonly near: number;
  readonly endMan: Defender | null;
  readonly readMan: Defender | null;
  kicked: Defender | null = null;
  optionMan: Defender | null = null;

  constructor(
    readonly men: readonly Man[],
    readonly defenders: readonly Defender[],
    readonly s: Structure,
    readonly aim: RunAim,
    rule: BoxRule,
  ) {
    const sign = aim.to === 'L' ? -1 : 1;
    this.sign = sign;
    const play = sideStructure(s, aim.to);
    const back = sideStructure(s, otherSide(aim.to));
    this.near = play.endOfLine * sign;
    const far = back.endOfLine * sign;
    for (const d of defenders) {
      const lat = d.x * sign;
      if (onLine(d) && lat <= this.near + 3 && lat >= far - 3) this.front.push(d);
      else if (inBox(d, s, rule)) this.backers.push(d);
    }
    const byPlaySide = (a: { readonly x: number }, b: { readonly x: number }): number => (b.x - a.x) * sign;
    this.front.sort(byPlaySide);
    this.backers.sort(byPlaySide);
    for (const m of men)
      if (m.role === 'line' || play.attached.includes(m) || back.attached.includes(m)) this.line.push(m);
    this.line.sort(byPlaySide);
    const first = this.front[0];
    const last = this.front[this.front.length - 1];
    this.endMan = first && first.x * sign >= this.near - 2 ? first : null;
    const backEnd = last && last.x * sign < -0.3 ? last : null;
    this.readMan = aim.read === 'end man' ? this.endMan : aim.read === 'back-side end' ? backEnd : null;
  }

  entry(
    man: Man,
    duty: Duty,
    on: Defender | null = null,
    then: Defender | null = null,
    partner: string | null = null,
  ): void {
    this.offense.set(man, { man, duty, on, then, partner });
    if (on) this.take(on, man.letter);
    if (then) this.take(then, man.letter);
  }
  take(d: Defender, letter: string): void {
    const by = this.taken.get(d);
    if (by) by.push(letter);
    else this.taken.set(d, [letter]);
  }
  /** Still to be blocked: not taken, not read, not kicked out by a puller. */
  open(d: Defender): boolean {
    return d !== this.readMan && d !== this.kicked && !this.taken.has(d);
  }
  nextBacker(): Defender | null {
    for (const d of this.backers) if (this.open(d)) return d;
    return null;
  }
  climb(b: Man): void {
    const to = this.nextBacker();
    this.entry(b, to ? 'blocks' : 'climbs, nobody there', to);
  }
  /** The first open man on the line between two lateral distances from a blocker, play side positive; nearest the play side first. */
  onFront(b: Man, from: number, to: number): Defender | null {
    for (const d of this.front) {
      const off = (d.x - b.x) * this.sign;
      if (off >= from && off <= to && this.open(d)) return d;
    }
    return null;
  }

  pullers(carrier: Man | null): void {
    const { aim } = this;
    if (aim.kick !== null && aim.read !== 'end man') this.kicked = this.endMan;
    const kicked = this.kicked;
    for (const m of this.men) {
      if (m === carrier || m.role === 'quarterback') continue;
      if (m.letter === aim.kick) this.entry(m, 'pulls to kick', kicked);
      else if (aim.wrap.includes(m.letter)) this.entry(m, 'wraps to', this.nextBacker());
    }
  }

  zone(): void {
    const list = this.line;
    for (let i = 0; i < list.length; i++) {
      const b = list[i]!;
      if (this.offense.has(b)) continue;
      const cover = coveredBy(b, this.front, this.aim.to);
      if (cover && this.open(cover)) {
        const next = list[i + 1];
        if (next && !this.offense.has(next) && !coveredBy(next, this.front, this.aim.to)) {
          const second = this.nextBacker();
          this.entry(b, 'blocks', cover, second, next.letter);
          this.entry(next, 'blocks', cover, second, b.letter);
          this.pairs.push([b.letter, next.letter]);
        } else this.entry(b, 'blocks', cover);
        continue;
      }
      // Away from the play the line scoops: the near gap, else up to the next backer.
      const gap = this.onFront(b, 0.31, 1.45);
      if (gap) this.entry(b, 'blocks', gap);
      else this.climb(b);
    }
  }

  /** First man inside on the play side; inside out, so that a guard does not lose his man to the tackle. Man blocking takes the man on him first. */
  down(): void {
    const wait: Man[] = [];
    const man = this.aim.blocking === 'man';
    for (let i = this.line.length - 1; i >= 0; i--) {
      const b = this.line[i]!;
      if (b.x * this.sign <= 0.3 || this.offense.has(b)) continue;
      const on = this.onFront(b, -0.3, 0.3);
      const inside = this.onFront(b, -2, -0.31);
      const to = man ? (on ?? inside ?? this.onFront(b, -1, 1)) : (inside ?? on);
      if (to) this.entry(b, 'blocks', to);
      else wait.push(b);
    }
    // The center blocks back for the puller; the others hinge on the next man outside them.
    for (const b of this.line) {
      if (b.x * this.sign > 0.3 || this.offense.has(b)) continue;
      const to = this.onFront(b, -2.2, 0.3) ?? this.onFront(b, -1, 1);
      if (to) this.entry(b, 'blocks', to);
      else wait.push(b);
    }
    for (const b of wait) this.climb(b);
  }

  /** The nearest man outside the box on the play side who could turn the ball in. */
  perimeter(): Defender | null {
    let best: Defender | null = null;
    for (const d of this.defenders) {
      if (
        d.depth > 9 ||
        d.x * this.sign <= this.near - 0.5 ||
        !this.open(d) ||
        this.front.includes(d) ||
        this.backers.includes(d)
      )
        continue;
      if (best === null || d.x * this.sign < best.x * this.sign) best = d;
    }
    return best;
  }

  leads(): void {
    for (const b of this.s.backfield.backs) {
      if (this.offense.has(b)) continue;
      const kickable = this.aim.kick === null && this.endMan && this.open(this.endMan) ? this.endMan : null;
      this.entry(
        b,
        'leads on',
        this.nextBacker() ?? (this.aim.point === 'D' ? this.perimeter() : null) ?? kickable,
      );
    }
  }

  /** A pass option holds the man over its receiver, when nobody blocks him. */
  option(side: Side): void {
    const half = sideStructure(this.s, side);
    const target = half.receivers[1] ?? half.receivers[0];
    if (!target) return;
    for (const d of this.defenders) {
      if (
        !this.open(d) ||
        d.level === 'down' ||
        d.level === 'corner' ||
        d.depth > 9 ||
        Math.abs(d.x - target.x) > 7
      )
        continue;
      if (this.optionMan === null || Math.abs(d.x - target.x) < Math.abs(this.optionMan.x - target.x))
        this.optionMan = d;
    }
    if (!this.offense.has(target)) this.entry(target, 'option route');
  }

  /** Receivers: each stands for the nearest man left over him; on the play side of an outside run he stalks. */
  receivers(outside: boolean): void {
    const left = this.men.filter((m) => !this.offense.has(m)).sort((a, b) => (b.x - a.x) * this.sign);
    for (const r of left) {
      let near: Defender | null = null;
      let deep: Defender | null = null;
      for (const d of this.defenders) {
        if (d === this.optionMan || d === this.readMan || this.taken.has(d)) continue;
        const off = Math.abs(d.x - r.x);
        if (d.depth > 7 && (deep === null || off < Math.abs(deep.x - r.x))) deep = d;
        if (d.x * r.x < 0 || this.front.includes(d) || this.backers.includes(d)) continue;
        if (
          near === null ||
          off < Math.abs(near.x - r.x) ||
          (off === Math.abs(near.x - r.x) && d.depth < near.depth)
        )
          near = d;
      }
      const to = near ?? deep;
      this.entry(r, outside && r.x * this.sign > 0 && to !== null && to.depth <= 9 ? 'stalks' : 'holds', to);
    }
  }
}
