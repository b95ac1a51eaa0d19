'use client';
/** The play list: each play drawn with every man's job, the other ways to show it and what they cost, its set-ups and complements. */
import type { Book } from '@/core/book';
import type { LevelKey, LevelProfile, Profiles } from '@/core/field';
import { playCall, playLook, type PlayCard } from '@/core/plan';
import { filmPath } from '../film/path';
import { WithFilm } from '../film/WithFilm';
import { useUrlState } from '../useUrlState';
import { AddPlay } from './AddPlay';
import type { Run } from './useBookRun';
import { part } from '../shared/part';

const PlayPanel = part(() => import('./PlayPanel'));
const Presentations = part(() => import('./Presentations'));

export interface PlayListProps {
  readonly book: Book;
  readonly plays: readonly PlayCard[];
  readonly team: string;
  readonly level: LevelKey;
  readonly profiles: Profiles;
  readonly profile: LevelProfile;
  readonly mayPlay: boolean;
  readonly busy: boolean;
  readonly run: Run;
}

export default function PlayList(props: PlayListProps) {
  const { book, plays, profile, mayPlay, run, busy } = props;
  const [url, setUrl] = useUrlState();
  const chosen = plays.find((p) => p.id === url.get('play')) ?? null;
  return (
    <div className="bookgrid">
      <section className="card" aria-label="Play list">
        <div className={chosen ? 'shortlist' : undefined} tabIndex={0} role="group" aria-label="Plays">
          <table className="rows tight">
            <thead>
              <tr>
                <th>Name</th>
                <th>From</th>
                <th>Call</th>
              </tr>
            </thead>
            <tbody>
              {plays.map((playCard) => (
                <tr key={playCard.id}>
                  <td>
                    <button
                      type="button"
                      className="plain"
                      aria-pressed={chosen?.id === playCard.id}
                      onClick={() => setUrl({ play: playCard.id }, true)}
                    >
                      <strong>{playCard.name}</strong>
                    </button>
                  </td>
                  <td>{playLook(playCard)}</td>
                  <td>{playCall(playCard)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        {plays.length === 0 && <p>No plays yet. Add one in the form: a look and a concept of your book.</p>}
        {chosen && <Presentations key={chosen.id} book={book} profile={profile} play={chosen} />}
      </section>
      <div className="stack">
        {chosen && (
          <WithFilm path={filmPath(props.team)}>
            {(own) => (
              <PlayPanel
                key={chosen.id}
                {...props}
                play={chosen}
                own={own}
                onClose={() => setUrl({ play: null })}
              />
            )}
          </WithFilm>
        )}
        {mayPlay && (
          <AddPlay
            book={book}
            busy={busy}
            onAdd={(change) => run(change, (a) => setUrl({ play: a.id }))}
            profile={profile}
          />
        )}
      </div>
    </div>
  );
}
