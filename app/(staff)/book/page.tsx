import type { Metadata } from 'next';
import { refusable } from '@/app/lib/refusable';
import { requireActor } from '@/app/lib/session';
import { bookFor, listChanges, termUse } from '@/store/book';
import { listGames, profilesOf } from '@/store/games';
import { programOf } from '@/store/members';
import { listPlays } from '@/store/plans';
import { loadGames } from '@/store/snaps';
import { slimSnap } from '@/core/snap';
import { BookScreen } from '@/ui/book/BookScreen';
import { act, preview } from './actions';

export const metadata: Metadata = { title: 'Book' };
export const dynamic = 'force-dynamic';

export default refusable(async function Book() {
  const actor = await requireActor();
  const [book, use, plays, changes, program, profiles, games] = await Promise.all([bookFor(actor), termUse(actor), listPlays(actor), listChanges(actor), programOf(actor), profilesOf(actor), listGames(actor)]);
  const own = games.filter((g) => g.home === program.team || g.away === program.team);
  const snaps = await loadGames(actor, own.map((g) => g.key));
  const may = (...roles: string[]) => actor.roles.some((r) => roles.includes(r));
  return (
    <BookScreen book={book} use={Object.fromEntries(use)} plays={plays} changes={changes} team={program.team} level={program.level} profiles={profiles} own={own.map((info) => ({ info, snaps: (snaps.get(info.key) ?? []).map(slimSnap) }))}
      act={act} preview={preview} mayMerge={may('coordinator')} mayAdd={may('coordinator', 'coach', 'charter')} mayPlay={may('coordinator', 'coach')} mayImport={may('keeper', 'coordinator')} />
  );
});
