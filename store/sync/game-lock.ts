/** A game under its lock: what is read with it, for whoever writes next. */
import 'server-only';
import type { Answer } from '../../core/sync';
import type { Actor } from '../../core/exchange/types';
import { permit } from '../access';
import { Game } from '../entities';
import { NotFound } from '../errors';
import { officialCharting } from '../games';
import type { SnapEntity } from '../mapping';
import type { Em } from '../orm';
import { RefusedOperation } from './writing';

/** The member's own blind charting, locked; handed in, it is closed. */
export async function lockBlind(tx: Em, actor: Actor, key: string) {
  permit(actor, 'snap.log');
  const [locked] = (await tx.execute(
    "select c.id as charting, c.revision, c.handed_in_at, g.home, g.away from charting c join game g on g.id = c.game_id where g.program_id = ? and g.key = ? and c.kind = 'blind' and c.charter_id = ? for no key update of c",
    [actor.programId, key, actor.memberId],
  )) as { charting: string; revision: number; handed_in_at: Date | null; home: string; away: string }[];
  if (!locked) throw new NotFound('charting of yours');
  if (locked.handed_in_at !== null)
    throw new RefusedOperation('closed', 'You handed this charting in; it is not changed any more.');
  return {
    charting: locked.charting,
    revision: locked.revision + 1,
    teams: [locked.home, locked.away] as const,
  };
}

/** A place among the order keys of a game: the anchor's and the next above it; and the row itself, if it stands. */
export interface Ends {
  readonly before: number | null;
  readonly next: number | null;
  readonly standing: Pick<SnapEntity, 'order' | 'provenance'> | null;
}
/** A new row as it was sent: where it is to stand. */
export interface Wanted {
  readonly row: string;
  readonly after: string | null;
}

/**
 * The official charting under its lock, with what is read after it: while it is held few round trips follow, and
 * others of the game wait that long.
 */
export async function lockGame(
  tx: Em,
  actor: Actor,
  key: string,
  ids: readonly string[],
  wanted: Wanted | null,
  now: Date,
) {
  permit(actor, 'snap.log');
  const lock = async () =>
    (
      (await tx.execute('select * from game_to_write(?, ?, ?::jsonb, ?, ?, ?)', [
        actor.programId,
        key,
        JSON.stringify(ids),
        wanted?.row ?? null,
        wanted?.after ?? null,
        wanted !== null,
      ])) as (Ends & {
        charting: string;
        revision: number;
        home: string;
        away: string;
        epoch: string;
        closed: boolean;
        known: Record<string, Answer> | null;
      })[]
    )[0];
  let locked = await lock();
  if (!locked) {
    const game = await tx.findOne(Game, { program: actor.programId, key });
    if (!game) throw new NotFound('game');
    await officialCharting(tx, actor, game.id, now);
    locked = (await lock())!;
  }
  const { charting, revision, home, away, epoch, closed, known, before, next, standing } = locked;
  return {
    charting,
    revision: revision + 1,
    teams: [home, away] as const,
    standing: { epoch, closed, known: new Map(Object.entries(known ?? {})) },
    first: wanted && { ...wanted, before, next, standing },
  };
}
