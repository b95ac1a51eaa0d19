import { z } from 'zod';
import { sheetToPrint } from '@/app/lib/print';
import { handle } from '@/app/lib/respond';
import { clock } from '@/app/lib/session';
import { callsTable, checksTable } from '@/core/plan';
import { PLAIN_FORMS, plainFile } from '@/store/plain-table';

interface Context {
  params: Promise<{ sheet: string }>;
}
const query = z.object({ as: z.enum(PLAIN_FORMS).default('csv') });

/** A sheet as a table: calls of an offense, checks of a defense, as they print. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  return handle(request, 'sheet.read', async (actor) => {
    const { as } = query.parse({ as: new URL(request.url).searchParams.get('as') ?? undefined });
    const { source } = await sheetToPrint(actor, (await params).sheet, {}, clock());
    const table = source.side === 'defense' ? checksTable(source.checks.checks) : callsTable(source);
    const { bytes, type } = await plainFile(table, as);
    return new Response(bytes as BodyInit, {
      headers: {
        'Content-Type': type,
        'Content-Disposition': `attachment; filename="${table.title}.${as}"`,
        'Cache-Control': 'no-store',
      },
    });
  });
}
