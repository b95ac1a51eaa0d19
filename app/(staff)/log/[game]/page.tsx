import type { Metadata } from 'next';
import type { Book } from '@/core/book';
import { buildHabits, habitOf } from '@/core/line';
import { walkedGames } from '@/app/lib/week';
import { gameForPage } from '@/app/lib/game-page';
import { pageFor } from '@/app/lib/refusable';
import { peopleOfGame } from '@/store/rosters';
import { LogPage } from '@/ui/log/LogScreen';

export const metadata: Metadata = { title: 'Log' };
/** Without a skeleton: the line takes keys as soon as it is seen. */
export const dynamic = 'force-dynamic';

/** Snaps of other games that rank the completions, the latest. */
const MOST_EARLIER = 5000;

interface Props {
  params: Promise<{ game: string }>;
  searchParams: Promise<{ snap?: string }>;
}

export default pageFor('snap.log', async function LogGame(actor, { params, searchParams }: Props) {
  const { page, more } = await gameForPage(actor, params, ({ key, home, away }) =>
    Promise.all([
      walkedGames(actor, (g) => g.key !== key),
      Promise.all([home, away].map(async (t) => [t, (await peopleOfGame(actor, key, t)).letters] as const)),
    ]),
  );
  const [walked, letters] = more;
  const earlier = walked
    .flatMap((w) => w.rows)
    .filter((r) => r.before.unit === 'scrimmage')
    .slice(-MOST_EARLIER);
  const habits = buildHabits(earlier.map(habitOf), JSON.parse(page.bookText) as Book);
  return (
    <LogPage
      key={page.game.key}
      {...page}
      earlier={habits}
      letters={Object.fromEntries(letters)}
      open={(await searchParams).snap ?? null}
    />
  );
});
