import type { Metadata } from 'next';
import { pageFor } from '@/app/lib/refusable';
import { clock } from '@/app/lib/session';
import { walkedGames } from '@/app/lib/week';
import type { Book } from '@/core/book';
import { inOrder, looksOfBook, looksOfFilm } from '@/core/drill';
import { bookTextFor } from '@/store/book';
import { drillCards } from '@/store/drills';
import { listTeams, profilesOf } from '@/store/games';
import { programOf } from '@/store/programs';
import { DrillScreen } from '@/ui/log/drill/DrillScreen';
import { answerDrill } from './actions';

export const metadata: Metadata = { title: 'Charting drill' };
export const dynamic = 'force-dynamic';

/** Looks of a sitting. */
const SITTING = 20;

interface Props {
  searchParams: Promise<{ team?: string }>;
}

export default pageFor('game.read', async function Drill(actor, { searchParams }: Props) {
  const [teams, program, bookText, profiles, cards, wanted] = await Promise.all([
    listTeams(actor),
    programOf(actor),
    bookTextFor(actor),
    profilesOf(actor),
    drillCards(actor),
    searchParams,
  ]);
  const team =
    wanted.team === 'book'
      ? 'book'
      : ([wanted.team, program.settings.opponent].find((k) => teams.some((t) => t.key === k)) ?? 'book');
  const book = JSON.parse(bookText) as Book;
  const looks =
    team === 'book'
      ? looksOfBook(book)
      : looksOfFilm(
          (await walkedGames(actor, (g) => g.home === team || g.away === team)).flatMap((w) => w.rows),
          team,
        );
  const now = clock().getTime();
  return (
    <DrillScreen
      key={team}
      teams={teams}
      team={team}
      bookText={bookText}
      profile={profiles[program.level]}
      looks={inOrder(looks, cards, now).slice(0, SITTING)}
      all={looks.length}
      due={looks.filter((l) => cards.some((c) => c.look === l.key && c.due <= now)).length}
      cards={cards}
      answer={answerDrill}
    />
  );
});
