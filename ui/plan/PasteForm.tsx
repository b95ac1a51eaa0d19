'use client';
/** Calls from a spreadsheet or any list: what was understood stands below before the sheet has it. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useMemo, useState } from 'react';
import { readCopied } from '@/core/foreign/sheet';
import { playCall, playLook, type PlayCard, type SectionSpec } from '@/core/plan';
import { readPasted, sectionsNamed } from '@/core/plan/pasted-calls';
import { plural } from '@/core/rules/plural';
import { Choice } from '../shared/Choice';
import type { Marks } from './useMarks';

interface PasteFormProps {
  readonly text: string;
  readonly plays: readonly PlayCard[];
  readonly sections: readonly SectionSpec[];
  readonly section: SectionSpec;
  readonly numbers: ReadonlyMap<string, number>;
  readonly onAdd: Marks['add'];
  readonly onClose: () => void;
}

const AS_WRITTEN = '';
const MOST_SHOWN = 12;

export default function PasteForm(props: PasteFormProps) {
  const { plays, sections, section, numbers, onAdd, onClose } = props;
  const [text, setText] = useState(props.text);
  const { calls, unread } = useMemo(
    () => readPasted(readCopied(text), plays, sections, numbers),
    [text, plays, sections, numbers],
  );
  const [chosen, setInto] = useState<string | null>(null);
  const into = chosen ?? (sectionsNamed(calls) > 1 ? AS_WRITTEN : section.key);
  const labelOf = (key: string): string => sections.find((s) => s.key === key)!.label;
  const written = calls.filter((call) => call.section !== null).length;
  const placed = calls.map((call) => ({
    ...call,
    section: into === AS_WRITTEN ? (call.section ?? section.key) : into,
  }));
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="paste-title">
      <DialogTitle id="paste-title">Paste calls</DialogTitle>
      <DialogContent>
        <p className="small quiet">
          A line a call: a play by its name, its call, or its look and call. Cells of a spreadsheet too; under
          column names (name, section, hash, tags, needs, shown first, note) the rest comes along.
        </p>
        <textarea
          aria-label="Calls to paste"
          rows={6}
          style={{ width: '100%', margin: '8px 0 14px' }}
          value={text}
          maxLength={100_000}
          spellCheck={false}
          onChange={(e) => setText(e.target.value)}
        />
        <div className="toolbar">
          <Choice
            label="into"
            value={into}
            width={200}
            options={[
              ...sections.map((s) => [s.key, s.label] as const),
              ...(written > 0 ? [[AS_WRITTEN, 'as its section column says'] as const] : []),
            ]}
            onChange={setInto}
          />
          {into === AS_WRITTEN && written < calls.length && (
            <span className="small quiet">
              {plural(calls.length - written, 'call')} without a section of this sheet{' '}
              {calls.length - written === 1 ? 'goes' : 'go'} to {section.label}
            </span>
          )}
        </div>
        <div role="status" className="small">
          {(calls.length > 0 || unread.length > 0) && (
            <strong>
              {plural(calls.length, 'call')} understood{unread.length > 0 ? `, ${unread.length} not` : ''}
            </strong>
          )}
          <ul className="plainlist" aria-label="Lines that are not understood">
            {unread.slice(0, MOST_SHOWN).map(({ line, words }) => (
              <li key={line} className="flagtext">
                line {line}: {words}
              </li>
            ))}
            {unread.length > MOST_SHOWN && <li className="quiet">and {unread.length - MOST_SHOWN} more</li>}
          </ul>
          <ul className="plainlist" aria-label="Calls that are understood">
            {placed.slice(0, MOST_SHOWN).map(({ line, play, section: to }) => (
              <li key={line}>
                <strong>{playCall(play)}</strong> {playLook(play)}{' '}
                <span className="quiet">{labelOf(to)}</span>
              </li>
            ))}
            {placed.length > MOST_SHOWN && <li className="quiet">and {placed.length - MOST_SHOWN} more</li>}
          </ul>
        </div>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
        <Button
          variant="contained"
          disabled={calls.length === 0}
          onClick={() => {
            onAdd(placed, { section: placed[0]!.section, before: null });
            onClose();
          }}
        >
          Add {plural(calls.length, 'call')}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
