import 'server-only';
import { planFor, type ChartPlan } from '@/core/charting';
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
