import type { Metadata } from 'next';
import { pageFor } from '@/app/lib/refusable';
import { clock, currentToken } from '@/app/lib/session';
import { adaptProfile, LEVEL_PROFILES } from '@/core/field';
import { may } from '@/core/staff';
import { listAudit } from '@/store/audit';
import { lastBackup } from '@/store/backups';
import { listTeams } from '@/store/games';
import { listMembers } from '@/store/members';
import { listSessions } from '@/store/sessions';
import { programOf } from '@/store/programs';
import { StaffScreen } from '@/ui/staff/StaffScreen';
import { act } from './actions';

export const metadata: Metadata = { title: 'Staff' };
export const dynamic = 'force-dynamic';

export default pageFor('member.read', async function Staff(actor) {
  const can = (action: Parameters<typeof may>[1]) => may(actor.roles, action);
  const [members, program, teams, sessions, audit, backup] = await Promise.all([
    listMembers(actor),
    programOf(actor),
    listTeams(actor),
    listSessions(actor, await currentToken(), clock()),
    can('audit.read') ? listAudit(actor) : [],
    can('backup.read') ? lastBackup(actor) : null,
  ]);
  return (
    <StaffScreen
      members={members}
      me={actor.memberId}
      settings={program.settings}
      teams={teams.filter((t) => t.key !== program.team)}
      base={LEVEL_PROFILES[program.level]}
      level={adaptProfile(LEVEL_PROFILES[program.level], program.season, program.settings.profile ?? null)}
      act={act}
      sessions={sessions}
      audit={audit}
      backup={backup}
      demo={program.demo}
      mayMembers={can('member.change')}
      mayLevel={can('level.set')}
      mayRules={can('rules.set')}
      mayWeek={can('week.set')}
      mayExport={can('program.export')}
      mayBackup={can('backup.read')}
      mayAudit={can('audit.read')}
    />
  );
});
