import { practiceOf } from '@/core/exchange/settings';
import 'server-only';
import { callsToRep, daysBefore, numberSheet, playsToRep, SECTIONS, type Repped } from '@/core/plan';
import type { Actor, GameInfo, SheetDetail } from '@/core/exchange/types';
import { PRACTICE } from '@/core/read';
import { snapsOf } from '@/store/film';
import { filmOfTeams } from './counted-film';

/** Practice of the week that ends with the game; without a date for it, of the week that the staff is in. */
const ofThisWeek = ({ date, week, phase }: GameInfo, game: string | null, now: number | null): boolean =>
  PRACTICE.has(phase) &&
  (game !== null
    ? date !== null && date < game && date >= daysBefore(game, 7)
    : week !== null && week === now);

/** What a sheet has the week repeat. */
export async function toRep(actor: Actor, sheet: SheetDetail, team: string): Promise<readonly Repped[]> {
  const film = await filmOfTeams(actor, [team, sheet.opponent]);
  const { program } = film;
  const { game } = practiceOf(program.settings);
  const practiced = await Promise.all(
    film.games
      .filter(({ info }) => ofThisWeek(info, game, program.settings.week))
      .map((stamped) => snapsOf(actor, stamped)),
  );
  const source = {
    book: film.book,
    profile: film.profiles[program.level],
    settings: film.rules.look,
    snaps: film.counted,
    columns: film.columns,
    team,
    opponent: sheet.opponent,
    practiced: practiced.flat(),
  };
  return sheet.side === 'defense'
    ? playsToRep(source, sheet.checks)
    : callsToRep(source, numberSheet(sheet.list, sheet.sections ?? SECTIONS));
}
