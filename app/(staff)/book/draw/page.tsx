import type { Metadata } from 'next';
import { refusable } from '@/app/lib/refusable';
import { requireActor } from '@/app/lib/session';
import { bookFor } from '@/store/book';
import { profilesOf } from '@/store/games';
import { programOf } from '@/store/members';
import { FormationEditor } from '@/ui/book/FormationEditor';
import { act } from '../actions';

export const metadata: Metadata = { title: 'Draw a formation' };
export const dynamic = 'force-dynamic';

interface Props { searchParams: Promise<{ edit?: string; from?: string; name?: string; back?: string }> }

export default refusable(async function Draw({ searchParams }: Props) {
  const actor = await requireActor();
  const [book, program, profiles, wanted] = await Promise.all([bookFor(actor), programOf(actor), profilesOf(actor), searchParams]);
  // Back only to a page of ours.
  const back = wanted.back && /^\/(?!\/)[\w\-./?=%&]*$/.test(wanted.back) ? wanted.back : null;
  return <FormationEditor book={book} profiles={profiles} level={program.level} edit={wanted.edit ?? null} from={wanted.from ?? null} name={wanted.name?.slice(0, 60) ?? ''} back={back} act={act} />;
});
