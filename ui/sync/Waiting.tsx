'use client';
import { useQueue, useWaiting } from '@/client/SyncProvider';

/** How many changes of a game or sheet are in this browser only. */
export function Waiting({ scope }: { scope: string }) {
  const { queue } = useQueue();
  const waiting = useWaiting(scope);
  const refused = queue.filter(
    (q) => q.scope === scope && (q.state === 'refused' || q.state === 'conflict'),
  ).length;
  if (waiting + refused === 0) return null;
  return (
    <span className="small flagtext">
      {waiting > 0 ? ` +${waiting} not saved yet` : ''}
      {refused > 0 ? ` ${refused} to settle` : ''}
    </span>
  );
}
