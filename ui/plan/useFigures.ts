'use client';
import { useState } from 'react';
import type { Quota, StaffPrints } from '@/core/plan';
import type { PlanScreenProps } from './plan-props';

/** The staff's figures as this page knows them; `keepQuotas` says why they were not kept, null: this member may not. */
export function useFigures(
  brought: StaffPrints,
  save: PlanScreenProps['saveFigures'],
): {
  readonly figures: StaffPrints;
  readonly keepQuotas: ((quotas: readonly Quota[]) => Promise<string | null>) | null;
} {
  const [figures, setFigures] = useState(brought);
  const keepQuotas = async (quotas: readonly Quota[]): Promise<string | null> => {
    const next = { ...figures, quotas };
    const why = await save!(next, figures).catch(
      () => 'The server did not answer: press again. Kept twice is kept once.',
    );
    if (why === null) setFigures(next);
    return why;
  };
  return { figures, keepQuotas: save && keepQuotas };
}
