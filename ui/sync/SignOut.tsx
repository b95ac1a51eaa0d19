'use client';
/** Signing out takes this member's data off the browser; what is not saved yet would go with it, so it asks first. */
import { useState } from 'react';
import { eraseOffline } from '@/client/offline';
import { Outbox } from '@/client/outbox';
import { useQueue, useSync, useWaiting } from '@/client/SyncProvider';
import { browserWorld } from '@/client/world';
import { part } from '../shared/part';

const LeaveDialog = part(() => import('./LeaveDialog'));

export function SignOut({ signOut }: { signOut: () => Promise<string | null> }) {
  const { owner } = useSync();
  const { queue } = useQueue();
  const [asking, setAsking] = useState(false);
  const [problem, setProblem] = useState('');
  const waiting = useWaiting();
  const unsaved = waiting + queue.filter((q) => q.state === 'refused' || q.state === 'conflict').length;
  const leave = async () => {
    const why = await signOut().catch(
      () => 'The server does not answer, so you are not signed out yet. Try again when it is back.',
    );
    if (why !== null) return setProblem(why);
    // First what says that nothing is to be kept any more. The frame may go meanwhile, and its outbox with it.
    await eraseOffline(owner);
    await Outbox.erase(owner, browserWorld);
    window.location.assign('/sign-in');
  };
  return (
    <>
      <button className="plain" type="button" onClick={() => (unsaved > 0 ? setAsking(true) : void leave())}>
        sign out
      </button>
      {problem && (
        <span role="alert" className="flagtext small">
          {problem}
        </span>
      )}
      {asking && unsaved > 0 && (
        <LeaveDialog unsaved={unsaved} onStay={() => setAsking(false)} onLeave={() => void leave()} />
      )}
    </>
  );
}
