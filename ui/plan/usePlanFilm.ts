'use client';
/** The film that a sheet is drafted from: counted once, then asked per section and play. */
import { useCallback, useMemo } from 'react';
import type { Book } from '@/core/book';
import type { LevelKey, Profiles } from '@/core/field/profile';
import {
  askedWords,
  yardsAskedIn,
  answersTo,
  jobsSeen,
  playFacts,
  rankArgued,
  sizeSection,
  structuresOf,
  playFitter,
  suggestCalls,
  type Fits,
  type Argument,
  type PlayFact,
  type PlayCard,
  type SectionSpec,
  type Sizing,
  type Suggestion,
} from '@/core/plan';
import {
  filmKind,
  ownFilm,
  select,
  type Answered,
  type Columns,
  type CountedSnap,
  type FilmToMeasure,
} from '@/core/read';
import type { Snap } from '@/core/snap';
import type { GameInfo } from '@/core/exchange/types';
import { useCounted } from '../film/useCounted';
import { useFilmToMeasure, useMeasured } from '../read/useMeasured';
import { useStaffRules } from '../StaffRules';
import { useArgued, type ArguedSections } from './useArgued';

export interface PlanFilm {
  readonly snaps: readonly CountedSnap[];
  readonly columns: Columns;
  /** The same film as it goes to the worker. */
  readonly toMeasure: FilmToMeasure;
  readonly suggestions: readonly Suggestion[];
  /** What to expect of a play against the opponent's looks, by its id; null: their looks are still measured. */
  readonly argued: ReadonlyMap<string, Argument | null> | null;
  /** Snaps to expect in a game, and the calls that are enough, by section. */
  readonly sizes: ReadonlyMap<string, Sizing | null>;
  /** What the opponent answered a play's structure with. */
  readonly answers: readonly Answered[];
  /** The same of every section, as far as it is there; with what each play stands in at the snap. */
  readonly sectionsArgued: ArguedSections;
  readonly fits: Fits;
  /** What success takes in the section, in words; null: no down says it. */
  readonly asked: string | null;
  /** Jobs by position that are on our film, counted when first asked for. */
  readonly jobs: () => ReadonlySet<string>;
  /** What else is known of a play, asked for play by play. */
  readonly factsOf: (play: PlayCard) => readonly PlayFact[];
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
  const toMeasure = useFilmToMeasure(ours, profiles, book);
  const measured = useMeasured(snaps, toMeasure);
  const sectionsArgued = useArgued(
    { measured, film: toMeasure, columns, team, opponent, plays, profile: profiles[level] },
    sections,
    section,
  );
  const argued = sectionsArgued.of(section);
  const fits = useMemo(() => playFitter(book, profiles[level], rules.look), [book, profiles, level, rules]);
  const suggestions = useMemo(() => {
    const own = suggestCalls(plays, columns, team, section, fits);
    return argued === null ? own : rankArgued(own, argued);
  }, [plays, columns, team, section, fits, argued]);
  const asked = useMemo(
    () => askedWords(yardsAskedIn(columns, team, opponent, section)),
    [columns, team, opponent, section],
  );
  const sizes = useMemo(
    () => new Map(sections.map((s) => [s.key, sizeSection(columns, team, opponent, s)])),
    [sections, columns, team, opponent],
  );
  const answers = useMemo(() => {
    if (!looked) return [];
    const structure = structuresOf(book, profiles[level], rules.look, [looked]).get(looked.id) ?? null;
    return structure === null ? [] : answersTo(columns, opponent, structure);
  }, [looked, book, profiles, level, rules, columns, opponent]);
  const jobs = useMemo(() => {
    let seen: ReadonlySet<string> | null = null;
    return () => (seen ??= jobsSeen(book, profiles[level], snaps, select(columns, { offense: [team] })));
  }, [book, profiles, level, snaps, columns, team]);
  const { structures } = sectionsArgued;
  const factsOf = useCallback(
    (play: PlayCard) =>
      playFacts(
        {
          book,
          profile: profiles[level],
          settings: rules.look,
          snaps,
          columns,
          team,
          opponent,
          plays,
          jobs: jobs(),
          games: ours
            .map((g) => g.info)
            .filter((g) => g.home === team || g.away === team)
            .sort((a, b) => (b.date ?? '').localeCompare(a.date ?? '') || (b.week ?? 0) - (a.week ?? 0))
            .map((g) => g.key),
        },
        play,
        structures?.get(play.id) ?? null,
      ),
    [book, profiles, level, rules, snaps, columns, team, opponent, plays, jobs, ours, structures],
  );
  return {
    snaps,
    asked,
    columns,
    toMeasure,
    fits,
    suggestions,
    argued,
    sizes,
    answers,
    sectionsArgued,
    jobs,
    factsOf,
  };
}
