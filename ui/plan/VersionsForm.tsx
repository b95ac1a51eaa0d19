'use client';
/** Versions of the sheet: saved under a name, compared with what stands, restored. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useMemo, useState } from 'react';
import type { SheetVersionInfo } from '@/core/exchange/types';
import { compareSheets, type PlayCard } from '@/core/plan';
import { plural } from '@/core/rules/plural';
import { TextBox } from '../shared/TextBox';
import { useToast } from '../shared/toasts';
import { AWAY, useLoaded } from '../shared/useLoaded';
import { formatDay } from './usage';
import type { SheetState } from './useSheet';

/** Each gives what it did, or in words why it did not. */
export interface VersionDoors {
  readonly list: () => Promise<readonly SheetVersionInfo[] | string>;
  readonly save: (name: string) => Promise<number | string>;
  readonly restore: (number: number) => Promise<{ readonly kept: number; readonly left: number } | string>;
}

interface VersionsFormProps {
  readonly doors: VersionDoors;
  readonly sheet: SheetState;
  readonly plays: readonly PlayCard[];
  readonly mayEdit: boolean;
  readonly onClose: () => void;
}

export default function VersionsForm({ doors, sheet, plays, mayEdit, onClose }: VersionsFormProps) {
  const [refused, setProblem] = useState<string | null>(null);
  const [name, setName] = useState('');
  const [chosen, setChosen] = useState<number | null>(null);
  const say = useToast();
  const { found: versions, problem: unread, again } = useLoaded(doors.list);
  const problem = refused ?? unread;
  const save = async (): Promise<void> => {
    const done = await doors.save(name).catch(() => AWAY);
    if (typeof done === 'string') return setProblem(done);
    setProblem(null);
    setName('');
    say(`Saved as version ${done}.`);
    await again();
  };
  const restore = async (number: number): Promise<void> => {
    const done = await doors.restore(number).catch(() => AWAY);
    if (typeof done === 'string') return setProblem(done);
    say(
      `Version ${number} stands again; what stood is version ${done.kept}.${done.left > 0 ? ` ${plural(done.left, 'call')} left out: the play is not on the list any more.` : ''}`,
    );
    onClose();
  };
  const version = versions?.find((v) => v.number === chosen) ?? null;
  const { calls, checks, sections, waiting } = sheet;
  const differences = useMemo(
    () =>
      version &&
      compareSheets(version.content, { calls, checks }, new Map(plays.map((p) => [p.id, p])), [
        ...sections,
        ...(version.content.sections ?? []),
      ]),
    [version, calls, checks, plays, sections],
  );
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="versions-title">
      <DialogTitle id="versions-title">Versions of this sheet</DialogTitle>
      <DialogContent>
        {problem && (
          <p className="flag" role="alert">
            {problem}
          </p>
        )}
        {mayEdit && (
          <form
            className="toolbar"
            onSubmit={(event) => {
              event.preventDefault();
              void save();
            }}
          >
            <TextBox
              label="name of the version"
              value={name}
              htmlInput={{ maxLength: 80 }}
              onChange={(e) => setName(e.target.value)}
            />
            <Button type="submit" variant="outlined" disabled={waiting > 0}>
              save as it stands
            </Button>
          </form>
        )}
        {mayEdit && waiting > 0 && (
          <p className="small quiet" role="status">
            {plural(waiting, 'change')} of yours {waiting === 1 ? 'is' : 'are'} on the way; a version is saved
            or restored when the server has {waiting === 1 ? 'it' : 'them'}.
          </p>
        )}
        {versions === null && problem === null && <p className="small quiet">being read …</p>}
        {versions?.length === 0 && (
          <p className="small quiet">None is saved. A version is the sheet as it stands, to come back to.</p>
        )}
        <ul className="plainlist" aria-label="Versions">
          {versions?.map((v) => (
            <li key={v.number}>
              <strong>
                {v.number}: {v.name}
              </strong>{' '}
              <span className="small quiet">
                {v.by}, {formatDay(v.at)}, {plural(v.content.calls.length, 'call')},{' '}
                {plural(v.content.checks.length, 'check')}
              </span>{' '}
              <button
                type="button"
                className="plain"
                aria-pressed={chosen === v.number}
                onClick={() => setChosen(chosen === v.number ? null : v.number)}
              >
                compare
              </button>{' '}
              {mayEdit && (
                <button
                  type="button"
                  className="plain"
                  disabled={waiting > 0}
                  onClick={() => void restore(v.number)}
                >
                  restore
                </button>
              )}
            </li>
          ))}
        </ul>
        {differences && (
          <section aria-label={`Since version ${chosen}`}>
            <h3>Since version {chosen}</h3>
            {differences.length === 0 && <p className="small">Nothing is different.</p>}
            <ul className="plainlist">
              {differences.map(({ what, words }, i) => (
                <li key={i}>
                  <span className="quiet">{what}:</span> {words}
                </li>
              ))}
            </ul>
          </section>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
