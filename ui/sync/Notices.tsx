'use client';
/** What every page says when something stands between the typing and the database. */
import { usePathname } from 'next/navigation';
import { useEffect, useState } from 'react';
import Button from '@mui/material/Button';
import { remember } from '@/client/offline';
import { restoredEpoch, restoredRead, useQueue, useSync } from '@/client/SyncProvider';

export function Notices({ epoch }: { epoch: string }) {
  const { outbox, owner, broken } = useSync();
  const { queue, state } = useQueue();
  const path = usePathname();
  const [restored, setRestored] = useState(false);
  useEffect(() => setRestored(restoredEpoch() === epoch), [epoch]);
  useEffect(() => {
    const later = setTimeout(() => void remember(owner, path), 1500);
    return () => clearTimeout(later);
  }, [owner, path]);
  const waiting = queue.filter((q) => q.state === 'waiting').length;
  return (
    <>
      {restored && (
        <div className="card flag" role="alert">
          <strong>The database was restored from a backup.</strong> This page was loaded again and shows what
          is in it now; what you had not saved is kept and offered.{' '}
          <Button
            onClick={() => {
              restoredRead();
              setRestored(false);
            }}
          >
            Close
          </Button>
        </div>
      )}
      {broken && (
        <div className="card flag" role="alert">
          <strong>This browser stores nothing.</strong> {broken} Lines stay where they are typed until it
          does: leave private browsing, or free space on this disk, and load the page again.
        </div>
      )}
      {waiting > 0 && state.kind === 'away' && (
        <div className="card flag" role="alert">
          <strong>Not saved yet.</strong> {state.why} {waiting}{' '}
          {waiting === 1 ? 'change waits' : 'changes wait'} in this browser; go on typing, it tries again by
          itself. <Button onClick={() => outbox?.retry()}>Try now</Button>
        </div>
      )}
      {state.kind === 'signed-out' && waiting > 0 && (
        <div className="card flag" role="alert">
          <strong>Not saved yet.</strong> {state.why} {waiting}{' '}
          {waiting === 1 ? 'change waits' : 'changes wait'} in this browser. <a href="/sign-in">Sign in</a>
        </div>
      )}
    </>
  );
}
