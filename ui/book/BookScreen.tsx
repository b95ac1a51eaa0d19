'use client';
/** The staff's words, each drawn from what it means: look one up, add, draw, merge, split; and the play list. */
import { useRouter } from 'next/navigation';
import { useMemo, useRef, useState } from 'react';
import {
  normalizePhrase,
  phrasesOf,
  storedValue,
  TERM_KINDS,
  type Book,
  type Term,
  type TermKind,
} from '@/core/book';
import type { LevelKey, Profiles, Side } from '@/core/field';
import type { BookChangeInfo } from '@/core/exchange/types';
import type { Pulled } from '@/core/sync';
import type { View } from '@/client/outbox';
import { useScreenCommands } from '../shared/commands';
import { BOOK } from '../shared/screen-commands/book';
import { Said } from '../shared/Said';
import { Unsettled } from '../sync/Unsettled';
import { useUrlState } from '../useUrlState';
import { BookToolbar } from './BookToolbar';
import { ChangesCard } from './ChangesCard';
import { KindTabs } from './KindTabs';
import { TermCards } from './TermCards';
import type { OpenDialog, TermDialogsProps } from './TermDialogs';
import { useBook } from './use-book';
import { useBookRun, type ServerAct } from './useBookRun';
import { part } from '../shared/part';

const TermDialogs = part(() => import('./TermDialogs'));
const AddTerm = part(() => import('./AddTerm'));
const TermPanel = part(() => import('./TermPanel'));
const PlayList = part(() => import('./PlayList'));

export interface BookScreenProps {
  /** Name and letters; the words are rows. */
  readonly base: Book;
  readonly terms: Pulled;
  readonly use: Readonly<Record<string, number>>;
  readonly plays: Pulled;
  readonly changes: readonly BookChangeInfo[];
  readonly team: string;
  readonly level: LevelKey;
  readonly profiles: Profiles;
  readonly act: ServerAct;
  readonly preview: TermDialogsProps['preview'];
  readonly mayMerge: boolean;
  readonly mayAdd: boolean;
  readonly mayPlay: boolean;
  readonly mayImport: boolean;
}

const tabOf = (kind: string | null): TermKind | 'plays' =>
  kind === 'plays' ? 'plays' : (TERM_KINDS.find((k) => k === kind) ?? 'formation');

export function BookScreen(props: BookScreenProps) {
  const { use, act, mayAdd, mayMerge, level, profiles } = props;
  const { book, plays, unsettled, view, change } = useBook(props.base, props.terms, props.plays);
  const profile = profiles[level];
  const router = useRouter();
  const [url, setUrl] = useUrlState();
  const [open, setOpen] = useState<OpenDialog | null>(null);
  const openedOn = useRef<View | undefined>(undefined);
  const { run, busy, answer, settle } = useBookRun(change, act, () => (open ? openedOn.current : undefined));
  const findBox = useRef<HTMLInputElement>(null);
  const tab = tabOf(url.get('kind'));
  const kind: TermKind = tab === 'plays' ? 'formation' : tab;
  const find = normalizePhrase(url.get('find') ?? '');
  const terms = useMemo(
    () =>
      book.terms.filter((t) => (find === '' ? t.kind === kind : phrasesOf(t).some((p) => p.includes(find)))),
    [book, find, kind],
  );
  const chosen = book.terms.find((t) => t.id === url.get('term')) ?? null;
  const side: Side = url.get('side') === 'L' ? 'L' : 'R';
  const count = (term: Term): number => use[`${term.kind}|${storedValue(term)}`] ?? 0;
  const choose = (term: Term | null): void => setUrl({ term: term?.id ?? null, side: null });
  const openDialog = (what: OpenDialog['what'], term: Term): void => {
    openedOn.current = view();
    setOpen({ what, term });
  };
  useScreenCommands(BOOK, {
    find: () => findBox.current?.focus(),
    draw: mayAdd ? () => router.push('/book/draw') : undefined,
    mirror: chosen ? () => setUrl({ side: side === 'R' ? 'L' : 'R' }) : undefined,
    close: chosen ? () => choose(null) : undefined,
  });
  return (
    <>
      <BookToolbar
        book={book}
        plays={plays.length}
        find={url.get('find') ?? ''}
        findRef={findBox}
        busy={busy}
        mayAdd={mayAdd}
        mayImport={props.mayImport}
        onFind={(text) => setUrl({ find: text })}
        run={run}
      />
      <KindTabs
        book={book}
        plays={plays.length}
        tab={tab}
        finding={find !== ''}
        onTab={(to) => setUrl({ kind: to, find: null, term: null, side: null })}
      />
      {unsettled.length > 0 && (
        <div className="card" role="alert">
          <ul className="plainlist" aria-label="Changes to settle">
            {unsettled.map((queued) => (
              <Unsettled key={queued.op.id} entry={queued} />
            ))}
          </ul>
        </div>
      )}
      {answer && (
        <Said ok={answer.ok} onClose={settle}>
          {answer.words}
        </Said>
      )}
      {tab === 'plays' && find === '' ? (
        <PlayList
          book={book}
          plays={plays}
          team={props.team}
          profiles={profiles}
          profile={profile}
          level={level}
          mayPlay={props.mayPlay}
          busy={busy}
          run={run}
        />
      ) : (
        <div className="bookgrid">
          <TermCards
            book={book}
            profile={profile}
            terms={terms}
            chosen={chosen}
            find={find}
            count={count}
            onChoose={choose}
          />
          <div className="stack">
            {chosen && (
              <TermPanel
                key={chosen.id}
                book={book}
                profile={profile}
                term={chosen}
                count={count(chosen)}
                side={side}
                busy={busy}
                mayAdd={mayAdd}
                mayMerge={mayMerge}
                onSide={(to) => setUrl({ side: to })}
                onClose={() => choose(null)}
                onDialog={(what) => openDialog(what, chosen)}
                onRemove={() => run({ op: 'remove', id: chosen.id }, () => choose(null))}
                onDefine={(definition) => run({ op: 'change', id: chosen.id, kind: chosen.kind, definition })}
              />
            )}
            {mayAdd && (
              <AddTerm
                key={kind}
                kind={kind}
                book={book}
                profile={profile}
                busy={busy}
                onAdd={(added, done) =>
                  run(added, (bookAnswer) => {
                    done();
                    setUrl({ term: bookAnswer.id });
                  })
                }
              />
            )}
            <ChangesCard
              changes={props.changes}
              mayUndo={mayMerge}
              busy={busy}
              onUndo={(id) => run({ op: 'undo', id })}
            />
          </div>
        </div>
      )}
      {open && (
        <TermDialogs
          open={open}
          book={book}
          count={count(open.term)}
          busy={busy}
          preview={props.preview}
          run={run}
          onClose={() => setOpen(null)}
          onMerged={(into) => setUrl({ term: into })}
        />
      )}
    </>
  );
}
