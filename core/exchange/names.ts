/** What a game is called. */
import type { GameInfo } from './types';

/** The source that marks the sample game: it can be taken out again with all its snaps. */
export const SAMPLE = 'sample game';

const asKey = (team: string): string => team;

/** "Sturgeon Bay at Heron Point". */
export const gameName = (
  { away, home }: Pick<GameInfo, 'away' | 'home'>,
  teamName: (key: string) => string = asKey,
): string => `${teamName(away)} at ${teamName(home)}`;

/** "Week 8, Sturgeon Bay at Heron Point". */
export const gameNameInWeek = (
  game: Pick<GameInfo, 'away' | 'home' | 'week'>,
  teamName: (key: string) => string = asKey,
): string => `${game.week === null ? '' : `Week ${game.week}, `}${gameName(game, teamName)}`;

/** Names by key; a game that is not there is called by its key. */
export const gameNames = (
  games: readonly Pick<GameInfo, 'key' | 'away' | 'home' | 'week'>[],
  teamName?: (key: string) => string,
): ((key: string) => string) => {
  const names = new Map(games.map((g) => [g.key, gameNameInWeek(g, teamName)]));
  return (key) => names.get(key) ?? key;
};
