import { expect, it } from 'vitest';
import { logUnderKills } from '../bench/kills';

it('a hundred snaps under kills of postmaster, backends and server: none lost, none doubled, in order', async () => {
  const done = await logUnderKills({ snaps: 100, every: 9, seed: 20261126 });
  process.stdout.write(`under kills: ${JSON.stringify(done)}\n`);
  expect(done.kills.postmaster + done.kills.backends + done.kills.server).toBeGreaterThanOrEqual(5);
  expect([done.lost, done.doubled, done.outOfOrder]).toEqual([0, 0, 0]);
}, 240_000);
