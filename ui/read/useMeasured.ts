'use client';
import { useEffect, useState } from 'react';
import type { CountedSnap } from '@/core/read';

/** Of work between two frames. */
const SLICE_MS = 6;

/**
 * Measures the looks of a film a little at a time, so that clicks are answered meanwhile; true when all are. What asks
 * for a look before has it measured then.
 */
export function useMeasured(snaps: readonly CountedSnap[]): boolean {
  const [measured, setMeasured] = useState<readonly CountedSnap[] | null>(null);
  useEffect(() => {
    let at = 0;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const slice = (): void => {
      const until = performance.now() + SLICE_MS;
      while (at < snaps.length && performance.now() < until) void snaps[at++]!.look;
      if (at < snaps.length) timer = setTimeout(slice);
      else setMeasured(snaps);
    };
    timer = setTimeout(slice);
    return () => clearTimeout(timer);
  }, [snaps]);
  return measured === snaps;
}
