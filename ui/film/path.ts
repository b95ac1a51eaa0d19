/** The address of the film of some teams; none named: all of it. */
export const filmPath = (...teams: readonly string[]): string =>
  teams.length === 0
    ? '/api/film'
    : `/api/film?teams=${[...new Set(teams)].sort().map(encodeURIComponent).join(',')}`;
