/** Counts beside the page: a film in, its looks out; then, asked for a section, what can be argued for each play. */
import { argueSection, structuresOf } from '../core/plan/section-arguments';
import type { ArgueRequest, LooksMessage, WrinkleRequest } from '../core/plan/argue-request';
import { jobsSeen } from '../core/plan/new-jobs';
import { rowsOfPlay } from '../core/plan/sheet';
import { wrinklesOf, type Wrinkle } from '../core/plan/wrinkles';
import { buildColumns, countGame, select, type Columns, type CountedSnap } from '../core/read';
import { measureFilm, type FilmToMeasure } from '../core/read/measured-film';
import { unpackSnaps } from '../core/snap/packed';
import { decodePacked } from '../core/snap/packed-bytes';
import { uniform } from '../core/stats/uniform';

interface Counted {
  readonly snaps: readonly CountedSnap[];
  readonly columns: Columns;
}
/** The film that was measured last: a page asks of one. */
let held: { readonly film: number; readonly of: FilmToMeasure; counted: Counted | null } | null = null;
let drawn: { readonly of: string; readonly structures: ReturnType<typeof structuresOf> } | null = null;

/** The rows are those of the page: the same games in the same order, none weighed. Null: another film is here. */
function countedFilm(film: number): (Counted & FilmToMeasure) | null {
  if (held?.film !== film) return null;
  if (held.counted === null) {
    const { games, book, rules } = held.of;
    const snaps = games.flatMap(({ packed, profile }) =>
      countGame(unpackSnaps(decodePacked(packed)), profile, book, rules),
    );
    held.counted = { snaps, columns: buildColumns(snaps, rules) };
  }
  return { ...held.of, ...held.counted };
}

function argued({ film, team, opponent, section, plays, profile, seed }: ArgueRequest) {
  const here = countedFilm(film);
  if (here === null) return null;
  const { book, rules, columns } = here;
  const of = JSON.stringify([plays, profile.key]);
  if (drawn?.of !== of) drawn = { of, structures: structuresOf(book, profile, rules.look, plays) };
  const { structures } = drawn;
  return {
    structures,
    argued: argueSection(
      { columns, team, opponent, plays, structures, random: (stream) => uniform(seed + stream) },
      section,
    ),
  };
}

/** Jobs on the film that is held, of the team that asked last. */
let jobs: { readonly of: Columns; readonly team: string; readonly seen: ReadonlySet<string> } | null = null;

function wrinkled({ film, team, opponent, play, profile }: WrinkleRequest): readonly Wrinkle[] | null {
  const here = countedFilm(film);
  if (here === null) return null;
  const { book, rules, snaps, columns } = here;
  const own = select(columns, { offense: [team] });
  if (jobs?.of !== columns || jobs.team !== team)
    jobs = { of: columns, team, seen: jobsSeen(book, profile, snaps, own) };
  return wrinklesOf(
    { book, profile, settings: rules.look, snaps, columns, team, opponent, jobs: jobs.seen },
    play,
    rowsOfPlay(columns, own, play),
  );
}

self.onmessage = ({ data }: MessageEvent<LooksMessage>): void => {
  if (data.argue) {
    self.postMessage({ id: data.id, answer: argued(data.argue) });
    return;
  }
  if (data.wrinkles) {
    self.postMessage({ id: data.id, answer: wrinkled(data.wrinkles) });
    return;
  }
  const answer = measureFilm(data.film);
  held = { film: data.id, of: data.film, counted: null };
  drawn = null;
  self.postMessage({ id: data.id, answer }, { transfer: [answer.codes.buffer] });
};
