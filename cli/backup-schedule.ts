/** Backups by themselves: when, named how, kept how long. */
import { existsSync, mkdirSync, readdirSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import type { OpenDatabase } from './database';
import { Plain, workFolder } from './paths';
import { makeBackup, note } from './backup';

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
  } catch (error) {
    process.stderr.write(`the backup failed: ${(error as Error).message}\n`);
    await note(open, {
      at: now,
      file: folder,
      bytes: 0,
      verifiedAt: null,
      problem: (error as Error).message,
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
