import { z } from 'zod';
import { handle } from '@/app/lib/respond';
import { profilesFor } from '@/core/field';
import { buildColumns, countGame, gamesOf, lastOf, ownFilm, readAddress, rowsAt } from '@/core/read';
import { rulesOf } from '@/core/read/read-rules';
import { bookFor } from '@/store/book';
import { snapsOf, stampedGames } from '@/store/film';
import { programOf } from '@/store/programs';
import { SNAP_FORMS, snapFile } from '@/store/snap-files';

const query = z.object({ as: z.enum(SNAP_FORMS).default('csv') });

/** The snaps of a view of Read, as its address says, in an open form. */
export async function GET(request: Request): Promise<Response> {
  return handle(request, 'program.export', async (actor) => {
    const params = new URL(request.url).searchParams;
    const { as } = query.parse({ as: params.get('as') ?? undefined });
    const [program, games, book] = await Promise.all([programOf(actor), stampedGames(actor), bookFor(actor)]);
    const { level, season, settings, team } = program;
    const usual = { team: settings.opponent ?? team, film: ownFilm(level) };
    const address = readAddress(params, usual);
    const rules = rulesOf(settings.rules);
    const profiles = profilesFor(level, season, settings.profile ?? null);
    const chosen = lastOf(gamesOf(games, address), address.last);
    const counted = (
      await Promise.all(
        chosen.map(async (game) =>
          countGame(await snapsOf(actor, game), profiles[game.info.level], book, rules),
        ),
      )
    ).flat();
    // What a snap counts changes no choice of snaps; a game that counts nothing is not chosen.
    const rows = rowsAt(buildColumns(counted, rules.success), address, rules.zones);
    const snaps = [...rows].map((i) => counted[i]!.snap);
    const file = await snapFile(actor, as, snaps);
    return new Response(new Uint8Array(file.bytes), {
      headers: {
        'Content-Type': file.type,
        'Content-Disposition': `attachment; filename="snaps.${as}"`,
        'Content-Length': String(file.bytes.length),
        'Cache-Control': 'no-store',
      },
    });
  });
}
