import type { Metadata } from 'next';
import { revalidatePath } from 'next/cache';
import { notFound, redirect } from 'next/navigation';
import { profilesFor } from '@/core/field';
import { slimSnap } from '@/core/snap';
import { refusable } from '@/app/lib/refusable';
import { clock, requireActor } from '@/app/lib/session';
import { bookFor } from '@/store/book';
import { NotFound } from '@/store/errors';
import { listGames, listTeams } from '@/store/games';
import { programOf } from '@/store/members';
import { copySheet, listPlays, loadSheet, lockSheet } from '@/store/plans';
import { loadGames } from '@/store/snaps';
import { PlanScreen } from '@/ui/plan/PlanScreen';

export const metadata: Metadata = { title: 'Plan' };
export const dynamic = 'force-dynamic';

interface Props { params: Promise<{ sheet: string }> }

export default refusable(async function PlanSheet({ params }: Props) {
  const actor = await requireActor();
  const key = (await params).sheet;
  const sheet = await loadSheet(actor, key).catch((e: unknown) => {
    if (e instanceof NotFound) notFound();
    throw e;
  });
  const [plays, program, teams, games, book] = await Promise.all([listPlays(actor), programOf(actor), listTeams(actor), listGames(actor), bookFor(actor)]);
  // Own film ranks the plays, the opponent's says what it answers with.
  const own = games.filter((g) => [program.team, sheet.opponent].some((t) => g.home === t || g.away === t));
  const snaps = await loadGames(actor, own.map((g) => g.key));
  const name = (k: string) => teams.find((t) => t.key === k)?.name ?? k;
  const lock = async (locked: boolean): Promise<void> => {
    'use server';
    await lockSheet(await requireActor(), key, locked);
    revalidatePath(`/plan/${key}`);
  };
  const copy = async (): Promise<void> => {
    'use server';
    redirect(`/plan/${await copySheet(await requireActor(), key, clock())}`);
  };
  const coordinator = actor.roles.includes('coordinator');
  const mayEdit = (coordinator || actor.roles.includes('coach')) && (sheet.lockedById === null || coordinator || sheet.lockedById === actor.memberId);
  return (
    <PlanScreen sheet={sheet} plays={plays} team={program.team} teamName={name(program.team)} opponentName={name(sheet.opponent)} book={book} level={program.level} profiles={profilesFor(program.level, program.season, program.settings.profile ?? null)} games={own.map((info) => ({ info, snaps: (snaps.get(info.key) ?? []).map(slimSnap) }))} mayEdit={mayEdit} mayLock={coordinator} lock={lock} copy={copy} />
  );
});
