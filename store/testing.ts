/** A throw-away database in a cluster of its own, for tests. */
import { dropDatabase, ensureDatabase, joinCluster, startCluster, type Cluster } from '../cli/cluster';
import { closeOrm, getOrm, migrate } from './orm';

export interface TestDatabase {
  readonly cluster: Cluster;
  readonly url: string;
  close(): Promise<void>;
}

export async function openTestDatabase(name: string): Promise<TestDatabase> {
  const cluster = await startCluster('test', false);
  const leave = joinCluster('test');
  const database = `vobrik_test_${name}`;
  await dropDatabase(cluster, database);
  await ensureDatabase(cluster, database);
  const url = cluster.url(database);
  process.env.DATABASE_URL = url;
  await migrate(url);
  return {
    cluster,
    url,
    close: async () => {
      await closeOrm();
      await dropDatabase(cluster, database);
      leave();
    },
  };
}

export { getOrm };
