/**
 * A scripted analyst charts the rest of the half-logged game with real keys, in two passes, to closed; what stands
 * then equals the truth. `VOBRIK_ANALYST=all` charts all of it; here a part.
 */
import { columnOf, SNAP_FIELDS, type Snap, type SnapFact } from '../core/snap';
import { COLLEGE } from '../core/field';
import { unpack, readCsv } from '../core/table';
import { effectiveSnap, walkGame } from '../core/rules';
import { DEMO_SEED, loggedGames, simulateSeason } from '../demo/league';
import { keySnap, SECOND, typeSnap } from './analyst';
import { expect, test } from './place';
import { HALF_GAME, line, saved, SITE, signIn, visit } from './staff';

const PART = 8;

test('the rest of the half game, first and second pass, to closed, equals the truth', async ({ page }) => {
  const game = loggedGames(simulateSeason(DEMO_SEED, { tells: true })).find((g) => g.key === HALF_GAME)!;
  const begun = game.logged.length;
  const many = process.env.VOBRIK_ANALYST === 'all' ? game.snaps.length - begun : PART;
  if (process.env.VOBRIK_ANALYST === 'all') test.setTimeout(3_600_000);
  const truth = walkGame(game.snaps.slice(0, begun + many), COLLEGE);
  const rows = truth.slice(begun);
  await signIn(page);
  await visit(page, `/log/${HALF_GAME}`);
  await expect(line(page)).toBeFocused();
  await expect(page.locator('[aria-label="The game so far"]:not([aria-busy])')).toBeVisible();
  let at = Date.now();
  let keys = 0;
  for (const row of rows) keys += await typeSnap(page, row);
  await saved(page);
  process.stdout.write(
    `first pass: ${rows.length} snaps, ${(keys / rows.length).toFixed(1)} keys and ${((Date.now() - at) / 1000 / rows.length).toFixed(1)} s a snap\n`,
  );

  await visit(page, `/log/${HALF_GAME}/pass?pass=front`);
  const strip = page.getByTestId('pass-strip');
  await expect(strip).toBeFocused();
  // Earlier snaps of the pass that somebody left open are not this analyst's.
  const heading = page.getByRole('heading', { name: /^Snap \d+ / });
  for (let guard = 0; guard < 200; guard++) {
    const shown = (await heading.textContent())!;
    if (new RegExp(`^Snap ${rows[0]!.number} `).test(shown)) break;
    await page.keyboard.press('ArrowDown');
    await expect(heading).not.toHaveText(shown);
  }
  at = Date.now();
  keys = 0;
  const scrimmage = rows.filter(
    ({ snap, before }) =>
      before.unit === 'scrimmage' &&
      snap.result !== 'kneel' &&
      snap.result !== 'spike' &&
      (snap.unit === 'scrimmage' || snap.unit === null),
  );
  for (const row of scrimmage) {
    await expect(page.getByRole('heading', { name: new RegExp(`^Snap ${row.number} `) })).toBeVisible();
    keys += await keySnap(page, row);
    await page.keyboard.press('Enter');
    keys++;
  }
  await saved(page);
  process.stdout.write(
    `second pass: ${scrimmage.length} snaps, ${SECOND.size} fields, ${(keys / scrimmage.length).toFixed(1)} keys and ${((Date.now() - at) / 1000 / scrimmage.length).toFixed(1)} s a snap\n`,
  );

  const zip = await page.request.get(`${SITE()}/api/export`);
  const files = unpack('program.zip', new Uint8Array(await zip.body()));
  if (!files.ok) throw new Error(files.remedy);
  const read = readCsv('snaps', files.files.find((f) => f.name === 'snaps.csv')!.text, 'snaps.csv');
  const landed = read.rows.filter((r) => r.game === HALF_GAME);
  expect(landed).toHaveLength(truth.length);
  const wrong: string[] = [];
  rows.forEach((row, i) => {
    const was: Snap = effectiveSnap(row);
    const now = landed[begun + i]!;
    for (const field of Object.keys(SNAP_FIELDS) as SnapFact[]) {
      // What is not said follows from what is.
      if (
        SNAP_FIELDS[field].unsaid ||
        ['snapId', 'game', 'order', 'film', 'filmIn', 'filmOut'].includes(field)
      )
        continue;
      // A no, no second concept, and a return of nothing are what nobody says.
      const unsaid = (v: unknown): boolean =>
        v === false || (field === 'conceptWeak' && v === '-') || (field === 'returnYards' && v === 0);
      const silent = (v: unknown): unknown => (unsaid(v) ? null : (v ?? null));
      const [a, b] = [silent(was[field]), silent(now[columnOf(field)])];
      if (JSON.stringify(a) !== JSON.stringify(b))
        wrong.push(`snap ${row.number} ${field}: ${JSON.stringify(b)}, not ${JSON.stringify(a)}`);
    }
  });
  expect(wrong).toEqual([]);

  await visit(page, '/log');
  const listed = page.getByRole('row').filter({ hasText: 'Marrow Fen Stags at Hollowquay Wrens' });
  await listed.getByRole('button', { name: /^close/ }).click();
  await expect(listed).toContainText('closed');
});
