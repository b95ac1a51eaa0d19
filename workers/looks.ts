/** Counts beside the page: a film in, its looks out; then, asked for a section, what can be argued for each play. */
import { argueSection, structuresOf } from '../core/plan/section-arguments';
import type { ArgueRequest, LooksMessage } from '../core/plan/argue-request';
import { buildColumns, countGame, type Columns } from '../core/read';
import { measureFilm, type FilmToMeasure } from '../core/read/measured-film';
import { unpackSnaps } from '../core/snap/packed';
import { decodePacked } from '../core/snap/packed-bytes';
import { uniform } from '../core/stats/uniform';

/** The film that was measured last: a page argues from one. */
let held: { readonly film: number; readonly of: FilmToMeasure; columns: Columns | null } | null = null;
let drawn: { readonly of: string; readonly structures: ReturnType<typeof structuresOf> } | null = null;

/** The rows are those of the page: the same games in the same order, none weighed. */
function columnsOf({ games, book, rules }: FilmToMeasure): Columns {
  return buildColumns(
    games.flatMap(({ packed, profile }) =>
      countGame(unpackSnaps(decodePacked(packed)), profile, book, rules),
    ),
    rules,
  );
}

/** Null: another film is here. */
function argued({ film, team, opponent, section, plays, profile, seed }: ArgueRequest) {
  if (held?.film !== film) return null;
  const { book, rules } = held.of;
  const of = JSON.stringify([plays, profile.key]);
  if (drawn?.of !== of) drawn = { of, structures: structuresOf(book, profile, rules.look, plays) };
  const { structures } = drawn;
  const columns = (held.columns ??= columnsOf(held.of));
  return {
    structures,
    argued: argueSection(
      { columns, team, opponent, plays, structures, random: (stream) => uniform(seed + stream) },
      section,
    ),
  };
}

self.onmessage = ({ data }: MessageEvent<LooksMessage>): void => {
  if (data.argue) {
    self.postMessage({ id: data.id, answer: argued(data.argue) });
    return;
  }
  const answer = measureFilm(data.film);
  held = { film: data.id, of: data.film, columns: null };
  drawn = null;
  self.postMessage({ id: data.id, answer }, { transfer: [answer.codes.buffer] });
};
