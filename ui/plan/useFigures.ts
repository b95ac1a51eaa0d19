'use client';
import { useState } from 'react';
import type { StaffPrints } from '@/core/plan';
import type { PlanScreenProps } from './plan-props';

/** The staff's figures as this page knows them; `keep` changes some of them and says why it was not kept; null: this member may not. */
export function useFigures(
  brought: StaffPrints,
  save: PlanScreenProps['saveFigures'],
): {
  readonly figures: StaffPrints;
  readonly keep: ((some: Partial<StaffPrints>) => Promise<string | null>) | null;
} {
  const [figures, setFigures] = useState(brought);
  const keep = async (some: Partial<StaffPrints>): Promise<string | null> => {
    const next = { ...figures, ...some };
    const why = await save!(next, figures).catch(
      () => 'The server did not answer: press again. Kept twice is kept once.',
    );
    if (why === null) setFigures(next);
    return why;
  };
  return { figures, keep: save && keep };
}
