/** A cluster, two databases (demo, empty) and a server for each; gives the way to take all down. */
import type { ChildProcess } from 'node:child_process';
import { dropDatabase, ensureDatabase, joinCluster, startCluster } from '../cli/cluster';
import { ensureBuild } from '../cli/build';
import { spawnServer, waitUntilUp } from '../cli/serve';
import { freePort } from '../cli/system';
import { loadDemo } from '../demo/load';
import { closeOrm, migrate } from '../store/orm';

export const CLUSTER = 'e2e';

export default async function setup(): Promise<() => Promise<void>> {
  ensureBuild();
  // Durable settings: a journey pulls the plug on it.
  const cluster = await startCluster(CLUSTER, true);
  const leave = joinCluster(CLUSTER);
  const children: ChildProcess[] = [];
  for (const [name, database] of [
    ['demo', 'e2e_demo'],
    ['empty', 'e2e_empty'],
  ] as const) {
    await dropDatabase(cluster, database);
    await ensureDatabase(cluster, database);
    const url = cluster.url(database);
    process.env.DATABASE_URL = url;
    await migrate(url);
    if (name === 'demo') await loadDemo(new Date('2026-10-31T18:00:00Z'));
    await closeOrm();
    const port = await freePort();
    const child = spawnServer(port, url);
    children.push(child);
    await waitUntilUp(`http://127.0.0.1:${port}`, child);
    process.env[`VOBRIK_E2E_${name.toUpperCase()}`] = `http://127.0.0.1:${port}`;
    process.env[`VOBRIK_E2E_${name.toUpperCase()}_DATABASE`] = url;
  }
  return async () => {
    await Promise.all(
      children.map(
        (c) =>
          new Promise<void>((resolve) => {
            c.on('exit', () => resolve());
            c.kill('SIGTERM');
          }),
      ),
    );
    leave();
  };
}
