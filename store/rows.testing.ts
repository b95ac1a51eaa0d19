/** Rows written the way a browser writes them, in one call each: for tests. A refusal is thrown by its meaning. */
import { randomUUID } from 'node:crypto';
import {
  gameScope,
  BOOK_SCOPE,
  PLAYS_SCOPE,
  sheetScope,
  type Answer,
  type Operation,
  type Over,
  type RowKind,
  type Scope,
} from '../core/sync';
import { snapOfRow } from '../core/exchange/from-rows';
import type { Term } from '../core/book/term';
import type { PlayCard, PlayLink } from '../core/plan/sheet';
import type { SnapFields } from '../core/snap/snap';
import type { Actor } from '../core/exchange/types';
import { Invalid, NotFound, Refused } from './errors';
import { epochOf, pull, synchronize } from './sync';

export const NOW = new Date('2026-10-31T20:00:00Z');
/** An anchor that is not there: the end. */
export const END = 'the end';

type Body =
  | { do: 'put'; fields: Record<string, unknown>; after: string | null }
  | { do: 'move'; fields: Record<string, unknown>; after: string | null }
  | { do: 'patch'; fields: Record<string, { value: unknown; over: Over }> }
  | { do: 'delete' }
  | { do: 'restore' };

export const operation = async (
  kind: RowKind,
  row: string,
  body: Body,
  id: string = randomUUID(),
): Promise<Operation> => ({ id, kind, row, epoch: await epochOf(), ...body }) as Operation;

export function thrown(answer: Answer): Answer {
  if (answer.status !== 'refused') return answer;
  if (answer.code === 'gone') throw Object.assign(new NotFound('row'), { message: answer.reason });
  if (['role', 'closed', 'locked'].includes(answer.code))
    throw Object.assign(new Refused('it', ['coordinator']), { message: answer.reason });
  throw new Invalid(answer.reason);
}

async function one(actor: Actor, scope: Scope, kind: RowKind, row: string, body: Body): Promise<Answer> {
  return thrown((await synchronize(actor, scope, [await operation(kind, row, body)], NOW)).answers[0]!);
}

export type SnapChange =
  | { op: 'put'; snapId: string; fields: SnapFields; after?: string | null }
  | { op: 'patch'; snapId: string; fields: Record<string, { value: unknown; version: Over }> }
  | { op: 'delete' | 'restore'; snapId: string };

export const snapOperation = (snapChange: SnapChange): Promise<Operation> =>
  operation(
    'snap',
    snapChange.snapId,
    snapChange.op === 'put'
      ? {
          do: 'put',
          fields: snapChange.fields,
          after: snapChange.after === undefined ? END : snapChange.after,
        }
      : snapChange.op === 'patch'
        ? {
            do: 'patch',
            fields: Object.fromEntries(
              Object.entries(snapChange.fields).map(([f, p]) => [f, { value: p.value, over: p.version }]),
            ),
          }
        : { do: snapChange.op },
  );

/** Answers of the changes of a game, refusals among them. */
export async function saveSnaps(
  actor: Actor,
  game: string,
  changes: readonly SnapChange[],
): Promise<readonly Answer[]> {
  return (await synchronize(actor, gameScope(game), await Promise.all(changes.map(snapOperation)), NOW))
    .answers;
}

export async function loadSnaps(actor: Actor, game: string, since: number | null = null) {
  const { revision, rows } = await pull(actor, gameScope(game), since, await epochOf());
  return {
    revision,
    snaps: [...rows]
      .sort((a, b) => a.order - b.order)
      .map((r) => ({ snap: snapOfRow(r, game), versions: r.versions, deleted: r.deleted })),
  };
}

export async function addPlay(actor: Actor, play: Omit<PlayCard, 'id'>): Promise<string> {
  const key = randomUUID();
  await one(actor, PLAYS_SCOPE, 'play', key, { do: 'put', fields: { ...play }, after: null });
  return key;
}
export const setLinks = (actor: Actor, play: string, links: readonly PlayLink[], over: Over = 1) =>
  one(actor, PLAYS_SCOPE, 'play', play, { do: 'patch', fields: { links: { value: links, over } } });

export async function createSheet(actor: Actor, input: { name: string; opponent: string }): Promise<string> {
  const key = randomUUID();
  await one(actor, sheetScope(key), 'sheet', key, { do: 'put', fields: input, after: null });
  return key;
}
export const lockSheet = (actor: Actor, sheet: string, locked: boolean, over: Over = 1) =>
  one(actor, sheetScope(sheet), 'sheet', sheet, { do: 'patch', fields: { locked: { value: locked, over } } });
export async function addCall(
  actor: Actor,
  sheet: string,
  call: { key?: string; section: string; play: string; after?: string | null },
): Promise<string> {
  const key = call.key ?? randomUUID();
  await one(actor, sheetScope(sheet), 'call', key, {
    do: 'put',
    fields: { section: call.section, play: call.play },
    after: call.after === undefined ? END : call.after,
  });
  return key;
}
export const moveCall = (
  actor: Actor,
  sheet: string,
  call: string,
  to: { section: string; after: string | null },
) =>
  one(actor, sheetScope(sheet), 'call', call, {
    do: 'move',
    fields: { section: to.section },
    after: to.after,
  });
export const removeCall = (actor: Actor, sheet: string, call: string) =>
  one(actor, sheetScope(sheet), 'call', call, { do: 'delete' });

export async function addTerm(
  actor: Actor,
  term: Pick<Term, 'kind' | 'word' | 'aliases'> &
    Partial<Omit<Term, 'notes' | 'spots' | 'definition'>> & {
      notes?: string | null;
      spots?: unknown;
      definition?: unknown;
    },
): Promise<string> {
  const key = `${term.kind}-${randomUUID()}`;
  await one(actor, BOOK_SCOPE, 'term', key, {
    do: 'put',
    fields: {
      kind: term.kind,
      word: term.word,
      aliases: term.aliases,
      notes: term.notes ?? null,
      spots: term.spots ?? null,
      definition: term.definition ?? null,
    },
    after: null,
  });
  return key;
}
export async function changeTerm(
  actor: Actor,
  key: string,
  fields: Record<string, unknown>,
): Promise<Answer> {
  const row = (await pull(actor, BOOK_SCOPE, null, null)).rows.find((r) => r.row === key);
  return one(actor, BOOK_SCOPE, 'term', key, {
    do: 'patch',
    fields: Object.fromEntries(
      Object.entries(fields).map(([f, value]) => [f, { value, over: row?.versions[f] ?? 1 }]),
    ),
  });
}
export const removeTerm = (actor: Actor, key: string) =>
  one(actor, BOOK_SCOPE, 'term', key, { do: 'delete' });
