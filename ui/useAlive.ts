'use client';
import { useSyncExternalStore } from 'react';

const never = (): (() => void) => () => undefined;

/** False on the server and until the page is alive: what is dear to draw and says nothing without the browser waits for it. */
export const useAlive = (): boolean =>
  useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
