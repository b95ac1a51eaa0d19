import 'server-only';
import { MikroORM, type EntityManager } from '@mikro-orm/postgresql';
import { Client } from 'pg';
import { ormConfig } from './config';
import { databaseUrl } from './environment';

export type Em = EntityManager;

/** One ORM a process, kept across hot reloads and server bundles. A failed start is not kept. */
const shared = globalThis as typeof globalThis & { vobrikOrm?: { url: string; promise: Promise<MikroORM> } };

export function getOrm(url: string = databaseUrl()): Promise<MikroORM> {
  if (shared.vobrikOrm?.url !== url) {
    // The database moved: what is asked on the old connections ends by itself.
    void shared.vobrikOrm?.promise.then((o) => o.close(true)).catch(() => undefined);
    const promise = MikroORM.init(ormConfig(url));
    shared.vobrikOrm = { url, promise };
    promise.catch(() => {
      if (shared.vobrikOrm?.promise === promise) delete shared.vobrikOrm;
    });
  }
  return shared.vobrikOrm!.promise;
}

/** A fresh unit of work. */
export const openEm = async (): Promise<Em> => (await getOrm()).em.fork();

export async function closeOrm(): Promise<void> {
  const open = shared.vobrikOrm;
  delete shared.vobrikOrm;
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
