'use client';
import { useMemo } from 'react';
import type { Book } from '@/core/book';
import type { LevelProfile } from '@/core/field/profile';
import {
  newJobShare,
  offenseAudits,
  playDrawer,
  playFields,
  type Audit,
  type Bodies,
  type PlayCard,
  type PracticeSettings,
  type StaffPrints,
} from '@/core/plan';
import type { PlanFilm } from './usePlanFilm';
import { usePrintMeasure } from './usePrintMeasure';
import type { SheetState } from './useSheet';

/** All that is looked for on a sheet of the offense, in the order of the sheet. */
export function useAudits(
  { calls: all, numbers, sections, printed }: SheetState,
  { columns, sizes, jobs }: PlanFilm,
  plays: readonly PlayCard[],
  {
    team,
    opponent,
    book,
    profile,
    week,
    figures,
    bodies,
  }: {
    readonly team: string;
    readonly opponent: string;
    readonly book: Book;
    readonly profile: LevelProfile;
    readonly week: PracticeSettings;
    readonly figures: StaffPrints;
    readonly bodies: Bodies | null;
  },
): readonly Audit[] {
  // In the order of the sheet, so that what is said of them stands in the same order at each visit.
  const calls = useMemo(() => {
    const at = (id: string): number => numbers.get(id) ?? numbers.size + 1;
    return [...all].sort((a, b) => at(a.id) - at(b.id));
  }, [all, numbers]);
  const measure = usePrintMeasure();
  const drawn = useMemo(() => playDrawer(book, profile), [book, profile]);
  // Each play is held against the jobs of our film once.
  const newJobs = useMemo(() => {
    const known = new WeakMap<PlayCard, { readonly share: number | null }>();
    return (play: PlayCard): number | null => {
      const had = known.get(play) ?? { share: newJobShare(book, profile, playFields(play), jobs()) };
      known.set(play, had);
      return had.share;
    };
  }, [book, profile, jobs]);
  return useMemo(
    () =>
      offenseAudits({
        calls,
        numbers,
        sections,
        printed,
        sizes,
        book,
        level: profile,
        drawn,
        figures,
        film: { columns, plays, team, opponent },
        measure,
        bodies,
        practice: { week, newJobsOf: newJobs },
      }),
    [
      calls,
      numbers,
      sections,
      printed,
      plays,
      columns,
      sizes,
      team,
      opponent,
      drawn,
      profile,
      book,
      week,
      figures,
      bodies,
      newJobs,
      measure,
    ],
  );
}
