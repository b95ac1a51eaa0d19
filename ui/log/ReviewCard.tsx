'use client';
/** What needs review, with its remedies. */
import type { Event, LineView } from '@/core/log';
import { findingWords, remedyLabel } from '@/core/rules';

const LEVEL_WORDS = { finding: ' doesn’t add up', note: ', rounding', cannot_know: ', cannot know' } as const;

interface ReviewProps {
  readonly view: LineView;
  readonly snaps: number;
  readonly send: (event: Event) => void;
}

export default function ReviewCard({ view: { finding, todo }, snaps, send }: ReviewProps) {
  if (!finding)
    return snaps === 0 ? null : (
      <section className="card small quiet">
        {snaps === 1 ? '1 snap logged; it adds up.' : `${snaps} snaps logged; all of them add up.`}
      </section>
    );
  return (
    <section
      className={`card ${finding.level === 'note' ? '' : 'flag'}`}
      aria-label="Needs review"
      data-testid="finding"
    >
      <button type="button" className="plain" onClick={() => send({ type: 'edit', snapId: finding.snapId })}>
        <strong>
          Snap {finding.number}
          {LEVEL_WORDS[finding.level]}.
        </strong>
      </button>{' '}
      {findingWords(finding).sentence}
      <span className="remedies">
        {finding.remedies.slice(0, 3).map((remedy, i) => (
          <button
            key={remedyLabel(remedy)}
            type="button"
            className="plain"
            onClick={() => send({ type: 'remedy', remedy: remedy })}
          >
            <kbd>F{i + 1}</kbd> {remedyLabel(remedy)}
          </button>
        ))}
        {todo.length > 1 && (
          <span className="quiet small">
            <kbd>F4</kbd> next of {todo.length}
          </span>
        )}
      </span>
    </section>
  );
}
