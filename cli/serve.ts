/** demo, start, stop. Ctrl-C stops all that was started; what dies meanwhile is brought back. */
import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { scheduleBackups } from './backup-schedule';
import { ensureBuild, SERVER_PROGRAM } from './build';
import { clusterRuns, clusterUsers, dropDatabase, openCluster, startCluster, stopCluster } from './cluster';
import { CLUSTER, DATABASES, openDatabase, type Mode, type OpenDatabase } from './database';
import { readOptions } from './options';
import { Plain, ROOT, workFolder } from './paths';
import { locked, runs, self } from './processes';
import { freePort } from './system';

const PORTS: Readonly<Record<Mode, number>> = { demo: 4640, start: 4600 };

export const demo = (args: string[]): Promise<number> => serve('demo', args);
export const start = (args: string[]): Promise<number> => serve('start', args);

/** The web server as a child: it ends when we do, however we end. */
export function spawnServer(port: number, databaseUrl: string): ChildProcess {
  // A smaller young generation and fewer malloc arenas keep the process small; both measured in bench/load.ts.
  const child = spawn(process.execPath, ['--max-semi-space-size=8', SERVER_PROGRAM], {
    cwd: ROOT,
    env: {
      ...process.env,
      MALLOC_ARENA_MAX: '2',
      NODE_ENV: 'production',
      DATABASE_URL: databaseUrl,
      PORT: String(port),
      VOBRIK_LEASH: '1',
      NEXT_TELEMETRY_DISABLED: '1',
    },
    stdio: ['pipe', 'pipe', 'pipe'],
  });
  child.stdin?.on('error', () => undefined);
  return child;
}

/** Waits until the server answers; throws when it ends first or takes too long. */
export async function waitUntilUp(address: string, child: ChildProcess, seconds = 180): Promise<void> {
  const until = Date.now() + seconds * 1000;
  let said = '';
  child.stderr?.on('data', (d: Buffer) => (said = (said + d.toString()).slice(-2000)));
  child.stdout?.resume();
  while (Date.now() < until) {
    if (child.exitCode !== null)
      throw new Plain(`the server stopped: ${said.trim().split('\n').pop() ?? ''}`);
    try {
      const answer = await fetch(`${address}/api/health`);
      if (answer.ok) return;
    } catch {
      // Not listening yet.
    }
    await new Promise((r) => setTimeout(r, 100));
  }
  throw new Plain(`the server did not answer in ${seconds} seconds`);
}

const WATCH_MS = 2000;

/** Brings the cluster back when it died, and tells the server where it is now. */
function watchCluster(open: OpenDatabase, mode: Mode, tell: (url: string) => void): () => void {
  if (!open.cluster) return () => undefined;
  const { folder } = open.cluster;
  let busy = false;
  const timer = setInterval(
    () =>
      void (async () => {
        if (busy) return;
        busy = true;
        try {
          if (clusterRuns(folder)) return;
          process.stderr.write('the database stopped; starting it again …\n');
          const cluster = await startCluster(CLUSTER, true);
          tell(cluster.url(DATABASES[mode]));
          process.stderr.write('the database is back\n');
        } catch (error) {
          process.stderr.write(
            `the database could not be started: ${(error as Error).message}; trying again\n`,
          );
        } finally {
          busy = false;
        }
      })(),
    WATCH_MS,
  );
  return () => clearInterval(timer);
}

