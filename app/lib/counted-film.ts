import 'server-only';
import type { Book } from '@/core/book';
import type { Actor } from '@/core/exchange/types';
import { profilesFor, type Profiles } from '@/core/field';
import {
  buildColumns,
  countGame,
  filmKind,
  gamesOf,
  lastOf,
  ownFilm,
  readAddress,
  usualTeam,
  weightsOf,
  type Columns,
  type CountedSnap,
  type StaffRules,
} from '@/core/read';
import { rulesOf } from '@/core/read/read-rules';
import { bookFor } from '@/store/book';
import { snapsOf, stampedGames, type StampedGame } from '@/store/film';
import { listTeams } from '@/store/games';
import { Kept } from '@/store/kept';
import { keptInProcess } from '@/store/process';
import { programOf } from '@/store/programs';

/** What was counted by a book: gone with it, when a term changes. */
interface OfBook {
  readonly games: Kept<readonly CountedSnap[]>;
  readonly columns: Kept<Columns>;
}
const kept = (book: Book): OfBook => {
  const books = keptInProcess('counted', () => new WeakMap<Book, OfBook>());
  const found = books.get(book) ?? { games: new Kept(60), columns: new Kept(4) };
  books.set(book, found);
  return found;
};

/** A game's snaps, counted; once a stamp, for every reader. */
const countedGame = (
  actor: Actor,
  game: StampedGame,
  { profiles, book, rules }: { profiles: Profiles; book: Book; rules: StaffRules },
): Promise<readonly CountedSnap[]> => {
  const profile = profiles[game.info.level];
  return kept(book).games.get(
    JSON.stringify([game.info.id, game.info.level, game.stamp, profile, rules]),
    async () => countGame(await snapsOf(actor, game), profile, book, rules),
  );
};

/** The film that an address of Read means, counted: as the screen counts it. */
export async function countedFilm(actor: Actor, params: { get(name: string): string | null }) {
  const [program, games, book, teams] = await Promise.all([
    programOf(actor),
    stampedGames(actor),
    bookFor(actor),
    listTeams(actor),
  ]);
  const { level, season, settings } = program;
  const address = readAddress(params, { team: usualTeam(settings.opponent, teams), film: ownFilm(level) });
  const rules = rulesOf(settings.rules);
  const profiles = profilesFor(level, season, settings.profile ?? null);
  const chosen = lastOf(gamesOf(games, address), address.last);
  const counted = await Promise.all(
    chosen.map((game) => countedGame(actor, game, { profiles, book, rules })),
  );
  return { program, games, book, address, rules, profiles, chosen, counted: counted.flat() };
}

/** The film of some teams, counted: every game that one of them plays, of the program's own kind of film. */
export async function filmOfTeams(actor: Actor, teams: readonly string[]) {
  const [program, games, book] = await Promise.all([programOf(actor), stampedGames(actor), bookFor(actor)]);
  const { level, season, settings } = program;
  const rules = rulesOf(settings.rules);
  const profiles = profilesFor(level, season, settings.profile ?? null);
  const chosen = games.filter(
    ({ info }) =>
      (teams.includes(info.home) || teams.includes(info.away)) && filmKind(info) === ownFilm(level),
  );
  const counted = await Promise.all(
    chosen.map((game) => countedGame(actor, game, { profiles, book, rules })),
  );
  const film = { book, chosen, counted: counted.flat(), rules, address: { halfLife: null } };
  return { ...film, program, games, profiles, columns: await columnsOfFilm(film) };
}

/** Their columns, under the weights that the address asks for. */
export function columnsOfFilm({
  address,
  book,
  chosen,
  counted,
  rules,
}: Pick<Awaited<ReturnType<typeof countedFilm>>, 'book' | 'chosen' | 'counted' | 'rules'> & {
  readonly address: { readonly halfLife: number | null };
}): Promise<Columns> {
  const infos = chosen.map((g) => g.info);
  const key = [
    rules,
    address.halfLife,
    ...chosen.map((g) => [g.info.id, g.stamp, g.info.weight, g.info.level]),
  ];
  return kept(book).columns.get(JSON.stringify(key), () =>
    Promise.resolve(buildColumns(counted, rules, weightsOf(infos, address.halfLife))),
  );
}
