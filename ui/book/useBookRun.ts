'use client';
/** Runs changes of the book, by row or by the server, and says what came of them. */
import { useState, useTransition } from 'react';
import type { BookAnswer } from '@/core/exchange/types';
import type { View } from '@/client/outbox';
import { useToast, useWorking } from '../shared/toasts';
import { isRowChange, type RowChange } from './use-book';

export type ServerAct = (
  change: unknown,
) => Promise<{ ok: true; value: string } | { ok: false; words: string }>;

/** Runs a change of a word or play, or a command of the server. */
export type Run = (
  change: RowChange | { readonly op: string; readonly [field: string]: unknown },
  after?: (answer: BookAnswer) => void,
) => void;

async function command(act: ServerAct, change: { readonly op: string }): Promise<BookAnswer> {
  try {
    const done = await act(change);
    return { ok: done.ok, words: done.ok ? done.value : done.words, id: null };
  } catch {
    return {
      ok: false,
      words: 'The server does not answer; nothing was changed. Merging, splitting and importing need it.',
      id: null,
    };
  }
}

export function useBookRun(
  changeRow: (change: RowChange, openedOn?: View) => Promise<BookAnswer>,
  act: ServerAct,
  openedOn: () => View | undefined,
): {
  readonly run: Run;
  readonly busy: boolean;
  readonly answer: BookAnswer | null;
  readonly settle: () => void;
} {
  const [answer, setAnswer] = useState<BookAnswer | null>(null);
  const [busy, begin] = useTransition();
  const say = useToast();
  useWorking(busy, 'Changing the book');
  const run: Run = (change, after) =>
    begin(async () => {
      const result = isRowChange(change) ? await changeRow(change, openedOn()) : await command(act, change);
      setAnswer(result.ok ? null : result);
      if (!result.ok) return;
      if (result.words) say(result.words);
      after?.(result);
    });
  return { run, busy, answer, settle: () => setAnswer(null) };
}
