'use client';
/** Read of a defense: what it plays against each structure, shown against played, who comes; a cell opened into its looks. */
import { plural } from '@/core/rules/plural';
import { useMemo } from 'react';
import type { Book } from '@/core/book';
import type { LevelProfile } from '@/core/field/profile';
import {
  cellRowsOf,
  defenseBoard,
  defenseReel,
  playedCards,
  playedReel,
  SITUATION_CLASSES,
  structureWords,
  type CountedSnap,
  type Counted,
  type ReadAddress,
} from '@/core/read';
import { DefenseBoard } from './DefenseBoard';
import { PressureCard, ShownCard } from './DefenseCards';
import { PlayedCard } from './PlayedCard';
import type { SetAddress } from './ReadFilters';
import { Reel } from './Reel';

const MOST_ANSWERS = 5;

interface DefenseReadProps {
  readonly counted: Counted;
  readonly address: ReadAddress;
  readonly snaps: readonly CountedSnap[];
  readonly book: Book;
  readonly profile: LevelProfile;
  readonly gameName: (key: string) => string;
  readonly setUrl: SetAddress;
}

export default function DefenseRead(props: DefenseReadProps) {
  const { counted, address, snaps, book, profile, gameName, setUrl } = props;
  const { columns, rows } = counted;
  const board = useMemo(() => defenseBoard(columns, rows), [columns, rows]);
  const [structure, to, situation] = (address.at ?? '').split('.');
  const chosen = board.structures.find((s) => s.key === `${structure}.${to}`) ?? board.structures[0] ?? null;
  const within = address.at === null ? null : (SITUATION_CLASSES.find((c) => c.key === situation) ?? null);
  const cellRows = useMemo(
    () => (chosen ? cellRowsOf(chosen, within?.key ?? null) : new Uint32Array(0)),
    [chosen, within],
  );
  const cards = useMemo(() => playedCards(columns, cellRows, MOST_ANSWERS), [columns, cellRows]);
  const open = (reel: string): void => setUrl({ reel }, true);
  const [, what, which = '', key = ''] = address.reel?.split('/') ?? [];
  const named = !address.reel?.startsWith('d/')
    ? null
    : what === 'answer'
      ? playedReel(cards, which, key)
      : defenseReel(address.reel, board);
  return (
    <>
      <div className="readgrid">
        <DefenseBoard
          board={board}
          columns={columns}
          book={book}
          profile={profile}
          at={address.at}
          onAt={(at) => setUrl({ at, reel: null })}
          onReel={open}
        />
        <section className="card looks" aria-label="What they answer with" tabIndex={0}>
          <header>
            <h2>
              {chosen ? structureWords(chosen) : 'No structure'}
              {within ? `, ${within.label}` : ''}
            </h2>
            {chosen && (
              <button
                type="button"
                className="plain small"
                onClick={() => open(`d/s/${chosen.key}/${within?.key ?? 'all'}`)}
              >
                {plural(cellRows.length, 'snap')}
              </button>
            )}
          </header>
          {cards.length === 0 && <p className="quiet">No front is tagged here.</p>}
          {cards.map((card, i) => (
            <PlayedCard
              key={card.words}
              card={card}
              book={book}
              profile={profile}
              onReel={(part) => open(`d/answer/${i}${part}`)}
            />
          ))}
          {cards.length > 0 && (
            <p className="small quiet">
              Drawn as the book has front and coverage, with the shell, the rotation and the pressure that
              most of the snaps show: dashed, where a man goes; arrows, how the rush comes.
            </p>
          )}
        </section>
        <ShownCard board={board} onReel={open} />
        <PressureCard board={board} onReel={open} />
      </div>
      {named && (
        <Reel
          title={named.title}
          snaps={[...named.rows].map((i) => snaps[i]!)}
          book={book}
          profile={profile}
          gameName={gameName}
          onClose={() => setUrl({ reel: null })}
        />
      )}
    </>
  );
}
