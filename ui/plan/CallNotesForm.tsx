'use client';
/** What is noted of a call: words said with it, what to do next by what was seen, who must be there, what must have been shown. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useState } from 'react';
import { playCall, playLook, type CallNotes, type IfThen, type SheetCall } from '@/core/plan';
import { TextBox } from '../shared/TextBox';

interface CallNotesFormProps {
  readonly call: SheetCall;
  readonly calls: readonly SheetCall[];
  readonly numbers: ReadonlyMap<string, number>;
  readonly onSave: (notes: Partial<CallNotes>) => void;
  readonly onClose: () => void;
}

const MOST_IFS = 3;
const MOST_WORDS = 6;
const listed = (text: string): string[] =>
  text
    .split(',')
    .map((w) => w.trim().replaceAll(';', ' '))
    .filter((w) => w !== '')
    .slice(0, MOST_WORDS);
const or = (text: string): string | null => text.trim() || null;

interface Draft {
  readonly tags: string;
  readonly needs: string;
  readonly shownFirst: string;
  readonly note: string;
  readonly ifThen: readonly { readonly when: string; readonly call: string; readonly words: string }[];
}

const draftOf = (call: SheetCall): Draft => ({
  tags: call.tags.join(', '),
  needs: call.needs.join(', '),
  shownFirst: call.shownFirst ?? '',
  note: call.note ?? '',
  ifThen: call.ifThen.map(({ when, call: to, words }) => ({ when, call: to ?? '', words: words ?? '' })),
});

export default function CallNotesForm({ call, calls, numbers, onSave, onClose }: CallNotesFormProps) {
  const [draft, setDraft] = useState(() => draftOf(call));
  const [problem, setProblem] = useState<string | null>(null);
  const put = (change: Partial<Draft>): void => setDraft((d) => ({ ...d, ...change }));
  const putIf = (at: number, change: Partial<Draft['ifThen'][number]>): void =>
    put({ ifThen: draft.ifThen.map((one, i) => (i === at ? { ...one, ...change } : one)) });
  const save = (): void => {
    const ifThen = draft.ifThen
      .map((one): IfThen => ({ when: one.when.trim(), call: one.call || null, words: or(one.words) }))
      .filter((one) => one.when !== '' || one.call !== null || one.words !== null);
    const half = ifThen.find((one) => one.when === '' || (one.call === null && one.words === null));
    if (half) {
      setProblem(
        half.when === ''
          ? 'Say what is seen, or empty the line.'
          : `“${half.when}”: choose a call or say what is done then.`,
      );
      return;
    }
    onSave({
      ifThen,
      tags: listed(draft.tags),
      needs: listed(draft.needs),
      shownFirst: or(draft.shownFirst),
      note: or(draft.note),
    });
    onClose();
  };
  const others = calls
    .filter((c) => c.id !== call.id)
    .sort((a, b) => (numbers.get(a.id) ?? 0) - (numbers.get(b.id) ?? 0));
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="notes-title">
      <DialogTitle id="notes-title">
        Call {numbers.get(call.id)}: {playLook(call.play)}, {playCall(call.play)}
      </DialogTitle>
      <DialogContent>
        <form
          id="notes"
          className="notesform"
          onSubmit={(event) => {
            event.preventDefault();
            save();
          }}
        >
          {problem && (
            <p className="flag" role="alert">
              {problem}
            </p>
          )}
          <TextBox
            label="said with it"
            value={draft.tags}
            placeholder="tempo, max"
            helperText={`Up to ${MOST_WORDS} words or phrases, parted by commas`}
            onChange={(e) => put({ tags: e.target.value })}
          />
          {draft.ifThen.map((one, i) => (
            <div key={i} className="ifthen">
              <TextBox
                label={`if, ${i + 1}`}
                value={one.when}
                placeholder="the end squeezes"
                htmlInput={{ maxLength: 80 }}
                onChange={(e) => putIf(i, { when: e.target.value })}
              />
              <TextBox
                select
                label="then call"
                value={one.call}
                onChange={(e) => putIf(i, { call: e.target.value })}
              >
                <option value="">none</option>
                {others.map((c) => (
                  <option key={c.id} value={c.id}>
                    {numbers.get(c.id)}: {c.play.name}
                  </option>
                ))}
              </TextBox>
              <TextBox
                label="or do"
                value={one.words}
                placeholder="the same again"
                htmlInput={{ maxLength: 80 }}
                onChange={(e) => putIf(i, { words: e.target.value })}
              />
            </div>
          ))}
          {draft.ifThen.length < MOST_IFS && (
            <Button onClick={() => put({ ifThen: [...draft.ifThen, { when: '', call: '', words: '' }] })}>
              add an if
            </Button>
          )}
          <TextBox
            label="who must be available"
            value={draft.needs}
            placeholder="H, 22"
            onChange={(e) => put({ needs: e.target.value })}
          />
          <TextBox
            label="what must have been shown"
            value={draft.shownFirst}
            htmlInput={{ maxLength: 80 }}
            onChange={(e) => put({ shownFirst: e.target.value })}
          />
          <TextBox
            label="note"
            value={draft.note}
            htmlInput={{ maxLength: 200 }}
            onChange={(e) => put({ note: e.target.value })}
          />
        </form>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Cancel</Button>
        <Button type="submit" form="notes" variant="contained">
          Save
        </Button>
      </DialogActions>
    </Dialog>
  );
}
