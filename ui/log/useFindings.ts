'use client';
/** What does not add up in a game. The checks come after the first view; until then nothing is said: null. */
import { useEffect, useMemo, useState } from 'react';
import type { Finding, WalkedSnap } from '@/core/rules';

type Check = (walked: readonly WalkedSnap[]) => readonly Finding[];

export function useFindings(walked: readonly WalkedSnap[]): readonly Finding[] | null {
  const [check, setCheck] = useState<Check | null>(null);
  useEffect(() => {
    let left = false;
    void import('@/core/rules/check').then(({ checkRows }) => {
      if (!left) setCheck(() => checkRows);
    });
    return () => {
      left = true;
    };
  }, []);
  return useMemo(() => check && check(walked), [check, walked]);
}
