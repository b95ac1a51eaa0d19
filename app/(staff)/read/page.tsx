import type { Metadata } from 'next';
import { profilesFor } from '@/core/field';
import { slimSnap } from '@/core/snap';
import { pageFor } from '@/app/lib/refusable';
import { bookFor } from '@/store/book';
import { listGames, listTeams } from '@/store/games';
import { programOf } from '@/store/members';
import { loadGames } from '@/store/snaps';
import { ReadScreen } from '@/ui/read/ReadScreen';

export const metadata: Metadata = { title: 'Read' };
export const dynamic = 'force-dynamic';

export default pageFor('game.read', async function Read(actor) {
  const [games, teams, program, book] = await Promise.all([listGames(actor), listTeams(actor), programOf(actor), bookFor(actor)]);
  const snaps = await loadGames(actor, games.map((g) => g.key));
  return <ReadScreen games={games.map((info) => ({ info, snaps: (snaps.get(info.key) ?? []).map(slimSnap) }))} teams={teams} book={book} level={program.level} profiles={profilesFor(program.level, program.season, program.settings.profile ?? null)} opponent={program.settings.opponent} />;
});
