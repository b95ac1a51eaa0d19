/** Snaps to read: all of several games at once. Written they are as operations (store/sync). */
import 'server-only';
import { byOrder } from '../core/snap/order';
import type { Snap } from '../core/snap/snap';
import { permit } from './access';
import { Charting, Game } from './entities';
import { rowToSnap } from './mapping';
import { openEm } from './orm';
import { plainRows } from './sync/snaps';
import type { Actor } from '../core/exchange/types';

/** All snaps of several games, by game key: for Read. */
export async function loadGames(actor: Actor, gameKeys: readonly string[]): Promise<Map<string, Snap[]>> {
  permit(actor, 'game.read');
  const em = await openEm();
  const games = await em.find(Game, { program: actor.programId, key: { $in: [...gameKeys] } });
  const chartings = await em.find(Charting, {
    program: actor.programId,
    game: { $in: games.map((g) => g.id) },
    kind: 'official',
  });
  const keyOf = new Map(chartings.map((c) => [c.id, games.find((g) => g.id === c.game)!.key]));
  const rows =
    chartings.length === 0
      ? []
      : await plainRows(em, { charting: { $in: chartings.map((c) => c.id) }, deletedAt: null });
  const out = new Map<string, Snap[]>(games.map((g) => [g.key, []]));
  for (const row of rows) out.get(keyOf.get(row.charting)!)!.push(rowToSnap(row, keyOf.get(row.charting)!));
  for (const list of out.values()) list.sort(byOrder);
  return out;
}
