'use client';
/** What is done with a word as a whole: merge, split, aliases and notes. */
import type { Book, Term } from '@/core/book';
import type { SplitPreview } from '@/core/exchange/types';
import type { Run } from './useBookRun';
import { AliasDialog, MergeDialog, SplitDialog } from './WordDialogs';

export interface OpenDialog {
  readonly what: 'merge' | 'split' | 'aliases';
  readonly term: Term;
}

export interface TermDialogsProps {
  readonly open: OpenDialog;
  readonly book: Book;
  readonly count: number;
  readonly busy: boolean;
  readonly preview: (
    question: unknown,
  ) => Promise<{ ok: true; value: SplitPreview } | { ok: false; words: string }>;
  readonly run: Run;
  readonly onClose: () => void;
  readonly onMerged: (into: string) => void;
}

export default function TermDialogs(props: TermDialogsProps) {
  const { open, book, count, busy, preview, run, onClose, onMerged } = props;
  const { term } = open;
  switch (open.what) {
    case 'merge':
      return (
        <MergeDialog
          book={book}
          term={term}
          count={count}
          busy={busy}
          onClose={onClose}
          onMerge={(keep) =>
            run({ op: 'merge', keep, drop: term.id }, () => {
              onClose();
              onMerged(keep);
            })
          }
        />
      );
    case 'split':
      return (
        <SplitDialog
          book={book}
          term={term}
          busy={busy}
          preview={preview}
          onClose={onClose}
          onSplit={(change) =>
            run(change as { readonly op: string; readonly [field: string]: unknown }, onClose)
          }
        />
      );
    case 'aliases':
      return (
        <AliasDialog
          term={term}
          busy={busy}
          onClose={onClose}
          onKeep={(aliases, notes) =>
            run({ op: 'change', id: term.id, kind: term.kind, aliases, notes }, onClose)
          }
        />
      );
  }
}
