'use client';
import { useMemo } from 'react';
import type { Book } from '@/core/book';
import type { LevelProfile } from '@/core/field/profile';
import {
  auditSheet,
  bookAudits,
  ifThenAudits,
  playDrawer,
  setupAudits,
  tellAudits,
  type Audit,
  type PlayCard,
} from '@/core/plan';
import type { PlanFilm } from './usePlanFilm';
import type { SheetState } from './useSheet';

/** All that is looked for on a sheet of the offense, in the order of the sheet. */
export function useAudits(
  { calls, numbers, sections }: SheetState,
  { columns, sizes }: PlanFilm,
  plays: readonly PlayCard[],
  { team, book, profile }: { readonly team: string; readonly book: Book; readonly profile: LevelProfile },
): readonly Audit[] {
  const drawn = useMemo(() => playDrawer(book, profile), [book, profile]);
  return useMemo(
    () => [
      ...auditSheet(calls, sizes, sections),
      ...setupAudits(calls, numbers, plays, columns, team),
      ...tellAudits(calls, columns, team),
      ...ifThenAudits(calls),
      ...bookAudits(calls, drawn, profile),
    ],
    [calls, numbers, sections, plays, columns, sizes, team, drawn, profile],
  );
}
