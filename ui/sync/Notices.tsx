'use client';
/** What every page says when something stands between the typing and the database. */
import { usePathname } from 'next/navigation';
import { useEffect, useState } from 'react';
import { remember } from '@/client/offline';
import { restoredEpoch, restoredRead, useQueue, useSync } from '@/client/SyncProvider';
import { part } from '../shared/part';

const Trouble = part(() => import('./Trouble'));

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
  // What is said to be in this browser is on its disk.
  const waiting = queue.filter((q) => q.state === 'waiting').length;
  const away = waiting > 0 && state.kind === 'away' ? state.why : null;
  const signedOut = waiting > 0 && state.kind === 'signed-out' ? state.why : null;
  if (!restored && broken === null && away === null && signedOut === null) return null;
  return (
    <Trouble
      restored={restored}
      broken={broken}
      waiting={waiting}
      away={away}
      signedOut={signedOut}
      onRead={() => {
        restoredRead();
        setRestored(false);
      }}
      onRetry={() => outbox?.retry()}
    />
  );
}
