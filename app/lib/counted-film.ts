import 'server-only';
import type { Actor } from '@/core/exchange/types';
import { profilesFor } from '@/core/field';
import { countGame, gamesOf, lastOf, ownFilm, readAddress } from '@/core/read';
import { rulesOf } from '@/core/read/read-rules';
import { bookFor } from '@/store/book';
import { snapsOf, stampedGames } from '@/store/film';
import { programOf } from '@/store/programs';

/** The film that an address of Read means, counted: as the screen counts it. */
export async function countedFilm(actor: Actor, params: URLSearchParams) {
  const [program, games, book] = await Promise.all([programOf(actor), stampedGames(actor), bookFor(actor)]);
  const { level, season, settings, team } = program;
  const address = readAddress(params, { team: settings.opponent ?? team, film: ownFilm(level) });
  const rules = rulesOf(settings.rules);
  const profiles = profilesFor(level, season, settings.profile ?? null);
  const chosen = lastOf(gamesOf(games, address), address.last);
  const counted = await Promise.all(
    chosen.map(async (game) => countGame(await snapsOf(actor, game), profiles[game.info.level], book, rules)),
  );
  return { program, games, book, address, rules, profiles, chosen, counted: counted.flat() };
}
