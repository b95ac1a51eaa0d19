/** What else is known of a play before it is called: its blocks or routes against what they show most, jobs, film, set-ups. */
import { assignmentPaths, assignPlay, drawSnap, playOf, type Book } from '../book';
import type { LevelProfile } from '../field/profile';
import { lookSentences, type FullLook, type LookSettings } from '../look';
import { select, wordAt, type Columns } from '../read/columns';
import { intervalText } from '../read/rates';
import { plural } from '../rules/plural';
import { answersTo, countLinks } from './answers';
import { jobsOf } from './new-jobs';
import { rowsOfPlay, playFields, type PlayCard } from './sheet';

export interface FactsFilm {
  readonly book: Book;
  readonly profile: LevelProfile;
  readonly settings: LookSettings;
  readonly columns: Columns;
  readonly team: string;
  readonly opponent: string;
  readonly plays: readonly PlayCard[];
  /** Jobs by position that are on our film. */
  readonly jobs: ReadonlySet<string>;
  /** Our games by key, the latest first. */
  readonly games: readonly string[];
}

export interface PlayFact {
  readonly code: 'front' | 'blocks' | 'free' | 'deep' | 'jobs' | 'last' | 'set-up';
  readonly text: string;
}

/** A route that ends so far downfield is a deep man's, yards (common practice). */
const DEEP_YARDS = 12;

/** Fact by fact; what cannot be said of the play is left out. `structure`: what it stands in at the snap. */
export function playFacts(film: FactsFilm, play: PlayCard, structure: string | null): PlayFact[] {
  const out: PlayFact[] = [];
  const say = (code: PlayFact['code'], text: string): void => void out.push({ code, text });
  const answer = structure === null ? undefined : answersTo(film.columns, film.opponent, structure)[0];
  if (answer) {
    const shown = [answer.front, answer.coverage].filter(Boolean).join(', ');
    say(
      'front',
      `Most against ${structure}: ${shown}, ${answer.rate.k} of ${answer.rate.n} (${intervalText(answer.rate)}).`,
    );
    const { look } = drawSnap(
      film.book,
      { ...playFields(play), front: answer.front, coverage: answer.coverage, pressure: '-' },
      null,
      film.profile,
      { settings: film.settings },
    );
    if (look) for (const fact of againstIt(film, play, look)) out.push(fact);
  }
  const jobs = jobsOf(film.book, film.profile, playFields(play));
  if (jobs) {
    const fresh = jobs.filter((job) => !film.jobs.has(job));
    say(
      'jobs',
      fresh.length === 0
        ? `No job of its ${jobs.length} men is new.`
        : `New jobs: ${fresh.length} of ${jobs.length} (${fresh.join(', ')}).`,
    );
  }
  const rows = rowsOfPlay(film.columns, select(film.columns, { offense: [film.team] }), play);
  const { game } = film.columns.text;
  const byGame = new Map<string, number>();
  for (const row of rows) {
    const key = wordAt(game, row);
    if (key !== null) byGame.set(key, (byGame.get(key) ?? 0) + 1);
  }
  const ago = film.games.findIndex((key) => byGame.has(key));
  if (ago >= 0)
    say(
      'last',
      `Last shown ${ago === 0 ? 'in our last game' : `${plural(ago, 'game')} before our last`}, ${plural(byGame.get(film.games[ago]!)!, 'time')}; in ${byGame.size} of ${plural(film.games.length, 'game')}.`,
    );
  for (const { link, play: other, rows: shown, ready } of countLinks(
    play,
    film.plays,
    film.columns,
    film.team,
  ))
    if (link.kind === 'set-up')
      say(
        'set-up',
        `${other?.name ?? 'A play that is not on the list any more'} sets it up: shown ${plural(shown.length, 'time')}, ${link.least} wanted: ${ready ? 'ready' : 'not yet'}.`,
      );
  return out;
}

/** A run by its count and who is free; a pass by its deep routes against the deep men. */
function againstIt({ book, profile, settings }: FactsFilm, play: PlayCard, look: FullLook): PlayFact[] {
  const sentences = lookSentences(look, settings);
  const said = (code: string, as: PlayFact['code']): PlayFact[] =>
    sentences.filter((s) => s.code === code).map(({ text }) => ({ code: as, text }));
  if (look.ledger) return [...said('count', 'blocks'), ...said('unblocked', 'free')];
  const known = playOf(book, playFields(play));
  const { defense } = look;
  if (!known || known.def.kind !== 'pass' || !defense?.coverage) return [];
  const to = play.direction ?? look.offense.snap.passing ?? 'R';
  const drawn = assignPlay(known.def, known.base, to, profile, settings.strength);
  const deep = assignmentPaths(drawn, to, known.def).filter(
    (path) => path.kind === 'route' && path.points.at(-1)![1] >= DEEP_YARDS,
  );
  const { coverage } = defense;
  return [
    {
      code: 'deep',
      text: `${plural(deep.length, 'route')} to ${DEEP_YARDS} yards or deeper (${deep.map((p) => p.by).join(', ') || 'nobody'}) for ${plural(coverage.deep, 'deep man', 'deep men')}, the middle ${coverage.middle === 'none' ? 'without one' : coverage.middle}.`,
    },
  ];
}
