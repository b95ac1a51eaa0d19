'use client';
/** Film, counted once: neither a drawing that is thrown away nor another choice of games counts a game again. */
import { useMemo } from 'react';
import type { Book } from '@/core/book';
import type { GameInfo } from '@/core/exchange/types';
import type { Profiles } from '@/core/field/profile';
import { buildColumns, countGame, type Columns, type CountedSnap, type StaffRules } from '@/core/read';
import type { Snap } from '@/core/snap';
import { useStaffRules } from '../StaffRules';

export interface CountedFilm {
  readonly snaps: readonly CountedSnap[];
  readonly columns: Columns;
}

interface Kept<T> {
  /** What it was made of, by identity. */
  readonly of: readonly unknown[];
  readonly made: T;
}
const holds = <T>(kept: Kept<T> | undefined, of: readonly unknown[]): kept is Kept<T> =>
  kept?.of.length === of.length && kept.of.every((part, i) => part === of[i]);

const games = new WeakMap<readonly Snap[], Kept<readonly CountedSnap[]>>();
function countedOnce(
  snaps: readonly Snap[],
  ...of: [profile: Profiles[keyof Profiles], book: Book, rules: StaffRules]
): readonly CountedSnap[] {
  const kept = games.get(snaps);
  if (holds(kept, of)) return kept.made;
  const made = countGame(snaps, ...of);
  games.set(snaps, { of, made });
  return made;
}

/** By the counts of their first game: gone with the film that they are of. */
const films = new WeakMap<object, Kept<CountedFilm>>();
const NO_FILM = {};

/** The games' snaps, one game after another, and their columns; `weights` by game, null: all count whole. */
export function countedFilm(
  film: readonly { readonly info: GameInfo; readonly snaps: readonly Snap[] }[],
  profiles: Profiles,
  book: Book,
  rules: StaffRules,
  weights: ReadonlyMap<string, number> | null = null,
): CountedFilm {
  const parts = film.map((g) => countedOnce(g.snaps, profiles[g.info.level], book, rules));
  const of = [rules, weights && JSON.stringify([...weights]), ...parts];
  const key = parts[0] ?? NO_FILM;
  const kept = films.get(key);
  if (holds(kept, of)) return kept.made;
  const snaps = parts.flat();
  const made = { snaps, columns: buildColumns(snaps, rules, weights) };
  films.set(key, { of, made });
  return made;
}

export function useCounted(
  film: Parameters<typeof countedFilm>[0],
  profiles: Profiles,
  book: Book,
  weights: ReadonlyMap<string, number> | null = null,
): CountedFilm {
  const rules = useStaffRules();
  return useMemo(
    () => countedFilm(film, profiles, book, rules, weights),
    [film, profiles, book, rules, weights],
  );
}
