'use client';
/** What the store refused of this game, or another member wrote meanwhile, each with its place and its line. */
import { formatLine } from '@/core/line';
import { placeAfter, type Event, type LoggedGame } from '@/core/log';
import type { SnapFields } from '@/core/snap';
import type { Queued } from '@/core/sync';
import { Unsettled } from '../sync/Unsettled';

interface ToSettleProps {
  readonly game: LoggedGame;
  readonly entries: readonly Queued[];
  readonly send: (event: Event) => void;
}

export default function ToSettle({ game, entries, send }: ToSettleProps) {
  if (entries.length === 0) return null;
  const words = { book: game.book, profile: game.profile, state: null, previous: null };
  return (
    <div className="card" role="alert">
      <ul className="plainlist" aria-label="Changes to settle">
        {entries.map((queued) => {
          const put = queued.op.do === 'put' && queued.state === 'refused' ? queued.op : null;
          const number = game.rows.findIndex((r) => r.snap.snapId === queued.op.row) + 1;
          return (
            <Unsettled
              key={queued.op.id}
              entry={queued}
              {...(put ? { line: formatLine(put.fields as SnapFields, words) } : {})}
              place={put ? `after snap ${placeAfter(game, put.after)}` : `on snap ${number}`}
              onFix={() => send(put ? { type: 'fix', id: put.id } : { type: 'edit', snapId: queued.op.row })}
            />
          );
        })}
      </ul>
    </div>
  );
}
