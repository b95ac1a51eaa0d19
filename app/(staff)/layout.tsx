import { redirect } from 'next/navigation';
import type { ReactNode } from 'react';
import { rulesOf } from '@/core/read';
import { clearSession, requireActor } from '@/app/lib/session';
import { listTeams } from '@/store/games';
import { programOf, signOut } from '@/store/members';
import { Frame } from '@/ui/Frame';

async function leave(): Promise<void> {
  'use server';
  const token = await clearSession();
  if (token) await signOut(token);
  redirect('/sign-in');
}

export default async function StaffLayout({ children }: { children: ReactNode }) {
  const actor = await requireActor();
  const [program, teams] = await Promise.all([programOf(actor), listTeams(actor)]);
  const opponent = teams.find((t) => t.key === program.settings.opponent)?.name ?? null;
  const week = `${program.settings.week === null ? '' : `Week ${program.settings.week} · `}${program.name} · ${program.season}`;
  return <Frame opponent={opponent} week={week} member={actor.name} rules={rulesOf(program.settings.rules)} signOut={leave}>{children}</Frame>;
}
