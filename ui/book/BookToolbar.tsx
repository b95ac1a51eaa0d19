'use client';
/** Find a term; draw, print, save, import. */
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useRef, type Ref } from 'react';
import { writeBook, type Book } from '@/core/book/term';
import type { Run } from './useBookRun';

interface BookToolbarProps {
  readonly book: Book;
  readonly plays: number;
  readonly find: string;
  readonly findRef: Ref<HTMLInputElement>;
  readonly busy: boolean;
  readonly mayAdd: boolean;
  readonly mayImport: boolean;
  readonly onFind: (text: string | null) => void;
  readonly run: Run;
}

function save(book: Book): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([writeBook(book)], { type: 'application/json' }));
  link.download = 'book.json';
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 1000);
}

export function BookToolbar(props: BookToolbarProps) {
  const { book, plays, find, findRef, busy, mayAdd, mayImport, onFind, run } = props;
  const file = useRef<HTMLInputElement>(null);
  return (
    <div className="toolbar">
      <h1>Book</h1>
      <span className="small quiet">
        {book.name}: {book.terms.length} terms, {plays} plays
      </span>
      <span className="choice">
        <label htmlFor="find-term">find a term</label>
        <input
          id="find-term"
          ref={findRef}
          value={find}
          autoComplete="off"
          onChange={(e) => onFind(e.target.value || null)}
        />
      </span>
      <span className="toolbar end">
        {mayAdd && (
          <Button variant="contained" component={Link} href="/book/draw">
            Draw a formation
          </Button>
        )}
        <Button variant="outlined" href="/api/book/cards">
          Formation sheet
        </Button>
        <Button onClick={() => save(book)}>Save book.json</Button>
        {mayImport && (
          <>
            <Button onClick={() => file.current?.click()} disabled={busy}>
              Import book.json
            </Button>
            <input
              ref={file}
              type="file"
              accept="application/json,.json"
              hidden
              aria-label="book.json to bring"
              onChange={(event) => {
                const chosen = event.target.files?.[0];
                event.target.value = '';
                if (chosen) void chosen.text().then((text) => run({ op: 'import', text }));
              }}
            />
            <Button disabled={busy} onClick={() => run({ op: 'adopt' })}>
              Add general terms
            </Button>
          </>
        )}
      </span>
    </div>
  );
}
