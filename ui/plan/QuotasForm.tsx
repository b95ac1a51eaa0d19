'use client';
/** What the staff wants in each half: words, any of which counts, and how many calls. */
import Button from '@mui/material/Button';
import { useState } from 'react';
import { QUOTA_LIMITS, type Quota } from '@/core/plan';
import { TextBox } from '../shared/TextBox';
import { KeptDialog } from './KeptDialog';

interface Draft {
  readonly words: string;
  readonly half: string;
}
const wordsOf = (text: string): string[] =>
  text
    .split(',')
    .map((w) => w.trim())
    .filter(Boolean);

export default function QuotasForm({
  quotas,
  save,
  onClose,
}: {
  readonly quotas: readonly Quota[];
  /** Says why it was not kept. */
  readonly save: (quotas: readonly Quota[]) => Promise<string | null>;
  readonly onClose: () => void;
}) {
  const [drafts, setDrafts] = useState<readonly Draft[]>(() =>
    quotas.map(({ words, half }) => ({ words: words.join(', '), half: String(half) })),
  );
  const [problem, setProblem] = useState<string | null>(null);
  const put = (at: number, change: Partial<Draft>): void =>
    setDrafts(drafts.map((d, i) => (i === at ? { ...d, ...change } : d)));
  const keep = async (): Promise<void> => {
    const named = drafts.filter((d) => d.words.trim() !== '');
    const why = await save(named.map((d) => ({ words: wordsOf(d.words), half: Number(d.half) })));
    if (why === null) onClose();
    else setProblem(why);
  };
  return (
    <KeptDialog
      title="Quotas of a half"
      hint="A call counts by a word that is said with it, by its formation, motion or concept, by an unbalanced line, or as a trick in that section. Commas between words: any of them counts."
      problem={problem}
      onKeep={() => void keep()}
      onClose={onClose}
      more={
        <Button
          disabled={drafts.length >= QUOTA_LIMITS.quotas}
          onClick={() => setDrafts([...drafts, { words: '', half: '1' }])}
        >
          Add a quota
        </Button>
      }
    >
      {drafts.map((draft, i) => (
        <div key={i} className="toolbar" style={{ marginTop: 8 }}>
          <TextBox
            label={`words of quota ${i + 1}`}
            value={draft.words}
            htmlInput={{ maxLength: 120 }}
            onChange={(e) => put(i, { words: e.target.value })}
          />
          <TextBox
            label="a half"
            value={draft.half}
            htmlInput={{
              inputMode: 'numeric',
              maxLength: 2,
              size: 4,
              'aria-label': `calls a half, quota ${i + 1}`,
            }}
            onChange={(e) => put(i, { half: e.target.value })}
          />
          <Button
            aria-label={`remove quota ${i + 1}`}
            onClick={() => setDrafts(drafts.filter((_, at) => at !== i))}
          >
            ×
          </Button>
        </div>
      ))}
      {drafts.length === 0 && <p className="small">The staff wants none.</p>}
    </KeptDialog>
  );
}
