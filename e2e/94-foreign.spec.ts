/** Another staff's spreadsheet, from the drop to the game: proposed, corrected, imported, remembered. */
import AxeBuilder from '@axe-core/playwright';
import path from 'node:path';
import { unpack } from '../core/table';
import { expect, test } from './place';
import { SITE, signIn } from './staff';

const FIXTURES = path.join(import.meta.dirname, '../core/foreign/fixtures');
const SEMICOLONS = path.join(FIXTURES, 'semicolons-and-dates.csv');

test('a table with other words, dates for downs and a bad cell becomes a game; the next is read the same', async ({
  page,
}) => {
  await signIn(page);
  await page.goto(`${SITE()}/log/import`);
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
  const axe = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'])
    .analyze();
  expect(axe.violations.map((v) => `${v.id}: ${v.nodes[0]?.html.slice(0, 160)}`)).toEqual([]);
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

  await page.goto(`${SITE()}/log/import`);
  await choose.setInputFiles(SEMICOLONS);
  await expect(page.getByText('read as the last file with these columns')).toBeVisible();
  await expect(page.getByLabel('Misc is')).toHaveValue('');
});

test('a workbook with a sheet a game, a file that is no table, and pasted cells', async ({ page }) => {
  await signIn(page);
  await page.goto(`${SITE()}/log/import`);
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
