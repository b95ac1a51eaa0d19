/** Another staff's spreadsheet, from the drop to the game; and a charting pass by keys alone. */
import path from 'node:path';
import { unpack } from '../core/table';
import { axe } from './axe';
import { expect, test } from './place';
import { HALF_GAME, line, saved, SITE, signIn, visit } from './staff';

const FIXTURES = path.join(import.meta.dirname, '../core/foreign/fixtures');
const SEMICOLONS = path.join(FIXTURES, 'semicolons-and-dates.csv');

test('a table with other words, dates for downs and a bad cell becomes a game; the next is read the same', async ({
  page,
}) => {
  await signIn(page);
  await visit(page, '/log/import');
  const choose = page.getByLabel('Files to import');
  await choose.setInputFiles(SEMICOLONS);
  await expect(page.getByRole('heading', { name: 'semicolons-and-dates.csv' })).toBeVisible();
  await expect(page.getByLabel('D-D is')).toHaveValue('down_distance');
  await expect(page.getByLabel('Ball is')).toHaveValue('spot');
  const send = page.getByRole('button', { name: /^Import \d+ snaps?$/ });
  await expect(send).toBeDisabled();
  await expect(page.getByText('Say who played: away and home.')).toBeVisible();
  await page.getByLabel('away', { exact: true }).selectOption('new');
  await page.getByLabel('name of the away team').fill('Larkspur Otters');
  await page.getByLabel('home', { exact: true }).selectOption('STG');
  await page.getByLabel('date', { exact: true }).fill('2026-10-03');
  await expect(page.getByText('Choose which team “LAN” is.')).toBeVisible();
  await page.getByLabel('“LAN” is').selectOption('away');
  // A letter where a digit belongs.
  const refused = page.getByRole('region', { name: 'Rows it cannot take' });
  await expect(refused).toContainText('10 rows = 4 snaps + 5 left out + 1 refused');
  await refused.getByRole('button', { name: 'Use STG 31' }).click();
  await expect(refused).toContainText('10 rows = 5 snaps + 5 left out + 0 refused');
  // The column of who carried is left out by hand.
  await page.getByLabel('Misc is').selectOption('');
  await axe(page);
  await expect(page.getByRole('region', { name: 'Does the arithmetic hold?' })).toContainText('STG');
  await send.click();
  await expect(page.getByText('Imported 5 snaps.')).toBeVisible();
  await page.getByRole('link', { name: 'To the game' }).click();
  await expect(page.getByTestId('snap-line')).toBeVisible();

  const zip = await page.request.get(`${SITE()}/api/export`);
  const files = unpack('program.zip', new Uint8Array(await zip.body()));
  if (!files.ok) throw new Error(files.remedy);
  const [head, ...rows] = files.files
    .find((f) => f.name === 'snaps.csv')!
    .text.split('\r\n')
    .map((row) => row.split(','));
  const mine = rows
    .filter((row) => row[head!.indexOf('game')]?.startsWith('2026-10-03-'))
    .map((row) =>
      [
        'order',
        'offense',
        'down',
        'distance',
        'to_goal',
        'hash',
        'formation',
        'concept',
        'gain',
        'result',
        'note',
      ]
        .map((c) => row[head!.indexOf(c)])
        .join(' '),
    );
  expect(mine).toEqual([
    '4 STG 1 10 75 M trips inside zone 6 gain ',
    '5 STG 2 4 69 L trips stick 0 incomplete ',
    '6 STG 3 4 69 L wing power -3 gain ',
    '7 STG 4 7 72 R    kick ',
    '9 STG 1 10 48 M spread four verticals 18 complete ',
  ]);

  await visit(page, '/log/import');
  await choose.setInputFiles(SEMICOLONS);
  await expect(page.getByText('read as the last file with these columns')).toBeVisible();
  await expect(page.getByLabel('Misc is')).toHaveValue('');
});

