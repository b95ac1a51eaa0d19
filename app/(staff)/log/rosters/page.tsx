import type { Metadata } from 'next';
import { pageFor } from '@/app/lib/refusable';
import { walkedGames } from '@/app/lib/week';
import { nobodys, numbersOnFilm } from '@/core/roster';
import { may } from '@/core/staff';
import { availabilityOf } from '@/store/availability';
import { bookFor } from '@/store/book';
import { listGames, listTeams } from '@/store/games';
import { programOf } from '@/store/programs';
import { rosterOf } from '@/store/rosters';
import { peopleOfGame } from '@/store/worn';
import { RosterScreen } from '@/ui/log/roster/RosterScreen';
import { changeRoster, sayAvailability } from './actions';

export const metadata: Metadata = { title: 'Rosters' };
export const dynamic = 'force-dynamic';

interface Props {
  searchParams: Promise<{ team?: string; game?: string }>;
}

export default pageFor('roster.read', async function Rosters(actor, { searchParams }: Props) {
  const wanted = await searchParams;
  const [teams, program, games, book] = await Promise.all([
    listTeams(actor),
    programOf(actor),
    listGames(actor),
    bookFor(actor),
  ]);
  const team =
    [wanted.team, program.settings.opponent, program.team].find((k) => teams.some((t) => t.key === k)) ?? '';
  const played = games.filter((g) => g.home === team || g.away === team);
  const game = played.find((g) => g.key === wanted.game) ?? played[played.length - 1] ?? null;
  const [roster, people, walked, availability] = await Promise.all([
    team === '' ? [] : rosterOf(actor, team),
    game ? peopleOfGame(actor, game.key, team) : { worn: [], letters: {} },
    game ? walkedGames(actor, (g) => g.key === game.key) : [],
    team === program.team && may(actor.roles, 'availability.read') ? availabilityOf(actor) : null,
  ]);
  const worn = walked[0] ? numbersOnFilm(walked[0].rows, team) : [];
  const known = new Set([...roster.map((r) => r.number), ...people.worn.map((w) => w.number)]);
  return (
    <RosterScreen
      key={team}
      teams={teams}
      team={team}
      games={played}
      game={game?.key ?? null}
      roster={roster}
      people={people}
      worn={worn}
      nobodys={nobodys(worn, known)}
      letters={book.letters}
      mayMerge={may(actor.roles, 'player.merge')}
      change={changeRoster}
      availability={availability}
      sayAvailability={sayAvailability}
    />
  );
});
