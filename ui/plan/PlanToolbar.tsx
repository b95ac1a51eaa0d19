'use client';
/** The sheet's name and state, and what is done with the whole of it. */
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useState, useTransition } from 'react';
import { lockSheet, renameSheet, type PlayCard } from '@/core/plan';
import { part } from '../shared/part';
import { useWorking } from '../shared/toasts';
import { SheetName } from './SheetName';
import type { SheetState } from './useSheet';
import type { VersionDoors } from './VersionsForm';

interface PlanToolbarProps {
  readonly sheet: SheetState;
  readonly sheetKey: string;
  readonly against: string;
  /** How much stands on it. */
  readonly counted: string;
  readonly mayEdit: boolean;
  readonly able: { readonly draft: boolean; readonly lock: boolean };
  /** Leads to the copy, or says why there is none. */
  readonly copy: () => Promise<string>;
  readonly versions: VersionDoors;
  readonly plays: readonly PlayCard[];
  readonly children?: React.ReactNode;
}

const VersionsForm = part(() => import('./VersionsForm'));

export function PlanToolbar({
  sheet,
  sheetKey,
  against,
  counted,
  mayEdit,
  able,
  copy,
  versions,
  plays,
  children,
}: PlanToolbarProps) {
  const { name, lockedBy, edit, undo } = sheet;
  const [problem, setProblem] = useState<string | null>(null);
  const [shown, setShown] = useState(false);
  const [busy, begin] = useTransition();
  useWorking(busy, 'Copying the sheet');
  return (
    <div className="toolbar">
      <SheetName name={name} rest={against} onRename={mayEdit ? (to) => edit(renameSheet(name, to)) : null} />
      <span className="small quiet">
        {counted}
        {lockedBy ? ` · locked by ${lockedBy}` : ''}
      </span>
      <span className="toolbar end">
        {children}
        {mayEdit && <Button onClick={undo}>Undo</Button>}
        {able.draft && (
          <Button disabled={busy} onClick={() => begin(async () => setProblem((await copy()) ?? null))}>
            Copy
          </Button>
        )}
        <Button onClick={() => setShown(true)}>Versions</Button>
        {able.lock && (
          <Button onClick={() => edit(lockSheet(lockedBy === null))}>{lockedBy ? 'Unlock' : 'Lock'}</Button>
        )}
        <Button component={Link} href={`/rep/${sheetKey}`}>
          Practice
        </Button>
        <Button variant="outlined" component={Link} href={`/plan/${sheetKey}/print`}>
          Print preview
        </Button>
        {shown && (
          <VersionsForm
            doors={versions}
            sheet={sheet}
            plays={plays}
            mayEdit={mayEdit}
            onClose={() => setShown(false)}
          />
        )}
        {problem && (
          <span role="alert" className="flagtext small">
            {problem}
          </span>
        )}
      </span>
    </div>
  );
}
