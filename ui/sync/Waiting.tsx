'use client';
import { useQueue } from '@/client/SyncProvider';

/** How many changes of a game or sheet are in this browser only. */
export function Waiting({ scope }: { scope: string }) {
  const { queue } = useQueue();
  const mine = queue.filter((q) => q.scope === scope);
  const waiting = mine.filter((q) => q.state === 'waiting').length;
  const refused = mine.filter((q) => q.state === 'refused' || q.state === 'conflict').length;
  if (waiting + refused === 0) return null;
  return (
    <span className="small flagtext">
      {waiting > 0 ? ` +${waiting} not saved yet` : ''}
      {refused > 0 ? ` ${refused} to settle` : ''}
    </span>
  );
}
