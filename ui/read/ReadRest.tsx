'use client';
/** Below the situation board: boards as tables, pictures with one play, drives and series; and what a number opens. */
import { memo } from 'react';
import type { Book } from '@/core/book';
import type { Zone } from '@/core/field/situation';
import {
  ofKicks,
  type AdjustBook,
  type Contrast,
  type Counted,
  type CountedSnap,
  type FilmToMeasure,
} from '@/core/read';
import BoardsCard from './BoardsCard';
import type { SetAddress } from './ReadFilters';
import { useMeasured } from './useMeasured';
import type { Reading } from './useReading';
import { part } from '../shared/part';

const LookOfCard = part(() => import('./LookOfCard'));
const DriveChart = part(() => import('./DriveChart'));
const EfficiencyCard = part(() => import('./EfficiencyCard'));
const DefendersCard = part(() => import('./DefendersCard'));
const OnePlayCard = part(() => import('./OnePlayCard'));
const JudgedCards = part(() => import('./JudgedCards'));
const VarietyCard = part(() => import('./VarietyCard'));
const NumberReel = part(() => import('./NumberReel'));

/** What is counted, a moment later than the board above: the snaps its rows are of, whose they are, and whether parts were taken away. */
export interface Settled {
  readonly counted: Counted;
  readonly snaps: readonly CountedSnap[];
  /** The same as they travel. */
  readonly film: FilmToMeasure;
  readonly team: string;
  /** Parts of drives are no drives. */
  readonly filtered: boolean;
}

interface CardsProps {
  readonly settled: Settled;
  readonly board: string | null;
  readonly picture: boolean;
  readonly against: Contrast | null;
  readonly own: string;
  readonly zones: readonly Zone[];
  readonly gameName: (key: string) => string;
  readonly setUrl: SetAddress;
  readonly drawn: AdjustBook;
  /** Of the team's practice film, by concept. */
  readonly reps: ReadonlyMap<string, number>;
}

/** Anew when what is counted has settled, not with each click above. */
const Cards = memo(function Cards(props: CardsProps) {
  const { settled, board, picture, against, own, zones, gameName, setUrl, drawn, reps } = props;
  const { counted, snaps, film, team, filtered } = settled;
  const { side, columns, rows, cellRows } = counted;
  const measured = useMeasured(snaps, film);
  const open = (name: string): void => setUrl({ reel: name }, true);
  if (rows.length === 0) return null;
  return (
    <>
      <BoardsCard
        columns={columns}
        rows={cellRows}
        title={counted.cellTitle}
        side={side}
        board={board}
        picture={picture}
        against={against}
        own={own}
        zones={zones}
        setUrl={setUrl}
      />
      {side === 'offense' && cellRows.length > 0 && !measured && (
        <section className="card" aria-label="One picture, one play" aria-busy="true" />
      )}
      {side === 'offense' && cellRows.length > 0 && measured && (
        <>
          <OnePlayCard columns={columns} rows={cellRows} onOpen={(picture) => open(`o/${picture}`)} />
          <VarietyCard columns={columns} rows={cellRows} onOpen={(part) => open(`y/${part}`)} />
          <JudgedCards
            snaps={snaps}
            columns={columns}
            rows={cellRows}
            drawn={drawn}
            reps={reps}
            onOpen={(place) => open(`j/${place}`)}
          />
        </>
      )}
      {side === 'defense' && cellRows.length > 0 && (
        <DefendersCard snaps={snaps} rows={cellRows} onOpen={(sign) => open(`p/${sign}`)} />
      )}
      {!ofKicks(side) && (
        <EfficiencyCard
          snaps={snaps}
          rows={rows}
          team={team}
          side={side === 'defense' ? 'defense' : 'offense'}
          filtered={filtered}
          onOpen={(figure) => open(`e/${figure}`)}
        />
      )}
      {side === 'offense' && board === 'drives' && (
        <DriveChart
          snaps={snaps}
          rows={rows}
          filtered={filtered}
          gameName={gameName}
          onOpen={(drive) => open(`v/${drive}`)}
        />
      )}
    </>
  );
});

interface ReadRestProps extends CardsProps {
  readonly reading: Reading;
  /** The formation whose card is open. */
  readonly look: number | null;
  readonly onLook: (look: number | null) => void;
  readonly book: Book;
}

export default function ReadRest({ reading, look, onLook, book, ...cards }: ReadRestProps) {
  const { settled, own, zones, gameName, setUrl } = cards;
  const { address, counted, profile, snaps } = reading;
  const { reel } = address;
  const looked = look === null ? undefined : settled.counted.looks[look];
  return (
    <>
      <Cards {...cards} />
      {reel !== null && !reel.startsWith('d/') && (
        <NumberReel
          name={reel}
          team={address.team}
          own={own}
          drawn={cards.drawn}
          reps={cards.reps}
          counted={counted}
          zones={zones}
          snaps={snaps}
          book={book}
          profile={profile}
          gameName={gameName}
          onClose={() => setUrl({ reel: null })}
        />
      )}
      {looked && (
        <LookOfCard
          columns={settled.counted.columns}
          look={looked}
          book={book}
          profile={profile}
          onAnswer={(i) => setUrl({ reel: `answer.${look}.${i}` }, true)}
          onClose={() => onLook(null)}
        />
      )}
    </>
  );
}
