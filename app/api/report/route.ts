import { strToU8, zipSync } from 'fflate';
import { z } from 'zod';
import { makeReport } from '@/app/lib/report';
import { handle } from '@/app/lib/respond';
import { clock } from '@/app/lib/session';
import { PAPERS } from '@/core/plan';
import { boardCsv, reportJson } from '@/core/read';
import { playersPdf, reportPdf } from '@/render/report-pdf';
import { reportWorkbook } from '@/store/report-xlsx';

const query = z.object({
  as: z.enum(['pdf', 'players', 'xlsx', 'csv', 'json']).default('pdf'),
  paper: z.enum(Object.keys(PAPERS) as [keyof typeof PAPERS]).default('letter'),
  breaks: z.literal('yes').optional(),
});

/** The scouting report of a view of Read, as its address says: on paper, as a workbook, a CSV a table, or JSON. */
export async function GET(request: Request): Promise<Response> {
  return handle(request, 'game.read', async (actor) => {
    const params = new URL(request.url).searchParams;
    const { as, paper, breaks } = query.parse(
      Object.fromEntries(
        ['as', 'paper', 'breaks'].flatMap((k) => (params.get(k) ? [[k, params.get(k)]] : [])),
      ),
    );
    const made = await makeReport(actor, params);
    const { report, games, columns } = made;
    const name = `report-${report.team}-${report.side}`;
    const file = (bytes: Uint8Array | string, type: string, ending: string, show = false): Response =>
      new Response(bytes as BodyInit, {
        headers: {
          'Content-Type': type,
          'Content-Disposition': `${show ? 'inline' : 'attachment'}; filename="${name}.${ending}"`,
          'Cache-Control': 'no-store',
        },
      });
    if (as === 'json') return file(JSON.stringify(reportJson(report, games)), 'application/json', 'json');
    if (as === 'csv')
      return file(
        zipSync(Object.fromEntries(report.tables.map((t) => [`${t.id}.csv`, strToU8(boardCsv(t))]))),
        'application/zip',
        'zip',
      );
    const print = made.print(clock());
    if (as === 'xlsx')
      return file(
        await reportWorkbook(report, [print.title, print.of, print.rests], columns.weight !== null),
        'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
        'xlsx',
      );
    return as === 'players'
      ? file(await playersPdf(print, paper), 'application/pdf', 'pdf', true)
      : file(
          await reportPdf(print, { paper, breaks: breaks === 'yes', signal: request.signal }),
          'application/pdf',
          'pdf',
          true,
        );
  });
}
