import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { profilesFor } from '@/core/field';
import { slimSnap } from '@/core/snap';
import { pageFor } from '@/app/lib/refusable';
import { may } from '@/core/staff';
import { sheetScope } from '@/core/sync';
import { bookFor } from '@/store/book';
import { NotFound } from '@/store/errors';
import { listGames, listTeams } from '@/store/games';
import { programOf } from '@/store/members';
import { listPlays, loadSheet } from '@/store/plans';
import { pull } from '@/store/sync';
import { loadGames } from '@/store/snaps';
import { PlanScreen } from '@/ui/plan/PlanScreen';
import { copyOf } from '../actions';

export const metadata: Metadata = { title: 'Plan' };
export const dynamic = 'force-dynamic';

interface Props { params: Promise<{ sheet: string }> }

export default pageFor('sheet.read', async function PlanSheet(actor, { params }: Props) {
  const key = (await params).sheet;
  const sheet = await loadSheet(actor, key).catch((e: unknown) => {
    if (e instanceof NotFound) notFound();
    throw e;
  });
  const [rows, plays, program, teams, games, book] = await Promise.all([pull(actor, sheetScope(key), null, null), listPlays(actor), programOf(actor), listTeams(actor), listGames(actor), bookFor(actor)]);
  // Own film ranks the plays, the opponent's says what it answers with.
  const own = games.filter((g) => [program.team, sheet.opponent].some((t) => g.home === t || g.away === t));
  const snaps = await loadGames(actor, own.map((g) => g.key));
  const name = (k: string) => teams.find((t) => t.key === k)?.name ?? k;
  const able = { draft: may(actor.roles, 'sheet.draft'), locked: may(actor.roles, 'sheet.draft-locked'), lock: may(actor.roles, 'sheet.lock') };
  return (
    <PlanScreen sheet={sheet} rows={rows} plays={plays} team={program.team} teamName={name(program.team)} opponentName={name(sheet.opponent)} book={book} level={program.level} profiles={profilesFor(program.level, program.season, program.settings.profile ?? null)} games={own.map((info) => ({ info, snaps: (snaps.get(info.key) ?? []).map(slimSnap) }))} able={able} copy={copyOf.bind(null, key)} />
  );
});
