import { z } from 'zod';
import { handle } from '@/app/lib/respond';
import { clock } from '@/app/lib/session';
import { tradePackage } from '@/store/trades';

const games = z.array(z.string().min(1).max(200)).max(20);

/** Some games as a package for another staff. */
export async function GET(request: Request): Promise<Response> {
  return handle(request, 'program.export', async (actor) => {
    const chosen = games.parse(new URL(request.url).searchParams.getAll('game'));
    const bytes = await tradePackage(actor, chosen, clock());
    return new Response(new Uint8Array(bytes), {
      headers: {
        'Content-Type': 'application/zip',
        'Content-Disposition': 'attachment; filename="games.zip"',
        'Content-Length': String(bytes.length),
        'Cache-Control': 'no-store',
      },
    });
  });
}
