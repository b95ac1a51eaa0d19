'use client';
/** Snaps on which charters differ in a field, one after the other; a key each writes what stands. */
import Link from 'next/link';
import { useEffect, useRef, useState } from 'react';
import { agreedWord, type Dispute, type FieldAgreement } from '@/core/agreement';
import { NONE, SNAP_FIELDS, UNSEEN } from '@/core/snap';
import type { SyncRow } from '@/core/sync';

interface DisputesProps {
  readonly agreement: FieldAgreement;
  readonly names: readonly string[];
  readonly game: string;
  /** The official charting, as it stands. */
  readonly rows: readonly SyncRow[];
  readonly settle: (dispute: Dispute, value: unknown) => void;
}

export function Disputes({
  agreement: { field, label, disputes },
  names,
  game,
  rows,
  settle,
}: DisputesProps) {
  const [at, setAt] = useState(0);
  const [settled, setSettled] = useState<ReadonlyMap<string, string>>(new Map());
  const box = useRef<HTMLElement>(null);
  useEffect(() => box.current?.focus(), [field]);
  const dispute = disputes[Math.min(at, disputes.length - 1)];
  const word = (value: unknown): string =>
    value === null || value === undefined ? 'blank' : agreedWord(field, value);
  const official = (d: Dispute): unknown => rows.find((r) => r.row === d.snapId)?.fields[field] ?? null;
  const take = (value: unknown): void => {
    if (!dispute) return;
    settle(dispute, value);
    setSettled(new Map(settled).set(dispute.snapId, word(value)));
    setAt(Math.min(at + 1, disputes.length - 1));
  };
  const onKey = (event: React.KeyboardEvent): void => {
    const nth = Number(event.key) - 1;
    if (event.key === 'ArrowDown' || event.key === 'Enter') setAt(Math.min(at + 1, disputes.length - 1));
    else if (event.key === 'ArrowUp' || event.key === 'Backspace') setAt(Math.max(0, at - 1));
    else if (event.key === 'x' && SNAP_FIELDS[field].tag) take(UNSEEN);
    else if (event.key === '-' && SNAP_FIELDS[field].tag) take(NONE);
    else if (dispute && nth >= 0 && nth < dispute.values.length) take(dispute.values[nth]);
    else return;
    event.preventDefault();
  };
  if (!dispute)
    return (
      <section className="card">
        <h2>{label}</h2>
        <p>They agree on every snap that all of them charted.</p>
      </section>
    );
  return (
    <section className="card" aria-label={`Disputed: ${label}`} tabIndex={0} ref={box} onKeyDown={onKey}>
      <header>
        <h2>
          {label}, {disputes.length} disputed
        </h2>
        <span className="small quiet" role="status">
          {settled.size} settled now
        </span>
      </header>
      <ul className="plainlist disputes">
        {disputes.map((d, i) => {
          const now = official(d);
          return (
            <li key={d.snapId} aria-current={i === at}>
              <button type="button" className="plain" onClick={() => setAt(i)}>
                snap {d.number}
              </button>{' '}
              {d.values.map((value, v) => (
                <button
                  key={names[v]}
                  type="button"
                  className="plain"
                  aria-label={`${word(value)}, as ${names[v]} said of snap ${d.number}`}
                  onClick={() => {
                    settle(d, value);
                    setSettled(new Map(settled).set(d.snapId, word(value)));
                  }}
                >
                  {i === at && <kbd>{v + 1}</kbd>} {names[v]}: <strong>{word(value)}</strong>
                </button>
              ))}
              <span className="small quiet">
                logged: {word(now)}
                {settled.has(d.snapId) ? ' · settled' : ''}{' '}
              </span>
              <Link
                className="small"
                href={`/log/${encodeURIComponent(game)}?snap=${encodeURIComponent(d.snapId)}`}
              >
                open
              </Link>
            </li>
          );
        })}
      </ul>
      <p className="small quiet">
        <kbd>1</kbd>
        {names.slice(1).map((_, i) => (
          <kbd key={i}>{i + 2}</kbd>
        ))}{' '}
        what stands, <kbd>x</kbd> not visible, <kbd>-</kbd> none, <kbd>↓</kbd> the next
      </p>
    </section>
  );
}
