/** Key to echo and Enter to the next snap, in Debian's Chromium against a real server and database. */
import { chromium, type Browser } from '@playwright/test';
import { firstView, SCREENS, type FirstView } from './first-view';
import { ticks } from './machine';
import type { Row } from './run';
import { GAME, withStage } from './stage';

export const CHROMIUM = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];
const SNAPS = [
  '11 trips r gun 4-2 over cover 3 strong power r #22 +2',
  '.. stick #7>#81 +3',
  '12 wing l pistol inside zone l #22 +2',
  '11 doubles r gun quarters mesh inc',
  '@o40 1&10 11 spread gun levels #7>#11 +4',
];

interface Measured {
  echo: number[];
  longFrames: number;
  next: number[];
  stored: number[];
}

const VISITS = 5;

/** Each screen's first visit with nothing cached: the time, and the script it asks for. */
async function firstViewRows(
  browser: Browser,
  base: string,
  cookies: Parameters<typeof firstView>[3],
): Promise<Row[]> {
  const rows: Row[] = [];
  for (const screen of SCREENS) {
    const visits: FirstView[] = [];
    for (let i = 0; i < VISITS; i++) visits.push(await firstView(browser, base, screen, cookies));
    const kilobytes = (bytes: number): number => Math.round(bytes / 1000);
    rows.push({
      what: `first view of ${screen.name}`,
      n: VISITS,
      unit: 'ms',
      times: visits.map((v) => v.ms),
      note: `${kilobytes(visits[0]!.scriptBytes)} kB of script, ${kilobytes(visits[0]!.laterBytes)} kB later`,
    });
  }
  return rows;
}

/** Milliseconds between keys: faster than any typist keeps up (120 words a minute are 100 ms a key). */
const PACE = 50;
const ROUNDS = 12;

/** A book of this many words, besides the demo's season of earlier snaps. */
const WORDS = 1000;

export const browserRows = (): Promise<Row[]> =>
  withStage({ cluster: 'e2e', members: 0, words: WORDS }, async ({ base }) => {
    const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: CHROMIUM });
    try {
      const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
      await page.goto(`${base}/sign-in`);
      await page.getByRole('button', { name: /Okafor/ }).click();
      await page.getByRole('heading', { name: 'What is next' }).waitFor();
      await page.goto(`${base}/log/${GAME}`);
      await page.getByTestId('snap-line').waitFor();
      await page.evaluate(() => {
        const taken: Measured = { echo: [], longFrames: 0, next: [], stored: [] };
        (window as unknown as { measured: Measured }).measured = taken;
        const input = document.querySelector<HTMLInputElement>('[data-testid=snap-line]')!;
        const root = document.querySelector('main')!;
        // Keydown handler to the commit of the DOM; painting is not in it.
        let began = 0;
        let entered = 0;
        let kept = 0;
        window.addEventListener(
          'keydown',
          (event) => {
            began = performance.now();
            if (event.key === 'Enter') entered = kept = began;
          },
          true,
        );
        new MutationObserver(() => {
          if (began > 0 && entered === 0) taken.echo.push(performance.now() - began);
          began = 0;
          if (entered > 0 && input.value === '' && document.activeElement === input) {
            taken.next.push(performance.now() - entered);
            entered = 0;
          }
        }).observe(root, { subtree: true, childList: true, characterData: true, attributes: true });
        new PerformanceObserver((list) => {
          taken.longFrames += list.getEntries().filter((x) => x.duration > 50).length;
        }).observe({ entryTypes: ['longtask'] });
        const send = window.fetch;
        window.fetch = async (...request) => {
          const at = kept;
          const answer = await send(...request);
          if (String(request[0]).includes('/api/sync') && request[1]?.method === 'POST')
            taken.stored.push(performance.now() - at);
          return answer;
        };
      });
      let keys = 0;
      const before = ticks();
      for (let round = 0; round < ROUNDS; round++) {
        for (const line of SNAPS) {
          await page.keyboard.type(line, { delay: PACE });
          keys += line.length;
          await page.keyboard.press('Enter');
          await page.waitForTimeout(PACE);
          // Asked now and then: asked each frame, the page paints all the time and competes with what is measured.
          await page.waitForFunction(
            () => /^saved/.test(document.getElementById('saved')?.textContent ?? ''),
            undefined,
            { polling: PACE },
          );
        }
      }
      const after = ticks();
      const stolen = Math.round((100 * (after.stolen - before.stolen)) / Math.max(1, after.all - before.all));
      const m = await page.evaluate(() => (window as unknown as { measured: Measured }).measured);
      const row = (what: string, times: readonly number[], note = ''): Row => ({
        what,
        n: times.length,
        unit: 'ms',
        times,
        note,
      });
      return [
        row(
          'key to echo (handler to DOM, painting excluded)',
          m.echo,
          `${keys} keys typed, a book of ${WORDS} words, ${m.longFrames} frames over 50 ms, ${stolen} % of the machine stolen by its host`,
        ),
        row('Enter to the caret in an empty line', m.next),
        row('Enter to acknowledged by PostgreSQL', m.stored),
        ...(await firstViewRows(browser, base, await page.context().cookies())),
      ];
    } finally {
      await browser.close();
    }
  });
