'use client';
/** A front with its coverage, drawn: where each man goes, how the rush comes, and what the film says of it. */
import { useMemo } from 'react';
import type { Book } from '@/core/book';
import type { LevelProfile } from '@/core/field/profile';
import { intervalText, playedAgainst, playedFields, saidText, type PlayedCard as Card } from '@/core/read';
import { Chalk } from '../chalk/Chalk';
import { RateBar } from '../charts/RateBar';

interface PlayedCardProps {
  readonly card: Card;
  readonly book: Book;
  readonly profile: LevelProfile;
  /** "" all of its snaps, "/shell" a part of them. */
  readonly onReel: (part: string) => void;
}

export function PlayedCard({ card, book, profile, onReel }: PlayedCardProps) {
  const fields = useMemo(() => playedFields(card), [card]);
  return (
    <div className="look">
      <div className="cardhead">
        <h2>{card.words}</h2>
        <RateBar rate={card.rate} label="" onOpen={() => onReel('')} />
      </div>
      {card.look && (
        <Chalk
          book={book}
          profile={profile}
          fields={fields}
          hash={null}
          height={190}
          caption={false}
          jobs
          lanes
        />
      )}
      <div className="small lookdoors">
        {card.said.map((said) => (
          <button key={said.key} type="button" className="plain" onClick={() => onReel(`/${said.key}`)}>
            {saidText(said)} <span className="quiet">{intervalText(said.rate)}</span>
          </button>
        ))}
        <span className="quiet">{playedAgainst(card)}</span>
      </div>
    </div>
  );
}
