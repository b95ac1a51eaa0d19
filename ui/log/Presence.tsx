'use client';
/** Who else is at this game now, and on which snap. */
import { useEffect, useRef, useState } from 'react';
import type { WalkedSnap } from '@/core/rules';

interface Present {
  readonly name: string;
  readonly snap: string | null;
}
const EVERY_MS = 10_000;

interface PresenceProps {
  readonly game: string;
  readonly snap: string | null;
  readonly rows: readonly WalkedSnap[];
}

export default function Presence({ game, snap, rows }: PresenceProps) {
  const [others, setOthers] = useState<readonly Present[]>([]);
  const at = useRef(snap);
  at.current = snap;
  useEffect(() => {
    let left = false;
    const say = async (): Promise<void> => {
      if (document.hidden) return;
      try {
        const answer = await fetch('/api/presence', {
          method: 'POST',
          headers: { 'Content-Type': 'application/json' },
          body: JSON.stringify({ game, snap: at.current }),
        });
        if (!answer.ok || left) return;
        const { others: now } = (await answer.json()) as { others: Present[] };
        // The same people at the same place draw nothing anew.
        setOthers((before) => (JSON.stringify(before) === JSON.stringify(now) ? before : now));
      } catch {
        // Without a network nobody else is seen; charting goes on.
        if (!left) setOthers((before) => (before.length === 0 ? before : []));
      }
    };
    void say();
    const timer = setInterval(() => void say(), EVERY_MS);
    return () => {
      left = true;
      clearInterval(timer);
    };
  }, [game]);
  if (others.length === 0) return null;
  const place = (id: string | null): string => {
    const row = rows.find((r) => r.snap.snapId === id);
    return row ? ` on snap ${row.number}` : '';
  };
  return (
    <p className="small quiet present" role="status">
      {others.map((o) => `${o.name} is here${place(o.snap)}`).join(' · ')}
    </p>
  );
}
