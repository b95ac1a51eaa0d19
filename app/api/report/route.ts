import { strToU8, zipSync } from 'fflate';
import { z } from 'zod';
import { makeReport } from '@/app/lib/report';
import { body, failure, handle } from '@/app/lib/respond';
import { clock } from '@/app/lib/session';
import { PAPERS } from '@/core/plan';
import { besideCsv, boardCsv, reportJson } from '@/core/read';
import { playersPdf, reportPdf } from '@/render/report-pdf';
import { reportWorkbook } from '@/store/report-xlsx';
import { keepPrint } from '@/store/reports';

const paper = z.enum(Object.keys(PAPERS) as [keyof typeof PAPERS]).default('letter');
const query = z.object({
  as: z.enum(['pdf', 'players', 'xlsx', 'csv', 'json']).default('pdf'),
  paper,
  breaks: z.literal('yes').optional(),
});
const order = z.object({
  query: z.string().max(4000),
  paper,
  breaks: z.boolean(),
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
    const { report, beside, games, columns } = made;
    const name = `report-${report.team}-${report.side}`;
    const file = (bytes: Uint8Array | string, type: string, ending: string, show = false): Response =>
      new Response(bytes as BodyInit, {
        headers: {
          'Content-Type': type,
          'Content-Disposition': `${show ? 'inline' : 'attachment'}; filename="${name}.${ending}"`,
          'Cache-Control': 'no-store',
        },
      });
    if (as === 'json')
      return file(JSON.stringify(reportJson(report, games, beside)), 'application/json', 'json');
    if (as === 'csv')
      return file(
        zipSync(
          Object.fromEntries([
            ...report.tables.map((t) => [`${t.id}.csv`, strToU8(boardCsv(t))] as const),
            ...beside.map((t) => [`${t.id}.csv`, strToU8(besideCsv(t))] as const),
          ]),
        ),
        'application/zip',
        'zip',
      );
    const print = made.print(clock());
    if (as === 'xlsx')
      return file(
        await reportWorkbook(report, beside, [print.title, print.of, print.rests], columns.weight !== null),
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

/** The PDF as it is built: a line of JSON before each section, then the file. The print is kept, to be compared with the next. */
export async function POST(request: Request): Promise<Response> {
  return handle(request, 'game.read', async (actor) => {
    const asked = await body(request, order);
    const made = await makeReport(actor, new URLSearchParams(asked.query));
    const { team, side } = made.report;
    const stopped = new AbortController();
    const lines = new TextEncoder();
    const stream = new ReadableStream<Uint8Array>({
      async start(out) {
        const say = (line: object): void => {
          if (!stopped.signal.aborted) out.enqueue(lines.encode(`${JSON.stringify(line)}\n`));
        };
        try {
          const now = clock();
          const pdf = await reportPdf(made.print(now), {
            paper: asked.paper,
            breaks: asked.breaks,
            signal: AbortSignal.any([stopped.signal, request.signal]),
            onSection: (done, of) => say({ done, of }),
          });
          await keepPrint(actor, { team, side }, made.figures(), now);
          say({ name: `report-${team}-${side}.pdf`, pdf: Buffer.from(pdf).toString('base64') });
        } catch (error) {
          if (stopped.signal.aborted || request.signal.aborted) return;
          const { error: problem } = (await failure(error, { path: '/api/report' }).json()) as {
            error: string;
          };
          say({ problem });
        }
        if (!stopped.signal.aborted) out.close();
      },
      cancel: () => stopped.abort(),
    });
    return new Response(stream, {
      headers: { 'Content-Type': 'application/x-ndjson', 'Cache-Control': 'no-store' },
    });
  });
}
