/** Five men on the board, backs, notes, people that do not fit a picture, and keys typed too early. */
import { expect, test } from './place';
import { choose, SITE, line, saved, signIn, type, visit, rested } from './staff';

test('five men stand on the board of a flag game; its formation is typed, drawn and counted apart', async ({
  page,
}) => {
  await signIn(page);
  await visit(page, '/book/draw');
  await choose(page, 'game', '5-a-side flag');
  await expect(page.locator('.drawfield g[data-letter]')).toHaveCount(5);
  await page.getByRole('textbox', { name: 'By words' }).fill('X-10 Y+7o1 Z+11o1');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('structure')).toContainText('2x1 to the right, twins right');
  await page.getByRole('textbox', { name: 'Name' }).fill('kite');
  await page.getByRole('button', { name: 'Save in the Book' }).click();
  await expect(page.getByRole('status').filter({ hasText: '“kite” is in the book' })).toBeVisible();

  await visit(page, '/log');
  for (const [label, option] of [
    ['Away', 'Dunmorrow Lanterns'],
    ['Home', 'Tidewick Drovers'],
    ['Kind of film', 'flag'],
    ['Level', '5-a-side flag'],
  ] as const) {
    await choose(page, label, option);
  }
  await page.getByRole('button', { name: 'Start game' }).click();
  await type(page, 'offense=LAN defense=DRO 1&10 @t45 kite r cover 3 smash +6');
  await saved(page);
  await visit(page, '/read?team=LAN&film=five');
  await expect(page.getByRole('heading', { name: 'kite right' })).toBeVisible();
  await expect(page.getByRole('img', { name: /kite right: 2x1/ })).toBeVisible();
  await visit(page, '/read?team=LAN');
  await expect(page.getByRole('heading', { name: 'kite right' })).toHaveCount(0);
});

test('a backfield is drawn by its own points, a word has notes and another name', async ({ page }) => {
  await signIn(page);
  await visit(page, '/book?kind=backfield&term=backfield-gun-wide');
  await page.getByRole('link', { name: 'Draw', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Draw “gun wide”' })).toBeVisible();
  await page.getByRole('button', { name: /^T: 4\.0 yards left/ }).focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByText(/T-4o5\.5/)).toBeVisible();
  await page.getByRole('button', { name: 'Save the drawing' }).click();
  await expect(
    page.getByRole('status').filter({ hasText: 'changed; what follows from it is computed anew' }),
  ).toBeVisible();

  await visit(page, '/book?kind=coverage&term=coverage-trap');
  await page.getByRole('button', { name: 'aliases of trap' }).click();
  await page.getByRole('textbox', { name: 'Also said' }).last().fill('trap 2, corner trap');
  await page.getByRole('textbox', { name: 'Notes' }).fill('only against condensed sets');
  await page.getByRole('dialog').getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('region', { name: 'The word trap' })).toContainText(
    'only against condensed sets',
  );
  await page
    .getByRole('region', { name: 'The word trap' })
    .getByRole('button', { name: 'Look card' })
    .click();
  await expect(page.getByRole('dialog')).toContainText('2 deep, 5 under, 4 rush');
});

test('people that the picture cannot hold are said while the line is typed', async ({ page }) => {
  await signIn(page);
  await visit(page, '/log/2026-w08-stg-wre');
  await expect(line(page)).toBeFocused();
  await page.keyboard.type('11 ace r under');
  await expect(page.getByTestId('says')).toHaveText(
    '11 personnel has 1 tight end, the formation shows 2 attached to the line.',
  );
  await page.keyboard.press('Escape');
});

test('no keystroke is lost while the page comes alive', async ({ page }) => {
  await signIn(page);
  for (let round = 0; round < 3; round++) {
    await page.goto(`${SITE()}/log/2026-w08-stg-wre`, { waitUntil: 'commit' });
    await line(page).waitFor();
    await expect(line(page)).toBeFocused();
    await page.keyboard.type('12 wing l power l', { delay: 5 });
    await expect(line(page)).toHaveValue('12 wing l power l');
    await rested(page);
    await expect(line(page)).toHaveValue('12 wing l power l');
    await page.keyboard.press('Escape');
    await expect(line(page)).toHaveValue('');
  }
});

test('what is chosen and typed before the page is alive stands', async ({ page }) => {
  await signIn(page);
  // The markup is there, its scripts are not yet.
  let goOn = (): void => undefined;
  const go = new Promise<void>((resolve) => (goOn = resolve));
  await page.route('**/_next/static/**/*.js', async (route) => {
    await go;
    await route.continue();
  });
  await page.goto(`${SITE()}/log`, { waitUntil: 'commit' });
  await choose(page, 'Away', 'Marrow Fen Stags');
  await choose(page, 'Home', 'Tidewick Drovers');
  await choose(page, 'Kind of film', 'seven on seven');
  await choose(page, 'Level', '7-on-7');
  await page.getByRole('textbox', { name: 'Week' }).fill('12');
  // The way stays as it is: what is under way when a way is taken back may fail, and a page without its scripts loads anew.
  goOn();
  await rested(page);
  await page.getByRole('button', { name: 'Start game' }).click();
  await expect(page.getByText('Who kicks off?')).toBeVisible();
  await expect(line(page)).toBeFocused();
  await visit(page, '/log/season?team=STG');
  await expect(page.getByRole('row', { name: /seven on seven/ })).toBeVisible();
});

test('a part that cannot be loaded takes no screen with it, and comes with the network', async ({
  page,
  context,
}) => {
  await signIn(page);
  await visit(page, '/log/2026-w08-stg-wre');
  await expect(line(page)).toBeFocused();
  await rested(page);
  await page.keyboard.type('12 wing l power l');
  await context.setOffline(true);
  await page.keyboard.press('Control+/');
  await expect(page.getByText('A part of this page could not be loaded.')).toBeVisible();
  await expect(line(page)).toHaveValue('12 wing l power l');
  await context.setOffline(false);
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.keyboard.press('Escape');
  await line(page).press('Escape');
});
