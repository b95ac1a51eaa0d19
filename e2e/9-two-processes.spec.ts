/** Two web servers on one database: sessions, saves and notices cross. */
import { expect, test } from './place';
import { spawnServer, waitUntilUp } from '../cli/serve';
import { freePort } from '../cli/system';
import { HALF_GAME, line, saved, signIn, type, visit } from './staff';

test('a session of one is known to the other, and a snap saved at one is seen at the other', async ({
  page,
  context,
  browser,
}) => {
  const port = await freePort();
  const second = spawnServer(port, process.env.VOBRIK_E2E_DATABASE!);
  const other = `http://127.0.0.1:${port}`;
  try {
    await waitUntilUp(other, second);
    await signIn(page);
    // The cookie is the host's; the second server reads the same session from the database.
    const [cookie] = (await context.cookies()).filter((c) => c.name === 'vobrik_session');
    const there = await browser.newContext();
    await there.addCookies([{ ...cookie!, url: undefined as never, domain: '127.0.0.1', path: '/' }]);
    const watcher = await there.newPage();
    await watcher.goto(`${other}/log/${HALF_GAME}`);
    await expect(line(watcher)).toBeFocused();
    await visit(page, `/log/${HALF_GAME}`);
    await type(page, '1&10 @o30 power r +2 "crosses"');
    await saved(page);
    const began = Date.now();
    await expect
      .poll(
        async () => {
          await watcher.keyboard.press('ArrowUp');
          const text = await line(watcher).inputValue();
          await watcher.keyboard.press('Escape');
          return text;
        },
        { timeout: 10_000 },
      )
      .toContain('crosses');
    process.stdout.write(`seen at the other server within ${Date.now() - began} ms\n`);
    // Signed out at one, signed out at both.
    await page.getByRole('button', { name: 'sign out' }).click();
    await expect(page).toHaveURL(/sign-in/);
    expect((await watcher.request.get(`${other}/api/sync?scope=game:${HALF_GAME}`)).status()).toBe(401);
    await there.close();
  } finally {
    second.kill('SIGTERM');
  }
});
