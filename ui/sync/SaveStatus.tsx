'use client';
/** What is saved and what is not, on every page, and the way to what was refused. */
import { useState } from 'react';
import { useQueue, useSync, useWaiting } from '@/client/SyncProvider';
import { part } from '../shared/part';

const SettleDialog = part(() => import('./SettleDialog'));

export function SaveStatus() {
  const { queue, state } = useQueue();
  const { broken } = useSync();
  const [open, setOpen] = useState(false);
  const waiting = useWaiting();
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
      {open && unsettled.length > 0 && <SettleDialog entries={unsettled} onClose={() => setOpen(false)} />}
    </>
  );
}
