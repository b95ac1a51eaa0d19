import type { ReactNode } from 'react';
import { rulesOf } from '@/core/read/read-rules';
import { may } from '@/core/staff';
import { requireActor } from '@/app/lib/session';
import { listTeams } from '@/store/games';
import { programOf } from '@/store/programs';
import { epochOf } from '@/store/sync';
import { Frame } from '@/ui/Frame';
import { leave } from './actions';
import { addClips, keepReel, keptReels } from './read/reels/actions';

export default async function StaffLayout({ children }: { children: ReactNode }) {
  const actor = await requireActor();
  const staff = may(actor.roles, 'program.read');
  const [program, teams, epoch] = await Promise.all([
    programOf(actor),
    staff ? listTeams(actor) : [],
    epochOf(),
  ]);
  const opponent = teams.find((t) => t.key === program.settings.opponent)?.name ?? null;
  const week = `${program.settings.week === null ? '' : `Week ${program.settings.week} · `}${program.name} · ${program.season}`;
  return (
    <Frame
      owner={`${actor.programId}.${actor.memberId}`}
      epoch={epoch}
      may={{ football: may(actor.roles, 'game.read'), staff }}
      opponent={opponent}
      week={week}
      member={actor.name}
      rules={rulesOf(program.settings.rules)}
      reels={may(actor.roles, 'reel.save') ? { list: keptReels, create: keepReel, add: addClips } : null}
      signOut={leave}
    >
      {children}
    </Frame>
  );
}
