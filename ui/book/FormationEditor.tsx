'use client';
/** A formation made by hand: eleven points on a field to scale, dragged or moved by keys, typed, or begun from another. */
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useMemo, useReducer, useRef, useState, useTransition } from 'react';
import {
  backfieldSpots,
  formationSpots,
  formatSpots,
  newBoard,
  onBoard,
  retypeMen,
  type Board,
  type BoardEvent,
  type Book,
  type Ground,
  type Term,
} from '@/core/book';
import type { BookAnswer } from '@/core/exchange/types';
import { fieldSides, type Hash, type LevelKey, type Profiles } from '@/core/field';
import { draw, lineUp, mirrorLineUp, shapeOf, structure, type Man } from '@/core/look';
import type { Pulled } from '@/core/sync';
import type { View } from '@/client/outbox';
import { useScreenCommands } from '../shared/commands';
import { DRAW } from '../shared/screen-commands/draw';
import { Said } from '../shared/Said';
import { useStaffRules } from '../StaffRules';
import { DrawField } from './DrawField';
import { DrawToolbar } from './DrawToolbar';
import { useBook } from './use-book';
import { WhatItIs } from './WhatItIs';
import type { NameFormProps, WordsFormProps } from './DrawForms';
import { part } from '../shared/part';

export interface FormationEditorProps {
  readonly base: Book;
  readonly terms: Pulled;
  readonly mayAdd: boolean;
  readonly profiles: Profiles;
  readonly level: LevelKey;
  /** Term to change, or to begin from. */
  readonly edit: string | null;
  readonly from: string | null;
  readonly name: string;
  readonly back: string | null;
}

const NameForm = part<NameFormProps>(() => import('./DrawForms').then((m) => ({ default: m.NameForm })));
const WordsForm = part<WordsFormProps>(() => import('./DrawForms').then((m) => ({ default: m.WordsForm })));

const AHEAD = 10;
const BEHIND = 13;

/** The men that a term draws: a backfield behind the first formation of the book, a new formation from it. */
function menOf(book: Book, source: Term | null, players: 11 | 7 | 5): Man[] {
  const first = book.terms.find((t) => t.kind === 'formation' && t.spots)?.spots ?? null;
  return source?.kind === 'backfield'
    ? lineUp(first, 'R', source.spots ?? null, shapeOf(players))
    : lineUp(source?.spots ?? first, 'R', null, shapeOf(players));
}

const reduce = (board: Board, { event, ground }: { event: BoardEvent; ground: Ground }): Board =>
  onBoard(board, event, ground);

