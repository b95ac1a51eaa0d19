import type { Metadata } from 'next';
import { Suspense } from 'react';
import { profilesFor } from '@/core/field';
import { EarlyFilm } from '@/app/lib/EarlyFilm';
import { pageFor } from '@/app/lib/refusable';
import { bookTextFor } from '@/store/book';
import { listTeams } from '@/store/games';
import { programOf } from '@/store/programs';
import { viewsSchema } from '@/core/read/schema';
import { filmPath } from '@/ui/film/path';
import { ReadPage } from '@/ui/read/ReadPage';
import { FilmComes } from '@/ui/film/FilmComes';
import { saveView } from './actions';
import { FirstBoard } from './FirstBoard';

export const metadata: Metadata = { title: 'Read' };
export const dynamic = 'force-dynamic';

interface Props {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}
const searchOf = (given: Awaited<Props['searchParams']>): string =>
  new URLSearchParams(
    Object.entries(given).flatMap(([key, value]) =>
      [value ?? []].flat().map((v): [string, string] => [key, v]),
    ),
  ).toString();

export default pageFor('game.read', async function Read(actor, { searchParams }: Props) {
  const search = searchOf(await searchParams);
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
        first={
          <Suspense fallback={<FilmComes />}>
            <FirstBoard actor={actor} search={search} />
          </Suspense>
        }
      />
    </>
  );
});
