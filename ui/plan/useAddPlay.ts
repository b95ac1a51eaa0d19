'use client';
/** A play onto the play list from a screen that does not hold it. */
import { useRouter } from 'next/navigation';
import { useCallback } from 'react';
import type { PlayCard } from '@/core/plan';
import { PLAYS_SCOPE } from '@/core/sync';
import { useSync } from '@/client/SyncProvider';

/** How long the screen waits for the store before it says that the play is kept in the browser. */
const PATIENCE_MS = 4000;

/** Gives what came of it in words, never throws; the page brings its plays anew. */
export function useAddPlay(): (card: Omit<PlayCard, 'id'>) => Promise<{ ok: boolean; words: string }> {
  const { opened } = useSync();
  const router = useRouter();
  return useCallback(
    async (card) => {
      try {
        const outbox = await opened();
        const op = outbox.put('play', crypto.randomUUID(), card, null);
        await outbox.push(PLAYS_SCOPE, [op]);
        const known = await outbox.outcome(op.id, PATIENCE_MS);
        if (known?.state === 'refused') {
          await outbox.discard(known);
          return { ok: false, words: known.reason ?? 'refused' };
        }
        router.refresh();
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
