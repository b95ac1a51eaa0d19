/** What the benches against a real server share: a database of the demo on a durable cluster, a server on it, and all of it gone after. */
import { randomUUID } from 'node:crypto';
import type { ChildProcess } from 'node:child_process';
import { ensureBuild } from '../cli/build';
import { dropDatabase, ensureDatabase, joinCluster, startCluster, stopCluster } from '../cli/cluster';
import { spawnServer, waitUntilUp } from '../cli/serve';
import { freePort } from '../cli/system';
import { loadDemo } from '../demo/load';
import { actorOf, demoMembers, signInDemo } from '../store/sessions';
import { closeOrm, migrate } from '../store/orm';

/** The half-logged game of the demo. */
export const GAME = '2026-w08-stg-wre';

export interface SignedIn {
  readonly token: string;
  /** As a browser sends them. */
  readonly headers: Readonly<Record<string, string>>;
}

export interface Stage {
  readonly base: string;
  readonly members: readonly SignedIn[];
  /** Of the restore epoch, as pages know it. */
  readonly epoch: string;
  server(): ChildProcess;
  killPostmaster(): Promise<void>;
  killBackends(): Promise<void>;
  killServer(): Promise<void>;
}

interface StageOptions {
  readonly cluster: 'e2e' | 'kills';
  /** Sessions to open: the members of the demo in turn, guests left out. */
  readonly members: number;
  /** A book of so many words: copies of its own under invented names. */
  readonly words?: number;
  /** More to put in before the server starts. */
  readonly fill?: () => Promise<void>;
}

async function fillBook(url: string, words: number): Promise<void> {
  const client = new (await import('pg')).Client({ connectionString: url });
  await client.connect();
  await client.query(
    `insert into book_term (id, program_id, key, kind, word, aliases, value, spots, notes, position, definition, provenance)
     select gen_random_uuid(), program_id, key || '-' || i, kind, chr(97 + i) || 'or' || replace(word, ' ', ''), '{}',
       value, spots, notes, position + 1000 * (i + 1), definition, provenance
     from book_term, generate_series(0, 20) as i where value is null order by i, position
     limit greatest(0, $1 - (select count(*) from book_term))`,
    [words],
  );
  const { rows } = await client.query<{ n: number }>('select count(*)::int as n from book_term');
  await client.end();
  if (rows[0]!.n < words) throw new Error(`the book has ${rows[0]!.n} words, not ${words}`);
}

export async function withStage<T>(
  { cluster: name, members: wanted, words = 0, fill }: StageOptions,
  work: (stage: Stage) => Promise<T>,
): Promise<T> {
  ensureBuild();
  // Durable: a kill must find on the disk what was acknowledged.
  let cluster = await startCluster(name, true);
  const leave = joinCluster(name);
  const database = `bench_${randomUUID().slice(0, 8)}`;
  await ensureDatabase(cluster, database);
  process.env.DATABASE_URL = cluster.url(database);
  await migrate(cluster.url(database));
  await loadDemo(new Date());
  await fillBook(cluster.url(database), words);
  await fill?.();
  const people = (await demoMembers())
    .filter((m) => !m.roles.includes('guest'))
    .sort((a, b) => Number(b.roles.includes('coordinator')) - Number(a.roles.includes('coordinator')));
  const port = await freePort();
  const base = `http://127.0.0.1:${port}`;
  const members: SignedIn[] = [];
  for (let i = 0; i < wanted; i++) {
    const token = await signInDemo(people[i % people.length]!.id, new Date());
    const actor = (await actorOf(token, new Date()))!;
    members.push({
      token,
      headers: {
        cookie: `vobrik_session=${token}`,
        'x-vobrik-owner': `${actor.programId}.${actor.memberId}`,
        'content-type': 'application/json',
        origin: base,
      },
    });
  }
  await closeOrm();
  let server = spawnServer(port, cluster.url(database));
  try {
    await waitUntilUp(base, server);
    const { epoch } = (await (await fetch(`${base}/api/health`)).json()) as { epoch: string };
    return await work({
      base,
      members,
      epoch,
      server: () => server,
      async killPostmaster() {
        stopCluster(name, 'immediate');
        cluster = await startCluster(name, true);
        server.stdin?.write(`${JSON.stringify({ database: cluster.url(database) })}\n`);
      },
      async killBackends() {
        const client = new (await import('pg')).Client({ connectionString: cluster.url('postgres') });
        await client.connect();
        await client.query('select pg_terminate_backend(pid) from pg_stat_activity where datname = $1', [
          database,
        ]);
        await client.end();
      },
      async killServer() {
        server.kill('SIGKILL');
        if (server.exitCode === null && server.signalCode === null)
          await new Promise((r) => server.once('exit', r));
        server = spawnServer(port, cluster.url(database));
        await waitUntilUp(base, server);
      },
    });
  } finally {
    const gone = new Promise((r) => server.once('exit', r));
    if (server.kill('SIGTERM')) await gone;
    await dropDatabase(cluster, database);
    leave();
  }
}
