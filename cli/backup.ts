/**
 * Backups and restores. A backup is PostgreSQL's custom dump, readable by its owner only, tried by a restore
 * into a scratch database. A restore is made beside the live database, checked and migrated there, and takes
 * its place in one step; anything wrong on the way leaves the live one as it was.
 */
import { spawn } from 'node:child_process';
import { randomBytes, randomUUID } from 'node:crypto';
import {
  chmodSync,
  createReadStream,
  createWriteStream,
  existsSync,
  linkSync,
  mkdirSync,
  readdirSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import path from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { Client } from 'pg';
import { dropDatabase, ensureDatabase, programPath, type Cluster } from './cluster';
import type { OpenDatabase } from './database';
import { readFileOrSay } from './options';
import { Plain, workFolder } from './paths';
import type { Ran } from './system';

/** Runs a PostgreSQL program; what it says is kept from its end. */
function runTool(
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
      stream.on('data', (d: Buffer) => {
        out = (out + d.toString()).slice(-500_000);
      });
    child.on('error', (e) => resolve({ code: 127, out: e.message }));
    child.on('close', (code) => resolve({ code: code ?? 1, out }));
  });
}

/** The same against an address; the password travels in the environment. */
function tool(name: string, url: string, args: readonly string[]): Promise<Ran> {
  const at = new URL(url);
  const password = decodeURIComponent(at.password);
  at.password = '';
  return runTool(name, [...args, '--dbname', at.toString()], { PGPASSWORD: password });
}

const lastWords = (out: string): string => {
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
    throw new Plain(
      `${file}: cannot be written (${(e as { code?: string }).code === 'ENOSPC' ? 'the disk is full' : ((e as { code?: string }).code ?? 'unknown')}); choose another place`,
    );
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
      throw new Plain(
        (e as { code?: string }).code === 'EEXIST'
          ? `${file} is there already; choose another name`
          : `${file}: cannot be written (${(e as { code?: string }).code ?? 'unknown'})`,
      );
    }
    const bytes = statSync(target).size;
    await note(open, {
      at: new Date(),
      file: target,
      bytes,
      verifiedAt: problem === null ? new Date() : null,
      problem,
    });
    return { file: target, bytes, problem };
  } finally {
    rmSync(part, { force: true });
  }
}

async function note(
  open: OpenDatabase,
  run: Parameters<typeof import('../store/backups').noteBackup>[0],
): Promise<void> {
  process.env.DATABASE_URL = open.url;
  await (await import('../store/backups')).noteBackup(run);
}

