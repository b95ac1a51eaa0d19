import { promisify } from 'node:util';
import { gzip } from 'node:zlib';
import { z } from 'zod';
import { handle, ownerMatches } from '@/app/lib/respond';
import { filmBytes } from '@/store/film';

const query = z.object({ teams: z.string().max(200).optional(), have: z.string().max(20_000).optional() });

const zipped = promisify(gzip);

/**
 * Games and snaps to count, by the teams that play in them; without the snaps of games that the browser has (`have`:
 * key=stamp, ...). Bytes (core/snap/packed-bytes) in gzip, and the reader unzips: the framework compresses no bytes, and
 * lets no handler say that it did.
 */
export async function GET(request: Request): Promise<Response> {
  return handle(request, 'game.read', async (actor) => {
    ownerMatches(request, actor);
    const { teams, have } = query.parse(Object.fromEntries(new URL(request.url).searchParams));
    const known = new Map(
      (have ?? '')
        .split(',')
        .filter(Boolean)
        .map((pair) => {
          const at = pair.lastIndexOf('=');
          return [pair.slice(0, at), pair.slice(at + 1)] as const;
        }),
    );
    const film = await filmBytes(actor, teams === undefined ? null : teams.split(',').filter(Boolean), known);
    return new Response(new Uint8Array(await zipped(film, { level: 1 })), {
      headers: { 'Cache-Control': 'no-store', 'Content-Type': 'application/gzip' },
    });
  });
}
