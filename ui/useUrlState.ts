'use client';
/** View state in the address: every view has a link of its own, back and forward work. */
import { useSearchParams } from 'next/navigation';
import { useCallback, useEffect, useState } from 'react';
import { afterPaint } from './shared/afterPaint';

export type UrlState = readonly [
  get: URLSearchParams,
  set: (changes: Readonly<Record<string, string | null>>, push?: boolean) => void,
];

/** The address that is to come when the frame stands: the router takes its time over it. A page has one. */
let coming: { readonly address: string; readonly off: () => void } | null = null;
const searchNow = (): string =>
  coming === null ? window.location.search : new URL(coming.address, window.location.origin).search;
function settleAddress(): void {
  if (coming === null) return;
  const { address, off } = coming;
  off();
  coming = null;
  // Gone to another page meanwhile: that page has its own.
  if (address.split('?')[0] === window.location.pathname) window.history.replaceState(null, '', address);
}

export function useUrlState(): UrlState {
  const fromServer = useSearchParams();
  const [params, setParams] = useState(() => new URLSearchParams(fromServer.toString()));
  useEffect(() => {
    const back = () => {
      coming?.off();
      coming = null;
      setParams(new URLSearchParams(window.location.search));
    };
    window.addEventListener('popstate', back);
    window.addEventListener('pagehide', settleAddress);
    // Before a link or a key leads elsewhere: an address written later would call the router back.
    window.addEventListener('click', settleAddress, true);
    window.addEventListener('keydown', settleAddress, true);
    return () => {
      window.removeEventListener('popstate', back);
      window.removeEventListener('click', settleAddress, true);
      window.removeEventListener('keydown', settleAddress, true);
      window.removeEventListener('pagehide', settleAddress);
    };
  }, []);
  // A link to another view of the same screen.
  useEffect(() => {
    const now = new URLSearchParams(searchNow());
    setParams((before) => (before.toString() === now.toString() ? before : now));
  }, [fromServer]);
  const set = useCallback((changes: Readonly<Record<string, string | null>>, push = false) => {
    const next = new URLSearchParams(searchNow());
    for (const [key, value] of Object.entries(changes)) {
      if (value === null || value === '') next.delete(key);
      else next.set(key, value);
    }
    const query = next.toString();
    const address = `${window.location.pathname}${query ? `?${query}` : ''}`;
    if (push) {
      settleAddress();
      window.history.pushState(null, '', address);
    } else {
      coming?.off();
      coming = { address, off: afterPaint(settleAddress) };
    }
    setParams(next);
  }, []);
  return [params, set];
}
