/** Without a network: everything that was open opens, logs and saves; what is refused is kept with its reason. */
import { createServer, request } from 'node:http';
import { onDisk } from '../bench/pages';
import { freePort } from '../cli/system';
import { expect, test, type BrowserContext, type Page } from './place';
import { choose, holdDisk, SITE, line, saved, signIn, type, visit } from './staff';

test.use({ serviceWorkers: 'allow' });

/** A game of its own; gives its address and key. */
async function newGame(page: Page, week: string): Promise<string> {
  await visit(page, '/log');
  await choose(page, 'Away', 'Marrow Fen Stags');
  await choose(page, 'Home', 'Saltmere Herons');
  await page.getByRole('textbox', { name: 'Week' }).fill(week);
  await page.getByRole('button', { name: 'Start game' }).click();
  await expect(page.getByText('Who kicks off?')).toBeVisible();
  return page.url().split('/log/')[1]!;
}
const rows = async (page: Page, game: string) =>
  (
    (await (await page.request.get(`${SITE()}/api/sync?scope=game:${game}`)).json()) as {
      rows: { row: string; order: number; deleted: boolean; fields: Record<string, unknown> }[];
    }
  ).rows
    .filter((r) => !r.deleted)
    .sort((a, b) => a.order - b.order);
/** Until the service worker has the page and the scripts. */
const kept = (page: Page, path: string) =>
  expect
    .poll(
      () =>
        page.evaluate(async (p) => {
          for (const name of await caches.keys())
            if (name.startsWith('vobrik-pages.') && (await caches.match(p, { cacheName: name }))) return true;
          return false;
        }, path),
      { timeout: 60_000 },
    )
    .toBe(true);
const other = async (context: BrowserContext): Promise<Page> => {
  const page = await context.newPage();
  await signIn(page, 'Ivo Sedgewarden');
  return page;
};

test('offline: twenty snaps, a reload, one refused; online: nineteen in order, one shown, fixed, stored; the other member sees them', async ({
  page,
  context,
  browser,
}) => {
  await signIn(page);
  const game = await newGame(page, '11');
  await kept(page, `/log/${game}`);
  const second = await browser.newContext();
  const watcher = await other(second);
  await visit(watcher, `/log/${game}`);
  await expect(line(watcher)).toBeFocused();

  await context.setOffline(true);
  await line(page).focus();
  await page.keyboard.press('F7');
  await type(page, 'kickoff tb');
  for (let n = 1; n < 20; n++)
    await type(page, `1&10 @o${20 + n} 11 trips r power r #22 +${n % 9} "snap ${n}"`);
  await expect(page.locator('#saved')).toHaveText('not saved: 20 waiting');
  // As a page of an older version might have left it: a value that the store refuses.
  await page.evaluate(async () => {
    const name = (await indexedDB.databases()).find((d) => d.name?.startsWith('vobrik.'))!.name!;
    await new Promise<void>((resolve) => {
      const open = indexedDB.open(name);
      open.onsuccess = () => {
        const tx = open.result.transaction('ops', 'readwrite');
        const all = tx.objectStore('ops').getAll();
        all.onsuccess = () => {
          const entry = all.result.find(
            (q: { op: { fields?: { note?: string } } }) => q.op.fields?.note === 'snap 7',
          );
          entry.op.fields.gain = 452;
          tx.objectStore('ops').put(entry);
        };
        tx.oncomplete = () => {
          open.result.close();
          resolve();
        };
      };
    });
  });
  await page.reload();
  await expect(page.getByTestId('before')).toBeVisible();
  await expect(page.locator('#saved')).toHaveText(/20 waiting|saving 20/);
  // The other pages of the week open too, and a page that was never opened says so in words.
  await visit(page, '/read');
  await expect(page.getByRole('heading', { name: 'The server does not answer' })).toBeVisible();
  await page.getByRole('link', { name: `log: ${game}` }).click();
  await expect(line(page)).toBeFocused();

  await context.setOffline(false);
  await expect(page.locator('#saved')).toHaveText(/^saved/, { timeout: 30_000 });
  const refused = page.getByRole('list', { name: 'Changes to settle' }).getByRole('listitem');
  await expect(refused).toHaveCount(1);
  await expect(refused).toContainText('gain “452” is not a whole number from -99 to 99');
  expect((await rows(page, game)).map((r) => r.fields.note ?? 'kickoff')).toEqual([
    'kickoff',
    ...Array.from({ length: 19 }, (_, i) => `snap ${i + 1}`).filter((n) => n !== 'snap 7'),
  ]);
  await expect(watcher.getByRole('img', { name: /Field strip: 19 snaps/ })).toBeVisible({ timeout: 5000 });

  // It is kept across reloads until it is fixed.
  await page.reload();
  await page.getByRole('list', { name: 'Changes to settle' }).getByRole('button', { name: 'fix it' }).click();
  await expect(line(page)).toHaveValue(/452/);
  await line(page).fill('1&10 @o27 11 trips r power r #22 +7 "snap 7"');
  const began = Date.now();
  await page.keyboard.press('Enter');
  await expect(watcher.getByRole('img', { name: /Field strip: 20 snaps/ })).toBeVisible({ timeout: 10_000 });
  process.stdout.write(`another member saw the fixed snap after ${Date.now() - began} ms\n`);
  await expect(page.getByRole('list', { name: 'Changes to settle' })).toHaveCount(0);
  expect((await rows(page, game)).map((r) => r.fields.note ?? 'kickoff')).toEqual([
    'kickoff',
    ...Array.from({ length: 19 }, (_, i) => `snap ${i + 1}`),
  ]);
  await second.close();
});

