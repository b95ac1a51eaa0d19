import type { Metadata } from 'next';
import { profilesFor } from '@/core/field';
import { EarlyFilm } from '@/app/lib/EarlyFilm';
import { pageFor } from '@/app/lib/refusable';
import { bookTextFor } from '@/store/book';
import { listTeams } from '@/store/games';
import { programOf } from '@/store/programs';
import { viewsSchema } from '@/core/read/schema';
import { filmPath } from '@/ui/film/path';
import { ReadPage } from '@/ui/read/ReadPage';
import { saveView } from './actions';

export const metadata: Metadata = { title: 'Read' };
export const dynamic = 'force-dynamic';

export default pageFor('game.read', async function Read(actor) {
  const [teams, program, book] = await Promise.all([listTeams(actor), programOf(actor), bookTextFor(actor)]);
  return (
    <>
      <EarlyFilm actor={actor} path={filmPath()} />
      <ReadPage
        teams={teams}
        bookText={book}
        level={program.level}
        profiles={profilesFor(program.level, program.season, program.settings.profile ?? null)}
        opponent={program.settings.opponent}
        own={program.team}
        views={viewsSchema.safeParse(program.settings.views).data ?? []}
        saveView={saveView}
      />
    </>
  );
});
