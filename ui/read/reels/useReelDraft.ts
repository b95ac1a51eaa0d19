'use client';
/** A reel as it is changed on this page: shown at once, saved in turn, each save over the version it was read at. */
import { useEffect, useRef, useState } from 'react';
import type { KeptReel } from '@/core/read/clips';
import type { Told } from './KeptReels';

export type ReelDraft = Pick<KeptReel, 'name' | 'sentence' | 'shared' | 'clips'>;
export type SaveReel = (given: unknown) => Promise<Told<number>>;

export interface ReelEditing {
  readonly draft: ReelDraft;
  readonly change: (next: ReelDraft) => void;
  /** Undefined: there is nothing to undo. */
  readonly undo: (() => void) | undefined;
  readonly saving: boolean;
  /** Why the last save did not take; what is shown is not saved. */
  readonly problem: string | null;
  readonly again: () => void;
}

export function useReelDraft(reel: KeptReel, save: SaveReel | null): ReelEditing {
  const { id, name, sentence, shared, clips } = reel;
  const [draft, setDraft] = useState<ReelDraft>({ name, sentence, shared, clips });
  const [before, setBefore] = useState<readonly ReelDraft[]>([]);
  const [problem, setProblem] = useState<string | null>(null);
  const [saving, setSaving] = useState(false);
  const state = useRef({ version: reel.version, wanted: draft, saved: draft, busy: false });
  const send = async (): Promise<void> => {
    const now = state.current;
    if (now.busy || save === null) return;
    now.busy = true;
    setSaving(true);
    while (now.saved !== now.wanted) {
      const wanted = now.wanted;
      const told = await save({ id, version: now.version, ...wanted }).catch((): Told<number> => ({
        ok: false,
        words: 'The server does not answer.',
      }));
      if (!told.ok) {
        setProblem(told.words);
        break;
      }
      now.version = told.value;
      now.saved = wanted;
      setProblem(null);
    }
    now.busy = false;
    setSaving(false);
  };
  const put = (next: ReelDraft): void => {
    setDraft(next);
    state.current.wanted = next;
    void send();
  };
  // What is not saved is said before the page is left.
  useEffect(() => {
    const leave = (event: BeforeUnloadEvent): void => {
      if (state.current.saved !== state.current.wanted) event.preventDefault();
    };
    window.addEventListener('beforeunload', leave);
    return () => window.removeEventListener('beforeunload', leave);
  }, []);
  return {
    draft,
    change: (next) => {
      setBefore([...before.slice(-49), draft]);
      put(next);
    },
    undo:
      before.length === 0
        ? undefined
        : () => {
            setBefore(before.slice(0, -1));
            put(before[before.length - 1]!);
          },
    saving,
    problem,
    again: () => void send(),
  };
}
