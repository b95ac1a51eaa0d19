import { gameName } from '@/core/exchange/names';
import { handle } from '@/app/lib/respond';
import type { Place } from '@/core/exchange/places';
import { bookFor } from '@/store/book';
import { listGames, listTeams } from '@/store/games';
import { listPlays, listSheets } from '@/store/plans';

/** Every game, sheet, play and term by name, for the command palette. */
export async function GET(request: Request): Promise<Response> {
  return handle(request, 'week.read', async (actor): Promise<Place[]> => {
    const [games, teams, sheets, plays, book] = await Promise.all([
      listGames(actor),
      listTeams(actor),
      listSheets(actor),
      listPlays(actor),
      bookFor(actor),
    ]);
    const name = (key: string): string => teams.find((t) => t.key === key)?.name ?? key;
    return [
      ...games.map((game): Place => ({
        kind: 'game',
        key: game.key,
        name: gameName(game, name),
        what: game.week === null ? (game.date ?? '') : `week ${game.week}`,
      })),
      ...sheets.map((s): Place => ({ kind: 'sheet', key: s.key, name: s.name, what: name(s.opponent) })),
      ...plays.map((p): Place => ({ kind: 'play', key: p.id, name: p.name, what: p.kind })),
      ...book.terms.map((t): Place => ({ kind: 'term', key: t.id, name: t.word, what: t.kind })),
    ];
  });
}
