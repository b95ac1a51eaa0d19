'use client';
/** Views of Read the staff saved: opened by name, this one saved under a name, taken away again. */
import { useRouter, useSearchParams } from 'next/navigation';
import { useState } from 'react';
import type { SavedView } from '@/core/read/schema';
import { Choice } from '../shared/Choice';
import { useToast } from '../shared/toasts';

interface SavedViewsProps {
  readonly views: readonly SavedView[];
  readonly save: (given: unknown) => Promise<string | null>;
}

export default function SavedViews({ views, save }: SavedViewsProps) {
  const router = useRouter();
  const say = useToast();
  const params = new URLSearchParams(useSearchParams());
  params.delete('reel');
  const query = params.toString();
  const here = views.find((v) => v.query === query) ?? null;
  const [naming, setNaming] = useState(false);
  const [name, setName] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const put = async (given: { name: string; query: string | null }, words: string): Promise<void> => {
    const why = await save(given).catch(() => 'The server does not answer; nothing was saved.');
    setProblem(why);
    if (why !== null) return;
    setNaming(false);
    setName('');
    say(words);
    router.refresh();
  };
  return (
    <>
      {views.length > 0 && (
        <Choice
          label="saved views"
          value={here?.name ?? ''}
          width={150}
          options={[['', here ? '' : 'choose one'], ...views.map((v) => [v.name, v.name] as const)]}
          onChange={(to) => {
            const view = views.find((v) => v.name === to);
            if (view) router.push(`/read?${view.query}`);
          }}
        />
      )}
      {naming ? (
        <form
          className="savename"
          onSubmit={(e) => {
            e.preventDefault();
            void put({ name: name.trim(), query }, 'Saved for the staff');
          }}
        >
          <input
            aria-label="name of the view"
            placeholder="name of this view"
            value={name}
            maxLength={60}
            onChange={(e) => setName(e.target.value)}
            onKeyDown={(e) => {
              if (e.key === 'Escape') setNaming(false);
            }}
          />
          <button type="submit" className="button" disabled={name.trim() === ''}>
            save
          </button>
        </form>
      ) : here ? (
        <button
          type="button"
          className="plain small"
          onClick={() => void put({ name: here.name, query: null }, `${here.name} taken away`)}
        >
          forget this view
        </button>
      ) : (
        <button type="button" className="plain small" onClick={() => setNaming(true)}>
          save this view
        </button>
      )}
      {problem && (
        <span role="alert" className="small">
          {problem}
        </span>
      )}
    </>
  );
}
