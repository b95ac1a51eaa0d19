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
  /** Safeties and corners in the box: nobody climbs to them. */
  readonly walkedIn: Defender[] = [];
  readonly line: Man[] = [];
  readonly near: number;
  readonly endMan: Defender | null;
  readonly readMan: Defender | null;
  kicked: Defender | null = null;
  optionMan: Defender | null = null;

  constructor(
    readonly men: readonly Man[],
    readonly defenders: readonly Defender[],
    readonly structure: Structure,
    readonly aim: RunAim,
    rule: BoxRule,
  ) {
    const sign = aim.to === 'L' ? -1 : 1;
    this.sign = sign;
    const play = sideStructure(structure, aim.to);
    const back = sideStructure(structure, otherSide(aim.to));
    this.near = play.endOfLine * sign;
    const far = back.endOfLine * sign;
    for (const defender of defenders) {
      const lat = defender.x * sign;
      if (onLine(defender) && lat <= this.near + 3 && lat >= far - 3) this.front.push(defender);
      else if (inBox(defender, structure, rule))
        (defender.level === 'safety' || defender.level === 'corner' ? this.walkedIn : this.backers).push(
          defender,
        );
    }
    const byPlaySide = (a: { readonly x: number }, b: { readonly x: number }): number => (b.x - a.x) * sign;
    this.front.sort(byPlaySide);
    this.backers.sort(byPlaySide);
    for (const man of men)
      if (man.role === 'line' || play.attached.includes(man) || back.attached.includes(man))
        this.line.push(man);
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
  take(defender: Defender, letter: string): void {
    const by = this.taken.get(defender);
    if (by) by.push(letter);
    else this.taken.set(defender, [letter]);
  }
  /** Still to be blocked: not taken, not read, not kicked out by a puller. */
  open(defender: Defender): boolean {
    return defender !== this.readMan && defender !== this.kicked && !this.taken.has(defender);
  }
  nextBacker(): Defender | null {
    for (const d of this.backers) if (this.open(d)) return d;
    return null;
  }
  climb(man: Man): void {
    const to = this.nextBacker();
    this.entry(man, to ? 'blocks' : 'climbs, nobody there', to);
  }
  /** The first open man on the line between two lateral distances from a blocker, play side positive; nearest the play side first. */
  onFront(man: Man, from: number, to: number): Defender | null {
    for (const defender of this.front) {
      const off = (defender.x - man.x) * this.sign;
      if (off >= from && off <= to && this.open(defender)) return defender;
    }
    return null;
  }

  pullers(carrier: Man | null): void {
    const { aim } = this;
    if (aim.kick !== null && aim.read !== 'end man') this.kicked = this.endMan;
    const kicked = this.kicked;
    for (const man of this.men) {
      if (man === carrier || man.role === 'quarterback') continue;
      if (man.letter === aim.kick) this.entry(man, 'pulls to kick', kicked);
      else if (aim.wrap.includes(man.letter)) this.entry(man, 'wraps to', this.nextBacker());
    }
  }

  zone(): void {
    const list = this.line;
    for (let i = 0; i < list.length; i++) {
      const man = list[i]!;
      if (this.offense.has(man)) continue;
      const cover = coveredBy(man, this.front, this.aim.to);
      if (cover && this.open(cover)) {
        const next = list[i + 1];
        if (next && !this.offense.has(next) && !coveredBy(next, this.front, this.aim.to)) {
          const second = this.nextBacker();
          this.entry(man, 'blocks', cover, second, next.letter);
          this.entry(next, 'blocks', cover, second, man.letter);
          this.pairs.push([man.letter, next.letter]);
        } else this.entry(man, 'blocks', cover);
        continue;
      }
      // Away from the play the line scoops: the near gap, else up to the next backer.
      const gap = this.onFront(man, 0.31, 1.45);
      if (gap) this.entry(man, 'blocks', gap);
      else this.climb(man);
    }
  }

  /** First man inside on the play side; inside out, so that a guard does not lose his man to the tackle. Man blocking takes the man on him first. */
  down(): void {
    const wait: Man[] = [];
    const man = this.aim.blocking === 'man';
    for (let i = this.line.length - 1; i >= 0; i--) {
      const other = this.line[i]!;
      if (other.x * this.sign <= 0.3 || this.offense.has(other)) continue;
      const on = this.onFront(other, -0.3, 0.3);
      const inside = this.onFront(other, -2, -0.31);
      const to = man ? (on ?? inside ?? this.onFront(other, -1, 1)) : (inside ?? on);
      if (to) this.entry(other, 'blocks', to);
      else wait.push(other);
    }
    // The center blocks back for the puller; the others hinge on the next man outside them.
    for (const man of this.line) {
      if (man.x * this.sign > 0.3 || this.offense.has(man)) continue;
      const to = this.onFront(man, -2.2, 0.3) ?? this.onFront(man, -1, 1);
      if (to) this.entry(man, 'blocks', to);
      else wait.push(man);
    }
    for (const b of wait) this.climb(b);
  }

  /** The nearest man outside the box on the play side who could turn the ball in. */
  perimeter(): Defender | null {
    let best: Defender | null = null;
    for (const defender of this.defenders) {
      if (
        defender.depth > 9 ||
        defender.x * this.sign <= this.near - 0.5 ||
        !this.open(defender) ||
        this.front.includes(defender) ||
        this.backers.includes(defender)
      )
        continue;
      if (best === null || defender.x * this.sign < best.x * this.sign) best = defender;
    }
    return best;
  }

  leads(): void {
    for (const man of this.structure.backfield.backs) {
      if (this.offense.has(man)) continue;
      const kickable = this.aim.kick === null && this.endMan && this.open(this.endMan) ? this.endMan : null;
      this.entry(
        man,
        'leads on',
        this.nextBacker() ?? (this.aim.point === 'D' ? this.perimeter() : null) ?? kickable,
      );
    }
  }

  /** A pass option holds the man over its receiver, when nobody blocks him. */
  option(side: Side): void {
    const half = sideStructure(this.structure, side);
    const target = half.receivers[1] ?? half.receivers[0];
    if (!target) return;
    for (const defender of this.defenders) {
      if (
        !this.open(defender) ||
        defender.level === 'down' ||
        defender.level === 'corner' ||
        defender.depth > 9 ||
        Math.abs(defender.x - target.x) > 7
      )
        continue;
      if (this.optionMan === null || Math.abs(defender.x - target.x) < Math.abs(this.optionMan.x - target.x))
        this.optionMan = defender;
    }
    if (!this.offense.has(target)) this.entry(target, 'option route');
  }

  /** Receivers: each stands for the nearest man left over him; on the play side of an outside run he stalks. */
  receivers(outside: boolean): void {
    const left = this.men.filter((m) => !this.offense.has(m)).sort((a, b) => (b.x - a.x) * this.sign);
    for (const man of left) {
      let near: Defender | null = null;
      let deep: Defender | null = null;
      for (const defender of this.defenders) {
        if (defender === this.optionMan || defender === this.readMan || this.taken.has(defender)) continue;
        const off = Math.abs(defender.x - man.x);
        if (defender.depth > 7 && (deep === null || off < Math.abs(deep.x - man.x))) deep = defender;
        if (defender.x * man.x < 0 || this.front.includes(defender) || this.backers.includes(defender))
          continue;
        if (
          near === null ||
          off < Math.abs(near.x - man.x) ||
          (off === Math.abs(near.x - man.x) && defender.depth < near.depth)
        )
          near = defender;
      }
      const to = near ?? deep;
      this.entry(
        man,
        outside && man.x * this.sign > 0 && to !== null && to.depth <= 9 ? 'stalks' : 'holds',
        to,
      );
    }
  }
}
