/** What this browser keeps besides the queue: pages for the time without a network, drafts; and how it is taken off. */
import { HAVE_FILM } from './early-film';
import { OWNER_CACHE, pagesCache } from './offline-pages';
import { Storage } from './storage';

/** Asks the service worker to keep this page for its member. */
export async function remember(owner: string, url: string): Promise<void> {
  if (!('serviceWorker' in navigator)) return;
  const registration = await navigator.serviceWorker.register('/sw.js').catch(() => null);
  if (!registration) return;
  const ready = await navigator.serviceWorker.ready;
  ready.active?.postMessage({ kind: 'remember', owner, url });
}

/** Pages kept for a member. */
export async function erasePages(owner: string): Promise<void> {
  if (!('caches' in globalThis)) return;
  await caches.delete(pagesCache(owner));
  await caches.delete(OWNER_CACHE);
}

let erasures = 0;
/** What is kept late asks whether anything was taken off meanwhile: then it is not kept. */
export const erasedSoFar = (): number => erasures;

/** Erases a member's pages, drafts and notes: at sign-out. */
export async function eraseOffline(owner: string): Promise<void> {
  erasures++;
  await erasePages(owner);
  try {
    for (const key of Object.keys(localStorage))
      if (key.startsWith(`${DRAFTS}${owner}`) || key.startsWith(`${HAVE_FILM}${owner}`))
        localStorage.removeItem(key);
  } catch {
    // A browser that keeps nothing has nothing to erase.
  }
}

/** Nobody is signed in: pages and rows that somebody could read are taken off; what was typed waits for its member. */
export async function eraseReadings(): Promise<void> {
  erasures++;
  try {
    for (const key of Object.keys(localStorage)) if (key.startsWith(HAVE_FILM)) localStorage.removeItem(key);
  } catch {
    // A browser that keeps nothing has nothing to erase.
  }
  if ('caches' in globalThis)
    for (const name of await caches.keys())
      if (name.startsWith('vobrik-pages.') || name === OWNER_CACHE) await caches.delete(name);
  const names = (await indexedDB.databases?.()) ?? [];
  for (const { name } of names) {
    if (!name?.startsWith('vobrik.')) continue;
    const storage = await Storage.open(name.slice('vobrik.'.length));
    await storage.forgetRows();
    storage.close();
  }
}

export const DRAFTS = 'vobrik.draft.';
/** A draft is a convenience: a full or forbidden storage must not stop the typing. */
export function keepDraft(key: string, text: string): void {
  try {
    if (text === '') localStorage.removeItem(DRAFTS + key);
    else localStorage.setItem(DRAFTS + key, text);
  } catch {
    // Nothing kept.
  }
}
export function draftOf(key: string): string {
  try {
    return localStorage.getItem(DRAFTS + key) ?? '';
  } catch {
    return '';
  }
}
