/** One operation, and what the store said of it within a moment. */
import type { Operation, Queued, Scope } from '@/core/sync';
import type { Outbox } from './outbox';

/** How long a screen waits for the store before it says that the change is kept in the browser. */
const PATIENCE_MS = 4000;

/** Null: no answer yet, it is kept and sent. A refused one is taken out of the queue: it is said where it was typed. */
export async function answered(outbox: Outbox, scope: Scope, op: Operation): Promise<Queued | null> {
  await outbox.push(scope, [op]);
  const known = await outbox.outcome(op.id, PATIENCE_MS);
  if (known?.state === 'refused') await outbox.discard(known);
  return known;
}
