'use client';
/** Players typed, pasted or read from a file: what was understood stands below before anything is written. */
import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import { heightWords, readRoster, type ReadRoster } from '@/core/roster';
import { readDelimited } from '@/core/foreign/sheet';
import type { SendChange } from './RosterRow';

const MOST_BYTES = 2_000_000;
const MOST_SHOWN = 6;

export function AddPlayers({ team, send }: { readonly team: string; readonly send: SendChange }) {
  const [text, setText] = useState('');
  const [problem, setProblem] = useState('');
  const read: ReadRoster = useMemo(
    () => (text.trim() === '' ? { lines: [], unread: [] } : readRoster(readDelimited('pasted', text).cells)),
    [text],
  );
  const bring = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    if (file.size > MOST_BYTES) return setProblem('A roster has up to 2 MB.');
    setProblem('');
    const { readForeignFile } = await import('@/core/foreign/workbook');
    const sheets = await readForeignFile(file.name, new Uint8Array(await file.arrayBuffer()));
    if (!sheets.ok) return setProblem(`${sheets.remedy}.`);
    setText((sheets.sheets[0]?.cells ?? []).map((row) => row.join('\t')).join('\n'));
  };
  const add = async (): Promise<void> => {
    if (await send({ op: 'add', team, lines: read.lines }, 'The roster is saved')) setText('');
  };
  return (
    <section className="card" aria-label="Add players">
      <h2>Add players</h2>
      <p className="small quiet">
        Paste a roster or type a line a player: <span className="mono">22 Ned Orrin RB So 5-10 195</span>. Who
        stands here already is brought up to date; nobody is taken away.
      </p>
      <textarea
        aria-label="Roster to add"
        rows={5}
        value={text}
        maxLength={200_000}
        spellCheck={false}
        onChange={(e) => setText(e.target.value)}
      />
      <label className="small">
        or a file (.csv, .tsv, .xlsx){' '}
        <input type="file" accept=".csv,.tsv,.txt,.xlsx" onChange={(e) => void bring(e.target.files?.[0])} />
      </label>
      {problem !== '' && (
        <p className="flagtext small" role="alert">
          {problem}
        </p>
      )}
      {(read.lines.length > 0 || read.unread.length > 0) && (
        <div className="small" role="status">
          <strong>
            {read.lines.length} {read.lines.length === 1 ? 'player' : 'players'} understood
            {read.unread.length > 0 ? `, ${read.unread.length} not` : ''}
          </strong>
          <ul className="plainlist">
            {read.lines.slice(0, MOST_SHOWN).map((l) => (
              <li key={`${l.number} ${l.name}`}>
                {[`#${l.number}`, l.name, l.letters, l.class, heightWords(l.height), l.weight]
                  .filter(Boolean)
                  .join(' · ')}
              </li>
            ))}
            {read.lines.length > MOST_SHOWN && <li>and {read.lines.length - MOST_SHOWN} more</li>}
            {read.unread.map((u) => (
              <li key={u.row} className="flagtext">
                row {u.row}, “{u.text.slice(0, 60)}”: {u.why}
              </li>
            ))}
          </ul>
          <Button disabled={read.lines.length === 0} onClick={() => void add()}>
            Save {read.lines.length} {read.lines.length === 1 ? 'player' : 'players'}
          </Button>
        </div>
      )}
    </section>
  );
}
