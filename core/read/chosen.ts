/** The games and snaps an address of Read means: for the screen and for what is downloaded alike. */
import { select, type Columns } from './columns';
import type { ReadAddress } from './address';
import { filmKind } from './film';
import { ofKicks, sideField } from './sides';
import type { LevelKey } from '../field/profile';
import type { Zone } from '../field/situation';

interface Played {
  readonly home: string;
  readonly away: string;
  readonly week: number | null;
  readonly level: LevelKey;
  readonly phase: string;
  readonly weight: number | null;
}

/** Games of the team in its film by week, the earliest first. */
export const gamesOf = <G extends { readonly info: Played }>(
  games: readonly G[],
  { team, film }: Pick<ReadAddress, 'team' | 'film'>,
): G[] =>
  games
    .filter((g) => (g.info.home === team || g.info.away === team) && filmKind(g.info) === film)
    .sort((a, b) => (a.info.week ?? 0) - (b.info.week ?? 0));

/** The last few of them, or all. */
export const lastOf = <G>(games: readonly G[], last: number | null): readonly G[] =>
  last ? games.slice(-last) : games;

/** Rows of the team's side of the ball that fit the filter and, where one is chosen, the cell. */
export function rowsAt(
  columns: Columns,
  { team, side, filter, ranges, cell }: Pick<ReadAddress, 'team' | 'side' | 'filter' | 'ranges' | 'cell'>,
  zones: readonly Zone[],
): Uint32Array {
  const whose = { ...filter, [sideField(side)]: [team] };
  const which = ofKicks(side) ? 'kicks' : 'counts';
  if (cell === null) return select(columns, whose, ranges, null, which);
  const zone = zones.find((z) => z.key === cell.zone) ?? null;
  const asked = ranges.toGoal ?? { from: 0, to: 100 };
  const within = zone
    ? { ...ranges, toGoal: { from: Math.max(zone.from, asked.from), to: Math.min(zone.to, asked.to) } }
    : ranges;
  return select(columns, { ...whose, bucket: [cell.bucket] }, within, null, which);
}
