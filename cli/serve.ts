/** demo, start, stop. Ctrl-C stops all that was started. */
import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { ensureBuild } from './build';
import { stopCluster } from './cluster';
import { CLUSTER, openDatabase, type Mode } from './database';
import { readOptions } from './options';
import { Plain, ROOT, workFolder } from './paths';
import { freePort } from './system';

const PORTS: Readonly<Record<Mode, number>> = { demo: 4640, start: 4600 };

export const demo = (args: string[]): Promise<number> => serve('demo', args);
export const start = (args: string[]): Promise<number> => serve('start', args);

export function spawnServer(port: number, databaseUrl: string): ChildProcess {
  return spawn(process.execPath, ['--import', 'tsx', path.join(ROOT, 'cli/server.ts')], {
    cwd: ROOT, env: { ...process.env, NODE_ENV: 'production', DATABASE_URL: databaseUrl, PORT: String(port), VOBRIK_LEASH: '1', NEXT_TELEMETRY_DISABLED: '1' }, stdio: ['pipe', 'pipe', 'pipe'], detached: false,
  });
}

/** Waits until the server answers; throws when it ends first or takes too long. */
export async function waitUntilUp(address: string, child: ChildProcess, seconds = 180): Promise<void> {
  const until = Date.now() + seconds * 1000;
  let said = '';
  child.stderr?.on('data', (d: Buffer) => (said = (said + d.toString()).slice(-2000)));
  child.stdout?.resume();
  while (Date.now() < until) {
    if (child.exitCode !== null) throw new Plain(`the server stopped: ${said.trim().split('\n').pop() ?? ''}`);
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

async function serve(mode: Mode, args: string[]): Promise<number> {
  const { values } = readOptions(args, ['port']);
  const wanted = values.port === undefined ? PORTS[mode] : Number(values.port);
  if (!Number.isInteger(wanted) || wanted < 1024 || wanted > 65535) throw new Plain(`--port ${values.port} is not a number from 1024 to 65535`);
  const open = await openDatabase(mode);
  const running = path.join(workFolder('run'), `${process.pid}.json`);
  let child: ChildProcess | null = null;
  let stopping = false;
  const shut = (): void => {
    if (stopping) return;
    stopping = true;
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
    }
    await (await import('../store/orm')).closeOrm();
    ensureBuild();
    if (stopping) return 0;
    const port = await freePort(wanted);
    const address = `http://127.0.0.1:${port}`;
    writeFileSync(running, JSON.stringify({ mode, port }));
    child = spawnServer(port, open.url);
    const ended = new Promise<void>((resolve) => child!.on('exit', () => resolve()));
    await waitUntilUp(address, child);
    process.stdout.write(`Vobrik ${mode === 'demo' ? 'with demo data ' : ''}is at ${address}\nCtrl-C stops it.\n`);
    await ended;
    if (!stopping) throw new Plain('the server ended by itself; start it again');
    return 0;
  } finally {
    shut();
  }
}

export async function stop(): Promise<number> {
  const folder = workFolder('run');
  let stopped = 0;
  for (const file of existsSync(folder) ? readdirSync(folder) : []) {
    const pid = parseInt(file, 10);
    const { mode, port } = JSON.parse(readFileSync(path.join(folder, file), 'utf8')) as { mode: string; port: number };
    try {
      process.kill(pid, 'SIGTERM');
      for (let i = 0; i < 100 && isAlive(pid); i++) await new Promise((r) => setTimeout(r, 100));
      process.stdout.write(`stopped ${mode} at http://127.0.0.1:${port}\n`);
      stopped++;
    } catch {
      rmSync(path.join(folder, file), { force: true });
    }
  }
  stopCluster(CLUSTER);
  if (stopped === 0) process.stdout.write('nothing was running\n');
  return 0;
}

function isAlive(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch {
    return false;
  }
}
