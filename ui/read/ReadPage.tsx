'use client';
/** Read with its film. What counts and draws it comes beside the film, so that the page is alive before. */
import { useMemo, type ReactNode } from 'react';
import type { Book } from '@/core/book';
import { filmPath } from '../film/path';
import { WithFilm } from '../film/WithFilm';
import type { ReadScreenProps } from './ReadScreen';
import { part } from '../shared/part';

/** The board as the server drew it: it stands until this page draws its own. */
interface Served {
  readonly first: ReactNode;
}

const load = () => import('./ReadScreen');
// Asked for when this script runs: before the page is alive, and beside the film.
if (typeof window !== 'undefined') void load().catch(() => undefined);
const ReadScreen = part<ReadScreenProps & Served>(load, ({ first }) => first);

export function ReadPage({
  bookText,
  ...props
}: Omit<ReadScreenProps, 'games' | 'book'> & Served & { readonly bookText: string }) {
  const book = useMemo(() => JSON.parse(bookText) as Book, [bookText]);
  return (
    <WithFilm path={filmPath()} waiting={props.first}>
      {(games) => <ReadScreen {...props} book={book} games={games} />}
    </WithFilm>
  );
}
