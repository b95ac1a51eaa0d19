import { expect, test } from '@playwright/test';
import { logByPage } from '../bench/pages';
import { DEMO } from './staff';

test('the real page under random schedules: nothing that was cleared is lost, doubled or shuffled', async () => {
  const done = await logByPage({ base: DEMO(), game: '2026-w08-stg-wre', member: /Okafor/, schedules: 5, seed: 20261126 });
  process.stdout.write(`schedules in Chromium: ${JSON.stringify(done)}\n`);
  expect(done.snaps).toBeGreaterThan(5);
  expect([done.lost, done.doubled, done.outOfOrder]).toEqual([0, 0, 0]);
});
