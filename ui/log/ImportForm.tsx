'use client';
/** Files in: uploaded with progress, read in a process of their own, imported whole or not at all. */
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Link from 'next/link';
import { useRef, useState } from 'react';
import type { BookChoice, BookReplacePreview, ImportOutcome } from '@/core/exchange/types';

interface Line {
  readonly step?: string;
  readonly what?: string;
  readonly done?: number;
  readonly of?: number;
  readonly error?: string;
  readonly outcome?: ImportOutcome;
}
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

/** Sends the form and tells each line of the answer as it comes. Uploads report their share, which fetch cannot. */
function send(
  form: FormData,
  book: BookChoice,
  tell: (share: number) => void,
  line: (l: Line) => void,
): { readonly done: Promise<void>; readonly stop: () => void } {
  const request = new XMLHttpRequest();
  const done = new Promise<void>((resolve, reject) => {
    let read = 0;
    const take = (final: boolean) => {
      const text = request.responseText;
      for (
        let end = text.indexOf('\n', read);
        end >= 0 || (final && read < text.length);
        end = text.indexOf('\n', read)
      ) {
        const part = text.slice(read, end < 0 ? undefined : end);
        read = end < 0 ? text.length : end + 1;
        if (part.trim()) line(JSON.parse(part) as Line);
      }
    };
    request.upload.onprogress = (e) => {
      if (e.lengthComputable) tell(e.loaded / e.total);
    };
    request.onprogress = () => {
      if (request.status === 200) take(false);
    };
    request.onload = () => {
      try {
        take(true);
        resolve();
      } catch {
        reject(new Error('The server’s answer cannot be read; look at the week before you import again.'));
      }
    };
    request.onerror = () => reject(new Error('The server does not answer; nothing was imported.'));
    request.onabort = () => reject(new Error('Stopped. If it had not finished, nothing was imported.'));
    request.open('POST', `/api/import?book=${book}`);
    request.send(form);
  });
  return { done, stop: () => request.abort() };
}

export function ImportForm({ mayReplace }: { mayReplace: boolean }) {
  const [names, setNames] = useState<readonly string[]>([]);
  const [state, setState] = useState<State>({ kind: 'idle' });
  const files = useRef<HTMLInputElement>(null);
  const stop = useRef<() => void>(() => undefined);
  const busy = state.kind === 'busy';

  const start = async (book: BookChoice) => {
    const form = new FormData();
    for (const file of files.current?.files ?? []) form.append('files', file);
    setState({ kind: 'busy', words: 'Uploading', share: 0 });
    let end: State = {
      kind: 'failed',
      words: 'The import ended without an answer; look at the week before you import again.',
    };
    const sending = send(
      form,
      book,
      (share) =>
        setState({
          kind: 'busy',
          words: share < 1 ? 'Uploading' : 'Starting',
          share: share < 1 ? share : null,
        }),
      (l) => {
        if (l.error !== undefined)
          end = {
            kind: 'failed',
            words: `${l.error.charAt(0).toUpperCase()}${l.error.slice(1)}${l.error.endsWith('.') ? '' : '.'}`,
          };
        else if (l.outcome) end = { kind: 'done', outcome: l.outcome };
        else if (l.step)
          setState({
            kind: 'busy',
            words: `${STEPS[l.step] ?? l.step} ${l.what ?? ''}${l.of ? `: ${l.done} of ${l.of}` : ''}`,
            share: l.of ? (l.done ?? 0) / l.of : null,
          });
      },
    );
    stop.current = sending.stop;
    try {
      await sending.done;
    } catch (e) {
      end = { kind: 'failed', words: (e as Error).message };
    }
    setState(end);
  };
  const outcome = state.kind === 'done' ? state.outcome : null;
  return (
    <div style={{ display: 'grid', gap: 12, marginTop: 12 }}>
      <div style={{ display: 'flex', gap: 10, alignItems: 'center' }}>
        <label htmlFor="files">Files to import</label>
        <input
          id="files"
          ref={files}
          type="file"
          multiple
          accept=".zip,.csv,.json,.xlsx"
          disabled={busy}
          onChange={(e) => {
            setNames([...(e.target.files ?? [])].map((f) => f.name));
            setState({ kind: 'idle' });
          }}
        />
        <Button variant="contained" disabled={busy || names.length === 0} onClick={() => void start('ask')}>
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
      {outcome && !outcome.imported && outcome.details.length > 0 && (
        <section aria-label="Faults">
          <Alert severity="error" variant="outlined">
            {outcome.details.length} {outcome.details.length === 1 ? 'fault' : 'faults'}; nothing was
            imported. Mend the file and bring it again.
          </Alert>
          <table className="rows">
            <thead>
              <tr>
                <th>File</th>
                <th className="n">Row</th>
                <th>Column</th>
                <th>What stands there</th>
                <th>What to do</th>
              </tr>
            </thead>
            <tbody>
              {outcome.details.map((d, i) => (
                <tr key={i}>
                  <td>{d.file}</td>
                  <td className="n">{d.row ?? ''}</td>
                  <td>{d.column ?? ''}</td>
                  <td className="mono">{d.value}</td>
                  <td>{d.remedy}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      )}
    </div>
  );
}

const some = (words: readonly string[]): string =>
  `${words.slice(0, 12).join(', ')}${words.length > 12 ? ` and ${words.length - 12} more` : ''}`;

/** The file's book differs from the staff's: what replacing would do, before anything is done. */
function BookQuestion({
  preview,
  counts,
  mayReplace,
  onChoose,
  onLeave,
}: {
  preview: BookReplacePreview;
  counts: Readonly<Record<string, number>>;
  mayReplace: boolean;
  onChoose: (c: BookChoice) => void;
  onLeave: () => void;
}) {
  const rest = Object.keys(counts).length > 0;
  return (
    <section className="card flag" aria-label="The book differs">
      <h2>The file brings another book</h2>
      <p>
        Replacing yours would add {preview.added.length}, change {preview.changed.length} and drop{' '}
        {preview.dropped.length} words. Nothing is imported yet. It can be undone in the Book.
      </p>
      {preview.added.length > 0 && (
        <p className="small">
          <strong>Added:</strong> {some(preview.added)}
        </p>
      )}
      {preview.changed.length > 0 && (
        <p className="small">
          <strong>Changed:</strong> {some(preview.changed)}
        </p>
      )}
      {preview.dropped.length > 0 && (
        <p className="small">
          <strong>Dropped:</strong> {some(preview.dropped)}
          {preview.snaps > 0 ? `; they stand ${preview.snaps} times in logged snaps` : ''}
        </p>
      )}
      <span className="remedies">
        {mayReplace && (
          <Button variant="outlined" onClick={() => onChoose('replace')}>
            {rest ? 'Replace the book and import the rest' : 'Replace the book'}
          </Button>
        )}
        {rest && (
          <Button variant="contained" onClick={() => onChoose('leave')}>
            Import the rest, leave the book
          </Button>
        )}
        <Button onClick={onLeave}>Import nothing</Button>
      </span>
    </section>
  );
}
