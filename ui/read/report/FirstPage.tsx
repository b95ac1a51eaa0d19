'use client';
/** What the first page says: each sentence a door to its snaps. Its words may be the staff's, its numbers are counted. */
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { withHidden, withWordsFor, type BoardSide, type Sentence, type SentenceEdits } from '@/core/read';
import { useToast } from '../../shared/toasts';
import type { Told } from '../reels/KeptReels';
import { withWords } from './address';

export interface First {
  readonly team: string;
  readonly side: BoardSide;
  readonly sentences: readonly Sentence[];
  /** Left out by the staff. */
  readonly hidden: readonly Sentence[];
  readonly edits: SentenceEdits;
  readonly version: number;
}
interface FirstPageProps {
  readonly first: First;
  readonly query: string;
  /** Null: the member may not. */
  readonly save: SaveWords | null;
}
export type SaveWords = (given: unknown) => Promise<Told<number>>;

export function FirstPage({ first, query, save }: FirstPageProps) {
  const { team, side, sentences, hidden } = first;
  // What was just saved, until the page comes with it: a second change goes on from the first.
  const [kept, setKept] = useState({ edits: first.edits, version: first.version });
  const { edits, version } = kept.version > first.version ? kept : first;
  const [busy, setBusy] = useState(false);
  const router = useRouter();
  const say = useToast();
  /** The sentence whose words are open, or "own" for a new line; what is typed. */
  const [open, setOpen] = useState<string | null>(null);
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const keep = async (next: SentenceEdits, words: string): Promise<void> => {
    if (busy) return;
    setBusy(true);
    const told = await save!({ team, side, edits: next, version }).catch((): Told<number> => ({
      ok: false,
      words: 'The server does not answer; nothing was saved.',
    }));
    setBusy(false);
    setProblem(told.ok ? null : told.words);
    if (told.ok) {
      setKept({ edits: next, version: told.value });
      setOpen(null);
      say(words);
    }
    router.refresh();
  };
  const form = (label: string, done: (words: string) => void) => (
    <form
      className="savename wide"
      onSubmit={(e) => {
        e.preventDefault();
        done(typed.trim());
      }}
    >
      <input
        aria-label={label}
        value={typed}
        maxLength={300}
        autoFocus
        onChange={(e) => setTyped(e.target.value)}
        onKeyDown={(e) => {
          if (e.key === 'Escape') setOpen(null);
        }}
      />
      <button type="submit" className="button" disabled={typed.trim() === ''}>
        save
      </button>
      <button type="button" className="plain small" onClick={() => setOpen(null)}>
        leave it
      </button>
    </form>
  );
  const begin = (what: string, words: string): void => {
    setTyped(words);
    setOpen(what);
    setProblem(null);
  };
  const to = (s: Sentence): string =>
    `/read?${withWords(query, { sections: null, board: s.board, reel: s.reel })}`;
  return (
    <>
      {problem && (
        <div className="card flag" role="alert">
          {problem}
        </div>
      )}
      {edits.own.length > 0 && (
        <ul className="plainlist sentences" aria-label="Lines of our own">
          {edits.own.map((line, i) => (
            <li key={line}>
              <strong>{line}</strong>{' '}
              {save && (
                <button
                  type="button"
                  className="plain small"
                  aria-label={`take away: ${line}`}
                  onClick={() =>
                    void keep({ ...edits, own: edits.own.filter((_, k) => k !== i) }, 'The line is away')
                  }
                >
                  take away
                </button>
              )}
            </li>
          ))}
        </ul>
      )}
      <ol className="sentences" aria-label="Sentences">
        {sentences.map((s) => (
          <li key={s.reel}>
            {open === s.reel ? (
              form(
                `words for ${s.was ?? s.says}`,
                (words) =>
                  void keep(withWordsFor(edits, s.reel, words === s.was ? null : words), 'Said in our words'),
              )
            ) : (
              <>
                <Link href={to(s)}>
                  {s.says} {s.count}
                </Link>{' '}
                ({s.interval}); otherwise {s.otherwise}.
                {save && (
                  <span className="sentencetools">
                    <button
                      type="button"
                      className="plain small"
                      aria-label={`other words for ${s.says}`}
                      onClick={() => begin(s.reel, s.says)}
                    >
                      words
                    </button>
                    {s.was !== null && (
                      <button
                        type="button"
                        className="plain small"
                        title={s.was}
                        aria-label={`as counted: ${s.was}`}
                        onClick={() => void keep(withWordsFor(edits, s.reel, null), 'As it was counted')}
                      >
                        as counted
                      </button>
                    )}
                    <button
                      type="button"
                      className="plain small"
                      aria-label={`leave out: ${s.says}`}
                      onClick={() =>
                        void keep(withHidden(edits, s.reel, true), 'Left out; the next takes its place')
                      }
                    >
                      leave out
                    </button>
                  </span>
                )}
              </>
            )}
          </li>
        ))}
      </ol>
      {hidden.length > 0 && (
        <p className="small">
          Left out:{' '}
          {hidden.map((s) => (
            <span key={s.reel}>
              {s.says} {s.count}{' '}
              {save && (
                <button
                  type="button"
                  className="plain small"
                  aria-label={`bring back: ${s.says}`}
                  onClick={() => void keep(withHidden(edits, s.reel, false), 'It is back')}
                >
                  bring back
                </button>
              )}{' '}
            </span>
          ))}
        </p>
      )}
      {save &&
        (open === 'own' ? (
          form(
            'a line of our own',
            (line) => void keep({ ...edits, own: [...edits.own, line] }, 'The line stands first'),
          )
        ) : (
          <button type="button" className="plain small" onClick={() => begin('own', '')}>
            add a line of our own
          </button>
        ))}
    </>
  );
}
