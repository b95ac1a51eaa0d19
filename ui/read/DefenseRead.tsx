'use client';
/** Read of a defense: what it plays against each structure, shown against played, who comes; a cell opened into its looks. */
import { useMemo } from 'react';
import type { Book } from '@/core/book';
import type { LevelProfile } from '@/core/field/profile';
import {
  answersIn,
  answerWords,
  cellRowsOf,
  defenseBoard,
  defenseReel,
  looksOf,
  SITUATION_CLASSES,
  structureWords,
  type CountedSnap,
  type Counted,
  type ReadAddress,
} from '@/core/read';
import { Chalk } from '../chalk/Chalk';
import { RateBar } from '../charts/RateBar';
import { DefenseBoard } from './DefenseBoard';
import { PressureCard, ShownCard } from './DefenseCards';
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
  const answers = useMemo(
    () => answersIn(columns, cellRows, MOST_ANSWERS).map((a) => ({ ...a, words: answerWords(a) })),
    [columns, cellRows],
  );
  const look = useMemo(() => looksOf(columns, cellRows)[0] ?? null, [columns, cellRows]);
  const open = (reel: string): void => setUrl({ reel }, true);
  const named = address.reel?.startsWith('d/') ? defenseReel(address.reel, board, answers) : null;
  const first = answers[0];
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
        <section className="card" aria-label="What they answer with">
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
                {cellRows.length} snaps
              </button>
            )}
          </header>
          {look && first && (
            <Chalk
              book={book}
              profile={profile}
              fields={{
                formation: look.formation,
                formationSide: look.side,
                backfield: look.backfield,
                front: first.front,
                coverage: first.coverage,
              }}
              hash={null}
              height={230}
              caption={false}
            />
          )}
          {answers.length === 0 && <p className="quiet">No front is tagged here.</p>}
          <ul className="plainlist">
            {answers.map((answer, i) => (
              <li key={answer.words} className="cardhead">
                <span>{answer.words}</span>
                <RateBar rate={answer.rate} label="" onOpen={() => open(`d/answer/${i}`)} />
              </li>
            ))}
          </ul>
          {look && (
            <p className="small quiet">
              Drawn: their usual answer against the formation seen most here, as the book draws both.
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
