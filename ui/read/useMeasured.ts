'use client';
import { useEffect, useMemo, useState } from 'react';
import { looksOfFilm } from '@/client/looks';
import type { Book } from '@/core/book';
import type { GameInfo } from '@/core/exchange/types';
import type { Profiles } from '@/core/field/profile';
import { takeMeasured, type CountedSnap, type FilmToMeasure } from '@/core/read';
import { useStaffRules } from '../StaffRules';

/** Whose looks this page has: another choice of weights counts them anew, and measures none. */
const known = new WeakSet<FilmToMeasure>();
interface MeasurableGame {
  readonly info: GameInfo;
  readonly packed: Uint8Array;
}
/** Games as they travel to whoever measures their looks, the same until one of them changes. */
export function useFilmToMeasure(
  games: readonly MeasurableGame[],
  profiles: Profiles,
  book: Book,
): FilmToMeasure {
  const rules = useStaffRules();
  return useMemo(
    () => ({ book, rules, games: games.map((g) => ({ packed: g.packed, profile: profiles[g.info.level] })) }),
    [book, rules, games, profiles],
  );
}

/** Of work between two frames. */
const SLICE_MS = 6;

/**
 * Has the looks of a film measured by a worker, and takes them over a little at a time, so that clicks are answered
 * meanwhile; true when all are known. Without a worker they are measured here. What asks for a look before has it
 * measured then.
 */
export function useMeasured(snaps: readonly CountedSnap[], film: FilmToMeasure): boolean {
  const [measured, setMeasured] = useState<readonly CountedSnap[] | null>(null);
  useEffect(() => {
    let at = 0;
    let left = false;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const slice = (): void => {
      const until = performance.now() + SLICE_MS;
      while (at < snaps.length && performance.now() < until) void snaps[at++]!.look;
      if (at < snaps.length) timer = setTimeout(slice);
      else setMeasured(snaps);
    };
    void (known.has(film) ? Promise.resolve(null) : looksOfFilm(film)).then((looks) => {
      if (looks) {
        takeMeasured(film.book, film.rules, looks);
        known.add(film);
      }
      if (!left) timer = setTimeout(slice);
    });
    return () => {
      left = true;
      clearTimeout(timer);
    };
  }, [snaps, film]);
  return measured === snaps;
}
