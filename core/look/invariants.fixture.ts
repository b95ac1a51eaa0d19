/** What must hold of every defense against every structure; each fault is a sentence with its look. */
import { otherSide, type Side } from '../field/spot';
import { planOf } from './plan';
import { signOf } from './posts';
import type { FullLook } from './look';
import type { LookInput } from './look-input';
import { detached, WIDE_ZONES } from './zones';

/** Lateral yards nobody is sent to a zone, however few are left; over 15 is warned. */
const LONGEST_WAY = 26;

/** Families by the deep men and the middle that their name promises, when everybody who should be there is. */
export function defenseFaults(look: FullLook, input: LookInput, width: number, ball: number): string[] {
  const out: string[] = [];
  const { defense } = look;
  if (!defense || !input.coverage) return out;
  const { men, duties, rush, uncovered } = defense;
  const structure = look.offense.snap;
  const fault = (text: string): void => void out.push(text);
  const bound = width / 2;
  if (men.length !== 11 || new Set(men.map((m) => m.name)).size !== 11) fault('not eleven names');
  for (const man of [...men, ...look.offense.snapMen])
    if (Math.abs(man.x + ball) > bound) fault(`${man.letter} out of bounds at ${man.x}`);
  for (let i = 0; i < men.length; i++)
    for (let j = 0; j < i; j++) {
      const [a, b] = [men[i]!, men[j]!];
      const least = a.depth <= 1 && b.depth <= 1 && a.level !== 'corner' && b.level !== 'corner' ? 1 : 1.5;
      if (Math.hypot(a.x - b.x, a.depth - b.depth) < least - 0.06)
        fault(`${a.name} and ${b.name} ${Math.hypot(a.x - b.x, a.depth - b.depth).toFixed(2)} apart`);
    }
  const count = { rush: 0, deep: 0, under: 0, man: 0, spy: 0 };
  for (const duty of duties) count[duty.does]++;
  if (count.rush + count.deep + count.under + count.man + count.spy !== 11)
    fault('duties do not sum to eleven');
  if (count.rush !== rush.count) fault('rushers counted twice');
  const zones = new Map<string, string>();
  const under: { x: number; depth: number; name: string }[] = [];
  for (const duty of duties) {
    if (duty.zone === null || duty.does === 'rush' || duty.does === 'man') continue;
    if (duty.zone === 'hole') continue;
    const side = Math.abs(duty.to[0]) < 0.01 ? 'M' : duty.to[0] < 0 ? 'L' : 'R';
    const key =
      duty.does === 'deep'
        ? `${duty.zone} ${duty.to.map((v) => Math.round(v)).join()}`
        : `${duty.zone} ${side}`;
    if (zones.has(key) && !(duty.zone === 'hook' && count.under >= 6))
      fault(`${zones.get(key)} and ${duty.man.name} both ${key}`);
    zones.set(key, duty.man.name);
    if (duty.does === 'under') {
      for (const other of under)
        if (other.depth === duty.to[1] && Math.abs(other.x - duty.to[0]) < 3)
          fault(`${other.name} and ${duty.man.name} drop to one spot ${duty.to.join()}`);
      under.push({ x: duty.to[0], depth: duty.to[1], name: duty.man.name });
    }
  }
  for (const { man, zone, to } of duties) {
    const way = Math.abs(to[0] - man.x);
    if (zone !== null && way > LONGEST_WAY) fault(`${man.name} goes ${way.toFixed(1)} yards to his ${zone}`);
  }
  const plan = planOf(input.coverage);
  const able = !defense.warnings.some((w) => w.code === 'front_cannot_play_coverage');
  if (able && defense.coverage!.deep !== input.coverage.deep.length)
    fault(`${defense.coverage!.deep} deep, not ${input.coverage.deep.length}`);
  if (able && defense.coverage!.middle !== input.coverage.middle)
    fault(`middle ${defense.coverage!.middle}, not ${input.coverage.middle}`);
  if (plan.scheme === 'man') {
    for (const side of ['L', 'R'] as const) {
      const one = detached(structure, side)[0];
      const corner = duties.find(
        (d) => d.man.level === 'corner' && d.man.x + ball !== 0 && (d.man.x < 0 ? 'L' : 'R') === side,
      );
      if (
        one &&
        structure[side === 'L' ? 'left' : 'right'].receivers[0] === one &&
        corner &&
        corner.does !== 'rush' &&
        corner.does !== 'deep' &&
        corner.covers !== one
      )
        fault(
          `${one.letter} is not his corner's but ${duties.find((d) => d.covers === one)?.man.name ?? 'nobody'}'s`,
        );
    }
    for (const duty of duties) {
      if (!duty.covers || Math.abs(duty.covers.x) < 0.3 || Math.abs(duty.man.x) < 0.3) continue;
      const to: Side = duty.covers.x < 0 ? 'L' : 'R';
      if ((duty.man.x < 0 ? 'L' : 'R') === to || structure.backfield.backs.includes(duty.covers)) continue;
      const idle = duties.find(
        (d) =>
          d.does === 'under' &&
          d.covers === null &&
          d.zone === 'hole' &&
          Math.sign(d.man.x) === signOf(to) &&
          d.man.level !== 'safety',
      );
      if (idle)
        fault(`${duty.man.name} crosses to ${duty.covers.letter} while ${idle.man.name} is free there`);
    }
    const holes = duties.filter((d) => d.zone === 'hole').length;
    if (uncovered.length > 0 && holes > 0)
      fault(`${uncovered[0]!.letter} free while ${holes} stand in the hole`);
  } else if (plan.scheme !== 'prevent' && count.under >= 2) {
    for (const side of ['L', 'R'] as const)
      if (
        !duties.some(
          (d) =>
            d.does === 'under' &&
            d.zone !== null &&
            WIDE_ZONES.has(d.zone) &&
            Math.sign(d.to[0]) === signOf(side),
        )
      )
        fault(`no flat ${side}`);
  }
  for (const duty of duties) {
    if (!duty.called || duty.rush === null) continue;
    if (input.pressure?.rushers.some((r) => ['mike', 'will', 'sam'].includes(r.man))) continue;
    if (duty.man.level === 'safety' || duty.man.level === 'corner' || duty.man.level === 'nickel') continue;
    if (Math.abs(duty.man.x - duty.rush) > 7.05)
      fault(`${duty.man.name} rushes from ${Math.abs(duty.man.x - duty.rush).toFixed(1)} yards`);
  }
  return out;
}

/** The same look with left and right changed. */
export const mirroredInput = (input: LookInput): LookInput => ({
  ...input,
  side: input.side && otherSide(input.side),
  hash: input.hash === 'L' ? 'R' : input.hash === 'R' ? 'L' : input.hash,
  motionSide: input.motionSide && otherSide(input.motionSide),
  cornerLeft: input.cornerRight,
  cornerRight: input.cornerLeft,
});

/** A look as it is compared with its mirror. */
export const defenseKey = (look: FullLook, sign: 1 | -1): string =>
  look
    .defense!.duties.map((d) =>
      [
        d.man.letter,
        (d.man.x * sign + 0).toFixed(1).replace('-0.0', '0.0'),
        d.man.depth,
        d.does,
        d.zone,
        (d.rush === null ? 0 : d.rush * sign + 0).toFixed(1).replace('-0.0', '0.0'),
        (d.to[0] * sign + 0).toFixed(1).replace('-0.0', '0.0'),
      ].join(' '),
    )
    .sort()
    .join('; ');
