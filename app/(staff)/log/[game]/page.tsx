import type { Metadata } from 'next';
import type { Book } from '@/core/book';
import { buildHabits, habitOf } from '@/core/line';
import { walkedGames } from '@/app/lib/week';
import { gameForPage } from '@/app/lib/game-page';
import { pageFor } from '@/app/lib/refusable';
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
  const { page, more: walked } = await gameForPage(actor, params, ({ key }) =>
    walkedGames(actor, (g) => g.key !== key),
  );
  const earlier = walked
    .flatMap((w) => w.rows)
    .filter((r) => r.before.unit === 'scrimmage')
    .slice(-MOST_EARLIER);
  const habits = buildHabits(earlier.map(habitOf), JSON.parse(page.bookText) as Book);
  return <LogPage key={page.game.key} {...page} earlier={habits} open={(await searchParams).snap ?? null} />;
});
