/**
 * Backups and restores. A backup is PostgreSQL's custom dump, readable by its owner only, tried by a restore
 * into a scratch database. A restore is made beside the live database, checked and migrated there, and takes
 * its place in one step; anything wrong on the way leaves the live one as it was.
 */
import { spawn } from 'node:child_process';
import { randomBytes, randomUUID } from 'node:crypto';
import { chmodSync, existsSync, linkSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { Client } from 'pg';
import { dropDatabase, ensureDatabase, programPath, type Cluster } from './cluster';
import type { OpenDatabase } from './database';
import { readFileOrSay } from './options';
import { Plain, workFolder } from './paths';
import type { Ran } from './system';

/** Runs a PostgreSQL program against an address; the password travels in the environment. */
function tool(name: string, url: string, args: readonly string[]): Promise<Ran> {
  const at = new URL(url);
  const password = decodeURIComponent(at.password);
  at.password = '';
  return new Promise((resolve) => {
    const child = spawn(programPath(name), [...args, '--dbname', at.toString()], { env: { ...process.env, PGPASSWORD: password }, stdio: ['ignore', 'pipe', 'pipe'] });
    let out = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (d: Buffer) => { out = (out + d.toString()).slice(-200_000); });
    child.on('error', (e) => resolve({ code: 127, out: e.message }));
    child.on('close', (code) => resolve({ code: code ?? 1, out }));
  });
}

const lastWords = (out: string): string => {
  if (/No space left on device/i.test(out)) return 'the disk is full; free some space';
  if (/server version mismatch|unsupported version|aborting because of server version/i.test(out)) return 'this machine’s PostgreSQL programs are older than the server; install the client of the server’s version';
  return out.trim().split('\n').find((l) => /error:|ERROR|fatal/i.test(l))?.replace(/^pg_\w+: (error: )?/, '') ?? out.trim().split('\n').pop() ?? '';
};

export interface Made {
  readonly file: string;
  readonly bytes: number;
  readonly problem: string | null;
}

/** Writes a backup under its name only when it is whole, and tries it. Never over a file that is there. */
export async function makeBackup(open: OpenDatabase, file: string): Promise<Made> {
  const target = path.resolve(file);
  if (existsSync(target)) throw new Plain(`${file} is there already; choose another name`);
  const part = `${target}.${randomBytes(4).toString('hex')}.part`;
  try {
    writeFileSync(part, '', { mode: 0o600, flag: 'wx' });
  } catch (e) {
    throw new Plain(`${file}: cannot be written (${(e as { code?: string }).code === 'ENOSPC' ? 'the disk is full' : ((e as { code?: string }).code ?? 'unknown')}); choose another place`);
  }
  try {
    const done = await tool('pg_dump', open.url, ['-Fc', '--no-owner', '--no-acl', '-f', part]);
    if (done.code !== 0) throw new Plain(`the backup failed: ${lastWords(done.out)}`);
    chmodSync(part, 0o600);
    const problem = await tryArchive(open, part);
    try {
      // A link fails where a rename would silently take another's place.
      linkSync(part, target);
    } catch (e) {
      throw new Plain((e as { code?: string }).code === 'EEXIST' ? `${file} is there already; choose another name` : `${file}: cannot be written (${(e as { code?: string }).code ?? 'unknown'})`);
    }
    const bytes = statSync(target).size;
    await note(open, { at: new Date(), file: target, bytes, verifiedAt: problem === null && open.cluster ? new Date() : null, problem });
    return { file: target, bytes, problem };
  } finally {
    rmSync(part, { force: true });
  }
}

async function note(open: OpenDatabase, run: Parameters<typeof import('../store/backups').noteBackup>[0]): Promise<void> {
  process.env.DATABASE_URL = open.url;
  await (await import('../store/backups')).noteBackup(run);
}

