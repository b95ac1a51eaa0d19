import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { countFrequencies, frequencyRows, type FrequencyRow } from '@/core/line';
import { walkedGames } from '@/app/lib/week';
import { pageFor } from '@/app/lib/refusable';
import { gameScope } from '@/core/sync';
import { bookTextFor } from '@/store/book';
import { NotFound } from '@/store/errors';
import { findGame, listTeams, profilesOf } from '@/store/games';
import { pull } from '@/store/sync';
import { LogPage } from '@/ui/log/LogScreen';

export const metadata: Metadata = { title: 'Log' };
/** Without a skeleton: the line takes keys as soon as it is seen. */
export const dynamic = 'force-dynamic';

interface Props {
  params: Promise<{ game: string }>;
  searchParams: Promise<{ snap?: string }>;
}

export default pageFor('snap.log', async function LogGame(actor, { params, searchParams }: Props) {
  const key = decodeURIComponent((await params).game);
  const game = await findGame(actor, key).catch((error: unknown) => {
    if (error instanceof NotFound) notFound();
    throw error;
  });
  const [teams, book, profiles, initial, walked] = await Promise.all([
    listTeams(actor),
    bookTextFor(actor),
    profilesOf(actor),
    pull(actor, gameScope(key), null, null),
    walkedGames(
      actor,
      (g) => g.key !== key && [g.home, g.away].some((t) => t === game.home || t === game.away),
    ),
  ]);
  // What each team did before, by situation: ranks the completions.
  const history: Record<string, FrequencyRow[]> = {};
  for (const team of [game.home, game.away]) {
    const earlier = walked
      .flatMap((w) => w.rows)
      .filter((r) => r.before.offense === team && r.before.unit === 'scrimmage');
    history[team] = frequencyRows(countFrequencies(earlier.map((r) => ({ snap: r.snap, bucket: r.bucket }))));
  }
  return (
    <LogPage
      key={key}
      game={game}
      teams={teams}
      bookText={book}
      profile={profiles[game.level]}
      initial={initial}
      history={history}
      open={(await searchParams).snap ?? null}
    />
  );
});
