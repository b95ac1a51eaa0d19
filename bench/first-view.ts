/**
 * What a screen costs before it can be used: the script that its document asks for (gzip, over the wire), what it
 * fetches after that for parts that come later, and the time, in a browser that has nothing yet.
 */
import type { Browser } from '@playwright/test';

export interface Screen {
  readonly name: string;
  readonly path: string;
  /** What is seen when the screen can be used, by CSS. */
  readonly ready: string;
}

export const SCREENS: readonly Screen[] = [
  { name: 'Week', path: '/', ready: 'main h2' },
  { name: 'Games', path: '/log', ready: 'main h1' },
  { name: 'Log', path: '/log/2026-w08-stg-wre', ready: '[aria-label="The game so far"]:not([aria-busy])' },
  { name: 'Read', path: '/read', ready: '[aria-label="Situation board"] .num' },
  {
    name: 'Read, alive',
    path: '/read',
    ready: '[aria-label="Situation board"]:not([aria-busy]) .num',
  },
  { name: 'Sheets', path: '/plan', ready: 'main h1' },
  { name: 'Book', path: '/book', ready: '.termcards li' },
  { name: 'Draw', path: '/book/draw', ready: '.drawfield [data-letter]' },
  { name: 'Play list', path: '/book?kind=plays', ready: '[aria-label="Plays"] tbody tr' },
  { name: 'Staff', path: '/staff', ready: 'main h1' },
];
/** Limit of a first view in bytes. */
export const MOST_FIRST_SCRIPT = 250_000;

export interface FirstView {
  readonly screen: string;
  readonly scriptBytes: number;
  readonly laterBytes: number;
  readonly ms: number;
}

type Cookies = Parameters<Awaited<ReturnType<Browser['newContext']>>['addCookies']>[0];

/** One first visit, signed in, with an empty cache. */
export async function firstView(
  browser: Browser,
  base: string,
  screen: Screen,
  cookies: Cookies,
): Promise<FirstView> {
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'block',
  });
  try {
    await context.addCookies(cookies);
    const page = await context.newPage();
    const wire = await context.newCDPSession(page);
    await wire.send('Network.enable');
    const address = new Map<string, string>();
    const bytes = new Map<string, number>();
    wire.on('Network.responseReceived', (received) => {
      if (received.type === 'Script')
        address.set(received.requestId, new URL(received.response.url).pathname);
    });
    wire.on('Network.loadingFinished', (finished) => {
      const path = address.get(finished.requestId);
      if (path) bytes.set(path, finished.encodedDataLength);
    });
    // By the page's own clock from the navigation on, after the frame that draws it: asked from outside, it answers when it has time.
    // As text: the loader of the command line would wrap functions with helpers that the page does not know.
    await page.addInitScript(`{
      const look = () => {
        if (!document.querySelector(${JSON.stringify(screen.ready)})?.checkVisibility()) return requestAnimationFrame(look);
        setTimeout(() => { window.ready = performance.now(); });
      };
      requestAnimationFrame(look);
    }`);
    const response = await page.goto(base + screen.path);
    await page.waitForFunction(() => 'ready' in window);
    const ms = await page.evaluate(() => (window as unknown as { ready: number }).ready);
    await page.waitForLoadState('networkidle');
    const html = await response!.text();
    const asked = new Set(
      [...html.matchAll(/<script[^>]*\ssrc="([^"]+)"/g)].map((m) => new URL(m[1]!, base).pathname),
    );
    const sum = (first: boolean): number =>
      [...bytes].filter(([path]) => asked.has(path) === first).reduce((n, [, size]) => n + size, 0);
    return { screen: screen.name, scriptBytes: sum(true), laterBytes: sum(false), ms };
  } finally {
    await context.close();
  }
}
