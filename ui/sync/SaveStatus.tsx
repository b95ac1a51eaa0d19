'use client';
/** What is saved and what is not, on every page; and everything that was refused, until somebody settles it. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Link from 'next/link';
import { useState } from 'react';
import { useQueue, useSync } from '@/client/SyncProvider';
import type { Queued } from '@/core/sync';
import { fieldLabel, fieldWords, operationWords, scopeHref } from './words';

export function SaveStatus() {
  const { queue, state } = useQueue();
  const { broken } = useSync();
  const [open, setOpen] = useState(false);
  const waiting = queue.filter((q) => q.state === 'waiting').length;
  const unsettled = queue.filter((q) => q.state === 'refused' || q.state === 'conflict');
  const words = broken
    ? 'this browser stores nothing'
    : waiting === 0
      ? state.at
        ? `saved ${state.at}`
        : ''
      : state.kind === 'away' || state.kind === 'signed-out'
        ? `not saved: ${waiting} waiting`
        : `saving ${waiting}`;
  return (
    <>
      <span id="saved" role="status" title={state.why}>
        {words}
      </span>
      {unsettled.length > 0 && (
        <button type="button" className="plain flagtext" onClick={() => setOpen(true)}>
          <strong>{unsettled.length} to settle</strong>
        </button>
      )}
      <Dialog
        open={open && unsettled.length > 0}
        onClose={() => setOpen(false)}
        aria-labelledby="unsettled-title"
        maxWidth="md"
        fullWidth
      >
        <DialogTitle id="unsettled-title">Not taken by the database</DialogTitle>
        <DialogContent>
          <p className="small quiet">
            Each is kept in this browser until you settle it. Everything else went on.
          </p>
          <ul className="todo" aria-label="Changes to settle">
            {unsettled.map((q) => (
              <Unsettled key={q.op.id} entry={q} onLeave={() => setOpen(false)} />
            ))}
          </ul>
        </DialogContent>
        <DialogActions>
          <Button onClick={() => setOpen(false)}>Close</Button>
        </DialogActions>
      </Dialog>
    </>
  );
}

/** One refused or conflicting change with its reason and the ways out. */
export function Unsettled({
  entry,
  onLeave,
  onFix,
  place,
  line,
}: {
  entry: Queued;
  onLeave?: () => void;
  onFix?: () => void;
  place?: string;
  line?: string;
}) {
  const { outbox } = useSync();
  if (!outbox) return null;
  const where = onFix ? null : (
    <Link href={scopeHref(entry.scope)} onClick={onLeave}>
      {entry.scope.replace(/^(game|sheet):/, '')}
    </Link>
  );
  if (entry.state === 'conflict') {
    return (
      <>
        {entry.conflicts?.map((c) => (
          <li key={c.field} className="flag">
            <strong>
              {c.by || 'Somebody'} set {fieldLabel(c.field)} to “{fieldWords(c.field, c.theirs)}”
            </strong>{' '}
            {place} {where}; you typed “{fieldWords(c.field, c.yours)}”.
            <span className="remedies">
              <Button variant="outlined" onClick={() => void outbox.settle(entry, c.field, false)}>
                keep theirs
              </Button>
              <Button variant="outlined" onClick={() => void outbox.settle(entry, c.field, true)}>
                take mine
              </Button>
            </span>
          </li>
        ))}
      </>
    );
  }
  return (
    <li className="flag">
      <strong>Refused:</strong> {entry.reason}{' '}
      <span className="mono small">{line ?? operationWords(entry)}</span> {place} {where}
      <span className="remedies">
        {onFix && (
          <Button variant="outlined" onClick={onFix}>
            fix it
          </Button>
        )}
        <Button variant="outlined" onClick={() => void outbox.tryAgain(entry)}>
          try again
        </Button>
        <Button onClick={() => void outbox.discard(entry)}>discard</Button>
      </span>
    </li>
  );
}