async function serve(mode: Mode, args: string[]): Promise<number> {
  const { values, flags } = readOptions(
    args,
    mode === 'start' ? ['port', 'backup-every', 'keep', 'backup-to'] : ['port'],
    mode === 'demo' ? ['reset', 'dev'] : [],
  );
  const wanted = values.port === undefined ? PORTS[mode] : Number(values.port);
  if (!Number.isInteger(wanted) || wanted < 1024 || wanted > 65535)
    throw new Plain(`--port ${values.port} is not a number from 1024 to 65535`);
  if (flags.has('reset')) await forgetDemo();
  const dev = flags.has('dev');
  const open = await openDatabase(mode);
  const running = path.join(workFolder('run'), `${process.pid}.json`);
  let child: ChildProcess | null = null;
  let stopping = false;
  let unwatch = (): void => undefined;
  let unschedule = (): void => undefined;
  const shut = (): void => {
    if (stopping) return;
    stopping = true;
    unwatch();
    unschedule();
    child?.kill('SIGTERM');
    rmSync(running, { force: true });
    open.leave();
  };
  process.on('SIGINT', shut);
  process.on('SIGTERM', shut);
  process.on('SIGHUP', shut);
  try {
    if (mode === 'demo') {
      const { loadDemo } = await import('../demo/load');
      if (await loadDemo(new Date())) process.stderr.write('demo data loaded\n');
    } else {
      const { forgetOperations } = await import('../store/sync');
      await forgetOperations(new Date(Date.now() - 90 * 24 * 3_600_000));
    }
    await (await import('../store/orm')).closeOrm();
    if (!dev) locked('build', () => ensureBuild(), 600);
    if (stopping) return 0;
    unschedule = scheduleBackups(open, values);
    for (let again = 0; !stopping; again++) {
      const port = await freePort(wanted);
      const address = `http://127.0.0.1:${port}`;
      writeFileSync(running, JSON.stringify({ mode, port, process: self() }));
      const server = dev ? spawnPages(port, open.url) : spawnServer(port, open.url);
      child = server;
      const ended = new Promise<void>((resolve) => server.on('exit', () => resolve()));
      await waitUntilUp(address, server);
      process.stdout.write(
        `Vobrik ${mode === 'demo' ? 'with demo data ' : ''}is at ${address}\nCtrl-C stops it.\n`,
      );
      unwatch = watchCluster(
        open,
        mode,
        (url) => void server.stdin?.write(`${JSON.stringify({ database: url })}\n`),
      );
      const began = Date.now();
      await ended;
      unwatch();
      if (stopping) break;
      // A server that lived is brought back; one that dies at once would die again.
      if (Date.now() - began < 10_000 && again > 2)
        throw new Plain('the server ended by itself several times; see what it said above');
      process.stderr.write('the server ended by itself; starting it again …\n');
    }
    return 0;
  } finally {
    shut();
  }
}

/** The pages from their sources, with hot reload. */
function spawnPages(port: number, databaseUrl: string): ChildProcess {
  const next = path.join(ROOT, 'node_modules/next/dist/bin/next');
  return spawn(process.execPath, [next, 'dev', '-H', '127.0.0.1', '-p', String(port)], {
    cwd: ROOT,
    env: { ...process.env, DATABASE_URL: databaseUrl, NEXT_TELEMETRY_DISABLED: '1' },
    stdio: ['pipe', 'pipe', 'pipe'],
  });
}

/** The demo begins anew with the next start. */
async function forgetDemo(): Promise<void> {
  const folder = workFolder('run');
  for (const file of readdirSync(folder)) {
    const note = readNote(path.join(folder, file));
    if (note?.mode === 'demo' && runs(note.process))
      throw new Plain(`the demo runs at http://127.0.0.1:${note.port}; stop it first: ./vobrik stop`);
  }
  const { cluster, leave } = await openCluster(CLUSTER, true);
  await dropDatabase(cluster, DATABASES.demo);
  leave();
}

interface Note {
  readonly mode: string;
  readonly port: number;
  readonly process: string;
}

/** Null for a note cut off by a power cut, or of an older version. */
function readNote(file: string): Note | null {
  try {
    const note = JSON.parse(readFileSync(file, 'utf8')) as Partial<Note>;
    return typeof note.process === 'string' ? (note as Note) : null;
  } catch {
    return null;
  }
}

export async function stop(): Promise<number> {
  const folder = workFolder('run');
  let stopped = 0;
  for (const file of existsSync(folder) ? readdirSync(folder) : []) {
    const note = path.join(folder, file);
    const noted = readNote(note);
    // A number that belongs to somebody else by now is left alone.
    if (!noted || !runs(noted.process)) {
      rmSync(note, { force: true });
      continue;
    }
    process.kill(parseInt(noted.process, 10), 'SIGTERM');
    for (let i = 0; i < 100 && runs(noted.process); i++) await new Promise((r) => setTimeout(r, 100));
    process.stdout.write(`stopped ${noted.mode} at http://127.0.0.1:${noted.port}\n`);
    stopped++;
  }
  locked(`cluster-${CLUSTER}`, () => {
    if (clusterUsers(CLUSTER) === 0) stopCluster(CLUSTER);
  });
  if (stopped === 0) process.stdout.write('nothing was running\n');
  return 0;
}
