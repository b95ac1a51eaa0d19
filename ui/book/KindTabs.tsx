'use client';
import Button from '@mui/material/Button';
import { TERM_KIND_LABEL, TERM_KINDS, type Book, type TermKind } from '@/core/book';

interface KindTabsProps {
  readonly book: Book;
  readonly plays: number;
  readonly tab: TermKind | 'plays';
  readonly finding: boolean;
  readonly onTab: (tab: TermKind | 'plays') => void;
}

/** The kinds of terms, and the play list. */
export function KindTabs({ book, plays, tab, finding, onTab }: KindTabsProps) {
  return (
    <div className="toolbar tabs" role="group" aria-label="Kinds of terms">
      {TERM_KINDS.map((kind) => (
        <Button
          key={kind}
          variant={tab === kind && !finding ? 'contained' : 'text'}
          aria-pressed={tab === kind}
          onClick={() => onTab(kind)}
        >
          {TERM_KIND_LABEL[kind]} {book.terms.filter((t) => t.kind === kind).length}
        </Button>
      ))}
      <Button
        variant={tab === 'plays' ? 'contained' : 'text'}
        aria-pressed={tab === 'plays'}
        onClick={() => onTab('plays')}
      >
        play list {plays}
      </Button>
    </div>
  );
}
