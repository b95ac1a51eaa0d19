'use client';
/** The staff's words, each drawn from what it means: look one up, add, draw, merge, split; and the play list. */
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useMemo, useRef, useState, useTransition } from 'react';
import {
  DEFINED_KINDS,
  formationStructure,
  isDrawn,
  normalizePhrase,
  phrasesOf,
  readDefinition,
  storedValue,
  TERM_KIND_LABEL,
  TERM_KINDS,
  type Book,
  type DefinedKind,
  type Term,
  type TermKind,
} from '@/core/book';
import { writeBook } from '@/core/book/term';
import type { LevelKey, Profiles, Side } from '@/core/field';
import type { BookAnswer, BookChangeInfo, GameInfo, SplitPreview } from '@/core/exchange/types';
import type { Pulled } from '@/core/sync';
import type { SlimSnap } from '@/core/snap';
import { TermChalk } from '../chalk/Chalk';
import type { View } from '@/client/outbox';
import { filmPath, WithFilm } from '../film/WithFilm';
import { useUrlState } from '../useUrlState';
import { Unsettled } from '../sync/Unsettled';
import { PlayList } from './PlayList';
import { NotationField } from './NotationField';
import { TermPanel } from './TermPanel';
import { isRowChange, useBook, type RowChange } from './use-book';
import { AliasDialog, listOf, MergeDialog, SplitDialog } from './WordDialogs';
import { TextBox } from '../shared/TextBox';

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
  readonly own: readonly { readonly info: GameInfo; readonly snaps: readonly SlimSnap[] }[];
  readonly act: (change: unknown) => Promise<{ ok: true; value: string } | { ok: false; words: string }>;
  readonly preview: (
    question: unknown,
  ) => Promise<{ ok: true; value: SplitPreview } | { ok: false; words: string }>;
  readonly mayMerge: boolean;
  readonly mayAdd: boolean;
  readonly mayPlay: boolean;
  readonly mayImport: boolean;
}

/** Runs a change of a word or play, or a command of the server, and says what came of it. */
export type Run = (
  change: RowChange | { readonly op: string; readonly [field: string]: unknown },
  after?: (a: BookAnswer) => void,
) => void;
type Open = { readonly what: 'merge' | 'split' | 'aliases'; readonly term: Term } | null;
const isDefined = (kind: string): kind is DefinedKind => (DEFINED_KINDS as readonly string[]).includes(kind);

/** The Book with the own film, which the play list counts. */
export const BookPage = (props: Omit<BookScreenProps, 'own'>) => (
  <WithFilm path={filmPath(props.team)}>{(own) => <BookScreen {...props} own={own} />}</WithFilm>
);

