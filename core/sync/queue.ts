/**
 * What was typed and what became of it, as pure steps: operations wait in the order they were typed, each is
 * answered by itself, and what an answer changes for those behind it is worked out here.
 */
import type { Answer, Conflict, FieldPatch, Operation, Over, Put, Refusal, Scope } from './operation';

export interface Queued {
  /** Ascending; the order of typing over all tabs of the browser. */
  readonly seq: number;
  readonly scope: Scope;
  readonly op: Operation;
  /**
   * waiting: not answered; done: the server has it, kept until a pull shows it; conflict: done but for the
   * fields listed, kept until settled; refused: kept until fixed or discarded.
   */
  readonly state: 'waiting' | 'done' | 'conflict' | 'refused';
  /** The epoch it was answered in: revisions and versions of another life of the database say nothing. */
  readonly epoch?: string;
  readonly revision?: number;
  readonly order?: number | null;
  readonly versions?: Readonly<Record<string, number>>;
  readonly conflicts?: readonly Conflict[];
  readonly code?: Refusal;
  readonly reason?: string;
}

export const bySeq = (a: Queued, b: Queued): number => a.seq - b.seq;

/** The next operations to send: the oldest waiting one and those of its scope right behind it. */
export function nextBatch(
  queue: readonly Queued[],
  most: number,
  characters: number,
): { readonly scope: Scope; readonly batch: readonly Queued[] } | null {
  const waiting = queue.filter((q) => q.state === 'waiting').sort(bySeq);
  const first = waiting[0];
  if (!first) return null;
  const batch: Queued[] = [];
  let size = 0;
  for (const queued of waiting) {
    size += JSON.stringify(queued.op).length;
    if (queued.scope !== first.scope || batch.length === most || (batch.length > 0 && size > characters))
      break;
    batch.push(queued);
  }
  return { scope: first.scope, batch };
}

/** The version a field has after an operation that was done. */
const versionAfter = (versions: Readonly<Record<string, number>> | undefined, field: string): number =>
  versions?.[field] ?? 1;

const mapOver = (op: Operation, change: (field: string, over: Over) => Over): Operation =>
  op.do !== 'patch'
    ? op
    : {
        ...op,
        fields: Object.fromEntries(
          Object.entries(op.fields).map(([field, fieldPatch]): [string, FieldPatch] => [
            field,
            { value: fieldPatch.value, over: change(field, fieldPatch.over) },
          ]),
        ),
      };

/** What an operation's field was itself typed over, for those that were typed over it in vain. */
const overOf = (op: Operation, field: string): Over =>
  op.do === 'patch' ? (op.fields[field]?.over ?? 1) : 1;

/**
 * The queue after the server's answers. Gives the entries that changed and the ids that are gone.
 * - done: later patches typed over it now stand over the version it made.
 * - conflict: later patches of the field stand over what the first did not win over, and conflict too; the
 *   newest value is the one offered.
 * - refused: later patches stand over what it stood over; rows placed after a refused one are placed after
 *   its own neighbor; patches of a refused new row become part of it, removing it discards it.
 */
