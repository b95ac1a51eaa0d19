import type { Metadata } from 'next';
import { gameForPage } from '@/app/lib/game-page';
import { pageFor } from '@/app/lib/refusable';
import { passOf } from '@/core/charting';
import { PassPage } from '@/ui/log/pass/PassScreen';

export const metadata: Metadata = { title: 'Charting pass' };
export const dynamic = 'force-dynamic';

interface Props {
  params: Promise<{ game: string }>;
  searchParams: Promise<{ pass?: string }>;
}

export default pageFor('snap.log', async function Pass(actor, { params, searchParams }: Props) {
  const { page } = await gameForPage(actor, params, async () => null);
  return (
    <PassPage key={page.game.key} {...page} first={passOf((await searchParams).pass ?? '')?.id ?? 'front'} />
  );
});
