/**
 * Logging while everything under it is killed: the postmaster, single backends, the web server. Snaps are sent
 * the way a browser sends them, the same operation until it is answered. Counted at the end: lost, doubled,
 * out of order.
 */
import { randomUUID } from 'node:crypto';
import { Client } from 'pg';
import { dropDatabase, ensureDatabase, joinCluster, startCluster, stopCluster } from '../cli/cluster';
import { ensureBuild } from '../cli/build';
import { spawnServer, waitUntilUp } from '../cli/serve';
import { freePort } from '../cli/system';
import { loadDemo } from '../demo/load';
import { seededRandom } from '../demo/random';
import { actorOf, demoMembers, signInDemo } from '../store/members';
import { closeOrm, migrate } from '../store/orm';

export interface KillsDone {
  readonly snaps: number;
  readonly kills: Readonly<Record<'postmaster' | 'backends' | 'server', number>>;
  readonly tries: number;
  readonly lost: number;
  readonly doubled: number;
  readonly outOfOrder: number;
}

const GAME = '2026-w08-stg-wre';
const CLUSTER = 'kills';

/** `every`: a kill about every so many snaps. */
export async function logUnderKills({ snaps, every, seed }: { readonly snaps: number; readonly every: number; readonly seed: number }): Promise<KillsDone> {
  ensureBuild();
  const source = seededRandom(seed);
  const random = (): number => source.next();
  // Durable: a kill must find on the disk what was acknowledged.
  let cluster = await startCluster(CLUSTER, true);
  const leave = joinCluster(CLUSTER);
  const database = `kills_${randomUUID().slice(0, 8)}`;
  await ensureDatabase(cluster, database);
  process.env.DATABASE_URL = cluster.url(database);
  await migrate(cluster.url(database));
  await loadDemo(new Date());
  const coordinator = (await demoMembers()).find((m) => m.roles.includes('coordinator'))!;
  const token = await signInDemo(coordinator.id, new Date());
  const actor = (await actorOf(token, new Date()))!;
  await closeOrm();
  const port = await freePort();
  const base = `http://127.0.0.1:${port}`;
  let server = spawnServer(port, cluster.url(database));
  await waitUntilUp(base, server);
  const headers = { cookie: `vobrik_session=${token}`, 'x-vobrik-owner': `${actor.programId}.${actor.memberId}`, 'content-type': 'application/json', origin: base };
  const epoch = ((await (await fetch(`${base}/api/health`)).json()) as { epoch: string }).epoch;
  const kills = { postmaster: 0, backends: 0, server: 0 };
  let tries = 0;
  let healing: Promise<void> = Promise.resolve();
  /** Kills one thing now, and has it brought back as the launcher does. */
  const kill = (): void => {
    const what = (['postmaster', 'backends', 'backends', 'server'] as const)[Math.floor(random() * 4)]!;
    kills[what]++;
    healing = healing.then(async () => {
      if (what === 'postmaster') {
        stopCluster(CLUSTER, 'immediate');
        cluster = await startCluster(CLUSTER, true);
        server.stdin?.write(`${JSON.stringify({ database: cluster.url(database) })}\n`);
      } else if (what === 'backends') {
        const client = new Client({ connectionString: cluster.url('postgres') });
        await client.connect();
        await client.query('select pg_terminate_backend(pid) from pg_stat_activity where datname = $1', [database]);
        await client.end();
      } else {
        server.kill('SIGKILL');
        await new Promise((r) => server.once('exit', r));
        server = spawnServer(port, cluster.url(database));
        await waitUntilUp(base, server);
      }
    }).catch(() => undefined);
  };
  try {
    const typed: string[] = [];
    let after: string | null = 'the end';
    for (let n = 0; n < snaps; n++) {
      const row = `k${n}`;
      const op = { id: randomUUID(), kind: 'snap', row, epoch, do: 'put', fields: { note: row, gain: n % 9, result: 'gain' }, after };
      if (random() < 1 / every) {
        // In the middle of the request as often as before it.
        if (random() < 0.5) kill();
        else setTimeout(kill, random() * 15);
      }
      for (;;) {
        tries++;
        try {
          const response = await fetch(`${base}/api/sync`, { method: 'POST', headers, body: JSON.stringify({ scope: `game:${GAME}`, ops: [op] }), signal: AbortSignal.timeout(30_000) });
          if (response.ok) {
            const { answers } = (await response.json()) as { answers: { status: string; reason?: string }[] };
            if (answers[0]!.status !== 'done') throw new Error(`${row}: ${answers[0]!.status} ${answers[0]!.reason}`);
            break;
          }
          if (response.status < 500) throw new Error(`${row}: ${response.status} ${await response.text()}`);
        } catch (e) {
          if (/^k\d+:/.test((e as Error).message)) throw e;
        }
        await new Promise((r) => setTimeout(r, 50));
      }
      typed.push(row);
      after = row;
    }
    await healing;
    const pulled = (await (await fetch(`${base}/api/sync?scope=game:${GAME}`, { headers })).json()) as { rows: { row: string; order: number }[] };
    const stored = pulled.rows.filter((r) => r.row.startsWith('k')).sort((a, b) => a.order - b.order).map((r) => r.row);
    return { snaps, kills, tries, lost: typed.filter((t) => !stored.includes(t)).length, doubled: stored.length - new Set(stored).size, outOfOrder: stored.filter((s, i) => s !== typed[i]).length };
  } finally {
    await healing;
    server.kill('SIGTERM');
    await dropDatabase(cluster, database);
    leave();
  }
}
