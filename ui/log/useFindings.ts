'use client';
/** What does not add up in a game. The checks come after the first view; until then nothing is said: null. */
import { useMemo } from 'react';
import type { Finding, WalkedSnap } from '@/core/rules';
import { useComing } from '../shared/part';

const load = () => import('@/core/rules/check');

export function useFindings(walked: readonly WalkedSnap[]): readonly Finding[] | null {
  const checks = useComing(load).value;
  return useMemo(() => checks && checks.checkRows(walked), [checks, walked]);
}
