/** An archive back into a database: beside the living one, tried, then in its place. */
import { randomUUID } from 'node:crypto';
import { createReadStream, createWriteStream, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { dropDatabase, ensureDatabase, type Cluster } from './cluster';
import type { OpenDatabase } from './database';
import { readFileOrSay } from './options';
import { Plain, workFolder } from './paths';
import { ask, count, lastWords, runTool, tool } from './pg-tools';

/** The schema of an archive's tables; a problem when it is none of ours. */
export async function readArchive(
  file: string,
): Promise<{ readonly schema: string } | { readonly problem: string }> {
  const listed = await runTool('pg_restore', ['--list', path.resolve(file)]);
  if (listed.code !== 0) return { problem: `the archive cannot be read: ${lastWords(listed.out)}` };
  const tables = [...listed.out.matchAll(/ TABLE (\w+) (\w+) /g)].map((match) => ({
    schema: match[1]!,
    name: match[2]!,
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
  const names = await ask(url, async (client) =>
    (await client.query<{ name: string }>(`select name from "${schema}".mikro_orm_migrations`)).rows.map(
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
    } catch (error) {
      throw new Plain(
        `nothing was restored: the archive could not be brought to this version (${(error as Error).message.split('\n')[0]})`,
      );
    } finally {
      await orm.closeOrm();
    }
    await ask(url, (c) => c.query(newLife(new Date()).join(';')));
    const { snaps } = await count(url);
    await dropDatabase(cluster, before);
    await ask(cluster.url('postgres'), async (client) => {
      // Nobody comes in while the names change; whoever is in is sent out and comes back to the restored one.
      await client.query(`alter database "${database}" with allow_connections false`);
      try {
        await client.query(
          'select pg_terminate_backend(pid) from pg_stat_activity where datname = any($1) and pid <> pg_backend_pid()',
          [[database, fresh]],
        );
        for (
          let i = 0;
          i < 50 &&
          (await client.query('select 1 from pg_stat_activity where datname = any($1)', [[database, fresh]]))
            .rowCount! > 0;
          i++
        )
          await new Promise((r) => setTimeout(r, 100));
        await client.query('begin');
        await client.query(`alter database "${database}" rename to "${before}"`);
        await client.query(`alter database "${fresh}" rename to "${database}"`);
        await client.query('commit');
      } catch (error) {
        await client.query('rollback').catch(() => undefined);
        await client.query(`alter database "${database}" with allow_connections true`);
        throw error;
      }
      await client.query(`alter database "${before}" with allow_connections true`);
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
    await ask(url, async (client) => {
      const { rows } = await client.query<{ live: string }>('select current_schema() as live');
      const live = rows[0]!.live;
      const tablesOf = async (schema: string): Promise<string[]> =>
        (
          await client.query<{ t: string }>('select tablename as t from pg_tables where schemaname = $1', [
            schema,
          ])
        ).rows.map((r) => r.t);
      try {
        await client.query(
          `begin; set local search_path = ${fresh}; ${[...pending, ...newLife(new Date())].map((q) => q.replace(/;$/, '')).join(';')}; commit`,
        );
      } catch (error) {
        throw new Plain(
          `nothing was restored: the archive could not be brought to this version (${(error as Error).message.split('\n')[0]})`,
        );
      }
      const old = (await tablesOf(live)).filter((t) => mine.includes(t));
      await client.query(
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

export const dropSchema = (url: string, schema: string): Promise<unknown> =>
  ask(url, (c) => c.query(`drop schema if exists ${schema} cascade`));

/** An archive's tables in a schema of their own, all or none; gives why not. */
export async function restoreIntoSchema(
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
  const { ENTITIES } = await import('../store/all-entities');
  return ENTITIES.map((e) => (e as unknown as { meta: { tableName: string } }).meta.tableName);
}
