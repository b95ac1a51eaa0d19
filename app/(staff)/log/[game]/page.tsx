import type { Metadata } from 'next';
import { gameForPage } from '@/app/lib/game-page';
import { habitsBefore } from '@/app/lib/habits';
import { pageFor } from '@/app/lib/refusable';
import { peopleOfGame } from '@/store/worn';
import { LogPage } from '@/ui/log/LogScreen';

export const metadata: Metadata = { title: 'Log' };
/** Without a skeleton: the line takes keys as soon as it is seen. */
export const dynamic = 'force-dynamic';

interface Props {
  params: Promise<{ game: string }>;
  searchParams: Promise<{ snap?: string }>;
}

export default pageFor('snap.log', async function LogGame(actor, { params, searchParams }: Props) {
  const { page, more: letters } = await gameForPage(actor, params, ({ key, home, away }) =>
    Promise.all([home, away].map(async (t) => [t, (await peopleOfGame(actor, key, t)).letters] as const)),
  );
  const earlier = await habitsBefore(actor, page.game.key, page.bookText);
  return (
    <LogPage
      key={page.game.key}
      {...page}
      earlier={earlier}
      letters={Object.fromEntries(letters)}
      open={(await searchParams).snap ?? null}
    />
  );
});
