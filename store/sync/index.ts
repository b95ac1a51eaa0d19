/**
 * The store's side of synchronizing: operations of one scope in one transaction, each answered by itself.
 * A refused operation takes no other with it; an outage decides nothing and is thrown.
 */
import 'server-only';
import {
  BOOK_SCOPE,
  holdsUnfitText,
  PLAYS_SCOPE,
  type Answer,
  type Operation,
  type Over,
  type Pulled,
  type Scope,
  type SyncAnswer,
} from '../../core/sync';
import { operationSchema } from '../../core/sync/schema';
import type { Actor } from '../../core/exchange/types';
import { SyncOperation, SyncScope } from '../entities';
import { Invalid } from '../errors';
import { openEm, type Em } from '../orm';
import { playRows, playWriter, termRows, termWriter } from './book';
import { lockBlind, lockGame, type Wanted } from './game-lock';
import { openSheet, sheetRows, sheetWriter } from './sheets';
import { CHANNEL, epochOf, nextRevision } from './scope';
import { insertionOf, pullGame, snapWriter } from './snaps';
import { refusalOf, RefusedOperation, type ScopeWriter, type Writing } from './writing';

const partsOf = (scope: Scope): readonly [kind: string, key: string] => {
  const at = scope.indexOf(':');
  return at < 0 ? [scope, ''] : [scope.slice(0, at), scope.slice(at + 1)];
};

/** Applies operations in order. Sent again after a lost answer, each gets the answer it had and does nothing. */
export async function synchronize(
  actor: Actor,
  scope: Scope,
  raw: readonly unknown[],
  now: Date,
): Promise<SyncAnswer> {
  const em = await openEm();
  const answers: Answer[] = [];
  const refuse = (id: string, refusedOperation: RefusedOperation): void =>
    void answers.push({
      id,
      status: 'refused',
      code: refusedOperation.code,
      reason: refusedOperation.message,
    });
  // An id that no column takes is none; its operation is refused where it is read.
  const idOf = (op: unknown): string => {
    const id = String((op as { id?: unknown } | null)?.id ?? '').slice(0, 120);
    return /[\p{Cc}\p{Cs}]/u.test(id) ? '' : id;
  };
  try {
    return await em.transactional(async (tx) => {
      const { opened, epoch, known } = await open(tx, actor, scope, raw, raw.map(idOf), now);
      const made: Answer[] = [];
      for (const candidate of raw) {
        const before = known.get(idOf(candidate));
        if (before) {
          answers.push(before);
          opened.answered(before);
          continue;
        }
        const read = operationSchema.safeParse(candidate);
        if (!read.success) {
          refuse(
            idOf(candidate),
            new RefusedOperation(
              'shape',
              `It cannot be read: ${read.error.issues[0]!.path.join('.')} ${read.error.issues[0]!.message}.`,
            ),
          );
          continue;
        }
        const op = read.data as Operation;
        if (holdsUnfitText(op)) {
          opened.refused(op);
          refuse(op.id, new RefusedOperation('text', 'It holds a control character; type it again.'));
          continue;
        }
        // An operation alone needs no savepoint: refused, nothing of the request was done.
        if (raw.length > 1) await tx.execute('savepoint operation');
        try {
          const { order, versions, conflicts } = await opened.writer.apply(op);
          const answer: Answer =
            conflicts.length > 0
              ? { id: op.id, status: 'conflict', revision: opened.revision, order, versions, conflicts }
              : { id: op.id, status: 'done', revision: opened.revision, order, versions };
          if (raw.length > 1) await tx.execute('release savepoint operation');
          answers.push(answer);
          opened.answered(answer);
          known.set(op.id, answer);
          made.push(answer);
        } catch (error) {
          const refused = refusalOf(error);
          if (!refused) throw error;
          if (raw.length === 1) throw refused;
          await tx.execute('rollback to savepoint operation');
          opened.refused(op);
          refuse(op.id, refused);
        }
      }
      if (made.length > 0)
        await opened.close(made).catch((error: unknown) => {
          // The only operation was to be written here: it is answered by what the database says of it.
          if (raw.length === 1) answers.length = 0;
          throw error;
        });
      return { epoch, answers };
    });
  } catch (error) {
    // The scope itself is refused: every operation is, for the same reason.
    const refused = answers.length === 0 ? refusalOf(error) : null;
    if (!refused) throw error;
    return {
      epoch: await epochOf(),
      answers: raw.map((op) => ({
        id: idOf(op),
        status: 'refused',
        code: refused.code,
        reason: refused.message,
      })),
    };
  }
}

interface Opened {
  readonly revision: number;
  readonly writer: ScopeWriter;
  answered(answer: Answer): void;
  refused(op: Operation): void;
  /** Keeps the answers and tells the readers of the scope, in one statement. */
  close(made: readonly Answer[]): Promise<void>;
}

/** A scope under its lock: the revision this request makes, the charting it is of, and who writes it. */
interface Locked {
  readonly revision: number;
  readonly charting: string | null;
  readonly writer: (w: Writing) => ScopeWriter;
  /** Where it was read with the lock. */
  readonly standing?: Standing;
}
interface Standing {
  readonly epoch: string;
  readonly closed: boolean;
  readonly known: Map<string, Answer>;
}

/** Where the first operation wants a new row; null: it is no such operation, or cannot be read as one. */
function wantedBy(op: unknown): Wanted | null {
  const { do: what, row, after } = (op ?? {}) as Record<string, unknown>;
  const text = (v: unknown): v is string => typeof v === 'string' && !/[\p{Cc}\p{Cs}]/u.test(v);
  return what === 'put' && text(row) && (after === null || text(after)) ? { row, after } : null;
}

