'use client';
/** Keeps the snaps of an open reel: under a name of their own, or behind those of a reel there is. */
import Link from 'next/link';
import { useState } from 'react';
import type { Clip, ReelInfo } from '@/core/read/clips';
import { Choice } from '../../shared/Choice';
import type { KeptReels, Told } from './KeptReels';

interface KeepFormProps {
  readonly reels: KeptReels;
  readonly title: string;
  readonly clips: readonly Clip[];
  /** The address of Read that shows them; null: another screen. */
  readonly source: string | null;
}
const NO_ANSWER = { ok: false, words: 'The server does not answer; nothing was kept.' } as const;

export function KeepForm({ reels, title, clips, source }: KeepFormProps) {
  const [open, setOpen] = useState(false);
  const [list, setList] = useState<readonly ReelInfo[]>([]);
  const [name, setName] = useState('');
  const [to, setTo] = useState('');
  const [done, setDone] = useState<{ readonly id: string; readonly words: string } | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const keep = async (): Promise<void> => {
    setProblem(null);
    const answer: Told<{ id: string; words: string }> =
      to === ''
        ? await reels
            .create({ name, sentence: title, source, shared: false, clips })
            .then((told) => (told.ok ? { ok: true as const, value: { id: told.value, words: name } } : told))
            .catch(() => NO_ANSWER)
        : await reels
            .add({ id: to, clips })
            .then((told) =>
              told.ok
                ? { ok: true as const, value: { id: to, words: `${told.value} snaps there now` } }
                : told,
            )
            .catch(() => NO_ANSWER);
    if (!answer.ok) return setProblem(answer.words);
    setDone(answer.value);
    setOpen(false);
  };
  if (!open)
    return (
      <span className="small">
        {done && (
          <>
            kept: <Link href={`/read/reels/${done.id}`}>{done.words}</Link>{' '}
          </>
        )}
        <button
          type="button"
          className="plain"
          onClick={() => {
            setName(title.slice(0, 80));
            setOpen(true);
            // A new reel can be kept before it is known which there are.
            void reels
              .list()
              .then((told) => told.ok && setList(told.value))
              .catch(() => undefined);
          }}
        >
          keep this reel
        </button>
      </span>
    );
  return (
    <form
      className="savename wide"
      aria-label="Keep this reel"
      onSubmit={(e) => {
        e.preventDefault();
        void keep();
      }}
      onKeyDown={(e) => {
        e.stopPropagation();
        if (e.key === 'Escape') setOpen(false);
      }}
    >
      {list.length > 0 && (
        <Choice
          label="keep in"
          value={to}
          width={190}
          options={[['', 'a new reel'], ...list.map((r) => [r.id, r.name] as const)]}
          onChange={setTo}
        />
      )}
      {to === '' && (
        <input
          aria-label="name of the reel"
          value={name}
          maxLength={80}
          autoFocus
          onChange={(e) => setName(e.target.value)}
        />
      )}
      <button type="submit" className="button" disabled={to === '' && name.trim() === ''}>
        keep
      </button>
      {problem && (
        <span role="alert" className="small">
          {problem}
        </span>
      )}
    </form>
  );
}
