'use client';
/** The formations of the chosen cell, drawn, with what was called from each. */
import { memo } from 'react';
import type { Book } from '@/core/book';
import type { LevelProfile } from '@/core/field/profile';
import { callsWords, lookName, type Counted, type LookRow } from '@/core/read';
import { Chalk } from '../chalk/Chalk';
import { RateBar } from '../charts/RateBar';
import type { SetAddress } from './ReadFilters';

const MOST_LOOKS = 8;

interface LooksCardProps {
  readonly counted: Counted;
  readonly ofCell: boolean;
  readonly book: Book;
  readonly profile: LevelProfile;
  readonly setUrl: SetAddress;
  readonly onCard: (look: number) => void;
}

export default memo(function LooksCard({ counted, ofCell, book, profile, setUrl, onCard }: LooksCardProps) {
  const { looks, cellRows, cellTitle } = counted;
  const next = looks[MOST_LOOKS];
  return (
    <section className="card looks" aria-label="Formations" tabIndex={0}>
      <header>
        <h2>{cellTitle}</h2>
        <button
          type="button"
          className="plain small"
          onClick={() => setUrl({ reel: ofCell ? 'cell' : 'all' }, true)}
        >
          {cellRows.length} snaps
        </button>
      </header>
      {looks.slice(0, MOST_LOOKS).map((look, i) => (
        <Look
          key={lookName(look)}
          look={look}
          book={book}
          profile={profile}
          onCard={() => onCard(i)}
          onReel={(part) => setUrl({ reel: `look.${i}.${part}` }, true)}
        />
      ))}
      {next && (
        <p className="small quiet">
          {looks.length - MOST_LOOKS} further looks, none seen more than {next.calls.rows.length}{' '}
          {next.calls.rows.length === 1 ? 'time' : 'times'}
        </p>
      )}
      {looks.length === 0 && <p className="quiet">No formation is tagged here.</p>}
    </section>
  );
});

interface LookProps {
  readonly look: LookRow;
  readonly book: Book;
  readonly profile: LevelProfile;
  readonly onCard: () => void;
  readonly onReel: (part: string) => void;
}

function Look({ look, book, profile, onCard, onReel }: LookProps) {
  const { formation, side, backfield, calls } = look;
  return (
    <div className="look">
      <div className="cardhead">
        <h2>{lookName(look)}</h2>
        <RateBar rate={calls.run} label="run" onOpen={() => onReel('runs')} />
      </div>
      <Chalk
        book={book}
        profile={profile}
        fields={{ formation, formationSide: side, backfield }}
        hash={null}
        arrows={calls.bySide.flatMap((part) =>
          part.side === null ? [] : [{ kind: part.kind, side: part.side, n: part.rows.length }],
        )}
        height={120}
        caption={false}
      />
      <div className="small lookdoors">
        <button
          type="button"
          className="plain"
          onClick={onCard}
          aria-label={`look card of ${lookName({ formation, side, backfield: null })}`}
        >
          look card
        </button>
        {calls.bySide.map((part) => (
          <button
            key={callsWords(part)}
            type="button"
            className="plain"
            onClick={() => onReel(`${part.kind}${part.side ?? ''}`)}
          >
            {callsWords(part)} {part.rows.length} of {calls.run.n}
          </button>
        ))}
        <button type="button" className="plain quiet" onClick={() => onReel('all')}>
          all {calls.rows.length}
        </button>
      </div>
    </div>
  );
}