/** Null when the archive restores whole; else why not. In a database of the operator's there is no scratch one to try it in. */
async function tryArchive(open: OpenDatabase, file: string): Promise<string | null> {
  const listed = await listArchive(file);
  if (typeof listed === 'string') return listed;
  if (!open.cluster) return null;
  const scratch = `vobrik_scratch_${randomBytes(6).toString('hex')}`;
  await ensureDatabase(open.cluster, scratch);
  try {
    const done = await tool('pg_restore', open.cluster.url(scratch), ['--no-owner', '--no-acl', '--single-transaction', '--exit-on-error', file]);
    if (done.code !== 0) return lastWords(done.out);
    const [before, after] = await Promise.all([count(open.url), count(open.cluster.url(scratch))]);
    return after.programs > 0 || before.programs === 0 ? null : 'the trial restore holds no program';
  } finally {
    await dropDatabase(open.cluster, scratch);
  }
}

async function ask<T>(url: string, work: (client: Client) => Promise<T>): Promise<T> {
  const client = new Client({ connectionString: url });
  await client.connect();
  try {
    return await work(client);
  } finally {
    await client.end();
  }
}

const count = (url: string): Promise<{ programs: number; snaps: number }> => ask(url, async (c) => {
  const { rows } = await c.query<{ programs: number; snaps: number }>('select (select count(*)::int from program) as programs, (select count(*)::int from snap) as snaps');
  return rows[0]!;
});

/** The tables of an archive, or why it is none of ours. */
async function listArchive(file: string): Promise<readonly string[] | string> {
  const child = await new Promise<Ran>((resolve) => {
    const p = spawn(programPath('pg_restore'), ['--list', path.resolve(file)], { stdio: ['ignore', 'pipe', 'pipe'] });
    let out = '';
    for (const s of [p.stdout, p.stderr]) s.on('data', (d: Buffer) => { out = (out + d.toString()).slice(-500_000); });
    p.on('error', (e) => resolve({ code: 127, out: e.message }));
    p.on('close', (code) => resolve({ code: code ?? 1, out }));
  });
  if (child.code !== 0) return `the archive cannot be read: ${lastWords(child.out)}`;
  const tables = [...child.out.matchAll(/ TABLE public (\S+) /g)].map((m) => m[1]!);
  for (const needed of ['program', 'member', 'snap', 'mikro_orm_migrations']) if (!tables.includes(needed)) return `it is a PostgreSQL archive, but not one of Vobrik: there is no table ${needed} in it`;
  return tables;
}

/** Brings an archive back in the place of the database. Sessions end, and every open page learns of it. */
export async function restoreArchive(open: OpenDatabase, file: string): Promise<{ readonly snaps: number }> {
  const bytes = readFileOrSay(file, 'the archive');
  if (bytes.subarray(0, 5).toString('latin1') !== 'PGDMP') throw new Plain(`${file} is not an archive that backup wrote`);
  const listed = await listArchive(file);
  if (typeof listed === 'string') throw new Plain(`nothing was restored: ${listed}`);
  await (await import('../store/orm')).closeOrm();
  return open.cluster ? restoreBeside(open.cluster, open.database, file) : restoreInside(open.url, file);
}

/** Statements that begin a new life: another epoch, no sessions, a line in every audit trail. */
const newLife = (now: Date): readonly string[] => [
  `update installation set epoch = '${randomUUID()}'`,
  'delete from session',
  'delete from sign_in_attempt',
  `insert into audit_entry (id, program_id, at, member, name, action, words) select gen_random_uuid(), id, '${now.toISOString()}', null, 'the machine', 'program.restore', 'restored from a backup' from program`,
];

const knownMigrations = async (): Promise<ReadonlySet<string>> => new Set((await import('../store/migrations/list')).MIGRATIONS.map((m) => m.name));

async function refuseNewer(names: readonly string[]): Promise<void> {
  const known = await knownMigrations();
  const newer = names.find((n) => !known.has(n));
  if (newer) throw new Plain(`nothing was restored: the archive is of a newer Vobrik (it holds the change ${newer}); update first`);
}

