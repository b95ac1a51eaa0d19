'use client';
/** Files in: uploaded with progress, read in a process of their own, imported whole or not at all. */
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Link from 'next/link';
import { useMemo, useRef, useState, type ReactNode } from 'react';
import type { Book } from '@/core/book';
import type { BookChoice, ImportOutcome } from '@/core/exchange/types';
import { decodeText, type ForeignSheet } from '@/core/foreign/sheet';
import { LIMITS } from '@/core/table/limits';
import { RESOURCE_NAMES } from '@/core/table/schema';
import type { ForeignImportProps } from './foreign/ForeignImport';
import { DropZone } from './DropZone';
import { sendImport } from './import-request';
import { BookQuestion, Faults } from './ImportOutcome';
import { TradedTerms } from './TradedTerms';
import { part } from '../shared/part';

const ForeignImport = part(() => import('./foreign/ForeignImport'));

type State =
  | { readonly kind: 'idle' }
  | { readonly kind: 'busy'; readonly words: string; readonly share: number | null }
  | { readonly kind: 'failed'; readonly words: string }
  | { readonly kind: 'done'; readonly outcome: ImportOutcome };

const STEPS: Readonly<Record<string, string>> = {
  reading: 'Reading',
  checking: 'Checking',
  writing: 'Writing',
};

/** Tables of the open format by name; anything else in rows and columns is somebody else's. */
const OURS: ReadonlySet<string> = new Set(RESOURCE_NAMES);
const stem = (name: string): string => name.replace(/\.[^.]*$/, '').toLowerCase();

interface Found {
  readonly file: string;
  readonly sheets: readonly ForeignSheet[];
}
/** The sheets of a file that is none of ours; null when it is one of ours, or no table. */
async function foreignSheets(file: File): Promise<Found | string | null> {
  if (!/\.(csv|tsv|txt|xlsx|xls)$/i.test(file.name) || OURS.has(stem(file.name))) return null;
  // A table with our own columns keeps what only ours can say; its first lines tell.
  const head = decodeText(new Uint8Array(await file.slice(0, 16_384).arrayBuffer()));
  if (/^\W*snap_id\W|[,;\t|]\W?snap_id\W/i.test(head.split(/\r?\n/)[0] ?? '')) return null;
  if (file.size > LIMITS.uploadBytes) return `${file.name} is more than is taken at once; split it`;
  const { readForeignFile } = await import('@/core/foreign/workbook');
  const read = await readForeignFile(file.name, new Uint8Array(await file.arrayBuffer()));
  if (!read.ok) return read.remedy;
  if (read.sheets.every((sheet) => OURS.has(sheet.name.toLowerCase()))) return null;
  if (read.sheets[0]!.cells[0]?.some((cell) => cell.toLowerCase() === 'snap_id')) return null;
  return { file: file.name, sheets: read.sheets };
}

export interface ImportFormProps extends Pick<
  ForeignImportProps,
  'profile' | 'level' | 'teams' | 'readings' | 'save'
> {
  readonly mayReplace: boolean;
  readonly bookText: string;
  /** What may be imported, in words. */
  readonly children: ReactNode;
}

