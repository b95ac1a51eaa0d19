/** Reels kept, ordered, noted, shown to a room and shared by link; a first page in the staff's words, printed, and what changed since. */
import { readFileSync } from 'node:fs';
import { axe } from './axe';
import { expect, test, type Page } from './place';
import { pdfText, signIn, visit, rested } from './staff';

const dialog = (page: Page) => page.getByRole('dialog');
const clips = (page: Page) => page.getByTestId('clip');
const stored = (page: Page) => expect(page.getByRole('status', { name: 'Saved' })).toHaveText('saved');

test('snaps behind a number are kept under a name, ordered, noted, presented, shared with a guest by link', async ({
  page,
  browser,
}) => {
  await signIn(page);
  await visit(page, '/read?board=personnel&reel=b%2Fpersonnel%2F12%2Frun');
  await expect(dialog(page)).toContainText(/: \d+ snaps/);
  const [, many] = /: (\d+) snaps/.exec((await dialog(page).textContent())!)!;
  await dialog(page).getByRole('button', { name: 'keep this reel' }).click();
  await dialog(page).getByRole('textbox', { name: 'name of the reel' }).fill('Two tight ends, run');
  await axe(page);
  await page.keyboard.press('Enter');
  await dialog(page).getByRole('link', { name: 'Two tight ends, run' }).click();
  await expect(clips(page)).toHaveCount(Number(many));
  await expect(page.getByRole('link', { name: 'the board it came from' })).toBeVisible();
  await axe(page);
  // By keys: the first goes down one, gets a note, the second goes out and comes back.
  const first = (await clips(page).nth(0).textContent())!.slice(1);
  await clips(page).nth(0).focus();
  await page.keyboard.press('Alt+ArrowDown');
  await expect(clips(page).nth(1)).toBeFocused();
  expect((await clips(page).nth(1).textContent())!.slice(1)).toBe(first);
  await page.getByLabel('note for snap 2').fill('Watch the wing');
  await page.getByLabel('note for snap 2').press('Tab');
  await expect(clips(page).nth(1)).toContainText('Watch the wing');
  await clips(page).nth(0).focus();
  await page.keyboard.press('Delete');
  await expect(clips(page)).toHaveCount(Number(many) - 1);
  await page.keyboard.press('Control+z');
  await expect(clips(page)).toHaveCount(Number(many));
  await stored(page);
  await page.reload();
  await expect(clips(page)).toHaveCount(Number(many));
  await expect(clips(page).nth(1)).toContainText('Watch the wing');
  // The mouse moves one too, once the list stands with its film.
  await rested(page);
  const [from, to] = [await clips(page).nth(0).boundingBox(), await clips(page).nth(2).boundingBox()];
  await page.mouse.move(from!.x + 40, from!.y + 10);
  await page.mouse.down();
  await page.mouse.move(from!.x + 40, from!.y + 30, { steps: 4 });
  await page.mouse.move(to!.x + 40, to!.y + 14, { steps: 8 });
  await page.mouse.up();
  await expect(clips(page).nth(0)).toContainText('Watch the wing');
  await stored(page);
  // To a room: one key a snap, a presenter's keys too.
  await page.getByRole('button', { name: 'present', exact: true }).click();
  await expect(dialog(page)).toContainText(`of ${many}`);
  await page.keyboard.press('Home');
  await expect(dialog(page)).toContainText(`1 of ${many}`);
  await expect(dialog(page)).toContainText('Watch the wing');
  await page.keyboard.press('PageDown');
  await expect(dialog(page)).toContainText(`2 of ${many}`);
  await page.keyboard.press('ArrowLeft');
  await expect(dialog(page)).toContainText(`1 of ${many}`);
  await page.keyboard.press('Escape');
  await expect(dialog(page)).toBeHidden();

  // Another member changes it meanwhile: who saves second is told, and both are shown the way out.
  const address = page.url();
  const other = await (await browser.newContext()).newPage();
  await signIn(other, 'Merrit Gorsefield');
  await other.goto(address);
  await other.getByRole('textbox', { name: 'name of the reel' }).fill('Renamed by another');
  await other.keyboard.press('Enter');
  await stored(other);
  await page.getByRole('textbox', { name: 'name of the reel' }).fill('Renamed here');
  await page.keyboard.press('Enter');
  const refused = page.getByRole('alert').filter({ hasText: 'somebody changed this reel meanwhile' });
  await expect(refused).toContainText('is not saved');
  await refused.getByRole('button', { name: 'load what is saved' }).click();
  await expect(page.getByRole('textbox', { name: 'name of the reel' })).toHaveValue('Renamed by another');

  // A guest: nothing until it is shared; then these snaps, and nothing else.
  const guest = await (await browser.newContext()).newPage();
  await visit(guest, '/sign-in');
  await guest.getByRole('button', { name: /Nye Ashcombe/ }).click();
  await guest.waitForURL((url) => !url.pathname.includes('sign-in'));
  await guest.goto(address);
  await expect(guest.getByRole('heading', { name: 'There is nothing at this address' })).toBeVisible();
  await page.getByLabel('guests with the link see it').check();
  await stored(page);
  await guest.goto(address);
  await expect(clips(guest)).toHaveCount(Number(many));
  await expect(guest.getByRole('heading', { name: 'Renamed by another' })).toBeVisible();
  await expect(guest.getByRole('link', { name: 'open in Log' })).toHaveCount(0);
  await expect(guest.getByLabel('note for snap 1')).toHaveCount(0);
  await visit(guest, '/read');
  await expect(guest.getByRole('heading', { name: 'Not for your roles' })).toBeVisible();

  // Listed, added to from another number, removed.
  await visit(page, '/read/reels');
  await expect(page.getByRole('row', { name: /Renamed by another/ })).toContainText('with the link');
  await axe(page);
  await visit(page, '/read?board=personnel&reel=b%2Fpersonnel%2F12%2Fn');
  await dialog(page).getByRole('button', { name: 'keep this reel' }).click();
  await dialog(page).getByLabel('keep in', { exact: true }).selectOption('Renamed by another');
  await dialog(page).getByRole('button', { name: 'keep', exact: true }).click();
  await dialog(page)
    .getByRole('link', { name: /snaps there now/ })
    .click();
  await expect(clips(page).nth(Number(many))).toBeVisible();
  await page.getByRole('button', { name: 'remove …' }).click();
  await page.getByRole('button', { name: 'remove this reel' }).click();
  await expect(page.getByText('No reel is kept.')).toBeVisible();
});

