'use client';
/** Calls that are marked together; what is copied, cut and pasted of them, by the browser's own keys. */
import { useEffect, useMemo, useRef, useState } from 'react';
import {
  addCalls,
  copiedCalls,
  moveCalls,
  removeCalls,
  type NewCall,
  type PlayCard,
  type SectionSpec,
  type SheetCall,
} from '@/core/plan';
import { plural } from '@/core/rules/plural';
import { useToast } from '../shared/toasts';
import type { SheetState } from './useSheet';

export interface Marks {
  /** Those of them that stand on the sheet. */
  readonly ids: ReadonlySet<string>;
  /** They wait to be put elsewhere. */
  readonly cut: boolean;
  readonly toggle: (id: string) => void;
  /** All from the one that was marked last to this one. */
  readonly through: (id: string) => void;
  /** Both of them too: a mark that grows with the focus. */
  readonly extend: (from: string, to: string) => void;
  readonly section: (key: string) => void;
  readonly clear: () => void;
  readonly remove: () => void;
  readonly moveTo: (section: string) => void;
  readonly add: (calls: readonly Omit<NewCall, 'id'>[], place: Place) => void;
  /** Copies or cuts by a button. */
  readonly take: (cut: boolean) => void;
  /** What was pasted and not understood whole; null: nothing is asked. */
  readonly asked: string | null;
  readonly ask: (text: string | null) => void;
}

/** As it was copied: some systems give other line ends back, and one more at the end. */
const plain = (text: string): string => text.replace(/\r\n/g, '\n').replace(/\n$/, '');

/** Where calls come in: before a call of the section, or at its end. */
export interface Place {
  readonly section: string;
  readonly before: string | null;
}

const NOBODY: ReadonlySet<string> = new Set();
const focusedCall = (): string | undefined =>
  (document.activeElement as HTMLElement | null)?.closest<HTMLElement>('[data-call]')?.dataset.call;

/** Keys and selections inside a field, a dialog or words of the page are the browser's. */
function browsers(): boolean {
  const field = document.activeElement?.closest('input, textarea, select, [contenteditable]');
  return (
    field != null || document.querySelector('[role=dialog]') !== null || !document.getSelection()?.isCollapsed
  );
}

