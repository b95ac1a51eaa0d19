/** Games for another staff: a data package without what is ours alone, which it lists. */
import 'server-only';
import { writeBook } from '../core/book/term';
import { tradeGames } from '../core/exchange/trade';
import { pack, writePackage } from '../core/table';
import type { Actor } from '../core/exchange/types';
import { permit } from './access';
import { record } from './audit';
import { Program } from './entities';
import { Invalid, NotFound } from './errors';
import { openEm } from './orm';
import { exportTables } from './packages';

export async function tradePackage(actor: Actor, games: readonly string[], now: Date): Promise<Uint8Array> {
  permit(actor, 'program.export');
  if (games.length === 0) throw new Invalid('choose at least one game to trade');
  const em = await openEm();
  const { tables, book, level } = await exportTables(actor);
  const missing = games.find((key) => !tables.games.some((g) => g.game === key));
  if (missing !== undefined) throw new NotFound('game');
  const { name } = await em.findOneOrFail(Program, { id: actor.programId });
  const traded = tradeGames(tables, book, games);
  await record(em, actor, 'program.export', `traded: ${games.join(', ')}`, now);
  return pack([
    ...writePackage(traded.tables, writeBook(traded.book), {
      name: 'traded-games',
      title: `Games of ${name}`,
      level,
    }),
    { name: 'trade.json', text: `${JSON.stringify({ from: name, leftOut: traded.leftOut }, null, 2)}\n` },
  ]);
}