export function FormationEditor(props: FormationEditorProps) {
  const { profiles, edit, back, mayAdd } = props;
  const { book, view, change: changeRow } = useBook(props.base, props.terms);
  const openedOn = useRef<View | undefined>(undefined);
  openedOn.current ??= view();
  const { strength } = useStaffRules().look;
  const router = useRouter();
  const source = book.terms.find((t) => t.id === (edit ?? props.from)) ?? null;
  const asBackfield = source?.kind === 'backfield';
  const [{ level, hash }, setGround] = useState<{ level: LevelKey; hash: Hash }>({
    level: props.level,
    hash: 'M',
  });
  const profile = profiles[level];
  const [board, dispatch] = useReducer(reduce, null, () => newBoard(menOf(book, source, profile.players)));
  const send = (event: BoardEvent): void => dispatch({ event, ground: { profile, hash } });
  const [word, setWord] = useState(edit ? (source?.word ?? '') : props.name);
  const [answer, setAnswer] = useState<BookAnswer | null>(null);
  const [unread, setUnread] = useState('');
  const [busy, start] = useTransition();
  const { men, trail } = board;
  useScreenCommands(DRAW, {
    undo: () => send({ type: 'undo' }),
    redo: () => send({ type: 'redo' }),
    mirror: () => send({ type: 'mirror' }),
  });

  const shown = useMemo(
    () => structure(men, fieldSides(profile, hash).field, strength),
    [men, profile, hash, strength],
  );
  const others = useMemo(() => ({ ...book, terms: book.terms.filter((t) => t.id !== edit) }), [book, edit]);
  const drawing = useMemo(() => {
    const moved = trail && trail.path.length > 1;
    return draw({
      men,
      hash,
      profile,
      numbers: true,
      ahead: AHEAD,
      behind: BEHIND,
      mover: trail?.letter ?? null,
      paths: moved ? [{ kind: 'motion', points: trail.path, end: 'arrow', by: trail.letter }] : [],
    });
  }, [men, hash, profile, trail]);
  const spotsOf = (list: readonly Man[]) =>
    asBackfield ? backfieldSpots(list) : formationSpots(list, profile);
  const place = (text: string): void => {
    const read = retypeMen(men, text, book, profile);
    send({ type: 'replace', men: read.men });
    setUnread(read.unknown.length > 0 ? `not understood: ${read.unknown.join(' ')}` : 'placed');
  };
  const chooseLevel = (to: LevelKey): void => {
    setGround({ level: to, hash });
    const shape = shapeOf(profiles[to].players);
    send({ type: 'replace', men: lineUp(formationSpots(men, profile), 'R', null, shape) });
  };
  // Formations are kept strong right; a side after the word turns them.
  const turned = !asBackfield && shown.side === 'L';
  const keep = (aliases: readonly string[]): void =>
    start(async () => {
      const kind = asBackfield ? 'backfield' : 'formation';
      const spots = spotsOf(turned ? mirrorLineUp(men) : men);
      const result = await changeRow(
        edit ? { op: 'change', id: edit, kind, aliases, spots } : { op: 'add', kind, word, aliases, spots },
        openedOn.current,
      );
      openedOn.current = undefined;
      setAnswer(result);
      if (result.ok && back) router.push(back);
    });

  return (
    <>
      <DrawToolbar
        title={edit ? `Draw “${source?.word ?? ''}”` : 'Draw a formation'}
        board={board}
        drawing={drawing}
        name={word || 'formation'}
        hash={hash}
        level={level}
        profiles={profiles}
        back={back}
        send={send}
        onStart={() => send({ type: 'replace', men: menOf(book, source, profile.players) })}
        onHash={(to) => setGround({ level, hash: to })}
        onLevel={chooseLevel}
      />
      {answer && (
        <Said ok={answer.ok} onClose={() => setAnswer(null)}>
          {answer.words}
          {answer.ok && !back && <Doors term={answer.id ?? ''} />}
        </Said>
      )}
      <div className="drawgrid">
        <DrawField
          board={board}
          drawing={drawing}
          structure={shown}
          profile={profile}
          hash={hash}
          behind={BEHIND}
          said={board.said ?? unread}
          send={send}
        />
        <div className="stack">
          <WhatItIs
            board={board}
            structure={shown}
            book={others}
            profile={profile}
            hash={hash}
            asBackfield={asBackfield}
          />
          {!asBackfield && (
            <WordsForm
              book={book}
              onPlace={place}
              onBegin={(spots) =>
                send({ type: 'replace', men: lineUp(spots, 'R', null, shapeOf(profile.players)) })
              }
            />
          )}
          <NameForm
            word={word}
            aliases={edit ? (source?.aliases.join(', ') ?? '') : ''}
            known={edit !== null}
            turned={turned}
            spots={formatSpots(spotsOf(men))}
            disabled={busy || !mayAdd}
            onWord={setWord}
            onKeep={keep}
          />
        </div>
      </div>
    </>
  );
}

/** To the term in the book, and to its card on paper. */
function Doors({ term }: { readonly term: string }) {
  const id = encodeURIComponent(term);
  return (
    <>
      {' '}
      · <Link href={`/book?term=${id}`}>see it in the Book</Link> ·{' '}
      <Link href={`/api/book/cards?term=${id}`}>print its card</Link>
    </>
  );
}
