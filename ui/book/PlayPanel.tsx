'use client';
/** A play drawn with every man's job, its look card, its set-ups and complements counted on own film. */
import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import { drawSnap, playOf } from '@/core/book';
import { gameNames } from '@/core/exchange/names';
import { structureWords } from '@/core/look';
import { countLinks, playCall, playFields, type PlayCard } from '@/core/plan';
import { filmKind, ownFilm } from '@/core/read';
import type { FilmGames } from '@/client/film';
import { useCounted } from '../film/useCounted';
import { Picture } from '../chalk/Chalk';
import { LookCard } from '../look/LookCard';
import { Reel } from '../read/Reel';
import { useStaffRules } from '../StaffRules';
import { useUrlState } from '../useUrlState';
import { PlayLinks } from './PlayLinks';
import type { PlayListProps } from './PlayList';

interface PlayPanelProps extends PlayListProps {
  readonly play: PlayCard;
  readonly own: FilmGames;
  readonly onClose: () => void;
}

export default function PlayPanel({
  play,
  book,
  plays,
  profile,
  level,
  own,
  team,
  profiles,
  mayPlay,
  busy,
  run,
  onClose,
}: PlayPanelProps) {
  const rules = useStaffRules();
  const [url, setUrl] = useUrlState();
  const [card, setCard] = useState(false);
  const ours = useMemo(() => own.filter((g) => filmKind(g.info) === ownFilm(level)), [own, level]);
  const { snaps: counted, columns } = useCounted(ours, profiles, book);
  const links = countLinks(play, plays, columns, team);
  const fields = playFields(play);
  const drawn = drawSnap(book, fields, null, profile, {
    jobs: true,
    defense: false,
    crop: true,
    settings: rules.look,
  });
  const known = playOf(book, playFields(play));
  const reel = url.get('reel');
  const shown = reel === null ? null : links.find((l) => l.link.play === reel);
  const nameOfGame = gameNames(own.map((g) => g.info));
  return (
    <section className="card termpanel" aria-label={`The play ${play.name}`}>
      <header>
        <h2>{play.name}</h2>
        <span className="small">{playCall(play)}</span>
      </header>
      <Picture drawn={drawn} profile={profile} hash={null} height={230} caption={false} />
      <p className="small">
        {drawn.look ? structureWords(drawn.look.offense.set) : 'No formation the book can draw.'}
        {known ? '' : ' The book does not say what this concept means, so nobody’s job is known.'}
      </p>
      <div className="toolbar">
        <Button variant="outlined" onClick={() => setCard(true)}>
          Look card
        </Button>
        <Button onClick={onClose}>Close</Button>
      </div>
      <PlayLinks
        links={links}
        play={play}
        plays={plays}
        mayPlay={mayPlay}
        busy={busy}
        run={run}
        onReel={(id) => setUrl({ reel: id }, true)}
      />
      {card && (
        <LookCard book={book} profile={profile} fields={fields} hash={null} onClose={() => setCard(false)} />
      )}
      {shown && (
        <Reel
          title={`${shown.play?.name ?? ''} on own film`}
          snaps={[...shown.rows].map((i) => counted[i]!)}
          book={book}
          profile={profile}
          gameName={nameOfGame}
          onClose={() => setUrl({ reel: null })}
        />
      )}
    </section>
  );
}
