import type { Metadata } from 'next';
import { pageFor } from '@/app/lib/refusable';
import { bookFor, termUse } from '@/store/book';
import { listChanges } from '@/store/book-changes';
import { profilesOf } from '@/store/games';
import { programOf } from '@/store/programs';
import { may } from '@/core/staff';
import { BOOK_SCOPE, PLAYS_SCOPE } from '@/core/sync';
import { pull } from '@/store/sync';
import { BookScreen } from '@/ui/book/BookScreen';
import { act, preview } from './actions';

export const metadata: Metadata = { title: 'Book' };
export const dynamic = 'force-dynamic';

export default pageFor('book.read', async function Book(actor) {
  const [book, terms, plays, use, changes, program, profiles] = await Promise.all([
    bookFor(actor),
    pull(actor, BOOK_SCOPE, null, null),
    pull(actor, PLAYS_SCOPE, null, null),
    termUse(actor),
    listChanges(actor),
    programOf(actor),
    profilesOf(actor),
  ]);
  return (
    <BookScreen
      base={{ ...book, terms: [] }}
      terms={terms}
      use={Object.fromEntries(use)}
      plays={plays}
      changes={changes}
      team={program.team}
      level={program.level}
      profiles={profiles}
      act={act}
      preview={preview}
      mayMerge={may(actor.roles, 'term.merge')}
      mayAdd={may(actor.roles, 'term.add')}
      mayPlay={may(actor.roles, 'play.add')}
      mayImport={may(actor.roles, 'book.import')}
    />
  );
});
