/**
 * One change to one row, as it travels: it carries its own id, so that sending it twice does it once, and
 * what its author had read, so that nothing of somebody else's is overwritten unseen.
 */
import { fitText } from '../snap/text';

export const ROW_KINDS = ['snap', 'sheet', 'call', 'check', 'remark', 'term', 'play'] as const;
export type RowKind = (typeof ROW_KINDS)[number];

/** Rows that are locked, numbered and read together: `game:KEY`, `sheet:KEY`, `book`, `plays`. */
export type Scope = string;
export const gameScope = (key: string): Scope => `game:${key}`;
/** The signed-in member's own blind charting of a game. */
export const blindScope = (key: string): Scope => `blind:${key}`;
export const sheetScope = (key: string): Scope => `sheet:${key}`;
export const BOOK_SCOPE: Scope = 'book';
export const PLAYS_SCOPE: Scope = 'plays';

/** What a patched field was read at: a version of the server, or the own operation it was typed over. */
export type Over = number | string;
export interface FieldPatch {
  readonly value: unknown;
  readonly over: Over;
}

interface Common {
  readonly id: string;
  readonly kind: RowKind;
  readonly row: string;
  /** The restore epoch it was written in. */
  readonly epoch: string;
}
/** `after`: the row it follows; null: the first of its scope (of its section, for a call). */
export type Put = Common & {
  readonly do: 'put';
  readonly fields: Readonly<Record<string, unknown>>;
  readonly after: string | null;
};
export type PatchOp = Common & {
  readonly do: 'patch';
  readonly fields: Readonly<Record<string, FieldPatch>>;
};
export type Move = Common & {
  readonly do: 'move';
  readonly fields: Readonly<Record<string, unknown>>;
  readonly after: string | null;
};
export type Remove = Common & { readonly do: 'delete' | 'restore' };
export type Operation = Put | PatchOp | Move | Remove;

export const REFUSALS = [
  'shape',
  'value',
  'text',
  'role',
  'closed',
  'locked',
  'gone',
  'taken',
  'in-use',
  'failed',
] as const;
/**
 * shape: not an operation; value: the field cannot hold it; text: characters no database takes; role: the
 * member may not; closed, locked: the game or sheet; gone: scope or row is not there; taken: the word stands
 * already; in-use: cannot be removed; failed: the server could not, and it is no outage.
 */
export type Refusal = (typeof REFUSALS)[number];

export interface Conflict {
  readonly field: string;
  readonly theirs: unknown;
  readonly yours: unknown;
  readonly by: string;
  readonly at: string;
  readonly version: number;
}

/** Versions above 1; a field that is not listed is at 1. */
export type Versions = Readonly<Record<string, number>>;

export type Answer =
  | {
      readonly id: string;
      readonly status: 'done';
      readonly revision: number;
      readonly order: number | null;
      readonly versions: Versions;
    }
  | {
      readonly id: string;
      readonly status: 'conflict';
      readonly revision: number;
      readonly order: number | null;
      readonly versions: Versions;
      readonly conflicts: readonly Conflict[];
    }
  | { readonly id: string; readonly status: 'refused'; readonly code: Refusal; readonly reason: string };

export interface SyncAnswer {
  readonly epoch: string;
  readonly answers: readonly Answer[];
}

/** A row as the server has it. */
export interface SyncRow {
  readonly kind: RowKind;
  readonly row: string;
  readonly order: number;
  readonly fields: Readonly<Record<string, unknown>>;
  readonly versions: Versions;
  readonly deleted: boolean;
}

/** `whole`: all rows there are; else only those that changed since the revision asked for. */
export interface Pulled {
  readonly epoch: string;
  readonly revision: number;
  readonly whole: boolean;
  readonly rows: readonly SyncRow[];
}

/** True when a text anywhere in a value holds what no database text takes. */
export function holdsUnfitText(value: unknown): boolean {
  if (typeof value === 'string') return !fitText(value);
  if (typeof value !== 'object' || value === null) return false;
  return Object.entries(value).some(([k, v]) => !fitText(k) || holdsUnfitText(v));
}

export const MOST_OPERATIONS = 50;
/** Characters of JSON a request may have; a browser fills a batch up to half of it. */
export const MOST_REQUEST = 1_000_000;
