'use client';
/** A sheet on this page: its calls as they stand, edits shown at once and durable in the browser, and Undo. */
import { useCallback, useMemo, useRef, useState } from 'react';
import { callOfRow } from '@/core/exchange/from-rows';
import {
  layoutSheet,
  numberSheet,
  UNDONE,
  type PlayCard,
  type PrintedSection,
  type SheetCall,
  type SheetChange,
  type SheetEdit,
} from '@/core/plan';
import { sheetScope, type Operation, type Pulled, type Queued } from '@/core/sync';
import type { Outbox } from '@/client/outbox';
import { useScope } from '@/client/SyncProvider';
import { useToast } from '../shared/toasts';

export interface SheetState {
  readonly name: string;
  readonly lockedBy: string | null;
  readonly calls: readonly SheetCall[];
  readonly printed: readonly PrintedSection[];
  /** Number of a call, by its id. */
  readonly numbers: ReadonlyMap<string, number>;
  readonly pages: number;
  readonly unsettled: readonly Queued[];
  /** This browser could not store an edit. */
  readonly trouble: string;
  /** Does it; what cannot be done (null) is passed over. */
  readonly edit: (edit: SheetEdit | null) => void;
  readonly undo: () => void;
}

function operationOf(outbox: Outbox, sheet: string, change: SheetChange): Operation {
  const scope = sheetScope(sheet);
  switch (change.do) {
    case 'put':
      return outbox.put('call', change.call, change.fields, change.after);
    case 'move':
      return outbox.move('call', change.call, { section: change.section }, change.after);
    case 'remove':
      return outbox.remove('call', change.call);
    case 'hash':
      return outbox.patch(scope, 'call', change.call, { hash: change.hash });
    case 'sheet':
      return outbox.patch(scope, 'sheet', sheet, change.fields);
  }
}

export function useSheet(
  sheet: { readonly key: string; readonly name: string },
  brought: Pulled,
  plays: readonly PlayCard[],
): SheetState {
  const { rows, conflicts, refused, push } = useScope(sheetScope(sheet.key), brought);
  const cards = useMemo(() => new Map(plays.map((p) => [p.id, p])), [plays]);
  const calls = useMemo(() => rows.flatMap((r) => callOfRow(r, cards) ?? []), [rows, cards]);
  const printed = useMemo(() => numberSheet(calls), [calls]);
  const numbers = useMemo(
    () => new Map(printed.flatMap((p) => p.calls.map((c) => [c.id, c.number]))),
    [printed],
  );
  const pages = useMemo(
    () => Math.max(...(['letter', 'a4'] as const).map((paper) => layoutSheet(printed, paper).pages.length)),
    [printed],
  );
  const [trouble, setTrouble] = useState('');
  const say = useToast();
  const done = useRef<SheetChange[]>([]);
  const send = useCallback(
    async (change: SheetChange): Promise<boolean> => {
      try {
        await push((outbox) => [operationOf(outbox, sheet.key, change)]);
        setTrouble('');
        return true;
      } catch (error) {
        setTrouble(
          `This browser could not store the change (${(error as Error).message}); nothing was changed.`,
        );
        return false;
      }
    },
    [push, sheet.key],
  );
  const edit = useCallback(
    (wanted: SheetEdit | null): void => {
      if (!wanted) return;
      const { redo, undo } = wanted;
      void send(redo).then((stored) => {
        if (stored && undo) done.current.push(undo);
      });
    },
    [send],
  );
  const undo = useCallback((): void => {
    const back = done.current.pop();
    if (!back) return say('Nothing of this visit is left to undo.');
    void send(back).then((stored) => {
      if (stored) say(UNDONE[back.do]);
    });
  }, [send, say]);
  const head = rows.find((r) => r.kind === 'sheet')?.fields ?? {};
  return {
    name: String(head.name ?? sheet.name),
    lockedBy: head.locked === true ? String(head.lockedBy ?? 'a coordinator') : null,
    calls,
    printed,
    numbers,
    pages,
    unsettled: [...conflicts, ...refused],
    trouble,
    edit,
    undo,
  };
}
