'use client';
/** A section by a filter of the staff's own: situations, all that film is filtered by, and what is suggested in it. */
import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import { BUCKET_ROWS } from '@/core/field/situation';
import { filmOfBoth, type SectionSpec } from '@/core/plan';
import type { Columns, Filter, Ranges } from '@/core/read';
import { plural } from '@/core/rules/plural';
import { FilterSet } from '../read/FilterSet';
import { Choice } from '../shared/Choice';
import { TextBox } from '../shared/TextBox';

/** The film that a section is counted on. */
export interface SectionFilm {
  readonly columns: Columns;
  readonly team: string;
  readonly opponent: string;
}

interface OwnSectionProps {
  readonly taken: ReadonlySet<string>;
  readonly film: SectionFilm;
  readonly onAdd: (section: SectionSpec) => void;
  readonly onClose: () => void;
}

const KINDS = [
  ['', 'any play'],
  ['run', 'runs'],
  ['pass', 'passes'],
  ['rpo', 'run-pass options'],
] as const;

export function OwnSection({ taken, film, onAdd, onClose }: OwnSectionProps) {
  const [typed, setTyped] = useState('');
  const [kind, setKind] = useState('');
  const [buckets, setBuckets] = useState<readonly string[]>([]);
  const [others, setOthers] = useState<Filter>({});
  const [ranges, setRanges] = useState<Ranges>({});
  const [problem, setProblem] = useState<string | null>(null);
  const { columns, team, opponent } = film;
  const filter: Filter = useMemo(
    () => ({ ...others, ...(buckets.length > 0 ? { bucket: buckets } : {}) }),
    [others, buckets],
  );
  const rows = useMemo(
    () => filmOfBoth(columns, team, opponent, filter, ranges),
    [columns, team, opponent, filter, ranges],
  );
  const add = (): void => {
    const label = typed.trim();
    const key = `own-${label.toLowerCase().replace(/[^a-z0-9]+/g, '-')}`.slice(0, 60).replace(/-$/, '');
    const why = label === '' ? 'Give it a name.' : taken.has(key) ? 'A section has that name already.' : null;
    setProblem(why);
    if (why !== null) return;
    onAdd({
      key,
      label: label.slice(0, 40),
      filter,
      ranges,
      kinds: kind ? [kind as 'run' | 'pass' | 'rpo'] : [],
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
        value={typed}
        autoFocus
        htmlInput={{ maxLength: 40 }}
        onChange={(e) => setTyped(e.target.value)}
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
        <FilterSet
          filter={others}
          ranges={ranges}
          counted={{ columns, rows }}
          onFilter={setOthers}
          onRanges={setRanges}
        />
        <Choice label="suggest" value={kind} options={KINDS} onChange={setKind} />
        <span className="small quiet" role="status">
          {plural(rows.length, 'snap')} of both films
        </span>
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
