'use client';
/** The commands of the screen that is shown: it says them, keys run them, the palette and the help list them. */
import { createContext, useContext, useLayoutEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { chordOf } from './keys';
import type { CommandSpec, Runs } from './screen-commands/spec';

export interface ScreenCommand extends CommandSpec {
  /** False: there was nothing to do, the key is the browser's. */
  readonly run: () => void | boolean;
  /** The screen hears its keys itself. */
  readonly own?: boolean;
}

interface Commands {
  readonly list: readonly ScreenCommand[];
  readonly say: (list: readonly ScreenCommand[]) => void;
}
const Context = createContext<Commands>({ list: [], say: () => undefined });

/** Undo and redo belong to a field while one types in it; so does every key of a dialog that is open. */
function belongsElsewhere(event: KeyboardEvent, chord: string): boolean {
  const field = (event.target as Element | null)?.closest('input, textarea, select, [contenteditable]');
  return (
    (field != null && /^Mod\+(Shift\+)?[ZY]$/.test(chord)) || document.querySelector('[role=dialog]') !== null
  );
}

export function CommandsProvider({ children }: { readonly children: ReactNode }) {
  const [list, say] = useState<readonly ScreenCommand[]>([]);
  // Heard as soon as the screen is seen: keys are faster than an effect after the paint.
  useLayoutEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.defaultPrevented) return;
      const chord = chordOf(event);
      const command = list.find((c) => !c.own && c.chords.includes(chord));
      if (!command || belongsElsewhere(event, chord)) return;
      if (command.run() !== false) event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [list]);
  return <Context.Provider value={{ list, say }}>{children}</Context.Provider>;
}

export const useCommands = (): readonly ScreenCommand[] => useContext(Context).list;

/** `list` is the same object as long as nothing of it changes. */
export function useCommandList(list: readonly ScreenCommand[]): void {
  const { say } = useContext(Context);
  useLayoutEffect(() => {
    say(list);
    return () => say([]);
  }, [say, list]);
}

/** The commands of a screen that can be run now, by what runs them; what is undefined is not offered. */
export function useScreenCommands<L extends readonly CommandSpec[]>(specs: L, runs: Runs<L>): void {
  const now = useRef(runs);
  now.current = runs;
  const offered = specs
    .filter((c) => runs[c.id as L[number]['id']])
    .map((c) => c.id)
    .join();
  useCommandList(
    useMemo(
      () =>
        specs
          .filter((c) => offered.split(',').includes(c.id))
          .map((c) => ({ ...c, run: () => now.current[c.id as L[number]['id']]?.() })),
      [specs, offered],
    ),
  );
}
