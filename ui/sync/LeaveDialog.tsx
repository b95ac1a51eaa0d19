'use client';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';

export default function LeaveDialog({
  unsaved,
  onStay,
  onLeave,
}: {
  readonly unsaved: number;
  readonly onStay: () => void;
  readonly onLeave: () => void;
}) {
  return (
    <Dialog open onClose={onStay} aria-labelledby="leave-title">
      <DialogTitle id="leave-title">
        {unsaved} {unsaved === 1 ? 'change is' : 'changes are'} not saved
      </DialogTitle>
      <DialogContent>
        <p>
          Signing out takes your data off this browser, and what the database does not have yet would be lost.
          Stay signed in until it is saved or settled.
        </p>
      </DialogContent>
      <DialogActions>
        <Button autoFocus variant="contained" onClick={onStay}>
          Stay signed in
        </Button>
        <Button onClick={onLeave}>Sign out and lose {unsaved === 1 ? 'it' : 'them'}</Button>
      </DialogActions>
    </Dialog>
  );
}
