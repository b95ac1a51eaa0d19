'use client';
/** Below the situation board: boards as tables, pictures with one play, drives and series; and what a number opens. */
import dynamic from 'next/dynamic';
import type { Book } from '@/core/book';
import type { Zone } from '@/core/field/situation';
import { ofKicks, writeFilter, type Counted, type CountedSnap } from '@/core/read';
import BoardsCard from './BoardsCard';
import type { SetAddress } from './ReadFilters';
import type { Reading } from './useReading';

const LookOfCard = dynamic(() => import('./LookOfCard'), { ssr: false });
const DriveChart = dynamic(() => import('./DriveChart'), { ssr: false });
const EfficiencyCard = dynamic(() => import('./EfficiencyCard'), { ssr: false });
const DefendersCard = dynamic(() => import('./DefendersCard'), { ssr: false });
const OnePlayCard = dynamic(() => import('./OnePlayCard'), { ssr: false });
const VarietyCard = dynamic(() => import('./VarietyCard'), { ssr: false });
const NumberReel = dynamic(() => import('./NumberReel'), { ssr: false });

interface ReadRestProps {
  readonly reading: Reading;
  /** What is counted, a moment later than the board above, and the snaps its rows are of. */
  readonly settled: Counted;
  readonly settledSnaps: readonly CountedSnap[];
  /** The formation whose card is open. */
  readonly look: number | null;
  readonly onLook: (look: number | null) => void;
  readonly own: string;
  readonly zones: readonly Zone[];
  readonly book: Book;
  readonly gameName: (key: string) => string;
  readonly setUrl: SetAddress;
}

export default function ReadRest(props: ReadRestProps) {
  const { reading, settled, settledSnaps, look, onLook, own, zones, book, gameName, setUrl } = props;
  const { address, counted, profile, snaps } = reading;
  const { cell, reel, filter, ranges } = address;
  // Parts of drives are no drives.
  const filtered = cell !== null || writeFilter(filter) !== null || Object.keys(ranges).length > 0;
  const looked = look === null ? undefined : settled.looks[look];
  const open = (name: string): void => setUrl({ reel: name }, true);
  return (
    <>
      {settled.rows.length > 0 && (
        <BoardsCard
          columns={settled.columns}
          rows={settled.cellRows}
          title={settled.cellTitle}
          side={settled.side}
          board={address.board}
          against={address.against}
          own={own}
          zones={zones}
          setUrl={setUrl}
        />
      )}
      {settled.side === 'offense' && settled.cellRows.length > 0 && (
        <OnePlayCard
          columns={settled.columns}
          rows={settled.cellRows}
          onOpen={(picture) => open(`o/${picture}`)}
        />
      )}
      {settled.side === 'offense' && settled.cellRows.length > 0 && (
        <VarietyCard columns={settled.columns} rows={settled.cellRows} onOpen={(part) => open(`y/${part}`)} />
      )}
      {settled.side === 'defense' && settled.cellRows.length > 0 && (
        <DefendersCard snaps={settledSnaps} rows={settled.cellRows} onOpen={(sign) => open(`p/${sign}`)} />
      )}
      {settled.rows.length > 0 && !ofKicks(settled.side) && (
        <EfficiencyCard
          snaps={settledSnaps}
          rows={settled.rows}
          team={address.team}
          side={settled.side === 'defense' ? 'defense' : 'offense'}
          filtered={filtered}
          onOpen={(figure) => open(`e/${figure}`)}
        />
      )}
      {settled.side === 'offense' && address.board === 'drives' && settled.rows.length > 0 && (
        <DriveChart
          snaps={settledSnaps}
          rows={settled.rows}
          filtered={filtered}
          gameName={gameName}
          onOpen={(drive) => open(`v/${drive}`)}
        />
      )}
      {reel !== null && !reel.startsWith('d/') && (
        <NumberReel
          name={reel}
          team={address.team}
          own={own}
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
          columns={settled.columns}
          look={looked}
          book={book}
          profile={profile}
          onAnswer={(i) => open(`answer.${look}.${i}`)}
          onClose={() => onLook(null)}
        />
      )}
    </>
  );
}
