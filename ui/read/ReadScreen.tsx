'use client';
/** Read: filters, situation board, formations of the chosen cell, the reel behind every number. */
import { useCallback, useMemo, useState } from 'react';
import { gameNames } from '@/core/exchange/names';
import type { TeamInfo } from '@/core/exchange/types';
import type { SavedView } from '@/core/read/schema';
import { ofKicks, repsOf, usualTeam, writeCell, writeFilter, type Cell, type Contrast } from '@/core/read';
import { useAfterPaint } from '../shared/afterPaint';
import { useScreenCommands } from '../shared/commands';
import { READ } from '../shared/screen-commands/read';
import { useStaffRules } from '../StaffRules';
import { useUrlState } from '../useUrlState';
import { ReadFilters } from './ReadFilters';
import { SituationCard } from './SituationCard';
import { useReading, type ReadFilm } from './useReading';
import { part } from '../shared/part';

const LooksCard = part(
  () => import('./LooksCard'),
  <section className="card looks" aria-label="Formations" aria-busy="true" />,
);

const DefenseRead = part(
  () => import('./DefenseRead'),
  <section className="card" aria-label="Defense" aria-busy="true" />,
);

const ReadRest = part(
  () => import('./ReadRest'),
  <section className="card" aria-label="Boards" aria-busy="true" />,
);

export interface ReadScreenProps extends ReadFilm {
  readonly teams: readonly TeamInfo[];
  readonly opponent: string | null;
  /** The program's team. */
  readonly own: string;
  /** Saved for the staff, by name. */
  readonly views: readonly SavedView[];
  readonly saveView: (given: unknown) => Promise<string | null>;
}

export default function ReadScreen(props: ReadScreenProps) {
  const { games, teams, book, level, opponent, own } = props;
  const [url, setUrl] = useUrlState();
  const { zones, look } = useStaffRules();
  const nameOf = useCallback((key: string): string => teams.find((t) => t.key === key)?.name ?? key, [teams]);
  const nameOfGame = useMemo(
    () =>
      gameNames(
        games.map((g) => g.info),
        nameOf,
      ),
    [games, nameOf],
  );
  const reading = useReading(props, url, usualTeam(opponent, teams), nameOf);
  const { address, counted, film, profile, snaps } = reading;
  const { team, cell, reel } = address;
  const filtered =
    cell !== null || writeFilter(address.filter) !== null || Object.keys(address.ranges).length > 0;
  // The board of a choice stands first; formations and tables follow in the next frames, all of the same snaps.
  const settled = useAfterPaint(
    useMemo(() => ({ counted, snaps, film, team, filtered }), [counted, snaps, film, team, filtered]),
  );
  const drawn = useMemo(() => ({ book, profile, settings: look }), [book, profile, look]);
  const reps = useMemo(() => repsOf(games, team), [games, team]);
  const said = JSON.stringify(address.against);
  const against = useMemo(() => JSON.parse(said) as Contrast | null, [said]);
  const [card, setCard] = useState<number | null>(null);
  const chosen = cell && writeCell(cell);
  const onCell = useCallback(
    (to: Cell) => setUrl({ cell: writeCell(to) === chosen ? null : writeCell(to), reel: null }),
    [chosen, setUrl],
  );
  const doors = useMemo(
    () => ({ onCell, onReel: (name: string) => setUrl({ reel: name }, true) }),
    [onCell, setUrl],
  );
  useScreenCommands(READ, {
    reel: () => setUrl({ reel: 'all' }, true),
    whole: cell ? () => setUrl({ cell: null, reel: null }) : undefined,
    unfilter: writeFilter(address.filter) ? () => setUrl({ filter: null, reel: null }) : undefined,
  });
  return (
    <>
      <h1 className="hide">Read: {nameOf(address.team)}</h1>
      <ReadFilters
        views={props.views}
        saveView={props.saveView}
        reading={reading}
        games={games}
        teams={teams}
        level={level}
        setUrl={setUrl}
      />
      {counted.rows.length === 0 ? (
        <section className="card">
          <p>
            No snaps fit.{' '}
            {games.length === 0
              ? 'Log a game first, then read it here.'
              : filtered
                ? 'Take a filter away, or choose another team.'
                : 'None of theirs is logged on this film: log a game of theirs, or choose another team, side or film.'}
          </p>
        </section>
      ) : address.side === 'defense' ? (
        <DefenseRead
          counted={counted}
          address={address}
          snaps={snaps}
          book={book}
          profile={profile}
          gameName={nameOfGame}
          setUrl={setUrl}
        />
      ) : ofKicks(address.side) ? null : (
        <div className="readgrid">
          <SituationCard board={counted.board} cell={cell} zones={zones} doors={doors} />
          <LooksCard
            counted={settled.counted}
            ofCell={cell !== null}
            book={book}
            profile={profile}
            setUrl={setUrl}
            onCard={setCard}
          />
        </div>
      )}
      {(counted.rows.length > 0 || reel !== null) && (
        <ReadRest
          reading={reading}
          settled={settled}
          board={address.board}
          picture={address.picture}
          against={against}
          look={card}
          onLook={setCard}
          own={own}
          zones={zones}
          book={book}
          drawn={drawn}
          reps={reps}
          gameName={nameOfGame}
          setUrl={setUrl}
        />
      )}
    </>
  );
}