/** Prints by the button and gives the text of the pages. */
async function printed(page: Page): Promise<string> {
  const sent = page.waitForEvent('download');
  await page.getByRole('button', { name: 'PDF', exact: true }).click();
  const { text } = await pdfText(new Uint8Array(readFileSync((await (await sent).path())!)));
  await expect(page.getByRole('link', { name: /^open report-/ })).toBeVisible();
  return text;
}

test('the first page says it in our words, with the counts as they are; a print says what changed since the last', async ({
  page,
}) => {
  await signIn(page);
  await visit(page, '/read/report?team=STG&last=2');
  const first = page.getByRole('region', { name: 'First page' });
  const sentences = first.getByRole('list', { name: 'Sentences' });
  const link = sentences.getByRole('listitem').first().getByRole('link');
  const said = (await link.textContent())!;
  const [, count] = / (\d+ of \d+)$/.exec(said)!;
  await first
    .getByRole('button', { name: /^other words for/ })
    .first()
    .click();
  await first.getByRole('textbox').fill('They run to the near side');
  await page.keyboard.press('Enter');
  await expect(link).toHaveText(`They run to the near side ${count}`);
  await first.getByRole('button', { name: 'add a line of our own' }).click();
  await first.getByLabel('a line of our own').fill('Left tackle is new this week');
  await page.keyboard.press('Enter');
  await expect(first.getByRole('list', { name: 'Lines of our own' })).toContainText('Left tackle is new');
  const second = (await sentences.getByRole('listitem').nth(1).textContent())!;
  await first
    .getByRole('button', { name: /^leave out/ })
    .nth(1)
    .click();
  await expect(first).toContainText('Left out:');
  await expect(sentences).not.toContainText(second.slice(0, 30));
  await axe(page);
  await page.reload();
  await expect(link).toHaveText(`They run to the near side ${count}`);
  await expect(page.getByRole('region', { name: 'Since the last print' })).toHaveCount(0);
  const text = await printed(page);
  expect(text).toContain('Left tackle is new this week');
  expect(text).toContain(`They run to the near side ${count}`);
  expect(text).toContain('Words of this report');
  expect(text).not.toContain('Since the last print');
  const since = page.getByRole('region', { name: 'Since the last print' });
  await expect(since).toContainText('as then');
  // More film than was printed: the games that came, the rates that moved, each a door.
  await visit(page, '/read/report?team=STG');
  await expect(since).toContainText('film added: ');
  const moved = since.getByRole('link').first();
  const [, k, n] = /(\d+) of (\d+)$/.exec((await moved.textContent())!)!;
  await axe(page);
  const again = await printed(page);
  expect(again).toContain('Since the last print');
  expect(again).toContain(`${k} of ${n}; then`);
  await visit(page, '/read/report?team=STG&last=2');
  await since.getByRole('link').first().click();
  await expect(dialog(page)).toContainText(/: \d+ snaps?/);
  // Back to what was counted.
  await visit(page, '/read/report?team=STG&last=2');
  await first.getByRole('button', { name: /^as counted/ }).click();
  await expect(link).toHaveText(said);
  await first.getByRole('button', { name: /^bring back/ }).click();
  await expect(first).not.toContainText('Left out:');
});

