/** All plays of a program argued for a section: the same on the page, in the worker and on the command line. */
import { drawSnap, type Book } from '../book';
import type { LevelProfile } from '../field/profile';
import type { LookSettings } from '../look';
import type { Columns } from '../read/columns';
import { arguer, filmsOf, type Argument, type Streams } from './argue';
import type { SectionSpec } from './sections';
import { playFields, type PlayCard } from './sheet';

/** What each play stands in at the snap, by its id; null: the book draws no formation of it. */
export const structuresOf = (
  book: Book,
  profile: LevelProfile,
  settings: LookSettings,
  plays: readonly PlayCard[],
): ReadonlyMap<string, string | null> =>
  new Map(
    plays.map((play) => [
      play.id,
      drawSnap(book, playFields(play), null, profile, { settings, defense: false }).look?.offense.snap
        .label ?? null,
    ]),
  );

export interface ArguedFilm {
  readonly columns: Columns;
  readonly team: string;
  readonly opponent: string;
  readonly plays: readonly PlayCard[];
  readonly structures: ReadonlyMap<string, string | null>;
  /** Anew for each section: the same interval each time. */
  readonly random: Streams;
}
/** By the id of the play; null: no own snap of it. */
export type SectionArguments = ReadonlyMap<string, Argument | null>;

export function argueSection(
  { columns, team, opponent, plays, structures, random }: ArguedFilm,
  section: SectionSpec,
): SectionArguments {
  const argued = arguer(filmsOf(columns, team, opponent, section), random);
  return new Map(plays.map((play) => [play.id, argued(play, structures.get(play.id) ?? null)]));
}
