/**
 * Who was in the game. A charter types a number as out on each snap that its man misses; he was in on the other snaps
 * of a game in which he is named for something he did. Of any other game nobody says: who is typed as out once, and
 * never seen, may have been out of all of it.
 */
import { JERSEY_FIELDS, numbersIn, wornBy } from '../snap/fields';
import type { SnapFact } from '../snap/snap';
import type { CountedSnap } from './counted';

export type BallSide = 'offense' | 'defense';
export const NOBODY_SAYS = 0;
export const IN_GAME = 1;
export const OUT_OF_GAME = 2;

/** The field that says who is out. */
export const OUT_FIELD: Readonly<Record<BallSide, SnapFact>> = {
  offense: 'missing',
  defense: 'missingDefenders',
};

export interface Presence {
  /** By row: nobody says, in, out. */
  readonly of: (side: BallSide, number: string) => Uint8Array;
  /** Numbers typed as out on some rows, with on how many; the most first. */
  readonly out: (side: BallSide, rows: Uint32Array) => { readonly number: string; readonly n: number }[];
}

export function presenceOf(snaps: readonly CountedSnap[]): Presence {
  const made = new Map<string, Uint8Array>();
  const isOut = (row: number, side: BallSide, number: string): boolean =>
    numbersIn(snaps[row]!.snap, OUT_FIELD[side]).includes(number);
  const find = (side: BallSide, number: string): Uint8Array => {
    const fields = JERSEY_FIELDS.filter((f) => wornBy(f) === side && f !== OUT_FIELD[side]);
    const played = ({ snap }: CountedSnap): string => `${snap.game} ${snap[side]}`;
    const named = new Set<string>();
    for (const counted of snaps)
      if (fields.some((f) => numbersIn(counted.snap, f).includes(number))) named.add(played(counted));
    return Uint8Array.from(snaps, (counted, row) =>
      isOut(row, side, number) ? OUT_OF_GAME : named.has(played(counted)) ? IN_GAME : NOBODY_SAYS,
    );
  };
  return {
    of: (side, number) => {
      const key = `${side} ${number}`;
      let found = made.get(key);
      if (!found) made.set(key, (found = find(side, number)));
      return found;
    },
    out: (side, rows) => {
      const counts = new Map<string, number>();
      for (const row of rows)
        for (const number of new Set(numbersIn(snaps[row]!.snap, OUT_FIELD[side])))
          counts.set(number, (counts.get(number) ?? 0) + 1);
      return [...counts]
        .map(([number, n]) => ({ number, n }))
        .sort((a, b) => b.n - a.n || Number(a.number) - Number(b.number));
    },
  };
}
