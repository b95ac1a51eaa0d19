/// <reference lib="webworker" />
/**
 * The offline shell. Scripts, styles and fonts are kept from the build; pages are kept for the member who
 * opened them, by his key, and given when the network or the server is away. Answers of /api/ are never kept.
 */
import { Serwist, type PrecacheEntry, type SerwistGlobalConfig } from 'serwist';
import { isKeptPage, KEPT_PAGES, OWNER_CACHE, pagesCache } from './offline-pages';

declare global {
  interface WorkerGlobalScope extends SerwistGlobalConfig {
    __SW_MANIFEST: (PrecacheEntry | string)[] | undefined;
  }
}
declare const self: ServiceWorkerGlobalScope;

const WAIT_MS = 8000;
const FRESH_MS = 10 * 60_000;

async function currentOwner(): Promise<string | null> {
  const entry = await caches.match('/owner', { cacheName: OWNER_CACHE });
  return entry ? entry.text() : null;
}

/** A page of the member, kept whatever its search; null when there is none. */
async function keptPage(url: string): Promise<Response | null> {
  const owner = await currentOwner();
  if (owner === null) return null;
  return (await caches.match(new URL(url).pathname, { cacheName: pagesCache(owner) })) ?? null;
}

/** Keeps a page for its member: fetched anew, whole, and only if it is really his. */
async function remember(owner: string, url: string): Promise<void> {
  await (await caches.open(OWNER_CACHE)).put('/owner', new Response(owner));
  const { pathname } = new URL(url, self.location.origin);
  if (!isKeptPage(pathname)) return;
  const cache = await caches.open(pagesCache(owner));
  const before = await cache.match(pathname);
  const at = Number(before?.headers.get('x-kept-at') ?? 0);
  // A clock that went back makes it fetch once more, no worse.
  if (before && Math.abs(Date.now() - at) < FRESH_MS) return;
  const response = await fetch(pathname, {
    credentials: 'same-origin',
    headers: { accept: 'text/html' },
  }).catch(() => null);
  if (
    !response?.ok ||
    response.redirected ||
    !(response.headers.get('content-type') ?? '').includes('text/html')
  )
    return;
  const html = await response.text();
  if (!html.includes(owner)) return;
  const headers = new Headers(response.headers);
  headers.set('x-kept-at', String(Date.now()));
  headers.delete('content-encoding');
  await cache.put(pathname, new Response(html, { headers }));
  const keys = await cache.keys();
  for (const old of keys.slice(0, Math.max(0, keys.length - KEPT_PAGES))) await cache.delete(old);
}

const escape = (text: string): string => text.replace(/[&<>"]/g, (c) => `&#${c.charCodeAt(0)};`);

/** Said instead of the browser's error page: what can be opened without a network. */
async function offlinePage(): Promise<Response> {
  const owner = await currentOwner();
  const pages =
    owner === null
      ? []
      : (await (await caches.open(pagesCache(owner))).keys()).map((r) => decodeURI(new URL(r.url).pathname));
  const name = (p: string): string => (p === '/' ? 'the week' : p.slice(1).replace('/', ': '));
  const list =
    pages.length === 0
      ? '<p>No page was opened on this browser before.</p>'
      : `<p>These were opened here before and work without it:</p><ul>${pages.map((p) => `<li><a href="${escape(encodeURI(p))}">${escape(name(p))}</a></li>`).join('')}</ul>`;
  const html = `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>No network · Vobrik</title><style>body{font:16px/1.5 system-ui,sans-serif;max-width:38em;margin:12vh auto;padding:0 1em;color:#1b1b1b;background:#fbfaf7}a{color:inherit}@media(prefers-color-scheme:dark){body{color:#eee;background:#191a1c}}</style></head><body><main><h1>The server does not answer</h1><p>This page needs it. What you typed is kept in this browser and saved when it is back.</p>${list}<p><a href="">Try again</a></p></main></body></html>`;
  return new Response(html, {
    status: 503,
    headers: {
      'content-type': 'text/html; charset=utf-8',
      'cache-control': 'no-store',
      'content-security-policy': "default-src 'none'; style-src 'unsafe-inline'",
    },
  });
}

async function navigate(request: Request): Promise<Response> {
  const kept = await keptPage(request.url);
  // Until the server answers: a signal of the fetch's own time would cut a page that comes slowly in two, and it would never be alive.
  const late = new AbortController();
  const timer = kept ? setTimeout(() => late.abort(), WAIT_MS) : undefined;
  try {
    const response = await fetch(request, { signal: AbortSignal.any([request.signal, late.signal]) });
    // A server without its database makes no page; what was kept is better than its apology.
    return response.status >= 500 && kept ? kept : response;
  } catch {
    return kept ?? offlinePage();
  } finally {
    clearTimeout(timer);
  }
}

const serwist = new Serwist({
  precacheEntries: self.__SW_MANIFEST ?? [],
  skipWaiting: true,
  clientsClaim: true,
  navigationPreload: false,
  runtimeCaching: [
    {
      matcher: ({ request, sameOrigin, url }) =>
        sameOrigin && request.mode === 'navigate' && !url.pathname.startsWith('/api/'),
      handler: ({ request }) => navigate(request),
    },
  ],
});
/**
 * The script of a web worker, in a response without an address of its own: else the worker stands at the address of
 * what was cached, without the fragment that tells it what to load.
 */
async function workerScript(request: Request): Promise<Response> {
  const response = (await caches.match(request)) ?? (await fetch(request));
  const { status, statusText, headers } = response;
  return new Response(response.body, { status, statusText, headers });
}
self.addEventListener('fetch', (event) => {
  if (event.request.destination !== 'worker') return;
  event.stopImmediatePropagation();
  event.respondWith(workerScript(event.request));
});
serwist.addEventListeners();

/** A browser that can be told what never concerns this worker (static routing) does not ask, and need not start it, for each save. */
interface RoutedInstall extends ExtendableEvent {
  addRoutes?(rules: {
    readonly condition: { readonly urlPattern: string };
    readonly source: 'network';
  }): Promise<void>;
}
self.addEventListener('install', (event: RoutedInstall) => {
  const routed = event.addRoutes?.({ condition: { urlPattern: '/api/*' }, source: 'network' });
  if (routed) event.waitUntil(routed.catch(() => undefined));
});

self.addEventListener('message', (event) => {
  const data = event.data as { kind?: string; owner?: string; url?: string } | null;
  if (data?.kind === 'remember' && typeof data.owner === 'string' && typeof data.url === 'string')
    event.waitUntil(remember(data.owner, data.url).catch(() => undefined));
});
