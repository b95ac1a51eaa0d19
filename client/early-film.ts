/** The film as the page asks for it before its script is there. */
export const EARLY_FILM = 'vobrikFilm';
/** Which games this browser keeps, with their stamps: before the member and the address of the film. */
export const HAVE_FILM = 'vobrik.film.';

interface Early {
  /** Address, member, what was said to be here, the answer, and the way to do without it. */
  readonly p: string;
  readonly o: string;
  readonly h: string;
  readonly a: Promise<Response>;
  readonly s: AbortController;
}
/** Later than this it is no news. */
const FRESH_MS = 30_000;

/** The answer that is on its way to the same question, once; null: there is none. `now`: milliseconds since the page began. */
export function takeEarly(path: string, owner: string, have: string, now: number): Promise<Response> | null {
  const world = globalThis as { [EARLY_FILM]?: Early };
  const early = world[EARLY_FILM];
  if (!early) return null;
  delete world[EARLY_FILM];
  if (early.p === path && early.o === owner && early.h === have && now < FRESH_MS) return early.a;
  early.s.abort();
  return null;
}

/** Notes what this browser keeps, for the next page. */
export function noteFilm(path: string, owner: string, have: string): void {
  try {
    localStorage.setItem(`${HAVE_FILM}${owner}${path}`, have);
  } catch {
    // The next page asks for all of it.
  }
}
