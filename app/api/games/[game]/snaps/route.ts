import { z } from 'zod';
import { body, handle } from '@/app/lib/respond';
import { clock } from '@/app/lib/session';
import { loadSnaps, saveSnaps } from '@/store/snaps';
import type { SnapOp } from '@/core/exchange/types';

interface Context { params: Promise<{ game: string }> }

const snapId = z.string().min(1).max(80);
const ops = z.object({
  ops: z.array(z.discriminatedUnion('op', [
    z.object({ op: z.literal('put'), snapId, order: z.number(), fields: z.record(z.string(), z.unknown()) }),
    z.object({ op: z.literal('patch'), snapId, fields: z.record(z.string(), z.object({ value: z.unknown(), version: z.int().min(1) })) }),
    z.object({ op: z.literal('delete'), snapId }),
    z.object({ op: z.literal('restore'), snapId }),
  ])).min(1).max(200),
});

export async function GET(request: Request, { params }: Context): Promise<Response> {
  return handle(request, async (actor) => {
    const since = new URL(request.url).searchParams.get('since');
    return loadSnaps(actor, (await params).game, since === null ? null : z.coerce.number().int().min(0).parse(since));
  });
}

export async function POST(request: Request, { params }: Context): Promise<Response> {
  return handle(request, async (actor) => saveSnaps(actor, (await params).game, (await body(request, ops)).ops as SnapOp[], clock()));
}
