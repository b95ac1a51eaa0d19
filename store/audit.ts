/** The audit trail: who did what, when; written in the same transaction as what it tells of. */
import 'server-only';
import { randomUUID } from 'node:crypto';
import type { Action } from '../core/staff';
import type { Actor, AuditInfo } from '../core/exchange/types';
import { permit } from './access';
import { AuditEntry } from './entities';
import { openEm, type Em } from './orm';

export async function record(
  tx: Em,
  actor: Actor,
  action: Action | 'session.sign-in' | 'program.restore' | 'program.first',
  words: string,
  now: Date,
): Promise<void> {
  await tx.insert(AuditEntry, {
    id: randomUUID(),
    program: actor.programId,
    at: now,
    member: actor.memberId,
    name: actor.name,
    action,
    words: words.slice(0, 500),
  } as never);
}

export async function listAudit(actor: Actor, most = 200): Promise<AuditInfo[]> {
  permit(actor, 'audit.read');
  const rows = await (
    await openEm()
  ).find(AuditEntry, { program: actor.programId }, { orderBy: { at: 'desc', id: 'asc' }, limit: most });
  return rows.map((row) => ({
    id: row.id,
    at: row.at.toISOString(),
    name: row.name,
    action: row.action,
    words: row.words,
  }));
}
