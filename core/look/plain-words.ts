/** Words that several sentences of a look share. */
import { nearestTechnique, techniqueName, type Defender, type School } from './front';

export const cap = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
/** A difference as it is read: +2, even, −1. */
export const sign = (n: number): string => (n > 0 ? `+${n}` : n === 0 ? 'even' : `−${-n}`);
const COUNT = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven'];
export const countWord = (n: number): string => COUNT[n] ?? String(n);

/** A defender as a staff says him: a man on the line by his technique, others by letter and side. */
export function defenderWords(defender: Defender, school: School): string {
  const side = Math.abs(defender.x) <= 0.3 ? '' : defender.x < 0 ? ' left' : ' right';
  if (defender.level === 'down' || defender.level === 'edge')
    return `${techniqueName(nearestTechnique(Math.abs(defender.x)), school)} technique${side}`;
  const name = { corner: 'corner', safety: 'safety', nickel: 'nickel', backer: `${defender.letter} backer` }[
    defender.level
  ];
  return `${name}${side}`;
}
