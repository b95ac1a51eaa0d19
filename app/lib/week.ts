import 'server-only';
import { rulesOf } from '@/core/read/read-rules';
import { checkRows, walkGame, type Finding, type WalkedSnap } from '@/core/rules';
import { snapsOf, stampedGames } from '@/store/film';
import { Kept } from '@/store/kept';
import { keptInProcess } from '@/store/process';
import { profilesOf } from '@/store/games';
import { programOf } from '@/store/programs';
import type { Actor, GameInfo } from '@/core/exchange/types';
import type { FilmLog } from '@/ui/week/FilmCard';

export interface WalkedGame {
  readonly game: GameInfo;
  readonly rows: readonly WalkedSnap[];
  readonly findings: readonly Finding[];
}

interface Walked {
  readonly rows: readonly WalkedSnap[];
  readonly findings: readonly Finding[];
}

/** Games of the program, walked and checked: all, or those a filter keeps. A game is walked once a revision and set of rules. */
export async function walkedGames(
  actor: Actor,
  wanted: (game: GameInfo) => boolean = () => true,
): Promise<WalkedGame[]> {
  const [all, profiles, program] = await Promise.all([
    stampedGames(actor),
    profilesOf(actor),
    programOf(actor),
  ]);
  const rules = rulesOf(program.settings.rules);
  const settings = JSON.stringify([program.settings.profile ?? null, program.settings.rules ?? null]);
  const kept = keptInProcess('walked', () => new Kept<Walked>(60));
  return Promise.all(
    all
      .filter((g) => wanted(g.info))
      .map(async (stampedGame) => ({
        game: stampedGame.info,
        ...(await kept.get(
          `${stampedGame.info.id} ${stampedGame.stamp} ${stampedGame.info.level} ${settings}`,
          async () => {
            const rows = walkGame(await snapsOf(actor, stampedGame), profiles[stampedGame.info.level], {
              buckets: rules.buckets,
              zones: rules.zones,
            });
            return { rows, findings: checkRows(rows) };
          },
        )),
      })),
  );
}

/** Where a game's log stands: "ends in the 4th quarter", "stops in the 2nd quarter, 3:12". */
export function logState(walkedGame: WalkedGame): 'empty' | 'partial' | 'whole' {
  const last = walkedGame.rows[walkedGame.rows.length - 1];
  if (!last) return 'empty';
  if (walkedGame.game.closed) return 'whole';
  const { quarter, clock } = last.before;
  return quarter !== null && quarter >= 4 && (clock === null || clock <= 60) ? 'whole' : 'partial';
}

/** A game as the week lists it. */
export function logOf(walkedGame: WalkedGame): FilmLog {
  const { game, rows, findings } = walkedGame;
  const last = rows[rows.length - 1];
  const wrong = findings.filter((f) => f.level === 'finding');
  return {
    game,
    snaps: rows.length,
    state: logState(walkedGame),
    stops: last ? { quarter: last.before.quarter ?? 1, clock: last.before.clock } : null,
    toFix: { count: wrong.length, first: wrong[0]?.snapId ?? null },
  };
}
