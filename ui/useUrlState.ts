'use client';
/** View state in the address: every view has a link of its own, back and forward work. */
import { useSearchParams } from 'next/navigation';
import { useCallback, useEffect, useState } from 'react';

export type UrlState = readonly [
  get: URLSearchParams,
  set: (changes: Readonly<Record<string, string | null>>, push?: boolean) => void,
];

export function useUrlState(): UrlState {
  const fromServer = useSearchParams();
  const [params, setParams] = useState(() => new URLSearchParams(fromServer.toString()));
  useEffect(() => {
    const back = () => setParams(new URLSearchParams(window.location.search));
    window.addEventListener('popstate', back);
    return () => window.removeEventListener('popstate', back);
  }, []);
  // A link to another view of the same screen.
  useEffect(() => {
    const now = new URLSearchParams(window.location.search);
    setParams((before) => (before.toString() === now.toString() ? before : now));
  }, [fromServer]);
  const set = useCallback((changes: Readonly<Record<string, string | null>>, push = false) => {
    const next = new URLSearchParams(window.location.search);
    for (const [key, value] of Object.entries(changes)) {
      if (value === null || value === '') next.delete(key);
      else next.set(key, value);
    }
    const query = next.toString();
    const address = `${window.location.pathname}${query ? `?${query}` : ''}`;
    if (push) window.history.pushState(null, '', address);
    else window.history.replaceState(null, '', address);
    setParams(next);
  }, []);
  return [params, set];
}
