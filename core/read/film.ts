/** Which film counts together. Games of eleven, seven and five men are never mixed, practice never leaks into games. */
import { LEVEL_PROFILES, type LevelKey } from '../field/profile';

export const FILM_KINDS = ['eleven', 'seven', 'five'] as const;
export type FilmKind = (typeof FILM_KINDS)[number];
export const FILM_LABEL: Readonly<Record<FilmKind, string>> = {
  eleven: 'eleven-man games',
  seven: '7-on-7',
  five: '5-a-side flag',
};

/** Practice and borrowed film is logged, but is no evidence of what a team does in a game. */
const NOT_COUNTED: ReadonlySet<string> = new Set(['practice_11', 'practice_no_line', 'study']);

/** The kind a game counts with; null: it does not count, by its phase or because the staff left it out. */
export function filmKind(game: {
  readonly level: LevelKey;
  readonly phase: string;
  readonly weight?: number | null;
}): FilmKind | null {
  if (NOT_COUNTED.has(game.phase) || game.weight === 0) return null;
  const { players } = LEVEL_PROFILES[game.level];
  if (game.phase === 'seven_on_seven' || players === 7) return 'seven';
  if (game.phase === 'flag' || players === 5) return 'five';
  return 'eleven';
}
/** The kind of a program's own games, by its level. */
export const ownFilm = (level: LevelKey): FilmKind => filmKind({ level, phase: 'regular' }) ?? 'eleven';
export const FILM_PLAYERS: Readonly<Record<FilmKind, 11 | 7 | 5>> = { eleven: 11, seven: 7, five: 5 };
