import { NextResponse } from 'next/server';
import { z } from 'zod';
import { body, handle, ownerMatches } from '@/app/lib/respond';
import { clock } from '@/app/lib/session';
import { MOST_REQUEST } from '@/core/sync';
import { requestSchema } from '@/core/sync/schema';
import { pull, synchronize } from '@/store/sync';

/** An analyst waits for it: a few hundred bytes are not packed first. */
const AS_IT_IS = { 'Cache-Control': 'no-store, no-transform' };

const query = z.object({
  scope: z.string().min(1).max(160),
  since: z.coerce.number().int().min(0).optional(),
  epoch: z.string().max(80).optional(),
});

/** The rows of a scope, or those of a game that changed since a revision. */
export async function GET(request: Request): Promise<Response> {
  return handle(request, 'session.own', async (actor) => {
    ownerMatches(request, actor);
    const { scope, since, epoch } = query.parse(Object.fromEntries(new URL(request.url).searchParams));
    return pull(actor, scope, since ?? null, epoch ?? null);
  });
}

/** Operations of one scope, each answered by itself. */
export async function POST(request: Request): Promise<Response> {
  return handle(request, 'session.own', async (actor) => {
    ownerMatches(request, actor);
    const { scope, ops } = await body(request, requestSchema, MOST_REQUEST);
    return NextResponse.json(await synchronize(actor, scope, ops, clock()), { headers: AS_IT_IS });
  });
}
