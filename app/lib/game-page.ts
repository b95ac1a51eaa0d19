import 'server-only';
import { notFound } from 'next/navigation';
import type { Actor, GameInfo } from '@/core/exchange/types';
import { gameScope } from '@/core/sync';
import { bookTextFor } from '@/store/book';
import { NotFound } from '@/store/errors';
import { findGame, listTeams, profilesOf } from '@/store/games';
import { pull } from '@/store/sync';

/** What every page that writes to a game's snaps begins with, and what it wants `besides`; no such game is a page of its own. */
export async function gameForPage<T>(
  actor: Actor,
  params: Promise<{ readonly game: string }>,
  besides: (game: GameInfo) => Promise<T>,
) {
  const key = decodeURIComponent((await params).game);
  const game = await findGame(actor, key).catch((error: unknown) => {
    if (error instanceof NotFound) notFound();
    throw error;
  });
  const [teams, bookText, profiles, initial, more] = await Promise.all([
    listTeams(actor),
    bookTextFor(actor),
    profilesOf(actor),
    pull(actor, gameScope(key), null, null),
    besides(game),
  ]);
  return { page: { game, teams, bookText, profile: profiles[game.level], initial }, more };
}
