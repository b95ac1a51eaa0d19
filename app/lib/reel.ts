import 'server-only';
import type { Book } from '@/core/book';
import { guestBook, guestSnap } from '@/core/exchange/guest';
import type { Actor } from '@/core/exchange/types';
import { gameNames } from '@/core/exchange/names';
import { profilesFor } from '@/core/field';
import { effectiveSnap, walkGame } from '@/core/rules';
import { rulesOf } from '@/core/read/read-rules';
import type { Snap } from '@/core/snap';
import { may } from '@/core/staff';
import { bookTextFor } from '@/store/book';
import { snapsOf, stampedGames } from '@/store/film';
import { listTeams } from '@/store/games';
import { programOf } from '@/store/programs';
import { openReel } from '@/store/reels';

export interface ShownClip {
  readonly game: string;
  readonly id: string;
  readonly note: string;
  /** Null: the snap or its game is gone. */
  readonly snap: Snap | null;
  readonly number: number;
}

/**
 * A reel with its snaps as they are counted. A guest who may open it sees these snaps without what is the staff's own,
 * and the words they are drawn with, no others: it is read once he may, by the right that the link gives.
 */
export async function shownReel(actor: Actor, id: string) {
  const reel = await openReel(actor, id);
  const staff = may(actor.roles, 'reel.save');
  const reader: Actor = { ...actor, roles: ['charter'] };
  const [program, games, teams, bookText] = await Promise.all([
    programOf(reader),
    stampedGames(reader),
    listTeams(reader),
    bookTextFor(reader),
  ]);
  const profiles = profilesFor(program.level, program.season, program.settings.profile ?? null);
  const { buckets, zones } = rulesOf(program.settings.rules);
  const keys = new Set(reel.clips.map((c) => c.game));
  const mine = games.filter((g) => keys.has(g.info.key));
  const found = new Map<string, { readonly snap: Snap; readonly number: number }>();
  await Promise.all(
    mine.map(async (game) => {
      for (const row of walkGame(await snapsOf(reader, game), profiles[game.info.level], { buckets, zones }))
        found.set(`${game.info.key} ${row.snap.snapId}`, { snap: effectiveSnap(row), number: row.number });
    }),
  );
  const nameOf = gameNames(
    mine.map((g) => g.info),
    (key) => teams.find((t) => t.key === key)?.name ?? key,
  );
  const clips = reel.clips.map(({ game, snap, note }): ShownClip => {
    const there = found.get(`${game} ${snap}`);
    return {
      game,
      id: snap,
      note,
      snap: there ? (staff ? there.snap : guestSnap(there.snap)) : null,
      number: there?.number ?? 0,
    };
  });
  return {
    reel: staff ? reel : { ...reel, source: null },
    bookText: staff
      ? bookText
      : JSON.stringify(
          guestBook(
            JSON.parse(bookText) as Book,
            clips.flatMap((c) => c.snap ?? []),
          ),
        ),
    profile: profiles[program.level],
    names: Object.fromEntries([...keys].map((key) => [key, nameOf(key)])),
    clips,
  };
}
