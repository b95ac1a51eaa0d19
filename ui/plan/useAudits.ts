'use client';
import { useMemo } from 'react';
import type { Book } from '@/core/book';
import type { LevelProfile } from '@/core/field/profile';
import {
  auditSheet,
  bandAudits,
  bookAudits,
  ifThenAudits,
  jobsSeen,
  newJobShare,
  playDrawer,
  playFields,
  practiceAudits,
  setupAudits,
  tellAudits,
  type Audit,
  type PlayCard,
  type PracticeSettings,
  type StaffPrints,
} from '@/core/plan';
import { select } from '@/core/read';
import type { PlanFilm } from './usePlanFilm';
import { usePrintMeasure } from './usePrintMeasure';
import type { SheetState } from './useSheet';

/** All that is looked for on a sheet of the offense, in the order of the sheet. */
export function useAudits(
  { calls, numbers, sections, printed }: SheetState,
  { columns, snaps, sizes }: PlanFilm,
  plays: readonly PlayCard[],
  {
    team,
    book,
    profile,
    week,
    band,
  }: {
    readonly team: string;
    readonly book: Book;
    readonly profile: LevelProfile;
    readonly week: PracticeSettings;
    readonly band: StaffPrints['band'];
  },
): readonly Audit[] {
  const measure = usePrintMeasure();
  const drawn = useMemo(() => playDrawer(book, profile), [book, profile]);
  // The jobs of our film are counted once, each play is held against them once.
  const newJobs = useMemo(() => {
    let seen: ReadonlySet<string> | null = null;
    const known = new WeakMap<PlayCard, { readonly share: number | null }>();
    return (play: PlayCard): number | null => {
      seen ??= jobsSeen(book, profile, snaps, select(columns, { offense: [team] }));
      const had = known.get(play) ?? { share: newJobShare(book, profile, playFields(play), seen) };
      known.set(play, had);
      return had.share;
    };
  }, [book, profile, snaps, columns, team]);
  return useMemo(
    () => [
      ...auditSheet(calls, sizes, sections),
      ...setupAudits(calls, numbers, plays, columns, team),
      ...tellAudits(calls, columns, team),
      ...ifThenAudits(calls),
      ...bookAudits(calls, drawn, profile),
      ...(measure ? bandAudits(printed, band, measure) : []),
      ...practiceAudits(calls, week, newJobs),
    ],
    [
      calls,
      numbers,
      sections,
      printed,
      plays,
      columns,
      sizes,
      team,
      drawn,
      profile,
      week,
      band,
      newJobs,
      measure,
    ],
  );
}
