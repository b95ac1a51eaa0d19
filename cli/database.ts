/** The two databases of one cluster. */
import { ensureDatabase, joinCluster, startCluster, type Cluster } from './cluster';

export const CLUSTER = 'pg';
export const DATABASES = { demo: 'vobrik_demo', start: 'vobrik' } as const;
export type Mode = keyof typeof DATABASES;

export interface OpenDatabase {
  readonly cluster: Cluster;
  readonly url: string;
  readonly database: string;
  /** Leaves the cluster; it stops with its last user. */
  readonly leave: () => void;
}

/** Starts the cluster if need be, makes the database, migrates it. */
export async function openDatabase(mode: Mode): Promise<OpenDatabase> {
  const cluster = await startCluster(CLUSTER, true);
  const leave = joinCluster(CLUSTER);
  const database = DATABASES[mode];
  await ensureDatabase(cluster, database);
  const url = cluster.url(database);
  process.env.DATABASE_URL = url;
  const { migrate } = await import('../store/orm');
  await migrate(url);
  return { cluster, url, database, leave };
}
