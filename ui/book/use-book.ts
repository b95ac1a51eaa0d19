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
/** How long the screen waits for the store before it says that the change is kept in the browser. */
const PATIENCE_MS = 4000;

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
  o: Outbox,
  book: Book,
  c: RowChange,
  view: View | undefined,
): { readonly scope: Scope; readonly op: Operation; readonly words: string } {
  const definition = c.op === 'add' || c.op === 'change' ? definitionOf(c.kind, c.definition) : undefined;
  switch (c.op) {
    case 'add':
      checkWords(book, c.kind, [c.word, ...c.aliases], null);
      return {
        scope: BOOK_SCOPE,
        op: o.put(
          'term',
          `${c.kind}-${crypto.randomUUID()}`,
          {
            kind: c.kind,
            word: c.word,
            aliases: c.aliases,
            notes: c.notes ?? null,
            spots: c.spots ?? null,
            definition: definition ?? null,
          },
          book.terms[book.terms.length - 1]?.id ?? null,
        ),
        words: `“${c.word}” is in the book`,
      };
    case 'change': {
      if (c.aliases) checkWords(book, c.kind, c.aliases, c.id);
      const fields = {
        ...(c.aliases ? { aliases: c.aliases } : {}),
        ...(c.spots !== undefined ? { spots: c.spots } : {}),
        ...(c.notes !== undefined ? { notes: c.notes } : {}),
        ...(definition !== undefined ? { definition } : {}),
      };
      return {
        scope: BOOK_SCOPE,
        op: o.patch(BOOK_SCOPE, 'term', c.id, fields, view),
        words:
          c.aliases && !c.spots && definition === undefined
            ? 'aliases and notes changed'
            : 'changed; what follows from it is computed anew',
      };
    }
    case 'remove':
      return { scope: BOOK_SCOPE, op: o.remove('term', c.id), words: 'removed' };
    case 'play': {
      const { op: _op, ...play } = c;
      return {
        scope: PLAYS_SCOPE,
        op: o.put('play', crypto.randomUUID(), play, null),
        words: `“${c.name}” is on the play list`,
      };
    }
    case 'links':
      return {
        scope: PLAYS_SCOPE,
        op: o.patch(PLAYS_SCOPE, 'play', c.play, { links: c.links }),
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
    change: async (c, view) => {
      try {
        const outbox = await opened();
        const { scope, op, words: said } = operationOf(outbox, book, c, view);
        await outbox.push(scope, [op]);
        const known = await outbox.outcome(op.id, PATIENCE_MS);
        if (known?.state === 'refused') {
          // Said where it was typed, and what was typed still stands there.
          await outbox.discard(known);
          return { ok: false, words: known.reason ?? 'refused', id: null };
        }
        return {
          ok: true,
          words: known ? said : `${said} in this browser; it is saved when the server answers`,
          id: op.row,
        };
      } catch (e) {
        return {
          ok: false,
          words:
            e instanceof Unfit
              ? e.message
              : `This browser could not store it (${(e as Error).message}); nothing was changed.`,
          id: null,
        };
      }
    },
  };
}
