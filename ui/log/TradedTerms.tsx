'use client';
/** How another staff's terms were read. */
import type { ImportOutcome } from '@/core/exchange/types';

const WHY = { word: 'the same word', meaning: 'drawn the same', new: 'new in your book' } as const;

export function TradedTerms({ terms }: { readonly terms: NonNullable<ImportOutcome['terms']> }) {
  const same = terms.filter((t) => t.why === 'word' && t.from === t.to).length;
  const others = terms.filter((t) => t.why !== 'word' || t.from !== t.to);
  return (
    <div className="small" role="status">
      <p>
        {same} of their {terms.length} terms are yours too.
      </p>
      {others.length > 0 && (
        <ul className="plainlist" aria-label="Terms read as yours">
          {others.map((t) => (
            <li key={`${t.kind} ${t.from}`}>
              {t.kind} “{t.from}”{t.from === t.to ? '' : ` is “${t.to}”`}: {WHY[t.why]}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
