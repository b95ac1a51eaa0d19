'use client';
import { formationStructure, isDrawn, type Book, type Term } from '@/core/book';
import type { LevelProfile } from '@/core/field';
import type { TermChalkProps } from '../chalk/Chalk';
import { part } from '../shared/part';

const HEIGHT = 96;
/** The drawings come after the words, which they do not move. */
const TermChalk = part<TermChalkProps>(
  () => import('../chalk/Chalk').then((chalk) => ({ default: chalk.TermChalk })),
  <div style={{ height: HEIGHT }} />,
);

interface TermCardsProps {
  readonly book: Book;
  readonly profile: LevelProfile;
  readonly terms: readonly Term[];
  readonly chosen: Term | null;
  /** What was looked for; empty: all of a kind. */
  readonly find: string;
  readonly count: (term: Term) => number;
  readonly onChoose: (term: Term) => void;
}

/** The terms of a kind, or those that were found, each drawn. */
export function TermCards({ book, profile, terms, chosen, find, count, onChoose }: TermCardsProps) {
  const facts = (term: Term): string =>
    [
      find === '' ? '' : term.kind,
      term.spots && term.kind === 'formation' ? formationStructure(book, term, 'R', profile).label : '',
      term.aliases.slice(0, 2).join(', '),
    ]
      .filter(Boolean)
      .join(' · ');
  return (
    <section className="card" aria-label="Words">
      <ul className="termcards">
        {terms.map((term) => (
          <li key={term.id}>
            <button type="button" aria-current={chosen?.id === term.id} onClick={() => onChoose(term)}>
              {isDrawn(term) && <TermChalk book={book} profile={profile} term={term} height={HEIGHT} />}
              <span className="line">
                <strong>{term.word}</strong>
                <span className="small quiet">{term.kind === 'tag' ? '' : count(term) || ''}</span>
              </span>
              <span className="small quiet">{facts(term)}</span>
            </button>
          </li>
        ))}
      </ul>
      {terms.length === 0 && (
        <p className="quiet">
          {find === ''
            ? 'No term of this kind yet. Add one in the form beside this.'
            : `No term of the book fits “${find}”.`}
        </p>
      )}
    </section>
  );
}