export function useMarks(
  sheet: SheetState,
  { plays, section, mayEdit }: { plays: readonly PlayCard[]; section: SectionSpec; mayEdit: boolean },
): Marks {
  const { calls, printed, sections, numbers, edit } = sheet;
  const [marked, setMarked] = useState(NOBODY);
  const [cut, setCut] = useState<string | null>(null);
  const [asked, setAsked] = useState<string | null>(null);
  const last = useRef<string | null>(null);
  const say = useToast();
  const ids = useMemo(() => {
    const standing = new Set(calls.map((call) => call.id));
    return new Set([...marked].filter((id) => standing.has(id)));
  }, [marked, calls]);
  const order = useMemo(() => printed.flatMap((p) => p.calls), [printed]);
  const mark = (to: ReadonlySet<string>): void => {
    setMarked(to);
    setCut(null);
  };
  const clear = (): void => mark(NOBODY);
  /** What keys are about: the marked calls, or the one that has the focus. */
  const chosen = (): ReadonlySet<string> => {
    const one = focusedCall();
    return ids.size > 0 || one === undefined ? ids : new Set([one]);
  };
  const place = (): Place => {
    const call = calls.find((c) => c.id === focusedCall());
    if (!call) return { section: section.key, before: null };
    const there = order.filter((c) => c.section === call.section);
    return { section: call.section, before: there[there.findIndex((c) => c.id === call.id) + 1]?.id ?? null };
  };
  const copy = (from: ReadonlySet<string>, cutting: boolean): string => {
    const text = copiedCalls(printed, from);
    setMarked(from);
    setCut(cutting ? text : null);
    say(
      cutting
        ? `${plural(from.size, 'call')} cut: paste ${from.size === 1 ? 'it' : 'them'} where ${from.size === 1 ? 'it goes' : 'they go'}.`
        : `${plural(from.size, 'call')} copied, for a sheet or a spreadsheet.`,
    );
    return text;
  };
  const labelOf = (key: string): string => sections.find((s) => s.key === key)?.label ?? key;
  const add = (fresh: readonly Omit<NewCall, 'id'>[], { section: into, before }: Place): void => {
    const named = fresh.map((call): NewCall => ({ ...call, id: crypto.randomUUID() }));
    const where = new Set(named.map((call) => call.section));
    mark(new Set(named.map((call) => call.id)));
    edit(
      addCalls(printed, named, before),
      `${plural(named.length, 'call')} pasted into ${where.size === 1 ? labelOf(into) : plural(where.size, 'section')}; Undo takes ${named.length === 1 ? 'it' : 'them'} back in one.`,
    );
  };
  const moveTo = ({ section: into, before }: Place): void => {
    edit(moveCalls(printed, ids, into, before), `${plural(ids.size, 'call')} moved to ${labelOf(into)}.`);
    setCut(null);
  };
  const paste = async (text: string): Promise<void> => {
    const where = place();
    // The same calls, with all that hangs on them.
    if (plain(text) === cut) return moveTo(where);
    const [{ readPasted, sectionsNamed }, { readCopied }] = await Promise.all([
      import('@/core/plan/pasted-calls'),
      import('@/core/foreign/sheet'),
    ]);
    const read = readPasted(readCopied(text), plays, sections, numbers);
    if (read.calls.length === 0 || read.unread.length > 0 || sectionsNamed(read.calls) > 1)
      return setAsked(text);
    add(
      read.calls.map(({ play, notes }) => ({ play, notes, section: where.section })),
      where,
    );
  };
  const heard = useRef({ chosen, copy, paste });
  heard.current = { chosen, copy, paste };
  useEffect(() => {
    const out = (event: ClipboardEvent): void => {
      const from = heard.current.chosen();
      if (browsers() || from.size === 0 || (event.type === 'cut' && !mayEdit)) return;
      event.clipboardData?.setData('text/plain', heard.current.copy(from, event.type === 'cut'));
      event.preventDefault();
    };
    const into = (event: ClipboardEvent): void => {
      const text = event.clipboardData?.getData('text/plain') ?? '';
      if (browsers() || !mayEdit || text.trim() === '') return;
      event.preventDefault();
      void heard.current
        .paste(text)
        .catch(() => say('A part of this page could not be loaded; paste again when the network is back.'));
    };
    document.addEventListener('copy', out);
    document.addEventListener('cut', out);
    document.addEventListener('paste', into);
    return () => {
      document.removeEventListener('copy', out);
      document.removeEventListener('cut', out);
      document.removeEventListener('paste', into);
    };
  }, [mayEdit, say]);
  return {
    ids,
    cut: cut !== null,
    toggle: (id) => {
      const to = new Set(ids);
      if (!to.delete(id)) to.add(id);
      last.current = id;
      mark(to);
    },
    through: (id) => {
      const at = (of: string | null): number => order.findIndex((c) => c.id === of);
      const [from, to] = [at(last.current), at(id)];
      last.current ??= id;
      const range = from < 0 ? [order[to]!] : order.slice(Math.min(from, to), Math.max(from, to) + 1);
      mark(new Set([...ids, ...range.map((c) => c.id)]));
    },
    extend: (from, to) => {
      last.current = to;
      mark(new Set([...ids, from, to]));
    },
    section: (key) => mark(new Set(order.filter((c) => c.section === key).map((c) => c.id))),
    clear,
    remove: () => edit(removeCalls(printed, ids)),
    moveTo: (into) => moveTo({ section: into, before: null }),
    add,
    take: (cutting) =>
      void navigator.clipboard.writeText(copy(ids, cutting)).catch(() => {
        setCut(null);
        say('This browser does not let the page copy; use Ctrl C and Ctrl X.');
      }),
    asked,
    ask: setAsked,
  };
}

/** Calls are found by what they are known by, wherever they stand. */
export const focusCall = (id: string): void =>
  document.querySelector<HTMLElement>(`[data-call="${CSS.escape(id)}"]`)?.focus();

/** The call above or below the one that has the focus takes it; gives it, or undefined at an end. */
export function stepFocus(calls: readonly SheetCall[], by: 1 | -1): string | undefined {
  const at = calls.findIndex((c) => c.id === focusedCall());
  const to = at < 0 ? undefined : calls[at + by]?.id;
  if (to !== undefined) focusCall(to);
  return to;
}
