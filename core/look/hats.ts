/**
 * Hats: who is blocked, who is held, who is left. Margins are ours minus theirs everywhere. The
 * ledger places all twenty-two. Rules are those of the trade (common practice), not of one staff.
 */
import { otherSide, type Side } from '../field/spot';
import type { Man } from './formation';
import { coveredBy, inBox, type BoxRule, type Defender, DEFAULT_BOX } from './front';
import { sideStructure, type Structure } from './structure';

export const BLOCKING = ['zone', 'gap', 'man'] as const;
export type Blocking = (typeof BLOCKING)[number];
export const POINTS = ['A', 'B', 'C', 'D'] as const;
/** Gap the ball aims at; D is outside the end man. */
export type PointOfAttack = (typeof POINTS)[number];

export interface RunAim {
  readonly blocking: Blocking;
  readonly to: Side;
  readonly point: PointOfAttack;
  /** Who is left to the quarterback's read: the back-side end, the play-side end man, or nobody. */
  readonly read: 'back-side end' | 'end man' | null;
  /** Side of a pass option attached to the run; null without one. */
  readonly option: Side | null;
  /** Letters that pull to kick out the end man, and to wrap for the play-side backer. */
  readonly kick: string | null;
  readonly wrap: readonly string[];
  /** Who carries; null: the deepest back. */
  readonly carrier: string | null;
  /** Jobs of the play that nobody of this picture can take. */
  readonly missing?: readonly string[];
}

export type Duty =
  | 'blocks'
  | 'pulls to kick'
  | 'wraps to'
  | 'leads on'
  | 'carries'
  | 'hands off, reads'
  | 'hands off'
  | 'holds'
  | 'option route'
  | 'climbs, nobody there'
  | 'stalks';

export interface OffenseEntry {
  readonly man: Man;
  readonly duty: Duty;
  readonly on: Defender | null;
  /** Second man he and his partner own together. */
  readonly then: Defender | null;
  readonly partner: string | null;
}
export interface DefenseEntry {
  readonly man: Defender;
  readonly by: 'blocked' | 'read' | 'option' | 'held by a receiver' | 'deep, far' | 'free';
  readonly who: readonly string[];
  /** Can be at the point of attack. */
  readonly there: boolean;
}

export interface Ledger {
  readonly to: Side;
  readonly offense: readonly OffenseEntry[];
  readonly defense: readonly DefenseEntry[];
  /** Blockers at the point of attack. */
  readonly hats: number;
  readonly there: number;
  readonly heldByRead: 0 | 1;
  readonly heldByOption: 0 | 1;
  /** hats + held − there: 0 and above is sound, −1 names the free man, below that it is not there. */
  readonly margin: number;
  readonly free: readonly Defender[];
  /** `unblocked`: the count is enough, but the rules of the blocking leave a man at the point. */
  readonly verdict: 'sound' | 'unblocked' | 'one free' | 'not there';
  readonly missing: readonly string[];
  /** The force defender counted because the point is outside the end man. */
  readonly force: Defender | null;
  readonly pairs: readonly (readonly [string, string])[];
}

/** Nearest man on the line counted as on it: within two yards of the ball, not a corner. */
const onLine = (d: Defender): boolean => d.depth <= 2 && d.level !== 'corner';

