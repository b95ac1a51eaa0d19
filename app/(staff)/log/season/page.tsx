import type { Metadata } from 'next';
import { pageFor } from '@/app/lib/refusable';
import { walkedGames } from '@/app/lib/week';
import { lookFacts, type Book } from '@/core/book';
import { planFor, progressOf } from '@/core/charting';
import { PRIVATE } from '@/core/exchange/trade';
import { countStructures, divergence, type Structures } from '@/core/read';
import { SNAP_FIELDS } from '@/core/snap';
import { may } from '@/core/staff';
import { bookTextFor } from '@/store/book';
import { listTeams, profilesOf } from '@/store/games';
import { programOf } from '@/store/programs';
import { SeasonScreen } from '@/ui/log/season/SeasonScreen';
import { describeFilm } from '../actions';

export const metadata: Metadata = { title: 'Season' };
export const dynamic = 'force-dynamic';

export default pageFor('game.read', async function Season(actor) {
  const [walked, teams, program, bookText, profiles] = await Promise.all([
    walkedGames(actor),
    listTeams(actor),
    programOf(actor),
    bookTextFor(actor),
    profilesOf(actor),
  ]);
  const book = JSON.parse(bookText) as Book;
  const labels = new Map<string, (string | null)[]>();
  for (const { game, rows } of walked)
    for (const { snap, before } of rows) {
      if (before.unit !== 'scrimmage' || before.offense === null) continue;
      const list = labels.get(before.offense) ?? [];
      list.push(lookFacts(book, snap, profiles[game.level]).structureSnap);
      labels.set(before.offense, list);
    }
  const structures = new Map<string, Structures>([...labels].map(([t, list]) => [t, countStructures(list)]));
  const ours = structures.get(program.team) ?? countStructures([]);
  const stored = program.settings.charting;
  return (
    <SeasonScreen
      team={program.team}
      teams={teams}
      games={walked.map(({ game, rows, findings }) => ({
        game,
        toFix: findings.filter((f) => f.level === 'finding').length,
        passes: planFor(stored, [game.home, game.away, '*'])
          .passes.map((pass) => ({ name: pass.name, ...progressOf(pass, rows) }))
          .filter((p) => p.of > 0),
      }))}
      like={[...structures]
        .filter(([t]) => t !== program.team)
        .flatMap(([t, s]) => {
          const bits = divergence(ours, s);
          return bits === null ? [] : [{ team: t, bits, n: s.n }];
        })
        .sort((a, b) => a.bits - b.bits)}
      n={ours.n}
      privateFields={PRIVATE.map((f) => SNAP_FIELDS[f].label)}
      mayTrade={may(actor.roles, 'program.export')}
      describe={describeFilm}
    />
  );
});
