import type { Metadata } from 'next';
import { countFrequencies, frequencyRows, type FrequencyRow } from '@/core/line';
import { walkedGames } from '@/app/lib/week';
import { gameForPage } from '@/app/lib/game-page';
import { pageFor } from '@/app/lib/refusable';
import { LogPage } from '@/ui/log/LogScreen';

export const metadata: Metadata = { title: 'Log' };
/** Without a skeleton: the line takes keys as soon as it is seen. */
export const dynamic = 'force-dynamic';

interface Props {
  params: Promise<{ game: string }>;
  searchParams: Promise<{ snap?: string }>;
}

export default pageFor('snap.log', async function LogGame(actor, { params, searchParams }: Props) {
  const { page, more: walked } = await gameForPage(actor, params, ({ key, home, away }) =>
    walkedGames(actor, (g) => g.key !== key && [g.home, g.away].some((t) => t === home || t === away)),
  );
  // What each team did before, by situation: ranks the completions.
  const history: Record<string, FrequencyRow[]> = {};
  for (const team of [page.game.home, page.game.away]) {
    const earlier = walked
      .flatMap((w) => w.rows)
      .filter((r) => r.before.offense === team && r.before.unit === 'scrimmage');
    history[team] = frequencyRows(countFrequencies(earlier.map((r) => ({ snap: r.snap, bucket: r.bucket }))));
  }
  return <LogPage key={page.game.key} {...page} history={history} open={(await searchParams).snap ?? null} />;
});
