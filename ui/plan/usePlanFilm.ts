'use client';
/** The film that a sheet is drafted from: counted once, then asked per section and play. */
import { useMemo } from 'react';
import { drawSnap, type Book } from '@/core/book';
import type { LevelKey, Profiles } from '@/core/field/profile';
import {
  answersTo,
  playFields,
  SECTIONS,
  sizeSection,
  suggestCalls,
  type PlayCard,
  type SectionSpec,
  type Sizing,
  type Suggestion,
} from '@/core/plan';
import { filmKind, ownFilm, type Answered, type Columns, type CountedSnap } from '@/core/read';
import type { Snap } from '@/core/snap';
import type { GameInfo } from '@/core/exchange/types';
import { useCounted } from '../film/useCounted';
import { useStaffRules } from '../StaffRules';

export interface PlanFilm {
  readonly snaps: readonly CountedSnap[];
  readonly columns: Columns;
  readonly suggestions: readonly Suggestion[];
  /** Snaps to expect in a game, and the calls that are enough, by section. */
  readonly sizes: ReadonlyMap<string, Sizing | null>;
  /** What the opponent answered a play's structure with. */
  readonly answers: readonly Answered[];
}

interface PlanFilmProps {
  readonly games: readonly { readonly info: GameInfo; readonly snaps: readonly Snap[] }[];
  readonly plays: readonly PlayCard[];
  readonly team: string;
  readonly opponent: string;
  readonly book: Book;
  readonly level: LevelKey;
  readonly profiles: Profiles;
}

export function usePlanFilm(props: PlanFilmProps, section: SectionSpec, looked: PlayCard | null): PlanFilm {
  const { games, plays, team, opponent, book, level, profiles } = props;
  const rules = useStaffRules();
  const ours = useMemo(() => games.filter((g) => filmKind(g.info) === ownFilm(level)), [games, level]);
  const { snaps, columns } = useCounted(ours, profiles, book);
  const suggestions = useMemo(
    () => suggestCalls(plays, columns, team, section),
    [plays, columns, team, section],
  );
  const sizes = useMemo(
    () => new Map(SECTIONS.map((s) => [s.key, sizeSection(columns, team, opponent, s)])),
    [columns, team, opponent],
  );
  const answers = useMemo(() => {
    if (!looked) return [];
    const { look } = drawSnap(book, playFields(looked), null, profiles[level], { settings: rules.look });
    const structure = look?.offense.snap.label;
    return structure === undefined ? [] : answersTo(columns, opponent, structure);
  }, [looked, book, profiles, level, rules, columns, opponent]);
  return { snaps, columns, suggestions, sizes, answers };
}
