import { firstView, MOST_FIRST_SCRIPT, SCREENS } from '../bench/first-view';
import type { Locator, Page } from '@playwright/test';
import { expect, test } from './place';
import { signIn, SITE, visit } from './staff';

test('no screen asks for more than 250 kB of script before it can be used', async ({ page, browser }) => {
  await signIn(page);
  const cookies = await page.context().cookies();
  for (const screen of SCREENS) {
    const { scriptBytes } = await firstView(browser, SITE(), screen, cookies);
    // It was really measured: React alone is more than this.
    expect(scriptBytes, screen.name).toBeGreaterThan(60_000);
    expect(scriptBytes, screen.name).toBeLessThan(MOST_FIRST_SCRIPT);
  }
});

/** The board as text, a line a situation: its words, its marks and its rate. */
const boardLines = (card: Locator): Promise<string[]> =>
  card
    .locator('tbody tr')
    .evaluateAll((rows) =>
      rows.map((row) =>
        [
          row.firstElementChild!.textContent,
          row.querySelector('td svg')!.getAttribute('aria-label'),
          ...[...row.querySelectorAll('path')].map((path) => path.getAttribute('d')),
          row.lastElementChild!.textContent,
        ].join(' '),
      ),
    );

test('the board that the server draws says what the page says, and its doors lead there without a script', async ({
  page,
  browser,
}) => {
  await signIn(page);
  const bare = await browser.newContext({
    javaScriptEnabled: false,
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
  });
  await bare.addCookies(await page.context().cookies());
  const served = await bare.newPage();
  const board = (of: Page) => of.getByRole('region', { name: 'Situation board' });
  let lines = 0;
  for (const search of [
    '',
    '?last=2',
    '?halflife=1',
    '?filter=personnel:11&cell=1st_10',
    '?team=HER&range=distance:4..9',
  ]) {
    await visit(page, `/read${search}`);
    await expect(page.locator('[aria-label="Situation board"]:not([aria-busy])')).toBeVisible();
    const alive = await boardLines(board(page));
    // What waits in the document is moved to its place by a script; without one it stands below.
    await served.goto(`${SITE()}/read${search}`);
    expect(await boardLines(served.locator('[aria-label="Situation board"]')), search).toEqual(alive);
    lines += alive.length;
  }
  expect(lines).toBeGreaterThan(40);
  const href = await served.locator('[aria-label="Situation board"] a.num').first().getAttribute('href');
  const said = await served.locator('[aria-label="Situation board"] a.num').first().textContent();
  await visit(page, href!);
  const [k] = /\d+/.exec(said!)!;
  await expect(page.getByRole('dialog')).toContainText(`: ${k} snap`);
  await visit(page, '/read?side=defense');
  await expect(page.getByRole('region', { name: 'Situation board' })).toHaveCount(0);
  await bare.close();
});
