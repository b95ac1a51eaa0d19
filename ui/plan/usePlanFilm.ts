'use client';
/** The film that a sheet is drafted from: counted once, then asked per section and play. */
import { useMemo } from 'react';
import { drawSnap, type Book } from '@/core/book';
import type { LevelKey, Profiles } from '@/core/field/profile';
import {
  answersTo,
  expectedUsage,
  playFields,
  SECTIONS,
  suggestCalls,
  type PlayCard,
  type SectionSpec,
  type Suggestion,
} from '@/core/plan';
import { filmKind, ownFilm, type Answered, type Columns, type CountedSnap, type Mean } from '@/core/read';
import type { Snap } from '@/core/snap';
import type { GameInfo } from '@/core/exchange/types';
import { useCounted } from '../film/useCounted';
import { useStaffRules } from '../StaffRules';

export interface PlanFilm {
  readonly snaps: readonly CountedSnap[];
  readonly columns: Columns;
  readonly suggestions: readonly Suggestion[];
  /** Calls to expect in a game, by section. */
  readonly usage: ReadonlyMap<string, Mean | null>;
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
  const usage = useMemo(
    () => new Map(SECTIONS.map((s) => [s.key, expectedUsage(columns, team, s)])),
    [columns, team],
  );
  const answers = useMemo(() => {
    if (!looked) return [];
    const { look } = drawSnap(book, playFields(looked), null, profiles[level], { settings: rules.look });
    const structure = look?.offense.snap.label;
    return structure === undefined ? [] : answersTo(columns, opponent, structure);
  }, [looked, book, profiles, level, rules, columns, opponent]);
  return { snaps, columns, suggestions, usage, answers };
}
