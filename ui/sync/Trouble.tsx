'use client';
/** What stands between the typing and the database, and what can be done about it. */
import Button from '@mui/material/Button';

export interface TroubleProps {
  readonly restored: boolean;
  readonly broken: string | null;
  /** Changes that wait, and why they are not sent; null: they are. */
  readonly waiting: number;
  readonly away: string | null;
  readonly signedOut: string | null;
  readonly onRead: () => void;
  readonly onRetry: () => void;
}

export default function Trouble(props: TroubleProps) {
  const { restored, broken, waiting, away, signedOut, onRead, onRetry } = props;
  const waits = `${waiting} ${waiting === 1 ? 'change waits' : 'changes wait'} in this browser`;
  return (
    <>
      {restored && (
        <div className="card flag" role="alert">
          <strong>The database was restored from a backup.</strong> This page was loaded again and shows what
          is in it now; what you had not saved is kept and offered. <Button onClick={onRead}>Close</Button>
        </div>
      )}
      {broken !== null && (
        <div className="card flag" role="alert">
          <strong>This browser stores nothing.</strong> {broken} Lines stay where they are typed until it
          does: leave private browsing, or free space on this disk, and load the page again.
        </div>
      )}
      {away !== null && (
        <div className="card flag" role="alert">
          <strong>Not saved yet.</strong> {away} {waits}; go on typing, it tries again by itself.{' '}
          <Button onClick={onRetry}>Try now</Button>
        </div>
      )}
      {signedOut !== null && (
        <div className="card flag" role="alert">
          <strong>Not saved yet.</strong> {signedOut} {waits}. <a href="/sign-in">Sign in</a>
        </div>
      )}
    </>
  );
}
