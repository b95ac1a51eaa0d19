/** What a sheet is drafted and audited from: a file's eleven-man film with its play list and its book. */
import type { Book } from '../core/book';
import { LEVEL_PROFILES, type LevelProfile } from '../core/field/profile';
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
  USUAL_PRINTS,
  type Check,
  type CheckLook,
  type PlayCard,
  type SectionSpec,
  type SheetCall,
} from '../core/plan';
import {
  buildColumns,
  countGame,
  DEFAULT_RULES,
  filmKind,
  type Columns,
  type CountedSnap,
} from '../core/read';
import { measureText } from '../render/pdf';
import { readGames } from './tables';

export interface Film {
  readonly columns: Columns;
  readonly snaps: readonly CountedSnap[];
  readonly plays: readonly PlayCard[];
  readonly book: Book;
  readonly games: readonly string[];
}

/** The eleven-man film of a file, and its play list; without one, what the team ran. */
export function filmOf(
  file: string | undefined,
  fallback: LevelProfile,
  team: string,
  own: Book | null,
): Film {
  const { games, levelOf, phaseOf, weighed, book: theirs, plays: listed } = readGames(file);
  const book = own ?? theirs;
  const weightOf = (key: string): number | null => weighed.find((g) => g.key === key)?.weight ?? null;
  const chosen = [...games].filter(
    ([key]) =>
      filmKind({ level: levelOf(key) ?? fallback.key, phase: phaseOf(key), weight: weightOf(key) }) ===
      'eleven',
  );
  const snaps = chosen.flatMap(([key, list]) =>
    countGame(list, levelOf(key) ? LEVEL_PROFILES[levelOf(key)!] : fallback, book, DEFAULT_RULES),
  );
  const columns = buildColumns(snaps, DEFAULT_RULES);
  const plays = listed.length > 0 ? listed : playsOfFilm(snaps, team);
  return { columns, snaps, plays, book, games: chosen.map(([key]) => key) };
}

/** Each check drawn on how the opponent lines up in its picture, by its id. */
export function looksOf(film: Film, opponent: string, checks: readonly Check[], profile: LevelProfile) {
  return new Map(
    checks.map((check): [string, CheckLook | null] => {
      const picture = pictureOf(check.picture);
      const rows = picture ? pictureRows(film.columns, { offense: [opponent] }, picture) : new Uint32Array(0);
      const drawn = pictureDrawn(film.book, profile, check.picture, film.snaps, rows);
      return [check.id, drawn && lookOfCheck(film.book, profile, DEFAULT_RULES.look, drawn, check)];
    }),
  );
}

/** What is looked for on a sheet of the offense; sizes and tells need film. */
export function auditsOf(
  film: Film | null,
  { team, opponent }: { readonly team: string; readonly opponent: string },
  calls: readonly SheetCall[],
  sections: readonly SectionSpec[],
  { book, level }: { readonly book: Book; readonly level: LevelProfile },
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
      figures: USUAL_PRINTS,
      film: film && { ...film, team, opponent },
      measure: measureText,
      bodies: null,
      practice: null,
    }),
  };
}
