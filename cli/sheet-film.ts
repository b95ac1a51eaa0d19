/** What a sheet is drafted and audited from: a file's eleven-man film with its play list and its book. */
import type { Book } from '../core/book';
import type { LevelProfile } from '../core/field/profile';
import {
  lookOfCheck,
  numberSheet,
  offenseAudits,
  pictureDrawn,
  pictureOf,
  pictureRows,
  playDrawer,
  playsOfFilm,
  sizeSection,
  type Check,
  type CheckLook,
  type PlayCard,
  type SectionSpec,
  type SheetCall,
  type StaffPrints,
} from '../core/plan';
import { buildColumns, countGame, filmKind, type Columns, type CountedSnap } from '../core/read';
import { measureText } from '../render/pdf';
import type { FileStaff, Said } from './file-staff';
import { readGames } from './tables';

export interface Film {
  readonly columns: Columns;
  readonly snaps: readonly CountedSnap[];
  readonly plays: readonly PlayCard[];
  readonly book: Book;
  readonly games: readonly string[];
  readonly staff: FileStaff;
}

/** The eleven-man film of a file, and its play list; without one, what the team ran. */
export function filmOf(file: string | undefined, options: Said, team: string, own: Book | null): Film {
  const { games, phaseOf, weighed, book: theirs, plays: listed, staff, profileOf } = readGames(file, options);
  const book = own ?? theirs;
  const weightOf = (key: string): number | null => weighed.find((g) => g.key === key)?.weight ?? null;
  const chosen = [...games].filter(
    ([key]) =>
      filmKind({ level: profileOf(key).key, phase: phaseOf(key), weight: weightOf(key) }) === 'eleven',
  );
  const snaps = chosen.flatMap(([key, list]) => countGame(list, profileOf(key), book, staff.rules));
  const columns = buildColumns(snaps, staff.rules);
  const plays = listed.length > 0 ? listed : playsOfFilm(snaps, team);
  return { columns, snaps, plays, book, games: chosen.map(([key]) => key), staff };
}

/** Each check drawn on how the opponent lines up in its picture, by its id. */
export function looksOf(film: Film, opponent: string, checks: readonly Check[]) {
  const { level, rules } = film.staff;
  return new Map(
    checks.map((check): [string, CheckLook | null] => {
      const picture = pictureOf(check.picture);
      const rows = picture ? pictureRows(film.columns, { offense: [opponent] }, picture) : new Uint32Array(0);
      const drawn = pictureDrawn(film.book, level, check.picture, film.snaps, rows);
      return [check.id, drawn && lookOfCheck(film.book, level, rules.look, drawn, check)];
    }),
  );
}

/** What is looked for on a sheet of the offense; sizes and tells need film. */
export function auditsOf(
  film: Film | null,
  { team, opponent }: { readonly team: string; readonly opponent: string },
  calls: readonly SheetCall[],
  sections: readonly SectionSpec[],
  {
    book,
    level,
    figures,
  }: { readonly book: Book; readonly level: LevelProfile; readonly figures: StaffPrints },
) {
  const numbered = numberSheet(calls, sections);
  const drawn = playDrawer(book, level);
  const numbers = new Map(numbered.flatMap((s) => s.calls.map((c) => [c.id, c.number])));
  const sizes = new Map(
    film ? sections.map((s) => [s.key, sizeSection(film.columns, team, opponent, s)]) : [],
  );
  return {
    sizes,
    audits: offenseAudits({
      calls,
      numbers,
      sections,
      printed: numbered,
      sizes,
      book,
      level,
      drawn,
      figures,
      film: film && { ...film, team, opponent },
      measure: measureText,
      bodies: null,
      practice: null,
    }),
  };
}
