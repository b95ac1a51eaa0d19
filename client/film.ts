'use client';
/** The film a screen counts: games that changed come from the server, the others from this tab or this browser. */
import { QueryClient, useQuery } from '@tanstack/react-query';
import type { GameInfo } from '@/core/exchange/types';
import type { Snap } from '@/core/snap';
import { unpackSnaps } from '@/core/snap/packed';
import { decodePacked, splitFilm } from '@/core/snap/packed-bytes';
import { noteFilm, takeEarly } from './early-film';
import { erasedSoFar } from './offline';
import { useSync } from './SyncProvider';
import { Storage } from './storage';

export interface FilmGame {
  readonly info: GameInfo;
  readonly snaps: readonly Snap[];
  /** As it came, and as this browser keeps it. */
  readonly packed: Uint8Array;
}
export type FilmGames = readonly FilmGame[];
interface Stamped extends FilmGame {
  readonly stamp: string;
}
type Stored = Omit<Stamped, 'snaps'>;
type Sent = Omit<Stored, 'packed'> & Partial<Pick<Stored, 'packed'>>;
export type FilmState =
  | { readonly kind: 'loading' }
  | { readonly kind: 'here'; readonly games: FilmGames; readonly old: boolean }
  | { readonly kind: 'away'; readonly why: string };

/** Games as sent, with the snaps of those that the browser has already. Null: one is missing, the server must send all. */
export function mergeFilm(sent: readonly Sent[], kept: readonly Stamped[]): Stamped[] | null {
  const here = new Map(kept.map((g) => [`${g.info.key} ${g.stamp}`, g]));
  const out: Stamped[] = [];
  for (const game of sent) {
    const { info, stamp, packed } = game;
    const before = packed ? null : here.get(`${info.key} ${stamp}`);
    if (packed) out.push(opened({ info, stamp, packed }));
    else if (before)
      out.push({
        info,
        stamp,
        packed: before.packed,
        get snaps() {
          return before.snaps;
        },
      });
    else return null;
  }
  return out;
}

const haveOf = (kept: readonly Stamped[]): string => kept.map((g) => `${g.info.key}=${g.stamp}`).join(',');

/** Asks for the games that are newer than those at hand; both, when one of them is not here after all. */
async function newFilm(
  path: string,
  owner: string,
  kept: readonly Stamped[],
  signal: AbortSignal,
): Promise<readonly Stamped[]> {
  const have = haveOf(kept);
  const address = have ? `${path}${path.includes('?') ? '&' : '?'}have=${encodeURIComponent(have)}` : path;
  const response = await (takeEarly(path, owner, have, performance.now()) ??
    fetch(address, { headers: { 'x-vobrik-owner': owner }, signal }));
  if (!response.ok) {
    const said = (await response.json().catch(() => null)) as { error?: string } | null;
    throw new Error(said?.error ?? NO_ANSWER);
  }
  const games = mergeFilm(await readFilm(response), kept);
  return games ?? newFilm(path, owner, [], signal);
}
/** As the server joined and zipped it: what is said of a game is its facts and stamp. */
async function readFilm(response: Response): Promise<Sent[]> {
  const open = new Response(response.body!.pipeThrough(new DecompressionStream('gzip')));
  return splitFilm(new Uint8Array(await open.arrayBuffer())).map(({ said, packed }) => ({
    ...(said as Pick<Sent, 'info' | 'stamp'>),
    ...(packed ? { packed } : {}),
  }));
}
const NO_ANSWER = 'The server does not answer, and this film was not opened on this browser before.';

/** A game's snaps are unpacked when somebody counts them: a staff has more games than a screen asks for. */
function opened({ info, stamp, packed }: Stored): Stamped {
  let snaps: readonly Snap[] | null = null;
  return {
    info,
    stamp,
    packed,
    get snaps() {
      return (snaps ??= unpackSnaps(decodePacked(packed)));
    },
  };
}
const stored = ({ info, stamp, packed }: Stored): Stored => ({ info, stamp, packed });

/** Nothing on screen would change. */
export const sameFilm = (those: readonly Stamped[], others: readonly Stamped[]): boolean =>
  those.length === others.length &&
  those.every(
    (g, i) =>
      g.stamp === others[i]!.stamp &&
      g.info.key === others[i]!.info.key &&
      g.info.closed === others[i]!.info.closed,
  );

const LATER_MS = 3000;
/** After what the screen has to do now: a season is copied at once, and nothing is answered meanwhile. */
const whenIdle = (): Promise<void> =>
  new Promise((resolve) => {
    setTimeout(() => {
      if (typeof requestIdleCallback === 'function') requestIdleCallback(() => resolve(), { timeout: 5000 });
      else resolve();
    }, LATER_MS);
  });

interface Film {
  readonly games: readonly Stamped[];
  /** As this browser last had it: the server does not answer. */
  readonly old: boolean;
}

/** The film as of now: what the tab or the browser has, brought up to date by the server where it answers. */
async function loadFilm(
  path: string,
  owner: string,
  before: Film | undefined,
  signal: AbortSignal,
): Promise<Film> {
  const storage = await Storage.open(owner).catch(() => null);
  let keeping: Promise<unknown> | undefined;
  const erased = erasedSoFar();
  try {
    const inBrowser = before
      ? null
      : ((await storage?.film(path).catch(() => null)) as readonly Stored[] | null);
    // What an earlier version kept in another form is asked for anew.
    const kept = before?.games ?? (inBrowser ?? []).filter((g) => g.packed instanceof Uint8Array).map(opened);
    try {
      const games = await newFilm(path, owner, kept, signal);
      if (before && !before.old && sameFilm(before.games, games)) return before;
      // The screen does not wait for the disk, nor for the copy of a season that the disk takes.
      if (storage)
        keeping = whenIdle()
          .then(async () => {
            // Signed out meanwhile: nothing is left on the browser.
            if (erasedSoFar() !== erased) return;
            await storage.keepFilm(path, games.map(stored));
            if (erasedSoFar() === erased) noteFilm(path, owner, haveOf(games));
          })
          .catch(() => undefined);
      return { games, old: false };
    } catch (error) {
      if (kept.length > 0) return { games: kept, old: true };
      if (error instanceof RangeError) throw new Error('The film arrived damaged; load the page again.');
      throw error instanceof TypeError ? new Error(NO_ANSWER) : error;
    }
  } finally {
    void Promise.resolve(keeping).then(() => storage?.close());
  }
}

const newCache = (): QueryClient =>
  new QueryClient({
    defaultOptions: {
      queries: {
        // Asked for at each visit; what did not change keeps its identity, so nothing is counted again.
        staleTime: 0,
        gcTime: 30 * 60_000,
        structuralSharing: false,
        retry: false,
        refetchOnWindowFocus: false,
        networkMode: 'always',
      },
    },
  });

/** `path`: /api/film with its teams. Seen before it shows at once; games that changed meanwhile follow. */
export function useFilm(path: string): FilmState {
  const { owner, tab } = useSync();
  const cache = tab.kept('film', newCache);
  const queryKey = [owner, path];
  const { data, error } = useQuery(
    {
      queryKey,
      queryFn: ({ signal }) => loadFilm(path, owner, cache.getQueryData<Film>(queryKey), signal),
    },
    cache,
  );
  if (data) return { kind: 'here', games: data.games, old: data.old };
  return error ? { kind: 'away', why: error.message } : { kind: 'loading' };
}
