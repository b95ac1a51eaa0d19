'use client';
/** The sheet's name and state, and what is done with the whole of it. */
import Button from '@mui/material/Button';
import Link from 'next/link';
import { lockSheet, renameSheet } from '@/core/plan';
import { SheetName } from './SheetName';
import type { SheetState } from './useSheet';

interface PlanToolbarProps {
  readonly sheet: SheetState;
  readonly sheetKey: string;
  readonly against: string;
  readonly mayEdit: boolean;
  readonly able: { readonly draft: boolean; readonly lock: boolean };
  readonly copy: () => Promise<void>;
}

export function PlanToolbar({ sheet, sheetKey, against, mayEdit, able, copy }: PlanToolbarProps) {
  const { name, calls, pages, lockedBy, edit, undo } = sheet;
  return (
    <div className="toolbar">
      <SheetName name={name} rest={against} onRename={mayEdit ? (to) => edit(renameSheet(name, to)) : null} />
      <span className="small quiet">
        {calls.length} {calls.length === 1 ? 'call' : 'calls'}
        {pages === 1 ? ', fits one page' : `, ${pages} pages`}
        {lockedBy ? ` · locked by ${lockedBy}` : ''}
      </span>
      <span className="toolbar end">
        {mayEdit && <Button onClick={undo}>Undo</Button>}
        {able.draft && (
          <form action={copy}>
            <Button type="submit">Copy</Button>
          </form>
        )}
        {able.lock && (
          <Button onClick={() => edit(lockSheet(lockedBy === null))}>{lockedBy ? 'Unlock' : 'Lock'}</Button>
        )}
        <Button variant="outlined" component={Link} href={`/plan/${sheetKey}/print`}>
          Print preview
        </Button>
      </span>
    </div>
  );
}