test('a workbook with a sheet a game, a file that is no table, and pasted cells', async ({ page }) => {
  await signIn(page);
  await visit(page, '/log/import');
  const choose = page.getByLabel('Files to import');
  await choose.setInputFiles({
    name: 'old.xls',
    mimeType: '',
    buffer: Buffer.from([0xd0, 0xcf, 0x11, 0xe0]),
  });
  await expect(page.getByText('old.xls is an old workbook (.xls); save it as .xlsx or .csv.')).toBeVisible();
  await choose.setInputFiles({ name: 'torn.xlsx', mimeType: '', buffer: Buffer.from('PK torn') });
  await expect(
    page.getByText('torn.xlsx is not a whole workbook; save it again as .xlsx or .csv.'),
  ).toBeVisible();
  await choose.setInputFiles(path.join(FIXTURES, 'a-sheet-a-game.xlsx'));
  await page.getByLabel('sheet', { exact: true }).selectOption({ label: 'Tallow Bay' });
  await expect(page.getByRole('region', { name: 'Rows it cannot take' })).toContainText(
    '4 rows = 3 snaps + 1 left out + 0 refused',
  );
  // One sheet after the other: each is a game of its own, and what is left is offered.
  const line = page.getByRole('region', { name: 'The game' });
  for (const [sheet, left] of [
    ['Tallow Bay', 'Orrin Gap'],
    ['Orrin Gap', null],
  ] as const) {
    await line.getByLabel('home', { exact: true }).selectOption({ label: 'Tidewick Drovers' });
    await line.getByLabel('away', { exact: true }).selectOption({ label: 'a new team …' });
    await line.getByLabel('name of the away team').fill(sheet);
    await page.getByRole('button', { name: /^Import \d snaps/ }).click();
    await expect(page.getByText(/^Imported \d snaps\./)).toBeVisible();
    const more = page.getByRole('button', { name: /^Next sheet/ });
    if (left === null) await expect(more).toHaveCount(0);
    else await more.click();
  }
  await expect(page.getByLabel('sheet', { exact: true })).toContainText('Tallow Bay, imported');
  await page.getByRole('button', { name: 'Another file' }).click();
  await page.getByLabel('paste cells of a spreadsheet').focus();
  await page.evaluate(() => {
    const data = new DataTransfer();
    data.setData('text/plain', 'Down\tDist\tSpot\tR/P\tYds\n1\t10\town 25\tR\t4\n2\t6\town 29\tP\tInc\n');
    document.activeElement!.dispatchEvent(
      new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
    );
  });
  await expect(page.getByRole('heading', { name: 'pasted cells.tsv' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Rows it cannot take' })).toContainText(
    '3 rows = 2 snaps + 1 left out + 0 refused',
  );
});

test('words nobody knows: one is a term of the book under another name, one becomes a new word', async ({
  page,
}) => {
  await signIn(page);
  await visit(page, '/log/import');
  await page.getByLabel('Files to import').setInputFiles(path.join(FIXTURES, 'words-nobody-knows.csv'));
  await page.getByLabel('away', { exact: true }).selectOption('OTT');
  await page.getByLabel('home', { exact: true }).selectOption('HER');
  const words = page.getByRole('region', { name: 'Their words, your terms' });
  await expect(words).toContainText('5 nobody knows');
  await words.getByLabel('outside zon is').selectOption('wide zone');
  await expect(words).toContainText('4 nobody knows');
  await words.getByLabel('larkspur is').selectOption({ label: 'a new word of the book' });
  await page.getByRole('button', { name: 'Import 4 snaps' }).click();
  await expect(page.getByText('Imported 4 snaps.')).toBeVisible();
  await saved(page);
  await visit(page, '/book?kind=formation');
  await expect(page.locator('#main').getByText('larkspur', { exact: true }).first()).toBeVisible();
});

test('a charting pass without the mouse: single keys, figures, back, undo, and all of it kept', async ({
  page,
}) => {
  await signIn(page);
  await visit(page, `/log/${HALF_GAME}`);
  // The page is alive: before that it takes the focus to the line once more.
  await expect(page.getByText(/snaps logged/)).toBeVisible();
  await page.getByRole('link', { name: 'charting passes' }).press('Enter');
  const strip = page.getByTestId('pass-strip');
  await expect(strip).toBeFocused();
  await visit(page, `/log/${HALF_GAME}/pass?pass=corners`);
  await expect(strip).toBeFocused();
  await expect(page.getByText('56 snaps left')).toBeVisible();
  const said = (field: string) => strip.locator('dl > div').filter({ hasText: field }).locator('dd');
  const title = page.getByRole('region', { name: 'Snap', exact: true }).getByRole('heading').first();
  const first = await title.textContent();
  for (const key of ['7', '1', '1', '2', '3', 'x', '-']) await page.keyboard.press(key);
  await expect(said('left corner depth')).toHaveText('7');
  await expect(said('left corner leverage')).toHaveText('inside');
  await expect(said('right corner depth')).toHaveText('12');
  await expect(said('right corner leverage')).toHaveText('outside');
  await expect(said('left safety depth')).toHaveText('not visible');
  await expect(said('right safety depth')).toHaveText('none');
  await page.keyboard.press('Backspace');
  for (const key of ['1', '4', '?']) await page.keyboard.press(key);
  await expect(said('right safety depth')).toHaveText('14 ?');
  await page.keyboard.press('Control+z');
  await expect(said('right safety depth')).toHaveText('14');
  // Out of its limits: named, nothing written.
  for (const key of ['Backspace', '4', '9']) await page.keyboard.press(key);
  await expect(strip.getByRole('status')).toContainText('whole number from 0 to 40');
  await page.keyboard.press('Escape');
  await expect(said('right safety depth')).toHaveText('14');
  await page.keyboard.press('ArrowDown');
  await expect(title).not.toHaveText(first!);
  // The rest of the series as the snap before.
  await page.keyboard.press('.');
  await expect(said('left corner depth')).toHaveText('7');
  await axe(page);
  await saved(page);
  await page.reload();
  await page.keyboard.press('ArrowUp');
  await expect(title).toHaveText(first!);
  await expect(said('right safety depth')).toHaveText('14');
  await expect(said('left safety depth')).toHaveText('not visible');
});

test('a pass while the server is away, and against another member: all of it is kept, the conflict shows both', async ({
  page,
  browser,
}) => {
  const other = await browser.newContext();
  const theirs = await other.newPage();
  await signIn(page);
  await signIn(theirs, 'Ivo Sedgewarden');
  const path_ = `/log/${HALF_GAME}/pass?pass=timing`;
  const strip = (p: typeof page) => p.getByTestId('pass-strip');
  const said = (p: typeof page, field: string) =>
    strip(p).locator('dl > div').filter({ hasText: field }).locator('dd');
  for (const p of [page, theirs]) {
    await visit(p, `${path_}`);
    await expect(strip(p)).toBeFocused();
  }
  await visit(page, `${path_}`);
  await expect(strip(page)).toBeFocused();
  await expect(page.getByText(/Ivo Sedgewarden is here on snap \d+/)).toBeVisible();
  // The store does not answer: keys go on, nothing is said to be saved.
  await page.route('**/api/sync*', (route) => route.abort());
  await strip(page).getByRole('button', { name: 'snap sign' }).click();
  await strip(page).focus();
  await page.keyboard.press('1');
  await expect(said(page, 'snap sign')).toHaveText('clap');
  await expect(page.locator('#saved')).toContainText('not saved: 1 waiting');
  // Meanwhile another member says otherwise, and is saved.
  await strip(theirs).getByRole('button', { name: 'snap sign' }).click();
  await strip(theirs).focus();
  await theirs.keyboard.press('2');
  await saved(theirs);
  // Half answers are repeated: the first goes through, its answer does not come back.
  let lost = 0;
  await page.unroute('**/api/sync*');
  await page.route('**/api/sync*', async (route) => {
    if (route.request().method() !== 'POST' || lost > 0) return route.continue();
    lost++;
    await route.fetch();
    return route.abort();
  });
  await strip(page).focus();
  await page.keyboard.press('Tab');
  const settle = page.getByRole('alert', { name: 'Changes to settle' });
  await expect(settle).toContainText('set snap sign to “leg”');
  await expect(settle).toContainText('you typed “clap”');
  await settle.getByRole('button', { name: 'take mine' }).click();
  await expect(settle).toHaveCount(0);
  await saved(page);
  await page.unroute('**/api/sync*');
  await theirs.reload();
  await expect(said(theirs, 'snap sign')).toHaveText('clap');
  await other.close();
});

test('the box score: totals, an official figure that differs, and the snaps that could explain it', async ({
  page,
}) => {
  await signIn(page);
  await visit(page, '/log');
  await page.getByRole('link', { name: 'box score of Dunmorrow Lanterns at Marrow Fen Stags' }).click();
  const totals = page.getByRole('region', { name: 'Team totals' });
  const yards = totals.getByRole('button', {
    name: /^rushing yards, Marrow Fen Stags -?\d+, open its snaps/,
  });
  const logged = Number(await yards.textContent());
  const official = page.getByLabel('official rushing yards, Marrow Fen Stags');
  await official.fill('12x');
  await official.press('Enter');
  await expect(page.getByText('“12x” is no whole number.')).toBeVisible();
  await official.fill(String(logged - 3));
  await official.press('Enter');
  const differs = page.getByRole('button', { name: new RegExp(`${logged} logged, ${logged - 3} official`) });
  await expect(differs).toHaveText('+3');
  await axe(page);
  await page.reload();
  await differs.click();
  const behind = page.getByRole('status', { name: 'Snaps behind the figure' });
  await expect(behind).toContainText('One of these, or one that is missing');
  await behind.getByRole('link').first().click();
  await expect(page).toHaveURL(/\?snap=/);
  await expect(line(page)).not.toHaveValue('');
  // The scorer's table, pasted.
  await visit(page, '/log/2026-w06-lan-stg/box');
  await page
    .getByLabel('Official figures to take')
    .fill('Team,STG,LAN\nRushes-Yards,30-99,28-120\nWeather,dry,dry\n');
  const pasted = page.getByRole('region', { name: 'Official figures' });
  await expect(pasted).toContainText('4 figures understood');
  await expect(pasted).toContainText('row 3, “Weather dry dry”');
  await pasted.getByRole('button', { name: 'Save them' }).click();
  await expect(official).toHaveValue('99');
  await page.reload();
  await expect(official).toHaveValue('99');
  // The professionals' way: sacks off the passing yards.
  await visit(page, '/log/2026-w06-lan-stg/box?sacks=pass');
  await expect(yards).not.toHaveText(String(logged));
});

test('a game closes when its findings are fixed, or with a reason', async ({ page }) => {
  await signIn(page);
  await visit(page, '/log');
  const row = page.getByRole('row').filter({ hasText: 'Dunmorrow Lanterns at Marrow Fen Stags' });
  await row.getByRole('button', { name: /^close/ }).click();
  await expect(row.getByRole('alert')).toContainText('findings stand: fix or keep each in Log');
  await row.getByLabel(/closed all the same$/).fill('the film ends there');
  await row.getByRole('button', { name: /^close all the same/ }).click();
  await expect(row.getByRole('button', { name: /^open / })).toBeVisible();
  await visit(page, '/staff');
  await expect(page.getByText('2026-w06-lan-stg closed: the film ends there').first()).toBeVisible();
});
