import { violationsInTheDark, violationsOf } from './axe';
import { expect, test, type Page } from './place';
import { HALF_GAME, signIn, visit, rested } from './staff';

const found: string[] = [];

/** Looks at a screen in light and dark; all are looked at before the test says what was found. */
async function look(page: Page, what: string): Promise<void> {
  for (const [scheme, of] of [
    ['light', violationsOf],
    ['dark', violationsInTheDark],
  ] as const)
    found.push(...(await of(page)).map((v) => `${what}, ${scheme}: ${v}`));
}

test('axe finds no violation on any screen, light or dark', async ({ browser }) => {
  test.setTimeout(600_000);
  found.length = 0;
  const context = await browser.newContext({ colorScheme: 'light', reducedMotion: 'reduce' });
  const page = await context.newPage();
  await visit(page, '/sign-in');
  await look(page, 'sign in');
  // It would find something: a button nobody can name, words nobody can read.
  await page.evaluate(() => {
    document.querySelector('main')!.innerHTML += '<button></button><p style="color:#999">faint</p>';
  });
  expect((await violationsOf(page)).map((v) => v.split(':')[0])).toEqual(
    expect.arrayContaining(['button-name', 'color-contrast']),
  );
  await signIn(page);
  await look(page, 'week');
  await visit(page, '/plan');
  await look(page, 'plan');
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByRole('link', { name: 'Print preview' })).toBeVisible();
  const sheet = new URL(page.url()).pathname;
  await page
    .getByRole('button', { name: /^add .* to 1st & 10$/ })
    .first()
    .click();
  await expect(page.getByTestId('call')).toHaveCount(1);
  await look(page, 'sheet');
  await visit(page, '/plan');
  await rested(page);
  await page.getByLabel('For our').selectOption('defense');
  await page.getByRole('button', { name: 'Start' }).click();
  await page.getByRole('button', { name: 'draft what has no answer' }).click();
  await expect(page.getByRole('row', { name: /^check for 2x2/ })).toBeVisible();
  const checks = new URL(page.url()).pathname;
  await look(page, 'check table');
  await page.keyboard.press('Control+KeyK');
  await expect(
    page.getByRole('dialog', { name: 'Go to or do' }).getByText('Games', { exact: true }),
  ).toBeVisible();
  await look(page, 'command palette');
  await page.keyboard.press('Escape');
  for (const path of [
    '/log',
    '/log/import',
    '/log/season?team=STG',
    `/log/${HALF_GAME}`,
    '/log/2026-w06-lan-stg?snap=2026-w06-lan-stg-095',
    '/read?team=STG',
    '/read?team=STG&side=defense',
    '/read?team=STG&reel=row.2-long.runs',
    '/read/report?team=STG',
    '/book',
    '/book?kind=pass&term=pass-flood',
    '/book?kind=plays&play=play-power-right',
    '/book/draw',
    '/staff',
    `${sheet}/print`,
    `${sheet}/print?print=band`,
    `${checks}/print`,
    `${checks}/print?print=scout`,
    `${sheet}/print?print=test`,
    '/rep',
    sheet.replace('plan', 'rep'),
    checks.replace('plan', 'rep'),
  ]) {
    await visit(page, path);
    await rested(page);
    await look(page, path);
  }
  await visit(page, `/log/${HALF_GAME}`);
  await page.keyboard.type('11 trips r pwoer');
  await look(page, 'log with a problem');
  await page.keyboard.press('Escape');
  await page.keyboard.type('11 trips r gun 4-2 over cover 3 power r');
  await page.keyboard.press('Alt+KeyL');
  await expect(page.getByRole('dialog')).toBeVisible();
  await look(page, 'look card');
  await visit(page, '/staff');
  await page.getByRole('button', { name: 'Change the rules' }).click();
  await look(page, 'counting rules');
  await visit(page, '/book?term=formation-trips');
  await page.getByRole('button', { name: 'split trips' }).click();
  await expect(page.getByTestId('split-count')).toBeVisible();
  await look(page, 'splitting a word');
  await context.close();
  expect(found).toEqual([]);
});
