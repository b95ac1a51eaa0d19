import { z } from 'zod';
import { body, handle } from '@/app/lib/respond';
import { clock } from '@/app/lib/session';
import { presentAt } from '@/store/presence';

const here = z.object({ game: z.string().min(1).max(200), snap: z.string().max(80).nullable() });
const MOST_BYTES = 2000;

/** Where this member is; who else is at the game. */
export async function POST(request: Request): Promise<Response> {
  return handle(request, 'game.read', async (actor) => {
    const { game, snap } = await body(request, here, MOST_BYTES);
    return { others: await presentAt(actor, game, snap, clock()) };
  });
}
