import { expect, test } from './place';
import { DEMO_SEED, simulateSeason } from '../demo/league';
import { pack, snapToRow, unpack, writeCsv } from '../core/table';
import { choose, SITE, enter, line, saved, type, visit } from './staff';

test.describe.configure({ mode: 'serial' });

const game = simulateSeason(DEMO_SEED, { tells: true, weeks: 2 }).reduce((a, b) =>
  Math.abs(b.snaps.length - 180) < Math.abs(a.snaps.length - 180) ? b : a,
);
const table = writeCsv('snaps', game.snaps.map(snapToRow));
const upload = (name: string, text: string) => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });

test('the first visit asks who you are, refuses what is wrong, keeps what was typed', async ({ page }) => {
  await visit(page, '/');
  await expect(page).toHaveURL(/\/first$/);
  await page.getByLabel('Program').fill('Alder staff');
  await choose(page, 'Level', 'college');
  await page.getByRole('textbox', { name: 'Team', exact: true }).fill('Saltmere Herons');
  await page.getByLabel('Short key of the team').fill('HER');
  await page.getByLabel('Your name').fill('Ada Analyst');
  await page.getByLabel('Password').fill('short');
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByText('The password needs at least 10 characters.')).toBeVisible();
  await expect(page.getByLabel('Program')).toHaveValue('Alder staff');
  await page.getByLabel('Password').fill('a good long password');
  await page.getByRole('button', { name: 'Begin' }).click();
  const steps = page.getByRole('region', { name: 'First steps' }).getByRole('listitem');
  await expect(steps).toHaveCount(4);
  await expect(steps.first()).toContainText('A game: start one with two teams, or import a file');
  await visit(page, '/first');
  await expect(page).not.toHaveURL(/first/);
});

