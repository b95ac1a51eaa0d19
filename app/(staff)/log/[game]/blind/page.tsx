import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { gameForPage } from '@/app/lib/game-page';
import { earlierOf, planOfGame } from '@/app/lib/plan';
import { pageFor } from '@/app/lib/refusable';
import { passOf } from '@/core/charting';
import { blindScope } from '@/core/sync';
import { chartingsOf } from '@/store/chartings';
import { pull } from '@/store/sync';
import { PassPage } from '@/ui/log/pass/PassScreen';
import { handInCharting } from '../../charting/actions';

export const metadata: Metadata = { title: 'Blind charting' };
export const dynamic = 'force-dynamic';

interface Props {
  params: Promise<{ game: string }>;
  searchParams: Promise<{ pass?: string }>;
}

export default pageFor('snap.log', async function Blind(actor, { params, searchParams }: Props) {
  const { page, more } = await gameForPage(actor, params, (game) =>
    Promise.all([
      planOfGame(actor, game),
      chartingsOf(actor, game.key),
      pull(actor, blindScope(game.key), null, null),
    ]),
  );
  const [plan, chartings, initial] = more;
  const mine = chartings.find((c) => c.mine);
  if (!mine || mine.handedIn) redirect(`/log/${encodeURIComponent(page.game.key)}/agree`);
  return (
    <PassPage
      key={page.game.key}
      {...page}
      initial={initial}
      plan={plan}
      earlier={await earlierOf(actor, page.game, plan)}
      first={passOf((await searchParams).pass ?? '', plan.passes)?.id ?? null}
      blind={{ handIn: handInCharting }}
    />
  );
});
