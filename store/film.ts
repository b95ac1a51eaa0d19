/**
 * The film that a screen counts: games with their snaps, each game's made once a revision and kept in this
 * process, so that twenty readers cost one and a snap that is saved costs its own game only.
 */
import 'server-only';
import { slimSnap } from '../core/snap/fields';
import { packSnaps } from '../core/snap/packed';
import { encodePacked, joinFilm } from '../core/snap/packed-bytes';
import type { Snap } from '../core/snap/snap';
import { permit } from './access';
import { listGames } from './games';
import { Kept } from './kept';
import { openEm } from './orm';
import { keptInProcess } from './process';
import { loadGames } from './snaps';
import { epochOf } from './sync/scope';
import type { Actor, GameInfo } from '../core/exchange/types';

interface Caches {
  readonly bytes: Kept<Uint8Array>;
  readonly snaps: Kept<readonly Snap[]>;
}
const caches = (): Caches => keptInProcess('film', () => ({ bytes: new Kept(150), snaps: new Kept(24) }));

/** A game and the stamp of its snaps: restore epoch and revision. The same stamp, the same snaps. */
export interface StampedGame {
  readonly info: GameInfo;
  readonly stamp: string;
}

export async function stampedGames(actor: Actor): Promise<StampedGame[]> {
  permit(actor, 'game.read');
  const em = await openEm();
  const [games, epoch, rows] = await Promise.all([
    listGames(actor),
    epochOf(),
    em.execute(
      "select g.key, coalesce(c.revision, 0) as revision from game g left join charting c on c.game_id = g.id and c.kind = 'official' where g.program_id = ?",
      [actor.programId],
    ) as Promise<{ key: string; revision: number }[]>,
  ]);
  const revisions = new Map(rows.map((r) => [r.key, r.revision]));
  return games.map((info) => ({ info, stamp: `${epoch.slice(0, 8)}.${revisions.get(info.key) ?? 0}` }));
}

/** The snaps of a game as of its stamp. */
export const snapsOf = (actor: Actor, { info, stamp }: StampedGame): Promise<readonly Snap[]> =>
  caches().snaps.get(
    `${info.id} ${stamp}`,
    async () => (await loadGames(actor, [info.key])).get(info.key) ?? [],
  );

/** The film as bytes: every game's facts and stamp, and the snaps of those that the reader does not have at that stamp. */
export async function filmBytes(
  actor: Actor,
  teams: readonly string[] | null,
  have: ReadonlyMap<string, string>,
): Promise<Uint8Array<ArrayBuffer>> {
  const games = (await stampedGames(actor)).filter(
    ({ info }) => teams === null || teams.some((t) => info.home === t || info.away === t),
  );
  return joinFilm(
    await Promise.all(
      games.map(async (stampedGame) => {
        const { info, stamp } = stampedGame;
        const packed =
          have.get(info.key) === stamp
            ? null
            : await caches().bytes.get(`${info.id} ${stamp}`, async () =>
                encodePacked(packSnaps((await snapsOf(actor, stampedGame)).map(slimSnap))),
              );
        return { said: { info, stamp }, packed };
      }),
    ),
  );
}
