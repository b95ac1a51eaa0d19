/** A throw-away database in a cluster of its own, for tests. */
import { dropDatabase, ensureDatabase, joinCluster, startCluster, type Cluster } from '../cli/cluster';
import type { Actor } from '../core/exchange/types';
import { createGame } from './games';
import { closeOrm, getOrm, migrate, openEm } from './orm';
import { insertProgram } from './programs';

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

/** A program with one team and one member who may do everything with football. */
export async function testProgram(name: string, key: string, now: Date): Promise<Actor> {
  const roles = ['coordinator', 'admin'] as const;
  const member = `Head of ${key}`;
  const ids = await (
    await openEm()
  ).transactional((tx) =>
    insertProgram(
      tx,
      {
        name,
        level: 'college',
        season: 2026,
        team: { key, name: `Team ${key}` },
        demo: false,
        settings: { week: null, opponent: null },
        member: { name: member, passwordHash: null, roles },
      },
      now,
    ),
  );
  return { ...ids, name: member, roles };
}

/** A game of the program's team against another, without snaps; its key. */
export const testGame = (actor: Actor, home: string): Promise<string> =>
  createGame(actor, {
    home: { key: home },
    away: { name: 'Birch' },
    date: '2026-09-05',
    week: 1,
    level: null,
    phase: 'regular',
  });

export { getOrm };