test.describe('signed in', () => {
  test.beforeEach(async ({ page }) => {
    await visit(page, '/sign-in');
    await expect(page.getByText('Demo data')).toHaveCount(0);
    await page.getByLabel('Name').fill('ada analyst');
    await page.getByLabel('Password').fill('a good long password');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('heading', { name: 'What is next' })).toBeVisible();
  });

  test('a sample game comes with one click, is read, and goes again', async ({ page }) => {
    await page.getByRole('button', { name: 'Add the sample game' }).click();
    await expect(page.getByRole('status', { name: 'Done' })).toContainText('The sample game is here.');
    await expect(page.getByRole('region', { name: 'First steps' })).toHaveCount(0);
    await visit(page, '/read?team=LAN');
    await expect(page.getByRole('button', { name: /^\d+ snaps$/ }).first()).toBeVisible();
    await page.getByRole('link', { name: 'Log', exact: true }).click();
    await expect(
      page.getByRole('row', { name: /Dunmarrow Kestrels at Ferrow Point Lanterns · sample/ }),
    ).toBeVisible();
    await page.getByRole('button', { name: /^ask to remove sample-/ }).click();
    await page.getByRole('button', { name: /^remove sample-/ }).click();
    await expect(page.getByRole('status', { name: 'Done' })).toContainText('is removed.');
    await page.getByRole('link', { name: /^The week/ }).click();
    await expect(page.getByRole('region', { name: 'First steps' })).toBeVisible();
    // A game that was started by mistake goes the same way; Alt N leads to the form.
    await page.getByRole('link', { name: 'Log', exact: true }).click();
    await expect(page.getByLabel('Away')).toBeVisible();
    // Pressed again where it fell into the middle of the navigation, as a person would.
    await expect(async () => {
      await page.keyboard.press('Alt+n');
      await expect(page.getByLabel('Away')).toBeFocused({ timeout: 1_000 });
    }).toPass();
    await expect(page.getByLabel('Away').getByRole('option')).toHaveText(['Saltmere Herons', 'a new team …']);
  });

  test('a file with twelve faults: each named by row, column and remedy, nothing imported', async ({
    page,
  }) => {
    const rows = table.trim().split('\r\n');
    const header = rows[0]!.split(',');
    const spoiled = rows
      .map((row, i) => {
        const spoil: Record<number, [column: string, value: string]> = {
          2: ['down', '5'],
          3: ['hash', 'Left'],
          5: ['to_goal', '140'],
          7: ['clock', '9.12'],
          9: ['personnel', '1x'],
          11: ['carrier', 'QB'],
          13: ['penalties', 'holding'],
          15: ['quarter', '0'],
          17: ['gain', 'six'],
          19: ['offense', ''],
          21: ['result', 'catch'],
          23: ['snap_id', game.snaps[0]!.snapId],
        };
        const change = spoil[i];
        return change
          ? row
              .split(',')
              .map((cell, c) => (header[c] === change[0] ? change[1] : cell))
              .join(',')
          : row;
      })
      .join('\r\n');
    await visit(page, '/log/import');
    await page.getByLabel('Files to import').setInputFiles(upload('snaps.csv', spoiled));
    await page.getByRole('button', { name: 'Import', exact: true }).click();
    await expect(page.getByText('12 faults; nothing was imported.')).toBeVisible();
    const faults = page.getByRole('region', { name: 'Faults' }).getByRole('row');
    await expect(faults).toHaveCount(13);
    await expect(faults.filter({ hasText: 'one of L, M, R' })).toContainText('4');
    await expect(faults.filter({ hasText: 'two digits, backs then tight ends' })).toContainText('personnel');
    await visit(page, '/log');
    await expect(page.locator('#main').getByText('No games yet.')).toBeVisible();
  });

  test('a game of about 180 snaps by file upload, then export', async ({ page }) => {
    expect(game.snaps.length).toBeGreaterThanOrEqual(170);
    await visit(page, '/log/import');
    await page.getByLabel('Files to import').setInputFiles(upload('saturday.csv', table));
    await page.getByRole('button', { name: 'Import', exact: true }).click();
    await expect(page.getByText(`${game.snaps.length} snaps`)).toBeVisible();
    await visit(page, `/log/${game.key}`);
    await expect(page.getByText(`${game.snaps.length} snaps logged; all of them add up.`)).toBeVisible();
    const zip = await page.request.get(`${SITE()}/api/export`);
    const files = unpack('program.zip', new Uint8Array(await zip.body()));
    if (!files.ok) throw new Error(files.remedy);
    const out = files.files.find((f) => f.name === 'snaps.csv')!.text;
    expect(out.split('\r\n').sort()).toEqual(table.split('\r\n').sort());
    expect(pack(files.files).length).toBeGreaterThan(1000);
  });

  test('a game from nothing: who kicks off, a half without film, typed anchors', async ({ page }) => {
    await visit(page, '/log');
    await choose(page, 'Away', 'a new team …');
    await page.getByLabel('Name of the away team').fill('Fen Gulls');
    await choose(page, 'Home', 'Saltmere Herons');
    await page.getByRole('button', { name: 'Start game' }).click();
    await expect(page.getByText('Who kicks off?')).toBeVisible();
    await line(page).focus();
    // Enter alone saves nothing: it asks who kicks.
    await page.keyboard.type('kickoff tb');
    await page.keyboard.press('Enter');
    await expect(page.getByTestId('said')).toContainText('Say who has the ball first');
    await expect(line(page)).toHaveValue('kickoff tb');
    await page.keyboard.press('F7');
    await expect(page.getByTestId('before')).toHaveText('kickoff');
    await page.keyboard.press('Enter');
    await expect(page.getByText('The kickoff is logged')).toBeVisible();
    await expect(page.getByTestId('before')).toHaveText('1st & 10');
    await type(page, '11 trips r power r #22 +4');
    await type(page, '2&6 @o29 stick inc');
    await expect(page.getByText('3 snaps logged; all of them add up.')).toBeVisible();
    await page.keyboard.type('q3');
    await expect(page.getByText('Who kicks off?')).toBeVisible();
    await page.keyboard.press('F6');
    await type(page, ' kickoff 60 ret 20');
    await expect(page.getByTestId('before')).toHaveText('1st & 10');
    await saved(page);
  });

  test('an admin adds a member, who signs in and may not keep members', async ({ page, browser }) => {
    await visit(page, '/staff');
    await page.getByLabel('Name').fill('Bo Charter');
    await page.getByLabel('First password').fill('another good one');
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await expect(page.getByRole('cell', { name: 'Bo Charter', exact: true })).toBeVisible();
    const other = await (await browser.newContext()).newPage();
    await enter(other, 'Bo Charter', 'not this one');
    await expect(other.getByText('Name or password is wrong.')).toBeVisible();
    await enter(other, 'Bo Charter', 'another good one');
    await expect(other.getByRole('heading', { name: 'What is next' })).toBeVisible();
    await visit(other, '/staff');
    await expect(other.getByRole('button', { name: 'Add', exact: true })).toHaveCount(0);
    await other.context().close();
  });

  test('an admin without football is told who could see a page, and finds the staff', async ({
    page,
    browser,
  }) => {
    await visit(page, '/staff');
    await page.getByLabel('Name').fill('Kim Only Admin');
    await page.getByLabel('First password').fill('another good one');
    await page.getByRole('checkbox', { name: 'charter' }).uncheck();
    await page.getByRole('checkbox', { name: 'admin' }).check();
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await expect(page.getByRole('cell', { name: 'Kim Only Admin', exact: true })).toBeVisible();
    const other = await (await browser.newContext()).newPage();
    await enter(other, 'Kim Only Admin', 'another good one');
    await expect(other.getByText(/an admin finds members and backup under/)).toBeVisible();
    for (const path of ['/log', '/read', '/plan', '/book', '/book/draw']) {
      await visit(other, path);
      await expect(other.getByRole('heading', { name: 'Not for your roles' }), path).toBeVisible();
      await expect(other.getByText(/is for a coordinator or coach or charter/)).toBeVisible();
    }
    const refused = await other.request.get(`${SITE()}/api/book/cards`);
    expect([refused.status(), ((await refused.json()) as { error: string }).error]).toEqual([
      403,
      'reading the book is for a coordinator or coach or charter.',
    ]);
    await other.context().close();
  });
});
