'use client';
/** Merging, splitting, aliases: what will change is counted before it does. */
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useEffect, useState } from 'react';
import type { Book, Term } from '@/core/book';
import type { SplitPreview } from '@/core/exchange/types';
import { SNAP_FIELDS, type SnapField } from '@/core/snap';
import { listOf } from './words';
import { TextBox } from '../shared/TextBox';

export function MergeDialog({
  book,
  term,
  count,
  busy,
  onMerge,
  onClose,
}: {
  book: Book;
  term: Term;
  count: number;
  busy: boolean;
  onMerge: (keep: string) => void;
  onClose: () => void;
}) {
  const [keep, setKeep] = useState('');
  return (
    <Dialog open onClose={onClose} aria-labelledby="merge-title" fullWidth maxWidth="sm">
      <DialogTitle id="merge-title">Merge “{term.word}” into another word</DialogTitle>
      <DialogContent style={{ display: 'grid', gap: 12 }}>
        <p>
          {count} logged {count === 1 ? 'snap' : 'snaps'} and the play list will say the other term instead; “
          {term.word}” becomes one of its aliases, so typing it still works. It can be undone.
        </p>
        <TextBox select label="Keep" value={keep} onChange={(e) => setKeep(e.target.value)}>
          {book.terms
            .filter((t) => t.kind === term.kind && t.id !== term.id)
            .map((term) => (
              <option key={term.id} value={term.id}>
                {term.word}
              </option>
            ))}
        </TextBox>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave as it is</Button>
        <Button variant="contained" disabled={keep === '' || busy} onClick={() => onMerge(keep)}>
          Merge
        </Button>
      </DialogActions>
    </Dialog>
  );
}

export function AliasDialog({
  term,
  busy,
  onKeep,
  onClose,
}: {
  term: Term;
  busy: boolean;
  onKeep: (aliases: string[], notes: string | null) => void;
  onClose: () => void;
}) {
  const [text, setText] = useState(term.aliases.join(', '));
  const [notes, setNotes] = useState(term.notes ?? '');
  return (
    <Dialog open onClose={onClose} aria-labelledby="alias-title" fullWidth maxWidth="sm">
      <DialogTitle id="alias-title">Other words for “{term.word}”</DialogTitle>
      <DialogContent>
        <TextBox
          fullWidth
          sx={{ my: 1 }}
          label="Also said"
          value={text}
          onChange={(e) => setText(e.target.value)}
          helperText="commas between"
        />
        <TextBox
          fullWidth
          multiline
          sx={{ my: 1 }}
          label="Notes"
          value={notes}
          onChange={(e) => setNotes(e.target.value)}
          htmlInput={{ maxLength: 2000 }}
        />
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave as it is</Button>
        <Button
          variant="contained"
          disabled={busy}
          onClick={() => onKeep(listOf(text), notes.trim() || null)}
        >
          Save
        </Button>
      </DialogActions>
    </Dialog>
  );
}

interface SplitProps {
  readonly book: Book;
  readonly term: Term;
  readonly busy: boolean;
  readonly preview: (
    question: unknown,
  ) => Promise<{ ok: true; value: SplitPreview } | { ok: false; words: string }>;
  readonly onSplit: (change: { readonly op: 'split'; readonly [field: string]: unknown }) => void;
  readonly onClose: () => void;
}

export function SplitDialog({ book, term, busy, preview, onSplit, onClose }: SplitProps) {
  const [{ field, values }, setWhere] = useState<{ field: string; values: readonly string[] }>({
    field: '',
    values: [],
  });
  const [{ to, word }, setTarget] = useState({ to: '', word: '' });
  const [seen, setSeen] = useState<SplitPreview | null>(null);
  const [problem, setProblem] = useState('');
  useEffect(() => {
    let gone = false;
    void preview({ from: term.id, where: field && values.length > 0 ? [{ field, values }] : [] }).then(
      (answer) => {
        if (gone) return;
        if (!answer.ok) setProblem(answer.words);
        else {
          setSeen(answer.value);
          setProblem('');
        }
      },
    );
    return () => {
      gone = true;
    };
  }, [term.id, field, values, preview]);
  const ready = seen !== null && seen.snaps > 0 && (to === 'new' ? word.trim() !== '' : to !== '');
  return (
    <Dialog open onClose={onClose} aria-labelledby="split-title" fullWidth maxWidth="sm">
      <DialogTitle id="split-title">Split “{term.word}” in two</DialogTitle>
      <DialogContent style={{ display: 'grid', gap: 12, paddingTop: 8 }}>
        <p>
          Snaps of “{term.word}” that fit the condition will say another word; the others stay. It can be
          undone.
        </p>
        {problem && (
          <p className="flag" role="alert">
            {problem}
          </p>
        )}
        <TextBox
          select
          label="When"
          value={field}
          onChange={(event) => setWhere({ field: event.target.value, values: [] })}
        >
          {Object.keys(seen?.choices ?? {}).map((field) => (
            <option key={field} value={field}>
              {SNAP_FIELDS[field as SnapField]?.label ?? field}
            </option>
          ))}
        </TextBox>
        {field && (
          <div role="group" aria-label="is one of">
            {(seen?.choices[field] ?? []).map(([value, n]) => (
              <FormControlLabel
                key={value}
                control={
                  <Checkbox
                    size="small"
                    checked={values.includes(value)}
                    onChange={(event) =>
                      setWhere({
                        field,
                        values: event.target.checked ? [...values, value] : values.filter((x) => x !== value),
                      })
                    }
                  />
                }
                label={`${value} (${n})`}
              />
            ))}
          </div>
        )}
        <TextBox select label="They say" value={to} onChange={(e) => setTarget({ to: e.target.value, word })}>
          <option value="new">a new term …</option>
          {book.terms
            .filter((t) => t.kind === term.kind && t.id !== term.id)
            .map((term) => (
              <option key={term.id} value={term.id}>
                {term.word}
              </option>
            ))}
        </TextBox>
        {to === 'new' && (
          <TextBox
            label="New term"
            value={word}
            onChange={(e) => setTarget({ to, word: e.target.value })}
            htmlInput={{ maxLength: 60 }}
            helperText="begins with the same picture; draw it anew afterwards"
          />
        )}
        {seen && (
          <div aria-live="polite">
            <strong data-testid="split-count">
              {seen.snaps} of {seen.of} snaps
            </strong>{' '}
            would change{seen.sample.length > 0 ? ', for instance:' : '.'}
            <ul className="plainlist small">
              {seen.sample.slice(0, 5).map((sample) => (
                <li key={sample.snap}>{sample.words}</li>
              ))}
            </ul>
          </div>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave as it is</Button>
        <Button
          variant="contained"
          disabled={!ready || busy}
          onClick={() =>
            onSplit({
              op: 'split',
              from: term.id,
              to: to === 'new' ? { word } : { key: to },
              where: [{ field, values }],
            })
          }
        >
          Split
        </Button>
      </DialogActions>
    </Dialog>
  );
}
