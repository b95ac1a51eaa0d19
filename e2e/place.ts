/** Each file of journeys has a database of its own, cloned from a template, and a server on it: files run side by side. */
import { test as base } from '@playwright/test';
import { cloneDatabase, dropDatabase, ensureDatabase, joinCluster, startCluster } from '../cli/cluster';
import { spawnServer, waitUntilUp } from '../cli/serve';
import { freePort } from '../cli/system';
import { fillDemo, TEMPLATES, type Site } from './setup';

export interface PlaceOptions {
  /** What the journey finds: the demo season, or nothing at all. */
  site: Site;
  /** The cluster it runs on; one that is pulled down in the middle is its own. */
  cluster: 'e2e' | 'outage';
}

export const test = base.extend<object, PlaceOptions & { place: void }>({
  site: ['demo', { option: true, scope: 'worker' }],
  cluster: ['e2e', { option: true, scope: 'worker' }],
  place: [
    async ({ site, cluster: name }, use, { workerIndex }) => {
      // Durable settings: a journey pulls the plug on it.
      const cluster = await startCluster(name, true);
      const leave = joinCluster(name);
      const database = `e2e_${process.pid}_${workerIndex}`;
      if (name === 'e2e') await cloneDatabase(cluster, TEMPLATES[site], database);
      else {
        await ensureDatabase(cluster, database);
        await fillDemo(cluster.url(database));
      }
      const port = await freePort();
      const server = spawnServer(port, cluster.url(database));
      await waitUntilUp(`http://127.0.0.1:${port}`, server);
      process.env.VOBRIK_E2E_SITE = `http://127.0.0.1:${port}`;
      process.env.VOBRIK_E2E_DATABASE = cluster.url(database);
      await use();
      const gone = new Promise((r) => server.once('exit', r));
      if (server.kill('SIGTERM')) await gone;
      await dropDatabase(await startCluster(name, true), database);
      leave();
    },
    { scope: 'worker', auto: true, timeout: 240_000 },
  ],
});

export { expect, type BrowserContext, type Locator, type Page } from '@playwright/test';
