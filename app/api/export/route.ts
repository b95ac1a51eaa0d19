import { z } from 'zod';
import { handle } from '@/app/lib/respond';
import { clock } from '@/app/lib/session';
import { pack } from '@/core/table';
import { exportFiles, exportWorkbook } from '@/store/packages';

const query = z.object({ as: z.enum(['zip', 'xlsx']).default('zip') });
const XLSX = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';

/** The program as a data package, or its tables as a workbook. */
export async function GET(request: Request): Promise<Response> {
  return handle(request, 'program.export', async (actor) => {
    const { as } = query.parse(Object.fromEntries(new URL(request.url).searchParams));
    const bytes = as === 'xlsx' ? await exportWorkbook(actor, clock()) : pack(await exportFiles(actor, clock()));
    return new Response(bytes as BodyInit, { headers: { 'Content-Type': as === 'xlsx' ? XLSX : 'application/zip', 'Content-Disposition': `attachment; filename="program.${as}"`, 'Cache-Control': 'no-store' } });
  });
}