async function restoreBeside(cluster: Cluster, database: string, file: string): Promise<{ snaps: number }> {
  const fresh = `${database}_restoring`;
  const before = `${database}_before_restore`;
  await dropDatabase(cluster, fresh);
  await ensureDatabase(cluster, fresh);
  const url = cluster.url(fresh);
  try {
    const done = await tool('pg_restore', url, ['--no-owner', '--no-acl', '--single-transaction', '--exit-on-error', path.resolve(file)]);
    if (done.code !== 0) throw new Plain(`nothing was restored: ${lastWords(done.out)}`);
    await refuseNewer(await ask(url, async (c) => (await c.query<{ name: string }>('select name from mikro_orm_migrations')).rows.map((r) => r.name)));
    const orm = await import('../store/orm');
    try {
      await orm.migrate(url);
    } catch (e) {
      throw new Plain(`nothing was restored: the archive could not be brought to this version (${(e as Error).message.split('\n')[0]})`);
    } finally {
      await orm.closeOrm();
    }
    await ask(url, async (c) => { for (const s of newLife(new Date())) await c.query(s); });
    const { snaps } = await count(url);
    await dropDatabase(cluster, before);
    await ask(cluster.url('postgres'), async (c) => {
      // Nobody comes in while the names change; whoever is in is sent out and comes back to the restored one.
      await c.query(`alter database "${database}" with allow_connections false`);
      try {
        await c.query('select pg_terminate_backend(pid) from pg_stat_activity where datname = any($1) and pid <> pg_backend_pid()', [[database, fresh]]);
        for (let i = 0; i < 50 && (await c.query('select 1 from pg_stat_activity where datname = any($1)', [[database, fresh]])).rowCount! > 0; i++) await new Promise((r) => setTimeout(r, 100));
        await c.query('begin');
        await c.query(`alter database "${database}" rename to "${before}"`);
        await c.query(`alter database "${fresh}" rename to "${database}"`);
        await c.query('commit');
      } catch (e) {
        await c.query('rollback').catch(() => undefined);
        await c.query(`alter database "${database}" with allow_connections true`);
        throw e;
      }
      await c.query(`alter database "${before}" with allow_connections true`);
    });
    return { snaps };
  } finally {
    await dropDatabase(cluster, fresh);
  }
}

/** In a database of the operator's there is no second one to swap with: everything is one transaction of its own server. */
async function restoreInside(url: string, file: string): Promise<{ snaps: number }> {
  const folder = workFolder('restore');
  const restored = path.join(folder, 'restored.sql');
  const then = path.join(folder, 'then.sql');
  const first = path.join(folder, 'first.sql');
  try {
    const made = await new Promise<Ran>((resolve) => {
      const p = spawn(programPath('pg_restore'), ['--no-owner', '--no-acl', '-f', restored, path.resolve(file)], { stdio: ['ignore', 'pipe', 'pipe'] });
      let out = '';
      for (const s of [p.stdout, p.stderr]) s.on('data', (d: Buffer) => { out += d.toString(); });
      p.on('error', (e) => resolve({ code: 127, out: e.message }));
      p.on('close', (code) => resolve({ code: code ?? 1, out }));
    });
    if (made.code !== 0) throw new Plain(`nothing was restored: ${lastWords(made.out)}`);
    chmodSync(restored, 0o600);
    const sql = readFileSync(restored, 'utf8');
    const copied = /COPY public\.mikro_orm_migrations \(([^)]*)\) FROM stdin;\n([\s\S]*?)\n\\\./.exec(sql);
    const column = copied?.[1]?.split(',').map((c) => c.trim()).indexOf('name') ?? -1;
    const names = column < 0 ? [] : copied![2]!.split('\n').filter(Boolean).map((l) => l.split('\t')[column]!);
    await refuseNewer(names);
    const { pendingStatements } = await import('../store/migrations/statements');
    const ours = await ask(url, async (c) => (await c.query<{ t: string }>("select tablename as t from pg_tables where schemaname = current_schema() and tablename = any($1)", [[...(await ownTables()), 'mikro_orm_migrations']])).rows.map((r) => r.t));
    writeFileSync(first, ours.map((t) => `drop table if exists "${t}" cascade;\n`).join(''), { mode: 0o600 });
    writeFileSync(then, ['set search_path = public;', ...(await pendingStatements(names)), ...newLife(new Date()).map((s) => `${s};`)].join('\n'), { mode: 0o600 });
    const done = await tool('psql', url, ['--quiet', '--no-psqlrc', '--single-transaction', '--set', 'ON_ERROR_STOP=1', '--file', first, '--file', restored, '--file', then]);
    if (done.code !== 0) throw new Plain(`nothing was restored: ${lastWords(done.out)}`);
    return count(url);
  } finally {
    for (const f of [first, restored, then]) rmSync(f, { force: true });
  }
}