export function BookScreen(props: BookScreenProps) {
  const { book, plays, unsettled, view, change: changeRow } = useBook(props.base, props.terms, props.plays);
  const { use, act, mayAdd, mayMerge, level, profiles } = props;
  const profile = profiles[level];
  const [url, setUrl] = useUrlState();
  const [answer, setAnswer] = useState<BookAnswer | null>(null);
  const [busy, begin] = useTransition();
  const command = async (change: { readonly op: string }): Promise<BookAnswer> => {
    try {
      const done = await act(change);
      return done.ok ? { ok: true, words: done.value, id: null } : { ok: false, words: done.words, id: null };
    } catch {
      return {
        ok: false,
        words: 'The server does not answer; nothing was changed. Merging, splitting and importing need it.',
        id: null,
      };
    }
  };
  const [open, setOpen] = useState<Open>(null);
  const openedOn = useRef<View | undefined>(undefined);
  const file = useRef<HTMLInputElement>(null);
  const tab =
    url.get('kind') === 'plays'
      ? 'plays'
      : (TERM_KINDS as readonly string[]).includes(url.get('kind') ?? '')
        ? (url.get('kind') as TermKind)
        : 'formation';
  const find = normalizePhrase(url.get('find') ?? '');
  const kind: TermKind = tab === 'plays' ? 'formation' : tab;
  const terms = useMemo(
    () =>
      book.terms.filter((t) => (find === '' ? t.kind === kind : phrasesOf(t).some((p) => p.includes(find)))),
    [book, find, kind],
  );
  const chosen = book.terms.find((t) => t.id === url.get('term')) ?? null;
  const side: Side = url.get('side') === 'L' ? 'L' : 'R';
  const count = (t: Term) => use[`${t.kind}|${storedValue(t)}`] ?? 0;
  const run: Run = (change, after) =>
    begin(async () => {
      const result = isRowChange(change)
        ? await changeRow(change, open ? openedOn.current : undefined)
        : await command(change);
      setAnswer(result);
      if (result.ok) after?.(result);
    });
  const save = () => {
    const a = document.createElement('a');
    a.href = URL.createObjectURL(new Blob([writeBook(book)], { type: 'application/json' }));
    a.download = 'book.json';
    a.click();
    setTimeout(() => URL.revokeObjectURL(a.href), 1000);
  };
  const choose = (t: Term | null) => setUrl({ term: t?.id ?? null, side: null });

  return (
    <>
      <div className="toolbar">
        <h1>Book</h1>
        <span className="small quiet">
          {book.name}: {book.terms.length} terms, {plays.length} plays
        </span>
        <TextBox
          label="find a term"
          value={url.get('find') ?? ''}
          onChange={(e) => setUrl({ find: e.target.value || null })}
        />
        <span style={{ marginLeft: 'auto', display: 'flex', gap: 8, flexWrap: 'wrap' }}>
          {mayAdd && (
            <Button variant="contained" component={Link} href="/book/draw">
              Draw a formation
            </Button>
          )}
          <Button variant="outlined" href="/api/book/cards">
            Formation sheet
          </Button>
          <Button onClick={save}>Save book.json</Button>
          {props.mayImport && (
            <>
              <Button onClick={() => file.current?.click()} disabled={busy}>
                Import book.json
              </Button>
              <input
                ref={file}
                type="file"
                accept="application/json,.json"
                hidden
                aria-label="book.json to bring"
                onChange={(e) => {
                  const f = e.target.files?.[0];
                  e.target.value = '';
                  if (f) void f.text().then((text) => run({ op: 'import', text }));
                }}
              />
              <Button disabled={busy} onClick={() => run({ op: 'adopt' })}>
                Add general terms
              </Button>
            </>
          )}
        </span>
      </div>
      <div className="toolbar" role="group" aria-label="Kinds of terms" style={{ gap: 2 }}>
        {TERM_KINDS.map((k) => (
          <Button
            key={k}
            variant={tab === k && find === '' ? 'contained' : 'text'}
            aria-pressed={tab === k}
            onClick={() => setUrl({ kind: k, find: null, term: null, side: null })}
          >
            {TERM_KIND_LABEL[k]} {book.terms.filter((t) => t.kind === k).length}
          </Button>
        ))}
        <Button
          variant={tab === 'plays' ? 'contained' : 'text'}
          aria-pressed={tab === 'plays'}
          onClick={() => setUrl({ kind: 'plays', find: null, term: null })}
        >
          play list {plays.length}
        </Button>
      </div>
      {unsettled.length > 0 && (
        <div className="card" role="alert">
          <ul className="plainlist" aria-label="Changes to settle">
            {unsettled.map((q) => (
              <Unsettled key={q.op.id} entry={q} />
            ))}
          </ul>
        </div>
      )}
      {answer && (
        <Alert severity={answer.ok ? 'success' : 'error'} variant="outlined" onClose={() => setAnswer(null)}>
          {answer.words}
        </Alert>
      )}
      {tab === 'plays' && find === '' ? (
        <PlayList {...props} book={book} plays={plays} profile={profile} busy={busy} run={run} />
      ) : (
        <div className="bookgrid">
          <section className="card" aria-label="Words">
            <ul className="termcards">
              {terms.map((t) => (
                <li key={t.id}>
                  <button type="button" aria-current={chosen?.id === t.id} onClick={() => choose(t)}>
                    {isDrawn(t) && <TermChalk book={book} profile={profile} term={t} height={96} />}
                    <span className="line">
                      <strong>{t.word}</strong>
                      <span className="small quiet">{t.kind === 'tag' ? '' : count(t) || ''}</span>
                    </span>
                    <span className="small quiet">
                      {[
                        find === '' ? '' : t.kind,
                        t.spots && t.kind === 'formation'
                          ? formationStructure(book, t, 'R', profile).label
                          : '',
                        t.aliases.slice(0, 2).join(', '),
                      ]
                        .filter(Boolean)
                        .join(' · ')}
                    </span>
                  </button>
                </li>
              ))}
            </ul>
            {terms.length === 0 && (
              <p className="quiet">
                {find === ''
                  ? 'No term of this kind yet. Add one at the right.'
                  : `No term of the book fits “${find}”.`}
              </p>
            )}
          </section>
          <div style={{ display: 'grid', gap: 12, alignContent: 'start' }}>
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
                onSide={(s) => setUrl({ side: s })}
                onClose={() => choose(null)}
                onAliases={() => {
                  openedOn.current = view();
                  setOpen({ what: 'aliases', term: chosen });
                }}
                onMerge={() => setOpen({ what: 'merge', term: chosen })}
                onSplit={() => setOpen({ what: 'split', term: chosen })}
                onRemove={() => run({ op: 'remove', id: chosen.id }, () => choose(null))}
                onDefine={(definition) => run({ op: 'change', id: chosen.id, kind: chosen.kind, definition })}
              />
            )}
            {mayAdd && (
              <AddTerm
                key={kind}
                kind={kind}
                busy={busy}
                onAdd={(change, done) =>
                  run(change, (a) => {
                    done();
                    setUrl({ term: a.id });
                  })
                }
              />
            )}
            {props.changes.length > 0 && (
              <section className="card" aria-label="Merges and splits">
                <h2>Merges and splits</h2>
                <ul className="todo">
                  {props.changes.slice(0, 6).map((c) => (
                    <li key={c.id}>
                      {c.words}, {c.snaps} {c.snaps === 1 ? 'snap' : 'snaps'}{' '}
                      <span className="small quiet">
                        {c.by}, {c.at.slice(0, 10)}
                      </span>{' '}
                      {c.undone ? (
                        <span className="small quiet">undone</span>
                      ) : (
                        mayMerge && (
                          <button
                            type="button"
                            className="plain small"
                            disabled={busy}
                            onClick={() => run({ op: 'undo', id: c.id })}
                            aria-label={`undo: ${c.words}`}
                          >
                            undo
                          </button>
                        )
                      )}
                    </li>
                  ))}
                </ul>
              </section>
            )}
          </div>
        </div>
      )}
      {open?.what === 'merge' && (
        <MergeDialog
          book={book}
          term={open.term}
          count={count(open.term)}
          busy={busy}
          onClose={() => setOpen(null)}
          onMerge={(keep) =>
            run({ op: 'merge', keep, drop: open.term.id }, () => {
              setOpen(null);
              setUrl({ term: keep });
            })
          }
        />
      )}
      {open?.what === 'split' && (
        <SplitDialog
          book={book}
          term={open.term}
          busy={busy}
          preview={props.preview}
          onClose={() => setOpen(null)}
          onSplit={(change) =>
            run(change as { readonly op: string; readonly [field: string]: unknown }, () => setOpen(null))
          }
        />
      )}
      {open?.what === 'aliases' && (
        <AliasDialog
          term={open.term}
          busy={busy}
          onClose={() => setOpen(null)}
          onKeep={(aliases, notes) =>
            run({ op: 'change', id: open.term.id, kind: open.term.kind, aliases, notes }, () => setOpen(null))
          }
        />
      )}
    </>
  );
}

