'use client';
/** The book and the play list as rows: what is changed shows at once, is durable in the browser, and is answered by the store. */
import { useMemo } from 'react';
import {
  bookFaultSentence,
  isDefinedKind,
  phraseFault,
  readDefinition,
  type Book,
  type Spot,
  type TermKind,
} from '@/core/book';
import { notationSentence } from '@/core/look';
import { playOfRow, termOfRow } from '@/core/exchange/from-rows';
import type { BookAnswer } from '@/core/exchange/types';
import type { PlayCard, PlayLink } from '@/core/plan';
import { BOOK_SCOPE, PLAYS_SCOPE, type Operation, type Pulled, type Queued, type Scope } from '@/core/sync';
import { answered } from '@/client/answered';
import type { Outbox, View } from '@/client/outbox';
import { useScope, useSync } from '@/client/SyncProvider';

/** Changes of single words and plays; everything else is a command of the server. */
export type RowChange =
  | {
      readonly op: 'add';
      readonly kind: TermKind;
      readonly word: string;
      readonly aliases: readonly string[];
      readonly notes?: string | null;
      readonly spots?: readonly Spot[] | null;
      readonly definition?: string | null;
    }
  | {
      readonly op: 'change';
      readonly id: string;
      readonly kind: TermKind;
      readonly aliases?: readonly string[];
      readonly notes?: string | null;
      readonly spots?: readonly Spot[] | null;
      readonly definition?: string | null;
    }
  | { readonly op: 'remove'; readonly id: string }
  | (Omit<PlayCard, 'id' | 'links'> & { readonly op: 'play' })
  | { readonly op: 'links'; readonly play: string; readonly links: readonly PlayLink[] };

const ROW_OPS = new Set(['add', 'change', 'remove', 'play', 'links']);
export const isRowChange = (change: { readonly op: string }): change is RowChange => ROW_OPS.has(change.op);
class Unfit extends Error {}

function definitionOf(kind: TermKind, text: string | null | undefined): unknown {
  if (text === undefined || !isDefinedKind(kind)) return undefined;
  if (text === null || text.trim() === '') return null;
  const read = readDefinition(kind, text);
  if (!read.ok) throw new Unfit(`${notationSentence(read.problems[0]!)}.`);
  return read.value;
}

function checkWords(book: Book, kind: TermKind, words: readonly string[], except: string | null): void {
  for (const phrase of words) {
    const fault = phraseFault(book, kind, phrase, except);
    if (fault) throw new Unfit(bookFaultSentence(fault));
  }
}

/** The scope and the operation of a change, and what it says when it is done. Throws what the book itself forbids. */
function operationOf(
  outbox: Outbox,
  book: Book,
  rowChange: RowChange,
  view: View | undefined,
): { readonly scope: Scope; readonly op: Operation; readonly words: string } {
  const definition =
    rowChange.op === 'add' || rowChange.op === 'change'
      ? definitionOf(rowChange.kind, rowChange.definition)
      : undefined;
  switch (rowChange.op) {
    case 'add':
      checkWords(book, rowChange.kind, [rowChange.word, ...rowChange.aliases], null);
      return {
        scope: BOOK_SCOPE,
        op: outbox.put(
          'term',
          `${rowChange.kind}-${crypto.randomUUID()}`,
          {
            kind: rowChange.kind,
            word: rowChange.word,
            aliases: rowChange.aliases,
            notes: rowChange.notes ?? null,
            spots: rowChange.spots ?? null,
            definition: definition ?? null,
          },
          book.terms[book.terms.length - 1]?.id ?? null,
        ),
        words: `“${rowChange.word}” is in the book`,
      };
    case 'change': {
      if (rowChange.aliases) checkWords(book, rowChange.kind, rowChange.aliases, rowChange.id);
      const fields = {
        ...(rowChange.aliases ? { aliases: rowChange.aliases } : {}),
        ...(rowChange.spots !== undefined ? { spots: rowChange.spots } : {}),
        ...(rowChange.notes !== undefined ? { notes: rowChange.notes } : {}),
        ...(definition !== undefined ? { definition } : {}),
      };
      return {
        scope: BOOK_SCOPE,
        op: outbox.patch(BOOK_SCOPE, 'term', rowChange.id, fields, view),
        words:
          rowChange.aliases && !rowChange.spots && definition === undefined
            ? 'aliases and notes changed'
            : 'changed; what follows from it is computed anew',
      };
    }
    case 'remove':
      return { scope: BOOK_SCOPE, op: outbox.remove('term', rowChange.id), words: 'removed' };
    case 'play': {
      const { op: _op, ...play } = rowChange;
      return {
        scope: PLAYS_SCOPE,
        op: outbox.put('play', crypto.randomUUID(), play, null),
        words: `“${rowChange.name}” is on the play list`,
      };
    }
    case 'links':
      return {
        scope: PLAYS_SCOPE,
        op: outbox.patch(PLAYS_SCOPE, 'play', rowChange.play, { links: rowChange.links }),
        words: 'links saved',
      };
  }
}

export interface BookRows {
  readonly book: Book;
  readonly plays: readonly PlayCard[];
  readonly unsettled: readonly Queued[];
  /** What the book is now: kept while a word is edited, so that what somebody else changes meanwhile is not overwritten unseen. */
  readonly view: () => View;
  readonly change: (c: RowChange, view?: View) => Promise<BookAnswer>;
}

const NO_PLAYS: Pulled = { epoch: '', revision: -1, whole: false, rows: [] };

export function useBook(base: Book, terms: Pulled, plays: Pulled = NO_PLAYS): BookRows {
  const words = useScope(BOOK_SCOPE, terms);
  const list = useScope(PLAYS_SCOPE, plays);
  const { opened } = useSync();
  const book = useMemo(
    (): Book => ({ name: base.name, letters: base.letters, terms: words.rows.map(termOfRow) }),
    [base, words.rows],
  );
  const cards = useMemo(
    () => list.rows.map(playOfRow).sort((a, b) => a.name.localeCompare(b.name)),
    [list.rows],
  );
  return {
    book,
    plays: cards,
    unsettled: [...words.conflicts, ...words.refused, ...list.conflicts, ...list.refused],
    view: words.view,
    change: async (rowChange, view) => {
      try {
        const outbox = await opened();
        const { scope, op, words: said } = operationOf(outbox, book, rowChange, view);
        const known = await answered(outbox, scope, op);
        if (known?.state === 'refused') return { ok: false, words: known.reason ?? 'refused', id: null };
        return {
          ok: true,
          words: known ? said : `${said} in this browser; it is saved when the server answers`,
          id: op.row,
        };
      } catch (error) {
        return {
          ok: false,
          words:
            error instanceof Unfit
              ? error.message
              : `This browser could not store it (${(error as Error).message}); nothing was changed.`,
          id: null,
        };
      }
    },
  };
}
