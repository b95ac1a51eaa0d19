/** The build, a cluster and a template of each site that journeys begin from; gives the way to take all down. */
import { dropDatabase, ensureDatabase, joinCluster, startCluster } from '../cli/cluster';
import { ensureBuild } from '../cli/build';
import { loadDemo } from '../demo/load';
import { closeOrm, migrate } from '../store/orm';

export const TEMPLATES = { demo: 'e2e_template_demo', empty: 'e2e_template_empty' } as const;
export type Site = keyof typeof TEMPLATES;

const SEASON_NOW = new Date('2026-10-31T18:00:00Z');

/** The demo season in a database that is there. */
export async function fillDemo(url: string): Promise<void> {
  process.env.DATABASE_URL = url;
  await migrate(url);
  await loadDemo(SEASON_NOW);
  await closeOrm();
}

export default async function setup(): Promise<() => Promise<void>> {
  ensureBuild();
  const cluster = await startCluster('e2e', true);
  const leave = joinCluster('e2e');
  for (const name of Object.values(TEMPLATES)) {
    await dropDatabase(cluster, name);
    await ensureDatabase(cluster, name);
  }
  await fillDemo(cluster.url(TEMPLATES.demo));
  process.env.DATABASE_URL = cluster.url(TEMPLATES.empty);
  await migrate(cluster.url(TEMPLATES.empty));
  await closeOrm();
  return async () => leave();
}
