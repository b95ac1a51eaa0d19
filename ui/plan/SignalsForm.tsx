'use client';
/** The staff's hand signals, a line each: the word, a colon, what the hands do. */
import { useState } from 'react';
import { readSignals, signalLines, type Signal } from '@/core/plan';
import { TextBox } from '../shared/TextBox';
import { KeptDialog } from './KeptDialog';

interface SignalsFormProps {
  readonly signals: readonly Signal[];
  /** Says why it was not kept. */
  readonly save: (signals: readonly Signal[]) => Promise<string | null>;
  readonly onClose: () => void;
}

export default function SignalsForm({ signals, save, onClose }: SignalsFormProps) {
  const [text, setText] = useState(() => signalLines(signals));
  const [problem, setProblem] = useState<string | null>(null);
  const keep = async (): Promise<void> => {
    const read = readSignals(text);
    const why = typeof read === 'string' ? read : await save(read);
    if (why === null) onClose();
    else setProblem(why);
  };
  return (
    <KeptDialog
      title="Hand signals"
      hint={
        <>
          A line a word: <span className="mono">jet: fist circles</span>. Words are formations, motions,
          concepts and what is said with a call. A sheet is held against them: two words with one signal, a
          signal that begins as another, a word of a kind that is signaled and has none.
        </>
      }
      problem={problem}
      onKeep={() => void keep()}
      onClose={onClose}
    >
      <TextBox
        multiline
        fullWidth
        minRows={10}
        sx={{ mt: 1.5 }}
        label="signals"
        value={text}
        error={problem !== null}
        onChange={(e) => {
          setText(e.target.value);
          setProblem(null);
        }}
      />
    </KeptDialog>
  );
}
