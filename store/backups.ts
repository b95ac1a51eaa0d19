/** What is known of the backups: the launcher makes them, the staff page shows when the last good one was. */
import 'server-only';
import { randomUUID } from 'node:crypto';
import { permit } from './access';
import { BackupRun } from './entities';
import { openEm } from './orm';
import type { Actor, BackupInfo } from '../core/exchange/types';

export async function lastBackup(actor: Actor): Promise<BackupInfo> {
  permit(actor, 'backup.read');
  const em = await openEm();
  const [good] = await em.find(
    BackupRun,
    { verifiedAt: { $ne: null } },
    { orderBy: { at: 'desc' }, limit: 1 },
  );
  const [last] = await em.find(BackupRun, {}, { orderBy: { at: 'desc' }, limit: 1 });
  return {
    goodAt: good?.at.toISOString() ?? null,
    file: good?.file ?? null,
    bytes: good?.bytes ?? null,
    problem: last?.problem ?? null,
  };
}

/** Notes a backup; by the launcher, which owns the machine. */
export async function noteBackup(run: {
  readonly at: Date;
  readonly file: string;
  readonly bytes: number;
  readonly verifiedAt: Date | null;
  readonly problem: string | null;
}): Promise<void> {
  await (await openEm()).insert(BackupRun, { id: randomUUID(), ...run } as never);
}
