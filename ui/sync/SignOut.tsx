'use client';
/** Signing out takes this member's data off the browser; what is not saved yet would go with it, so it asks first. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useState } from 'react';
import { eraseOffline } from '@/client/offline';
import { useQueue, useSync } from '@/client/SyncProvider';

export function SignOut({ signOut }: { signOut: () => Promise<void> }) {
  const { outbox, owner } = useSync();
  const { queue } = useQueue();
  const [asking, setAsking] = useState(false);
  const [problem, setProblem] = useState('');
  const unsaved = queue.filter(
    (q) => q.state === 'waiting' || q.state === 'refused' || q.state === 'conflict',
  ).length;
  const leave = async () => {
    try {
      await signOut();
    } catch (e) {
      // A redirect is how the server says that it is done.
      if (!String((e as { digest?: string }).digest ?? '').startsWith('NEXT_REDIRECT'))
        return setProblem(
          'The server does not answer, so you are not signed out yet. Try again when it is back.',
        );
    }
    await outbox?.erase();
    await eraseOffline(owner);
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
      <Dialog open={asking} onClose={() => setAsking(false)} aria-labelledby="leave-title">
        <DialogTitle id="leave-title">
          {unsaved} {unsaved === 1 ? 'change is' : 'changes are'} not saved
        </DialogTitle>
        <DialogContent>
          <p>
            Signing out takes your data off this browser, and what the database does not have yet would be
            lost. Stay signed in until it is saved or settled.
          </p>
        </DialogContent>
        <DialogActions>
          <Button autoFocus variant="contained" onClick={() => setAsking(false)}>
            Stay signed in
          </Button>
          <Button onClick={() => void leave()}>Sign out and lose {unsaved === 1 ? 'it' : 'them'}</Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
