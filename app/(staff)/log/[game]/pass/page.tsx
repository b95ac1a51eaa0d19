import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { pageFor } from '@/app/lib/refusable';
import { passOf } from '@/core/charting';
import { gameScope } from '@/core/sync';
import { bookTextFor } from '@/store/book';
import { NotFound } from '@/store/errors';
import { findGame, listTeams, profilesOf } from '@/store/games';
import { pull } from '@/store/sync';
import { PassPage } from '@/ui/log/pass/PassScreen';

export const metadata: Metadata = { title: 'Charting pass' };
export const dynamic = 'force-dynamic';

interface Props {
  params: Promise<{ game: string }>;
  searchParams: Promise<{ pass?: string }>;
}

export default pageFor('snap.log', async function Pass(actor, { params, searchParams }: Props) {
  const key = decodeURIComponent((await params).game);
  const game = await findGame(actor, key).catch((error: unknown) => {
    if (error instanceof NotFound) notFound();
    throw error;
  });
  const [teams, book, profiles, initial] = await Promise.all([
    listTeams(actor),
    bookTextFor(actor),
    profilesOf(actor),
    pull(actor, gameScope(key), null, null),
  ]);
  return (
    <PassPage
      key={key}
      game={game}
      teams={teams}
      bookText={book}
      profile={profiles[game.level]}
      initial={initial}
      first={passOf((await searchParams).pass ?? '')?.id ?? 'front'}
    />
  );
});
