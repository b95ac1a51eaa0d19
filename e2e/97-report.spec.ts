/** From the next opponent to the printed report: boards, first page, sections, paper; its figures counted again from what is exported. */
import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { axe } from './axe';
import { expect, test, type Page } from './place';
import { SITE, signIn, visit } from './staff';

const boards = (page: Page) => page.getByRole('region', { name: 'Boards' });

test('any board as a table: a number opens its snaps, the address brings it back, filters and cells hold in it', async ({
  page,
}) => {
  await signIn(page);
  await visit(page, '/read');
  await boards(page).getByLabel('board', { exact: true }).selectOption('personnel-formation');
  await expect(page).toHaveURL(/board=personnel-formation/);
  const cell = boards(page)
    .getByRole('button', { name: /, run \d+ of \d+, open the reel/ })
    .first();
  const [, k] = /run (\d+) of/.exec((await cell.getAttribute('aria-label'))!)!;
  await cell.click();
  const reel = page.getByRole('dialog');
  await expect(reel).toContainText('Formations by personnel');
  await expect(reel).toContainText(`: ${k} snaps`);
  await page.reload();
  await expect(reel).toContainText('Formations by personnel');
  await page.keyboard.press('Escape');
  await expect(reel).toBeHidden();
  await axe(page);
  // A cell of the board above is what the table counts.
  await visit(page, '/read?cell=3-long&board=third');
  await expect(boards(page)).toContainText('3rd long');
  const all = await boards(page).getByRole('row').last().textContent();
  const shown = await page
    .getByRole('region', { name: 'Formations' })
    .getByRole('button', { name: /^\d+ snaps$/ })
    .textContent();
  expect(all!.startsWith(`all${Number.parseInt(shown!, 10)}`)).toBe(true);
  // A figure between two bounds, typed; its chip takes it away.
  await visit(page, '/read?board=personnel');
  const whole = await boards(page).getByRole('row').last().textContent();
  await page.getByRole('button', { name: 'add a filter' }).click();
  await page.getByRole('menuitem', { name: /^yards to gain, from/ }).click();
  await page.getByLabel('from', { exact: true }).fill('9');
  await page.getByLabel('to', { exact: true }).fill('7');
  await page.getByRole('button', { name: 'add', exact: true }).click();
  await expect(page.getByRole('menu').getByRole('alert')).toHaveText('Write the smaller first.');
  await page.getByLabel('from', { exact: true }).fill('4');
  await page.getByLabel('to', { exact: true }).press('Enter');
  await expect(page).toHaveURL(/range=distance%3A4\.\.7/);
  await expect(page.getByText('yards to gain 4 to 7')).toBeVisible();
  await expect(boards(page).getByRole('row').last()).not.toHaveText(whole!);
  // Kept by name for the staff, opened again, forgotten.
  await page.getByRole('button', { name: 'save this view' }).click();
  await page.getByLabel('name of the view').fill('Four to seven');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'forget this view' })).toBeVisible();
  await visit(page, '/read');
  await page.getByLabel('saved views', { exact: true }).selectOption('Four to seven');
  await expect(page.getByText('yards to gain 4 to 7')).toBeVisible();
  await page.getByRole('button', { name: 'forget this view' }).click();
  await expect(page.getByRole('button', { name: 'save this view' })).toBeVisible();
  await page.getByRole('button', { name: 'take the range of yards to gain away' }).click();
  await expect(boards(page).getByRole('row').last()).toHaveText(whole!);
  // Two halves side by side; each part opens its own snaps.
  await boards(page).getByLabel('against', { exact: true }).selectOption('half');
  await expect(page).toHaveURL(/against=half/);
  const later = boards(page).getByRole('button', { name: /^11, 2nd half: \d+ snaps$/ });
  const [, many] = /: (\d+) snaps/.exec((await later.getAttribute('aria-label'))!)!;
  await later.click();
  await expect(reel).toContainText(`By personnel: 11, 2nd half: ${many} snaps`);
  await page.keyboard.press('Escape');
  await expect(reel).toBeHidden();
  await axe(page);
  // With their back in against out; a quarterback who never was out, by a link, says where to type it.
  await boards(page).getByLabel('against', { exact: true }).selectOption('number 22 in against out');
  await expect(page).toHaveURL(/against=in%3A22/);
  const without = boards(page).getByRole('button', { name: /^11, 22 out: \d+ snaps$/ });
  const [, missed] = /: (\d+) snaps/.exec((await without.getAttribute('aria-label'))!)!;
  await without.click();
  await expect(reel).toContainText(`By personnel: 11, 22 out: ${missed} snaps`);
  await page.keyboard.press('Escape');
  await expect(reel).toBeHidden();
  await visit(page, '/read?board=personnel&against=in:7');
  await expect(boards(page).getByText('Type missing=7 on the snaps')).toBeVisible();
  // Any board drawn by its rows: a line's door opens what its bar is long.
  await visit(page, '/read?board=personnel');
  await boards(page).getByRole('button', { name: 'draw it' }).click();
  await expect(page).toHaveURL(/picture=1/);
  const rowsDrawn = boards(page).getByRole('group', { name: 'By personnel, drawn' });
  const bar = rowsDrawn.getByRole('button', { name: /^11: \d+ snaps; run \d+ of \d+/ });
  const [, long] = /: (\d+) snaps/.exec((await bar.getAttribute('aria-label'))!)!;
  await bar.press('Enter');
  await expect(reel).toContainText(`By personnel: 11: ${long} snaps`);
  await page.keyboard.press('Escape');
  await expect(reel).toBeHidden();
  // Drawn over the field: by keys, a cell opens what it counts.
  await boards(page).getByLabel('against', { exact: true }).selectOption('none');
  await boards(page).getByLabel('board', { exact: true }).selectOption('field');
  const drawn = boards(page).getByRole('group', { name: 'Over the field: run and pass, drawn' });
  const place = drawn.getByRole('button', { name: /^middle, 71 to 80: \d+ snaps, run/ });
  const [, there] = /: (\d+) snaps/.exec((await place.getAttribute('aria-label'))!)!;
  await place.press('Enter');
  await expect(reel).toContainText(`Over the field: run and pass: middle, 71 to 80: ${there} snaps`);
  await page.keyboard.press('Escape');
  await expect(reel).toBeHidden();
  await axe(page);
  await page
    .getByRole('toolbar', { name: 'Filters' })
    .getByLabel('side', { exact: true })
    .selectOption('defense');
  await expect(boards(page).getByLabel('board', { exact: true })).toHaveValue('d-front');
  // The kicking game: no board of calls above it, the same tables and doors.
  await page
    .getByRole('toolbar', { name: 'Filters' })
    .getByLabel('side', { exact: true })
    .selectOption('kicking');
  await expect(boards(page).getByLabel('board', { exact: true })).toHaveValue('k-unit');
  await expect(page.getByRole('region', { name: 'Situation board' })).toBeHidden();
  const punts = boards(page).getByRole('row').filter({ hasText: 'punt' }).getByRole('button').first();
  const kicked = await punts.textContent();
  await punts.click();
  await expect(reel).toContainText(`Kicks by kind: punt: ${kicked} snaps`);
  await expect(reel).toContainText(/kick \d+, /);
  // For the meeting room: one snap at a time, by the arrows.
  await reel.getByRole('button', { name: 'Present' }).click();
  await expect(reel).toContainText(`1 of ${kicked}`);
  await page.keyboard.press('ArrowRight');
  await expect(reel).toContainText(`2 of ${kicked}`);
  await axe(page);
  await page.keyboard.press('Escape');
  await expect(reel).toContainText(`: ${kicked} snaps`);
  // Closed and gone elsewhere before the next frame: the address of the closed reel does not call the link back.
  const report = await page.locator('a', { hasText: /^report$/ }).elementHandle();
  const slow = await page.context().newCDPSession(page);
  await slow.send('Emulation.setCPUThrottlingRate', { rate: 12 });
  await reel.getByRole('button', { name: 'Close' }).evaluate((close, link) => {
    (close as HTMLElement).click();
    (link as HTMLElement).click();
  }, report);
  await expect(page.getByRole('heading', { name: /kicking team: report$/ })).toBeVisible();
  await slow.send('Emulation.setCPUThrottlingRate', { rate: 1 });
  // Kicking and returning as one print, and as one file.
  await page.getByLabel('of', { exact: true }).selectOption('special');
  const [printed] = await Promise.all([
    page.waitForEvent('download', { timeout: 60_000 }),
    page.getByRole('button', { name: 'PDF', exact: true }).click(),
  ]);
  expect(printed.suggestedFilename()).toBe('report-STG-special.pdf');
  const json = await page.request.get(
    `${SITE()}${await page.getByRole('link', { name: 'JSON', exact: true }).getAttribute('href')}`,
  );
  const { side, tables } = (await json.json()) as { side: string; tables: { id: string }[] };
  expect(side).toBe('special');
  expect([...new Set(tables.map((t) => t.id.slice(0, 2)))].sort()).toEqual(['k-', 'r-']);
});

