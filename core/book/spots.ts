/** Places of men as short text. */
import type { Spot } from '../look/formation';

/** "X-16 H-7o1" → X 16 left on the line, H 7 left off the line one yard deep. */
export function parseSpots(text: string): Spot[] {
  return text
    .split(' ')
    .filter(Boolean)
    .map((part) => {
      const match = /^([A-Z]{1,3})([+-]?\d+(?:\.\d+)?)(?:o(\d+(?:\.\d+)?)?)?$/.exec(part);
      if (!match) throw new Error(`spot "${part}" is not letter, yards, o and depth`);
      const off = part.includes('o');
      return {
        letter: match[1]!,
        x: Number(match[2]),
        depth: off ? Number(match[3] ?? 1) : 0.3,
        onLine: !off,
      };
    });
}
