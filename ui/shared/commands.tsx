'use client';
/** The commands of the screen that is shown: it says them, the palette lists them. */
import { createContext, useContext, useEffect, useState, type ReactNode } from 'react';

export interface ScreenCommand {
  readonly id: string;
  readonly label: string;
  /** As on key caps; none: by the palette only. */
  readonly keys: string | null;
  readonly run: () => void;
}

interface Commands {
  readonly list: readonly ScreenCommand[];
  readonly say: (list: readonly ScreenCommand[]) => void;
}
const Context = createContext<Commands>({ list: [], say: () => undefined });

export function CommandsProvider({ children }: { readonly children: ReactNode }) {
  const [list, say] = useState<readonly ScreenCommand[]>([]);
  return <Context.Provider value={{ list, say }}>{children}</Context.Provider>;
}

export const useCommands = (): readonly ScreenCommand[] => useContext(Context).list;

/** `list` is the same object as long as nothing of it changes. */
export function useScreenCommands(list: readonly ScreenCommand[]): void {
  const { say } = useContext(Context);
  useEffect(() => {
    say(list);
    return () => say([]);
  }, [say, list]);
}
