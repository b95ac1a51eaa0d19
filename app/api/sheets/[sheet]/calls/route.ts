import { z } from 'zod';
import { body, handle } from '@/app/lib/respond';
import { addCall, changeCall, loadSheet, moveCall, removeCall } from '@/store/plans';

interface Context { params: Promise<{ sheet: string }> }

const key = z.string().min(1).max(120);
const before = key.nullable();
const change = z.discriminatedUnion('op', [
  z.object({ op: z.literal('add'), call: key, section: key, play: key, before }),
  z.object({ op: z.literal('move'), call: key, section: key, before }),
  z.object({ op: z.literal('hash'), call: key, hash: z.enum(['L', 'M', 'R']).nullable() }),
  z.object({ op: z.literal('note'), call: key, note: z.string().max(200).nullable() }),
  z.object({ op: z.literal('remove'), call: key }),
]);

/** One change to a sheet; answers with the sheet as it now stands. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  return handle(request, async (actor) => {
    const { sheet } = await params;
    const c = await body(request, change);
    if (c.op === 'add') await addCall(actor, sheet, { key: c.call, section: c.section, play: c.play, before: c.before });
    else if (c.op === 'move') await moveCall(actor, sheet, c.call, c);
    else if (c.op === 'hash') await changeCall(actor, sheet, c.call, { hash: c.hash });
    else if (c.op === 'note') await changeCall(actor, sheet, c.call, { note: c.note });
    else await removeCall(actor, sheet, c.call);
    return loadSheet(actor, sheet);
  });
}
