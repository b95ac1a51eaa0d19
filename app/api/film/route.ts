import { z } from 'zod';
import { handle, ownerMatches } from '@/app/lib/respond';
import { filmJson } from '@/store/film';

const query = z.object({ teams: z.string().max(200).optional(), have: z.string().max(20_000).optional() });

/** Games and snaps to count, by the teams that play in them; without the snaps of games that the browser has (`have`: key=stamp, ...). */
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
    return new Response(
      await filmJson(actor, teams === undefined ? null : teams.split(',').filter(Boolean), known),
      { headers: { 'Cache-Control': 'no-store', 'Content-Type': 'application/json' } },
    );
  });
}