async function ownTables(): Promise<string[]> {
  const { ENTITIES } = await import('../store/entities');
  return ENTITIES.map((e) => (e as unknown as { meta: { tableName: string } }).meta.tableName);
}

// -- by the clock

/** "24h", "90m", "1d" in milliseconds. */
export function readEvery(text: string): number {
  const match = /^(\d{1,4})(m|h|d)$/.exec(text);
  const ms = match ? Number(match[1]) * { m: 60_000, h: 3_600_000, d: 86_400_000 }[match[2] as 'm' | 'h' | 'd'] : 0;
  if (ms < 60_000) throw new Plain(`--backup-every ${text} is not a time such as 24h, 90m or 1d`);
  return ms;
}

const NAME = /^vobrik-\d{8}T\d{6}Z\.vobrik$/;
export const backupName = (at: Date): string => `vobrik-${at.toISOString().replace(/[-:]|\.\d+/g, '')}.vobrik`;

/** Takes the oldest scheduled backups away, all but `keep`. Files of other names are left alone. */
export function retain(folder: string, keep: number): string[] {
  const gone = readdirSync(folder).filter((f) => NAME.test(f)).sort().reverse().slice(keep);
  for (const f of gone) rmSync(path.join(folder, f), { force: true });
  return gone;
}

/** One scheduled backup: made, tried, noted; old ones go only when a good one is there. */
export async function scheduledBackup(open: OpenDatabase, folder: string, keep: number, now: Date): Promise<void> {
  try {
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    const made = await makeBackup(open, path.join(folder, backupName(now)));
    if (made.problem === null) retain(folder, keep);
    else process.stderr.write(`the backup ${made.file} cannot be restored: ${made.problem}\n`);
  } catch (e) {
    process.stderr.write(`the backup failed: ${(e as Error).message}\n`);
    await note(open, { at: now, file: folder, bytes: 0, verifiedAt: null, problem: (e as Error).message }).catch(() => undefined);
  }
}

/** `--backup-every 24h [--keep 14] [--backup-to FOLDER]`; gives the way to end it. */
export function scheduleBackups(open: OpenDatabase, values: Readonly<Record<string, string | undefined>>): () => void {
  if (values['backup-every'] === undefined) {
    if (values.keep !== undefined || values['backup-to'] !== undefined) throw new Plain('--keep and --backup-to go with --backup-every');
    return () => undefined;
  }
  const every = readEvery(values['backup-every']);
  const keep = values.keep === undefined ? 14 : Number(values.keep);
  if (!Number.isInteger(keep) || keep < 1 || keep > 1000) throw new Plain(`--keep ${values.keep} is not a number from 1 to 1000`);
  const folder = path.resolve(values['backup-to'] ?? workFolder('backups'));
  const newest = existsSync(folder) ? readdirSync(folder).filter((f) => NAME.test(f)).sort().pop() : undefined;
  // A launcher that is started again does not begin the wait anew.
  const due = newest ? Math.max(0, statSync(path.join(folder, newest)).mtimeMs + every - Date.now()) : 0;
  let timer: ReturnType<typeof setTimeout>;
  const round = async (): Promise<void> => {
    await scheduledBackup(open, folder, keep, new Date());
    timer = setTimeout(() => void round(), every);
  };
  timer = setTimeout(() => void round(), Math.min(due + 5000, 2 ** 31 - 1));
  return () => clearTimeout(timer);
}
