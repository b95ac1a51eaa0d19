import { z } from 'zod';
import { countedFilm } from '@/app/lib/counted-film';
import { handle } from '@/app/lib/respond';
import { buildColumns, rowsAt } from '@/core/read';
import { SNAP_FORMS, snapFile } from '@/store/snap-files';

const query = z.object({ as: z.enum(SNAP_FORMS).default('csv') });

/** The snaps of a view of Read, as its address says, in an open form. */
export async function GET(request: Request): Promise<Response> {
  return handle(request, 'program.export', async (actor) => {
    const params = new URL(request.url).searchParams;
    const { as } = query.parse({ as: params.get('as') ?? undefined });
    const { address, rules, counted } = await countedFilm(actor, params);
    // What a snap counts changes no choice of snaps; a game that counts nothing is not chosen.
    const rows = rowsAt(buildColumns(counted, rules), address, rules.zones);
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
