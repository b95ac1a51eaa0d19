import { expect, test } from './place';
import { startCluster, stopCluster } from '../cli/cluster';
import { SITE, HALF_GAME, line, saved, signIn, type, visit } from './staff';

/** Its own: it is pulled down in the middle (playwright.config.ts). */
const CLUSTER = 'outage';

test.afterAll(async () => void (await startCluster(CLUSTER, true)));

test('the database is killed in the middle of logging: said, kept, saved when it is back, nothing acknowledged lost', async ({
  page,
}) => {
  await signIn(page);
  await visit(page, `/log/${HALF_GAME}`);
  const count = async (): Promise<number> =>
    (
      (await (await page.request.get(`${SITE()}/api/sync?scope=game:${HALF_GAME}`)).json()) as {
        rows: unknown[];
      }
    ).rows.length;
  const before = await count();
  await type(page, '1&10 @o30 11 trips r power r +3');
  await saved(page);

  stopCluster(CLUSTER, 'immediate');
  await type(page, '.. stick #7>#81 +4');
  await expect(page.getByRole('alert').filter({ hasText: 'Not saved yet.' })).toContainText(
    '1 change waits in this browser',
  );
  await type(page, 'draw #22 +5 "typed while the database was away"');
  await expect(page.locator('#saved')).toHaveText('not saved: 2 waiting');

  await startCluster(CLUSTER, true);
  await saved(page);
  await expect(page.getByRole('alert').filter({ hasText: 'Not saved yet.' })).toHaveCount(0);
  expect(await count()).toBe(before + 3);
  await page.reload();
  await page.keyboard.press('ArrowUp');
  await expect(line(page)).toHaveValue(/typed while the database was away/);
});

test('what waits in a closed tab is adopted and saved by the next', async ({ context }) => {
  const page = await context.newPage();
  await signIn(page);
  await visit(page, `/log/${HALF_GAME}`);
  await expect(line(page)).toBeFocused();
  stopCluster(CLUSTER, 'immediate');
  await type(page, '1&10 @o40 11 trips r power r +2 "from the closed tab"');
  await expect(page.getByRole('alert').filter({ hasText: 'Not saved yet.' })).toBeVisible();
  await page.close();
  await startCluster(CLUSTER, true);
  const next = await context.newPage();
  await visit(next, `/log/${HALF_GAME}`);
  await saved(next);
  await next.reload();
  await next.keyboard.press('ArrowUp');
  await expect(line(next)).toHaveValue(/from the closed tab/);
});