test('a browser killed right after Enter, offline, loses nothing; a tab opened by script shares nothing it should not', async ({
  page,
  context,
}) => {
  await signIn(page);
  const game = await newGame(page, '12');
  await kept(page, `/log/${game}`);
  await context.setOffline(true);
  await line(page).focus();
  await page.keyboard.press('F7');
  await type(page, 'kickoff tb');
  const [tab] = await Promise.all([
    context.waitForEvent('page'),
    page.evaluate((url) => void window.open(url), page.url()),
  ]);
  await expect(line(tab)).toBeVisible();
  await tab.bringToFront();
  await line(tab).focus();
  await type(tab, '1&10 @o25 11 trips r power r +3 "from the second tab"');
  await page.bringToFront();
  await line(page).focus();
  await type(page, '2&7 @o28 draw #22 +2 "from the first tab"');
  // Killed as soon as the disk has it: no time for anything else. Before, it would stand in the line again.
  await onDisk(page);
  await Promise.all([page, tab].map((p) => p.close({ runBeforeUnload: false })));
  await context.setOffline(false);
  const next = await context.newPage();
  await visit(next, '/');
  // Sent from anywhere in the application, and shown there.
  await expect(next.locator('#saved')).toHaveText(/^saved \d/, { timeout: 30_000 });
  expect((await rows(next, game)).map((r) => r.fields.note ?? 'kickoff')).toEqual([
    'kickoff',
    'from the second tab',
    'from the first tab',
  ]);
});

