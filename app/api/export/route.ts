import { handle } from '@/app/lib/respond';
import { pack } from '@/core/table';
import { exportFiles } from '@/store/packages';

export async function GET(request: Request): Promise<Response> {
  return handle(request, async (actor) => new Response(pack(await exportFiles(actor)) as BodyInit, {
    headers: { 'Content-Type': 'application/zip', 'Content-Disposition': 'attachment; filename="program.zip"', 'Cache-Control': 'no-store' },
  }));
}
