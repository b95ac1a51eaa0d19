'use client';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useSync } from '@/client/SyncProvider';
import type { Queued } from '@/core/sync';
import { fieldLabel, fieldWords, operationWords, scopeHref } from './words';

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
      {entry.scope.replace(/^(game|blind|sheet):/, '')}
    </Link>
  );
  if (entry.state === 'conflict') {
    return (
      <>
        {entry.conflicts?.map((conflict) => (
          <li key={conflict.field} className="flag">
            <strong>
              {conflict.by || 'Somebody'} set {fieldLabel(conflict.field)} to “
              {fieldWords(conflict.field, conflict.theirs)}”
            </strong>{' '}
            {place} {where}; you typed “{fieldWords(conflict.field, conflict.yours)}”.
            <span className="remedies">
              <Button variant="outlined" onClick={() => void outbox.settle(entry, conflict.field, false)}>
                keep theirs
              </Button>
              <Button variant="outlined" onClick={() => void outbox.settle(entry, conflict.field, true)}>
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

interface UnsettledListProps {
  readonly entries: readonly Queued[];
  readonly place: (row: string) => string;
  readonly onFix: (row: string) => void;
}

/** All that is to be settled on a page, each with its place; nothing where there is nothing. */
export function UnsettledList({ entries, place, onFix }: UnsettledListProps) {
  if (entries.length === 0) return null;
  return (
    <ul className="card plainlist" role="alert" aria-label="Changes to settle">
      {entries.map((entry) => (
        <Unsettled
          key={entry.op.id}
          entry={entry}
          place={place(entry.op.row)}
          onFix={() => onFix(entry.op.row)}
        />
      ))}
    </ul>
  );
}
