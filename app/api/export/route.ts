import { handle } from '@/app/lib/respond';
import { clock } from '@/app/lib/session';
import { pack } from '@/core/table';
import { exportFiles } from '@/store/packages';

export async function GET(request: Request): Promise<Response> {
  return handle(request, 'program.export', async (actor) => new Response(pack(await exportFiles(actor, clock())) as BodyInit, {
    headers: { 'Content-Type': 'application/zip', 'Content-Disposition': 'attachment; filename="program.zip"', 'Cache-Control': 'no-store' },
  }));
}
