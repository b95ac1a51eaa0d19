import { expect, test } from './place';
import { logByPage } from '../bench/pages';
import { SITE } from './staff';

/** At one game, each in a browser of his own. */
const MEMBERS = [/Okafor/, /Sedgewarden/, /Okafor/];

test('the real page under random schedules: nothing that was cleared is lost, doubled or shuffled', async () => {
  const done = await Promise.all(
    MEMBERS.map((member, i) =>
      logByPage({ base: SITE(), game: '2026-w08-stg-wre', member, schedules: 9, seed: 20261126 + i }),
    ),
  );
  process.stdout.write(`schedules in Chromium: ${JSON.stringify(done)}\n`);
  expect(done.reduce((n, d) => n + d.schedules, 0)).toBeGreaterThanOrEqual(27);
  for (const d of done) {
    expect(d.snaps).toBeGreaterThan(20);
    expect([d.lost, d.doubled, d.outOfOrder]).toEqual([0, 0, 0]);
  }
});
