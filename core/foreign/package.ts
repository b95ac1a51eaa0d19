/** What was understood as tables of the open format: one way into the database for every file. */
import { blankSnap, type Snap } from '../snap';
import { snapToRow, writeCsv, type NamedFile } from '../table';
import type { Understood } from './understand';

export interface ForeignGame {
  readonly key: string;
  readonly date: string | null;
  readonly home: string;
  readonly away: string;
  readonly level: string;
  readonly phase: string;
  /** The file and sheet it came from. */
  readonly source: string;
}

/** The snaps of a sheet; teams were called by their keys when it was understood. A row whose teams do not play has none. */
export function foreignSnaps(understood: Understood, game: ForeignGame): Snap[] {
  const plays = (team: string | null | undefined): string | null =>
    team === game.home || team === game.away ? team : null;
  return understood.rows.map(({ row, fields }): Snap => {
    const offense = plays(fields.offense);
    return {
      ...blankSnap(`${game.key}-${row}`, game.key, row),
      ...fields,
      offense,
      defense:
        plays(fields.defense) ??
        (offense === game.home ? game.away : offense === game.away ? game.home : null),
      scoredBy: plays(fields.scoredBy),
    };
  });
}

export interface NewTeam {
  readonly key: string;
  readonly name: string;
}

/** The files of an import. */
export function foreignPackage(
  snaps: readonly Snap[],
  game: ForeignGame,
  teams: readonly NewTeam[],
): NamedFile[] {
  return [
    ...(teams.length === 0
      ? []
      : [
          {
            name: 'teams.csv',
            text: writeCsv(
              'teams',
              teams.map(({ key, name }) => ({ team: key, name })),
            ),
          },
        ]),
    {
      name: 'games.csv',
      text: writeCsv('games', [
        {
          game: game.key,
          date: game.date,
          home: game.home,
          away: game.away,
          level: game.level,
          phase: game.phase,
          source: game.source.slice(0, 200),
        },
      ]),
    },
    { name: 'snaps.csv', text: writeCsv('snaps', snaps.map(snapToRow)) },
  ];
}

/** What files with the same columns share: the headings, whatever their order. */
export const headingsKey = (columns: readonly string[]): string =>
  [...columns]
    .map((column) => column.trim().toLowerCase())
    .sort()
    .join(' | ')
    .slice(0, 2000);
