/** What a staff does around charting, by keys: find, many at once, plans, rosters, the drill, two charters, the season. */
import { unpack } from '../core/table';
import { axe } from './axe';
import { expect, test, type Page } from './place';
import { HALF_GAME, line, rested, saved, SITE, signIn, visit } from './staff';

test('find with a slash, mark all, change them together, one undo', async ({ page }) => {
  await signIn(page);
  await visit(page, `/log/${HALF_GAME}`);
  await expect(line(page)).toBeFocused();
  await expect(page.locator('[aria-label="The game so far"]:not([aria-busy])')).toBeVisible();
  await page.keyboard.type('/3rd zebra');
  await expect(page.getByText('No snap is logged with “zebra”.')).toBeVisible();
  for (let i = 0; i < 6; i++) await page.keyboard.press('Backspace');
  await expect(page.getByRole('status').filter({ hasText: '1 of 9' })).toBeVisible();
  await axe(page);
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(line(page)).toHaveAttribute('aria-label', 'editing snap 10');
  await page.keyboard.press('Alt+N');
  await expect(line(page)).toHaveAttribute('aria-label', 'editing snap 18');
  await page.keyboard.press('Alt+A');
  await expect(line(page)).toHaveAttribute('aria-label', '9 snaps marked');
  await page.keyboard.type('cadence=silent');
  await expect(page.getByRole('region', { name: 'Marked snaps' })).toContainText('Set cadence on 9 snaps.');
  await axe(page);
  await page.keyboard.press('Enter');
  await saved(page);
  await page.keyboard.type('/cadence 3rd');
  await expect(page.getByRole('status').filter({ hasText: '1 of 9' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+Z');
  await saved(page);
  await page.keyboard.type('/cadence');
  await expect(page.getByText('No snap fits all of it.')).toBeVisible();
  await page.keyboard.press('Escape');
  // A change that others follow from is said before it is saved.
  await page.keyboard.type('/7');
  await page.keyboard.press('Enter');
  await expect(line(page)).toHaveAttribute('aria-label', 'editing snap 7');
  await page.keyboard.type(' clock=12:30');
  await page.keyboard.press('Escape');
});

test('a plan of the staff’s own is what the passes ask', async ({ page }) => {
  await signIn(page);
  await visit(page, '/log/charting?team=STG');
  await page.getByLabel('begin with', { exact: true }).selectOption('hour');
  await page.getByLabel('a pass of your own').fill('Backs');
  await page.getByRole('button', { name: 'Add pass' }).click();
  const backs = page.getByRole('region', { name: 'Pass Backs' });
  await backs.getByLabel('ask also', { exact: true }).selectOption('backPlace');
  await backs.getByRole('button', { name: 'do not ask tempo in Backs' }).click();
  await axe(page);
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('status', { name: 'Done' })).toContainText('is saved');
  await visit(page, `/log/${HALF_GAME}/pass`);
  await expect(page.getByRole('heading', { name: 'One hour pass' })).toBeVisible();
  await expect(page.getByLabel('pass', { exact: true }).locator('option')).toHaveText([
    /^One hour/,
    /^Backs/,
  ]);
  await visit(page, '/log/charting?team=STG');
  await page.getByRole('button', { name: 'Reset to default' }).click();
  await expect(page.getByRole('status', { name: 'Done' })).toContainText('by the general plan again');
  await visit(page, `/log/${HALF_GAME}/pass`);
  await expect(page.getByRole('heading', { name: 'Offense pass' })).toBeVisible();
});

test('a roster is pasted, a number two men wear is told apart, a letter is a number in the snap line', async ({
  page,
}) => {
  await signIn(page);
  await visit(page, `/log/rosters?team=WRE&game=${HALF_GAME}`);
  await page.getByLabel('Roster to add').fill('No,Name,Pos,Ht\n88,Tam Ferrow,Y,6-3\nx,Nobody,Z,6-0\n');
  await expect(page.getByText('1 player understood, 1 not')).toBeVisible();
  await axe(page);
  await page.getByRole('button', { name: 'Save 1 player' }).click();
  await expect(page.getByLabel('name of Tam Ferrow')).toHaveValue('Tam Ferrow');
  const weight = page.getByLabel('weight of Tam Ferrow');
  await weight.fill('21o');
  await weight.press('Enter');
  await expect(page.getByRole('alert').first()).toBeVisible();
  await weight.fill('241');
  await weight.press('Enter');
  await expect(page.getByRole('status', { name: 'Done' })).toContainText('Tam Ferrow is changed');
  const game = page.getByRole('region', { name: 'In this game' });
  await game.getByLabel('letter', { exact: true }).selectOption('H');
  await game.getByLabel('number', { exact: true }).fill('88');
  await game.getByRole('button', { name: 'Save letter' }).click();
  await expect(game.getByRole('list', { name: 'Letters of this game' })).toContainText('H #88');
  await visit(page, `/log/${HALF_GAME}`);
  await expect(line(page)).toBeFocused();
  await page.keyboard.type('WRE sweep r #h +3');
  await expect(page.locator('.echo')).toContainText('88');
  await page.keyboard.press('Escape');
});

test('who can play is said by a coordinator, and the sheet says which calls need him; nobody else sees it', async ({
  page,
  browser,
}) => {
  await signIn(page);
  await visit(page, '/log/rosters?team=HER');
  const card = page.getByRole('region', { name: 'Who can play' });
  await expect(card.getByRole('heading')).toHaveText('Who can play, week 9');
  await expect(card).toContainText('Nothing is said of anybody this week.');
  const man = card.getByLabel('player', { exact: true });
  const name = await man.locator('option', { hasText: '#22 ' }).textContent();
  await man.selectOption({ label: name! });
  await card.getByRole('button', { name: 'Say it' }).click();
  const said = card.getByRole('list', { name: 'Said this week' });
  await expect(said).toContainText(`${name}: out, says the medical staff`);
  await axe(page);

  await visit(page, '/plan');
  await rested(page);
  await page.getByRole('button', { name: 'Start' }).click();
  await page
    .getByRole('button', { name: /^add .* to 1st & 10$/ })
    .first()
    .click();
  await page.getByRole('button', { name: /^notes of call 1$/ }).click();
  const notes = page.getByRole('dialog', { name: /^Call 1/ });
  await notes.getByLabel('who must be available').fill('22, Zebulon');
  await notes.getByRole('button', { name: 'Save' }).click();
  const open = page.getByRole('list', { name: 'What the sheet leaves open' });
  await expect(open).toContainText(`1 call must have 22: ${name} is out.`);
  await expect(open).toContainText('“Zebulon” must be available and is nobody’s number, letters or name');
  // Waved through, its reason is chosen, for all read it.
  const gone = open.getByRole('listitem').filter({ hasText: 'must have 22' });
  await gone.getByRole('button', { name: 'wave through' }).click();
  await gone.getByRole('combobox', { name: 'why it may stand' }).selectOption('another man is ready');
  await gone.getByRole('button', { name: 'wave through' }).click();
  await expect(gone).toHaveCount(0);
  await page.getByText('1 waved through').click();
  await expect(page.getByRole('list', { name: 'Waved through' })).toContainText(
    `${name} is out. “another man is ready”`,
  );
  await saved(page);

  // The same sheet and roster, as the charter has them.
  const theirs = await (await browser.newContext()).newPage();
  await signIn(theirs, 'Ivo Sedgewarden');
  await visit(theirs, new URL(page.url()).pathname);
  await expect(theirs.getByTestId('call')).toHaveCount(1);
  await expect(theirs.getByRole('list', { name: 'What the sheet leaves open' })).toContainText(
    'No call, though',
  );
  expect(await theirs.content()).not.toMatch(/must have 22|medical staff|Zebulon. must be|unavailable/);
  await visit(theirs, '/log/rosters?team=HER');
  await expect(theirs.getByRole('region', { name: 'Players', exact: true })).toBeVisible();
  await expect(theirs.getByRole('region', { name: 'Who can play' })).toHaveCount(0);
  expect(await theirs.content()).not.toContain('medical staff');
  await theirs.context().close();

  // Cleared, he can be called again.
  await visit(page, '/log/rosters?team=HER');
  await said.getByRole('button', { name: /^clear what is said of #22/ }).click();
  await expect(card).toContainText('Nothing is said of anybody this week.');
});

test('the drill shows a look, takes it away, and says what it was', async ({ page }) => {
  await signIn(page);
  await visit(page, '/log/drill?team=STG');
  await page.getByLabel('shown for', { exact: true }).selectOption('1');
  await page.getByRole('button', { name: 'Show it' }).press('Enter');
  const picture = page.getByRole('img', { name: 'a look to be named' });
  await expect(picture).toBeVisible();
  await expect(picture).toHaveCount(0);
  await page.keyboard.type('trips r gun');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('status').filter({ hasText: /\d of \d right/ })).toBeVisible();
  await expect(page.getByText(/asked again in 1 day/)).toBeVisible();
  await axe(page);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Look 2 of 20' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('region', { name: 'Taken for each other' })).toContainText('formation');
});

test('two charters, each alone; where they differ a key settles it', async ({ page, browser }) => {
  const other = await browser.newContext();
  const theirs = await other.newPage();
  await signIn(page);
  await signIn(theirs, 'Ivo Sedgewarden');
  const home = `${SITE()}/log/2026-w06-lan-stg`;
  const chart = async (who: Page, keys: readonly string[]): Promise<void> => {
    await who.goto(`${home}/agree`);
    await who.getByRole('button', { name: 'Chart it blind' }).click();
    await expect(who.getByTestId('pass-strip')).toBeVisible();
    await who.goto(`${home}/blind?pass=front`);
    await expect(who.getByTestId('pass-strip')).toBeFocused();
    for (const key of keys) await who.keyboard.press(key);
    await saved(who);
    await who.goto(`${home}/agree`);
    await expect(who.getByText('You chart this game blind.')).toBeVisible();
    await who.getByRole('link', { name: 'go on with yours' }).click();
    await expect(who.getByTestId('pass-strip')).toBeVisible();
    await who.getByRole('button', { name: 'Hand in', exact: true }).click();
    await who.getByRole('button', { name: 'Hand it in for good' }).click();
    await expect(who).toHaveURL(/\/agree$/);
  };
  // Nothing like it is tagged yet: the box is a figure, the front the first of the book or any by its word.
  await chart(page, ['x', '6', '2', 'Enter', 'x', '7']);
  await chart(theirs, ['x', '6', '1', 'Enter', 'x', '7']);
  await page.reload();
  const table = page.getByRole('region', { name: 'Agreement by field' });
  await expect(table.getByRole('row').filter({ hasText: 'shell' })).toContainText('0 of 1');
  await expect(table.getByRole('row').filter({ hasText: 'box' })).toContainText('2 of 2');
  await axe(page);
  const disputed = page.getByRole('region', { name: 'Disputed: shell' });
  await expect(disputed).toContainText('2');
  await disputed.focus();
  await page.keyboard.press('2');
  await expect(disputed).toContainText('1 settled now');
  await expect(disputed).toContainText('logged: 1');
  await saved(page);
  await other.close();
});

test('the season: how far each game is charted, who lines up like us, a game for another staff', async ({
  page,
}) => {
  await signIn(page);
  await visit(page, '/log/season');
  const games = page.getByRole('region', { name: 'Games of the season' });
  await games.getByLabel('camera of Marrow Fen Stags at Hollowquay Wrens').selectOption('broadcast');
  await expect(page.getByRole('status').getByText('saved', { exact: true })).toBeVisible();
  await page.reload();
  await expect(games.getByLabel('camera of Marrow Fen Stags at Hollowquay Wrens')).toHaveValue('broadcast');
  await expect(
    page.getByRole('region', { name: 'Who lines up like us' }).getByRole('row').nth(1),
  ).toContainText('0.');
  await page.getByLabel('team', { exact: true }).selectOption({ label: 'Marrow Fen Stags' });
  const blanks = page.getByRole('region', { name: 'What would sharpen the report most' });
  await expect(blanks.getByRole('columnheader', { name: 'when they defend' })).toBeVisible();
  const where = await blanks.getByRole('link').first().getAttribute('href');
  expect((await page.request.get(`${SITE()}${where}`)).status()).toBe(200);
  await games.getByLabel('trade Marrow Fen Stags at Hollowquay Wrens').check();
  await axe(page);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'download the package' }).click(),
  ]);
  const chunks: Buffer[] = [];
  for await (const chunk of await download.createReadStream()) chunks.push(chunk as Buffer);
  const read = unpack('games.zip', new Uint8Array(Buffer.concat(chunks)));
  if (!read.ok) throw new Error(read.remedy);
  expect(read.files.map((f) => f.name).sort()).toEqual([
    'book.json',
    'datapackage.json',
    'games.csv',
    'snaps.csv',
    'teams.csv',
    'trade.json',
  ]);
  // Any view of Read is a file too.
  await visit(page, '/read?team=STG&filter=personnel:12');
  const link = page.getByRole('link', { name: 'JSON Lines' });
  const answer = await page.request.get(`${SITE()}${await link.getAttribute('href')}`);
  const lines = (await answer.text()).trimEnd().split('\n');
  const shown = await page
    .getByRole('button', { name: /^\d+ snaps$/ })
    .first()
    .textContent();
  expect(`${lines.length} snaps`).toBe(shown);
  expect(lines.every((l) => (JSON.parse(l) as { personnel: string }).personnel === '12')).toBe(true);
  // A game counts what the staff says, here and in every report.
  const whole = Number(/^\d+/.exec(shown!)![0]);
  const counts = async (words: string): Promise<void> => {
    await visit(page, '/log/season');
    await games
      .getByLabel('what Marrow Fen Stags at Hollowquay Wrens counts in reports')
      .selectOption({ label: words });
    await expect(page.getByRole('status').getByText('saved', { exact: true })).toBeVisible();
    await page.reload();
    await expect(
      games.getByLabel('what Marrow Fen Stags at Hollowquay Wrens counts in reports').locator(':checked'),
    ).toHaveText(words);
    await visit(page, '/read?team=STG&filter=personnel:12');
  };
  await counts('half');
  const worth = page.getByRole('button', { name: new RegExp(`^${whole} snaps, worth [\\d.]+$`) });
  await expect(worth).toBeVisible();
  expect(Number(/worth ([\d.]+)/.exec((await worth.textContent())!)![1])).toBeLessThan(whole);
  await expect(page.getByRole('link', { name: 'games: 1 counting less' })).toBeVisible();
  await counts('left out');
  await expect(page.getByRole('link', { name: 'games: 1 left out' })).toBeVisible();
  const fewer = await page
    .getByRole('button', { name: /^\d+ snaps$/ })
    .first()
    .textContent();
  expect(Number(/^\d+/.exec(fewer!)![0])).toBeLessThan(whole);
  // Old film fades.
  await page.getByLabel('fading', { exact: true }).selectOption({ label: 'half in 2 games' });
  await expect(page).toHaveURL(/halflife=2/);
  await expect(page.getByRole('button', { name: /^\d+ snaps, worth [\d.]+$/ })).toBeVisible();
  await axe(page);
});