test('the drives of an offense are drawn, and each opens its plays', async ({ page }) => {
  await signIn(page);
  await visit(page, '/read?team=STG&board=drives');
  const chart = page.getByRole('region', { name: 'Drive chart' });
  const plays = chart.getByRole('button', { name: /^drive 2, \d+ plays/ }).first();
  const [, n] = /(\d+) plays/.exec((await plays.getAttribute('aria-label'))!)!;
  await axe(page);
  await plays.click();
  await expect(page.getByRole('dialog')).toContainText('Drive 2');
  await expect(page.getByRole('dialog')).toContainText(`: ${n} snap`);
  await visit(page, '/read?team=STG&board=drives&filter=personnel:11');
  await expect(chart).toContainText('Take the filters and the situation away');
});

test('drives and series, pictures with one play, looks to prepare for: each figure opens its snaps', async ({
  page,
}) => {
  await signIn(page);
  await visit(page, '/read?team=STG');
  const drives = page.getByRole('region', { name: 'Drives and series' });
  const series = drives.getByRole('button', { name: /^series with a first down/ });
  await expect(series).toHaveText(/^\d+ of \d+$/);
  await series.click();
  const reel = page.getByRole('dialog');
  await expect(reel).toContainText(/series with a first down or a touchdown: \d+ snaps/);
  await page.keyboard.press('Escape');
  const pictures = page.getByRole('region', { name: 'One picture, one play' });
  await expect(pictures).toContainText(/above 70 %|others to add/);
  await pictures.getByLabel('more than', { exact: true }).selectOption('60');
  await expect(pictures).toContainText(/above 60 %|down to 60 %/);
  const looks = page.getByRole('region', { name: 'Looks to prepare for' });
  await expect(looks).toContainText(/\d+ looks in 5 games/);
  const [, many] = /(\d+) looks/.exec((await looks.textContent())!)!;
  await looks.getByLabel('A usual week gives').fill('60');
  await expect(looks).toContainText(`${Math.round((Number(many) * 60) / 12)} minutes for these`);
  const once = looks.getByRole('button', { name: /shown once$/ });
  const [n] = /\d+/.exec((await once.textContent())!)!;
  await once.click();
  await expect(reel).toContainText(`Looks shown once: ${n} snap`);
  // A filter leaves parts of drives.
  await visit(page, '/read?team=STG&filter=personnel:11');
  await expect(drives).toContainText('Take the filters and the situation away');
  await visit(page, '/read?team=STG&side=defense');
  const missed = page
    .getByRole('region', { name: 'Defenders' })
    .getByRole('button', { name: /^#\d+, tackles missed [1-9]\d* of \d+, open the reel$/ })
    .first();
  const [, misses] = /^(\d+) of /.exec((await missed.textContent())!)!;
  await missed.click();
  await expect(reel).toContainText(`tackles missed: ${misses} snap`);
  await page.keyboard.press('Escape');
  await axe(page);
});

test('looks are measured beside the page, in a worker; a browser that has none measures them itself', async ({
  page,
  browser,
}) => {
  await signIn(page);
  const began = page.waitForEvent('worker');
  await visit(page, '/read?team=STG');
  expect((await began).url()).toContain(SITE());
  const text = async (p: Page): Promise<string> => {
    const looks = p.getByRole('region', { name: 'Looks to prepare for' });
    await expect(looks).toContainText(/\d+ looks in 5 games/);
    return `${await looks.textContent()} ${await p.getByRole('region', { name: 'Choosing a coverage' }).textContent()}`;
  };
  const counted = await text(page);
  const without = await (await browser.newContext()).newPage();
  await without.addInitScript('delete window.Worker');
  await signIn(without);
  await visit(without, '/read?team=STG');
  expect(await text(without)).toBe(counted);
  // One that never comes: its script is not there.
  const broken = await (await browser.newContext()).newPage();
  await broken.addInitScript(
    "window.Worker = class { constructor() { setTimeout(() => this.onerror?.(new Event('error'))); } postMessage() {} terminate() {} }",
  );
  await signIn(broken);
  await visit(broken, '/read?team=STG');
  expect(await text(broken)).toBe(counted);
  await without.context().close();
  await broken.context().close();
});

test('from the next opponent to paper in few clicks; a number of page 3 counted from the exported snaps', async ({
  page,
}) => {
  await signIn(page);
  let clicks = 0;
  const click = async (target: ReturnType<Page['locator']>): Promise<void> => {
    clicks++;
    await target.click();
  };
  await click(page.getByRole('navigation').getByRole('link', { name: 'Read' }));
  await click(page.getByRole('link', { name: 'report', exact: true }));
  await expect(page.getByRole('heading', { name: /: report$/ })).toBeVisible();
  await click(page.getByLabel('a page a section', { exact: true }));
  const printed = page.waitForEvent('download');
  await click(page.getByRole('button', { name: 'PDF', exact: true }));
  expect(clicks).toBeLessThan(10);
  const doc = await getDocument({
    data: new Uint8Array(readFileSync((await (await printed).path())!)),
    useSystemFonts: false,
    verbosity: 0,
  }).promise;
  const { items } = await (await doc.getPage(3)).getTextContent();
  const words = items.flatMap((i) => ('str' in i && i.str.trim() ? [i.str.trim()] : []));
  expect(words).toContain('By down and distance');

  // The same film as snaps: read by a parser of tables, counted by hand.
  const sent = page.waitForEvent('download');
  await visit(page, '/read');
  await page.getByRole('link', { name: 'CSV' }).click();
  const snaps = Papa.parse<Record<string, string>>(readFileSync((await (await sent).path())!, 'utf8'), {
    header: true,
    skipEmptyLines: true,
  }).data;
  // First downs farther than ten yards, and every row together.
  const far = snaps.filter((s) => s.down === '1' && Number(s.distance) > 10 && s.unit === 'scrimmage');
  for (const [label, mine] of [
    ['1st & 11+', far],
    ['all', snaps],
  ] as const) {
    const called = mine.filter((s) => ['run', 'pass', 'rpo'].includes(s.play!));
    const runs = called.filter((s) => s.play === 'run');
    expect(runs.length).toBeGreaterThan(0);
    const row = words.slice(words.lastIndexOf(label));
    expect(row.slice(0, 3)).toEqual([label, String(mine.length), `${runs.length} of ${called.length}`]);
  }
});

test('sections are chosen, moved, saved for the staff; every form of the file holds them', async ({
  page,
}) => {
  await signIn(page);
  await visit(page, '/read/report?side=defense');
  const sections = page.getByRole('region', { name: 'Sections' });
  await axe(page);
  await sections.getByLabel('Rush by hash', { exact: true }).check();
  await expect(page).toHaveURL(/d-rush-hash/);
  await sections.getByLabel('By down and distance', { exact: true }).uncheck();
  await expect(page).not.toHaveURL(/d-situation/);
  await sections.getByRole('button', { name: 'Rush by hash up' }).click();
  await expect(page).toHaveURL(/d-rush-hash%2Cd-field/);
  await sections.getByLabel('Drives and series', { exact: true }).uncheck();
  await sections.getByLabel('Words of this report', { exact: true }).uncheck();
  await expect(page).not.toHaveURL(/words/);
  await sections.getByRole('button', { name: 'save for the staff' }).click();
  await expect(sections).toContainText('as the staff saved them');
  await visit(page, '/read/report?side=defense');
  await expect(sections.getByRole('listitem').nth(0)).toContainText('Coverages by structure, drawn');
  await expect(sections.getByRole('listitem').nth(1)).toContainText('Since the last print');
  await expect(sections.getByRole('listitem').nth(2)).toContainText('Fronts by personnel');
  await expect(sections.getByLabel('Words of this report', { exact: true })).not.toBeChecked();
  const href = async (name: string): Promise<string> =>
    `${SITE()}${await page.getByRole('link', { name, exact: true }).getAttribute('href')}`;
  const json = (await (await page.request.get(await href('JSON'))).json()) as {
    side: string;
    tables: { id: string; rows: { n: number }[] }[];
  };
  expect(json.side).toBe('defense');
  expect(json.tables[0]!.id).toBe('d-front');
  for (const left of ['d-situation', 'drives_and_series'])
    expect(json.tables.map((t) => t.id)).not.toContain(left);
  for (const table of json.tables)
    expect(table.rows.map((r) => r.n)).toEqual(table.rows.map((r) => r.n).sort((a, b) => b - a));
  for (const [name, type] of [
    ['XLSX', 'spreadsheetml'],
    ['CSV', 'zip'],
    ['a page for players', 'pdf'],
  ] as const) {
    const response = await page.request.get(await href(name));
    expect(response.status(), name).toBe(200);
    expect(response.headers()['content-type'], name).toContain(type);
  }
  // Our own film: how it was done, without an opponent.
  await visit(page, '/read/report?team=HER');
  await sections.getByRole('button', { name: 'how it was done: our own film' }).click();
  await expect(sections.getByRole('listitem').nth(2)).toContainText('On schedule by down');
  await expect(page).toHaveURL(/schedule%2Cconcept/);
  const done = (await (await page.request.get(await href('JSON'))).json()) as typeof json;
  expect(done.tables.slice(0, 3).map((t) => t.id)).toEqual(['schedule', 'concept', 'targets']);
  await visit(page, '/read/report?side=defense');
  // A sentence leads to its snaps.
  const sentence = page.getByRole('region', { name: 'First page' }).getByRole('link').first();
  const [, k] = / (\d+) of \d+$/.exec((await sentence.textContent())!)!;
  await sentence.click();
  await expect(page.getByRole('dialog')).toContainText(`: ${k} snap`);
  await visit(page, '/read/report?side=defense');
  await sections.getByRole('button', { name: 'the usual sections again' }).click();
  await expect(sections.getByRole('listitem').nth(2)).toContainText('By down and distance');
  await expect(sections.getByLabel('Words of this report', { exact: true })).toBeChecked();
});
