'use client';
import type { ReactNode } from 'react';
import { FilmComes } from './FilmComes';
import { useFilm, type FilmGames } from '@/client/film';

/** A screen that counts film, once the film is here. */
export function WithFilm({
  path,
  waiting = <FilmComes />,
  children,
}: {
  path: string;
  /** Stands until the film is here. */
  waiting?: ReactNode;
  children: (games: FilmGames) => ReactNode;
}) {
  const film = useFilm(path);
  if (film.kind === 'loading') return waiting;
  if (film.kind === 'away')
    return (
      <p className="card flag" role="alert">
        {film.why}
      </p>
    );
  return (
    <>
      {film.old && (
        <p className="card flag" role="status">
          The server does not answer: this is the film as it was when this browser last had it.
        </p>
      )}
      {children(film.games)}
    </>
  );
}