test('signing out asks while something waits, and leaves nothing on the browser', async ({
  page,
  context,
}) => {
  await signIn(page, 'Ivo Sedgewarden');
  const game = await newGame(page, '13');
  await kept(page, `/log/${game}`);
  await context.setOffline(true);
  await line(page).focus();
  await page.keyboard.press('F7');
  await type(page, 'kickoff tb');
  await page.getByRole('button', { name: 'sign out' }).click();
  const dialog = page.getByRole('dialog', { name: '1 change is not saved' });
  await expect(dialog).toBeVisible();
  await dialog.getByRole('button', { name: 'Stay signed in' }).click();
  await context.setOffline(false);
  await saved(page);
  await page.getByRole('button', { name: 'sign out' }).click();
  await expect(page).toHaveURL(/sign-in/);
  // The first page may stand a moment before the last of it is off.
  const left = () =>
    page.evaluate(async () => {
      const out: string[] = (await caches.keys()).filter((n) => n.startsWith('vobrik-'));
      for (const { name } of await indexedDB.databases()) {
        await new Promise<void>((resolve) => {
          const open = indexedDB.open(name!);
          open.onsuccess = () => {
            const tx = open.result.transaction([...open.result.objectStoreNames]);
            for (const store of open.result.objectStoreNames) {
              const n = tx.objectStore(store).count();
              n.onsuccess = () => {
                if (n.result > 0 && name!.startsWith('vobrik.')) out.push(`${store} ${n.result}`);
              };
            }
            tx.oncomplete = () => {
              open.result.close();
              resolve();
            };
          };
        });
      }
      return [...out, ...Object.keys(localStorage).filter((k) => k.startsWith('vobrik.'))];
    });
  await expect(async () => expect(await left()).toEqual([])).toPass({ timeout: 10_000 });
  // Nothing of the API was kept by the service worker while it was there.
  expect(
    await page.evaluate(async () =>
      (
        await Promise.all(
          (await caches.keys()).map(async (n) =>
            (await (await caches.open(n)).keys()).map((r) => new URL(r.url).pathname),
          ),
        )
      )
        .flat()
        .filter((p) => p.startsWith('/api/')),
    ),
  ).toEqual([]);
  await context.setOffline(true);
  await visit(page, `/log/${game}`);
  await expect(page.getByText('No page was opened on this browser before.')).toBeVisible();
  await context.setOffline(false);
});

test('a storage that is full is said, the line stays, and nothing is saved twice', async ({
  page,
  context,
}) => {
  await signIn(page);
  const game = await newGame(page, '14');
  await page.evaluate(() => {
    const add = IDBObjectStore.prototype.add;
    Object.assign(window, {
      heal: () => {
        IDBObjectStore.prototype.add = add;
      },
    });
    IDBObjectStore.prototype.add = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
    Storage.prototype.setItem = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
  });
  await line(page).focus();
  await page.keyboard.press('F7');
  await context.setOffline(true);
  await page.keyboard.type('kickoff tb');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'its storage is full' })).toBeVisible();
  await expect(line(page)).toHaveValue('kickoff tb');
  await page.keyboard.press('Enter');
  await expect(line(page)).toHaveValue('kickoff tb');
  await context.setOffline(false);
  expect(await rows(page, game)).toEqual([]);
  // What the database takes needs no disk here.
  await saved(page);
  await page.keyboard.press('Enter');
  await expect(line(page)).toHaveValue('');
  await expect.poll(async () => (await rows(page, game)).length).toBe(1);
  await saved(page);
  await expect(page.getByRole('alert').filter({ hasText: 'its storage is full' })).toHaveCount(0);
  await page.evaluate(() => (window as unknown as { heal: () => void }).heal());
  await page.keyboard.type('offense=STG 1&10 @o25 11 trips r gun power r +4');
  await page.keyboard.press('Enter');
  await expect(line(page)).toHaveValue('');
  await saved(page);
  expect(await rows(page, game)).toHaveLength(2);
});

test('Back into Log, quick reloads and two members at once: every snap its own place', async ({
  page,
  browser,
}) => {
  await signIn(page);
  const game = await newGame(page, '15');
  await line(page).focus();
  await page.keyboard.press('F7');
  await type(page, 'kickoff tb');
  const second = await browser.newContext();
  const watcher = await other(second);
  await visit(watcher, `/log/${game}`);
  await expect(line(watcher)).toBeFocused();
  for (let n = 0; n < 6; n++) {
    await type(page, `1&10 @o30 power r +1 "a${n}"`);
    await type(watcher, `1&10 @o30 power r +1 "b${n}"`);
    if (n === 2) {
      await page.getByRole('link', { name: 'Plan', exact: true }).click();
      await expect(page.getByRole('heading', { name: 'Call sheets' })).toBeVisible();
      await page.goBack();
      await expect(line(page)).toBeVisible();
      await line(page).focus();
    }
    if (n === 4) {
      // Until the browser has it, it is a draft, and would come back as one.
      await onDisk(page);
      await page.reload();
    }
  }
  await saved(page);
  await saved(watcher);
  const stored = await rows(page, game);
  expect(new Set(stored.map((r) => r.order)).size).toBe(stored.length);
  const notes = stored.map((r) => String(r.fields.note ?? ''));
  for (const who of ['a', 'b'])
    expect(notes.filter((n) => n.startsWith(who))).toEqual(Array.from({ length: 6 }, (_, i) => `${who}${i}`));
  await second.close();
});

