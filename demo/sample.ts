/** One invented game, whole, for a staff that wants to try things before its own film is there. */
import { profilesFor } from '../core/field/profile';
import { SAMPLE } from '../core/exchange/names';
import { TEAM_FIELDS } from '../core/snap/fields';
import { emptyTables, snapToRow, writePackage, type NamedFile } from '../core/table';
import { simulateGame } from './game';

const SEED = 41;
/** The simulated clubs stand in for teams that play nowhere else. */
const TEAMS = [
  { club: 'STG', key: 'LAN', name: 'Ferrow Point Lanterns' },
  { club: 'HER', key: 'KES', name: 'Dunmarrow Kestrels' },
] as const;

/** A data package of the sample game. `taken`: keys of teams that are somebody else's already. */
export function sampleGame(input: {
  readonly game: string;
  readonly season: number;
  readonly taken: ReadonlySet<string>;
}): readonly NamedFile[] {
  const free = (base: string): string => {
    let key = base;
    for (let n = 2; input.taken.has(key); n++) key = `${base}${n}`;
    return key;
  };
  const teams = TEAMS.map((t) => ({ ...t, key: free(t.key) }));
  const keyOf = (club: string | null): string | null => teams.find((t) => t.club === club)?.key ?? club;
  const [home, away] = teams;
  const { snaps } = simulateGame({
    key: 'sample',
    home: home!.club,
    away: away!.club,
    seed: SEED,
    tells: true,
  });
  const tables = emptyTables();
  tables.teams = teams.map((t) => ({ team: t.key, name: t.name, nickname: null, place: null }));
  tables.games = [
    {
      game: input.game,
      home: home!.key,
      away: away!.key,
      level: 'college',
      phase: 'regular',
      season: input.season,
      source: SAMPLE,
    },
  ];
  tables.snaps = snaps.map((snap) =>
    snapToRow({
      ...snap,
      snapId: snap.snapId.replace('sample', input.game),
      game: input.game,
      ...Object.fromEntries(TEAM_FIELDS.map((field) => [field, keyOf(snap[field] as string | null)])),
    }),
  );
  return writePackage(tables, null, {
    name: input.game,
    title: 'Sample game',
    level: profilesFor('college', input.season, null).college.name,
  });
}
