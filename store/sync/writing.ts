/** What every kind of row shares while operations are applied: versions, places, refusals. */
import 'server-only';
import { orderBetween } from '../../core/snap/order';
import { sameValue } from '../../core/snap/fields';
import type { Conflict, FieldPatch, Operation, Over, Refusal, Versions } from '../../core/sync';
import type { Actor, RowProvenance } from '../../core/exchange/types';
import { Invalid, NotFound, Refused } from '../errors';
import type { Em } from '../orm';

/** An operation that is refused by itself: the others of its request go on. */
export class RefusedOperation extends Error {
  override readonly name = 'RefusedOperation';
  constructor(
    readonly code: Refusal,
    reason: string,
  ) {
    super(reason);
  }
}

const TEXT_FAULTS = new Set(['22021', '22P05', '22P02', '22001', '22003', '23502', '23514', '08P01']);

/** The refusal an error means, or null when it is an outage: nothing was decided then. */
export function refusalOf(error: unknown): RefusedOperation | null {
  if (error instanceof RefusedOperation) return error;
  if (error instanceof Refused) return new RefusedOperation('role', `${error.message}.`);
  if (error instanceof NotFound) return new RefusedOperation('gone', `${error.message}.`);
  if (error instanceof Invalid) return new RefusedOperation('value', `${error.message}.`);
  for (
    let e = error as { code?: string; cause?: unknown; previous?: unknown } | undefined, depth = 0;
    e && depth < 5;
    depth++
  ) {
    if (e.code && TEXT_FAULTS.has(e.code))
      return new RefusedOperation(
        'text',
        'It holds characters or a value that the database does not take; type it again.',
      );
    if (e.code === '23505')
      return new RefusedOperation('taken', 'Something of the same name or place is there already.');
    e = (e.cause ?? e.previous) as typeof e;
  }
  return null;
}

export interface Outcome {
  readonly order: number | null;
  readonly versions: Versions;
  readonly conflicts: readonly Conflict[];
}

/** One request's work on one scope. */
export interface Writing {
  readonly tx: Em;
  readonly actor: Actor;
  readonly now: Date;
  readonly epoch: string;
  /** The game of the scope was closed before its lock was ours. */
  readonly closed: boolean;
  /** The revision this request makes. */
  readonly revision: number;
  /** The version a patch was typed over; null when what it was typed over never came to be, or is of another epoch. */
  versionRead(op: Operation, field: string, over: Over): Promise<number | null>;
  /** A snap to be written with its answer, in one statement; null: the request has other operations, it is written now. */
  readonly withAnswer: ((snap: Readonly<Record<string, unknown>>) => void) | null;
  /** The row to stand after: refused new rows hand on their own neighbor. */
  anchor(after: string | null): string | null;
}

/** Applies the operations of one scope. Made by `open`, which locks the scope and refuses members who may not. */
export interface ScopeWriter {
  apply(op: Operation): Promise<Outcome>;
}

export interface PatchedRow<P extends { readonly v: number; readonly name: string; readonly at: string }> {
  readonly values: Readonly<Record<string, unknown>>;
  readonly provenance: Readonly<Record<string, P>>;
}

/**
 * Patches fields against the version each was read at. Fields that stand already are left; a field that moved
 * since is a conflict with what stands; the rest is given to `set`.
 */
export async function patchFields(
  writing: Writing,
  op: Operation & { readonly do: 'patch' },
  row: PatchedRow<{ v: number; name: string; at: string }>,
  read: (field: string, value: unknown) => unknown,
  set: (field: string, value: unknown, version: number) => void,
): Promise<Conflict[]> {
  const conflicts: Conflict[] = [];
  for (const [field, patch] of Object.entries(op.fields) as [string, FieldPatch][]) {
    const value = read(field, patch.value);
    const standing = row.values[field];
    if (sameValue(standing, value)) continue;
    const before = row.provenance[field];
    const version = before?.v ?? 1;
    if ((await writing.versionRead(op, field, patch.over)) !== version)
      conflicts.push({
        field,
        theirs: standing,
        yours: value,
        by: before?.name ?? '',
        at: before?.at ?? '',
        version,
      });
    else set(field, value, version + 1);
  }
  return conflicts;
}

export const versionsOf = (provenance: RowProvenance): Versions =>
  Object.fromEntries(
    Object.entries(provenance)
      .filter(([, p]) => p.v > 1)
      .map(([f, p]) => [f, p.v]),
  );

export interface Placed {
  readonly key: string;
  readonly order: number;
}

/** The order key right after a row. Null: no room, number them anew. An anchor that is not there: the end. */
export function orderAfter(list: readonly Placed[], after: string | null): number | null {
  const at = after === null ? -1 : list.findIndex((r) => r.key === after);
  if (after !== null && at < 0) return orderBetween(list[list.length - 1]?.order ?? null, null);
  return orderBetween(list[at]?.order ?? null, list[at + 1]?.order ?? null);
}