async function lock(
  tx: Em,
  actor: Actor,
  scope: Scope,
  raw: readonly unknown[],
  ids: readonly string[],
  now: Date,
): Promise<Locked> {
  const [kind, key] = partsOf(scope);
  if (kind === 'game') {
    const game = await lockGame(tx, actor, key, ids, wantedBy(raw[0]), now);
    return { ...game, writer: (w) => snapWriter(w, game) };
  }
  if (kind === 'blind') {
    const game = await lockBlind(tx, actor, key);
    return { ...game, writer: (w) => snapWriter(w, game) };
  }
  const writers: Readonly<Record<string, () => Promise<(w: Writing) => ScopeWriter>>> = {
    sheet: async () => {
      const sheet = await openSheet(tx, actor, key);
      return (w) => sheetWriter(w, key, sheet);
    },
    [BOOK_SCOPE]: async () => termWriter,
    [PLAYS_SCOPE]: async () => playWriter,
  };
  const make = Object.hasOwn(writers, kind) ? writers[kind] : undefined;
  if (!make) throw new Invalid('there is no such place to save to');
  return {
    revision: await nextRevision(tx, actor.programId, scope),
    charting: null,
    writer: await make(),
  };
}

/** What must be read after the lock of a scope that is no game, in one question. */
async function standing(tx: Em, actor: Actor, ids: readonly string[]): Promise<Standing> {
  const [row] = (await tx.execute(
    `select (select epoch from installation where id = 1) as epoch,
       (select jsonb_object_agg(id, answer) from sync_operation
         where program_id = ? and id = any(array(select jsonb_array_elements_text(?::jsonb)))) as known`,
    [actor.programId, JSON.stringify(ids)],
  )) as { epoch: string; known: Record<string, Answer> | null }[];
  return {
    epoch: row!.epoch,
    closed: false,
    known: new Map(Object.entries(row!.known ?? {})),
  };
}

async function open(
  tx: Em,
  actor: Actor,
  scope: Scope,
  raw: readonly unknown[],
  ids: readonly string[],
  now: Date,
) {
  const { revision, charting, writer, standing: read } = await lock(tx, actor, scope, raw, ids, now);
  const { epoch, closed, known } = read ?? (await standing(tx, actor, ids));
  let snap: Readonly<Record<string, unknown>> | null = null;
  const seen = new Map<string, Answer>();
  const anchors = new Map<string, string | null>();
  const writing: Writing = {
    tx,
    actor,
    now,
    epoch,
    closed,
    revision,
    withAnswer: raw.length > 1 ? null : (made) => (snap = made),
    async versionRead(op: Operation, field: string, over: Over): Promise<number | null> {
      if (op.epoch !== epoch) return null;
      if (typeof over === 'number') return over;
      const answer =
        seen.get(over) ??
        ((
          await tx.findOne(
            SyncOperation,
            { program: actor.programId, id: over },
            { disableIdentityMap: true },
          )
        )?.answer as Answer | undefined);
      if (
        !answer ||
        answer.status === 'refused' ||
        (answer.status === 'conflict' && answer.conflicts.some((c) => c.field === field))
      )
        return null;
      return answer.versions[field] ?? 1;
    },
    anchor(after: string | null): string | null {
      let at = after;
      while (at !== null && anchors.has(at)) at = anchors.get(at)!;
      return at;
    },
  };
  const news = JSON.stringify({ program: actor.programId, scope, revision });
  const opened: Opened = {
    revision,
    writer: writer(writing),
    async close(made) {
      const placed = snap && insertionOf(tx, snap);
      await tx.execute(
        `with ${placed ? `placed as (${placed.sql}), ` : ''}kept as (insert into sync_operation (program_id, id, at, answer)
           select ?::uuid, a->>'id', ?::timestamptz, a from jsonb_array_elements(?::jsonb) a),
         moved as (update charting set revision = ? where id = ?::uuid)
         select pg_notify(?, ?)`,
        [
          ...(placed?.bindings ?? []),
          actor.programId,
          now.toISOString(),
          JSON.stringify(made),
          revision,
          charting,
          CHANNEL,
          news,
        ],
      );
    },
    answered: (answer) => void seen.set(answer.id, answer),
    refused: (op) => {
      if (op.do === 'put') anchors.set(op.row, op.after);
    },
  };
  return { opened, epoch, known };
}

/** The rows of a scope; of a game those that changed after `since`, unless the epoch is another. */
export async function pull(
  actor: Actor,
  scope: Scope,
  since: number | null,
  knownEpoch: string | null,
): Promise<Pulled> {
  const em = await openEm();
  const [kind, key] = partsOf(scope);
  const epoch = await epochOf(em);
  if (kind === 'game' || kind === 'blind')
    return {
      epoch,
      ...(await pullGame(em, actor, key, knownEpoch === epoch ? since : null, kind === 'blind')),
    };
  // The revision is read first: rows that are newer than it are sent again next time, none is missed.
  const revision =
    (await em.findOne(SyncScope, { program: actor.programId, scope }, { disableIdentityMap: true }))
      ?.revision ?? 0;
  if (kind === 'sheet') return { epoch, revision, whole: true, rows: await sheetRows(em, actor, key) };
  if (kind === BOOK_SCOPE) return { epoch, revision, whole: true, rows: await termRows(em, actor) };
  if (kind === PLAYS_SCOPE) return { epoch, revision, whole: true, rows: await playRows(em, actor) };
  throw new Invalid('there is no such place to read from');
}

export { CHANNEL, epochOf, touchScope, type News } from './scope';

/** Forgets the answers of operations that no browser can still be waiting for. */
export const forgetOperations = async (before: Date): Promise<number> =>
  (await openEm()).nativeDelete(SyncOperation, { at: { $lt: before } });
