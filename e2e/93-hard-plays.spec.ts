/** The plays that need most to be logged whole: typed, reopened, taken to an empty database, equal there. */
import { DEFAULT_BOOK } from '../core/book/default-book';
import { COLLEGE } from '../core/field';
import { parseLine } from '../core/line';
import { unknownState } from '../core/rules';
import { readCsv, unpack } from '../core/table';
import { HARD_PLAYS } from '../docs/make-table';
import { cloneDatabase, dropDatabase, startCluster } from '../cli/cluster';
import { spawnServer, waitUntilUp } from '../cli/serve';
import { freePort } from '../cli/system';
import { expect, test, type Page } from './place';
import { TEMPLATES } from './setup';
import { choose, line, saved, type } from './staff';

const SITUATION = { down: 2, distance: 8, toGoal: 60 } as const;
const said = (text: string) => {
  const { fields, problems } = parseLine(text, {
    book: DEFAULT_BOOK,
    profile: COLLEGE,
    previous: null,
    teams: ['HER', 'FEN'],
    state: {
      ...unknownState({ HER: 0, FEN: 0 }),
      offense: 'HER',
      defense: 'FEN',
      unit: 'scrimmage',
      ...SITUATION,
      hash: null,
    },
  });
  expect([text, problems.map((p) => p.text)]).toEqual([text, []]);
  return fields;
};
/** Fields that the play is, without the situation that is typed or carried. */
function ofPlay(fields: object): Record<string, unknown> {
  const { offense, defense, quarter, down, distance, toGoal, hash, pointsFor, pointsAgainst, ...play } =
    fields as Record<string, unknown>;
  void [offense, defense, quarter, down, distance, toGoal, hash, pointsFor, pointsAgainst];
  return Object.fromEntries(
    Object.entries(play).filter(([, v]) => v !== null && !(Array.isArray(v) && v.length === 0)),
  );
}

async function begin(page: Page, site: string): Promise<void> {
  await page.goto(site);
  await page.getByLabel('Program').fill('Alder staff');
  await choose(page, 'Level', 'college');
  await page.getByRole('textbox', { name: 'Team', exact: true }).fill('Saltmere Herons');
  await page.getByLabel('Short key of the team').fill('HER');
  await page.getByLabel('Your name').fill('Ada Analyst');
  await page.getByLabel('Password').fill('a good long password');
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('region', { name: 'First steps' })).toBeVisible();
}
async function exported(page: Page, site: string): Promise<{ zip: Buffer; snaps: string }> {
  const zip = await (await page.request.get(`${site}/api/export`)).body();
  const files = unpack('program.zip', new Uint8Array(zip));
  if (!files.ok) throw new Error(files.remedy);
  return { zip, snaps: files.files.find((f) => f.name === 'snaps.csv')!.text };
}

test('twelve plays by keyboard, each reopened, exported, imported into an empty database: equal', async ({
  page,
  browser,
}) => {
  const site = process.env.VOBRIK_E2E_SITE!;
  await begin(page, site);
  await page.goto(`${site}/log`);
  await choose(page, 'Away', 'a new team …');
  await page.getByLabel('Name of the away team').fill('Fen Gulls');
  await choose(page, 'Home', 'Saltmere Herons');
  await page.getByRole('button', { name: 'Start game' }).click();
  await expect(page.getByText('Who kicks off?')).toBeVisible();
  await line(page).focus();
  const typed = HARD_PLAYS.map(([, text]) => `her q1 2&8 @o40 ${text.replace(/^2&8 /, '')}`);
  for (const text of typed) await type(page, text);
  await saved(page);
  // Backward through them: what each line says is what was typed.
  for (const text of [...typed].reverse()) {
    await page.keyboard.press('ArrowUp');
    await expect(line(page)).not.toHaveValue('');
    await expect
      .poll(async () => ofPlay(said(await line(page).inputValue())), { message: text })
      .toEqual(ofPlay(said(text)));
  }
  await page.keyboard.press('Escape');
  const first = await exported(page, site);
  const rows = readCsv('snaps', first.snaps, 'snaps.csv');
  expect(rows.faults).toEqual([]);
  expect(rows.rows).toHaveLength(HARD_PLAYS.length);

  const cluster = await startCluster('e2e', true);
  const database = `e2e_${process.pid}_second`;
  await cloneDatabase(cluster, TEMPLATES.empty, database);
  const port = await freePort();
  const other = `http://127.0.0.1:${port}`;
  const server = spawnServer(port, cluster.url(database));
  try {
    await waitUntilUp(other, server);
    const context = await browser.newContext();
    const empty = await context.newPage();
    await begin(empty, other);
    await empty.goto(`${other}/log/import`);
    await empty
      .getByLabel('Files to import')
      .setInputFiles({ name: 'week.zip', mimeType: 'application/zip', buffer: first.zip });
    await empty.getByRole('button', { name: 'Import', exact: true }).click();
    await expect(empty.getByText(`${HARD_PLAYS.length} snaps`)).toBeVisible();
    expect((await exported(empty, other)).snaps).toBe(first.snaps);
    await context.close();
  } finally {
    const gone = new Promise((r) => server.once('exit', r));
    if (server.kill('SIGTERM')) await gone;
    await dropDatabase(cluster, database);
  }
});
