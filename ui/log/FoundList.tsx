'use client';
/** Snaps that fit what is looked for, each to be opened. */
import type { Event, LineView } from '@/core/log';
import { bucketLabel } from '@/core/field';
import { saidFields } from '@/core/line';
import { echoOf } from '@/core/line';

const MOST_SHOWN = 5;

interface FoundListProps {
  readonly view: LineView;
  readonly query: string;
  readonly chosen: number;
  readonly send: (event: Event) => void;
}

export default function FoundList({ view, query, chosen, send }: FoundListProps) {
  const { rows, unknown } = view.found!;
  const at = rows.length === 0 ? 0 : chosen % rows.length;
  const from = Math.max(0, Math.min(at - 1, rows.length - MOST_SHOWN));
  if (query.trim() === '') return <span className="quiet">for example 3rd long trips motion</span>;
  if (rows.length === 0)
    return (
      <span className="flag" role="alert">
        {unknown.length > 0 ? `No snap is logged with “${unknown[0]}”.` : 'No snap fits all of it.'}
      </span>
    );
  return (
    <>
      <strong role="status">
        {at + 1} of {rows.length}
      </strong>
      {rows.slice(from, from + MOST_SHOWN).map((row, i) => (
        <button
          key={row.snap.snapId}
          type="button"
          className="plain"
          tabIndex={-1}
          aria-current={from + i === at}
          onClick={() => send({ type: 'edit', snapId: row.snap.snapId })}
        >
          {from + i === at && <kbd>Enter</kbd>} <strong>{row.number}</strong>{' '}
          <span className="small quiet">
            {[
              row.bucket ? bucketLabel(row.bucket) : null,
              ...echoOf(saidFields(row))
                .slice(0, 3)
                .map((e) => e.value),
            ]
              .filter(Boolean)
              .join(' · ')}
          </span>
        </button>
      ))}
      <button type="button" className="plain" tabIndex={-1} onClick={() => send({ type: 'mark-found' })}>
        <kbd>Alt A</kbd> mark all
      </button>
    </>
  );
}
