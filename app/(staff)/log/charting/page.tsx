import type { Metadata } from 'next';
import { pageFor } from '@/app/lib/refusable';
import { planFor } from '@/core/charting';
import { listTeams } from '@/store/games';
import { programOf } from '@/store/programs';
import { PlanEditor } from '@/ui/log/charting/PlanEditor';
import { savePlan } from './actions';

export const metadata: Metadata = { title: 'Charting plan' };
export const dynamic = 'force-dynamic';

interface Props {
  searchParams: Promise<{ team?: string }>;
}

export default pageFor('charting.plan', async function Charting(actor, { searchParams }: Props) {
  const [teams, program, wanted] = await Promise.all([listTeams(actor), programOf(actor), searchParams]);
  const known = [wanted.team, program.settings.opponent].find((k) => teams.some((t) => t.key === k));
  const team = wanted.team === '*' ? '*' : (known ?? '*');
  const stored = program.settings.charting;
  return (
    <PlanEditor
      key={team}
      teams={teams}
      team={team}
      own={Boolean((stored as Record<string, unknown> | undefined)?.[team])}
      plan={planFor(stored, [team, '*'])}
      save={savePlan}
    />
  );
});
