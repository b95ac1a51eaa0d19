import type { Metadata } from 'next';
import { pageFor } from '@/app/lib/refusable';
import { may } from '@/core/staff';
import { BOOK_SCOPE } from '@/core/sync';
import { bookFor } from '@/store/book';
import { profilesOf } from '@/store/games';
import { programOf } from '@/store/programs';
import { pull } from '@/store/sync';
import { FormationEditor } from '@/ui/book/FormationEditor';

export const metadata: Metadata = { title: 'Draw a formation' };
export const dynamic = 'force-dynamic';

interface Props {
  searchParams: Promise<{ edit?: string; from?: string; name?: string; back?: string }>;
}

export default pageFor('book.read', async function Draw(actor, { searchParams }: Props) {
  const [book, terms, program, profiles, wanted] = await Promise.all([
    bookFor(actor),
    pull(actor, BOOK_SCOPE, null, null),
    programOf(actor),
    profilesOf(actor),
    searchParams,
  ]);
  // Back only to a page of ours.
  const back = wanted.back && /^\/(?!\/)[\w\-./?=%&]*$/.test(wanted.back) ? wanted.back : null;
  return (
    <FormationEditor
      base={{ ...book, terms: [] }}
      terms={terms}
      mayAdd={may(actor.roles, 'term.add')}
      profiles={profiles}
      level={program.level}
      edit={wanted.edit ?? null}
      from={wanted.from ?? null}
      name={wanted.name?.slice(0, 60) ?? ''}
      back={back}
    />
  );
});
