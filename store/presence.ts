/** Who is at a game now. */
import 'server-only';
import type { Actor } from '../core/exchange/types';
import { permit } from './access';
import { Game } from './entities';
import { NotFound } from './errors';
import { openEm } from './orm';

export interface Present {
  readonly name: string;
  readonly snap: string | null;
}
/** A page says it is there every ten seconds; after three times that it is not. */
const GONE_MS = 30_000;

/** Says where the member is, and gives who else is at the game. */
export async function presentAt(
  actor: Actor,
  gameKey: string,
  snap: string | null,
  now: Date,
): Promise<Present[]> {
  permit(actor, 'game.read');
  const em = await openEm();
  const game = await em.findOne(Game, { program: actor.programId, key: gameKey });
  if (!game) throw new NotFound('game');
  await em.execute(
    'insert into presence (member_id, program_id, game_id, snap, at) values (?, ?, ?, ?, ?) on conflict (member_id) do update set game_id = excluded.game_id, snap = excluded.snap, at = excluded.at',
    [actor.memberId, actor.programId, game.id, snap, now],
  );
  return (await em.execute(
    'select m.name, p.snap from presence p join member m on m.id = p.member_id where p.game_id = ? and p.program_id = ? and p.member_id <> ? and p.at > ? order by m.name',
    [game.id, actor.programId, actor.memberId, new Date(now.getTime() - GONE_MS)],
  )) as Present[];
}
