'use client';
/** The film a screen counts: games that changed come from the server, the others from this tab or this browser. */
import { useEffect, useState } from 'react';
import type { GameInfo } from '@/core/exchange/types';
import type { SlimSnap } from '@/core/snap';
import { useSync } from './SyncProvider';
import { Storage } from './storage';

export interface FilmGame {
  readonly info: GameInfo;
  readonly snaps: readonly SlimSnap[];
}
export type FilmGames = readonly FilmGame[];
interface Stamped extends FilmGame {
  readonly stamp: string;
}
type Sent = Omit<Stamped, 'snaps'> & Partial<Pick<Stamped, 'snaps'>>;
export type FilmState =
  | { readonly kind: 'loading' }
  | { readonly kind: 'here'; readonly games: FilmGames; readonly old: boolean }
  | { readonly kind: 'away'; readonly why: string };

/** One tab's memory: a way back to a screen shows at once, and asks whether it is still so. */
const memory = new Map<string, readonly Stamped[]>();

/** Games as sent, with the snaps of those that the browser has already. Null: one is missing, the server must send all. */
export function mergeFilm(sent: readonly Sent[], kept: readonly Stamped[]): Stamped[] | null {
  const here = new Map(kept.map((g) => [`${g.info.key} ${g.stamp}`, g.snaps]));
  const out: Stamped[] = [];
  for (const g of sent) {
    const snaps = g.snaps ?? here.get(`${g.info.key} ${g.stamp}`);
    if (!snaps) return null;
    out.push({ info: g.info, stamp: g.stamp, snaps });
  }
  return out;
}

/** `path`: /api/film with its teams. Rows of games that change while the screen is open come with the next visit. */
export function useFilm(path: string): FilmState {
  const { owner } = useSync();
  const key = `${owner} ${path}`;
  const [state, setState] = useState<FilmState>({ kind: 'loading' });
  useEffect(() => {
    let gone = false;
    const show = (s: FilmState): void => {
      if (!gone) setState(s);
    };
    const ask = async (kept: readonly Stamped[]): Promise<Response | null> => {
      const have = kept.map((g) => `${g.info.key}=${g.stamp}`).join(',');
      return fetch(have ? `${path}${path.includes('?') ? '&' : '?'}have=${encodeURIComponent(have)}` : path, {
        headers: { 'x-vobrik-owner': owner },
      }).catch(() => null);
    };
    const before = memory.get(key);
    if (before) show({ kind: 'here', games: before, old: false });
    void (async () => {
      const storage = await Storage.open(owner).catch(() => null);
      try {
        const kept =
          before ??
          ((await storage?.film(path).catch(() => undefined)) as readonly Stamped[] | undefined) ??
          [];
        let response = await ask(kept);
        let games = response?.ok ? mergeFilm((await response.json()) as Sent[], kept) : null;
        if (response?.ok && !games) {
          response = await ask([]);
          games = response?.ok ? mergeFilm((await response.json()) as Sent[], []) : null;
        }
        if (!games) {
          if (kept.length > 0) return show({ kind: 'here', games: kept, old: true });
          const said = (await response?.json().catch(() => null)) as { error?: string } | null;
          return show({
            kind: 'away',
            why:
              said?.error ??
              'The server does not answer, and this film was not opened on this browser before.',
          });
        }
        const same =
          before?.length === games.length &&
          games.every(
            (g, i) =>
              g.stamp === before[i]!.stamp &&
              g.info.key === before[i]!.info.key &&
              g.info.closed === before[i]!.info.closed,
          );
        if (same) return;
        memory.set(key, games);
        show({ kind: 'here', games, old: false });
        await storage?.keepFilm(path, games).catch(() => undefined);
      } finally {
        storage?.close();
      }
    })();
    return () => {
      gone = true;
    };
  }, [key, owner, path]);
  return state;
}
