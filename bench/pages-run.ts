/** The real page under random schedules, with the servers killed as well. */
import { randomUUID } from 'node:crypto';
import { dropDatabase, ensureDatabase, joinCluster, startCluster, stopCluster } from '../cli/cluster';
import { ensureBuild } from '../cli/build';
import { spawnServer, waitUntilUp } from '../cli/serve';
import { freePort } from '../cli/system';
import { loadDemo } from '../demo/load';
import { seededRandom } from '../demo/random';
import { closeOrm, migrate } from '../store/orm';
import { logByPage, type PagesDone } from './pages';

export async function pagesUnderKills({ schedules, seed }: { readonly schedules: number; readonly seed: number }): Promise<PagesDone> {
  ensureBuild();
  const source = seededRandom(seed + 1);
  let cluster = await startCluster('kills', true);
  const leave = joinCluster('kills');
  const database = `pages_${randomUUID().slice(0, 8)}`;
  await ensureDatabase(cluster, database);
  process.env.DATABASE_URL = cluster.url(database);
  await migrate(cluster.url(database));
  await loadDemo(new Date());
  await closeOrm();
  const port = await freePort();
  const base = `http://127.0.0.1:${port}`;
  let server = spawnServer(port, cluster.url(database));
  await waitUntilUp(base, server);
  const restart = async (): Promise<void> => {
    if (source.chance(0.5)) {
      stopCluster('kills', 'immediate');
      cluster = await startCluster('kills', true);
      server.stdin?.write(`${JSON.stringify({ database: cluster.url(database) })}\n`);
    } else {
      server.kill('SIGKILL');
      await new Promise((r) => server.once('exit', r));
      server = spawnServer(port, cluster.url(database));
    }
    await waitUntilUp(base, server);
  };
  try {
    return await logByPage({ base, game: '2026-w08-stg-wre', member: /Okafor/, schedules, seed, restart });
  } finally {
    server.kill('SIGTERM');
    await dropDatabase(cluster, database);
    leave();
  }
}
