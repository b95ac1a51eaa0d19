import 'server-only';
import { earlierSnaps, planFor, type ChartPlan, type EarlierSnap } from '@/core/charting';
import { bookFor } from '@/store/book';
import { profilesOf } from '@/store/games';
import { walkedGames } from './week';
import type { Actor, GameInfo } from '@/core/exchange/types';
import { programOf } from '@/store/programs';

/** The plan a game is charted by: the week's opponent's, else either team's, else the staff's for all. */
export async function planOfGame(actor: Actor, { home, away }: GameInfo): Promise<ChartPlan> {
  const { settings, team } = await programOf(actor);
  const playing = [home, away].sort(
    (a, b) => Number(b === settings.opponent) - Number(a === settings.opponent),
  );
  return planFor(settings.charting, [...playing.filter((t) => t !== team), team, '*']);
}

/** Snaps of other games that rank the values, the latest. */
const MOST_EARLIER = 1200;

/** What was charted of these teams in other games, in the fields of the plan. */
export async function earlierOf(actor: Actor, game: GameInfo, plan: ChartPlan): Promise<EarlierSnap[]> {
  const teams = [game.home, game.away];
  const [walked, book, profiles] = await Promise.all([
    walkedGames(actor, (g) => g.key !== game.key && (teams.includes(g.home) || teams.includes(g.away))),
    bookFor(actor),
    profilesOf(actor),
  ]);
  const fields = [...new Set(plan.passes.flatMap((p) => p.fields))];
  const rows = walked.flatMap((w) => w.rows).slice(-MOST_EARLIER);
  return earlierSnaps(rows, fields, book, profiles[game.level]);
}
