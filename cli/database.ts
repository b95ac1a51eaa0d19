/** Where the data is: the two databases of our own cluster, or one that the operator names. */
import { Client } from 'pg';
import { ensureDatabase, openCluster, type Cluster } from './cluster';
import { environment } from '../store/environment';
import { Plain } from './paths';

export const CLUSTER = 'pg';
export const DATABASES = { demo: 'vobrik_demo', start: 'vobrik' } as const;
export type Mode = keyof typeof DATABASES;

export interface OpenDatabase {
  /** Null: a database of the operator's. */
  readonly cluster: Cluster | null;
  readonly url: string;
  readonly database: string;
  /** Leaves the cluster; it stops with its last user. */
  readonly leave: () => void;
}

const OLDEST_SERVER = 14;

/** Starts the cluster if need be, makes the database, migrates it. With VOBRIK_DATABASE_URL (not in the demo): that one. */
export async function openDatabase(mode: Mode): Promise<OpenDatabase> {
  const named = mode === 'start' ? environment().VOBRIK_DATABASE_URL : undefined;
  const open = named ? await openNamed(named) : await openOwn(mode);
  process.env.DATABASE_URL = open.url;
  const { migrate } = await import('../store/orm');
  try {
    await migrate(open.url);
  } catch (error) {
    open.leave();
    throw error;
  }
  return open;
}

async function openOwn(mode: Mode): Promise<OpenDatabase> {
  const { cluster, leave } = await openCluster(CLUSTER, true);
  const database = DATABASES[mode];
  await ensureDatabase(cluster, database);
  return { cluster, url: cluster.url(database), database, leave };
}

/** A server of the operator's: checked before anything is touched; its role needs no more than to own its database. */
async function openNamed(url: string): Promise<OpenDatabase> {
  const client = new Client({ connectionString: url, connectionTimeoutMillis: 10_000 });
  try {
    await client.connect();
    const { rows } = await client.query<{ v: string; db: string; ok: boolean }>(
      "select current_setting('server_version_num') as v, current_database() as db, has_schema_privilege(current_schema(), 'create') as ok",
    );
    const { v: value, db, ok } = rows[0]!;
    const major = Math.floor(Number(value) / 10_000);
    if (major < OLDEST_SERVER)
      throw new Plain(
        `the PostgreSQL server of VOBRIK_DATABASE_URL is version ${major}; Vobrik needs ${OLDEST_SERVER} or newer`,
      );
    if (!ok)
      throw new Plain(
        `the role of VOBRIK_DATABASE_URL may not make tables in ${db}; make it the owner of the database`,
      );
    return {
      cluster: null,
      url: url.replace(/^postgres:/, 'postgresql:'),
      database: db,
      leave: () => undefined,
    };
  } catch (error) {
    if (error instanceof Plain) throw error;
    throw new Plain(`the database of VOBRIK_DATABASE_URL cannot be reached: ${(error as Error).message}`);
  } finally {
    await client.end().catch(() => undefined);
  }
}
