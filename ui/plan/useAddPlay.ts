'use client';
/** A play onto the play list from a screen that does not hold it. */
import { useRouter } from 'next/navigation';
import { useCallback } from 'react';
import type { PlayCard } from '@/core/plan';
import { PLAYS_SCOPE } from '@/core/sync';
import { answered } from '@/client/answered';
import { useSync } from '@/client/SyncProvider';

/** Gives what came of it in words, never throws; the page brings its plays anew once the store has it. */
export function useAddPlay(): (card: Omit<PlayCard, 'id'>) => Promise<{ ok: boolean; words: string }> {
  const { opened } = useSync();
  const router = useRouter();
  return useCallback(
    async (card) => {
      try {
        const outbox = await opened();
        const op = outbox.put('play', crypto.randomUUID(), card, null);
        const known = await answered(outbox, PLAYS_SCOPE, op);
        if (known?.state === 'refused') return { ok: false, words: known.reason ?? 'refused' };
        // Where no server answers, a page asked for anew would be lost.
        if (known) router.refresh();
        return {
          ok: true,
          words: known
            ? `“${card.name}” is on the play list.`
            : `“${card.name}” is kept in this browser; it is on the play list when the server answers.`,
        };
      } catch (error) {
        return {
          ok: false,
          words: `This browser could not store it (${(error as Error).message}); nothing was changed.`,
        };
      }
    },
    [opened, router],
  );
}
