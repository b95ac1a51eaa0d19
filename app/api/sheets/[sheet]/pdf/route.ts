import { sheetToPrint } from '@/app/lib/print';
import { handle } from '@/app/lib/respond';
import type { PrintKind } from '@/core/plan';
import { clock } from '@/app/lib/session';
import { sheetPdf } from '@/render/sheet-pdf';

interface Context {
  params: Promise<{ sheet: string }>;
}
const FILE: Readonly<Record<PrintKind, string>> = {
  sheet: 'call-sheet',
  band: 'wristband',
  checks: 'check-card',
  scout: 'scout-cards',
  script: 'practice',
  test: 'test',
  decisions: 'decisions',
};

export async function GET(request: Request, { params }: Context): Promise<Response> {
  return handle(request, 'sheet.read', async (actor) => {
    const asked = Object.fromEntries(new URL(request.url).searchParams);
    const { source, choice } = await sheetToPrint(actor, (await params).sheet, asked, clock());
    const pdf = await sheetPdf(source, choice);
    return new Response(pdf as BodyInit, {
      headers: {
        'Content-Type': 'application/pdf',
        'Content-Disposition': `inline; filename="${FILE[choice.kind]}-${choice.paper}.pdf"`,
        'Cache-Control': 'no-store',
      },
    });
  });
}
