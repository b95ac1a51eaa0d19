import { z } from 'zod';
import { exportInChild } from '@/app/lib/download';
import { handle } from '@/app/lib/respond';
import { clock } from '@/app/lib/session';

const query = z.object({ as: z.enum(['zip', 'xlsx']).default('zip') });
const XLSX = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';

/** The program as a data package, or its tables as a workbook; written in a process of its own. */
export async function GET(request: Request): Promise<Response> {
  return handle(request, 'program.export', async (actor) => {
    const { as } = query.parse(Object.fromEntries(new URL(request.url).searchParams));
    const { body, bytes } = await exportInChild(actor, as, clock(), request.signal);
    return new Response(body, {
      headers: {
        'Content-Type': as === 'xlsx' ? XLSX : 'application/zip',
        'Content-Disposition': `attachment; filename="program.${as}"`,
        'Content-Length': String(bytes),
        'Cache-Control': 'no-store',
      },
    });
  });
}
