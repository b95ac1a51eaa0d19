'use client';
/** The film that a sheet is drafted from: counted once, then asked per section and play. */
import { useMemo } from 'react';
import { drawSnap, type Book } from '@/core/book';
import type { LevelKey, LevelProfile, Profiles } from '@/core/field/profile';
import {
  answersTo,
  argue,
  filmsOf,
  playFields,
  rankArgued,
  sizeSection,
  suggestCalls,
  type Argument,
  type PlayCard,
  type SectionSpec,
  type Sizing,
  type Suggestion,
} from '@/core/plan';
import {
  filmKind,
  ownFilm,
  type Answered,
  type Columns,
  type CountedSnap,
  type StaffRules,
} from '@/core/read';
import type { Snap } from '@/core/snap';
import type { GameInfo } from '@/core/exchange/types';
import { useCounted } from '../film/useCounted';
import { uniform } from '@/core/stats/uniform';
import { useFilmToMeasure, useMeasured } from '../read/useMeasured';
import { useStaffRules } from '../StaffRules';

export interface PlanFilm {
  readonly snaps: readonly CountedSnap[];
  readonly columns: Columns;
  readonly suggestions: readonly Suggestion[];
  /** What to expect of a play against the opponent's looks, by its id; null: their looks are still measured. */
  readonly argued: ReadonlyMap<string, Argument | null> | null;
  /** Snaps to expect in a game, and the calls that are enough, by section. */
  readonly sizes: ReadonlyMap<string, Sizing | null>;
  /** What the opponent answered a play's structure with. */
  readonly answers: readonly Answered[];
  /** What each play stands in at the snap. */
  readonly structures: ReadonlyMap<string, string | null>;
}

interface PlanFilmProps {
  readonly games: readonly {
    readonly info: GameInfo;
    readonly snaps: readonly Snap[];
    readonly packed: Uint8Array;
  }[];
  readonly plays: readonly PlayCard[];
  readonly team: string;
  readonly opponent: string;
  readonly book: Book;
  readonly level: LevelKey;
  readonly profiles: Profiles;
}

/** Draws of an interval are the same each time. */
export const SEED = 1;

/** What a play stands in at the snap; null: the book draws no formation of it. */
const structureOf = (book: Book, play: PlayCard, profile: LevelProfile, { look: settings }: StaffRules) =>
  drawSnap(book, playFields(play), null, profile, { settings }).look?.offense.snap.label ?? null;

export function usePlanFilm(
  props: PlanFilmProps,
  sections: readonly SectionSpec[],
  section: SectionSpec,
  looked: PlayCard | null,
): PlanFilm {
  const { games, plays, team, opponent, book, level, profiles } = props;
  const rules = useStaffRules();
  const ours = useMemo(() => games.filter((g) => filmKind(g.info) === ownFilm(level)), [games, level]);
  const { snaps, columns } = useCounted(ours, profiles, book);
  const measured = useMeasured(snaps, useFilmToMeasure(ours, profiles, book));
  const structures = useMemo(
    () => new Map(plays.map((play) => [play.id, structureOf(book, play, profiles[level], rules)])),
    [plays, book, profiles, level, rules],
  );
  const argued = useMemo(() => {
    if (!measured) return null;
    const films = filmsOf(columns, team, opponent, section);
    return new Map(
      plays.map((play) => [play.id, argue(play, structures.get(play.id) ?? null, films, uniform(SEED))]),
    );
  }, [measured, columns, team, opponent, section, plays, structures]);
  const suggestions = useMemo(() => {
    const own = suggestCalls(plays, columns, team, section);
    return argued === null ? own : rankArgued(own, argued);
  }, [plays, columns, team, section, argued]);
  const sizes = useMemo(
    () => new Map(sections.map((s) => [s.key, sizeSection(columns, team, opponent, s)])),
    [sections, columns, team, opponent],
  );
  const answers = useMemo(() => {
    if (!looked) return [];
    const structure = structures.get(looked.id) ?? null;
    return structure === null ? [] : answersTo(columns, opponent, structure);
  }, [looked, structures, columns, opponent]);
  return { snaps, columns, suggestions, argued, sizes, answers, structures };
}
