'use client';
/** Keys of the sheet: what is done to the call that has the focus, or to those that are marked. */
import { useMemo } from 'react';
import { nudgeCall, removeCalls, type SheetCall } from '@/core/plan';
import { useScreenCommands } from '../shared/commands';
import { PLAN } from '../shared/screen-commands/plan';
import { focusCall, stepFocus, type Marks } from './useMarks';
import type { SheetState } from './useSheet';

interface Of {
  readonly sheet: SheetState;
  readonly marks: Marks;
  readonly mayEdit: boolean;
  readonly section: string;
  readonly stepSection: (by: 1 | -1) => void;
  /** Null: their looks are still measured. */
  readonly draft: (() => void) | null;
  readonly print: () => void;
  readonly note: (call: SheetCall) => void;
}

// The browser's own events copy, cut and paste.
const theBrowsers = (): boolean => false;

export function usePlanCommands({
  sheet,
  marks,
  mayEdit,
  section,
  stepSection,
  draft,
  print,
  note,
}: Of): void {
  const { calls, printed, edit, undo } = sheet;
  const order = useMemo(() => printed.flatMap((p) => p.calls), [printed]);
  /** Does it to the call that has the focus; false where none has. */
  const onFocused = (work: (call: SheetCall) => void): boolean => {
    const id = (document.activeElement as HTMLElement | null)?.dataset.call;
    const call = calls.find((c) => c.id === id);
    if (call) work(call);
    return call !== undefined;
  };
  const markOn = (by: 1 | -1): boolean =>
    onFocused((call) => marks.extend(call.id, stepFocus(order, by) ?? call.id));
  const read = {
    next: () => stepSection(1),
    previous: () => stepSection(-1),
    // A hundred and more buttons lie between the two.
    plays: () => document.querySelector<HTMLElement>('.suggest')?.focus(),
    sheet: () => {
      const first = order.find((call) => call.section === section) ?? order[0];
      if (first) focusCall(first.id);
    },
    print,
    below: () => stepFocus(order, 1) !== undefined,
    above: () => stepFocus(order, -1) !== undefined,
    copy: theBrowsers,
  };
  const change = {
    undo,
    draft: draft ?? undefined,
    notes: () => onFocused(note),
    up: () => onFocused((call) => edit(nudgeCall(printed, call, -1))),
    down: () => onFocused((call) => edit(nudgeCall(printed, call, 1))),
    remove: () =>
      onFocused(({ id }) => edit(removeCalls(printed, marks.ids.has(id) ? marks.ids : new Set([id])))),
    mark: () => onFocused((call) => marks.toggle(call.id)),
    markBelow: () => markOn(1),
    markAbove: () => markOn(-1),
    all: () => onFocused((call) => marks.section(call.section)),
    none: () => (marks.ids.size > 0 ? marks.clear() : false),
    cut: theBrowsers,
    paste: theBrowsers,
  };
  useScreenCommands(PLAN, mayEdit ? { ...read, ...change } : read);
}