test('what the disk is still writing is not said to be saved, and signing out asks for it', async ({
  page,
}) => {
  await signIn(page);
  const game = await newGame(page, '17');
  await line(page).focus();
  await page.keyboard.press('F7');
  await type(page, 'kickoff tb');
  await saved(page);
  const letGo = await holdDisk(page);
  await page.keyboard.type('offense=STG 1&10 @o25 11 trips r gun power r +4');
  await page.keyboard.press('Enter');
  await expect(line(page)).toHaveValue('');
  await expect(page.locator('#saved')).toHaveText('saving 1');
  // The database has it, and the disk has not: still not saved.
  await expect.poll(async () => (await rows(page, game)).length).toBe(2);
  await expect(page.locator('#saved')).toHaveText('saving 1');
  await page.getByRole('button', { name: 'sign out' }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.keyboard.press('Escape');
  await letGo();
  await saved(page);
  expect(await rows(page, game)).toHaveLength(2);
});

test('a page that comes slowly comes whole, though this browser keeps one', async ({ page }) => {
  // A line of the network between: the first half of a page at once, the rest after longer than a kept page waits for.
  let slow = false;
  const between = createServer((asked, answer) => {
    const { hostname, port } = new URL(SITE());
    const on = request(
      { hostname, port, path: asked.url, method: asked.method, headers: asked.headers },
      (got) => {
        answer.writeHead(got.statusCode!, got.headers);
        if (!slow || asked.headers.accept?.includes('text/html') !== true) return void got.pipe(answer);
        const parts: Buffer[] = [];
        got.on('data', (part: Buffer) => parts.push(part));
        got.on('end', () => {
          const all = Buffer.concat(parts);
          answer.write(all.subarray(0, all.length / 2));
          setTimeout(() => answer.end(all.subarray(all.length / 2)), 9000);
        });
      },
    );
    on.on('error', () => answer.destroy());
    asked.pipe(on);
  });
  const at = await freePort();
  await new Promise<void>((resolve) => between.listen(at, '127.0.0.1', resolve));
  try {
    await page.goto(`http://127.0.0.1:${at}/sign-in`);
    await page.getByRole('button', { name: /Okafor/ }).click();
    await page.getByRole('heading', { name: 'What is next' }).waitFor();
    const game = '/log/2026-w08-stg-wre';
    await page.goto(`http://127.0.0.1:${at}${game}`);
    await kept(page, game);
    await page.evaluate(() => navigator.serviceWorker.ready);
    slow = true;
    await page.reload({ timeout: 60_000 });
    await type(page, '1&10 @o30 11 trips r power r #22 +3');
    await saved(page);
  } finally {
    between.closeAllConnections();
    between.close();
  }
});

test('where the scripts come from this browser, looks are still measured in a worker', async ({ page }) => {
  await signIn(page);
  await kept(page, '/');
  await page.evaluate(() => navigator.serviceWorker.ready);
  await page.reload();
  expect(await page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);
  const said: string[] = [];
  page.on('console', (m) => {
    if (m.type() === 'error') said.push(m.text());
  });
  const began = page.waitForEvent('worker');
  await visit(page, '/read?team=STG');
  const worker = await began;
  await expect(page.getByRole('region', { name: 'Looks to prepare for' })).toContainText(
    /\d+ looks in \d games/,
  );
  // It lives: one that stands at another address than it was asked for says so and dies.
  expect(page.workers()).toContain(worker);
  expect(said).toEqual([]);
});
