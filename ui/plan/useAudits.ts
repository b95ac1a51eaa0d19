'use client';
import { useMemo } from 'react';
import { auditSheet, ifThenAudits, setupAudits, tellAudits, type Audit, type PlayCard } from '@/core/plan';
import type { PlanFilm } from './usePlanFilm';
import type { SheetState } from './useSheet';

/** All that is looked for on a sheet of the offense, in the order of the sheet. */
export function useAudits(
  { calls, numbers, sections }: SheetState,
  { columns, sizes }: PlanFilm,
  plays: readonly PlayCard[],
  team: string,
): readonly Audit[] {
  return useMemo(
    () => [
      ...auditSheet(calls, sizes, sections),
      ...setupAudits(calls, numbers, plays, columns, team),
      ...tellAudits(calls, columns, team),
      ...ifThenAudits(calls),
    ],
    [calls, numbers, sections, plays, columns, sizes, team],
  );
}
