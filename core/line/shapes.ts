/** Words that carry a value of their own: down and distance, spots, clock, gains, numbers. */
import { decodeSpot, parseClock } from '../field/spot';

export type Shape =
  | { readonly shape: 'down'; readonly down: number; readonly distance: number | 'goal' }
  | { readonly shape: 'spot'; readonly toGoal: number; readonly hash: 'L' | 'M' | 'R' | null }
  | { readonly shape: 'dead'; readonly toGoal: number; readonly hash: 'L' | 'M' | 'R' | null }
  | { readonly shape: 'quarter'; readonly quarter: number }
  | { readonly shape: 'clock'; readonly clock: number }
  | { readonly shape: 'gain'; readonly yards: number }
  | { readonly shape: 'people'; readonly people: string }
  | { readonly shape: 'number'; readonly number: string }
  | { readonly shape: 'throw'; readonly passer: string | null; readonly target: string | null }
  | { readonly shape: 'tackle'; readonly numbers: readonly string[] };

export function readShape(word: string): Shape | null {
  let match: RegExpExecArray | null;
  if ((match = /^([1-4])&(g|\d{1,2})$/.exec(word))) {
    const distance = match[2] === 'g' ? 'goal' : Number(match[2]);
    return distance === 0 ? null : { shape: 'down', down: Number(match[1]), distance };
  }
  if (word.startsWith('@') || word.startsWith('>')) {
    const spot = decodeSpot(word.slice(1));
    return spot && { shape: word.startsWith('@') ? 'spot' : 'dead', ...spot };
  }
  if ((match = /^q(\d{1,2})$/.exec(word)))
    return Number(match[1]) >= 1 && Number(match[1]) <= 12
      ? { shape: 'quarter', quarter: Number(match[1]) }
      : null;
  const clock = parseClock(word);
  if (clock !== null && clock <= 900) return { shape: 'clock', clock };
  if (/^([+-]\d{1,2}|0)$/.test(word)) return { shape: 'gain', yards: Number(word) };
  if (/^[0-5][0-5]$/.test(word)) return { shape: 'people', people: word };
  if ((match = /^#(\d{1,2})$/.exec(word))) return { shape: 'number', number: match[1]! };
  if ((match = /^#(\d{1,2})?>(?:#(\d{1,2}))?$/.exec(word)) && (match[1] || match[2]))
    return { shape: 'throw', passer: match[1] ?? null, target: match[2] ?? null };
  if (/^by(#\d{1,2})+$/.test(word)) return { shape: 'tackle', numbers: word.slice(3).split('#') };
  return null;
}
