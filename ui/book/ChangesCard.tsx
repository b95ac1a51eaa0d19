'use client';
import type { BookChangeInfo } from '@/core/exchange/types';

const MOST_SHOWN = 6;

interface ChangesCardProps {
  readonly changes: readonly BookChangeInfo[];
  readonly mayUndo: boolean;
  readonly busy: boolean;
  readonly onUndo: (id: string) => void;
}

/** Merges and splits, and the way back from each. */
export function ChangesCard({ changes, mayUndo, busy, onUndo }: ChangesCardProps) {
  if (changes.length === 0) return null;
  return (
    <section className="card" aria-label="Merges and splits">
      <h2>Merges and splits</h2>
      <ul className="todo">
        {changes.slice(0, MOST_SHOWN).map((change) => (
          <li key={change.id}>
            {change.words}, {change.snaps} {change.snaps === 1 ? 'snap' : 'snaps'}{' '}
            <span className="small quiet">
              {change.by}, {change.at.slice(0, 10)}
            </span>{' '}
            {change.undone && <span className="small quiet">undone</span>}
            {!change.undone && mayUndo && (
              <button
                type="button"
                className="plain small"
                disabled={busy}
                onClick={() => onUndo(change.id)}
                aria-label={`undo: ${change.words}`}
              >
                undo
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
