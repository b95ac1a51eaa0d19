import 'server-only';
import { MikroORM, type EntityManager } from '@mikro-orm/postgresql';
import { Client } from 'pg';
import { ormConfig } from './config';
import { databaseUrl } from './environment';
import { keptInProcess } from './process';

export type Em = EntityManager;

/** One ORM a process, kept across hot reloads and server bundles. A failed start is not kept. */
const kept = (): { orm: { url: string; promise: Promise<MikroORM> } | null } =>
  keptInProcess('orm', () => ({ orm: null }));

export function getOrm(url: string = databaseUrl()): Promise<MikroORM> {
  const shared = kept();
  if (shared.orm?.url !== url) {
    // The database moved: what is asked on the old connections ends by itself.
    void shared.orm?.promise.then((o) => o.close(true)).catch(() => undefined);
    const promise = MikroORM.init(ormConfig(url));
    shared.orm = { url, promise };
    promise.catch(() => {
      if (shared.orm?.promise === promise) shared.orm = null;
    });
  }
  return shared.orm!.promise;
}

/** A fresh unit of work. */
export const openEm = async (): Promise<Em> => (await getOrm()).em.fork();

export async function closeOrm(): Promise<void> {
  const shared = kept();
  const open = shared.orm;
  shared.orm = null;
  if (open) await (await open.promise).close(true);
}

/** Brings a database to this version. One process at a time: the others wait and find it done. */
export async function migrate(url: string): Promise<number> {
  const orm = await getOrm(url);
  const turn = new Client({ connectionString: url });
  await turn.connect();
  try {
    await turn.query("select pg_advisory_lock(hashtext('vobrik migrations'))");
    return (await orm.migrator.up()).length;
  } finally {
    await turn.end();
  }
}
