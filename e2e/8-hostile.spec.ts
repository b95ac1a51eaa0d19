/** Files and requests that mean harm: the server answers others meanwhile, says what is wrong, and takes nothing. */
import { expect, test } from './place';
import { zipSync } from 'fflate';
import { LIMITS } from '../core/table';
import { SITE, HALF_GAME, signIn, visit } from './staff';

const MB = 1024 * 1024;
type Line = { error?: string; outcome?: { imported: boolean; faults: string[]; book: unknown } };

test('a bomb, a flood of rows, broken bytes and a cut archive are refused in words, while others are answered', async ({
  page,
}) => {
  await signIn(page);
  const send = async (name: string, bytes: Uint8Array): Promise<Line> => {
    const response = await page.request.post(`${SITE()}/api/import`, {
      multipart: { files: { name, mimeType: 'application/octet-stream', buffer: Buffer.from(bytes) } },
      timeout: 300_000,
    });
    const lines = (await response.text())
      .trim()
      .split('\n')
      .map((l) => JSON.parse(l) as Line);
    return lines[lines.length - 1]!;
  };
  const header = 'snap_id,game,order,offense,defense\n';
  const bomb = zipSync({ 'snaps.csv': [new Uint8Array(250 * MB), { level: 9 }] });
  expect(bomb.length).toBeLessThan(300_000);
  const text = (s: string) => new TextEncoder().encode(s);
  const rows = (n: number): Uint8Array =>
    text(header + Array.from({ length: n }, (_, i) => `s${i},flood,${i + 1},HER,STG`).join('\n'));

  let slowest = 0;
  let asked = 0;
  let over = false;
  const others = (async () => {
    while (!over) {
      const began = Date.now();
      expect((await page.request.get(`${SITE()}/api/sync?scope=game:${HALF_GAME}`)).status()).toBe(200);
      slowest = Math.max(slowest, Date.now() - began);
      asked++;
      await new Promise((r) => setTimeout(r, 50));
    }
  })();
  expect((await send('bomb.zip', bomb)).error).toMatch(/unpacks to more than 160 MB/);
  expect((await send('flood.csv', rows(LIMITS.rows + 1))).outcome!.faults[0]).toMatch(
    /has more than 200000 rows/,
  );
  expect(
    (
      await send(
        'wide.csv',
        text(`${Array.from({ length: LIMITS.columns + 1 }, (_, i) => `c${i}`).join(',')}\n`),
      )
    ).outcome!.faults.join(),
  ).toMatch(/more than 250 columns|none of/);
  expect((await send('bytes.csv', new Uint8Array([0x73, 0xff, 0xfe]))).error).toMatch(/not UTF-8/);
  expect(
    (await send('bytes.zip', zipSync({ 'snaps.csv': new Uint8Array([0x73, 0xff, 0xfe]) }))).error,
  ).toMatch(/snaps.csv is not UTF-8/);
  const whole = zipSync({ 'snaps.csv': rows(2000) });
  expect((await send('cut.zip', whole.subarray(0, whole.length - 40))).error).toMatch(/not a whole zip/);
  expect(
    (
      await send(
        'many.zip',
        zipSync(
          Object.fromEntries(Array.from({ length: LIMITS.files + 1 }, (_, i) => [`${i}.csv`, text('a')])),
        ),
      )
    ).error,
  ).toMatch(/40 files/);
  const large = await page.request
    .post(`${SITE()}/api/import`, {
      multipart: {
        files: { name: 'large.csv', mimeType: 'text/csv', buffer: Buffer.alloc(LIMITS.uploadBytes + MB) },
      },
      timeout: 120_000,
    })
    .catch(() => null);
  // At the limit it is read, and what is in it is said.
  expect((await send('largest.csv', new Uint8Array(LIMITS.uploadBytes))).error ?? 'read').not.toMatch(
    /larger than/,
  );
  // The connection may be cut before the answer is read; if it is read, it says what is wrong.
  if (large)
    expect([large.status(), ((await large.json()) as { error: string }).error]).toEqual([
      422,
      'the upload is larger than 64 MB; split it',
    ]);
  over = true;
  await others;
  process.stdout.write(
    `while hostile files came in: ${asked} questions of others, the slowest ${slowest} ms\n`,
  );
  expect(slowest).toBeLessThan(5000);
  await visit(page, '/log');
  await expect(page.getByText('flood')).toHaveCount(0);
});

test('an import can be stopped, and a large one is taken: more than the 10 MB of a body that the framework keeps', async ({
  page,
}) => {
  test.slow();
  await signIn(page);
  await visit(page, '/log/import');
  const note = 'x'.repeat(900);
  const csv = `snap_id,game,order,offense,defense,note\n${Array.from({ length: 13_000 }, (_, i) => `s${i},large,${i + 1},HER,STG,${note}`).join('\n')}\n`;
  expect(csv.length).toBeGreaterThan(11 * MB);
  const upload = { name: 'large.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) };
  await page.getByLabel('Files to import').setInputFiles(upload);
  await page.getByRole('button', { name: 'Import', exact: true }).click();
  await expect(page.getByText(/^(Reading|Checking|Writing)/)).toBeVisible({ timeout: 60_000 });
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByText(/Stopped\. If it had not finished, nothing was imported\./)).toBeVisible();
  await page.getByRole('button', { name: 'Import', exact: true }).click();
  await expect(page.getByText(/Imported .*13000 snaps/)).toBeVisible({ timeout: 240_000 });
});

test('a request of another host name is refused before anything is done', async ({ request }) => {
  const port = new URL(SITE()).port;
  for (const path of ['/', '/sign-in', '/api/health', '/api/import']) {
    const response = await request.fetch(`${SITE()}${path}`, {
      method: path === '/api/import' ? 'POST' : 'GET',
      headers: { host: `rebound.invalid:${port}` },
      maxRedirects: 0,
    });
    expect(response.status(), path).toBe(421);
  }
});
