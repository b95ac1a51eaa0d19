'use client';
/** Everything that the database did not take, until somebody settles it. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import type { Queued } from '@/core/sync';
import { Unsettled } from './Unsettled';

export default function SettleDialog({
  entries,
  onClose,
}: {
  readonly entries: readonly Queued[];
  readonly onClose: () => void;
}) {
  return (
    <Dialog open onClose={onClose} aria-labelledby="unsettled-title" maxWidth="md" fullWidth>
      <DialogTitle id="unsettled-title">Not taken by the database</DialogTitle>
      <DialogContent>
        <p className="small quiet">
          Each is kept in this browser until you settle it. Everything else went on.
        </p>
        <ul className="todo" aria-label="Changes to settle">
          {entries.map((queued) => (
            <Unsettled key={queued.op.id} entry={queued} onLeave={onClose} />
          ))}
        </ul>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
