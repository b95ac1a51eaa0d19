/** What a screen costs before it can be used: script over the wire (gzip) and time, in a browser that has nothing yet. */
import type { Browser } from '@playwright/test';

export interface Screen {
  readonly name: string;
  readonly path: string;
  /** Seen when the screen can be used. */
  readonly ready: string;
}

export const SCREENS: readonly Screen[] = [
  { name: 'Week', path: '/', ready: 'h1, h2 >> text=What is next' },
  { name: 'Games', path: '/log', ready: 'main h1' },
  { name: 'Log', path: '/log/2026-w08-stg-wre', ready: '[data-testid=finding], [aria-label="Snap line"] input' },
  { name: 'Read', path: '/read', ready: 'main table tbody tr' },
  { name: 'Plan', path: '/plan', ready: 'main h1' },
  { name: 'Book', path: '/book', ready: '.termcard, main h1' },
  { name: 'Draw', path: '/book/draw', ready: 'main svg' },
  { name: 'Play list', path: '/book?kind=plays', ready: 'main h1' },
  { name: 'Staff', path: '/staff', ready: 'main h1' },
];

export interface FirstView {
  readonly screen: string;
  readonly scriptBytes: number;
  readonly ms: number;
}

/** One first visit, signed in, with an empty cache. */
export async function firstView(
  browser: Browser,
  base: string,
  screen: Screen,
  cookies: Parameters<Awaited<ReturnType<Browser['newContext']>>['addCookies']>[0],
): Promise<FirstView> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
  try {
    await context.addCookies(cookies);
    const page = await context.newPage();
    const wire = await context.newCDPSession(page);
    await wire.send('Network.enable');
    const scripts = new Set<string>();
    let scriptBytes = 0;
    wire.on('Network.responseReceived', (e) => {
      if (e.type === 'Script') scripts.add(e.requestId);
    });
    wire.on('Network.loadingFinished', (e) => {
      if (scripts.has(e.requestId)) scriptBytes += e.encodedDataLength;
    });
    const from = performance.now();
    await page.goto(base + screen.path);
    await page.locator(screen.ready).first().waitFor();
    // Alive, not only drawn: the frame answers.
    await page.locator('#main').waitFor();
    await page.waitForFunction(() => document.readyState === 'complete');
    return { screen: screen.name, scriptBytes, ms: performance.now() - from };
  } finally {
    await context.close();
  }
}
