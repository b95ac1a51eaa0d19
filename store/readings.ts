/** How a staff read other people's tables: kept by their headings, found again with the next file. */
import 'server-only';
import { randomUUID } from 'node:crypto';
import type { Actor, ReadingInfo } from '../core/exchange/types';
import { permit } from './access';
import { record } from './audit';
import { ForeignReading } from './entities';
import { openEm } from './orm';

/** Kept a program, at most; the oldest goes first. */
const MOST = 200;

export async function listReadings(actor: Actor): Promise<ReadingInfo[]> {
  permit(actor, 'program.import');
  const rows = await (
    await openEm()
  ).find(ForeignReading, { program: actor.programId }, { orderBy: { at: 'desc' } });
  return rows.map(({ headings, mapping, values }) => ({ headings, mapping, values }));
}

/** Keeps a reading; one of the same headings is replaced. */
export async function saveReading(actor: Actor, reading: ReadingInfo, now: Date): Promise<void> {
  permit(actor, 'program.import');
  await (
    await openEm()
  ).transactional(async (tx) => {
    await tx.execute('select pg_advisory_xact_lock(hashtext(?))', [`vobrik readings ${actor.programId}`]);
    const where = { program: actor.programId };
    await tx.nativeDelete(ForeignReading, { ...where, headings: reading.headings });
    const older = await tx.find(ForeignReading, where, { orderBy: { at: 'desc' }, offset: MOST - 1 });
    if (older.length > 0)
      await tx.nativeDelete(ForeignReading, { ...where, id: { $in: older.map((r) => r.id) } });
    await tx.insert(ForeignReading, {
      id: randomUUID(),
      program: actor.programId,
      headings: reading.headings,
      mapping: reading.mapping,
      values: reading.values,
      by: actor.memberId,
      at: now,
    });
    await record(
      tx,
      actor,
      'program.import',
      `how tables with ${reading.mapping.length} columns are read`,
      now,
    );
  });
}
