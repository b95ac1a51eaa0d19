import 'server-only';
import { rulesOf } from '@/core/read';
import { checkRows, walkGame, type Finding, type WalkedSnap } from '@/core/rules';
import { listGames, profilesOf } from '@/store/games';
import { programOf } from '@/store/members';
import { loadGames } from '@/store/snaps';
import type { Actor, GameInfo } from '@/core/exchange/types';

export interface WalkedGame {
  readonly game: GameInfo;
  readonly rows: readonly WalkedSnap[];
  readonly findings: readonly Finding[];
}

/** Games of the program, walked and checked: all, or those a filter keeps. */
export async function walkedGames(actor: Actor, wanted: (game: GameInfo) => boolean = () => true): Promise<WalkedGame[]> {
  const games = (await listGames(actor)).filter(wanted);
  const [snaps, profiles, program] = await Promise.all([loadGames(actor, games.map((g) => g.key)), profilesOf(actor), programOf(actor)]);
  const rules = rulesOf(program.settings.rules);
  return games.map((game) => {
    const rows = walkGame(snaps.get(game.key) ?? [], profiles[game.level], { buckets: rules.buckets, zones: rules.zones });
    return { game, rows, findings: checkRows(rows) };
  });
}

/** Where a game's log stands: "ends in the 4th quarter", "stops in the 2nd quarter, 3:12". */
export function logState(w: WalkedGame): 'empty' | 'partial' | 'whole' {
  const last = w.rows[w.rows.length - 1];
  if (!last) return 'empty';
  if (w.game.closed) return 'whole';
  const { quarter, clock } = last.before;
  return quarter !== null && quarter >= 4 && (clock === null || clock <= 60) ? 'whole' : 'partial';
}
