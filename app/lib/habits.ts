import 'server-only';
import { createHash } from 'node:crypto';
import type { Book } from '@/core/book';
import type { Actor } from '@/core/exchange/types';
import { buildHabits, habitOf, type Habits } from '@/core/line';
import { stampedGames } from '@/store/film';
import { Kept } from '@/store/kept';
import { keptInProcess } from '@/store/process';
import { walkedGames } from './week';

/** Snaps of other games that rank the completions, the latest. */
const MOST_EARLIER = 5000;

/** What was charted in every other game, counted once for each state of the film and the book. */
export async function habitsBefore(actor: Actor, game: string, bookText: string): Promise<Habits> {
  const others = (await stampedGames(actor)).filter((g) => g.info.key !== game);
  const key = createHash('sha256')
    .update(JSON.stringify([actor.programId, others.map((g) => [g.info.id, g.stamp]), bookText]))
    .digest('base64');
  return keptInProcess('habits', () => new Kept<Habits>(6)).get(key, async () => {
    const walked = await walkedGames(actor, (g) => g.key !== game);
    const earlier = walked
      .flatMap((w) => w.rows)
      .filter((r) => r.before.unit === 'scrimmage')
      .slice(-MOST_EARLIER);
    return buildHabits(earlier.map(habitOf), JSON.parse(bookText) as Book);
  });
}
