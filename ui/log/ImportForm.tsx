'use client';
/** Files in: uploaded with progress, read in a process of their own, imported whole or not at all. */
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Link from 'next/link';
import { useRef, useState } from 'react';
import type { BookChoice, ImportOutcome } from '@/core/exchange/types';
import { LIMITS } from '@/core/table/limits';
import { DropZone } from './DropZone';
import { sendImport } from './import-request';
import { BookQuestion, Faults } from './ImportOutcome';

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

export function ImportForm({ mayReplace }: { mayReplace: boolean }) {
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
  return (
    <div className="stack below">
      <DropZone
        files={files}
        most={LIMITS.uploadBytes}
        disabled={busy}
        onFiles={(chosen) => {
          setFiles(chosen);
          setState({ kind: 'idle' });
        }}
      />
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
