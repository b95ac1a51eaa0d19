'use client';
/** A section by a filter of the staff's own: situations, part of the field, hash, clock, and what is suggested in it. */
import Button from '@mui/material/Button';
import { useState } from 'react';
import { BUCKET_ROWS } from '@/core/field/situation';
import type { SectionSpec } from '@/core/plan';
import { Choice } from '../shared/Choice';
import { TextBox } from '../shared/TextBox';

interface OwnSectionProps {
  readonly taken: ReadonlySet<string>;
  readonly onAdd: (section: SectionSpec) => void;
  readonly onClose: () => void;
}

const CLOCKS = [
  ['', 'any'],
  ['two_minute', 'two minutes'],
  ['four_minute', 'four minutes'],
] as const;
const HASHES = [
  ['', 'any'],
  ['L', 'left'],
  ['M', 'middle'],
  ['R', 'right'],
] as const;
const KINDS = [
  ['', 'any play'],
  ['run', 'runs'],
  ['pass', 'passes'],
  ['rpo', 'run-pass options'],
] as const;

const yard = (text: string): number | null => {
  const n = Number(text);
  return /^\d{1,2}$/.test(text.trim()) && n >= 1 && n <= 99 ? n : null;
};

const EMPTY = { label: '', from: '', to: '', hash: '', clock: '', kind: '' };

export function OwnSection({ taken, onAdd, onClose }: OwnSectionProps) {
  const [typed, setTyped] = useState(EMPTY);
  const [buckets, setBuckets] = useState<readonly string[]>([]);
  const [problem, setProblem] = useState<string | null>(null);
  const put = (change: Partial<typeof EMPTY>): void => setTyped((t) => ({ ...t, ...change }));
  const add = (): void => {
    const label = typed.label.trim();
    const key = `own-${label.toLowerCase().replace(/[^a-z0-9]+/g, '-')}`.slice(0, 60).replace(/-$/, '');
    const [from, to] = [yard(typed.from), yard(typed.to)];
    const ranged = typed.from.trim() !== '' || typed.to.trim() !== '';
    const why =
      label === ''
        ? 'Give it a name.'
        : taken.has(key)
          ? 'A section has that name already.'
          : ranged && (from === null || to === null || from > to)
            ? 'Yards to the goal line go from a smaller figure to a larger, 1 to 99; empty both for anywhere.'
            : null;
    setProblem(why);
    if (why !== null) return;
    onAdd({
      key,
      label: label.slice(0, 40),
      filter: {
        ...(buckets.length > 0 ? { bucket: buckets } : {}),
        ...(typed.hash ? { hash: [typed.hash] } : {}),
        ...(typed.clock ? { clockMode: [typed.clock] } : {}),
      },
      ranges: ranged ? { toGoal: { from: from!, to: to! } } : {},
      kinds: typed.kind ? [typed.kind as 'run' | 'pass' | 'rpo'] : [],
    });
  };
  return (
    <fieldset className="ownsection">
      <legend>A section of our own</legend>
      {problem && (
        <p className="flag" role="alert">
          {problem}
        </p>
      )}
      <TextBox
        label="name"
        value={typed.label}
        autoFocus
        htmlInput={{ maxLength: 40 }}
        onChange={(e) => put({ label: e.target.value })}
      />
      <div className="buckets" role="group" aria-label="situations; none chosen is any">
        {BUCKET_ROWS.map(({ key, label }) => (
          <label key={key} className="small">
            <input
              type="checkbox"
              checked={buckets.includes(key)}
              onChange={(e) =>
                setBuckets(e.target.checked ? [...buckets, key] : buckets.filter((b) => b !== key))
              }
            />{' '}
            {label}
          </label>
        ))}
      </div>
      <div className="toolbar">
        <TextBox
          label="yards to goal, from"
          value={typed.from}
          htmlInput={{ inputMode: 'numeric', maxLength: 2 }}
          onChange={(e) => put({ from: e.target.value })}
        />
        <TextBox
          label="to"
          value={typed.to}
          htmlInput={{ inputMode: 'numeric', maxLength: 2 }}
          onChange={(e) => put({ to: e.target.value })}
        />
        <Choice label="ball" value={typed.hash} options={HASHES} onChange={(hash) => put({ hash })} />
        <Choice label="clock" value={typed.clock} options={CLOCKS} onChange={(clock) => put({ clock })} />
        <Choice label="suggest" value={typed.kind} options={KINDS} onChange={(kind) => put({ kind })} />
      </div>
      <div className="toolbar">
        <Button variant="outlined" onClick={add}>
          add the section
        </Button>
        <Button onClick={onClose}>cancel</Button>
      </div>
    </fieldset>
  );
}
