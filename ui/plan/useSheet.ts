'use client';
/** A sheet on this page: its calls as they stand, edits shown at once and durable in the browser, and Undo. */
import { useCallback, useMemo, useRef, useState } from 'react';
import { callOfRow, checkOfRow, remarkOfRow } from '@/core/exchange/from-rows';
import {
  layoutSheet,
  numberSheet,
  SECTIONS,
  UNDONE,
  type Check,
  type PlayCard,
  type PrintedSection,
  type Remark,
  type SectionSpec,
  type SheetCall,
  type SheetChange,
  type SheetEdit,
} from '@/core/plan';
import { sheetScope, type Operation, type Pulled, type Queued } from '@/core/sync';
import type { Outbox } from '@/client/outbox';
import { useScope, useWaiting } from '@/client/SyncProvider';
import { useToast } from '../shared/toasts';

export interface SheetState {
  readonly name: string;
  readonly lockedBy: string | null;
  readonly calls: readonly SheetCall[];
  readonly checks: readonly Check[];
  readonly remarks: readonly Remark[];
  /** In their order; as the sheet has them, or the usual ones. */
  readonly sections: readonly SectionSpec[];
  /** Null: the usual ones. */
  readonly ownSections: readonly SectionSpec[] | null;
  readonly printed: readonly PrintedSection[];
  /** Number of a call, by its id. */
  readonly numbers: ReadonlyMap<string, number>;
  readonly pages: number;
  readonly unsettled: readonly Queued[];
  /** Edits that only this browser has yet. */
  readonly waiting: number;
  /** This browser could not store an edit. */
  readonly trouble: string;
  /** Does it, and says so when this browser has it; what cannot be done (null) is passed over. */
  readonly edit: (edit: SheetEdit | null, said?: string) => void;
  readonly undo: () => void;
}

function operationOf(
  outbox: Outbox,
  sheet: string,
  change: Exclude<SheetChange, { readonly do: 'many' }>,
): Operation {
  const scope = sheetScope(sheet);
  switch (change.do) {
    case 'put':
      return outbox.put('call', change.call, change.fields, change.after);
    case 'move':
      return outbox.move('call', change.call, { section: change.section }, change.after);
    case 'remove':
      return outbox.remove('call', change.call);
    case 'call':
      return outbox.patch(scope, 'call', change.call, change.fields);
    case 'add':
      return outbox.put(change.kind, change.row, change.fields, change.after);
    case 'change':
      return outbox.patch(scope, change.kind, change.row, change.fields);
    case 'drop':
      return outbox.remove(change.kind, change.row);
    case 'sheet':
      return outbox.patch(scope, 'sheet', sheet, change.fields);
  }
}

const NOTHING: Readonly<Record<string, unknown>> = {};

const flat = (change: SheetChange): readonly Exclude<SheetChange, { readonly do: 'many' }>[] =>
  change.do === 'many' ? change.changes.flatMap(flat) : [change];

export function useSheet(
  sheet: { readonly key: string; readonly name: string },
  brought: Pulled,
  plays: readonly PlayCard[],
): SheetState {
  const { rows, conflicts, refused, push } = useScope(sheetScope(sheet.key), brought);
  const waiting = useWaiting(sheetScope(sheet.key));
  const cards = useMemo(() => new Map(plays.map((p) => [p.id, p])), [plays]);
  const calls = useMemo(() => rows.flatMap((r) => callOfRow(r, cards) ?? []), [rows, cards]);
  const checks = useMemo(() => rows.flatMap((r) => checkOfRow(r) ?? []), [rows]);
  const remarks = useMemo(() => rows.flatMap((r) => remarkOfRow(r) ?? []), [rows]);
  const head = rows.find((r) => r.kind === 'sheet')?.fields ?? NOTHING;
  const ownSections = (head.sections ?? null) as readonly SectionSpec[] | null;
  const sections = ownSections ?? SECTIONS;
  const printed = useMemo(() => numberSheet(calls, sections), [calls, sections]);
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
        await push((outbox) => flat(change).map((one) => operationOf(outbox, sheet.key, one)));
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
    (wanted: SheetEdit | null, said?: string): void => {
      if (!wanted) return;
      const { redo, undo } = wanted;
      // At once: an undo that is quicker than the disk is meant for this.
      if (undo) done.current.push(undo);
      void send(redo).then((stored) => {
        if (!stored) done.current = done.current.filter((one) => one !== undo);
        else if (said !== undefined) say(said);
      });
    },
    [send, say],
  );
  const undo = useCallback((): void => {
    const back = done.current.pop();
    if (!back) return say('Nothing of this visit is left to undo.');
    void send(back).then((stored) => {
      if (stored) say(UNDONE[back.do]);
      else done.current.push(back);
    });
  }, [send, say]);
  return {
    name: String(head.name ?? sheet.name),
    lockedBy: head.locked === true ? String(head.lockedBy ?? 'a coordinator') : null,
    calls,
    checks,
    remarks,
    sections,
    ownSections,
    printed,
    numbers,
    pages,
    unsettled: [...conflicts, ...refused],
    waiting,
    trouble,
    edit,
    undo,
  };
}