function AddTerm({
  kind,
  busy,
  onAdd,
}: {
  kind: TermKind;
  busy: boolean;
  onAdd: (change: RowChange, done: () => void) => void;
}) {
  const [word, setWord] = useState('');
  const [aliases, setAliases] = useState('');
  const [definition, setDefinition] = useState('');
  const read = isDefined(kind) && definition.trim() !== '' ? readDefinition(kind, definition) : null;
  return (
    <form
      className="card"
      style={{ display: 'grid', gap: 10, alignContent: 'start' }}
      onSubmit={(e) => {
        e.preventDefault();
        onAdd(
          {
            op: 'add',
            kind,
            word,
            aliases: listOf(aliases),
            definition: definition.trim() === '' ? null : definition,
          },
          () => {
            setWord('');
            setAliases('');
            setDefinition('');
          },
        );
      }}
    >
      <h2>Add to {TERM_KIND_LABEL[kind]}</h2>
      <TextBox
        label="Word"
        required
        value={word}
        onChange={(e) => setWord(e.target.value)}
        htmlInput={{ maxLength: 60 }}
      />
      <TextBox
        label="Also said"
        placeholder="tight trips, tt"
        value={aliases}
        onChange={(e) => setAliases(e.target.value)}
        helperText="commas between"
      />
      {isDefined(kind) && (
        <NotationField
          kind={kind}
          text={definition}
          read={read}
          note="may stay empty"
          onText={setDefinition}
        />
      )}
      {(kind === 'formation' || kind === 'backfield') && (
        <p className="small quiet">
          A name alone is not drawn. <Link href="/book/draw">Draw a formation</Link> gives it its points.
        </p>
      )}
      <Button type="submit" variant="contained" disabled={busy || (read !== null && !read.ok)}>
        Add
      </Button>
    </form>
  );
}
