import type { Metadata } from 'next';
import { pageFor } from '@/app/lib/refusable';
import { walkedGames } from '@/app/lib/week';
import { lookFacts } from '@/core/book';
import { planFor, progressOf, sharpenFilm } from '@/core/charting';
import { PRIVATE } from '@/core/exchange/trade';
import { countStructures, divergence, filmKind, ownFilm, type Structures } from '@/core/read';
import { SNAP_FIELDS } from '@/core/snap';
import { may } from '@/core/staff';
import { bookFor } from '@/store/book';
import { listTeams, profilesOf } from '@/store/games';
import { programOf } from '@/store/programs';
import { SeasonScreen } from '@/ui/log/season/SeasonScreen';
import { describeFilm } from '../actions';

export const metadata: Metadata = { title: 'Season' };
export const dynamic = 'force-dynamic';

/** Fields listed for a side, and of one pass. */
const SHOWN = 6;
const OF_A_PASS = 2;

interface Props {
  searchParams: Promise<{ team?: string | string[] }>;
}

export default pageFor('game.read', async function Season(actor, { searchParams }: Props) {
  const [walked, teams, program, book, profiles] = await Promise.all([
    walkedGames(actor),
    listTeams(actor),
    programOf(actor),
    bookFor(actor),
    profilesOf(actor),
  ]);
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
  const asked = (await searchParams).team;
  const team = teams.find((t) => t.key === asked)?.key ?? null;
  // What is counted in reports on this team: its film, games left out aside.
  const film = walked.filter(
    ({ game }) => (game.home === team || game.away === team) && filmKind(game) === ownFilm(program.level),
  );
  const { passes } = planFor(stored, [team ?? '*', '*']);
  const sharpest = (side: 'offense' | 'defense') =>
    sharpenFilm(
      passes,
      film.map(({ game, rows }) => ({
        key: game.key,
        rows: rows.filter(({ before }) => before[side] === team),
      })),
      OF_A_PASS,
    ).slice(0, SHOWN);
  return (
    <SeasonScreen
      team={program.team}
      wanted={team ?? ''}
      sharpest={team === null ? null : { offense: sharpest('offense'), defense: sharpest('defense') }}
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
