import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { pageFor } from '@/app/lib/refusable';
import { compareChartings } from '@/core/agreement';
import { CHART_PASSES } from '@/core/charting';
import { gameScope } from '@/core/sync';
import { chartingsOf, chartingsToCompare } from '@/store/chartings';
import { NotFound } from '@/store/errors';
import { findGame, listTeams } from '@/store/games';
import { pull } from '@/store/sync';
import { AgreeScreen } from '@/ui/log/agree/AgreeScreen';
import { beginBlindCharting } from '../../charting/actions';

export const metadata: Metadata = { title: 'Two charters' };
export const dynamic = 'force-dynamic';

const FIELDS = [...new Set(CHART_PASSES.flatMap((p) => p.fields))];

interface Props {
  params: Promise<{ game: string }>;
  searchParams: Promise<{ official?: string }>;
}

export default pageFor('game.read', async function Agree(actor, { params, searchParams }: Props) {
  const key = decodeURIComponent((await params).game);
  const game = await findGame(actor, key).catch((error: unknown) => {
    if (error instanceof NotFound) notFound();
    throw error;
  });
  const chartings = await chartingsOf(actor, key);
  const handed = chartings.filter((c) => c.handedIn).length;
  const atWork = chartings.find((c) => c.mine && !c.handedIn);
  // One alone is compared with what was logged.
  const official = (await searchParams).official === '1' || handed === 1;
  const compared = atWork || handed === 0 ? [] : await chartingsToCompare(actor, key, official);
  const [teams, initial] = await Promise.all([listTeams(actor), pull(actor, gameScope(key), null, null)]);
  return (
    <AgreeScreen
      game={game}
      teams={teams}
      chartings={chartings}
      names={compared.map((c) => c.name)}
      withOfficial={official}
      fields={compareChartings(compared, FIELDS).filter((f) => f.kappa.n > 0)}
      initial={initial}
      begin={beginBlindCharting}
    />
  );
});
