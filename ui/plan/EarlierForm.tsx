'use client';
/** Calls of an earlier sheet, each with how its play did that day: what is marked comes onto this sheet. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useMemo, useState } from 'react';
import {
  addCalls,
  earlierRows,
  playCall,
  playLook,
  worked,
  type EarlierRow,
  type EarlierSheet,
  type PlayCard,
} from '@/core/plan';
import type { Columns } from '@/core/read';
import { plural } from '@/core/rules/plural';
import { RateBar } from '../charts/RateBar';
import { Choice } from '../shared/Choice';
import { useLoaded } from '../shared/useLoaded';
import type { SheetState } from './useSheet';

interface EarlierFormProps {
  readonly load: () => Promise<readonly EarlierSheet[] | string>;
  readonly sheet: SheetState;
  readonly plays: readonly PlayCard[];
  readonly columns: Columns;
  readonly team: string;
  readonly onReel: (name: string) => void;
  readonly onClose: () => void;
}

export default function EarlierForm({
  load,
  sheet,
  plays,
  columns,
  team,
  onReel,
  onClose,
}: EarlierFormProps) {
  const { calls, sections, printed, edit } = sheet;
  const { found, problem } = useLoaded(load);
  const sheets = useMemo(() => found?.filter((s) => s.calls.length > 0) ?? null, [found]);
  const [key, setKey] = useState<string | null>(null);
  const [marked, setMarked] = useState<ReadonlySet<number>>(new Set());
  const chosen = sheets?.find((s) => s.key === key) ?? sheets?.[0] ?? null;
  const rows = useMemo(
    () => (chosen ? earlierRows(chosen, columns, team, { plays, calls, sections }) : []),
    [chosen, columns, team, plays, calls, sections],
  );
  const gone = chosen ? chosen.calls.length - rows.length : 0;
  const mark = (of: readonly EarlierRow[]): void => setMarked(new Set(of.map((row) => rows.indexOf(row))));
  const toggle = (i: number): void =>
    setMarked((before) => {
      const after = new Set(before);
      if (!after.delete(i)) after.add(i);
      return after;
    });
  const take = rows.filter((row, i) => marked.has(i) && row.not === null);
  const add = (): void => {
    edit(
      addCalls(
        printed,
        take.map(({ call, play }) => ({
          id: crypto.randomUUID(),
          section: call.section,
          play,
          // What it leads to are calls of the other sheet.
          notes: { ...call.notes, ifThen: call.notes.ifThen.filter((one) => one.call === null) },
        })),
      ),
      `${plural(take.length, 'call')} taken over from ${chosen!.name}; Undo takes them back in one.`,
    );
    onClose();
  };
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-labelledby="earlier-title">
      <DialogTitle id="earlier-title">From an earlier sheet</DialogTitle>
      <DialogContent>
        {problem && (
          <p role="alert" className="flagtext">
            {problem}
          </p>
        )}
        {sheets === null && !problem && <p className="quiet">…</p>}
        {sheets?.length === 0 && <p>No other sheet of the offense has a call yet.</p>}
        {chosen && (
          <>
            <div className="toolbar" style={{ paddingTop: 8 }}>
              <Choice
                label="sheet"
                value={chosen.key}
                width={220}
                options={sheets!.map((s) => [s.key, `${s.name} · ${s.opponent}`])}
                onChange={(to) => {
                  setKey(to);
                  setMarked(new Set());
                }}
              />
              <Button onClick={() => mark(worked(rows))}>Mark what worked</Button>
              <Button onClick={() => mark(rows.filter((row) => row.not === null))}>Mark all</Button>
              <Button onClick={() => mark([])}>Mark none</Button>
            </div>
            <p className="small quiet">
              Success of the play on our film against {chosen.opponent}, in any situation; it worked from half
              of its snaps on.
              {gone > 0 && ` ${plural(gone, 'call')} left out: the play is not on the list any more.`}
            </p>
            <table className="rows" aria-label={`Calls of ${chosen.name}`}>
              <thead>
                <tr>
                  <th>take</th>
                  <th>section</th>
                  <th>call</th>
                  <th>against {chosen.opponent}</th>
                </tr>
              </thead>
              <tbody>
                {rows.map((row, i) => {
                  const { call, play, rate, not } = row;
                  const words = `${playCall(play)}, ${playLook(play)}`;
                  return (
                    <tr key={i}>
                      <td>
                        <input
                          type="checkbox"
                          aria-label={`take ${words} into ${call.label}`}
                          disabled={not !== null}
                          checked={not === null && marked.has(i)}
                          onChange={() => toggle(i)}
                        />
                      </td>
                      <td>
                        {call.label}
                        {not && <div className="small quiet">{not}</div>}
                      </td>
                      <td>
                        <strong>{playCall(play)}</strong> <span className="small">{playLook(play)}</span>
                      </td>
                      <td>
                        {rate.n === 0 ? (
                          <span className="small quiet">not called, or not on film</span>
                        ) : (
                          <RateBar
                            rate={rate}
                            label="success"
                            onOpen={() => onReel(`${play.id}|against:${chosen.opponent}`)}
                          />
                        )}
                      </td>
                    </tr>
                  );
                })}
              </tbody>
            </table>
          </>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
        <Button variant="contained" disabled={take.length === 0} onClick={add}>
          {take.length === 0 ? 'Take over' : `Take over ${plural(take.length, 'call')}`}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
