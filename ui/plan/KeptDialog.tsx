'use client';
/** A window of what the staff says once for all its sheets: kept, or why it was not. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useId } from 'react';

interface KeptDialogProps {
  readonly title: string;
  readonly hint: React.ReactNode;
  readonly problem: string | null;
  readonly onKeep: () => void;
  readonly onClose: () => void;
  /** Beside the usual buttons. */
  readonly more?: React.ReactNode;
  readonly children: React.ReactNode;
}

export function KeptDialog({ title, hint, problem, onKeep, onClose, more, children }: KeptDialogProps) {
  const id = useId();
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby={id}>
      <DialogTitle id={id}>{title}</DialogTitle>
      <DialogContent>
        <p className="small quiet">{hint}</p>
        {children}
        {problem && (
          <p role="alert" className="flagtext">
            {problem}
          </p>
        )}
      </DialogContent>
      <DialogActions>
        {more}
        <Button onClick={onClose}>Close</Button>
        <Button variant="contained" onClick={onKeep}>
          Keep for the staff
        </Button>
      </DialogActions>
    </Dialog>
  );
}