/** The run's blocking, found step by step: pullers, then the line by its rule, then backs, then receivers. */
class Blocks {
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

/**
 * Every man of both sides with a duty, and the hat margin at the point of attack. Who can be there:
 * the box to that side (play-side and middle backers, the line from the ball out); when the point is
 * outside the end man also the force defender and the corner, and then the widest receiver counts as
 * a blocker.
 */
export function runLedger(
  men: readonly Man[],
  defenders: readonly Defender[],
  s: Structure,
  aim: RunAim,
  rule: BoxRule = DEFAULT_BOX,
): Ledger {
  const work = new Blocks(men, defenders, s, aim, rule);
  const { sign, front, backers, readMan, near } = work;
  const quarterback = men.find((m) => m.role === 'quarterback');
  const carrier =
    (aim.carrier === null ? undefined : men.find((m) => m.letter === aim.carrier)) ??
    s.backfield.backs[0] ??
    quarterback ??
    null;
  if (carrier) work.entry(carrier, 'carries');
  if (quarterback && quarterback !== carrier)
    work.entry(quarterback, readMan ? 'hands off, reads' : 'hands off');
  // Pullers first: they own their men whatever the others find.
  work.pullers(carrier);
  if (aim.blocking === 'zone') work.zone();
  else work.down();
  work.leads();
  if (aim.option !== null) work.option(aim.option);
  const outside = aim.point === 'D';
  work.receivers(outside);

  const can = new Set<Defender>();
  const inner = aim.point === 'A' || aim.point === 'B';
  for (const d of front) if (d.x * sign >= (inner ? -1.2 : -0.3)) can.add(d);
  for (const d of backers) if (d.x * sign >= (inner ? -4 : -1.9)) can.add(d);
  let force: Defender | null = null;
  if (outside) {
    let corner: Defender | null = null;
    for (const d of defenders) {
      if (can.has(d) || d.depth > 9 || d.x * sign <= near - 0.5) continue;
      if (force === null || d.x * sign < force.x * sign) force = d;
      if (d.level === 'corner' && (corner === null || d.x * sign < corner.x * sign)) corner = d;
    }
    if (force) can.add(force);
    if (corner) can.add(corner);
  }
  const widest = sideStructure(s, aim.to).receivers[0];
  let hats = 0;
  for (const { man, duty, on } of work.offense.values()) {
    if (duty === 'pulls to kick' || duty === 'wraps to' || duty === 'leads on') hats++;
    else if (duty === 'stalks') hats += outside && man === widest ? 1 : 0;
    else if (duty === 'blocks' || duty === 'climbs, nobody there') {
      // Zone moves the center to the play side; at an inside point a back-side man counts when his man can be there.
      if (
        man.x * sign >= (aim.blocking === 'zone' || inner ? -0.3 : 0.3) ||
        (inner && on !== null && can.has(on))
      )
        hats++;
    }
  }
  const optionMan = work.optionMan;
  const heldByRead = readMan !== null && can.has(readMan) ? 1 : 0;
  const heldByOption = optionMan !== null && can.has(optionMan) ? 1 : 0;
  const margin = hats + heldByRead + heldByOption - can.size;

  const heldOnly = new Set<Defender>();
  for (const e of work.offense.values())
    if (e.on && (e.duty === 'holds' || e.duty === 'stalks')) heldOnly.add(e.on);
  const defense: DefenseEntry[] = [];
  const free: Defender[] = [];
  let freeThere = false;
  for (const d of defenders) {
    const who = work.taken.get(d);
    const there = can.has(d);
    if (d === readMan)
      defense.push({ man: d, by: 'read', who: quarterback ? [quarterback.letter] : NOBODY, there });
    else if (d === optionMan) defense.push({ man: d, by: 'option', who: NOBODY, there });
    else if (who)
      defense.push({ man: d, by: heldOnly.has(d) ? 'held by a receiver' : 'blocked', who, there });
    else if (!there && d.depth > 9) defense.push({ man: d, by: 'deep, far', who: NOBODY, there });
    else {
      defense.push({ man: d, by: 'free', who: NOBODY, there });
      free.push(d);
      freeThere ||= there;
    }
  }
  const offense: OffenseEntry[] = [];
  for (const m of men)
    offense.push(
      work.offense.get(m) ?? { man: m, duty: 'climbs, nobody there', on: null, then: null, partner: null },
    );
  return {
    to: aim.to,
    offense,
    defense,
    hats,
    there: can.size,
    heldByRead,
    heldByOption,
    margin,
    free,
    force,
    pairs: work.pairs,
    missing: aim.missing ?? NOBODY,
    verdict: margin < -1 ? 'not there' : margin === -1 ? 'one free' : freeThere ? 'unblocked' : 'sound',
  };
}
const NOBODY: readonly string[] = [];

export const SLIDES = ['half', 'full', 'man'] as const;
export interface ProtectionDef {
  /** Backs and tight ends who stay: 0 five-man, 1 six-man, 2 seven-man. */
  readonly kept: number;
  readonly slide: (typeof SLIDES)[number];
  /** The back scans (goes where needed) instead of taking his side. */
  readonly scan: boolean;
}

export interface ProtectionLook {
  readonly blockers: number;
  readonly rushers: number;
  readonly margin: number;
  readonly left: { readonly blockers: number; readonly rushers: number; readonly margin: number };
  readonly right: { readonly blockers: number; readonly rushers: number; readonly margin: number };
  /** The side where the rush outnumbers the protection though the total holds; null when none. */
  readonly short: Side | null;
}

/**
 * Blockers less rushers, in total and by side. A half slide to a side sends the center there and
 * leaves guard and tackle on the other; a full slide sends the far guard too; man leaves the center
 * to the side with more rushers. `backSide`: where the kept back stands (null: to the slide).
 */
export function protectionLook(
  def: ProtectionDef,
  slideTo: Side,
  backSide: Side | null,
  rushX: readonly number[],
  s: Structure,
): ProtectionLook {
  const rush = {
    L: rushX.filter((x) => x < 0).length,
    R: rushX.filter((x) => x > 0).length,
    M: rushX.filter((x) => x === 0).length,
  };
  const blockers = { L: 2, R: 2 };
  const away = otherSide(slideTo);
  if (def.slide === 'full') {
    blockers[slideTo] += 2;
    blockers[away] -= 1;
  } else if (def.slide === 'half') blockers[slideTo] += 1;
  const heavier: Side = rush.L === rush.R ? slideTo : rush.L > rush.R ? 'L' : 'R';
  if (def.slide === 'man') blockers[heavier] += 1;
  // A man over the ball belongs to the side the center goes to.
  const middle: Side = def.slide === 'man' ? heavier : slideTo;
  rush[middle] += rush.M;
  let left = def.kept;
  if (left > 0 && s.backfield.backs.length > 0) {
    const [l, r] = [rush.L - blockers.L, rush.R - blockers.R];
    const short = l === r ? away : l > r ? 'L' : 'R';
    blockers[def.scan ? short : (backSide ?? slideTo)] += 1;
    left--;
  }
  for (const side of [away, slideTo]) {
    if (left > 0 && sideStructure(s, side).attached.length > 0) {
      blockers[side] += 1;
      left--;
    }
  }
  const part = (side: Side) => ({
    blockers: blockers[side],
    rushers: rush[side],
    margin: blockers[side] - rush[side],
  });
  const total = blockers.L + blockers.R;
  const [l, r] = [part('L'), part('R')];
  return {
    blockers: total,
    rushers: rushX.length,
    margin: total - rushX.length,
    left: l,
    right: r,
    short: l.margin < 0 ? 'L' : r.margin < 0 ? 'R' : null,
  };
}

export interface PerimeterLook {
  readonly receivers: number;
  readonly over: readonly Defender[];
  readonly margin: number;
}

/** Defenders deeper than this are over nobody. */
export const PERIMETER_DEPTH = 10;

/** Receivers of a side against the defenders over them, for throws to the edge: outside the box, within ten yards. */
export function perimeterLook(
  side: Side,
  defenders: readonly Defender[],
  s: Structure,
  rule: BoxRule = DEFAULT_BOX,
): PerimeterLook {
  const half = sideStructure(s, side);
  const sign = side === 'L' ? -1 : 1;
  const count = half.receivers.filter((m) => !half.attached.includes(m)).length;
  const over = defenders.filter(
    (d) =>
      !inBox(d, s, rule) &&
      d.depth <= PERIMETER_DEPTH &&
      d.level !== 'down' &&
      (d.x - half.endOfLine) * sign > 0.5,
  );
  return { receivers: count, over, margin: count - over.length };
}

/**
 * A quick throw outside is open before the snap when the defenders over the receivers are fewer than
 * they are: one catches, the others have a man each. That is so when an overhang stands in the box.
 */
export const optionOpen = (p: PerimeterLook): boolean => p.margin > 0;