test('a print under way is stopped, and nothing of it is kept', async ({ page }) => {
  await signIn(page);
  await visit(page, '/read/report?team=WRE');
  await page.route('**/api/report', async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 4000));
    await route.continue().catch(() => undefined);
  });
  await page.getByRole('button', { name: 'PDF', exact: true }).click();
  await expect(page.getByRole('progressbar', { name: 'the report is built' })).toBeVisible();
  await page.getByRole('button', { name: 'stop' }).click();
  await expect(page.getByRole('button', { name: 'PDF', exact: true })).toBeVisible();
  await page.unroute('**/api/report');
  // A server that does not answer is said in words.
  await page.route('**/api/report', (route) => route.abort());
  await page.getByRole('button', { name: 'PDF', exact: true }).click();
  await expect(page.getByText('The server does not answer; nothing was printed.')).toBeVisible();
  await page.unroute('**/api/report');
  await page.reload();
  await expect(page.getByRole('region', { name: 'Since the last print' })).toHaveCount(0);
});

test('what is noted in Read stands beside the section of the sheet it concerns, a link to its board', async ({
  page,
}) => {
  await signIn(page);
  const board = 'team=STG&side=defense&filter=bucket%3A1-10&reel=all';
  await visit(page, `/read?${board}`);
  await dialog(page).getByRole('button', { name: 'keep this reel' }).click();
  await dialog(page).getByLabel('name of the reel').fill('They sit in two deep on first');
  await dialog(page).getByRole('button', { name: 'keep', exact: true }).click();
  await expect(dialog(page).getByRole('link', { name: 'They sit in two deep on first' })).toBeVisible();
  const [, many] = /: (\d+) snaps/.exec((await dialog(page).getByRole('heading').first().textContent())!)!;
  await visit(page, '/plan');
  await rested(page);
  await page.getByRole('button', { name: 'Start' }).click();
  const beside = page.getByRole('list', { name: 'Noted in Read, 1st & 10' });
  await expect(beside).toContainText('They sit in two deep on first');
  await expect(beside).toContainText(new RegExp(`\\b${many} snaps|\\d+ of ${many} snaps here`));
  await expect(page.getByRole('list', { name: 'Noted in Read, Goal line' })).toHaveCount(0);
  await axe(page);
  await beside.getByRole('link', { name: 'its board' }).click();
  await expect(page).toHaveURL(/side=defense/);
  await expect(dialog(page)).toContainText(`${many} snaps`);
});
