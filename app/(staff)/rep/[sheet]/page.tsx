import { practiceOf } from '@/core/exchange/settings';
import type { Metadata } from 'next';
import { toRep } from '@/app/lib/practice';
import { pageFor } from '@/app/lib/refusable';
import { clock } from '@/app/lib/session';
import { countdown } from '@/core/plan';
import { may } from '@/core/staff';
import { listTeams } from '@/store/games';
import { loadSheet } from '@/store/plans';
import { programOf } from '@/store/programs';
import { PracticeScreen } from '@/ui/rep/PracticeScreen';
import { savePractice } from '../actions';

export const metadata: Metadata = { title: 'Rep' };
export const dynamic = 'force-dynamic';

interface Props {
  params: Promise<{ sheet: string }>;
}

export default pageFor('sheet.read', async function Practice(actor, { params }: Props) {
  const { sheet: key } = await params;
  const [sheet, program, teams] = await Promise.all([
    loadSheet(actor, key),
    programOf(actor),
    listTeams(actor),
  ]);
  const settings = practiceOf(program.settings);
  return (
    <PracticeScreen
      // Saved by another member meanwhile: begun anew from that.
      key={JSON.stringify(settings)}
      sheet={{
        key,
        name: sheet.name,
        side: sheet.side,
        against: teams.find((t) => t.key === sheet.opponent)?.name ?? sheet.opponent,
      }}
      items={await toRep(actor, sheet, program.team)}
      saved={settings}
      countdown={countdown(settings.game, clock())}
      save={may(actor.roles, 'sheet.draft') ? savePractice : null}
    />
  );
});
