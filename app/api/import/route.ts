import { z } from 'zod';
import { handle } from '@/app/lib/respond';
import { clock } from '@/app/lib/session';
import { importInChild, receive } from '@/app/lib/upload';

const choice = z.enum(['ask', 'replace', 'leave']).default('ask');

/** Files by form upload, imported whole or not at all. Answers JSON lines: steps, then one outcome or error. */
export async function POST(request: Request): Promise<Response> {
  return handle(request, 'program.import', async (actor) => {
    const book = choice.parse(new URL(request.url).searchParams.get('book') ?? undefined);
    const upload = await receive(request);
    return new Response(importInChild(actor, upload, clock(), book, request.signal), {
      headers: { 'Content-Type': 'application/x-ndjson', 'Cache-Control': 'no-store' },
    });
  });
}
