import { uniform } from '../core/stats/uniform';

/** A seeded random source: same seed, same sequence, on every machine. */
export interface Random {
  /** Uniform in [0, 1). */
  next(): number;
  /** Whole number from low to high, both included. */
  int(low: number, high: number): number;
  chance(p: number): boolean;
  pick<T>(list: readonly T[]): T;
  /** One key, by weight. Keys in insertion order. */
  weighted<K extends string>(weights: Readonly<Partial<Record<K, number>>>): K;
  /** Roughly normal (sum of six uniforms), by mean and standard deviation. */
  normal(mean: number, sd: number): number;
}

export function seededRandom(seed: number): Random {
  const next = uniform(seed);
  const int = (low: number, high: number) => low + Math.floor(next() * (high - low + 1));
  return {
    next,
    int,
    chance: (p) => next() < p,
    pick: (list) => list[int(0, list.length - 1)]!,
    weighted: <K extends string>(weights: Readonly<Partial<Record<K, number>>>): K => {
      const entries = Object.entries(weights) as [K, number][];
      let at = next() * entries.reduce((sum, [, w]) => sum + w, 0);
      for (const [key, w] of entries) if ((at -= w) < 0) return key;
      return entries[entries.length - 1]![0];
    },
    normal: (mean, sd) => {
      let sum = 0;
      for (let i = 0; i < 6; i++) sum += next();
      return mean + (sum - 3) * sd * Math.SQRT2;
    },
  };
}

/** A stable number from words, to seed one thing apart from the next. */
export function seedOf(...parts: readonly (string | number)[]): number {
  let h = 2166136261;
  for (const c of parts.join('|')) h = Math.imul(h ^ c.charCodeAt(0), 16777619);
  return h >>> 0;
}
