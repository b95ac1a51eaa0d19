'use client';
/** What Read shows at an address: each step of the count anew only when something before it changed. */
import { useMemo } from 'react';
import type { Book } from '@/core/book';
import type { LevelKey, LevelProfile, Profiles } from '@/core/field/profile';
import type { GameInfo } from '@/core/exchange/types';
import {
  cellWords,
  gamesOf,
  lastOf,
  rowsAt,
  FILM_PLAYERS,
  looksOf,
  ownFilm,
  readAddress,
  readFilter,
  readRanges,
  SIDE_WORDS,
  situationBoard,
  weightsOf,
  writeFilter,
  writeRanges,
  type Counted,
  type CountedSnap,
  type FilmKind,
  type FilmToMeasure,
  type ReadAddress,
} from '@/core/read';
import type { Snap } from '@/core/snap';
import { useCounted } from '../film/useCounted';
import { useStaffRules } from '../StaffRules';
import { useFilmToMeasure } from './useMeasured';
import { useRehearsal } from './useRehearsal';

export interface ReadFilm {
  readonly games: readonly {
    readonly info: GameInfo;
    readonly snaps: readonly Snap[];
    readonly packed: Uint8Array;
  }[];
  readonly book: Book;
  readonly level: LevelKey;
  readonly profiles: Profiles;
}

export interface Reading {
  readonly address: ReadAddress;
  /** The field that this film is drawn on. */
  readonly profile: LevelProfile;
  /** Games of the team in this film, before the last few are chosen. */
  readonly games: number;
  readonly snaps: readonly CountedSnap[];
  readonly counted: Counted;
  /** The chosen games as they travel, for whoever measures their looks. */
  readonly film: FilmToMeasure;
}

/** The program's own level, or that of seven or five men. */
function levelOf(film: FilmKind, own: LevelKey, profiles: Profiles): LevelKey {
  if (FILM_PLAYERS[film] === profiles[own].players) return own;
  return film === 'seven' ? 'seven_on_seven' : film === 'five' ? 'flag_five' : 'college';
}

export function useReading(
  { games, book, level, profiles }: ReadFilm,
  params: URLSearchParams,
  usualTeam: string,
  title: (team: string) => string,
): Reading {
  const rules = useStaffRules();
  const address = readAddress(params, { team: usualTeam, film: ownFilm(level) });
  const { team, side, film, last, halfLife, cell } = address;
  const theirs = useMemo(() => gamesOf(games, { team, film }), [games, team, film]);
  const chosen = useMemo(() => lastOf(theirs, last), [theirs, last]);
  const weights = useMemo(
    () =>
      weightsOf(
        chosen.map((g) => g.info),
        halfLife,
      ),
    [chosen, halfLife],
  );
  const { snaps, columns } = useCounted(chosen, profiles, book, weights);
  const toMeasure = useFilmToMeasure(chosen, profiles, book);
  const filter = writeFilter(address.filter);
  const range = writeRanges(address.ranges);
  const rows = useMemo(
    () =>
      rowsAt(columns, { team, side, filter: readFilter(filter), ranges: readRanges(range), cell: null }, []),
    [columns, filter, range, team, side],
  );
  const board = useMemo(() => situationBoard(columns, rows), [columns, rows]);
  useRehearsal(columns, team, side);
  const zone = rules.zones.find((z) => z.key === cell?.zone) ?? null;
  const bucket = cell?.bucket ?? null;
  const cellRows = useMemo(() => {
    if (bucket === null) return rows;
    const at = {
      team,
      side,
      filter: readFilter(filter),
      ranges: readRanges(range),
      cell: { bucket, zone: zone?.key ?? null },
    };
    return rowsAt(columns, at, rules.zones);
  }, [columns, filter, range, team, side, bucket, zone, rows, rules]);
  const whole = `${title(team)} ${SIDE_WORDS[side]}`;
  const part = cellWords(cell, zone?.label ?? null);
  const counted = useMemo((): Counted => {
    const about = { side, columns, rows, cellRows, board, title: whole, cellTitle: part };
    let looks: Counted['looks'] | null = null;
    // The board of a click stands before the formations behind it are sorted.
    return {
      ...about,
      get looks() {
        return (looks ??= looksOf(columns, cellRows));
      },
    };
  }, [side, columns, rows, cellRows, board, whole, part]);
  return {
    address,
    profile: profiles[levelOf(film, level, profiles)],
    games: theirs.length,
    snaps,
    counted,
    film: toMeasure,
  };
}
