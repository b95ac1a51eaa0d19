'use client';
/** The formations of the chosen cell, drawn, with what was called from each. */
import { plural } from '@/core/rules/plural';
import { memo, useMemo } from 'react';
import type { Book } from '@/core/book';
import type { LevelProfile } from '@/core/field/profile';
import { drawnUse, lookName, usedSuccess, usesOf, usedWords, type Counted, type LookRow } from '@/core/read';
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
          {plural(cellRows.length, 'snap')}
        </button>
      </header>
      {looks.length > 0 && (
        <p className="small quiet">
          Solid: a run through its gap; dashed: a throw; dotted: a run-pass option. In the ring its snaps,
          thick as far round as succeeded.
        </p>
      )}
      {looks.slice(0, MOST_LOOKS).map((look, i) => (
        <Look
          key={lookName(look)}
          counted={counted}
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
  readonly counted: Counted;
  readonly look: LookRow;
  readonly book: Book;
  readonly profile: LevelProfile;
  readonly onCard: () => void;
  readonly onReel: (part: string) => void;
}

function Look({ counted, look, book, profile, onCard, onReel }: LookProps) {
  const { formation, side, backfield, calls } = look;
  const uses = useMemo(() => usesOf(counted.columns, calls), [counted.columns, calls]);
  const drawn = useMemo(() => uses.map(drawnUse), [uses]);
  const fields = useMemo(() => ({ formation, formationSide: side, backfield }), [formation, side, backfield]);
  return (
    <div className="look">
      <div className="cardhead">
        <h2>{lookName(look)}</h2>
        <RateBar rate={calls.run} label="run" onOpen={() => onReel('runs')} />
      </div>
      <Chalk
        book={book}
        profile={profile}
        fields={fields}
        hash={null}
        uses={drawn}
        height={170}
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
        {uses.map((use) => (
          <button
            key={use.key}
            type="button"
            className="plain"
            title={usedSuccess(use)}
            aria-label={`${usedWords(use)} ${use.rows.length}, ${usedSuccess(use)}, open the reel`}
            onClick={() => onReel(use.key)}
          >
            {usedWords(use)} {use.rows.length}
          </button>
        ))}
        <button type="button" className="plain quiet" onClick={() => onReel('all')}>
          all {calls.rows.length}
        </button>
      </div>
    </div>
  );
}