export function answerQueue(
  queue: readonly Queued[],
  answers: readonly Answer[],
  epoch: string,
): { readonly changed: readonly Queued[]; readonly gone: readonly string[] } {
  const list = new Map([...queue].sort(bySeq).map((q) => [q.op.id, q]));
  const changed = new Set<string>();
  const gone = new Set<string>();
  const set = (queued: Queued): void => {
    list.set(queued.op.id, queued);
    changed.add(queued.op.id);
  };
  for (const answer of answers) {
    const asked = list.get(answer.id);
    if (!asked || asked.state !== 'waiting') continue;
    // What it was typed over is passed on; not into another epoch, where a number would mean another version.
    const passed = (op: Operation, field: string): Over =>
      op.epoch === asked.op.epoch ? overOf(asked.op, field) : asked.op.id;
    const behind = (): Queued[] =>
      [...list.values()].filter(
        (q) => q.seq > asked.seq && q.state === 'waiting' && q.scope === asked.scope && !gone.has(q.op.id),
      );
    if (answer.status === 'refused') {
      let refused: Queued = { ...asked, state: 'refused', code: answer.code, reason: answer.reason };
      for (const queued of behind()) {
        const { op } = queued;
        if (asked.op.do === 'put' && op.row === asked.op.row) {
          const put = refused.op as Put;
          if (op.do === 'patch')
            refused = {
              ...refused,
              op: {
                ...put,
                fields: {
                  ...put.fields,
                  ...Object.fromEntries(Object.entries(op.fields).map(([f, p]) => [f, p.value])),
                },
              },
            };
          else if (op.do === 'move')
            refused = {
              ...refused,
              op: { ...put, after: op.after, fields: { ...put.fields, ...op.fields } },
            };
          else if (op.do === 'delete') gone.add(asked.op.id);
          else gone.delete(asked.op.id);
          gone.add(op.id);
          continue;
        }
        let next = mapOver(op, (field, over) => (over === asked.op.id ? passed(queued.op, field) : over));
        if (asked.op.do === 'put' && (next.do === 'put' || next.do === 'move') && next.after === asked.op.row)
          next = { ...next, after: (refused.op as Put).after };
        if (next !== op) set({ ...queued, op: next });
      }
      set(refused);
      continue;
    }
    const lost = new Map(answer.status === 'conflict' ? answer.conflicts.map((c) => [c.field, c]) : []);
    set({
      ...asked,
      state: answer.status,
      epoch,
      revision: answer.revision,
      order: answer.order,
      versions: answer.versions,
      ...(answer.status === 'conflict' ? { conflicts: answer.conflicts } : {}),
    });
    for (const queued of behind()) {
      const next = mapOver(queued.op, (field, over) =>
        over !== asked.op.id
          ? over
          : lost.has(field)
            ? passed(queued.op, field)
            : versionAfter(answer.versions, field),
      );
      if (JSON.stringify(next) !== JSON.stringify(queued.op)) set({ ...queued, op: next });
    }
    // A newer conflict of the same field takes the place of the older, a newer success settles it.
    if (asked.op.do === 'patch') {
      for (const queued of list.values()) {
        if (
          queued.state !== 'conflict' ||
          queued.op.id === asked.op.id ||
          queued.seq > asked.seq ||
          queued.op.row !== asked.op.row ||
          queued.scope !== asked.scope
        )
          continue;
        const left = queued.conflicts!.filter(
          (c) => !Object.hasOwn((asked.op as { fields: object }).fields, c.field),
        );
        if (left.length < queued.conflicts!.length)
          set(
            left.length === 0 ? { ...queued, state: 'done', conflicts: [] } : { ...queued, conflicts: left },
          );
      }
    }
  }
  return { changed: [...changed].filter((id) => !gone.has(id)).map((id) => list.get(id)!), gone: [...gone] };
}

/** What a new patch of a field is typed over: the own operation on the way, or what the server has. */
export function overNow(
  queue: readonly Queued[],
  scope: Scope,
  row: string,
  field: string,
  base: {
    readonly epoch: string;
    readonly revision: number;
    readonly versions: Readonly<Record<string, number>> | null;
  },
): Over {
  for (const queued of [...queue].sort((a, b) => b.seq - a.seq)) {
    if (queued.scope !== scope || queued.op.row !== row || queued.state === 'refused') continue;
    const ahead =
      queued.state === 'waiting' || (queued.epoch === base.epoch && (queued.revision ?? 0) > base.revision);
    if (queued.op.do === 'put') return ahead ? 1 : versionAfter(base.versions ?? {}, field);
    if (queued.op.do !== 'patch' || !Object.hasOwn(queued.op.fields, field)) continue;
    if (queued.state === 'waiting') return queued.op.id;
    if (!ahead) break;
    return queued.conflicts?.find((c) => c.field === field)?.version ?? versionAfter(queued.versions, field);
  }
  return versionAfter(base.versions ?? {}, field);
}

/** Done operations that every reader has seen by now: the newest `most` stay for tabs that have not pulled yet. */
export function worn(queue: readonly Queued[], most: number): string[] {
  return queue
    .filter((q) => q.state === 'done')
    .sort((a, b) => b.seq - a.seq)
    .slice(most)
    .map((q) => q.op.id);
}
