/** Revisions, notices and the epoch: what every change of rows shares, operations or not. */
import 'server-only';
import type { Scope } from '../../core/sync';
import { Installation } from '../entities';
import { openEm, type Em } from '../orm';

/** Scopes a notice is sent about; the browser asks for what changed. */
export const CHANNEL = 'vobrik_news';
export interface News {
  readonly program: string;
  readonly scope: Scope;
  readonly revision: number;
}

/** Which life of the database this is. */
export async function epochOf(em?: Em): Promise<string> {
  return (await (em ?? (await openEm())).findOneOrFail(Installation, { id: 1 }, { disableIdentityMap: true }))
    .epoch;
}

export const announce = (tx: Em, news: News): Promise<unknown> =>
  tx.execute('select pg_notify(?, ?)', [CHANNEL, JSON.stringify(news)]);

/** Locks a scope and gives the revision that this transaction makes. */
export async function nextRevision(tx: Em, programId: string, scope: Scope): Promise<number> {
  const [row] = (await tx.execute(
    'insert into sync_scope (program_id, scope, revision) values (?, ?, 1) on conflict (program_id, scope) do update set revision = sync_scope.revision + 1 returning revision',
    [programId, scope],
  )) as { revision: number }[];
  return row!.revision;
}

/** For changes of a scope that are no operations (merges, imports, copies): readers ask again. */
export async function touchScope(tx: Em, programId: string, scope: Scope): Promise<void> {
  await announce(tx, { program: programId, scope, revision: await nextRevision(tx, programId, scope) });
}
