'use client';
/** The counting rules being changed: typed freely, read as a whole when they are saved. */
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { readRules } from '@/core/read/read-rules';
import { BucketFields, LookFields, SuccessFields, ZoneTable } from './RulesFields';
import type { RulesCardProps } from './RulesCard';
import { draftOf, valueOf } from './rules-draft';

export default function RulesForm({ rules, busy, onKeep }: Omit<RulesCardProps, 'mayKeep'>) {
  const [draft, setDraft] = useState(() => draftOf(rules));
  const [problem, setProblem] = useState('');
  const fields = { draft, set: (part: Partial<typeof draft>) => setDraft({ ...draft, ...part }) };
  const keep = (): void => {
    const read = readRules(valueOf(draft));
    setProblem(read.ok ? '' : read.remedy);
    if (read.ok) onKeep(read.rules);
  };
  return (
    <form
      className="stack below"
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      {problem && (
        <Alert severity="error" variant="outlined">
          {problem}
        </Alert>
      )}
      <div className="halves">
        <LookFields {...fields} />
        <SuccessFields {...fields} />
        <BucketFields {...fields} />
      </div>
      <ZoneTable {...fields} />
      <div className="toolbar">
        <Button type="submit" variant="contained" disabled={busy} aria-label="Save the rules">
          Save
        </Button>
        <Button disabled={busy} onClick={() => onKeep(null)}>
          Reset to defaults
        </Button>
      </div>
    </form>
  );
}
