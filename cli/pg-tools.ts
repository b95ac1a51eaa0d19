/** PostgreSQL’s own programs and single questions. */
import { spawn } from 'node:child_process';
import { Client } from 'pg';
import { programPath } from './cluster';
import type { Ran } from './system';

/** Runs a PostgreSQL program; what it says is kept from its end. */
export function runTool(
  name: string,
  args: readonly string[],
  env: Readonly<Record<string, string>> = {},
): Promise<Ran> {
  return new Promise((resolve) => {
    const child = spawn(programPath(name), [...args], {
      env: { ...process.env, ...env },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    let out = '';
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (buffer: Buffer) => {
        out = (out + buffer.toString()).slice(-500_000);
      });
    child.on('error', (e) => resolve({ code: 127, out: e.message }));
    child.on('close', (code) => resolve({ code: code ?? 1, out }));
  });
}

/** The same against an address; the password travels in the environment. */
export function tool(name: string, url: string, args: readonly string[]): Promise<Ran> {
  const at = new URL(url);
  const password = decodeURIComponent(at.password);
  at.password = '';
  return runTool(name, [...args, '--dbname', at.toString()], { PGPASSWORD: password });
}

export const lastWords = (out: string): string => {
  if (/No space left on device/i.test(out)) return 'the disk is full; free some space';
  if (/server version mismatch|unsupported version|aborting because of server version/i.test(out))
    return 'this machine’s PostgreSQL programs are older than the server; install the client of the server’s version';
  return (
    out
      .trim()
      .split('\n')
      .find((l) => /error:|ERROR|fatal/i.test(l))
      ?.replace(/^pg_\w+: (error: )?/, '') ??
    out.trim().split('\n').pop() ??
    ''
  );
};

export async function ask<T>(url: string, work: (client: Client) => Promise<T>): Promise<T> {
  const client = new Client({ connectionString: url });
  await client.connect();
  try {
    return await work(client);
  } finally {
    await client.end();
  }
}

export const count = (url: string): Promise<{ programs: number; snaps: number }> =>
  ask(url, async (client) => {
    const { rows } = await client.query<{ programs: number; snaps: number }>(
      'select (select count(*)::int from program) as programs, (select count(*)::int from snap) as snaps',
    );
    return rows[0]!;
  });
