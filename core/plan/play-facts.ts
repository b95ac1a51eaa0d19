/** What else is known of a play before it is called: its blocks or routes against what they show most, jobs, film, set-ups. */
import { mean } from 'd3-array';
import { assignmentPaths, assignPlay, drawSnap, playOf, TRIGGERS, type Book } from '../book';
import type { LevelProfile } from '../field/profile';
import { lookSentences, type FullLook, type LookSettings } from '../look';
import type { CountedSnap } from '../read/counted';
import { select, wordAt, type Columns } from '../read/columns';
import { intervalText, tenths } from '../read/rates';
import type { NamedRows } from '../read/reels';
import { perGameIn } from '../read/tally';
import { plural } from '../rules/plural';
import { answersTo, countLinks } from './answers';
import { jobsOf } from './new-jobs';
import { postLane, screenRoom } from './pass-room';
import { rowsOfPlay, playFields, type PlayCard } from './sheet';
import { complementsOf, triggerShown } from './triggers';

export interface FactsFilm {
  readonly book: Book;
  readonly profile: LevelProfile;
  readonly settings: LookSettings;
  readonly snaps: readonly CountedSnap[];
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
  readonly code:
    'front' | 'blocks' | 'free' | 'deep' | 'lane' | 'screen' | 'trigger' | 'jobs' | 'last' | 'set-up';
  readonly text: string;
  /** The snaps that it counts, under a heading; null: it counts none. */
  readonly counts: NamedRows | null;
}

/** A route that ends so far downfield is a deep man's, yards (common practice). */
const DEEP_YARDS = 12;

/** Fact by fact; what cannot be said of the play is left out. `structure`: what it stands in at the snap. */
export function playFacts(film: FactsFilm, play: PlayCard, structure: string | null): PlayFact[] {
  const out: PlayFact[] = [];
  const say = (code: PlayFact['code'], text: string, counts: NamedRows | null = null): void =>
    void out.push({ code, text, counts });
  const answer = structure === null ? undefined : answersTo(film.columns, film.opponent, structure)[0];
  if (answer) {
    const shown = [answer.front, answer.coverage].filter(Boolean).join(', ');
    say(
      'front',
      `Most against ${structure}: ${shown}, ${answer.rate.k} of ${answer.rate.n} (${intervalText(answer.rate)}).`,
      { title: `${shown} against ${structure}`, rows: answer.rows },
    );
    const { look } = drawSnap(
      film.book,
      { ...playFields(play), front: answer.front, coverage: answer.coverage, pressure: '-' },
      null,
      film.profile,
      { settings: film.settings },
    );
    if (look && structure !== null) for (const fact of againstIt(film, play, look, structure)) out.push(fact);
  }
  if (structure !== null) for (const fact of triggerFacts(film, play, structure)) out.push(fact);
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
      { title: `${play.name}, anywhere`, rows },
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
        { title: `${other?.name ?? ''} on own film`, rows: shown },
      );
  return out;
}

/** What its complement waits for, or what it waits for itself, with the chances of a game as often as we line up so. */
function triggerFacts(film: FactsFilm, play: PlayCard, structure: string): PlayFact[] {
  const { columns, team } = film;
  const complements = complementsOf(play, film.plays);
  if (complements.length === 0) return [];
  const ours = select(columns, { offense: [team] });
  const from = select(columns, { offense: [team], structureSnap: [structure] });
  const often = perGameIn(columns, ours)(from)?.mean ?? null;
  return complements.map(({ trigger, other, instead }): PlayFact => {
    const shown = triggerShown(film, play, structure, trigger);
    const when = TRIGGERS[trigger];
    const what = instead
      ? `When ${when}: ${other} instead`
      : `It punishes the answer to ${other}, when ${when}`;
    if (shown === null || shown.rate.n === 0)
      return {
        code: 'trigger',
        text: `${what}. Nothing that is logged of them against ${structure} says how often: look for it on film.`,
        counts: null,
      };
    const { rate, rows } = shown;
    const chances =
      often === null || rate.share === null
        ? ''
        : `, ${tenths(often * rate.share)} chances a game with our ${tenths(often)} snaps from it`;
    return {
      code: 'trigger',
      text: `${what}. Against ${structure} ${rate.k} of ${rate.n} (${intervalText(rate)}), ${shown.by}${chances}.`,
      counts: { title: `${when}, against ${structure}`, rows },
    };
  });
}

/** How far apart their safeties stood against a structure, where it is charted; null: nowhere. */
function safetiesApart({ snaps, columns, opponent }: FactsFilm, structure: string) {
  const apart = (row: number): number | null => {
    const yards = snaps[row]!.snap.safetiesApart;
    return typeof yards === 'number' ? yards : null;
  };
  const rows = select(columns, { defense: [opponent], structureSnap: [structure] }).filter(
    (row) => apart(row) !== null,
  );
  return rows.length === 0
    ? null
    : {
        mean: mean(rows, apart)!,
        n: rows.length,
        counts: { title: `Safeties apart, against ${structure}`, rows },
      };
}

/** A run by its count and who is free; a pass by its deep routes against the deep men. */
function againstIt(film: FactsFilm, play: PlayCard, look: FullLook, structure: string): PlayFact[] {
  const { book, profile, settings } = film;
  const sentences = lookSentences(look, settings);
  const said = (code: string, as: PlayFact['code']): PlayFact[] =>
    sentences.filter((s) => s.code === code).map(({ text }) => ({ code: as, text, counts: null }));
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
  const apart = safetiesApart(film, structure);
  const lane = postLane(drawn, look, apart);
  const screen = screenRoom(known.def.pass, drawn, look);
  return [
    ...(screen === null ? [] : [{ code: 'screen' as const, counts: null, text: screen }]),
    ...(lane === null ? [] : [{ code: 'lane' as const, counts: apart?.counts ?? null, text: lane }]),
    {
      code: 'deep',
      counts: null,
      text: `${plural(deep.length, 'route')} to ${DEEP_YARDS} yards or deeper (${deep.map((p) => p.by).join(', ') || 'nobody'}) for ${plural(coverage.deep, 'deep man', 'deep men')}, the middle ${coverage.middle === 'none' ? 'without one' : coverage.middle}.`,
    },
  ];
}
