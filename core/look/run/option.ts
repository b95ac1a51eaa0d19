/** The throw that goes with a run: its side, the defender who decides it, and whether it is there before the snap. */
import { otherSide, type Side } from '../../field/spot';
import type { Man } from '../formation';
import type { BoxRule } from '../box';
import { inBox, type Defender } from '../front';
import { sideStructure, type SideStructure, type Structure } from '../structure';
import type { OptionCall, OptionKind } from './ledger';

export interface PassOption {
  readonly kind: OptionKind;
  readonly side: Side;
  /** Who runs it. */
  readonly target: Man | null;
  /** The defender who decides it. */
  readonly key: Defender | null;
  /** Open before the snap: the key stands in the box. */
  readonly access: boolean;
}

const apart = (half: SideStructure): readonly Man[] =>
  half.receivers.filter((man) => !half.attached.includes(man));

/** The side by the rule of the throw: bubble to two or more detached, glance to the single one away, stick to three. */
function sideOfOption(kind: OptionKind, structure: Structure, to: Side): Side {
  const away = otherSide(to);
  const count = (side: Side): number => apart(sideStructure(structure, side)).length;
  if (kind === 'pop') return to;
  if (kind === 'stick')
    return sideStructure(structure, 'L').count === sideStructure(structure, 'R').count
      ? structure.passing
      : sideStructure(structure, 'L').count > sideStructure(structure, 'R').count
        ? 'L'
        : 'R';
  if (kind === 'glance') return count(away) === 1 || count(to) !== 1 ? away : to;
  if (count('L') >= 2 !== count('R') >= 2) return count('L') >= 2 ? 'L' : 'R';
  return structure.passing;
}

/** Common practice; `open`: whom the run leaves to it. */
export function passOption(
  call: OptionCall,
  structure: Structure,
  to: Side,
  defenders: readonly Defender[],
  box: BoxRule,
  open: (defender: Defender) => boolean,
): PassOption {
  const side = call.side ?? sideOfOption(call.kind, structure, to);
  const sign = side === 'L' ? -1 : 1;
  const half = sideStructure(structure, side);
  const wide = apart(half);
  const target =
    call.kind === 'glance'
      ? (wide[0] ?? half.receivers[0] ?? null)
      : call.kind === 'pop'
        ? (half.attached[0] ?? half.receivers[half.count - 1] ?? null)
        : (half.receivers[call.kind === 'stick' && half.count >= 3 ? 2 : Math.min(1, half.count - 1)] ??
          null);
  let key: Defender | null = null;
  let nearest = Infinity;
  for (const defender of defenders) {
    if (!open(defender) || defender.level === 'down' || defender.level === 'corner') continue;
    const out = defender.x * sign;
    let far: number;
    if (call.kind === 'glance') {
      // The first man inside the receiver: a safety or an overhang.
      if (
        !target ||
        (defender.level === 'backer' && inBox(defender, structure, box)) ||
        out > target.x * sign
      )
        continue;
      far = target.x * sign - out;
    } else if (call.kind === 'bubble') {
      if (!target || defender.depth > 9 || out < 0.5) continue;
      far = Math.abs(defender.x - target.x);
    } else if (call.kind === 'stick') {
      if (!target || defender.depth > 9 || out < -0.5) continue;
      far = Math.abs(defender.x - target.x);
    } else {
      if (defender.level !== 'backer' || out < -0.5) continue;
      far = Math.abs(out - (target ? target.x * sign : 3));
    }
    if (far < nearest) {
      nearest = far;
      key = defender;
    }
  }
  return { kind: call.kind, side, target, key, access: key !== null && inBox(key, structure, box) };
}
