import type { Metadata } from 'next';
import { gameForPage } from '@/app/lib/game-page';
import { earlierOf, planOfGame } from '@/app/lib/plan';
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
  const { page, more: plan } = await gameForPage(actor, params, (game) => planOfGame(actor, game));
  const first = passOf((await searchParams).pass ?? '', plan.passes)?.id ?? null;
  const earlier = await earlierOf(actor, page.game, plan);
  return <PassPage key={page.game.key} {...page} plan={plan} earlier={earlier} first={first} />;
});
