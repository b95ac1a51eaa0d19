import { spawn, spawnSync, type SpawnOptions } from 'node:child_process';
import { existsSync, readdirSync } from 'node:fs';
import { createServer } from 'node:net';
import path from 'node:path';
import { Plain } from './paths';

export const isRoot = (): boolean => process.getuid?.() === 0;

export interface Ran {
  readonly code: number;
  readonly out: string;
}

/** Runs to the end and gives what it printed; never throws for an exit code. */
export function run(
  command: string,
  args: readonly string[],
  options: SpawnOptions & { input?: string } = {},
): Ran {
  const done = spawnSync(command, args, { encoding: 'utf8', maxBuffer: 64 * 1024 * 1024, ...options });
  return {
    code: done.status ?? 1,
    out: `${done.stdout ?? ''}${done.stderr ?? ''}${done.error ? done.error.message : ''}`,
  };
}

/** Runs with the terminal attached. */
export function follow(
  command: string,
  args: readonly string[],
  options: SpawnOptions = {},
): Promise<number> {
  return new Promise((resolve) => {
    const child = spawn(command, args, { stdio: 'inherit', ...options });
    child.on('error', () => resolve(127));
    child.on('exit', (code, signal) => resolve(code ?? (signal ? 130 : 1)));
  });
}

/** A free port on loopback: the wanted one or the next above it; 0: any. */
export async function freePort(wanted = 0): Promise<number> {
  for (let port = wanted; port <= Math.min(65_535, wanted + 100); port++) {
    const got = await new Promise<number | null>((resolve) => {
      const server = createServer();
      server.once('error', () => resolve(null));
      server.listen(port, '127.0.0.1', () => {
        const { port: free } = server.address() as { port: number };
        server.close(() => resolve(free));
      });
    });
    if (got !== null) return got;
  }
  if (wanted !== 0) return freePort(0);
  throw new Plain('no free port on loopback');
}

/** The newest installed PostgreSQL's folder of programs, or null. */
export function postgresPrograms(): string | null {
  const base = '/usr/lib/postgresql';
  const versions = existsSync(base)
    ? readdirSync(base).filter((v) => existsSync(path.join(base, v, 'bin/initdb')))
    : [];
  const newest = versions.sort((a, b) => Number(b) - Number(a))[0];
  if (newest) return path.join(base, newest, 'bin');
  const onPath = run('sh', ['-c', 'command -v initdb']);
  return onPath.code === 0 ? path.dirname(onPath.out.trim()) : null;
}

/** Installs a Debian package when it is permitted, else says in one line what to install. */
export function installPackage(name: string, why: string): void {
  if (!isRoot() || run('sh', ['-c', 'command -v apt-get']).code !== 0) {
    throw new Plain(`${why} is not installed; install it with: sudo apt-get install ${name}`);
  }
  process.stderr.write(`installing ${name} from Debian's packages …\n`);
  if (name === 'postgresql') {
    // Debian starts a cluster of its own unless told not to before the package arrives.
    run('sh', [
      '-c',
      'mkdir -p /etc/postgresql-common && [ -e /etc/postgresql-common/createcluster.conf ] || echo "create_main_cluster = false" > /etc/postgresql-common/createcluster.conf',
    ]);
  }
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  let done = run('apt-get', ['install', '-y', '-q', '--no-install-recommends', name], { env });
  if (done.code !== 0) {
    run('apt-get', ['update', '-q'], { env });
    done = run('apt-get', ['install', '-y', '-q', '--no-install-recommends', name], { env });
  }
  if (done.code !== 0)
    throw new Plain(`${name} could not be installed: ${done.out.trim().split('\n').pop() ?? ''}`);
}