/** Null when the archive restores whole; else why not. Tried in a database of its own, or in a schema where no database can be made. */
async function tryArchive(open: OpenDatabase, file: string): Promise<string | null> {
  const archive = await readArchive(file);
  if ('problem' in archive) return archive.problem;
  const scratch = `vobrik_scratch_${randomBytes(6).toString('hex')}`;
  const whole = async (after: number): Promise<string | null> =>
    after > 0 || (await count(open.url)).programs === 0 ? null : 'the trial restore holds no program';
  if (!open.cluster) {
    try {
      const said = await restoreIntoSchema(open.url, file, archive.schema, scratch);
      return (
        said ??
        (await whole(
          await ask(
            open.url,
            async (c) =>
              (await c.query<{ n: number }>(`select count(*)::int as n from ${scratch}.program`)).rows[0]!.n,
          ),
        ))
      );
    } finally {
      await dropSchema(open.url, scratch);
    }
  }
  await ensureDatabase(open.cluster, scratch);
  try {
    const done = await tool('pg_restore', open.cluster.url(scratch), [
      '--no-owner',
      '--no-acl',
      '--single-transaction',
      '--exit-on-error',
      file,
    ]);
    return done.code === 0
      ? await whole((await count(open.cluster.url(scratch))).programs)
      : lastWords(done.out);
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

const count = (url: string): Promise<{ programs: number; snaps: number }> =>
  ask(url, async (c) => {
    const { rows } = await c.query<{ programs: number; snaps: number }>(
      'select (select count(*)::int from program) as programs, (select count(*)::int from snap) as snaps',
    );
    return rows[0]!;
  });

/** The schema of an archive's tables; a problem when it is none of ours. */
async function readArchive(
  file: string,
): Promise<{ readonly schema: string } | { readonly problem: string }> {
  const listed = await runTool('pg_restore', ['--list', path.resolve(file)]);
  if (listed.code !== 0) return { problem: `the archive cannot be read: ${lastWords(listed.out)}` };
  const tables = [...listed.out.matchAll(/ TABLE (\w+) (\w+) /g)].map((m) => ({
    schema: m[1]!,
    name: m[2]!,
  }));
  const schema = tables.find((t) => t.name === 'mikro_orm_migrations')?.schema;
  for (const needed of ['program', 'member', 'snap', 'mikro_orm_migrations'])
    if (!tables.some((t) => t.name === needed && t.schema === schema))
      return {
        problem: `it is a PostgreSQL archive, but not one of Vobrik: there is no table ${needed} in it`,
      };
  return { schema: schema! };
}

/** Brings an archive back in the place of the database. Sessions end, and every open page learns of it. */
export async function restoreArchive(open: OpenDatabase, file: string): Promise<{ readonly snaps: number }> {
  const bytes = readFileOrSay(file, 'the archive');
  if (bytes.subarray(0, 5).toString('latin1') !== 'PGDMP')
    throw new Plain(`${file} is not an archive that backup wrote`);
  const archive = await readArchive(file);
  if ('problem' in archive) throw new Plain(`nothing was restored: ${archive.problem}`);
  await (await import('../store/orm')).closeOrm();
  return open.cluster
    ? restoreBeside(open.cluster, open.database, file, archive.schema)
    : restoreInside(open.url, file, archive.schema);
}

/** Statements that begin a new life: another epoch, no sessions, a line in every audit trail. */
const newLife = (now: Date): readonly string[] => [
  `update installation set epoch = '${randomUUID()}'`,
  'delete from session',
  'delete from sign_in_attempt',
  `insert into audit_entry (id, program_id, at, member, name, action, words) select gen_random_uuid(), id, '${now.toISOString()}', null, 'the machine', 'program.restore', 'restored from a backup' from program`,
];

const knownMigrations = async (): Promise<ReadonlySet<string>> =>
  new Set((await import('../store/migrations/list')).MIGRATIONS.map((m) => m.name));

/** The changes an archive has been through, read where it was restored to; refused when one is unknown here. */
async function knownChanges(url: string, schema: string): Promise<string[]> {
  const names = await ask(url, async (c) =>
    (await c.query<{ name: string }>(`select name from "${schema}".mikro_orm_migrations`)).rows.map(
      (r) => r.name,
    ),
  );
  const known = await knownMigrations();
  const newer = names.find((n) => !known.has(n));
  if (newer)
    throw new Plain(
      `nothing was restored: the archive is of a newer Vobrik (it holds the change ${newer}); update first`,
    );
  return names;
}

async function restoreBeside(
  cluster: Cluster,
  database: string,
  file: string,
  schema: string,
): Promise<{ snaps: number }> {
  const fresh = `${database}_restoring`;
  const before = `${database}_before_restore`;
  await dropDatabase(cluster, fresh);
  await ensureDatabase(cluster, fresh);
  const url = cluster.url(fresh);
  try {
    const done = await tool('pg_restore', url, [
      '--no-owner',
      '--no-acl',
      '--single-transaction',
      '--exit-on-error',
      path.resolve(file),
    ]);
    if (done.code !== 0) throw new Plain(`nothing was restored: ${lastWords(done.out)}`);
    await knownChanges(url, schema);
    if (schema !== 'public')
      await ask(url, (c) => c.query(`drop schema public cascade; alter schema "${schema}" rename to public`));
    const orm = await import('../store/orm');
    try {
      await orm.migrate(url);
    } catch (e) {
      throw new Plain(
        `nothing was restored: the archive could not be brought to this version (${(e as Error).message.split('\n')[0]})`,
      );
    } finally {
      await orm.closeOrm();
    }
    await ask(url, (c) => c.query(newLife(new Date()).join(';')));
    const { snaps } = await count(url);
    await dropDatabase(cluster, before);
    await ask(cluster.url('postgres'), async (c) => {
      // Nobody comes in while the names change; whoever is in is sent out and comes back to the restored one.
      await c.query(`alter database "${database}" with allow_connections false`);
      try {
        await c.query(
          'select pg_terminate_backend(pid) from pg_stat_activity where datname = any($1) and pid <> pg_backend_pid()',
          [[database, fresh]],
        );
        for (
          let i = 0;
          i < 50 &&
          (await c.query('select 1 from pg_stat_activity where datname = any($1)', [[database, fresh]]))
            .rowCount! > 0;
          i++
        )
          await new Promise((r) => setTimeout(r, 100));
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

/** In a database of the operator's: into a schema beside the live tables, migrated there; then the tables change places in one short transaction. */
async function restoreInside(url: string, file: string, from: string): Promise<{ snaps: number }> {
  const fresh = 'vobrik_restoring';
  try {
    const said = await restoreIntoSchema(url, file, from, fresh);
    if (said !== null) throw new Plain(`nothing was restored: ${said}`);
    const { pendingStatements } = await import('../store/migrations/statements');
    const pending = await pendingStatements(await knownChanges(url, fresh));
    const mine = [...(await ownTables()), 'mikro_orm_migrations'];
    await ask(url, async (c) => {
      const { rows } = await c.query<{ live: string }>('select current_schema() as live');
      const live = rows[0]!.live;
      const tablesOf = async (schema: string): Promise<string[]> =>
        (
          await c.query<{ t: string }>('select tablename as t from pg_tables where schemaname = $1', [schema])
        ).rows.map((r) => r.t);
      try {
        await c.query(
          `begin; set local search_path = ${fresh}; ${[...pending, ...newLife(new Date())].map((q) => q.replace(/;$/, '')).join(';')}; commit`,
        );
      } catch (e) {
        throw new Plain(
          `nothing was restored: the archive could not be brought to this version (${(e as Error).message.split('\n')[0]})`,
        );
      }
      const old = (await tablesOf(live)).filter((t) => mine.includes(t));
      await c.query(
        [
          'begin',
          ...(old.length > 0 ? [`drop table ${old.map((t) => `"${live}"."${t}"`).join(', ')} cascade`] : []),
          ...(await tablesOf(fresh)).map((t) => `alter table ${fresh}."${t}" set schema "${live}"`),
          'commit',
        ].join(';'),
      );
    });
    return await count(url);
  } finally {
    await dropSchema(url, fresh);
  }
}

const dropSchema = (url: string, schema: string): Promise<unknown> =>
  ask(url, (c) => c.query(`drop schema if exists ${schema} cascade`));

/** An archive's tables in a schema of their own, all or none; gives why not. */
async function restoreIntoSchema(
  url: string,
  file: string,
  from: string,
  to: string,
): Promise<string | null> {
  const folder = workFolder('restore');
  const plain = path.join(folder, `${to}.plain.sql`);
  const moved = path.join(folder, `${to}.sql`);
  try {
    for (const f of [plain, moved]) writeFileSync(f, '', { mode: 0o600 });
    const made = await runTool('pg_restore', ['--no-owner', '--no-acl', '-f', plain, path.resolve(file)]);
    if (made.code !== 0) return lastWords(made.out);
    await pipeline(createReadStream(plain), intoSchema(from, to), createWriteStream(moved));
    const done = await tool('psql', url, [
      '--quiet',
      '--no-psqlrc',
      '--single-transaction',
      '--set',
      'ON_ERROR_STOP=1',
      '--command',
      `drop schema if exists ${to} cascade`,
      '--command',
      `create schema ${to}`,
      '--file',
      moved,
    ]);
    return done.code === 0 ? null : lastWords(done.out);
  } finally {
    for (const f of [plain, moved]) rmSync(f, { force: true });
  }
}

/** Rewrites a plain dump's schema, statement lines only: what stands between COPY and its end is data. Byte for byte otherwise. */
export function intoSchema(from: string, to: string): Transform {
  const qualified = new RegExp(`\\b${from}\\.`, 'g');
  let left = '';
  let data = false;
  const line = (text: string): string => {
    if (data) {
      data = text !== '\\.';
      return text;
    }
    data = /^COPY .* FROM stdin;$/.test(text);
    return text.startsWith(`CREATE SCHEMA ${from};`) ? '' : text.replace(qualified, `${to}.`);
  };
  return new Transform({
    // As latin1 every byte is one character and comes out as it went in.
    transform(chunk: Buffer, _encoding, done) {
      const lines = (left + chunk.toString('latin1')).split('\n');
      left = lines.pop()!;
      done(null, lines.length > 0 ? Buffer.from(`${lines.map(line).join('\n')}\n`, 'latin1') : undefined);
    },
    flush: (done) => done(null, Buffer.from(line(left), 'latin1')),
  });
}

async function ownTables(): Promise<string[]> {
  const { ENTITIES } = await import('../store/entities');
  return ENTITIES.map((e) => (e as unknown as { meta: { tableName: string } }).meta.tableName);
}

// -- by the clock

/** "24h", "90m", "1d" in milliseconds. */
export function readEvery(text: string): number {
  const match = /^(\d{1,4})(m|h|d)$/.exec(text);
  const ms = match
    ? Number(match[1]) * { m: 60_000, h: 3_600_000, d: 86_400_000 }[match[2] as 'm' | 'h' | 'd']
    : 0;
  if (ms < 60_000) throw new Plain(`--backup-every ${text} is not a time such as 24h, 90m or 1d`);
  return ms;
}

const NAME = /^vobrik-\d{8}T\d{6}Z\.vobrik$/;
export const backupName = (at: Date): string =>
  `vobrik-${at.toISOString().replace(/[-:]|\.\d+/g, '')}.vobrik`;

/** Takes the oldest scheduled backups away, all but `keep`. Files of other names are left alone. */
export function retain(folder: string, keep: number): string[] {
  const gone = readdirSync(folder)
    .filter((f) => NAME.test(f))
    .sort()
    .reverse()
    .slice(keep);
  for (const f of gone) rmSync(path.join(folder, f), { force: true });
  return gone;
}

/** One scheduled backup: made, tried, noted; old ones go only when a good one is there. */
export async function scheduledBackup(
  open: OpenDatabase,
  folder: string,
  keep: number,
  now: Date,
): Promise<void> {
  try {
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    const made = await makeBackup(open, path.join(folder, backupName(now)));
    if (made.problem === null) retain(folder, keep);
    else process.stderr.write(`the backup ${made.file} cannot be restored: ${made.problem}\n`);
  } catch (e) {
    process.stderr.write(`the backup failed: ${(e as Error).message}\n`);
    await note(open, {
      at: now,
      file: folder,
      bytes: 0,
      verifiedAt: null,
      problem: (e as Error).message,
    }).catch(() => undefined);
  }
}

/** `--backup-every 24h [--keep 14] [--backup-to FOLDER]`; gives the way to end it. */
export function scheduleBackups(
  open: OpenDatabase,
  values: Readonly<Record<string, string | undefined>>,
): () => void {
  if (values['backup-every'] === undefined) {
    if (values.keep !== undefined || values['backup-to'] !== undefined)
      throw new Plain('--keep and --backup-to go with --backup-every');
    return () => undefined;
  }
  const every = readEvery(values['backup-every']);
  const keep = values.keep === undefined ? 14 : Number(values.keep);
  if (!Number.isInteger(keep) || keep < 1 || keep > 1000)
    throw new Plain(`--keep ${values.keep} is not a number from 1 to 1000`);
  const folder = path.resolve(values['backup-to'] ?? workFolder('backups'));
  const newest = existsSync(folder)
    ? readdirSync(folder)
        .filter((f) => NAME.test(f))
        .sort()
        .pop()
    : undefined;
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
