'use client';
/** Read with its film. What counts and draws it comes beside the film, so that the page is alive before. */
import { useMemo } from 'react';
import type { Book } from '@/core/book';
import { filmPath } from '../film/path';
import { WithFilm } from '../film/WithFilm';
import type { ReadScreenProps } from './ReadScreen';
import { part } from '../shared/part';

const load = () => import('./ReadScreen');
// Asked for when this script runs: before the page is alive, and beside the film.
if (typeof window !== 'undefined') void load().catch(() => undefined);
const ReadScreen = part(load, <section className="card" aria-label="Situation board" aria-busy="true" />);

export function ReadPage({
  bookText,
  ...props
}: Omit<ReadScreenProps, 'games' | 'book'> & { readonly bookText: string }) {
  const book = useMemo(() => JSON.parse(bookText) as Book, [bookText]);
  return (
    <WithFilm path={filmPath()}>{(games) => <ReadScreen {...props} book={book} games={games} />}</WithFilm>
  );
}
