/** What the service worker keeps for the time without a network, and the way to take it off the browser. */

/** Pages of one member in one program. */
export const pagesCache = (owner: string): string => `vobrik-pages.${owner}`;

/** Tells the service worker whose pages it may keep, and that this page is one to keep. */
export async function remember(owner: string, url: string): Promise<void> {
  if (!('serviceWorker' in navigator)) return;
  const registration = await navigator.serviceWorker.ready.catch(() => null);
  registration?.active?.postMessage({ kind: 'remember', owner, url });
}

/** Erases a member's pages and drafts. */
export async function eraseOffline(owner: string): Promise<void> {
  if ('caches' in window) await caches.delete(pagesCache(owner));
  try {
    for (const key of Object.keys(localStorage)) if (key.startsWith('vobrik.') && key.includes(owner)) localStorage.removeItem(key);
  } catch {
    // A browser that keeps nothing has nothing to erase.
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
