import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { pageFor } from '@/app/lib/refusable';
import { walkedGames } from '@/app/lib/week';
import { boxScore, SACKS_AS, sacksAt } from '@/core/stats';
import { may } from '@/core/staff';
import { listTeams, officialOf } from '@/store/games';
import { BoxScreen } from '@/ui/log/box/BoxScreen';
import { keepOfficial } from '../../actions';

export const metadata: Metadata = { title: 'Box score' };
export const dynamic = 'force-dynamic';

interface Props {
  params: Promise<{ game: string }>;
  searchParams: Promise<{ sacks?: string }>;
}

export default pageFor('game.read', async function Box(actor, { params, searchParams }: Props) {
  const key = decodeURIComponent((await params).game);
  const [[walked], teams] = await Promise.all([walkedGames(actor, (g) => g.key === key), listTeams(actor)]);
  if (!walked) notFound();
  const { game, rows, findings } = walked;
  const wanted = (await searchParams).sacks;
  const sacks = SACKS_AS.find((s) => s === wanted) ?? sacksAt(game.level);
  return (
    <BoxScreen
      game={game}
      teams={teams}
      box={boxScore(rows, game.home, game.away, sacks)}
      numbers={Object.fromEntries(rows.map((r) => [r.snap.snapId, r.number]))}
      findings={findings.filter((f) => f.level === 'finding').length}
      official={await officialOf(actor, key)}
      mayType={may(actor.roles, 'snap.log')}
      save={keepOfficial}
    />
  );
});
