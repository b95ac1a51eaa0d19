import { z } from 'zod';
import { sheetToPrint } from '@/app/lib/print';
import { handle } from '@/app/lib/respond';
import { sheetPdf } from '@/render/sheet-pdf';
import { PAPERS } from '@/core/plan';

interface Context {
  params: Promise<{ sheet: string }>;
}

export async function GET(request: Request, { params }: Context): Promise<Response> {
  return handle(request, 'sheet.read', async (actor) => {
    const paper = z
      .enum(Object.keys(PAPERS) as [keyof typeof PAPERS])
      .parse(new URL(request.url).searchParams.get('paper') ?? 'letter');
    const pdf = await sheetPdf(await sheetToPrint(actor, (await params).sheet), paper);
    return new Response(pdf as BodyInit, {
      headers: {
        'Content-Type': 'application/pdf',
        'Content-Disposition': `inline; filename="call-sheet-${paper}.pdf"`,
        'Cache-Control': 'no-store',
      },
    });
  });
}