export function ImportForm({ mayReplace, bookText, children, ...foreign }: ImportFormProps) {
  const [found, setFound] = useState<Found | null>(null);
  const book = useMemo(() => JSON.parse(bookText) as Book, [bookText]);
  const [files, setFiles] = useState<readonly File[]>([]);
  const [state, setState] = useState<State>({ kind: 'idle' });
  const stop = useRef<() => void>(() => undefined);
  const busy = state.kind === 'busy';

  const start = async (book: BookChoice) => {
    const form = new FormData();
    for (const file of files) form.append('files', file);
    setState({ kind: 'busy', words: 'Uploading', share: 0 });
    let end: State = {
      kind: 'failed',
      words: 'The import ended without an answer; look at the week before you import again.',
    };
    const sending = sendImport(
      form,
      book,
      (share) =>
        setState({
          kind: 'busy',
          words: share < 1 ? 'Uploading' : 'Starting',
          share: share < 1 ? share : null,
        }),
      (line) => {
        if (line.error !== undefined)
          end = {
            kind: 'failed',
            words: `${line.error.charAt(0).toUpperCase()}${line.error.slice(1)}${line.error.endsWith('.') ? '' : '.'}`,
          };
        else if (line.outcome) end = { kind: 'done', outcome: line.outcome };
        else if (line.step)
          setState({
            kind: 'busy',
            words: `${STEPS[line.step] ?? line.step} ${line.what ?? ''}${line.of ? `: ${line.done} of ${line.of}` : ''}`,
            share: line.of ? (line.done ?? 0) / line.of : null,
          });
      },
    );
    stop.current = sending.stop;
    try {
      await sending.done;
    } catch (error) {
      end = { kind: 'failed', words: (error as Error).message };
    }
    setState(end);
  };
  const outcome = state.kind === 'done' ? state.outcome : null;
  const choose = async (chosen: readonly File[]): Promise<void> => {
    setFiles(chosen);
    setState({ kind: 'idle' });
    for (const file of chosen) {
      const sheets = await foreignSheets(file);
      if (sheets === null) continue;
      if (typeof sheets === 'string') setState({ kind: 'failed', words: `${sheets}.` });
      else if (chosen.length > 1)
        setState({
          kind: 'failed',
          words: `${sheets.file} is another staff’s table; such tables are read one at a time, so that each can be looked over.`,
        });
      else setFound(sheets);
      return;
    }
  };
  if (found)
    return (
      <ForeignImport
        {...foreign}
        {...found}
        book={book}
        onLeave={() => {
          setFound(null);
          setFiles([]);
        }}
      />
    );
  return (
    <div
      className="stack below"
      onPaste={(event) => {
        // Cells copied from a spreadsheet come as text with tabs between.
        const text = event.clipboardData.getData('text/plain');
        if (!/\t/.test(text) || !/\n/.test(text)) return;
        event.preventDefault();
        void choose([new File([text], 'pasted cells.tsv')]);
      }}
    >
      {children}
      <DropZone
        files={files}
        most={LIMITS.uploadBytes}
        disabled={busy}
        onFiles={(chosen) => void choose(chosen)}
      />
      <label className="choice">
        or paste cells of a spreadsheet here
        <textarea rows={2} aria-label="paste cells of a spreadsheet" value="" onChange={() => undefined} />
      </label>
      <div className="toolbar">
        <Button variant="contained" disabled={busy || files.length === 0} onClick={() => void start('ask')}>
          Import
        </Button>
        {busy && <Button onClick={() => stop.current()}>Stop</Button>}
      </div>
      {state.kind === 'busy' && (
        <div>
          <p className="small" role="status">
            {state.words}
          </p>
          <LinearProgress
            aria-label="Importing"
            {...(state.share === null ? {} : { variant: 'determinate' as const, value: state.share * 100 })}
          />
        </div>
      )}
      {state.kind === 'failed' && (
        <Alert severity="error" variant="outlined">
          {state.words}
        </Alert>
      )}
      {outcome?.imported && (
        <Alert severity="success" variant="outlined">
          Imported{' '}
          {Object.entries(outcome.counts)
            .map(([n, c]) => `${c} ${n}`)
            .join(', ') || 'the book'}
          . <Link href="/">To the week</Link>
        </Alert>
      )}
      {outcome?.imported && outcome.terms && <TradedTerms terms={outcome.terms} />}
      {outcome?.book && (
        <BookQuestion
          preview={outcome.book}
          counts={outcome.counts}
          mayReplace={mayReplace}
          onChoose={(c) => void start(c)}
          onLeave={() => setState({ kind: 'idle' })}
        />
      )}
      {outcome && !outcome.imported && outcome.details.length > 0 && <Faults details={outcome.details} />}
    </div>
  );
}
