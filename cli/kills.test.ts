import { expect, it } from 'vitest';
import { logUnderKills } from '../bench/kills';
import { pagesUnderKills } from '../bench/pages-run';
import { logAtOnce } from '../bench/rounds';

it('a hundred snaps under kills of postmaster, backends and server: none lost, none doubled, in order', async () => {
  const done = await logUnderKills({ snaps: 100, every: 9, seed: 20261126 });
  process.stdout.write(`under kills: ${JSON.stringify(done)}\n`);
  expect(done.kills.postmaster + done.kills.backends + done.kills.server).toBeGreaterThanOrEqual(5);
  expect([done.lost, done.doubled, done.outOfOrder]).toEqual([0, 0, 0]);
}, 240_000);

it('thirty snaps by the real page under kills of the servers, tabs and browsers', async () => {
  const done = await pagesUnderKills({ schedules: 5, least: 30, seed: 20261126 });
  process.stdout.write(`the real page under kills: ${JSON.stringify(done)}\n`);
  expect(done.actions.server).toBeGreaterThan(0);
  expect([done.lost, done.doubled, done.outOfOrder]).toEqual([0, 0, 0]);
}, 240_000);

it('fifty rounds of two members at once: one order, one winner of each field, nothing lost', async () => {
  const done = await logAtOnce({ rounds: 50, seed: 20261126 });
  process.stdout.write(`at once: ${JSON.stringify(done)}\n`);
  expect(done).toEqual({ rounds: 50, snaps: 200, lost: 0, doubled: 0, outOfOrder: 0, notOneWinner: 0 });
}, 240_000);
