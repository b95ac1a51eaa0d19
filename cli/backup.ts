/**
 * Backups and restores. A backup is PostgreSQL's custom dump, readable by its owner only, tried by a restore
 * into a scratch database. A restore is made beside the live database, checked and migrated there, and takes
 * its place in one step; anything wrong on the way leaves the live one as it was.
 */
import { randomBytes } from 'node:crypto';
import { chmodSync, existsSync, linkSync, rmSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { dropDatabase, ensureDatabase } from './cluster';
import type { OpenDatabase } from './database';
import { Plain } from './paths';
import { ask, count, lastWords, tool } from './pg-tools';
import { dropSchema, readArchive, restoreIntoSchema } from './restore-archive';

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
  } catch (error) {
    throw new Plain(
      `${file}: cannot be written (${(error as { code?: string }).code === 'ENOSPC' ? 'the disk is full' : ((error as { code?: string }).code ?? 'unknown')}); choose another place`,
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
    } catch (error) {
      throw new Plain(
        (error as { code?: string }).code === 'EEXIST'
          ? `${file} is there already; choose another name`
          : `${file}: cannot be written (${(error as { code?: string }).code ?? 'unknown'})`,
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

export async function note(
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
            async (client) =>
              (await client.query<{ n: number }>(`select count(*)::int as n from ${scratch}.program`))
                .rows[0]!.n,
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
