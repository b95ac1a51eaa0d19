'use client';
/** What needs review, with its remedies. */
import { memo, useDeferredValue, useMemo } from 'react';
import type { Event, LoggedGame } from '@/core/log';
import { findingWords, remedyLabel, type Finding } from '@/core/rules';
import { touchedBy, touchedSentence } from '@/core/log/touched';

const LEVEL_WORDS = { finding: ' doesn’t add up', note: ', rounding', cannot_know: ', cannot know' } as const;

const KEYS = ['F1', 'F2', 'F3', 'F8'];

interface ReviewProps {
  readonly finding: Finding | null;
  /** Snaps that need review. */
  readonly open: number;
  readonly game: LoggedGame;
  readonly send: (event: Event) => void;
}

export default memo(function ReviewCard({ finding, open, game, send }: ReviewProps) {
  const snaps = game.rows.length;
  const { profile, buckets, zones } = game;
  // A snap is sent and shown before what its remedies would change is walked.
  const rows = useDeferredValue(game.rows);
  /** What each remedy changes besides. */
  const also = useMemo(
    () =>
      (finding?.remedies ?? []).map((r) =>
        r.patches.length === 0
          ? ''
          : touchedSentence(touchedBy(rows, r.patches, profile, { buckets, zones })),
      ),
    [finding, rows, profile, buckets, zones],
  );
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
        {finding.remedies.slice(0, KEYS.length).map((remedy, i) => (
          <button
            key={remedyLabel(remedy)}
            type="button"
            className="plain"
            onClick={() => send({ type: 'remedy', remedy: remedy })}
          >
            <kbd>{KEYS[i]}</kbd> {remedyLabel(remedy)}
            {also[i] !== '' && <span className="small quiet"> {also[i]}</span>}
          </button>
        ))}
        {open > 1 && (
          <span className="quiet small">
            <kbd>F4</kbd> next of {open}
          </span>
        )}
      </span>
    </section>
  );
});
