import { z } from 'zod';
import { handle } from '@/app/lib/respond';
import { sheetPdf } from '@/app/lib/sheet-pdf';
import { PAPERS } from '@/core/plan';
import { loadSheet } from '@/store/plans';
import { listTeams } from '@/store/games';
import { programOf } from '@/store/members';

interface Context {
  params: Promise<{ sheet: string }>;
}

export async function GET(request: Request, { params }: Context): Promise<Response> {
  return handle(request, 'sheet.read', async (actor) => {
    const paper = z
      .enum(Object.keys(PAPERS) as [keyof typeof PAPERS])
      .parse(new URL(request.url).searchParams.get('paper') ?? 'letter');
    const [sheet, program, teams] = await Promise.all([
      loadSheet(actor, (await params).sheet),
      programOf(actor),
      listTeams(actor),
    ]);
    const name = (k: string) => teams.find((t) => t.key === k)?.name ?? k;
    const pdf = await sheetPdf({
      sheet,
      paper,
      title: `${name(program.team)} offense`,
      against: name(sheet.opponent),
    });
    return new Response(pdf as BodyInit, {
      headers: {
        'Content-Type': 'application/pdf',
        'Content-Disposition': `inline; filename="call-sheet-${paper}.pdf"`,
        'Cache-Control': 'no-store',
      },
    });
  });
}
