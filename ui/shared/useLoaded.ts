'use client';
import { useCallback, useEffect, useState } from 'react';

/** Said where nothing answers. */
export const AWAY = 'The server does not answer; nothing was changed.';

/**
 * What a dialog asks the server for when it opens. `load` gives it, or in words why not; asked `again`, what was found
 * before stands until the answer is there.
 */
export function useLoaded<T>(load: () => Promise<T | string>): {
  readonly found: T | null;
  readonly problem: string | null;
  readonly again: () => Promise<void>;
} {
  const [found, setFound] = useState<T | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const ask = useCallback(
    async (gone: () => boolean): Promise<void> => {
      const answer = await load().catch(() => AWAY);
      if (gone()) return;
      if (typeof answer === 'string') return setProblem(answer);
      setProblem(null);
      setFound(() => answer);
    },
    [load],
  );
  useEffect(() => {
    let left = false;
    void ask(() => left);
    return () => {
      left = true;
    };
  }, [ask]);
  return { found, problem, again: useCallback(() => ask(() => false), [ask]) };
}
