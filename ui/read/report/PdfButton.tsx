'use client';
/** The PDF as it is built: how far it is, a way to stop it, then the file. */
import { useEffect, useRef, useState } from 'react';
import { buildReport, NO_ANSWER, pdfOf } from '@/client/report';

type State =
  | { readonly kind: 'idle' }
  | { readonly kind: 'building'; readonly done: number; readonly of: number }
  | { readonly kind: 'problem'; readonly words: string }
  | { readonly kind: 'ready'; readonly href: string; readonly name: string };

export function PdfButton({ order, onPrinted }: { readonly order: object; readonly onPrinted: () => void }) {
  const [state, setState] = useState<State>({ kind: 'idle' });
  const stop = useRef<AbortController | null>(null);
  const made = useRef<string | null>(null);
  const free = (): void => {
    if (made.current !== null) URL.revokeObjectURL(made.current);
    made.current = null;
  };
  useEffect(
    () => () => {
      stop.current?.abort();
      free();
    },
    [],
  );
  const begin = (): void => {
    const now = new AbortController();
    stop.current = now;
    setState({ kind: 'building', done: 0, of: 0 });
    buildReport(order, now.signal, (line) => {
      if (now.signal.aborted) return;
      if (line.problem !== undefined) setState({ kind: 'problem', words: line.problem });
      else if (line.pdf !== undefined) {
        free();
        const href = (made.current = URL.createObjectURL(pdfOf(line.pdf)));
        setState({ kind: 'ready', href, name: line.name! });
        const link = document.createElement('a');
        link.href = href;
        link.download = line.name!;
        link.click();
        onPrinted();
      } else setState({ kind: 'building', done: line.done!, of: line.of! });
    }).catch(() => {
      if (!now.signal.aborted) setState({ kind: 'problem', words: NO_ANSWER });
    });
  };
  if (state.kind === 'building')
    return (
      <span className="savename" role="status">
        <progress
          aria-label="the report is built"
          {...(state.of > 0 ? { value: state.done, max: state.of } : {})}
        />
        <span className="small">
          {state.of === 0 ? 'counting' : `section ${state.done + 1} of ${state.of}`}
        </span>
        <button
          type="button"
          className="plain small"
          onClick={() => {
            stop.current?.abort();
            setState({ kind: 'idle' });
          }}
        >
          stop
        </button>
      </span>
    );
  return (
    <>
      <button type="button" className="button" onClick={begin}>
        PDF
      </button>
      {state.kind === 'ready' && (
        <a className="small" href={state.href} target="_blank" rel="noreferrer">
          open {state.name}
        </a>
      )}
      {state.kind === 'problem' && (
        <span role="alert" className="small">
          {state.words}
        </span>
      )}
    </>
  );
}
